import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { HourStyle, TypeOption, colourOption } from '../../kinds/options.ts';

const faces = [
  { id: 'moon', title: 'Moon', isApart: true },
  { id: 'tide', title: 'Tide', isApart: true },
  { id: 'day', title: 'Day and night', isApart: true },
  { id: 'table', title: 'Table', isApart: true },
] as const;

const options = z.looseObject({
  hours: HourStyle,
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type AlmanacOptions = z.output<typeof options>;
export type AlmanacFace = (typeof faces)[number]['id'];

export const almanac = defineWidget({
  type: 'almanac',
  title: 'Almanac',
  summary: 'The moon, the tide, day and night',
  also: 'sun sunrise sunset twilight phase water season',
  faces,
  options,
  startsBare: () => false,
  needs: () => [
    { source: 'almanac', every: 'minute' },
    { source: 'sun', every: 'minute' },
  ],
  load: () => import('./work.ts'),
});
