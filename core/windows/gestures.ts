import type { Point, Rect } from '../values/geometry.ts';
import { intoSlot, put, toScreen, type WindowScreen } from './acts.ts';
import { caught, sized, slotAt } from './catching.ts';
import { rectNow, screenOf, type MoveAct, type Outcome, type SizeAct, type WindowsNow } from './now.ts';
import { within } from './place.ts';
import type { Slot, TrialWindow } from './trial.ts';

/** What a window does that is dragged by its title or a side, or moved and sized by keys: one step at a time, pure. */

/** How far a filled or caught window is dragged before it comes loose, px. */
const LOOSE = 10;

/** A step of moving a window: where it goes, what it would catch on, and at the last one where it stays. */
export function move(now: WindowsNow, window: TrialWindow, act: MoveAct): Outcome {
  const { from, by, at, isFree, isLast } = act;
  const screen = screenOf(now, window.screen);
  if (!screen) return {};
  const onto = ontoBeside(now, window, act);
  if (isLast && onto) return dropBeside(now, window, onto);
  const slot = now.gaps.catches && !isFree && !onto ? slotAt(at, screen.rect) : null;
  if (isLast && slot) {
    // It comes out of the half as large as it was before it went in, and where it was unless that was a half, too.
    const { width, height } = window.rect;
    const isOwn = from.width === width && from.height === height;
    const there = put(now.windows, window.id, isOwn ? from : window.rect);
    return { hint: null, windows: intoSlot(there, window.id, slot) };
  }
  const hint = onto ?? (slot && !isLast ? { screen: screen.id, slot } : null);
  const isHeld = window.isFilled || window.slot !== null;
  if (isHeld && Math.hypot(by.x, by.y) < LOOSE) return { hint };
  const start = looseFrom(window, from, at, by);
  const moved = { ...start, x: start.x + by.x, y: start.y + by.y };
  const snap = isFree || onto ? { x: 0, y: 0 } : caught(moved, catchesFor(now, window, screen));
  const rect = { ...moved, x: Math.round(moved.x + snap.x), y: Math.round(moved.y + snap.y) };
  return { hint, windows: put(now.windows, window.id, within(rect, screen.rect)) };
}

/** A step of sizing a window by one of its sides or corners. */
export function size(now: WindowsNow, window: TrialWindow, { from, grip, by, isFree }: SizeAct): Outcome {
  const screen = screenOf(now, window.screen);
  if (!screen) return {};
  const wanted = sized(from, grip, by);
  const snap = isFree ? { x: 0, y: 0 } : caught(wanted, catchesFor(now, window, screen), grip);
  const rect = sized(from, grip, { x: by.x + snap.x, y: by.y + snap.y });
  return { windows: put(now.windows, window.id, rounded(rect)) };
}

type Onto = { screen: string; rect: Rect; slot: Slot | null };

/** Where a window would go on another screen that the pointer holds it over; null over its own. */
function ontoBeside(
  { screens, gaps }: WindowsNow,
  window: TrialWindow,
  { from, by, at, beside, isFree }: MoveAct,
): Onto | null {
  const screen = beside && screens.find(({ id }) => id === beside.screen);
  if (!screen) return null;
  const start = looseFrom(window, from, at, by);
  const moved = {
    ...start,
    x: start.x + by.x + beside.at.x - at.x,
    y: start.y + by.y + beside.at.y - at.y,
  };
  return {
    screen: screen.id,
    rect: within(rounded(moved), screen.rect),
    slot: gaps.catches && !isFree ? slotAt(beside.at, screen.rect) : null,
  };
}

function dropBeside({ windows }: WindowsNow, { id }: TrialWindow, { screen, rect, slot }: Onto): Outcome {
  const there = put(toScreen(windows, id, screen, rect), id, rect);
  return { hint: null, windows: slot ? intoSlot(there, id, slot) : there };
}

/** A window that comes loose is as large as before it was caught, with the pointer as far along its title. */
function looseFrom({ rect }: TrialWindow, from: Rect, at: Point, by: Point): Rect {
  const grabbed = { x: at.x - by.x, y: at.y - by.y };
  const share = (grabbed.x - from.x) / from.width;
  return { ...rect, x: grabbed.x - share * rect.width, y: from.y };
}

/** What a window catches on: the free area, and others that are seen beside it. */
function catchesFor(now: WindowsNow, window: TrialWindow, screen: WindowScreen) {
  const { outer, inner, snap } = now.gaps;
  const others = now.windows.filter(
    (one) =>
      one.id !== window.id &&
      one.screen === window.screen &&
      one.workspace === window.workspace &&
      !one.isMinimised &&
      !one.isFilled,
  );
  return {
    free: screen.free,
    others: others.map((one) => rectNow(now, one)),
    outer,
    inner,
    within: snap,
  };
}

function rounded({ x, y, width, height }: Rect): Rect {
  const [left, top] = [Math.round(x), Math.round(y)];
  return { x: left, y: top, width: Math.round(x + width) - left, height: Math.round(y + height) - top };
}

const steps: ReadonlyMap<string, Point> = new Map([
  ['ArrowLeft', { x: -1, y: 0 }],
  ['ArrowRight', { x: 1, y: 0 }],
  ['ArrowUp', { x: 0, y: -1 }],
  ['ArrowDown', { x: 0, y: 1 }],
]);
/** Px that an arrow moves a window, and with Shift. */
const STEP = 10;
const FAR = 60;

/** A window is to be moved or sized by keys from now on. */
export function handle({ id, rect, slot, isFilled }: TrialWindow, by: 'move' | 'size'): Outcome {
  return {
    handled: { window: id, by, before: { rect, slot, isFilled } },
    say:
      by === 'move'
        ? 'Arrows move the window, with Shift further. Enter leaves it there, Escape puts it back.'
        : 'Arrows size the window, with Shift further. Enter leaves it so, Escape puts it back.',
  };
}

/** A key while a window is moved or sized by keys. */
export function handleKey(now: WindowsNow, { key, isFar }: { key: string; isFar: boolean }): Outcome {
  const { handled, windows } = now;
  const window = windows.find(({ id }) => id === handled?.window);
  if (!handled || !window) return {};
  if (key === 'Enter') return { handled: null };
  if (key === 'Escape') {
    const back = windows.map((one) => (one === window ? { ...one, ...handled.before } : one));
    return { handled: null, windows: back };
  }
  const step = steps.get(key);
  const screen = screenOf(now, window.screen);
  if (!step || !screen) return {};
  const far = isFar ? FAR : STEP;
  const by = { x: step.x * far, y: step.y * far };
  const rect = rectNow(now, window);
  const next =
    handled.by === 'move'
      ? within({ ...rect, x: rect.x + by.x, y: rect.y + by.y }, screen.rect)
      : sized(rect, { x: 1, y: 1 }, by);
  return { windows: put(windows, window.id, rounded(next)) };
}
