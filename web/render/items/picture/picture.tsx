import type { CSSProperties } from 'react';
import type { ItemViewOf } from '../../../../core/items/list.ts';
import { DeskIcon } from '../../kit/icons.tsx';
import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { placeOf } from '../../kit/runs.tsx';

const cuts: Record<ItemViewOf<'picture'>['face'], CSSProperties> = {
  bare: {},
  round: { borderRadius: '50%', overflow: 'hidden' },
  framed: { borderRadius: 4, overflow: 'hidden', boxShadow: '0 0 0 1.5px var(--ink)' },
};

export const PictureItem: ItemDrawing<'picture'> = ({ view, layout }) => (
  <span style={{ ...placeOf(layout.icon), ...cuts[view.face] }}>
    <DeskIcon name={view.name} size={layout.icon.width} />
  </span>
);
