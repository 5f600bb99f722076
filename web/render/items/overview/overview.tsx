import type { ItemDrawing } from '../../edges/item-drawing.ts';
import { IconPress } from '../icon-press.tsx';

export const OverviewItem: ItemDrawing<'overview'> = ({ view, layout }) => (
  <IconPress
    label="Overview of all workspaces"
    icon={view.icon}
    layout={layout}
    onPress={(actions) => actions.perform('overview')}
  />
);
