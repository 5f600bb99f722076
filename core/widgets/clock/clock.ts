import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { isWallMoment } from '../../sources/time/time.ts';
import { field, fieldWhen } from '../../values/field.ts';
import { HourStyle, Seconds, TypeOption, Zone, colourOption, datePattern } from '../../kinds/options.ts';

const faces = [
  { id: 'serif', title: 'Serif' },
  { id: 'stack', title: 'Stack' },
  { id: 'hands', title: 'Hands' },
  { id: 'line', title: 'Line' },
  { id: 'words', title: 'In words' },
  { id: 'ring', title: 'Ring of the day' },
  { id: 'zones', title: 'Zones', isApart: true },
  { id: 'until', title: 'Until a day', isApart: true },
  { id: 'timer', title: 'Timer', isApart: true },
] as const;

/** Whether a face shows the time in one zone. */
const isOne = (face: string | null) => face !== 'zones' && face !== 'until' && face !== 'timer';
const showsSeconds = (face: string | null) => isOne(face) && face !== 'words' && face !== 'ring';

const options = z.looseObject({
  hours: fieldWhen(HourStyle, (_, face) => face !== 'words' && face !== 'until' && face !== 'timer'),
  seconds: fieldWhen(Seconds, (_, face) => showsSeconds(face)),
  date: fieldWhen(datePattern('EEEE d MMMM'), (_, face) => isOne(face)),
  zone: fieldWhen(Zone, (_, face) => isOne(face) && face !== 'ring'),
  zones: field(
    z
      .array(
        z.looseObject({
          zone: Zone,
          name: field(z.string().max(40), { label: 'Called', placeholder: 'as the zone' }),
        }),
      )
      .max(12)
      .default(() => [
        { zone: '', name: '' },
        { zone: 'UTC', name: '' },
      ]),
    {
      label: 'Zones',
      is: 'content',
      one: 'Zone',
      starts: () => ({ zone: 'UTC', name: '' }),
      when: (_, face) => face === 'zones',
    },
  ),
  until: field(
    z
      .string()
      .max(16)
      .refine(isWallMoment, { message: 'is not a day and a time, such as 2027-03-20 06:00' })
      .default('2027-03-20 06:00'),
    { label: 'Until', is: 'content', when: (_, face) => face === 'until' },
  ),
  what: field(z.string().max(80).default('the first boat'), {
    label: 'What comes',
    is: 'content',
    placeholder: 'nothing',
    when: (_, face) => face === 'until',
  }),
  minutes: field(z.number().min(0.1).max(5999).default(25), {
    label: 'Runs for',
    is: 'content',
    unit: 'min',
    when: (_, face) => face === 'timer',
  }),
  // Set by pressing the timer, not in a form.
  startedAt: field(
    z
      .number()
      .nullable()
      .default(null)
      .meta({ description: 'When the timer was started, epoch ms; null while it waits' }),
    { label: 'Started', is: 'content', when: () => false },
  ),
  type: TypeOption,
  colour: colourOption('ink'),
});

export type ClockOptions = z.output<typeof options>;
export type ClockFace = (typeof faces)[number]['id'];

export const clock = defineWidget({
  type: 'clock',
  title: 'Clock',
  summary: 'The time and the date, here or elsewhere',
  also: 'time hour date watch world countdown sun twilight timer stopwatch alarm',
  faces,
  options,
  startsBare: (face) => face !== 'line' && face !== 'zones',
  needs: ({ seconds, startedAt }, face) => [
    {
      source: 'time',
      every:
        face === 'timer'
          ? startedAt === null
            ? null
            : 'second'
          : seconds && showsSeconds(face)
            ? 'second'
            : 'minute',
    },
    ...(face === 'ring' ? ([{ source: 'almanac', every: 'minute' }] as const) : []),
  ],
  load: () => import('./work.ts'),
  acts: () => import('./acts.ts'),
});
