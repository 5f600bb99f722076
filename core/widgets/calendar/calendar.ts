import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { HourStyle, TypeOption, colourOption } from '../../kinds/options.ts';
import { OwnWeek } from '../../sources/units.ts';
import { field, fieldWhen } from '../../values/field.ts';
import { refers } from '../../values/references.ts';

const faces = [
  { id: 'month', title: 'Month', isApart: true },
  { id: 'agenda', title: 'Days ahead', isApart: true },
  { id: 'day', title: 'One day', isApart: true },
  { id: 'next', title: 'What comes next', isApart: true },
  { id: 'tasks', title: 'Tasks', isApart: true },
] as const;

const options = z.looseObject({
  only: refers(
    field(z.string().max(64).default(''), {
      is: 'content',
      label: 'Calendar',
      control: 'calendar',
      placeholder: 'all of them',
    }),
    'calendar',
    'name',
  ),
  rows: field(z.number().int().min(1).max(14).default(6), {
    label: 'Rows',
    is: 'content',
    control: 'slider',
    when: (_, face) => face === 'agenda' || face === 'tasks',
  }),
  done: field(z.boolean().default(true), {
    label: 'Done ones too',
    is: 'content',
    when: (_, face) => face === 'tasks',
  }),
  weekNumbers: field(z.boolean().default(false), {
    label: 'Week numbers',
    is: 'content',
    when: (_, face) => face === 'month',
  }),
  marks: field(z.boolean().default(true), {
    label: 'Marks of events',
    is: 'content',
    when: (_, face) => face === 'month',
  }),
  weekStarts: fieldWhen(OwnWeek, (_, face) => face === 'month'),
  hours: fieldWhen(HourStyle, (_, face) => face !== 'month' && face !== 'tasks'),
  type: TypeOption,
  colour: fieldWhen(colourOption('accent', 'Today'), (_, face) => face === 'month' || face === 'day'),
});
export type CalendarOptions = z.output<typeof options>;
export type CalendarFace = (typeof faces)[number]['id'];

export const calendar = defineWidget({
  type: 'calendar',
  title: 'Calendar',
  summary: 'The month, the days ahead, or what comes next',
  also: 'month week agenda events appointments tasks todo date',
  faces,
  options,
  startsBare: (face) => face === 'next',
  needs: () => [
    { source: 'calendar', every: 'minute' },
    { source: 'time', every: 'minute' },
  ],
  load: () => import('./work.ts'),
});
