import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import type { Rect } from '../../values/geometry.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { layIcon, laySign, paddingOf, type IconLayout } from '../text.ts';

export interface HalfItemLayout extends IconLayout {
  /** The groove in which the knob of a switch stands; null on other faces. */
  groove: Rect | null;
}

/** Of the icon: how long a switch is, and how deep its groove. */
const SWITCH = { long: 1.8, deep: 0.9 } as const;

export const half = defineItem({
  type: 'half',
  title: 'Light and dark switch',
  summary: 'Looks at the other half of the desk',
  faces: [...signFaces, { id: 'switch', title: 'Switch' }],
  options: z.looseObject({}),
  view: (_, face, context) => ({
    half: context.half,
    icon: context.half === 'light' ? 'weather-clear' : 'weather-clear-night',
    label: face === 'switch' ? null : wordsOf(context.half === 'light' ? 'Light' : 'Dark', face, context),
  }),
  layout({ label, half: now }, face, context): HalfItemLayout {
    if (face !== 'switch') return { ...laySign(label, face, context), groove: null };
    const { iconSize, thickness, isVertical } = context;
    const padding = paddingOf(context);
    const deep = Math.round(iconSize * SWITCH.deep);
    const long = Math.round(iconSize * SWITCH.long);
    const across = (thickness - deep) / 2;
    // Light is at the beginning: upright, above.
    const groove = isVertical
      ? { x: across, y: padding, width: deep, height: long }
      : { x: padding, y: across, width: long, height: deep };
    const knob = deep - 6;
    const to = now === 'light' ? 3 : long - knob - 3;
    const icon = isVertical
      ? { x: groove.x + 3, y: groove.y + to, width: knob, height: knob }
      : { x: groove.x + to, y: groove.y + 3, width: knob, height: knob };
    const { size } = layIcon(null, context);
    const along = long + 2 * padding;
    return {
      size: isVertical ? { ...size, height: along } : { ...size, width: along },
      runs: [],
      icon,
      groove,
    };
  },
});
