import type { ItemViewOf } from '../../../../core/items/list.ts';
import type { EdgeFacts } from '../../edge-facts.ts';
import { DeskIcon } from '../../icons.tsx';
import { Press } from '../../press.tsx';
import { setIn } from '../../type.ts';

export function AppListItem({ view, edge }: { view: ItemViewOf<'app-list'>; edge: EdgeFacts }) {
  return (
    <Press
      label="Open the app list"
      onPress={(actions) => actions.openAppList()}
      className="panel-press flex size-full items-center justify-center gap-2 rounded-md"
      style={setIn('text', { size: view.fontSize, weight: 500 })}
    >
      <DeskIcon name={view.icon} size={edge.iconSize} />
      {view.label && <span className="whitespace-nowrap">{view.label}</span>}
    </Press>
  );
}
