import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { IconPress } from '../icon-press.tsx';

export const ClearViewItem: ItemDrawing<'clear-view'> = ({ view, layout }) => (
  <IconPress
    label={view.title}
    icon={view.icon}
    layout={layout}
    onPress={(actions) => actions.perform('clear-view')}
  />
);
