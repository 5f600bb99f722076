import { Columns2, Columns3, Grid2x2, PanelLeft, X } from 'lucide-react';
import type { Desk } from '../../../../core/desk/desk.ts';
import { deskActs, type DeskAct } from '../../../../core/menus/acts.ts';
import { titleOf } from '../../../../core/windows/contents/list.ts';
import type { TrialWindow } from '../../../../core/windows/trial.ts';
import { deskActions } from '../../../session/actions.ts';
import { useConditions } from '../../../session/conditions.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { SelectField } from '../../../ui/choice.tsx';
import { Section } from '../../../ui/section.tsx';
import { openSome, startable } from './open-some.ts';

const tilings = [
  ['tile-columns', Columns3],
  ['tile-halves', Columns2],
  ['tile-grid', Grid2x2],
  ['tile-stack', PanelLeft],
] as const satisfies readonly (readonly [DeskAct, unknown])[];

/** The windows on the stage: what the rest of the chapter is judged by. */
export function OpenWindows({ desk }: { desk: Desk }) {
  const windows = useConditions((state) => state.windows);
  const applications = startable(desk);
  return (
    <Section title="On the stage" note={windows.length === 0 ? 'none open' : `${windows.length} open`}>
      {windows.length === 0 && (
        <>
          <p className="text-[12px] text-dust">
            Windows are tried here and kept beside the desk, not in it. Open some to see what frames them.
          </p>
          <div>
            <Button disabled={applications.length === 0} onClick={() => openSome(desk)}>
              Open three
            </Button>
          </div>
        </>
      )}
      {windows.length > 0 && (
        <>
          <ul className="grid gap-0.5" aria-label="Open windows">
            {[...windows].reverse().map((window) => (
              <OpenRow key={window.id} window={window} desk={desk} />
            ))}
          </ul>
          <div className="flex items-center gap-1">
            {tilings.map(([act, Icon]) => (
              <IconButton key={act} label={deskActs[act].title} onClick={() => deskActions.perform(act)}>
                <Icon size={16} />
              </IconButton>
            ))}
            <Button className="ml-auto" onClick={() => useConditions.getState().setWindows([])}>
              Close all
            </Button>
          </div>
        </>
      )}
      {applications.length > 0 && (
        <SelectField
          label="Open another window"
          value=""
          placeholder="Open another…"
          choices={applications.map(({ id, Name }) => ({ value: id, label: Name }))}
          onChange={(id) => deskActions.open(id)}
        />
      )}
    </Section>
  );
}

function OpenRow({ window, desk }: { window: TrialWindow; desk: Desk }) {
  const application = desk.applications.find(({ id }) => id === window.application);
  const workspace = desk.workspaces.find(({ id }) => id === window.workspace);
  if (!application) return null;
  const title = titleOf(application);
  return (
    <li className="flex items-center gap-2">
      <button
        type="button"
        className="flex h-8 min-w-0 flex-1 items-center gap-2 rounded px-1 text-left hover:text-brass"
        onClick={() => deskActions.window({ does: 'go', window: window.id })}
      >
        <span className="truncate">{title}</span>
        <span className="ml-auto shrink-0 text-[12px] text-dust">
          {window.isMinimised ? 'minimised' : (workspace?.name ?? '')}
        </span>
      </button>
      <IconButton
        label={`Close ${title}`}
        className="!size-7"
        onClick={() => deskActions.window({ does: 'close', window: window.id })}
      >
        <X size={14} />
      </IconButton>
    </li>
  );
}

/** Where nothing is open there is nothing to judge by. */
export function OpenSomeHint() {
  const isEmpty = useConditions((state) => state.windows.length === 0);
  if (!isEmpty) return null;
  return (
    <p className="mb-3 flex items-center gap-2 text-[12px] text-dust">
      No window is open.
      <Button onClick={() => openSome()}>Open three</Button>
    </p>
  );
}
