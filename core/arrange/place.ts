import { points, type Alignment, type NinePoint } from '../values/place.ts';
import {
  bottom,
  centreOf,
  isHorizontal,
  lengthOf,
  right,
  type Axis,
  type Point,
  type Rect,
  type Side,
  type Size,
} from '../values/geometry.ts';

/** Along one axis: at which end a part hangs. */
const alongX: Record<NinePoint, Alignment> = {
  'top-left': 'start',
  left: 'start',
  'bottom-left': 'start',
  top: 'centre',
  centre: 'centre',
  bottom: 'centre',
  'top-right': 'end',
  right: 'end',
  'bottom-right': 'end',
};
const alongY: Record<NinePoint, Alignment> = {
  'top-left': 'start',
  top: 'start',
  'top-right': 'start',
  left: 'centre',
  centre: 'centre',
  right: 'centre',
  'bottom-left': 'end',
  bottom: 'end',
  'bottom-right': 'end',
};

/** From the frame's start to the part's start, for an offset that points inward. */
function startFrom(align: Alignment, frame: Rect, size: Size, axis: Axis, offset: number): number {
  const spare = frame[lengthOf[axis]] - size[lengthOf[axis]];
  return (
    frame[axis] + (align === 'start' ? offset : align === 'centre' ? spare / 2 + offset : spare - offset)
  );
}

/** The inverse of startFrom. */
function offsetTo(align: Alignment, frame: Rect, rect: Rect, axis: Axis): number {
  const spare = frame[lengthOf[axis]] - rect[lengthOf[axis]];
  const along = rect[axis] - frame[axis];
  return align === 'start' ? along : align === 'centre' ? along - spare / 2 : spare - along;
}

/** Where a part of a size stands that hangs from a point of a frame, with inward offsets. */
export function hangFromPoint(point: NinePoint, frame: Rect, size: Size, offset: Point): Rect {
  return {
    x: startFrom(alongX[point], frame, size, 'x', offset.x),
    y: startFrom(alongY[point], frame, size, 'y', offset.y),
    ...size,
  };
}

/** The offsets with which a part at `rect` hangs from a point of a frame. */
export function offsetFromPoint(point: NinePoint, frame: Rect, rect: Rect): Point {
  return { x: offsetTo(alongX[point], frame, rect, 'x'), y: offsetTo(alongY[point], frame, rect, 'y') };
}

/**
 * Where a part stands on a neighbour's side: away from it by one offset, shifted along it by the other.
 *
 *      +-----------+  x   +------+
 *      | neighbour | <--> | part |   side right, align start
 *      |           |      +------+
 *      +-----------+
 */
export function hangFromNeighbour(
  side: Side,
  align: Alignment,
  neighbour: Rect,
  size: Size,
  offset: Point,
): Rect {
  const along: Axis = isHorizontal(side) ? 'x' : 'y';
  const shifted = startFrom(align, neighbour, size, along, offset[along]);
  const away = outward(side, neighbour, size, along === 'x' ? offset.y : offset.x);
  return along === 'x' ? { x: shifted, y: away, ...size } : { x: away, y: shifted, ...size };
}

function outward(side: Side, neighbour: Rect, size: Size, offset: number): number {
  switch (side) {
    case 'top':
      return neighbour.y - size.height - offset;
    case 'bottom':
      return bottom(neighbour) + offset;
    case 'left':
      return neighbour.x - size.width - offset;
    case 'right':
      return right(neighbour) + offset;
  }
}

/** The offsets with which a part at `rect` stands on a neighbour's side. */
export function offsetFromNeighbour(side: Side, align: Alignment, neighbour: Rect, rect: Rect): Point {
  const along: Axis = isHorizontal(side) ? 'x' : 'y';
  const shift = offsetTo(align, neighbour, rect, along);
  const zero = outward(side, neighbour, rect, 0);
  const sign = side === 'top' || side === 'left' ? -1 : 1;
  const away = (rect[along === 'x' ? 'y' : 'x'] - zero) * sign;
  return along === 'x' ? { x: shift, y: away } : { x: away, y: shift };
}

/** The point of a frame that a part stands nearest to, by thirds. */
export function nearestPoint(rect: Rect, frame: Rect): NinePoint {
  const { x, y } = centreOf(rect);
  const third = (at: number, start: number, length: number) =>
    Math.max(0, Math.min(2, Math.floor(((at - start) / Math.max(1, length)) * 3)));
  // The points are listed row by row.
  return points[third(y, frame.y, frame.height) * 3 + third(x, frame.x, frame.width)] ?? 'centre';
}
