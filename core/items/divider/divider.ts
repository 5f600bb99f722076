import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';

export const divider = defineItem({
  type: 'divider',
  title: 'Divider',
  summary: 'A thin line between groups',
  options: z.looseObject({
    reach: z.number().min(10).max(100).default(50).meta({ label: 'Reach', unit: '%', control: 'slider' }),
  }),
  view: ({ reach }) => ({ reach }),
  length: () => 13,
});
