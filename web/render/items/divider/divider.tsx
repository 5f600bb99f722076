import type { ItemDrawing } from '../../item-drawing.ts';
import { placeOf } from '../../runs.tsx';

export const DividerItem: ItemDrawing<'divider'> = ({ layout }) => (
  <div
    style={{
      ...placeOf(layout.line),
      background: 'var(--ink)',
      opacity: 0.28,
      borderRadius: layout.line.width,
    }}
  />
);
