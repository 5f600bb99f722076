import { z } from 'zod';
import { expression, toldFrom, toldText, toldWeather } from '../../expressions/options.ts';
import { originsOf } from '../../expressions/telling.ts';
import { expressionsOf, needsOf } from '../../expressions/text.ts';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field, fieldWhen } from '../../values/field.ts';

const faces = [
  { id: 'plain', title: 'Plain' },
  { id: 'headline', title: 'First line large' },
  { id: 'ruled', title: 'Behind a rule' },
  { id: 'plate', title: 'On a plate' },
] as const;

const START = '{machine.processor.round()} % at {time.format("HH:mm")}';

const options = z.looseObject({
  text: toldText(START, 'Text'),
  from: toldFrom,
  weather: toldWeather,
  width: field(z.number().int().min(0).max(2000).default(0), {
    label: 'Line width',
    is: 'place',
    unit: 'px',
    step: 20,
    placeholder: '0 is as long as they are',
  }),
  align: field(z.enum(['left', 'centre', 'right']).default('left'), {
    label: 'Align',
    choices: { left: 'Left', centre: 'Middle', right: 'Right' },
  }),
  type: TypeOption,
  colour: colourOption('ink'),
  turns: expression('Another colour while', 'machine.battery.charge < 20'),
  turned: fieldWhen(colourOption('alert', 'That colour'), ({ turns }) => turns !== ''),
});
export type ReadoutOptions = z.output<typeof options>;
export type ReadoutFace = (typeof faces)[number]['id'];

export const readout = defineWidget({
  type: 'readout',
  title: 'Readout',
  summary: 'Words of your own, with any reading in them',
  also: 'text label expression formula custom value variable',
  faces,
  options,
  startsBare: (face) => face !== 'plate',
  needs: ({ text, turns, from, weather }) =>
    needsOf(
      [...expressionsOf(text), turns].filter((one) => one.trim() !== ''),
      originsOf({ from, weather }),
    ),
  load: () => import('./work.ts'),
});
