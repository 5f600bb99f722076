import { clamp, moveInside, right, bottom, type Rect, type Size } from '../values/geometry.ts';
import { halves } from './catching.ts';
import { rectOf } from './place.ts';
import { slotsFor, type Gaps, type Tiling } from './tiling.ts';
import type { WindowHabit } from './schema.ts';
import { LEAST, MOST_WINDOWS, frontOf, type Slot, type TrialWindow } from './trial.ts';

/** What can be done with the windows of a desk: each gives the list as it is after, and the very same where nothing changes. */

type List = readonly TrialWindow[];

/** A screen that windows are on. */
export interface WindowScreen {
  id: string;
  rect: Rect;
  free: Rect;
}

const change = (list: List, id: string, by: Partial<TrialWindow>): List =>
  list.map((one) => (one.id === id ? { ...one, ...by } : one));

/** Brings a window to the front, and back if it was minimised. */
export function toFront(list: List, id: string): List {
  const found = list.find((one) => one.id === id);
  if (!found || (list.at(-1) === found && !found.isMinimised)) return list;
  return [
    ...list.filter((one) => one !== found),
    found.isMinimised ? { ...found, isMinimised: false } : found,
  ];
}

export const close = (list: List, id: string): List =>
  list.some((one) => one.id === id) ? list.filter((one) => one.id !== id) : list;

export const minimise = (list: List, id: string): List => change(list, id, { isMinimised: true });

/** Fills the free area, or goes back to where it was. */
export const turnFill = (list: List, id: string): List =>
  list.map((one) => (one.id === id ? { ...one, isFilled: !one.isFilled, isMinimised: false } : one));

/** Puts a window at a place, out of its slot. */
export const put = (list: List, id: string, rect: Rect): List =>
  change(list, id, { rect, slot: null, isFilled: false });

/** Into a part of the free area; out of it again where it is there already. */
export function intoSlot(list: List, id: string, slot: Slot): List {
  const now = list.find((one) => one.id === id);
  const isThere = now?.slot && !now.isFilled && sameSlot(now.slot, slot);
  return change(list, id, { slot: isThere ? null : slot, isFilled: false, isMinimised: false });
}

export const intoHalf = (list: List, id: string, half: keyof typeof halves): List =>
  intoSlot(list, id, halves[half]);

function sameSlot(a: Slot, b: Slot): boolean {
  return a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;
}

/** Those of a workspace and a screen that can be seen, the front one first. */
function seenOn(list: List, workspace: string, screen: string): TrialWindow[] {
  return list
    .filter((one) => one.workspace === workspace && one.screen === screen && !one.isMinimised)
    .reverse();
}

/** Tiles all windows of a workspace and a screen. */
export function tile(list: List, tiling: Tiling, workspace: string, screen: string): List {
  const those = seenOn(list, workspace, screen);
  const slots = slotsFor(tiling, those.length);
  const slotOf = new Map(those.map(({ id }, index) => [id, slots[index] ?? null]));
  return list.map((one) => {
    const slot = slotOf.get(one.id);
    return slot ? { ...one, slot, isFilled: false } : one;
  });
}

/** The next window of a workspace comes to the front; the one that was there goes to the back. */
export function nextWindow(list: List, workspace: string, by: 1 | -1): List {
  const there = list.filter((one) => one.workspace === workspace && !one.isMinimised);
  const [back] = there;
  const front = there.at(-1);
  if (!back || !front || back === front) return list;
  if (by === -1) return [front, ...list.filter((one) => one !== front)];
  return toFront(list, back.id);
}

/** Carries a window to another workspace. */
export const carry = (list: List, id: string, workspace: string): List => change(list, id, { workspace });

/** Carries a window to a place on another screen; one that is filled or in a slot stays so. */
export const toScreen = (list: List, id: string, screen: string, rect: Rect): List =>
  change(list, id, { screen, rect });

/** All windows of a workspace are minimised; or those of `cleared` come back, where nothing else is open. */
export function clearView(
  list: List,
  workspace: string,
  cleared: readonly string[],
): { list: List; cleared: readonly string[] } {
  const open = list.filter((one) => one.workspace === workspace && !one.isMinimised);
  if (open.length > 0) {
    const ids = new Set(open.map(({ id }) => id));
    return {
      list: list.map((one) => (ids.has(one.id) ? { ...one, isMinimised: true } : one)),
      cleared: [...ids],
    };
  }
  const back = new Set(cleared);
  return {
    list: list.map((one) =>
      back.has(one.id) && one.workspace === workspace ? { ...one, isMinimised: false } : one,
    ),
    cleared: [],
  };
}

export interface Opening {
  id: string;
  application: string;
  /** px, where no habit says another. */
  size: Size;
  workspaces: readonly { id: string }[];
  /** Index of the workspace in front. */
  workspace: number;
  screen: WindowScreen;
  gaps: Gaps;
  habit: WindowHabit | null;
}

/** Of a window: so much of what others it may cover before it stands a little off them instead. */
const MUCH = 0.35;
/** Px between two windows that open one after the other. */
const STEP = 36;

/** Opens a window in front of the others; no more than there may be. */
export function open(list: List, opening: Opening): List {
  if (list.length >= MOST_WINDOWS) return list;
  const { id, application, workspaces, screen, habit, gaps } = opening;
  const at = habit?.workspace ? Math.min(habit.workspace, workspaces.length) - 1 : opening.workspace;
  const workspace = workspaces[at]?.id ?? workspaces[0]?.id;
  if (workspace === undefined) return list;
  const size = {
    width: clamp(habit?.width ?? opening.size.width, LEAST.width, Math.max(LEAST.width, screen.free.width)),
    height: clamp(
      habit?.height ?? opening.size.height,
      LEAST.height,
      Math.max(LEAST.height, screen.free.height),
    ),
  };
  const place = habit?.place ?? 'free';
  const slot =
    place === 'left' || place === 'right' || place === 'top' || place === 'bottom' ? halves[place] : null;
  const others = seenOn(list, workspace, screen.id).map((one) => rectOf(one, screen.free, screen.rect, gaps));
  return [
    ...list,
    {
      id,
      application,
      screen: screen.id,
      workspace,
      rect: place === 'centre' ? inMiddle(size, screen.free) : roomFor(size, screen.free, others),
      slot,
      isFilled: place === 'filled',
      isMinimised: false,
      chosen: 0,
      order: 1 + Math.max(0, ...list.map(({ order }) => order)),
      turned: [],
    },
  ];
}

function inMiddle(size: Size, free: Rect): Rect {
  return {
    x: Math.round(free.x + (free.width - size.width) / 2),
    y: Math.round(free.y + (free.height - size.height) / 2),
    ...size,
  };
}

/** Where a new window covers the least of the others; a little off each of them where all covers alike. */
function roomFor(size: Size, free: Rect, others: readonly Rect[]): Rect {
  const middle = inMiddle(size, free);
  // Off the sides where that leaves room enough.
  const room =
    size.width + 32 <= free.width && size.height + 32 <= free.height
      ? { x: free.x + 16, y: free.y + 16, width: free.width - 32, height: free.height - 32 }
      : free;
  const step = others.length * STEP;
  const starts = [
    middle,
    ...others.flatMap(({ x, y, width, height }) => [
      { x: x + width + 16, y },
      { x: x - size.width - 16, y },
      { x, y: y + height + 16 },
      { x, y: y - size.height - 16 },
    ]),
    { x: free.x, y: free.y },
    { x: right(free) - size.width, y: free.y },
    { x: free.x, y: bottom(free) - size.height },
    { x: right(free) - size.width, y: bottom(free) - size.height },
  ].map((at) => moveInside({ x: Math.round(at.x), y: Math.round(at.y), ...size }, room));
  let best = middle;
  let least = Infinity;
  for (const rect of starts) {
    const covers = others.reduce((sum, other) => sum + shared(rect, other), 0);
    if (covers < least) [best, least] = [rect, covers];
  }
  // Where all of them would cover much, each stands a little off the one before.
  if (least > size.width * size.height * MUCH)
    best = moveInside({ ...middle, x: middle.x - 80 + (step % 240), y: middle.y - 60 + (step % 180) }, free);
  return moveInside(best, free);
}

function shared(a: Rect, b: Rect): number {
  const width = Math.min(right(a), right(b)) - Math.max(a.x, b.x);
  const height = Math.min(bottom(a), bottom(b)) - Math.max(a.y, b.y);
  return width > 0 && height > 0 ? width * height : 0;
}

/** What pressing the sign of an application does: its window comes to the front, or is minimised where it is there already. */
export function pressed(list: List, application: string, workspace: string): List {
  const those = list.filter((one) => one.application === application);
  const here = those.filter((one) => one.workspace === workspace);
  const front = frontOf(list, workspace);
  if (front?.application === application) {
    // Of several, the one that waited longest comes next.
    const [first] = here;
    return first && first !== front && !first.isMinimised
      ? toFront(list, first.id)
      : minimise(list, front.id);
  }
  const next = here.at(-1) ?? those.at(-1);
  return next ? toFront(list, next.id) : list;
}
