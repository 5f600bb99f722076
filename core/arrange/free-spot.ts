import { bottom, overlaps, right, type Rect, type Size } from '../values/geometry.ts';

/** What a part keeps from the sides of the free area and from its neighbours where nobody says otherwise, px. */
export const MARGIN = 24;

/** What stands exactly a margin off does not meet, px. */
const HAIR = 0.01;
/** Of how many parts the neighbourhood is looked at. */
const MOST_LINES = 24;

/**
 * Where there is room for a part of a size: on the margins of the free area, or a margin off what already stands there,
 * in columns from the top right. In the middle when nothing is free.
 */
export function freeSpot({ width, height }: Size, free: Rect, taken: readonly Rect[]): Rect {
  const low = { x: free.x + MARGIN, y: free.y + MARGIN };
  const high = { x: right(free) - MARGIN - width, y: bottom(free) - MARGIN - height };
  const within = (at: number, axis: 'x' | 'y') => at >= low[axis] && at <= high[axis];
  const lately = taken.slice(-MOST_LINES);
  const xs = [
    high.x,
    low.x,
    ...lately.flatMap((one) => [one.x - MARGIN - width, right(one) + MARGIN, right(one) - width, one.x]),
  ]
    .filter((x) => within(x, 'x'))
    .sort((a, b) => b - a);
  const ys = [low.y, high.y, ...lately.flatMap((one) => [bottom(one) + MARGIN, one.y])]
    .filter((y) => within(y, 'y'))
    .sort((a, b) => a - b);
  const near = taken.map((one) => ({
    x: one.x - MARGIN + HAIR,
    y: one.y - MARGIN + HAIR,
    width: one.width + 2 * (MARGIN - HAIR),
    height: one.height + 2 * (MARGIN - HAIR),
  }));
  for (const x of xs)
    for (const y of ys) {
      const spot = { x, y, width, height };
      if (!near.some((one) => overlaps(spot, one))) return spot;
    }
  return {
    x: free.x + (free.width - width) / 2,
    y: free.y + (free.height - height) / 2,
    width,
    height,
  };
}
