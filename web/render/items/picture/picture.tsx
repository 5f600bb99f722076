import { DeskIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { placeOf } from '../../runs.tsx';

export const PictureItem: ItemDrawing<'picture'> = ({ view, layout }) => (
  <span style={placeOf(layout.icon)}>
    <DeskIcon name={view.name} size={layout.icon.width} />
  </span>
);
