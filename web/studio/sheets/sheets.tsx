import { Fragment } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { later } from '../../later.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { Dialog } from '../../ui/dialog.tsx';
import { NameForm } from '../../ui/name-form.tsx';
import { HistorySheet } from './history-sheet.tsx';
import { KeepsSheet } from './keeps-sheet.tsx';
import { groups } from '../commands/command.ts';
import { commands } from '../commands/commands.ts';
import { Keys } from '../commands/key-names.tsx';
import { ScreensSheet } from '../header/screens.tsx';
import { SearchSheet } from '../search/search-sheet.tsx';
import { WorkspacesSheet } from '../header/workspaces.tsx';

const PlaceOnEarth = later(() => import('../place/place-sheet.tsx'));

/** Everything that opens over the studio. */
export default function Sheets() {
  const sheet = useView((view) => view.sheet);
  const open = useView((view) => view.open);
  const close = () => open(null);
  return (
    <>
      {sheet === 'commands' && <SearchSheet onClose={close} />}
      <Dialog title="Shortcuts" isOpen={sheet === 'shortcuts'} onClose={close} width={620}>
        <Shortcuts />
      </Dialog>
      <Dialog title="Rename the desk" isOpen={sheet === 'rename'} onClose={close}>
        <NameForm
          name={presentDesk()?.name ?? ''}
          onRename={(name) => useDesk.getState().edit(edits.rename(name))}
          onLeave={close}
        />
      </Dialog>
      <Dialog
        title="History"
        description="Point at a step to see the desk as it was; press it to go there. Nothing is lost by going back."
        isOpen={sheet === 'history'}
        onClose={close}
        width={760}
      >
        <HistorySheet onDone={close} />
      </Dialog>
      <Dialog
        title="Keeps"
        description="Named states of this desk, kept for good. Press one to go back to it; Undo leads back again."
        isOpen={sheet === 'keeps'}
        onClose={close}
        width={760}
      >
        <KeepsSheet onDone={close} />
      </Dialog>
      <Dialog
        title="Place"
        description="Sun, time, weather and tide are those of here."
        isOpen={sheet === 'place'}
        onClose={close}
      >
        <PlaceOnEarth />
      </Dialog>
      <Dialog
        title="Screens"
        description="The desk is solved for each of them. Sizes are in px at the screen's own scale."
        isOpen={sheet === 'screen'}
        onClose={close}
        width={560}
      >
        <ScreensSheet />
      </Dialog>
      <Dialog
        title="Workspaces"
        description="The workspaces item of a panel shows these, in this order."
        isOpen={sheet === 'workspaces'}
        onClose={close}
      >
        <WorkspacesSheet />
      </Dialog>
    </>
  );
}

/** Read off the commands, so that it can't say what is not so. */
function Shortcuts() {
  const byTitle = new Map<string, { title: string; group: string; keys: string[] }>();
  for (const { title, group, keys } of commands) {
    if (!keys) continue;
    const row = byTitle.get(title) ?? { title, group, keys: [] };
    row.keys.push(...keys);
    byTitle.set(title, row);
  }
  const rows = [
    ...byTitle.values(),
    { title: 'While dragging: pass the snaps', group: 'Selection', keys: ['Alt'] },
    { title: 'While dragging: keep to one axis', group: 'Selection', keys: ['Shift'] },
    { title: 'Add to the selection', group: 'Selection', keys: ['Shift+press'] },
  ];
  return (
    <div className="mt-3 columns-2 gap-8">
      {groups.map((group) => {
        const own = rows.filter((row) => row.group === group);
        if (own.length === 0) return null;
        return (
          <section key={group} className="mb-4 break-inside-avoid">
            <h3 className="mb-1 font-semibold">{group}</h3>
            {own.map((row) => (
              <div key={row.title} className="flex justify-between gap-4 py-0.5">
                <span className="text-dust">{row.title}</span>
                <span className="flex flex-wrap justify-end gap-x-2 text-right">
                  {row.keys.map((keys, index) => (
                    <Fragment key={keys}>
                      {index > 0 && ' '}
                      <Keys keys={keys} />
                    </Fragment>
                  ))}
                </span>
              </div>
            ))}
          </section>
        );
      })}
    </div>
  );
}
