import { z } from 'zod';
import { Finish } from '../values/finish.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { Alignment, Side } from '../values/place.ts';
import type { TypeOf } from '../values/types.ts';

export const OwnFinish = Finish.nullable().meta({ description: "Null follows the desk's finish" });

function pixels(min: number, max: number, label: string, description = 'px') {
  return field(z.number().min(min).max(max).meta({ description }), { label, unit: 'px', control: 'slider' });
}

/** An edge of a screen, without the items on it. */
export const EdgeFrame = z.looseObject({
  id: Id,
  kind: z.enum(['panel', 'dock']),
  screen: Id,
  side: field(Side.clone(), { label: 'Side', control: 'side' }),
  length: field(z.enum(['items', 'fill']).meta({ description: 'As long as its items, or as its side' }), {
    label: 'Length',
    choices: { items: 'As its items', fill: 'Whole side' },
  }),
  align: field(Alignment.clone(), { label: 'Stands at' }),
  thickness: pixels(16, 240, 'Thickness'),
  iconSize: pixels(8, 160, 'Icons'),
  margin: pixels(0, 200, 'Off the side', "px between the edge and the screen's side"),
  padding: pixels(0, 200, 'Inside ends', 'px inside both ends'),
  spacing: pixels(0, 200, 'Between items', 'px between two items'),
  keepsWindowsOff: field(z.boolean(), { label: 'Keeps windows off' }),
  finish: OwnFinish,
});
export type EdgeFrame = TypeOf<typeof EdgeFrame>;
