import { DeskIcon } from '../../icons.tsx';
import type { ItemDrawing } from '../../item-drawing.ts';
import { Press } from '../../press.tsx';
import { Runs, placeOf } from '../../runs.tsx';

export const AppListItem: ItemDrawing<'app-list'> = ({ view, layout }) => (
  <Press label="Open the app list" onPress={(actions) => actions.turnAppList()} className="panel-press">
    <span style={placeOf(layout.icon)}>
      <DeskIcon name={view.icon} size={layout.icon.width} />
    </span>
    <Runs runs={layout.runs} />
  </Press>
);
