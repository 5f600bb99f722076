import type { Point } from '../values/geometry.ts';

/**
 * Lattices that cells lock into. A cell is known by whole numbers: `a` along its row, and `b`, the row. Cells are as far
 * from their neighbours as the gap says, measured straight across between their sides.
 */

export const lattices = ['squares', 'hexagons', 'diamonds', 'triangles', 'circles'] as const;
export type Lattice = (typeof lattices)[number];

export interface Slot {
  a: number;
  b: number;
}

export interface LatticeSize {
  lattice: Lattice;
  /** Of the circle within a cell, px. */
  radius: number;
  gap: number;
}

const SQRT3 = Math.sqrt(3);
const odd = (value: number) => Math.abs(value % 2);
/** Triangles point up and down in turn. */
const pointsUp = ({ a, b }: Slot) => odd(a + b) === 0;

/** Where the circle within a cell has its middle; the one of the first cell for a = b = 0, px. */
export function middleOf(slot: Slot, { lattice, radius, gap }: LatticeSize): Point {
  const { a, b } = slot;
  const reach = radius + gap / 2;
  switch (lattice) {
    case 'squares':
      return { x: 2 * reach * a, y: 2 * reach * b };
    case 'hexagons':
    case 'circles':
      return { x: 2 * reach * (a + odd(b) / 2), y: SQRT3 * reach * b };
    case 'diamonds': {
      const diagonal = 2 * reach * Math.SQRT2;
      return { x: diagonal * (a + odd(b) / 2), y: (diagonal / 2) * b };
    }
    case 'triangles':
      return { x: SQRT3 * reach * a, y: 3 * reach * b + (pointsUp(slot) ? 0 : -reach) };
  }
}

/** The corners of a cell around its middle; many for a circle. */
export function cornersOf(slot: Slot, { lattice, radius }: Pick<LatticeSize, 'lattice' | 'radius'>): Point[] {
  const around = (count: number, far: number, from: number) =>
    Array.from({ length: count }, (_, corner) => {
      const angle = ((from + (360 * corner) / count) * Math.PI) / 180;
      return { x: far * Math.cos(angle), y: far * Math.sin(angle) };
    });
  switch (lattice) {
    case 'squares':
      return around(4, radius * Math.SQRT2, 45);
    case 'diamonds':
      return around(4, radius * Math.SQRT2, 0);
    case 'hexagons':
      return around(6, (2 * radius) / SQRT3, 30);
    case 'triangles':
      return around(3, 2 * radius, pointsUp(slot) ? -90 : 90);
    case 'circles':
      return around(48, radius, 0);
  }
}

/** The slots whose cells share a side with this one; of circles, those that it touches. */
export function neighboursOf(slot: Slot, lattice: Lattice): Slot[] {
  const { a, b } = slot;
  const at = (da: number, db: number) => ({ a: a + da, b: b + db });
  switch (lattice) {
    case 'squares':
      return [at(1, 0), at(0, 1), at(-1, 0), at(0, -1)];
    case 'hexagons':
    case 'circles': {
      const lean = odd(b);
      return [at(1, 0), at(lean, 1), at(lean - 1, 1), at(-1, 0), at(lean - 1, -1), at(lean, -1)];
    }
    case 'diamonds': {
      const lean = odd(b);
      return [at(lean, 1), at(lean - 1, 1), at(lean - 1, -1), at(lean, -1)];
    }
    case 'triangles':
      return [at(1, 0), at(-1, 0), pointsUp(slot) ? at(0, 1) : at(0, -1)];
  }
}

const keyOf = ({ a, b }: Slot) => `${a} ${b}`;

/** The free slot that is nearest to a point, px from the middle of the first. */
export function nearestFree(point: Point, size: LatticeSize, taken: readonly Slot[]): Slot {
  const full = new Set(taken.map(keyOf));
  const reach = size.radius + size.gap / 2;
  const rowHigh = Math.abs(middleOf({ a: 0, b: 2 }, size).y) / 2;
  const wide = Math.abs(middleOf({ a: 2, b: 0 }, size).x) / 2;
  const about = { a: Math.round(point.x / wide), b: Math.round(point.y / rowHigh) };
  let best: Slot | null = null;
  let least = Infinity;
  // As many rings as cells could fill: one of them has room.
  const rings = 2 + Math.ceil(Math.sqrt(taken.length));
  for (let b = about.b - rings; b <= about.b + rings; b++)
    for (let a = about.a - 2 * rings; a <= about.a + 2 * rings; a++) {
      if (full.has(keyOf({ a, b }))) continue;
      const { x, y } = middleOf({ a, b }, size);
      const far = Math.hypot(x - point.x, y - point.y);
      // What is as far is taken further up, then further left.
      if (far < least - reach * 1e-9) [best, least] = [{ a, b }, far];
    }
  return best ?? about;
}

/** A slot beside those that are taken: the one that keeps the field round. */
export function nextSlot(taken: readonly Slot[], size: LatticeSize): Slot {
  if (taken.length === 0) return { a: 0, b: 0 };
  const full = new Set(taken.map(keyOf));
  const middles = taken.map((slot) => middleOf(slot, size));
  const centre = {
    x: middles.reduce((sum, { x }) => sum + x, 0) / middles.length,
    y: middles.reduce((sum, { y }) => sum + y, 0) / middles.length,
  };
  let best: Slot = { a: 0, b: 0 };
  let least = Infinity;
  for (const slot of taken.flatMap((one) => neighboursOf(one, size.lattice))) {
    if (full.has(keyOf(slot))) continue;
    const { x, y } = middleOf(slot, size);
    const far = Math.hypot(x - centre.x, (y - centre.y) * 1.3);
    if (far < least - 1e-9) [best, least] = [slot, far];
  }
  return best;
}
