import type { WindowAct as KeyAct } from '../menus/acts.ts';
import { moveInside } from '../values/geometry.ts';
import {
  carry,
  clearView,
  close,
  intoHalf,
  minimise,
  nextWindow,
  pressed,
  tile,
  toFront,
  toScreen,
  turnFill,
} from './acts.ts';
import type { halves } from './catching.ts';
import type { ContentDoes } from './contents/page.ts';
import { handle, move, size } from './gestures.ts';
import { screenOf, type Outcome, type WindowAct, type WindowsNow } from './now.ts';
import { within } from './place.ts';
import type { Tiling } from './tiling.ts';
import { frontOf, type TrialWindow } from './trial.ts';

/** What comes of what somebody does with windows: by the pointer, a key, a button or an entry of a menu. Pure. */

/** Something is done with one window. */
export function done(now: WindowsNow, act: WindowAct): Outcome {
  const { windows } = now;
  const window = windows.find(({ id }) => id === act.window);
  if (!window) return {};
  switch (act.does) {
    case 'front':
      return { windows: toFront(windows, act.window) };
    case 'minimise':
      return { windows: minimise(windows, act.window) };
    case 'fill':
      return { windows: turnFill(toFront(windows, act.window), act.window) };
    case 'close':
      return { windows: close(windows, act.window) };
    case 'move':
      return move(now, window, act);
    case 'size':
      return size(now, window, act);
    case 'content': {
      const after = onContent(window, act.content);
      return after === window ? {} : { windows: windows.map((one) => (one === window ? after : one)) };
    }
    case 'show':
      return { windows: toFront(windows, act.window), workspace: window.workspace };
    case 'go':
      return frontOf(windows, now.workspace) === window
        ? { windows: minimise(windows, act.window) }
        : { windows: toFront(windows, act.window), workspace: window.workspace };
    case 'carry':
      return { windows: carry(windows, act.window, act.workspace) };
  }
}

/** A row is chosen or a switch turned in what stands in a window; what sounds is no window's. */
function onContent(window: TrialWindow, does: ContentDoes): TrialWindow {
  const { turned } = window;
  switch (does.by) {
    case 'choose':
      return { ...window, chosen: does.row };
    case 'turn':
      return {
        ...window,
        turned: turned.includes(does.index)
          ? turned.filter((one) => one !== does.index)
          : [...turned, does.index],
      };
    case 'sound':
    case 'track':
      return window;
  }
}

/** The sign of an application that runs was pressed: its window comes, wherever it is, or is minimised. */
export function signPressed({ windows, workspace }: WindowsNow, application: string): Outcome {
  const after = pressed(windows, application, workspace);
  const there = after.findLast((one) => one.application === application);
  return there && !there.isMinimised ? { windows: after, workspace: there.workspace } : { windows: after };
}

const tilingOf: Partial<Record<KeyAct, Tiling>> = {
  'tile-columns': 'columns',
  'tile-halves': 'halves',
  'tile-grid': 'grid',
  'tile-stack': 'stack',
};

/** What a key, a button or an entry of a menu does with windows; `on` is the screen in view. */
export function performed(now: WindowsNow, act: Exclude<KeyAct, 'overview'>, on: string | null): Outcome {
  const { windows, workspace } = now;
  const front = frontOf(windows, workspace);
  const tiling = tilingOf[act];
  if (tiling)
    return { windows: tile(windows, tiling, workspace, front?.screen ?? screenOf(now, on)?.id ?? '') };
  switch (act) {
    case 'clear-view': {
      const { list, cleared } = clearView(windows, workspace, now.cleared);
      return { windows: list, cleared };
    }
    case 'next-window':
      return { windows: nextWindow(windows, workspace, 1) };
    case 'previous-window':
      return { windows: nextWindow(windows, workspace, -1) };
  }
  return front ? onFront(now, front, act) : { say: 'No window is open on this workspace.' };
}

const halfOf: Partial<Record<KeyAct, keyof typeof halves>> = {
  'front-left': 'left',
  'front-right': 'right',
  'front-top': 'top',
  'front-bottom': 'bottom',
};

/** What is done with the front window. */
function onFront(now: WindowsNow, front: TrialWindow, act: KeyAct): Outcome {
  const { windows } = now;
  const half = halfOf[act];
  if (half) return { windows: intoHalf(windows, front.id, half) };
  switch (act) {
    case 'front-fill':
      return { windows: turnFill(windows, front.id) };
    case 'front-minimise':
      return { windows: minimise(windows, front.id) };
    case 'front-close':
      return { windows: close(windows, front.id) };
    case 'front-move':
      return handle(front, 'move');
    case 'front-size':
      return handle(front, 'size');
    case 'carry-on':
      return carryBeside(now, front, 1);
    case 'carry-before':
      return carryBeside(now, front, -1);
    case 'carry-screen':
      return carryToScreen(now, front);
    default:
      return {};
  }
}

/** Carries a window to a workspace beside this one, and goes there with it. */
function carryBeside({ windows, workspaces }: WindowsNow, front: TrialWindow, by: 1 | -1): Outcome {
  const at = workspaces.findIndex(({ id }) => id === front.workspace);
  const to = workspaces[(at + by + workspaces.length) % workspaces.length];
  return to ? { windows: toFront(carry(windows, front.id, to.id), front.id), workspace: to.id } : {};
}

/** Carries a window to the next screen, where it stands as far in as here. */
function carryToScreen({ windows, screens }: WindowsNow, front: TrialWindow): Outcome {
  const at = screens.findIndex(({ id }) => id === front.screen);
  const to = screens[(at + 1) % screens.length];
  if (screens.length < 2 || !to) return { say: 'The desk has one screen only.' };
  const rect = within(moveInside(front.rect, to.free), to.rect);
  return { windows: toScreen(windows, front.id, to.id, rect) };
}
