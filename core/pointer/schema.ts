import { z } from 'zod';
import { Colour } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';

export const pointerSets = ['quill', 'pebble', 'ring'] as const;
export type PointerSetName = (typeof pointerSets)[number];
export const Pointer = z.looseObject({
  set: z.enum(pointerSets),
  size: z.number().min(16).max(96).meta({ description: 'px' }),
  colour: Colour,
});
export type Pointer = TypeOf<typeof Pointer>;
