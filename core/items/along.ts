import type { ItemContext } from '../kinds/kind.ts';
import type { Rect, Size } from '../values/geometry.ts';

/** A rectangle by where it stands along the edge and across it, px. */
export function boxAlong(
  at: number,
  along: number,
  across: number,
  depth: number,
  isVertical: boolean,
): Rect {
  return isVertical
    ? { x: across, y: at, width: depth, height: along }
    : { x: at, y: across, width: along, height: depth };
}

/** The size of an item that is so long along its edge, px. */
export function sizeAlong(
  length: number,
  { thickness, isVertical }: Pick<ItemContext, 'thickness' | 'isVertical'>,
): Size {
  return isVertical ? { width: thickness, height: length } : { width: length, height: thickness };
}
