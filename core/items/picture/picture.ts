import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layIcon } from '../text.ts';
import { refers } from '../../values/references.ts';

/** What stands where no picture was chosen yet. */
const NONE = 'image-x-generic';

export const picture = defineItem({
  type: 'picture',
  title: 'Picture',
  summary: 'A mark or a small picture of yours',
  faces: [
    { id: 'bare', title: 'Bare' },
    { id: 'round', title: 'Round' },
    { id: 'framed', title: 'Framed' },
  ],
  options: z.looseObject({
    picture: refers(
      field(
        z
          .string()
          .max(120)
          .default('')
          .meta({ description: 'freedesktop icon name, or a picture of one’s own as own: and its SHA-256' }),
        { label: 'Picture', is: 'content', control: 'own-picture' },
      ),
      'picture',
    ),
  }),
  view: ({ picture: name }, face) => ({ name: name || NONE, face }),
  layout: (_, _face, context) => layIcon(null, context),
});
