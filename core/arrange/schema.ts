import { z } from 'zod';
import { Finish } from '../values/finish.ts';
import { Id } from '../values/id.ts';
import { Alignment, Side } from '../values/place.ts';
import type { TypeOf } from '../values/types.ts';

export const OwnFinish = Finish.nullable().meta({ description: "Null follows the desk's finish" });

/** An edge of a screen, without the items on it. */
export const EdgeFrame = z.looseObject({
  id: Id,
  kind: z.enum(['panel', 'dock']),
  screen: Id,
  side: Side,
  thickness: z.number().min(16).max(240),
  iconSize: z.number().min(8).max(160),
  length: z.enum(['fill', 'items']).meta({ description: 'As long as its side, or as its items' }),
  align: Alignment,
  margin: z.number().min(0).max(200).meta({ description: "px between the edge and the screen's side" }),
  padding: z.number().min(0).max(200).meta({ description: 'px inside both ends' }),
  spacing: z.number().min(0).max(200).meta({ description: 'px between two items' }),
  keepsWindowsOff: z.boolean(),
  finish: OwnFinish,
});
export type EdgeFrame = TypeOf<typeof EdgeFrame>;
