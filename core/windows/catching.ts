import { bottom, right, type Point, type Rect, type Size } from '../values/geometry.ts';
import { LEAST, type Slot } from './trial.ts';

/** What a window catches on while it is moved or sized: halves and quarters of the free area, its sides, and other windows. */

/** So near to a side of the screen the pointer asks for a half, and so near to its corner for a quarter, px. */
const AT_SIDE = 12;
const AT_CORNER = 120;

export const halves = {
  left: { x: 0, y: 0, width: 0.5, height: 1 },
  right: { x: 0.5, y: 0, width: 0.5, height: 1 },
  top: { x: 0, y: 0, width: 1, height: 0.5 },
  bottom: { x: 0, y: 0.5, width: 1, height: 0.5 },
} as const satisfies Record<string, Slot>;

/** The half or quarter of the free area that a pointer at a side or in a corner of the screen asks for; null elsewhere. */
export function slotAt({ x, y }: Point, screen: Rect): Slot | null {
  const from = {
    left: x - screen.x,
    right: right(screen) - x,
    top: y - screen.y,
    bottom: bottom(screen) - y,
  };
  const across = from.left <= AT_SIDE ? 'left' : from.right <= AT_SIDE ? 'right' : null;
  const down = from.top <= AT_SIDE ? 'top' : from.bottom <= AT_SIDE ? 'bottom' : null;
  if (!across && !down) return null;
  const corner = {
    across: across ?? (from.left <= AT_CORNER ? 'left' : from.right <= AT_CORNER ? 'right' : null),
    down: down ?? (from.top <= AT_CORNER ? 'top' : from.bottom <= AT_CORNER ? 'bottom' : null),
  } as const;
  if (corner.across && corner.down) {
    return {
      x: corner.across === 'left' ? 0 : 0.5,
      y: corner.down === 'top' ? 0 : 0.5,
      width: 0.5,
      height: 0.5,
    };
  }
  return halves[across ?? down ?? 'left'];
}

/** Which sides of a window are dragged: -1 its left or upper one, 1 its right or lower one, 0 neither. */
export interface Grip {
  x: -1 | 0 | 1;
  y: -1 | 0 | 1;
}

/** The eight sides and corners that a window is sized by. */
export const grips: readonly Grip[] = ([-1, 0, 1] as const).flatMap((y) =>
  ([-1, 0, 1] as const).flatMap((x) => (x === 0 && y === 0 ? [] : [{ x, y }])),
);

/** A rectangle sized by a grip; it never becomes smaller than the least, and the other sides stay where they are. */
export function sized(rect: Rect, grip: Grip, by: Point, least: Size = LEAST): Rect {
  const [x, width] = along(rect.x, rect.width, grip.x, by.x, least.width);
  const [y, height] = along(rect.y, rect.height, grip.y, by.y, least.height);
  return { x, y, width, height };
}

function along(start: number, length: number, grip: -1 | 0 | 1, by: number, least: number): [number, number] {
  // What is smaller already may stay so.
  const low = Math.min(length, least);
  if (grip === 1) return [start, Math.max(low, length + by)];
  if (grip === -1) {
    const now = Math.max(low, length - by);
    return [start + length - now, now];
  }
  return [start, length];
}

/** What sides catch on. */
export interface Catches {
  free: Rect;
  /** Other windows. */
  others: readonly Rect[];
  /** px that two windows keep apart, and windows off a side. */
  inner: number;
  outer: number;
  /** Nearer than this it catches, px. */
  within: number;
}

/** By how much a rectangle moves so that it catches, in each direction; 0 where nothing is near. */
export function caught(rect: Rect, catches: Catches, grip: Grip | null = null): Point {
  return {
    x: nearest(offsets(rect, catches, 'x', grip?.x ?? null), catches.within),
    y: nearest(offsets(rect, catches, 'y', grip?.y ?? null), catches.within),
  };
}

function nearest(candidates: readonly number[], within: number): number {
  let best = 0;
  let least = within;
  for (const by of candidates) {
    if (Math.abs(by) < least) [best, least] = [by, Math.abs(by)];
  }
  return best;
}

/** Every move along one axis that brings a side of the rectangle to where it would catch. */
function offsets(
  rect: Rect,
  { free, others, inner, outer, within }: Catches,
  axis: 'x' | 'y',
  grip: -1 | 0 | 1 | null,
): number[] {
  const [start, length, across] =
    axis === 'x' ? (['x', 'width', ['y', 'height']] as const) : (['y', 'height', ['x', 'width']] as const);
  const [from, to] = [rect[start], rect[start] + rect[length]];
  // What will catch beside it in the other direction counts as beside it.
  const near = inner + within;
  const moves: number[] = [];
  const first = (by: number) => void (grip !== 1 && grip !== 0 && moves.push(by - from));
  const last = (by: number) => void (grip !== -1 && grip !== 0 && moves.push(by - to));
  for (const off of outer > 0 ? [0, outer] : [0]) {
    first(free[start] + off);
    last(free[start] + free[length] - off);
  }
  for (const other of others) {
    const [its, end] = [other[start], other[start] + other[length]];
    const [side, long] = across;
    const isBeside =
      rect[side] < other[side] + other[long] + near && other[side] < rect[side] + rect[long] + near;
    if (!isBeside) continue;
    // Beside one another with the gap between, or level with one another.
    first(end + inner);
    last(its - inner);
    first(its);
    last(end);
  }
  return moves;
}
