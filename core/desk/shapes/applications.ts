import { z } from 'zod';
import { field } from '../../values/field.ts';
import { linkUpTo } from '../../values/link.ts';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';
import { refers } from '../../values/references.ts';
import { content } from '../../values/dress.ts';

const Link = linkUpTo(2000).meta({ description: 'Web address that it opens, asked first; none when empty' });

/** Keys as in the freedesktop Desktop Entry specification. */
export const Application = z.looseObject({
  id: Id,
  Name: field(Name.clone(), { label: 'Name' }),
  Comment: field(z.string().max(300), { label: 'What it is for', placeholder: 'nothing said' }),
  Icon: refers(
    z
      .string()
      .max(120)
      .meta({ description: 'freedesktop icon name, or a picture of one’s own as own: and its SHA-256' }),
    'picture',
  ),
  Categories: z.array(z.string().max(60)).max(20),
  Keywords: field(z.array(z.string().max(60)).max(40).meta({ description: 'Other words for it' }), {
    label: 'Other words',
    control: 'times',
    placeholder: 'none',
  }),
  URL: field(Link, { label: 'Opens', placeholder: 'nothing' }),
  Exec: z.string().max(1000).meta({ description: 'Command line, kept as it came; it is never run' }),
  Actions: z
    .array(z.looseObject({ id: z.string().min(1).max(120), Name }))
    .max(40)
    .meta({ description: 'What else it can be started with' }),
});
export type Application = TypeOf<typeof Application>;

export const Applications = content(z.array(Application).max(400));
