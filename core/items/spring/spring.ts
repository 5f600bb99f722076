import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layBlank } from '../blank.ts';
import { blankFaces } from '../faces.ts';

export const spring = defineItem({
  type: 'spring',
  title: 'Spring',
  summary: 'A blank that stretches and pushes its neighbours apart',
  faces: blankFaces,
  options: z.looseObject({
    weight: field(z.number().min(0.1).max(20).default(1), {
      label: 'Share of the room',
      is: 'place',
      unit: '×',
      step: 0.5,
      decimals: 2,
    }),
  }),
  weight: ({ weight }) => weight,
  view: ({ weight }) => ({ weight }),
  isBlank: true,
  layout: (_, _face, context) => layBlank(0, context),
});
