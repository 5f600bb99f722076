import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';

const faces = [
  { id: 'card', title: 'Card' },
  { id: 'line', title: 'Line' },
  { id: 'wave', title: 'Wave' },
  { id: 'large', title: 'Large title' },
  { id: 'only', title: 'Only what is on' },
] as const;

const options = z.looseObject({
  width: field(z.number().int().min(200).max(1600).default(420), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 20,
  }),
  buttons: field(z.boolean().default(true), {
    label: 'Buttons',
    is: 'content',
    when: (_, face) => face !== 'only',
  }),
  times: field(z.boolean().default(true), {
    label: 'Times',
    is: 'content',
    when: (_, face) => face !== 'only',
  }),
  align: field(z.enum(['left', 'centre']).default('left'), {
    label: 'Align',
    choices: { left: 'Left', centre: 'Middle' },
    when: (_, face) => face === 'large' || face === 'only',
  }),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type PlayerOptions = z.output<typeof options>;
export type PlayerFace = (typeof faces)[number]['id'];

export const player = defineWidget({
  type: 'player',
  title: 'Player',
  summary: 'What is on, and the buttons to go with it',
  also: 'music song sound track audio play stop next seek cover album',
  faces,
  options,
  startsBare: (face) => face === 'large' || face === 'only',
  needs: () => [{ source: 'sound', every: 'second' }],
  load: () => import('./work.ts'),
});
