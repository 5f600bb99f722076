import { nearestPoint, offsetFromNeighbour, offsetFromPoint } from '../arrange/place.ts';
import type { Rect } from '../values/geometry.ts';
import type { Hanging, Place } from '../values/place.ts';

/** What edits need to know of a screen as it was solved. */
export interface Ground {
  screen: { id: string; rect: Rect };
  free: Rect;
  /** Rectangles of the screen's parts by id. */
  rects: ReadonlyMap<string, Rect>;
}

/** Offsets are kept in halves of a px: a part of odd size can stand in a middle. */
const HALF_PX = 0.5;

/** The place with which a part at `rect` keeps hanging from what it hangs from. */
export function placeAt(hangs: Hanging, rect: Rect, ground: Ground, step = HALF_PX): Place {
  if (hangs.from === 'part') {
    const neighbour = ground.rects.get(hangs.part);
    return neighbour
      ? rounded(hangs, offsetFromNeighbour(hangs.side, hangs.align, neighbour, rect), step)
      : freePlace(rect, ground);
  }
  const frame = hangs.from === 'free' ? ground.free : ground.screen.rect;
  return rounded(hangs, offsetFromPoint(hangs.point, frame, rect), step);
}

/** The place of a part at `rect` that hangs from the nearest point of the free area. */
export function freePlace(rect: Rect, ground: Ground): Place {
  const point = nearestPoint(rect, ground.free);
  return rounded(
    { from: 'free', screen: ground.screen.id, point },
    offsetFromPoint(point, ground.free, rect),
  );
}

function rounded(hangs: Hanging, { x, y }: { x: number; y: number }, step = HALF_PX): Place {
  const round = (value: number) => Math.round(Math.round(value / step) * step * 100) / 100;
  return { hangs, x: round(x), y: round(y) };
}
