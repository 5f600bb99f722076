import { overlaps, type Rect } from '../values/geometry.ts';

/** A window that an edge may step aside for, px of their screen. */
export interface Standing {
  rect: Rect;
  isFront: boolean;
}

/** How far a window must be off the place of an edge that is away before the edge comes back, px: one that is dragged along its border does not call it and send it off by turns. */
const ROOM = 16;

/** Whether a window needs the place of an edge that steps aside. */
export function isInTheWay(
  edge: Rect,
  windows: readonly Standing[],
  from: 'front' | 'any',
  isThere: boolean,
): boolean {
  const room = isThere ? 0 : ROOM;
  const place = {
    x: edge.x - room,
    y: edge.y - room,
    width: edge.width + 2 * room,
    height: edge.height + 2 * room,
  };
  return windows.some(({ rect, isFront }) => (from === 'any' || isFront) && overlaps(rect, place));
}
