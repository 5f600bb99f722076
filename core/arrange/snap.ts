import { bottom, lengthOf, right, type Axis, type Point, type Rect } from '../values/geometry.ts';

/** A line that a move caught on; `at` lies on `axis`, `from` to `to` along the other one. */
export interface Guide {
  axis: Axis;
  at: number;
  from: number;
  to: number;
  kind: 'screen' | 'free' | 'margin' | 'part' | 'spacing' | 'writing';
}

/** A part with the lines of writing on it, from the top of the screen. */
export type Written = Rect & { lines?: readonly number[] };

export interface SnapInput {
  moving: Written;
  others: readonly Written[];
  screen: Rect;
  free: Rect;
  /** Distance that parts like to keep from the free area's sides, px. */
  margin: number;
  /** How near a line must be to catch, px. */
  tolerance: number;
  /** Whether to catch along each axis; false where the move keeps that axis. */
  along?: { x: boolean; y: boolean };
}

export interface Snapped extends Point {
  guides: Guide[];
}

/** A start that the moving rectangle could take on one axis, and what it would then agree with. */
interface Candidate {
  start: number;
  line: number;
  kind: Guide['kind'];
  /** The rectangle that the line belongs to; for a spacing, the gap itself. */
  rect: Rect;
}

const SAME = 0.01;

/** Where a moved rectangle comes to rest. The nearest line wins on each axis; all lines that then agree are guides. */
export function snap(input: SnapInput): Snapped {
  const { moving, along = { x: true, y: true } } = input;
  const x = along.x ? snapAxis(input, 'x') : null;
  const y = along.y ? snapAxis(input, 'y') : null;
  const rest: Rect = { ...moving, x: x?.start ?? moving.x, y: y?.start ?? moving.y };
  return {
    x: rest.x,
    y: rest.y,
    guides: [
      ...(x ? x.tied.flatMap((tie) => guideOf(tie, 'x', rest)) : []),
      ...(y ? y.tied.flatMap((tie) => guideOf(tie, 'y', rest)) : []),
    ],
  };
}

function snapAxis(input: SnapInput, axis: Axis): { start: number; tied: Candidate[] } | null {
  const { moving, tolerance } = input;
  let best: Candidate[] = [];
  let distance = tolerance;
  for (const candidate of candidatesOf(input, axis)) {
    const away = Math.abs(candidate.start - moving[axis]);
    if (away < distance - SAME) {
      distance = away;
      best = [candidate];
    } else if (away <= distance + SAME && away <= tolerance) {
      best.push(candidate);
    }
  }
  const first = best[0];
  if (!first) return null;
  return { start: first.start, tied: best.filter((tie) => Math.abs(tie.start - first.start) <= SAME) };
}

function candidatesOf(
  { moving, others, screen, free, margin, tolerance }: SnapInput,
  axis: Axis,
): Candidate[] {
  const length = lengthOf[axis];
  const own = moving[length];
  const here = moving[axis];
  const found: Candidate[] = [];
  function add(start: number, line: number, kind: Guide['kind'], rect: Rect) {
    if (Math.abs(start - here) <= tolerance) found.push({ start, line, kind, rect });
  }
  function addFrame(rect: Rect, kind: Guide['kind']) {
    const start = rect[axis];
    const end = start + rect[length];
    add(start, start, kind, rect);
    add(end - own, end, kind, rect);
    add(start + (rect[length] - own) / 2, start + rect[length] / 2, kind, rect);
  }
  addFrame(screen, 'screen');
  if (free[axis] !== screen[axis] || free[length] !== screen[length]) addFrame(free, 'free');
  add(free[axis] + margin, free[axis] + margin, 'margin', free);
  add(free[axis] + free[length] - margin - own, free[axis] + free[length] - margin, 'margin', free);

  // This runs for every part on every move: fields are read by name, and most parts are far away.
  const isX = axis === 'x';
  const low = here - tolerance;
  const high = here + own + tolerance;
  for (const other of others) {
    const start = isX ? other.x : other.y;
    const end = start + (isX ? other.width : other.height);
    if (end < low || start > high) continue;
    addFrame(other, 'part');
    add(end, end, 'part', other);
    add(start - own, start, 'part', other);
    if (isX || !moving.lines || !other.lines) continue;
    for (const line of other.lines)
      for (const mine of moving.lines) add(here + line - mine, line, 'writing', other);
  }
  // A gap further away than the nearest line can't win: it is not looked for.
  let nearest = tolerance;
  for (const { start } of found) nearest = Math.min(nearest, Math.abs(start - here) + SAME);
  for (const { start, gap, rect } of equalGaps(moving, others, axis, nearest)) {
    add(start, start, 'spacing', { ...rect, [length]: gap });
  }
  return found;
}

/**
 * Starts that make the distances between neighbours in a row equal. The row is what overlaps the moving part across the
 * axis. Neighbours face each other, and nothing lies in the gap between them:
 *
 *     [A] g [B] g [moving]      [moving] g [A] g [B]      [A] g [moving] g [B]
 */
function equalGaps(
  moving: Rect,
  others: readonly Rect[],
  axis: Axis,
  tolerance: number,
): { start: number; gap: number; rect: Rect }[] {
  const length = lengthOf[axis];
  const cross: Axis = axis === 'x' ? 'y' : 'x';
  const from = moving[cross];
  const to = from + moving[lengthOf[cross]];
  const row: Rect[] = [];
  for (const other of others) {
    const start = axis === 'x' ? other.y : other.x;
    if (start < to && from < start + (axis === 'x' ? other.height : other.width)) row.push(other);
  }
  row.sort(axis === 'x' ? byLeft : byTop);

  const own = moving[length];
  const low = moving[axis] - tolerance;
  const high = moving[axis] + tolerance;
  const found: { start: number; gap: number; rect: Rect }[] = [];
  // What lies between two of a row is most often another of it: the others are looked through last.
  const isFree = (a: Rect, b: Rect) => isGapFree(a, b, row, axis) && isGapFree(a, b, others, axis);
  const isNear = (start: number) => start >= low && start <= high;
  const restAt = (start: number): Rect => ({ ...moving, [axis]: start });
  /** `at` is where the gap stands that is drawn. */
  const take = (start: number, gap: number, rect: Rect, at: number) =>
    void found.push({ start, gap, rect: { ...rect, [axis]: at } });
  // Pairs are many and few of them near: their figures are read once, and the parts looked through for those alone.
  const starts = row.map((part) => part[axis]);
  const ends = row.map((part) => part[axis] + part[length]);
  for (const [index, a] of row.entries()) {
    const aStart = starts[index] as number;
    const aEnd = ends[index] as number;
    let isNext = true;
    for (let other = index + 1; other < row.length; other++) {
      const bStart = starts[other] as number;
      const gap = bStart - aEnd;
      if (gap <= SAME) continue;
      const bEnd = ends[other] as number;
      const after = bEnd + gap;
      const before = aStart - gap - own;
      // Between two, it is the moving part that both must face, with none of the row among them.
      const room = (gap - own) / 2;
      const isBetween = isNext && room > SAME && isNear(aEnd + room);
      isNext = false;
      if (isBetween || isNear(after) || isNear(before)) {
        const b = row[other] as Rect;
        if (isBetween && isFree(a, restAt(aEnd + room)) && isFree(restAt(aEnd + room), b))
          take(aEnd + room, room, a, aEnd);
        if (isNear(after) && isFree(a, b) && isFree(b, restAt(after))) take(after, gap, b, bEnd);
        if (isNear(before) && isFree(a, b) && isFree(restAt(before), a)) take(before, gap, a, aStart - gap);
      }
      // Those that come next stand further away, to both sides.
      if (bStart + gap > high && before < low) break;
    }
  }
  return found;
}

const byLeft = (a: Rect, b: Rect) => a.x - b.x;
const byTop = (a: Rect, b: Rect) => a.y - b.y;

/** What two rectangles share across an axis; null for nothing. */
function bandOf(a: Rect, b: Rect, axis: Axis): { from: number; to: number } | null {
  const cross: Axis = axis === 'x' ? 'y' : 'x';
  const length = lengthOf[cross];
  const from = Math.max(a[cross], b[cross]);
  const to = Math.min(a[cross] + a[length], b[cross] + b[length]);
  return to - from > SAME ? { from, to } : null;
}

/** Whether nothing lies in the gap between two rectangles, one after the other, where they face each other. */
function isGapFree(a: Rect, b: Rect, others: readonly Rect[], axis: Axis): boolean {
  const band = bandOf(a, b, axis);
  if (!band) return false;
  const start = a[axis] + a[lengthOf[axis]];
  const end = b[axis];
  const isX = axis === 'x';
  for (const other of others) {
    const at = isX ? other.x : other.y;
    if (at >= end - SAME || at + (isX ? other.width : other.height) <= start + SAME) continue;
    const across = isX ? other.y : other.x;
    const crosses = across < band.to - SAME && across + (isX ? other.height : other.width) > band.from + SAME;
    if (crosses && other !== a && other !== b) return false;
  }
  return true;
}

function guideOf({ line, kind, rect }: Candidate, axis: Axis, rest: Rect): Guide[] {
  const cross: Axis = axis === 'x' ? 'y' : 'x';
  const length = lengthOf[cross];
  if (kind === 'spacing') {
    // Drawn in the gap itself, at the middle of the moving part.
    const at = rest[cross] + rest[length] / 2;
    return [{ axis: cross, at, from: rect[axis], to: rect[axis] + rect[lengthOf[axis]], kind }];
  }
  return [
    {
      axis,
      at: line,
      from: Math.min(rect[cross], rest[cross]),
      to: Math.max(rect[cross] + rect[length], rest[cross] + rest[length]),
      kind,
    },
  ];
}

/** The free distance from a part to what comes next on one side. */
export interface Distance {
  side: 'top' | 'right' | 'bottom' | 'left';
  length: number;
  /** Where the measured line starts (at the part) and ends. */
  from: Point;
  to: Point;
}

/** Distances from `rect` to the nearest part on each side, or to the frame's side where none stands in between. */
export function distancesAround(rect: Rect, others: readonly Rect[], frame: Rect): Distance[] {
  const middle = { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 };
  let left = frame.x;
  let rightmost = right(frame);
  let top = frame.y;
  let lowest = bottom(frame);
  for (const other of others) {
    if (other.y < bottom(rect) && rect.y < bottom(other)) {
      if (right(other) <= rect.x) left = Math.max(left, right(other));
      if (other.x >= right(rect)) rightmost = Math.min(rightmost, other.x);
    }
    if (other.x < right(rect) && rect.x < right(other)) {
      if (bottom(other) <= rect.y) top = Math.max(top, bottom(other));
      if (other.y >= bottom(rect)) lowest = Math.min(lowest, other.y);
    }
  }
  return [
    { side: 'top', length: rect.y - top, from: { x: middle.x, y: rect.y }, to: { x: middle.x, y: top } },
    {
      side: 'right',
      length: rightmost - right(rect),
      from: { x: right(rect), y: middle.y },
      to: { x: rightmost, y: middle.y },
    },
    {
      side: 'bottom',
      length: lowest - bottom(rect),
      from: { x: middle.x, y: bottom(rect) },
      to: { x: middle.x, y: lowest },
    },
    { side: 'left', length: rect.x - left, from: { x: rect.x, y: middle.y }, to: { x: left, y: middle.y } },
  ];
}
