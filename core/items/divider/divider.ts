import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import type { Rect } from '../../values/geometry.ts';
import { layBlank } from '../blank.ts';

export const divider = defineItem({
  type: 'divider',
  title: 'Divider',
  summary: 'A thin line between groups',
  faces: [
    { id: 'line', title: 'Line' },
    { id: 'fade', title: 'Fading line' },
    { id: 'dots', title: 'Dots' },
  ],
  options: z.looseObject({
    reach: field(z.number().min(1).max(100).default(50), { label: 'Length', unit: '%', control: 'slider' }),
    thick: field(z.number().min(1).max(24).default(1).meta({ description: 'px' }), {
      label: 'Thickness',
      unit: 'px',
      control: 'slider',
    }),
    room: field(z.number().min(1).max(80).default(13).meta({ description: 'px along the edge' }), {
      label: 'Room',
      unit: 'px',
      control: 'slider',
    }),
  }),
  view: ({ reach, thick, room }, face) => ({ reach, thick, room: Math.max(room, thick), face }),
  layout({ reach, thick, room }, _face, context) {
    const { thickness, isVertical } = context;
    // Down to a dot: never shorter than it is thick.
    const long = Math.max(thick, (thickness * reach) / 100);
    const start = (thickness - long) / 2;
    const line: Rect = isVertical
      ? { x: start, y: (room - thick) / 2, width: long, height: thick }
      : { x: (room - thick) / 2, y: start, width: thick, height: long };
    return { ...layBlank(room, context), line };
  },
});
