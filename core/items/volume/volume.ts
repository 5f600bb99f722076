import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { onNow } from '../../sources/sound/on-now.ts';
import type { Rect } from '../../values/geometry.ts';
import { layIcon, paddingOf } from '../text.ts';

export interface VolumeItemLayout extends Layout {
  icon: Rect;
  /** The groove of a slider; null on other faces. */
  groove: Rect | null;
}

const GROOVE = { long: 84, deep: 4 } as const;

export const volume = defineItem({
  type: 'volume',
  title: 'Volume',
  summary: 'How loud what is played is; a press makes it silent',
  faces: [
    { id: 'sign', title: 'Sign' },
    { id: 'both', title: 'Sign and figure' },
    { id: 'slider', title: 'Slider' },
  ],
  options: z.looseObject({}),
  needs: () => [{ source: 'sound', every: 'second' }],
  view: (_, face, { readings }) => {
    const { volume: loud } = onNow(readings);
    return { loud, label: face === 'both' ? `${Math.round(loud)} %` : null, hasSlider: face === 'slider' };
  },
  layout({ label, hasSlider }, _face, context): VolumeItemLayout {
    const laid = layIcon(label, context);
    if (!hasSlider) return { ...laid, groove: null };
    const { thickness, isVertical } = context;
    const from = isVertical ? laid.icon.y + laid.icon.height + 6 : laid.icon.x + laid.icon.width + 6;
    const across = (thickness - GROOVE.deep) / 2;
    const groove = isVertical
      ? { x: across, y: from, width: GROOVE.deep, height: GROOVE.long }
      : { x: from, y: across, width: GROOVE.long, height: GROOVE.deep };
    const long = Math.ceil(from + GROOVE.long + paddingOf(context));
    return {
      ...laid,
      size: isVertical ? { width: thickness, height: long } : { width: long, height: thickness },
      groove,
    };
  },
});
