import { z } from 'zod';
import { field } from '../values/field.ts';
import { Colour } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';

export const pointerSets = ['quill', 'pebble', 'ring'] as const;
export type PointerSetName = (typeof pointerSets)[number];
export const pointerTitles: Record<PointerSetName, string> = {
  quill: 'Quill',
  pebble: 'Pebble',
  ring: 'Ring',
};

export const Pointer = z.looseObject({
  set: z.enum(pointerSets),
  size: field(z.number().min(16).max(96).meta({ description: 'px' }), {
    label: 'Size',
    unit: 'px',
    control: 'slider',
  }),
  colour: field(Colour.clone(), { label: 'Colour', control: 'colour' }),
});
export type Pointer = TypeOf<typeof Pointer>;
