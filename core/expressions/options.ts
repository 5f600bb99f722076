import { z } from 'zod';
import { originOption, WeatherFrom } from '../kinds/options.ts';
import { field, fieldWhen } from '../values/field.ts';
import { MOST_EXPRESSION, MOST_TEXT, needsOf } from './text.ts';

/** A text of one's own in which `{…}` holds an expression. */
export function toldText(start: string, label: string, most = MOST_TEXT) {
  return field(z.string().max(most).default(start), {
    label,
    is: 'content',
    placeholder: 'nothing',
    control: 'told-text',
    isWide: true,
  });
}

/** One expression; empty for none. */
export function expression(label: string, placeholder: string) {
  return field(z.string().max(MOST_EXPRESSION).default(''), {
    label,
    is: 'content',
    placeholder,
    control: 'expression',
    isWide: true,
  });
}

const reads = (source: 'machine' | 'weather') => (values: Readonly<Record<string, unknown>>) =>
  Object.values(values).some(
    (value) => typeof value === 'string' && needsOf([value], {}).some((need) => need.source === source),
  );

/** Where a text's readings of the machine come from; it has an effect where the text names one. */
export const toldFrom = fieldWhen(originOption('machine', 'Machine'), reads('machine'));

/** Where its readings of the weather come from; it has an effect where the text names one. */
export const toldWeather = fieldWhen(WeatherFrom, reads('weather'));
