import { clamp, type Rect } from '../values/geometry.ts';
import type { Slot } from './trial.ts';

/** Where windows stand that share the free area. */

export interface Gaps {
  /** px off the sides of the free area, and between two windows. */
  outer: number;
  inner: number;
}

export const tilings = ['columns', 'halves', 'grid', 'stack'] as const;
export type Tiling = (typeof tilings)[number];

/** How much of the width the one has that stands beside a stack. */
const BESIDE = 0.6;

/** Slots for so many windows, that of the front window first. Together they are all of the area, without overlap. */
export function slotsFor(tiling: Tiling, count: number): Slot[] {
  if (count <= 0) return [];
  if (count === 1) return [whole];
  switch (tiling) {
    case 'columns':
      return cells(count, count);
    case 'halves': {
      const left = Math.ceil(count / 2);
      const columns = [stacked(0, 0.5, left), stacked(0.5, 0.5, count - left)];
      // By turns, so that the first two stand beside each other.
      return Array.from({ length: count }, (_, index) => columns[index % 2]?.[index >> 1] ?? whole);
    }
    case 'grid':
      return cells(count, Math.ceil(Math.sqrt(count)));
    case 'stack':
      return [{ x: 0, y: 0, width: BESIDE, height: 1 }, ...stacked(BESIDE, 1 - BESIDE, count - 1)];
  }
}

const whole: Slot = { x: 0, y: 0, width: 1, height: 1 };

/** Rows of so many; those of the last row share its width. */
function cells(count: number, columns: number): Slot[] {
  const rows = Math.ceil(count / columns);
  return Array.from({ length: count }, (_, index) => {
    const row = Math.floor(index / columns);
    const abreast = row === rows - 1 ? count - row * columns : columns;
    return {
      x: (index % columns) / abreast,
      y: row / rows,
      width: 1 / abreast,
      height: 1 / rows,
    };
  });
}

function stacked(x: number, width: number, count: number): Slot[] {
  return Array.from({ length: count }, (_, index) => ({
    x,
    y: index / count,
    width,
    height: 1 / count,
  }));
}

/**
 * The rectangle of a slot, px. Slots that meet stand `inner` apart, those at a side stand `outer` off it, and slots of
 * the same share are equally large wherever they stand.
 */
export function slotRect(slot: Slot, free: Rect, { outer, inner }: Gaps): Rect {
  const [x, width] = along(slot.x, slot.width, free.x, free.width, outer, inner);
  const [y, height] = along(slot.y, slot.height, free.y, free.height, outer, inner);
  return { x, y, width, height };
}

/** So many windows abreast still have room between their gaps. */
const LEAST_SHARES = 12;

/** Gaps give way where there is too little room for them. */
function along(
  at: number,
  share: number,
  start: number,
  length: number,
  outer: number,
  inner: number,
): [number, number] {
  const off = clamp(outer, 0, length / 4);
  const room = length - 2 * off;
  // The same for all slots of a share, or they would not meet; where there are more abreast, half of one at most.
  const gap = clamp(inner, 0, share < 1 / LEAST_SHARES ? (room * share) / 2 : room / LEAST_SHARES);
  const from = start + off + at * (room + gap);
  const to = start + off + (at + share) * (room + gap) - gap;
  return [from, Math.max(1, to - from)];
}
