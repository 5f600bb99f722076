import { z } from 'zod';
import { OwnFinish } from '../values/finish.ts';
import { field } from '../values/field.ts';
import { points } from '../values/place.ts';
import { count, offset, pixels } from './fields.ts';
import { defineMenu } from './menu.ts';

const through = (label: string, description: string) =>
  field(z.boolean().meta({ description }), { label, is: 'content', group: 'The search looks through' });

/** One line that finds. */
export const quickFind = defineMenu({
  key: 'quickFind',
  title: 'Quick find',
  opener: {
    act: 'quick-find',
    does: 'Open quick find',
    short: 'Find',
    sign: 'system-search',
    summary: 'Opens the line that finds, starts and works out',
    mark: 'system-search',
  },
  schema: z.looseObject({
    place: field(
      z.looseObject({
        point: field(z.enum(points).meta({ description: 'Of the free area' }), {
          label: 'Point',
          control: 'point',
        }),
        x: offset('Offset across', 'x'),
        y: offset('Offset down', 'y'),
      }),
      { label: 'Position', is: 'place' },
    ),
    width: pixels(240, 1600, 'Width'),
    answers: count(1, 20, 'Most answers'),
    iconSize: pixels(12, 96, 'Icon size'),
    labels: field(z.boolean(), { label: 'Descriptions' }),
    applications: through('Applications', 'Looks through applications'),
    commands: through('Commands', 'Looks through what can be done on the desk'),
    readings: through('Readings', 'Looks through the readings of sources'),
    sums: through('Sums', 'Works out what is typed, with units'),
    finish: OwnFinish,
  }),
  plain: {
    place: { point: 'top', x: 0, y: 160 },
    width: 680,
    answers: 6,
    iconSize: 26,
    labels: true,
    applications: true,
    commands: true,
    readings: true,
    sums: true,
    finish: null,
  },
  starts: ({ applications }) => applications,
});
