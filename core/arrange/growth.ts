/**
 * How items on a line grow under the pointer: a smooth bump of scale over the line, and every point of it moved aside by
 * what lies between it and the pointer. Being an integral of one curve, it has no jumps wherever the pointer goes.
 */

/** What a dock's items do under the pointer. */
export interface Growth {
  /** How large the item at the pointer becomes; 1 does nothing. */
  factor: number;
  /** How far to either side it is felt, px. */
  reach: number;
  /** How much of it is in force, 0 to 1: it comes and goes softly. */
  share: number;
}

export interface Grown {
  /** How many times its size. */
  scale: number;
  /** How far its middle is moved along the line, px. */
  shift: number;
}

/** How long growth takes to come and to go, ms. */
const FADE_MS = 140;

/** How much of a growth is in force so many ms later, on its way to all or to nothing. */
export function fadedTo(wanted: 0 | 1, share: number, elapsed: number): number {
  const step = Math.max(0, elapsed) / FADE_MS;
  return wanted > share ? Math.min(wanted, share + step) : Math.max(wanted, share - step);
}

/** What becomes of a line of items: of each, and by how much what lies beneath all of them (`long` px) reaches further. */
export function grownLine(
  parts: readonly { start: number; end: number }[],
  long: number,
  pointer: number,
  growth: Growth,
): { items: Grown[]; beneath: { shift: number; scale: number } } {
  const items = parts.map(({ start, end }) => grown(start, end, pointer, growth));
  const before = Math.min(0, items[0]?.shift ?? 0);
  const after = Math.max(0, items.at(-1)?.shift ?? 0);
  return { items, beneath: { shift: before, scale: long > 0 ? (long + after - before) / long : 1 } };
}

/** By how much a point `off` px from the pointer is moved: the integral of the bump from the pointer to there. */
function moved(off: number, { factor, reach, share }: Growth): number {
  const at = Math.min(Math.abs(off), reach);
  // The bump is (1 + cos(π x / reach)) / 2: one at the pointer, nothing from the reach on, and level at both ends.
  const way = (at + (reach / Math.PI) * Math.sin((Math.PI * at) / reach)) / 2;
  return Math.sign(off) * way * (factor - 1) * share;
}

/** What becomes of an item that stands from `start` to `end` when the pointer is at `pointer`, px along the line. */
export function grown(start: number, end: number, pointer: number, growth: Growth): Grown {
  const length = end - start;
  if (length <= 0 || growth.reach <= 0) return { scale: 1, shift: 0 };
  const from = moved(start - pointer, growth);
  const to = moved(end - pointer, growth);
  return { scale: 1 + (to - from) / length, shift: (from + to) / 2 };
}
