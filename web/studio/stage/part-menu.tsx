import { ContextMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { useView } from '../../stores/view.ts';
import { menuItem, menuLabel, menuLine, menuPanel } from '../../ui/menu.ts';
import { selectedParts, titleOfEdge, titleOfItem, titleOfWidget } from '../acts.ts';
import { titleOf } from '../command.ts';
import { commandsById } from '../commands.ts';
import { Keys } from '../key-names.tsx';

const partCommands = [
  'copy',
  'cut',
  'paste',
  'duplicate',
  'to-screen',
  'show-selection',
  'lock',
  'clicks',
  'order-front',
  'order-forward',
  'order-behind',
  'order-back',
  'align-x-start',
  'align-x-centre',
  'align-x-end',
  'align-y-start',
  'align-y-centre',
  'align-y-end',
  'distribute-x',
  'distribute-y',
];
const deskCommands = [
  'undo',
  'redo',
  'paste',
  'all',
  'add-panel',
  'add-dock',
  'half',
  'chapter-backdrop',
  'chapter-palette',
  'try',
];

/** The menu of the right button: what can be done with what lies under it. */
export function PartMenu({ children }: { children: ReactNode }) {
  return (
    <ContextMenu.Root modal={false}>
      <ContextMenu.Trigger asChild>{children}</ContextMenu.Trigger>
      <ContextMenu.Portal>
        <ContextMenu.Content className={menuPanel}>
          <MenuBody />
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}

function MenuBody() {
  const selection = useView((view) => view.selection);
  const { widgets, edge, item } = selectedParts();
  if (selection.length === 0) return <Entries ids={deskCommands} />;
  const [first] = widgets;
  const title = item
    ? titleOfItem(item.item)
    : edge
      ? titleOfEdge(edge)
      : widgets.length === 1 && first
        ? titleOfWidget(first)
        : `${widgets.length} widgets`;
  return (
    <>
      <ContextMenu.Label className={menuLabel}>{title}</ContextMenu.Label>
      <Entries ids={partCommands} />
      {widgets.length > 0 || item ? <ContextMenu.Separator className={menuLine} /> : null}
      <Entries ids={['remove']} />
    </>
  );
}

function Entries({ ids }: { ids: readonly string[] }) {
  return ids.map((id) => {
    const command = commandsById.get(id);
    if (!command || !(command.isAvailable?.() ?? true)) return null;
    return (
      <ContextMenu.Item key={id} className={menuItem} onSelect={command.run}>
        {titleOf(command)}
        {command.keys?.[0] && <Keys keys={command.keys[0]} />}
      </ContextMenu.Item>
    );
  });
}
