import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, colourOption } from '../../kinds/options.ts';
import { field } from '../../values/field.ts';
import { refers } from '../../values/references.ts';

const faces = [
  { id: 'list', title: 'List' },
  { id: 'one', title: 'One at a time' },
  { id: 'passing', title: 'Passing line' },
] as const;

const options = z.looseObject({
  only: refers(
    field(z.string().max(64).default(''), {
      is: 'content',
      label: 'Source',
      control: 'headlines',
      placeholder: 'all of them',
    }),
    'headlines',
    'name',
  ),
  rows: field(z.number().int().min(1).max(12).default(5), {
    label: 'Rows',
    is: 'content',
    control: 'slider',
    when: (_, face) => face === 'list',
  }),
  minutes: field(z.number().int().min(1).max(60).default(1), {
    label: 'Change every',
    is: 'content',
    unit: 'min',
    when: (_, face) => face !== 'list',
  }),
  among: field(z.number().int().min(1).max(30).default(8), {
    label: 'Newest only',
    is: 'content',
    control: 'slider',
    when: (_, face) => face !== 'list',
  }),
  width: field(z.number().int().min(160).max(2000).default(420), {
    label: 'Width',
    is: 'place',
    unit: 'px',
    step: 20,
  }),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type HeadlinesOptions = z.output<typeof options>;
export type HeadlinesFace = (typeof faces)[number]['id'];

export const headlines = defineWidget({
  type: 'headlines',
  title: 'Headlines',
  summary: 'What others write, the newest first',
  also: 'news rss atom feed bulletins articles ticker',
  faces,
  options,
  startsBare: (face) => face === 'passing',
  needs: () => [
    { source: 'headlines', every: 'minute' },
    { source: 'time', every: 'minute' },
  ],
  load: () => import('./work.ts'),
});
