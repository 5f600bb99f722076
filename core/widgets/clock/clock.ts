import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { HourStyle, Seconds, TypeOption, Zone, colourOption, datePattern } from '../../kinds/options.ts';

const faces = [
  { id: 'serif', title: 'Serif' },
  { id: 'stack', title: 'Stack' },
  { id: 'hands', title: 'Hands' },
  { id: 'line', title: 'Line' },
] as const;

const options = z.looseObject({
  hours: HourStyle,
  seconds: Seconds,
  date: datePattern('EEEE d MMMM'),
  zone: Zone,
  type: TypeOption,
  colour: colourOption('ink'),
});

export type ClockOptions = z.output<typeof options>;
export type ClockFace = (typeof faces)[number]['id'];

export const clock = defineWidget({
  type: 'clock',
  title: 'Clock',
  summary: 'The time and the date, here or elsewhere',
  also: 'time hour date watch',
  faces,
  options,
  startsBare: (face) => face !== 'line',
  needs: ({ seconds }) => [{ source: 'time', every: seconds ? 'second' : 'minute' }],
  load: () => import('./work.ts'),
});
