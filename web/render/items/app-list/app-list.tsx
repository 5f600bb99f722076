import type { ItemViewOf } from '../../../../core/items/list.ts';
import type { EdgeFacts } from '../../edge-facts.ts';
import { DeskIcon } from '../../icons.tsx';
import { Press } from '../../press.tsx';

export function AppListItem({ view, edge }: { view: ItemViewOf<'app-list'>; edge: EdgeFacts }) {
  return (
    <Press
      label="Open the app list"
      onPress={(actions) => actions.openAppList()}
      className="panel-press flex size-full items-center justify-center gap-2 rounded-md"
      style={{ fontSize: view.fontSize }}
    >
      <DeskIcon name={view.icon} size={edge.iconSize} />
      {view.label && <span className="whitespace-nowrap font-medium">{view.label}</span>}
    </Press>
  );
}
