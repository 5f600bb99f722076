import type { Point, Rect } from '../values/geometry.ts';
import type { Grip } from './catching.ts';
import type { ContentDoes } from './contents/page.ts';
import type { WindowScreen } from './acts.ts';
import type { Windows } from './schema.ts';
import { rectOf } from './place.ts';
import type { Slot, TrialWindow } from './trial.ts';

/** What decisions about windows are made from, and what comes of them. Pure: nothing here knows a page. */

/** Where a window would go that is being moved: into a part of the free area of a screen, or to a place on it. */
export type WindowHint = { screen: string } & ({ slot: Slot } | { slot: null; rect: Rect });

/** A window that is moved or sized by keys, and where it was before. */
export interface Handled {
  window: string;
  by: 'move' | 'size';
  before: Pick<TrialWindow, 'rect' | 'slot' | 'isFilled'>;
}

/** The windows of a desk in use, just now. */
export interface WindowsNow {
  /** On screens and workspaces that are there, from the back to the front. */
  windows: readonly TrialWindow[];
  /** Id of the workspace in front. */
  workspace: string;
  workspaces: readonly { id: string }[];
  screens: readonly WindowScreen[];
  gaps: Windows['gaps'];
  cleared: readonly string[];
  handled: Handled | null;
}

/** What becomes of it; what is not named stays. */
export interface Outcome {
  windows?: readonly TrialWindow[];
  hint?: WindowHint | null;
  cleared?: readonly string[];
  handled?: Handled | null;
  /** Id of the workspace that comes to the front. */
  workspace?: string;
  /** A sentence to tell. */
  say?: string;
}

/** A window is moved on from where it was when it was taken. */
export interface MoveAct {
  does: 'move';
  window: string;
  from: Rect;
  by: Point;
  /** Where the pointer is on the screen that the window is on. */
  at: Point;
  /** Another screen that the pointer is over. */
  beside: { screen: string; at: Point } | null;
  /** Nothing catches. */
  isFree: boolean;
  isLast: boolean;
}

export interface SizeAct {
  does: 'size';
  window: string;
  from: Rect;
  grip: Grip;
  by: Point;
  isFree: boolean;
}

/** What is done with a window. Distances are px of the screen. */
export type WindowAct =
  | { does: 'front' | 'minimise' | 'fill' | 'close'; window: string }
  | MoveAct
  | SizeAct
  | { does: 'content'; window: string; content: ContentDoes }
  /** Goes to a window wherever it is. */
  | { does: 'show'; window: string }
  /** The same, or minimises it where it is in front. */
  | { does: 'go'; window: string }
  | { does: 'carry'; window: string; workspace: string };

/** A screen by its id; the first one where there is none of that. */
export function screenOf({ screens }: WindowsNow, id: string | null): WindowScreen | null {
  return screens.find((one) => one.id === id) ?? screens[0] ?? null;
}

/** Where a window is. */
export function rectNow(now: WindowsNow, window: TrialWindow): Rect {
  const screen = screenOf(now, window.screen);
  return screen ? rectOf(window, screen.free, screen.rect, now.gaps) : window.rect;
}
