import { z } from 'zod';
import { defineWidget } from '../../kinds/kind.ts';
import { TypeOption, WeatherFrom, colourOption } from '../../kinds/options.ts';
import { OwnPressure, OwnTemperature, OwnWind } from '../../sources/units.ts';
import { field, fieldWhen } from '../../values/field.ts';

const faces = [
  { id: 'line', title: 'Line', isApart: true },
  { id: 'hours', title: 'Hours', isApart: true },
  { id: 'days', title: 'Days', isApart: true },
  { id: 'sky', title: 'Sky', isApart: true },
  { id: 'rose', title: 'Wind', isApart: true },
] as const;

const options = z.looseObject({
  from: WeatherFrom,
  hours: field(z.number().int().min(6).max(48).default(24), {
    label: 'Hours ahead',
    control: 'slider',
    unit: 'h',
    when: (_, face) => face === 'hours',
  }),
  days: field(z.number().int().min(2).max(10).default(5), {
    label: 'Days ahead',
    is: 'content',
    control: 'slider',
    when: (_, face) => face === 'days',
  }),
  wind: field(z.boolean().default(true), {
    label: 'Wind',
    is: 'content',
    when: (_, face) => face === 'line',
  }),
  temperatureIn: fieldWhen(OwnTemperature, (_, face) => face !== 'rose'),
  windIn: fieldWhen(
    OwnWind,
    (values, face) => face === 'rose' || (face === 'line' && values['wind'] === true),
  ),
  pressureIn: fieldWhen(OwnPressure, (_, face) => face === 'rose'),
  type: TypeOption,
  colour: colourOption('accent', 'Marks'),
});
export type WeatherOptions = z.output<typeof options>;
export type WeatherFace = (typeof faces)[number]['id'];

export const weather = defineWidget({
  type: 'weather',
  title: 'Weather',
  summary: 'Now, the hours, the days, the sky or the wind',
  also: 'temperature rain snow fog forecast humidity',
  faces,
  options,
  startsBare: (face) => face === 'line',
  needs: ({ from }, face) => [
    { source: from === 'station' ? 'station' : 'weather', every: 'minute' },
    ...(face === 'sky'
      ? ([
          { source: 'sun', every: 'minute' },
          { source: 'moon', every: 'minute' },
        ] as const)
      : []),
    ...(face === 'hours' || face === 'days' ? ([{ source: 'time', every: 'minute' }] as const) : []),
  ],
  load: () => import('./work.ts'),
});
