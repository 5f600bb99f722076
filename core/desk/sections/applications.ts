import { z } from 'zod';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { defineSection } from './section.ts';

/** Keys as in the freedesktop Desktop Entry specification. */
const Application = z.looseObject({
  id: Id,
  Name,
  Comment: z.string().max(300),
  Icon: z
    .string()
    .max(120)
    .meta({ description: 'freedesktop icon name, or a picture of one’s own as own: and its SHA-256' }),
  Categories: z.array(z.string().max(60)).max(20),
});
export type Application = TypeOf<typeof Application>;

export const applications = defineSection({
  key: 'applications',
  schema: z.array(Application).max(400),
});
