import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layBlank } from '../blank.ts';
import { blankFaces } from '../faces.ts';

export const gap = defineItem({
  type: 'gap',
  title: 'Gap',
  summary: 'A fixed blank',
  faces: blankFaces,
  options: z.looseObject({
    size: field(z.number().min(0).max(2000).default(24), { label: 'Length', is: 'place', unit: 'px' }),
  }),
  view: ({ size }) => ({ size }),
  isBlank: true,
  layout: ({ size }, _face, context) => layBlank(size, context),
});
