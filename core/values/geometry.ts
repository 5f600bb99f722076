/** Rectangles and points. All lengths are CSS px at scale 1; y grows downward. */

export interface Point {
  x: number;
  y: number;
}

export interface Size {
  width: number;
  height: number;
}

export interface Rect extends Point, Size {}

export const isAsLarge = (one: Size, other: Size): boolean =>
  one.width === other.width && one.height === other.height;

export type Axis = 'x' | 'y';
export const sides = ['top', 'right', 'bottom', 'left'] as const;
export type Side = (typeof sides)[number];

export const lengthOf = { x: 'width', y: 'height' } as const;

export function isHorizontal(side: Side): boolean {
  return side === 'top' || side === 'bottom';
}

export function right(rect: Rect): number {
  return rect.x + rect.width;
}

export function bottom(rect: Rect): number {
  return rect.y + rect.height;
}

export function centreOf(rect: Rect): Point {
  return { x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 };
}

export function clamp(value: number, low: number, high: number): number {
  return Math.max(low, Math.min(high, value));
}

/** The rectangle moved (never resized) so that it lies within `frame`; one that is too large starts at the frame's. */
export function moveInside(rect: Rect, frame: Rect): Rect {
  const x = Math.max(frame.x, Math.min(rect.x, right(frame) - rect.width));
  const y = Math.max(frame.y, Math.min(rect.y, bottom(frame) - rect.height));
  return x === rect.x && y === rect.y ? rect : { ...rect, x, y };
}

/** What is left of `rect` when a strip of `depth` is taken off one side. */
export function cutSide(rect: Rect, side: Side, depth: number): Rect {
  const across = Math.min(depth, isHorizontal(side) ? rect.height : rect.width);
  switch (side) {
    case 'top':
      return { ...rect, y: rect.y + across, height: rect.height - across };
    case 'bottom':
      return { ...rect, height: rect.height - across };
    case 'left':
      return { ...rect, x: rect.x + across, width: rect.width - across };
    case 'right':
      return { ...rect, width: rect.width - across };
  }
}

export function boundsOf(rects: readonly Rect[]): Rect | null {
  if (rects.length === 0) return null;
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  return {
    x,
    y,
    width: Math.max(...rects.map(right)) - x,
    height: Math.max(...rects.map(bottom)) - y,
  };
}

export function isInside(inner: Rect, outer: Rect, tolerance = 1e-6): boolean {
  return (
    inner.x >= outer.x - tolerance &&
    inner.y >= outer.y - tolerance &&
    right(inner) <= right(outer) + tolerance &&
    bottom(inner) <= bottom(outer) + tolerance
  );
}

export function isWithin({ x, y }: Point, rect: Rect): boolean {
  return x >= rect.x && x <= right(rect) && y >= rect.y && y <= bottom(rect);
}

export function overlaps(a: Rect, b: Rect): boolean {
  return a.x < right(b) && b.x < right(a) && a.y < bottom(b) && b.y < bottom(a);
}

/** What two rectangles share; null when they only touch or lie apart. */
export function intersection(a: Rect, b: Rect): Rect | null {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  const width = Math.min(right(a), right(b)) - x;
  const height = Math.min(bottom(a), bottom(b)) - y;
  return width > 0 && height > 0 ? { x, y, width, height } : null;
}
