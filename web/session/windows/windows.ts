import { nanoid } from 'nanoid';
import type { WindowAct as KeyAct } from '../../../core/menus/acts.ts';
import { open as openWindow } from '../../../core/windows/acts.ts';
import type { SoundAct } from '../../../core/sources/sound/player.ts';
import { contentOf } from '../../../core/windows/contents/list.ts';
import { done, performed, signPressed } from '../../../core/windows/doing.ts';
import { handleKey as keyed } from '../../../core/windows/gestures.ts';
import { screenOf, type Outcome, type WindowAct, type WindowsNow } from '../../../core/windows/now.ts';
import { MOST_WINDOWS, onDesk } from '../../../core/windows/trial.ts';
import { named, type Edit } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { OverviewAct } from '../../render/actions.ts';
import { persist } from '../../later.ts';
import { toast } from '../../ui/toast.ts';
import { useConditions } from '../conditions.ts';
import { presentDesk, useDesk } from '../desk.ts';
import { useScene } from '../scene.ts';

/** What is done with the windows that are open: they are conditions, so nothing of it is a step of the history. */

/** The windows of the open desk, all on screens and workspaces that are there; null while none is open. */
function windowsNow(): WindowsNow | null {
  const desk = presentDesk();
  if (!desk) return null;
  const { windows, workspace, cleared, handled } = useConditions.getState();
  const { screens, workspaces, applications } = desk;
  return {
    windows: onDesk(windows, screens, workspaces, applications),
    workspace: workspaces[Math.min(workspace, workspaces.length - 1)]?.id ?? '',
    workspaces,
    screens: useScene.getState().scene?.screens ?? [],
    gaps: desk.windows.gaps,
    cleared,
    handled,
  };
}

/** Decides by what is just now, and lets it come about. */
function decide(by: (now: WindowsNow) => Outcome): void {
  const now = windowsNow();
  if (!now) return;
  const { windows, hint, cleared, handled, workspace, say } = by(now);
  const { setWindows } = useConditions.getState();
  if (windows && windows !== useConditions.getState().windows) setWindows(windows);
  if (hint !== undefined && hint !== useConditions.getState().windowHint)
    useConditions.setState({ windowHint: hint });
  if (cleared) useConditions.setState({ cleared });
  if (handled !== undefined) useConditions.setState({ handled });
  if (workspace !== undefined) showWorkspace(workspace);
  if (say !== undefined) toast(say);
}

function showWorkspace(id: string): void {
  const index = presentDesk()?.workspaces.findIndex((one) => one.id === id) ?? -1;
  if (index >= 0) useConditions.getState().goTo(index);
}

/** Opens a window of an application on a screen. */
export function open(application: string, on: string | null): void {
  const desk = presentDesk();
  const known = desk?.applications.find(({ id }) => id === application);
  if (!desk || !known) return;
  decide((now) => {
    const screen = screenOf(now, on);
    if (!screen) return {};
    if (now.windows.length >= MOST_WINDOWS)
      return { say: `${MOST_WINDOWS} windows are open: close one before another opens.` };
    const windows = openWindow(now.windows, {
      id: nanoid(8),
      application,
      size: contentOf(known).size,
      workspaces: desk.workspaces,
      workspace: useConditions.getState().workspace,
      screen,
      gaps: desk.windows.gaps,
      habit: desk.windows.habits.find((habit) => habit.application === application) ?? null,
    });
    const opened = windows === now.windows ? null : windows.at(-1);
    return opened && opened.workspace !== now.workspace
      ? { windows, workspace: opened.workspace }
      : { windows };
  });
}

/** The sign of an application that runs was pressed. */
export const press = (application: string): void => decide((now) => signPressed(now, application));

export function doWindow(act: WindowAct): void {
  if (act.does === 'content') {
    const { content } = act;
    if (content.by === 'sound') return play({ does: content.act });
    if (content.by === 'track') return play({ does: 'play', track: content.id });
  }
  decide((now) => done(now, act));
}

function play(act: SoundAct): void {
  void persist(() => import('../sound/player.ts')).then(({ soundPlayer }) => soundPlayer.perform(act));
}

/** What a key, a button or an entry of a menu does with windows; `on` is the screen in view. */
export function perform(act: KeyAct, on: string | null): void {
  if (act === 'overview') turnOverview(on);
  else decide((now) => performed(now, act, on));
}

/** A key while a window is moved or sized by keys. */
export const handleKey = ({ key, shiftKey }: KeyboardEvent): void =>
  decide((now) => keyed(now, { key, isFar: shiftKey }));

function turnOverview(on: string | null): void {
  const now = windowsNow();
  const screen = now && screenOf(now, on)?.id;
  const { overview } = useConditions.getState();
  useConditions.setState({
    open: null,
    overview: overview || !screen ? null : { screen, query: '', chosen: null },
  });
}

/** What is done in the overview. */
export function doOverview(act: OverviewAct): void {
  const { overview } = useConditions.getState();
  const close = () => useConditions.setState({ overview: null });
  const set = (change: object) =>
    overview && useConditions.setState({ overview: { ...overview, ...change } });
  const edit = (by: Edit) => void useDesk.getState().edit(by);
  switch (act.does) {
    case 'close':
      return close();
    case 'type':
      return void set({ query: act.query, chosen: null });
    case 'step': {
      const at = overview?.chosen ?? startOf();
      return void set({ chosen: at + act.by });
    }
    case 'take': {
      const chosen = useScene.getState().scene?.screens.find((one) => one.overview)?.overview?.chosen;
      if (chosen?.by === 'workspace') return (close(), showWorkspace(chosen.id));
      if (chosen?.by === 'window') return doOverview({ does: 'window', window: chosen.id });
      if (chosen) return doOverview({ does: 'start', application: chosen.id });
      return;
    }
    case 'go':
      close();
      return useConditions.getState().goTo(act.index);
    case 'window':
      close();
      return doWindow({ does: 'show', window: act.window });
    case 'start':
      close();
      return open(act.application, overview?.screen ?? null);
    case 'add':
      return edit(edits.addWorkspace(nanoid(8), `Workspace ${(presentDesk()?.workspaces.length ?? 0) + 1}`));
    case 'rename':
      return edit(edits.renameWorkspace(act.workspace, act.name));
    case 'remove':
      return edit(named('Remove workspace', edits.remove([act.workspace])));
  }
}

/** The entry that is chosen before anybody walks: the first that was found, or the workspace in front. */
function startOf(): number {
  const { overview, workspace } = useConditions.getState();
  return overview?.query.trim() ? 0 : workspace;
}
