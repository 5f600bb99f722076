import { z } from 'zod';
import { field } from './field.ts';
import { sides } from './geometry.ts';
import { Id } from './id.ts';
import type { TypeOf } from './types.ts';
import { place } from './dress.ts';

export const points = [
  'top-left',
  'top',
  'top-right',
  'left',
  'centre',
  'right',
  'bottom-left',
  'bottom',
  'bottom-right',
] as const;
export type NinePoint = (typeof points)[number];

export const Side = z.enum(sides);
export const alignments = ['start', 'centre', 'end'] as const;
export const Alignment = z.enum(alignments);
export type Alignment = z.infer<typeof Alignment>;
export const alignmentTitles = { start: 'Start', centre: 'Centre', end: 'End' };

const Offset = z.number().min(-20000).max(20000);

/** What a part's position is measured from. */
export const Hanging = z.discriminatedUnion('from', [
  z.looseObject({
    from: z.enum(['free', 'screen']).meta({ description: 'The free area, or the whole screen' }),
    screen: Id,
    point: field(z.enum(points), { label: 'Point', control: 'point' }),
  }),
  z.looseObject({
    from: z.literal('part'),
    part: Id.meta({ description: 'A widget or an edge on the same screen' }),
    side: field(Side.meta({ description: 'The side of the neighbour on which the part stands' }), {
      label: 'Side of it',
      choices: { top: 'above it', right: 'to its right', bottom: 'below it', left: 'to its left' },
    }),
    align: field(Alignment.clone(), { label: 'Aligned with its', choices: alignmentTitles }),
  }),
]);
export type Hanging = TypeOf<typeof Hanging>;

/**
 * Where a widget is. Offsets point inward from a corner or side, rightward and downward from a middle, and
 * away from a neighbour.
 */
export const Place = place(
  z.looseObject({
    hangs: field(Hanging.clone(), { label: 'Hangs from', control: 'hanging' }),
    x: field(Offset.clone(), { label: 'Offset across', unit: 'x', step: 1, decimals: 1 }),
    y: field(Offset.clone(), { label: 'Offset down', unit: 'y', step: 1, decimals: 1 }),
  }),
);
export type Place = TypeOf<typeof Place>;
