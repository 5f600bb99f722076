import type { ItemDrawing } from '../../item-drawing.ts';
import { IconPress } from '../icon-press.tsx';

export const AppListItem: ItemDrawing<'app-list'> = ({ view, layout }) => (
  <IconPress
    label="Open the app list"
    icon={view.icon}
    layout={layout}
    onPress={(actions) => actions.turnAppList()}
  />
);
