import { nearestPoint, offsetFromNeighbour, offsetFromPoint } from '../arrange/place.ts';
import type { Rect } from '../values/geometry.ts';
import type { Hanging, Place } from '../values/place.ts';

/** What edits need to know of a screen as it was solved. */
export interface Whereabouts {
  screen: { id: string; rect: Rect };
  free: Rect;
  /** Rectangles of the screen's parts by id. */
  rects: ReadonlyMap<string, Rect>;
}

/** Offsets are kept in halves of a px: a part of odd size can stand in a middle. */
const HALF_PX = 0.5;

/** The place with which a part at `rect` keeps hanging from what it hangs from. */
export function placeAt(hangs: Hanging, rect: Rect, whereabouts: Whereabouts, step = HALF_PX): Place {
  if (hangs.from === 'part') {
    const neighbour = whereabouts.rects.get(hangs.part);
    return neighbour
      ? rounded(hangs, offsetFromNeighbour(hangs.side, hangs.align, neighbour, rect), step)
      : freePlace(rect, whereabouts);
  }
  const frame = hangs.from === 'free' ? whereabouts.free : whereabouts.screen.rect;
  return rounded(hangs, offsetFromPoint(hangs.point, frame, rect), step);
}

/** The place of a part at `rect` that hangs from the nearest point of the free area. */
export function freePlace(rect: Rect, whereabouts: Whereabouts): Place {
  const point = nearestPoint(rect, whereabouts.free);
  return rounded(
    { from: 'free', screen: whereabouts.screen.id, point },
    offsetFromPoint(point, whereabouts.free, rect),
  );
}

function rounded(hangs: Hanging, { x, y }: { x: number; y: number }, step = HALF_PX): Place {
  const round = (value: number) => Math.round(Math.round(value / step) * step * 100) / 100;
  return { hangs, x: round(x), y: round(y) };
}
