import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';

export const spring = defineItem({
  type: 'spring',
  title: 'Spring',
  summary: 'A blank that stretches and pushes its neighbours apart',
  options: z.looseObject({
    weight: z.number().min(0.1).max(20).default(1).meta({ label: 'Share', unit: '×' }),
  }),
  weight: ({ weight }) => weight,
  view: ({ weight }) => ({ weight }),
  length: () => 0,
});
