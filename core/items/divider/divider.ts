import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { layBlank } from '../blank.ts';

/** Px along the edge. */
const LENGTH = 13;

export const divider = defineItem({
  type: 'divider',
  title: 'Divider',
  summary: 'A thin line between groups',
  options: z.looseObject({
    reach: field(z.number().min(10).max(100).default(50), { label: 'Reach', unit: '%', control: 'slider' }),
  }),
  view: ({ reach }) => ({ reach }),
  layout({ reach }, context) {
    const { thickness, isVertical } = context;
    const [long, start] = [(thickness * reach) / 100, (thickness * (1 - reach / 100)) / 2];
    const line: Rect = isVertical
      ? { x: start, y: LENGTH / 2, width: long, height: 1 }
      : { x: LENGTH / 2, y: start, width: 1, height: long };
    return { ...layBlank(LENGTH, context), line };
  },
});
