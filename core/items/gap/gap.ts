import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';

export const gap = defineItem({
  type: 'gap',
  title: 'Gap',
  summary: 'A fixed blank',
  options: z.looseObject({
    size: z.number().min(0).max(2000).default(24).meta({ label: 'Length', unit: 'px' }),
  }),
  view: ({ size }) => ({ size }),
  length: ({ size }) => size,
});
