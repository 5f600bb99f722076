import { nanoid } from 'nanoid';
import type { WindowAct } from '../../../core/menus/acts.ts';
import { moveInside, type Point, type Rect } from '../../../core/values/geometry.ts';
import {
  carry,
  clearView,
  close,
  intoHalf,
  intoSlot,
  minimise,
  nextWindow,
  open as openWindow,
  pressed,
  put,
  tile,
  toFront,
  toScreen,
  turnFill,
  type WindowScreen,
} from '../../../core/windows/acts.ts';
import { caught, sized, slotAt, type Grip } from '../../../core/windows/catching.ts';
import { contentOf } from '../../../core/windows/contents/list.ts';
import type { ContentDoes } from '../../../core/windows/contents/page.ts';
import { rectOf, within } from '../../../core/windows/place.ts';
import type { Tiling } from '../../../core/windows/tiling.ts';
import { MOST_WINDOWS, frontOf, onDesk, type Slot, type TrialWindow } from '../../../core/windows/trial.ts';
import { named, type Edit } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import type { MoveAct, OverviewAct, WindowAct as OnWindow } from '../../render/actions.ts';
import { persist } from '../../later.ts';
import { toast } from '../../ui/toast.ts';
import { useConditions } from '../conditions.ts';
import { presentDesk, useDesk } from '../desk.ts';
import { useScene } from '../scene.ts';

/** What is done with the windows that are open: they are conditions, so nothing of it is a step of the history. */

/** All windows, on screens and workspaces that are there. */
function windowsNow(): readonly TrialWindow[] {
  const desk = presentDesk();
  const { windows } = useConditions.getState();
  return desk ? onDesk(windows, desk.screens, desk.workspaces, desk.applications) : windows;
}

function change(by: (windows: readonly TrialWindow[]) => readonly TrialWindow[]): void {
  const before = useConditions.getState().windows;
  const after = by(windowsNow());
  if (after !== before) useConditions.getState().setWindows(after);
}

/** Id of the workspace in front. */
function workspaceNow(): string {
  const { workspaces = [] } = presentDesk() ?? {};
  const { workspace } = useConditions.getState();
  return workspaces[Math.min(workspace, workspaces.length - 1)]?.id ?? '';
}

function screenOf(id: string | null): WindowScreen | null {
  const screens = useScene.getState().scene?.screens ?? [];
  return screens.find((one) => one.id === id) ?? screens[0] ?? null;
}

const found = (id: string) => windowsNow().find((one) => one.id === id) ?? null;

/** Where a window is now. */
function rectNow(window: TrialWindow): Rect {
  const screen = screenOf(window.screen);
  const gaps = presentDesk()?.windows.gaps;
  return screen && gaps ? rectOf(window, screen.free, screen.rect, gaps) : window.rect;
}

/** Opens a window of an application on a screen. */
export function open(application: string, on: string | null): void {
  const desk = presentDesk();
  const known = desk?.applications.find(({ id }) => id === application);
  const screen = screenOf(on);
  if (!desk || !known || !screen) return;
  if (windowsNow().length >= MOST_WINDOWS) {
    toast(`${MOST_WINDOWS} windows are open: close one before another opens.`);
    return;
  }
  const before = windowsNow().length;
  change((windows) =>
    openWindow(windows, {
      id: nanoid(8),
      application,
      size: contentOf(known).size,
      workspaces: desk.workspaces,
      workspace: useConditions.getState().workspace,
      screen,
      gaps: desk.windows.gaps,
      habit: desk.windows.habits.find((habit) => habit.application === application) ?? null,
    }),
  );
  const opened = windowsNow().at(-1);
  if (windowsNow().length > before && opened && opened.workspace !== workspaceNow())
    showWorkspace(opened.workspace);
}

/** The sign of an application that runs was pressed. */
export function press(application: string): void {
  change((windows) => pressed(windows, application, workspaceNow()));
  const there = windowsNow().findLast((one) => one.application === application);
  if (there && !there.isMinimised) showWorkspace(there.workspace);
}

function showWorkspace(id: string): void {
  const index = presentDesk()?.workspaces.findIndex((one) => one.id === id) ?? -1;
  if (index >= 0) useConditions.getState().goTo(index);
}

export function doWindow(act: OnWindow): void {
  const window = found(act.window);
  if (!window) return;
  switch (act.does) {
    case 'front':
      return change((windows) => toFront(windows, act.window));
    case 'minimise':
      return change((windows) => minimise(windows, act.window));
    case 'fill':
      return change((windows) => turnFill(toFront(windows, act.window), act.window));
    case 'close':
      return change((windows) => close(windows, act.window));
    case 'move':
      return move(window, act);
    case 'size':
      return size(window, act);
    case 'content':
      return onContent(window, act.content);
    case 'show':
      change((windows) => toFront(windows, act.window));
      return showWorkspace(window.workspace);
    case 'go': {
      const isFront = frontOf(windowsNow(), workspaceNow())?.id === act.window;
      change((windows) => (isFront ? minimise(windows, act.window) : toFront(windows, act.window)));
      return isFront ? undefined : showWorkspace(window.workspace);
    }
    case 'carry':
      return change((windows) => carry(windows, act.window, act.workspace));
  }
}

/** What a window catches on besides the free area. */
function othersOf(window: TrialWindow): Rect[] {
  return windowsNow()
    .filter(
      (one) =>
        one.id !== window.id &&
        one.screen === window.screen &&
        one.workspace === window.workspace &&
        !one.isMinimised &&
        !one.isFilled,
    )
    .map(rectNow);
}

function catchesFor(window: TrialWindow, screen: WindowScreen) {
  const { outer = 0, inner = 0, snap = 0 } = presentDesk()?.windows.gaps ?? {};
  return { free: screen.free, others: othersOf(window), outer, inner, within: snap };
}

/** How far a filled or caught window is dragged before it comes loose, px. */
const LOOSE = 10;

function move(window: TrialWindow, act: MoveAct): void {
  const { from, by, at, isFree, isLast } = act;
  const screen = screenOf(window.screen);
  const gaps = presentDesk()?.windows.gaps;
  if (!screen || !gaps) return;
  const onto = ontoBeside(window, act);
  if (isLast && onto) return dropBeside(window, onto);
  const slot = gaps.catches && !isFree && !onto ? slotAt(at, screen.rect) : null;
  if (isLast && slot) {
    useConditions.setState({ windowHint: null });
    // It comes out of the half as large as it was before it went in, and where it was unless that was a half, too.
    const { width, height } = window.rect;
    const isOwn = from.width === width && from.height === height;
    change((windows) => put(windows, window.id, isOwn ? from : window.rect));
    return change((windows) => intoSlot(windows, window.id, slot));
  }
  useConditions.setState({ windowHint: onto ?? (slot && !isLast ? { screen: screen.id, slot } : null) });
  const isHeld = window.isFilled || window.slot !== null;
  if (isHeld && Math.hypot(by.x, by.y) < LOOSE) return;
  const start = looseFrom(window, from, at, by);
  const moved = { ...start, x: start.x + by.x, y: start.y + by.y };
  const snap = isFree || onto ? { x: 0, y: 0 } : caught(moved, catchesFor(window, screen));
  const rect = { ...moved, x: Math.round(moved.x + snap.x), y: Math.round(moved.y + snap.y) };
  change((windows) => put(windows, window.id, within(rect, screen.rect)));
}

type Onto = { screen: string; rect: Rect; slot: Slot | null };

/** Where a window would go on another screen that the pointer holds it over; null over its own. */
function ontoBeside(window: TrialWindow, { from, by, at, beside, isFree }: MoveAct): Onto | null {
  const screen = beside && useScene.getState().scene?.screens.find(({ id }) => id === beside.screen);
  if (!screen) return null;
  const catches = !isFree && presentDesk()?.windows.gaps.catches;
  const start = looseFrom(window, from, at, by);
  const moved = {
    ...start,
    x: start.x + by.x + beside.at.x - at.x,
    y: start.y + by.y + beside.at.y - at.y,
  };
  return {
    screen: screen.id,
    rect: within(rounded(moved), screen.rect),
    slot: catches ? slotAt(beside.at, screen.rect) : null,
  };
}

function dropBeside({ id }: TrialWindow, { screen, rect, slot }: Onto): void {
  useConditions.setState({ windowHint: null });
  change((windows) => put(toScreen(windows, id, screen, rect), id, rect));
  if (slot) change((windows) => intoSlot(windows, id, slot));
}

/** A window that comes loose is as large as before it was caught, with the pointer as far along its title. */
function looseFrom({ rect }: TrialWindow, from: Rect, at: Point, by: Point): Rect {
  const grabbed = { x: at.x - by.x, y: at.y - by.y };
  const share = (grabbed.x - from.x) / from.width;
  return { ...rect, x: grabbed.x - share * rect.width, y: from.y };
}

function size(
  window: TrialWindow,
  { from, grip, by, isFree }: { from: Rect; grip: Grip; by: Point; isFree: boolean },
): void {
  const screen = screenOf(window.screen);
  if (!screen) return;
  const wanted = sized(from, grip, by);
  const snap = isFree ? { x: 0, y: 0 } : caught(wanted, catchesFor(window, screen), grip);
  const rect = sized(from, grip, { x: by.x + snap.x, y: by.y + snap.y });
  change((windows) => put(windows, window.id, rounded(rect)));
}

function rounded({ x, y, width, height }: Rect): Rect {
  const [left, top] = [Math.round(x), Math.round(y)];
  return { x: left, y: top, width: Math.round(x + width) - left, height: Math.round(y + height) - top };
}

function onContent({ id, turned }: TrialWindow, does: ContentDoes): void {
  const set = (by: Partial<TrialWindow>) =>
    change((windows) => windows.map((one) => (one.id === id ? { ...one, ...by } : one)));
  switch (does.by) {
    case 'choose':
      return set({ chosen: does.row });
    case 'turn':
      return set({
        turned: turned.includes(does.index)
          ? turned.filter((one) => one !== does.index)
          : [...turned, does.index],
      });
    case 'sound':
      return play({ does: does.act });
    case 'track':
      return play({ does: 'play', track: does.id });
  }
}

function play(act: { does: 'turn' | 'next' | 'before' } | { does: 'play'; track: string }): void {
  void persist(() => import('../sound/player.ts')).then(({ soundPlayer }) => soundPlayer.perform(act));
}

const tilingOf: Partial<Record<WindowAct, Tiling>> = {
  'tile-columns': 'columns',
  'tile-halves': 'halves',
  'tile-grid': 'grid',
  'tile-stack': 'stack',
};

/** What a key, a button or an entry of a menu does with windows; `on` is the screen in view. */
export function perform(act: WindowAct, on: string | null): void {
  const workspace = workspaceNow();
  const front = frontOf(windowsNow(), workspace);
  const tiling = tilingOf[act];
  if (tiling)
    return change((windows) => tile(windows, tiling, workspace, front?.screen ?? screenOf(on)?.id ?? ''));
  switch (act) {
    case 'overview': {
      const { overview } = useConditions.getState();
      const screen = screenOf(on)?.id;
      return useConditions.setState({
        open: null,
        overview: overview || screen === undefined ? null : { screen, query: '', chosen: null },
      });
    }
    case 'clear-view': {
      const { list, cleared } = clearView(windowsNow(), workspace, useConditions.getState().cleared);
      return useConditions.setState({ windows: list, cleared });
    }
    case 'next-window':
      return change((windows) => nextWindow(windows, workspace, 1));
    case 'previous-window':
      return change((windows) => nextWindow(windows, workspace, -1));
  }
  if (!front) return void toast('No window is open on this workspace.');
  switch (act) {
    case 'front-fill':
      return change((windows) => turnFill(windows, front.id));
    case 'front-minimise':
      return change((windows) => minimise(windows, front.id));
    case 'front-close':
      return change((windows) => close(windows, front.id));
    case 'front-left':
    case 'front-right':
    case 'front-top':
    case 'front-bottom': {
      const half = act.slice('front-'.length) as 'left' | 'right' | 'top' | 'bottom';
      return change((windows) => intoHalf(windows, front.id, half));
    }
    case 'front-move':
      return handle(front, 'move');
    case 'front-size':
      return handle(front, 'size');
    case 'carry-on':
      return carryFront(front, 1);
    case 'carry-before':
      return carryFront(front, -1);
    case 'carry-screen':
      return carryToScreen(front);
  }
}

/** Carries a window to a workspace beside this one, and goes there with it. */
function carryFront(front: TrialWindow, by: 1 | -1): void {
  const workspaces = presentDesk()?.workspaces ?? [];
  const at = workspaces.findIndex(({ id }) => id === front.workspace);
  const to = workspaces[(at + by + workspaces.length) % workspaces.length];
  if (!to) return;
  change((windows) => toFront(carry(windows, front.id, to.id), front.id));
  showWorkspace(to.id);
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
    case 'window': {
      close();
      const workspace = found(act.window)?.workspace;
      change((windows) => toFront(windows, act.window));
      return workspace === undefined ? undefined : showWorkspace(workspace);
    }
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

/** Carries a window to the next screen, where it stands as far in as here. */
function carryToScreen(front: TrialWindow): void {
  const screens = useScene.getState().scene?.screens ?? [];
  const at = screens.findIndex(({ id }) => id === front.screen);
  const to = screens[(at + 1) % screens.length];
  if (screens.length < 2 || !to) return void toast('The desk has one screen only.');
  const rect = within(moveInside(front.rect, to.free), to.rect);
  change((windows) => toScreen(windows, front.id, to.id, rect));
}

function handle(window: TrialWindow, by: 'move' | 'size'): void {
  const { rect, slot, isFilled } = window;
  useConditions.setState({ handled: { window: window.id, by, before: { rect, slot, isFilled } } });
  toast(
    by === 'move'
      ? 'Arrows move the window, with Shift further. Enter leaves it there, Escape puts it back.'
      : 'Arrows size the window, with Shift further. Enter leaves it so, Escape puts it back.',
  );
}

const steps: ReadonlyMap<string, Point> = new Map([
  ['ArrowLeft', { x: -1, y: 0 }],
  ['ArrowRight', { x: 1, y: 0 }],
  ['ArrowUp', { x: 0, y: -1 }],
  ['ArrowDown', { x: 0, y: 1 }],
]);
const STEP = 10;
const FAR = 60;

/** A key while a window is moved or sized by keys; whether it was meant for that. */
export function handleKey({ key, shiftKey, ctrlKey, altKey, metaKey }: KeyboardEvent): boolean {
  const { handled } = useConditions.getState();
  const window = handled && found(handled.window);
  if (!handled || !window || ctrlKey || altKey || metaKey) return false;
  if (key === 'Enter') {
    useConditions.setState({ handled: null });
    return true;
  }
  if (key === 'Escape') {
    change((windows) => windows.map((one) => (one.id === window.id ? { ...one, ...handled.before } : one)));
    useConditions.setState({ handled: null });
    return true;
  }
  const step = steps.get(key);
  const screen = screenOf(window.screen);
  if (!step || !screen) return false;
  const far = shiftKey ? FAR : STEP;
  const by = { x: step.x * far, y: step.y * far };
  const rect = rectNow(window);
  const next =
    handled.by === 'move'
      ? within({ ...rect, x: rect.x + by.x, y: rect.y + by.y }, screen.rect)
      : sized(rect, { x: 1, y: 1 }, by);
  change((windows) => put(windows, window.id, rounded(next)));
  return true;
}
