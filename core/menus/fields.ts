import { z } from 'zod';
import { field } from '../values/field.ts';
import { points } from '../values/place.ts';
import type { TypeOf } from '../values/types.ts';

/** What the menus of a desk are set by, where several have it. */

export const pixels = (min: number, max: number, label: string) =>
  field(z.number().min(min).max(max).meta({ description: 'px' }), { label, unit: 'px', control: 'slider' });

export const count = (min: number, max: number, label: string) =>
  field(z.number().int().min(min).max(max), { label, control: 'slider' });

export const offset = (label: string, unit: string) =>
  field(z.number().min(-16384).max(16384).meta({ description: 'px from that point' }), { label, unit });

/** Where a menu opens. */
const MenuPlace = z.discriminatedUnion('by', [
  z.looseObject({ by: z.literal('button') }).meta({ description: 'Beside the button that opens it' }),
  z.looseObject({
    by: z.literal('point'),
    point: field(z.enum(points).meta({ description: 'Of the free area' }), {
      label: 'Point',
      control: 'point',
    }),
    x: offset('Offset across', 'x'),
    y: offset('Offset down', 'y'),
  }),
]);
type MenuPlace = TypeOf<typeof MenuPlace>;

export const place = () =>
  field(MenuPlace.clone(), {
    label: 'Position',
    is: 'place',
    isWide: true,
    variants: {
      button: { label: 'Beside its button', start: {} },
      point: { label: 'At a point', start: { point: 'top', x: 0, y: 120 } },
    },
  });

export const grouping = () =>
  field(z.enum(['categories', 'none']), {
    label: 'Groups',
    is: 'content',
    choices: { categories: 'By category', none: 'None' },
  });
