import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { HourStyle, timePattern } from '../../kinds/options.ts';
import { formatMoment } from '../../sources/time/time.ts';
import { field } from '../../values/field.ts';
import { layIcon, type IconLayout } from '../text.ts';

const options = z.looseObject({
  shows: field(z.enum(['next', 'height', 'moon']).default('next'), {
    label: 'Shows',
    choices: { next: 'Next rise or set', height: "The sun's height", moon: 'The moon' },
  }),
  label: field(z.boolean().default(true), { label: 'In words beside it' }),
  hours: HourStyle,
});

export interface DaylightView {
  /** freedesktop icon name; null where the moon itself is drawn. */
  icon: string | null;
  /** 0 new, 0.5 full. */
  phase: number;
  label: string | null;
  /** What it says to whoever asks. */
  title: string;
}

export const daylight = defineItem({
  type: 'daylight',
  title: 'Sun and moon',
  summary: 'When the sun rises or sets, how high it is, or the moon',
  options,
  needs: ({ shows }) =>
    shows === 'moon'
      ? [{ source: 'moon', every: 'minute' }]
      : [
          { source: 'sun', every: 'minute' },
          { source: 'time', every: 'minute' },
        ],
  view({ shows, label, hours }, { readings, room }): DaylightView {
    const isTold = label && room !== 'bare';
    if (shows === 'moon') {
      const { phase, lit, name } = readings.get('moon').value;
      const text = `${Math.round(lit * 100)} %`;
      return { icon: null, phase, label: isTold ? text : null, title: `${name}, ${text} lit` };
    }
    const { altitude, isUp, sunrise, sunset } = readings.get('sun').value;
    const icon = isUp ? 'weather-clear' : 'weather-clear-night';
    if (shows === 'height') {
      const text = `${Math.round(altitude)}°`;
      return { icon, phase: 0, label: isTold ? text : null, title: `Sun ${text} high` };
    }
    const { moment, place } = readings;
    const next = [sunrise, sunset].find((at) => at !== null && at > moment) ?? null;
    const at = next === null ? '–' : formatMoment(next, place.zone, timePattern(hours));
    const what = next === null ? 'No more today' : next === sunrise ? `Sunrise ${at}` : `Sunset ${at}`;
    return { icon, phase: 0, label: isTold ? at : null, title: what };
  },
  layout: ({ label }, context): IconLayout => layIcon(label, context, label === null ? [] : label.split(' ')),
});
