import { z } from 'zod';
import { field } from '../../values/field.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { place } from '../../values/dress.ts';

function stand(label: string, description?: string) {
  return field(z.number().int().min(-65536).max(65536).meta({ description }), { label });
}

export const Screen = z.looseObject({
  id: Id,
  name: field(Name.clone(), { label: 'Name', is: 'content' }),
  width: field(z.number().int().min(320).max(16384), { label: 'Width' }),
  height: field(z.number().int().min(240).max(16384), { label: 'Height' }),
  scaleFactor: field(z.number().min(0.5).max(4).meta({ description: 'Device pixels for each px' }), {
    label: 'Scale',
    step: 0.25,
  }),
  x: stand('X', 'Where the screen stands beside the others, px'),
  y: stand('Y'),
});
export type Screen = TypeOf<typeof Screen>;

export const Screens = place(z.array(Screen).min(1).max(8));
