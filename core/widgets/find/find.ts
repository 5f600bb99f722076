import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';

const faces = [
  { id: 'field', title: 'Field' },
  { id: 'line', title: 'Over a line' },
  { id: 'sign', title: 'Sign' },
] as const;

const options = z.looseObject({
  words: field(z.string().max(60).default('Find or work something out'), {
    label: 'Text',
    is: 'content',
    isWide: true,
    when: (_, face) => face !== 'sign',
  }),
  width: field(z.number().int().min(80).max(1600).default(360), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 20,
    when: (_, face) => face !== 'sign',
  }),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type FindOptions = z.output<typeof options>;
export type FindFace = (typeof faces)[number]['id'];

export const find = defineWidget({
  type: 'find',
  title: 'Quick find',
  summary: 'A box on the desk that finds applications, commands and sums',
  also: 'search launcher run calculator',
  faces,
  options,
  startsBare: (face) => face !== 'field',
  typed: 'words',
  needs: () => [],
  load: () => import('./work.ts'),
});
