import { Suspense, useRef, useState, type MouseEvent, type ReactNode } from 'react';
import type { Rect } from '../../../core/values/geometry.ts';
import { useView } from '../../stores/view.ts';
import { OpenMenu, type MenuEntry } from '../../ui/menu-button.tsx';
import { titleOfEdge, titleOfWidget } from '../../../core/desk/part-names.ts';
import { selectedParts, titleOfItem } from '../parts/acts.ts';
import { titleOf } from '../commands/command.ts';
import { commandsById } from '../commands/commands.ts';
import { Keys } from '../commands/key-names.tsx';

const partCommands = [
  'copy',
  'cut',
  'paste',
  'duplicate',
  'group',
  'ungroup',
  'type-in-place',
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
  const [at, setAt] = useState<Rect | null>(null);
  const from = useRef<Element | null>(null);
  function open(event: MouseEvent): void {
    // A desk in use has a menu of its own.
    if (event.defaultPrevented) return;
    event.preventDefault();
    from.current = document.activeElement;
    // By the keyboard it is asked for at a point of what is focused.
    setAt({ x: event.clientX, y: event.clientY, width: 0, height: 0 });
  }
  return (
    <>
      <div className="absolute inset-0" onContextMenu={open}>
        {children}
      </div>
      {at && (
        <Suspense>
          <OpenMenu
            key={`${at.x} ${at.y}`}
            at={at}
            offset={0}
            label="What can be done here"
            entries={entries()}
            onClose={(hasChosen) => {
              setAt(null);
              if (!hasChosen && from.current instanceof HTMLElement) from.current.focus();
            }}
          />
        </Suspense>
      )}
    </>
  );
}

function entries(): MenuEntry[] {
  const { widgets, edge, item } = selectedParts();
  if (useView.getState().selection.length === 0) return entriesOf(deskCommands);
  const [first] = widgets;
  const heading = item
    ? titleOfItem(item.item)
    : edge
      ? titleOfEdge(edge)
      : widgets.length === 1 && first
        ? titleOfWidget(first)
        : `${widgets.length} widgets`;
  return [
    { heading },
    ...entriesOf(partCommands),
    ...(widgets.length > 0 || item ? [{ line: true } as const] : []),
    ...entriesOf(['remove']),
  ];
}

function entriesOf(ids: readonly string[]): MenuEntry[] {
  return ids.flatMap((id): MenuEntry[] => {
    const command = commandsById.get(id);
    if (!command || !(command.isAvailable?.() ?? true)) return [];
    const [keys] = command.keys ?? [];
    return [{ title: titleOf(command), beside: keys && <Keys keys={keys} />, run: command.run }];
  });
}
