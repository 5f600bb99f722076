import { overlaps, type Point, type Rect, type Size } from '../values/geometry.ts';

/**
 * Where a screen that is moved to `wanted` comes to stand among the `others` (all in px, answers whole): its sides and
 * middle are pulled to theirs from as far as `pull`, and it never lies over one. Where it would, it takes the nearest
 * spot that is free.
 */
export function placeScreen(
  { width, height }: Size,
  wanted: Point,
  others: readonly Rect[],
  pull: number,
): Point {
  const spot = {
    x: pulled(
      wanted.x,
      pull,
      others.flatMap((other) => lines(other.x, other.width, width)),
    ),
    y: pulled(
      wanted.y,
      pull,
      others.flatMap((other) => lines(other.y, other.height, height)),
    ),
  };
  const isFree = ({ x, y }: Point) => others.every((other) => !overlaps({ x, y, width, height }, other));
  if (isFree(spot)) return spot;
  // It stands against another one; left of all of them there is always room.
  const xs = [spot.x, ...others.flatMap(({ x, width: wide }) => [x - width, x + wide])];
  const ys = [spot.y, ...others.flatMap(({ y, height: high }) => [y - height, y + high])];
  const far = ({ x, y }: Point) => Math.hypot(x - wanted.x, y - wanted.y);
  return xs
    .flatMap((x) => ys.map((y) => ({ x, y })))
    .filter(isFree)
    .reduce((best, next) => (far(next) < far(best) ? next : best));
}

/** Where a length's start can stand beside another one: against either end, flush with either, or about its middle. */
function lines(start: number, length: number, own: number): number[] {
  return [start - own, start + length, start, start + length - own, start + (length - own) / 2];
}

/** The nearest of the lines within reach, else what was wanted. */
function pulled(wanted: number, pull: number, to: readonly number[]): number {
  const far = (line: number) => Math.abs(line - wanted);
  const [nearest] = to.filter((line) => far(line) <= pull).sort((a, b) => far(a) - far(b));
  return Math.round(nearest ?? wanted);
}
