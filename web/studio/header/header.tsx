import clsx from 'clsx';
import { Bookmark, ChevronDown, LayoutGrid, MonitorPlay, Plus, Redo2, Undo2 } from 'lucide-react';
import { format } from 'date-fns/format';
import { Link } from 'react-router';
import { LedgeMark } from '../../render/kit/icons.tsx';
import type { SavingState } from '../../session/saving/saver.ts';
import { arrangementNow } from '../../session/arranged.ts';
import { useConditions } from '../../session/conditions.ts';
import { chooseArrangement } from '../../session/arrangements.ts';
import { useDesk } from '../../session/desk.ts';
import { useScene } from '../../session/scene.ts';
import { HeardNow } from '../../session/sound/heard-now.tsx';
import { useScreenInView } from '../../stores/screen.ts';
import { useView } from '../../stores/view.ts';
import { IconButton, Tip } from '../../ui/buttons.tsx';
import { MenuButton, type MenuEntry } from '../../ui/menu-button.tsx';
import { commandsById } from '../commands/commands.ts';
import { Keys } from '../commands/key-names.tsx';
import { liveAddress } from '../../stores/live-address.ts';
import { savePresentAsJson } from '../sheets/kept-aside.ts';

export function Header() {
  const id = useDesk((state) => state.history?.present.id);
  const screen = useScreenInView()?.id ?? null;
  return (
    <header className="col-span-3 flex min-w-0 items-center gap-2 bg-pit pr-4">
      <Tip text="To the shelf">
        <Link to="/" aria-label="Shelf" className="grid h-full w-16 shrink-0 place-items-center text-brass">
          <LedgeMark size={30} />
        </Link>
      </Tip>
      <DeskMenu />
      <SavingNote />
      <ArrangementOn />
      <Screens />
      <div className="ml-auto flex shrink-0 items-center gap-1.5">
        <HeardNow />
        <UndoRedo />
        <IconButton label="Keep this state" onClick={() => useView.getState().open('keeps')}>
          <Bookmark size={17} />
        </IconButton>
        <ModeSwitch />
        <Link
          to={liveAddress(id ?? '', screen)}
          className="ml-2 inline-flex h-8 items-center gap-2 rounded-lg bg-brass px-3 font-semibold text-on-brass hover:brightness-110"
        >
          <MonitorPlay size={16} /> Go live
        </Link>
      </div>
    </header>
  );
}

const deskMenu = [
  'rename',
  'place',
  'screens',
  'workspaces',
  'history',
  'keeps',
  'export',
  null,
  'commands',
  'shortcuts',
];

function DeskMenu() {
  const name = useDesk((state) => state.history?.present.name ?? '');
  return (
    <>
      {/* The page's first heading; the button beside it shows the same name. */}
      <h1 className="sr-only">{name}</h1>
      <MenuButton
        label={`${name}: menu of the desk`}
        className="flex h-9 min-w-0 max-w-[230px] items-center gap-2 rounded-lg px-3.5 hover:bg-velvet"
        // What is chosen opens something that takes the focus.
        returnsFocus={false}
        entries={() =>
          deskMenu.map((id): MenuEntry => {
            const command = id === null ? undefined : commandsById.get(id);
            if (!command) return { line: true };
            const [keys] = command.keys ?? [];
            return { title: command.title, beside: keys && <Keys keys={keys} />, run: command.run };
          })
        }
      >
        <span className="truncate font-display text-[18px] font-medium">{name}</span>
        <ChevronDown size={15} className="shrink-0 text-dust" />
      </MenuButton>
    </>
  );
}

const keptText = ({ isKeptHere }: { isKeptHere: boolean }) =>
  isKeptHere ? 'kept in this browser' : 'not kept: this browser has no room for it, or may keep nothing';

/** Whether the work lies nowhere but in this page. */
const isOnlyHere = (saving: SavingState) =>
  saving.state === 'refused' || ((saving.state === 'gone' || saving.state === 'held') && !saving.isKeptHere);

function savingText(saving: SavingState): { text: string; isBad: boolean } {
  switch (saving.state) {
    case 'kept':
      return { text: saving.at ? `kept ${format(saving.at, 'HH:mm')}` : 'kept', isBad: false };
    case 'changed':
      return { text: 'changed', isBad: false };
    case 'saving':
      return { text: 'keeping…', isBad: false };
    case 'gone':
      return { text: `server gone; ${keptText(saving)}`, isBad: true };
    case 'held':
      return { text: `${keptText(saving)}: ${saving.sentence}`, isBad: true };
    case 'conflict':
      return { text: 'changed in two places', isBad: true };
    case 'refused':
      return { text: `not kept: ${saving.sentence}`, isBad: true };
  }
}

function SavingNote() {
  const saving = useDesk((state) => state.saving);
  const { text, isBad } = savingText(saving);
  return (
    <span
      role="status"
      data-saving={saving.state}
      data-revision={saving.state === 'kept' ? saving.revision : undefined}
      title={text}
      className={clsx('flex min-w-0 max-w-[330px] text-[12.5px]', isBad ? 'text-rust' : 'text-dust')}
    >
      {/* What is wrong is said whole, in two lines if need be. */}
      <span className={isBad ? 'line-clamp-2 leading-[1.25]' : 'truncate'}>{text}</span>
      {isOnlyHere(saving) && (
        <button
          type="button"
          onClick={savePresentAsJson}
          className="ml-2 shrink-0 text-brass hover:underline"
        >
          Save it as a file
        </button>
      )}
    </span>
  );
}

/** Which arrangement is on: what is changed goes to it. */
function ArrangementOn() {
  const desk = useDesk((state) => state.history?.present);
  // Another one is on with another moment, half or workspace.
  useConditions(({ moment, half, workspace }) => `${Math.floor(moment / 60_000)} ${half} ${workspace}`);
  if (!desk || desk.arrangements.list.length === 0) return null;
  const on = arrangementNow(desk);
  const { list } = desk.arrangements;
  const name = list.find(({ id }) => id === on)?.name ?? '';
  return (
    <MenuButton
      label={`Arrangement: ${name}`}
      className="flex h-8 min-w-0 max-w-[180px] items-center gap-1.5 rounded-lg px-2.5 text-[12.5px] text-dust hover:bg-velvet hover:text-chalk"
      entries={() => [
        ...list.map((one) => ({
          title: one.name,
          isChosen: one.id === on,
          run: () => chooseArrangement(one.id),
        })),
        { line: true as const },
        {
          title: 'Arrangements…',
          run: () => useView.getState().goToChapter('widgets', 'arrangements'),
        },
      ]}
    >
      <LayoutGrid size={14} className="shrink-0" />
      <span className="truncate" data-arrangement={on}>
        {name}
      </span>
    </MenuButton>
  );
}

function Screens() {
  const scene = useScene((state) => state.scene);
  const current = useScreenInView();
  const showScreen = useView((view) => view.showScreen);
  const open = useView((view) => view.open);
  if (!scene) return null;
  return (
    <div
      className="ml-auto flex min-w-0 shrink items-center gap-1 overflow-hidden"
      role="group"
      aria-label="Screens"
    >
      {scene.screens.map((screen) => {
        const { width, height } = screen.rect;
        const isCurrent = screen.id === current?.id;
        const tall = height > width;
        return (
          <button
            key={screen.id}
            type="button"
            aria-pressed={isCurrent}
            title={`${screen.name}, ${width} × ${height}`}
            onClick={() => (isCurrent ? open('screen') : showScreen(screen.id))}
            className={clsx(
              'flex h-8 min-w-0 max-w-[210px] items-center gap-2 whitespace-nowrap rounded-lg px-2.5 text-[12.5px]',
              isCurrent ? 'bg-nap text-chalk' : 'text-dust hover:text-chalk',
            )}
          >
            <span
              className="shrink-0 rounded-[3px] border-[1.5px] border-current"
              style={tall ? { width: 11, height: 15 } : { width: 20, height: 12 }}
            />
            <span className="truncate">{screen.name}</span>
            {scene.screens.length < 3 && (
              <span className="hidden shrink-0 font-mono text-[11.5px] text-dust min-[1500px]:inline">
                {width} × {height}
              </span>
            )}
          </button>
        );
      })}
      <IconButton label="Screens: sizes, and more of them" onClick={() => open('screen')}>
        <Plus size={16} />
      </IconButton>
    </div>
  );
}

function UndoRedo() {
  const past = useDesk((state) => state.history?.past.at(-1)?.label);
  const future = useDesk((state) => state.history?.future[0]?.label);
  const { undo, redo } = useDesk.getState();
  return (
    <>
      <IconButton label={past ? `Undo: ${past}` : 'Nothing to undo'} disabled={!past} onClick={undo}>
        <Undo2 size={17} />
      </IconButton>
      <IconButton label={future ? `Redo: ${future}` : 'Nothing to redo'} disabled={!future} onClick={redo}>
        <Redo2 size={17} />
      </IconButton>
    </>
  );
}

function ModeSwitch() {
  const mode = useView((view) => view.mode);
  const setMode = useView((view) => view.setMode);
  return (
    <div role="group" aria-label="What the pointer does" className="ml-1 flex h-8 rounded-lg bg-velvet p-0.5">
      {(['arrange', 'try'] as const).map((id) => (
        <button
          key={id}
          type="button"
          aria-pressed={mode === id}
          onClick={() => setMode(id)}
          className={clsx(
            'rounded-md px-3 font-medium',
            mode === id ? 'bg-seam text-chalk' : 'text-dust hover:text-chalk',
          )}
        >
          {id === 'arrange' ? 'Arrange' : 'Try'}
        </button>
      ))}
    </div>
  );
}
