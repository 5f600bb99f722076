import { z } from 'zod';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection, idsIn, without } from './section.ts';

export const Screen = z.looseObject({
  id: Id,
  name: Name,
  width: z.number().int().min(320).max(16384),
  height: z.number().int().min(240).max(16384),
  scaleFactor: z.number().min(0.5).max(4).meta({ description: 'Device pixels for each px' }),
  x: z
    .number()
    .int()
    .min(-65536)
    .max(65536)
    .meta({ description: 'Where the screen stands beside the others, px' }),
  y: z.number().int().min(-65536).max(65536),
});
export type Screen = TypeOf<typeof Screen>;

export const screens = defineSection({
  key: 'screens',
  schema: z.array(Screen).min(1).max(8),
  least: 1,
  ids: (list) => idsIn('screens', list),
  forget(desk, gone) {
    desk.screens = without(desk.screens, ({ id }) => gone.has(id));
  },
});
