import { clamp, isHorizontal, type Point, type Rect, type Side } from '../values/geometry.ts';
import type { Alignment } from '../values/place.ts';
import { alignedBy } from './edges.ts';
import type { EdgeFrame } from './schema.ts';

/** Shortest and thinnest that an edge can be dragged to, px. */
const LEAST_LONG = 16;

interface Spanned {
  rect: Rect;
  /** The area that the edge was laid in. */
  frame: Rect;
  side: Side;
  align: Alignment;
  margin: number;
}

/**
 * An edge with one of its ends moved by `by` px along its side; the other end stays where it is. What it takes: a length
 * of its own, and how far it is moved from where its alignment would have it.
 */
export function withEndMoved(
  { rect, frame, side, align, margin }: Spanned,
  end: 'start' | 'end',
  by: number,
): Pick<EdgeFrame, 'length' | 'offset'> {
  const [at, long] = isHorizontal(side) ? (['x', 'width'] as const) : (['y', 'height'] as const);
  const low = frame[at] + margin;
  const high = frame[at] + frame[long] - margin;
  const [from, to] = [rect[at], rect[at] + rect[long]];
  const start = end === 'start' ? clamp(from + by, low, to - LEAST_LONG) : from;
  const stop = end === 'end' ? clamp(to + by, from + LEAST_LONG, high) : to;
  const px = Math.round(stop - start);
  return { length: { by: 'fixed', px }, offset: Math.round(start - low - alignedBy(align, high - low - px)) };
}

/** How thick an edge becomes when its inner side is dragged by so much; px, whole. */
export function thicknessAfter(thickness: number, side: Side, by: Point): number {
  const outward = { top: by.y, bottom: -by.y, left: by.x, right: -by.x }[side];
  return clamp(Math.round(thickness + outward), 16, 240);
}
