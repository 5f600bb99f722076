import type { Alignment } from '../values/place.ts';
import { boundsOf, lengthOf, type Axis, type Rect } from '../values/geometry.ts';

/** The rectangles moved along one axis so that their starts, centres or ends agree with the outermost ones. */
export function alignRects(rects: readonly Rect[], axis: Axis, align: Alignment): Rect[] {
  const bounds = boundsOf(rects);
  if (!bounds) return [];
  return rects.map((rect) => {
    const spare = bounds[lengthOf[axis]] - rect[lengthOf[axis]];
    const shift = align === 'start' ? 0 : align === 'centre' ? spare / 2 : spare;
    return { ...rect, [axis]: bounds[axis] + shift };
  });
}

/** The rectangles moved along one axis so that the gaps between neighbours are equal; the outer two stay. */
export function distributeRects(rects: readonly Rect[], axis: Axis): Rect[] {
  const bounds = boundsOf(rects);
  if (!bounds || rects.length < 3) return [...rects];
  const length = lengthOf[axis];
  const order = rects
    .map((_, index) => index)
    .sort((a, b) => centre(rects[a], axis) - centre(rects[b], axis));
  const filled = rects.reduce((sum, rect) => sum + rect[length], 0);
  const gap = (bounds[length] - filled) / (rects.length - 1);
  const moved = [...rects];
  let at = bounds[axis];
  for (const index of order) {
    const rect = rects[index];
    if (!rect) continue;
    moved[index] = { ...rect, [axis]: at };
    at += rect[length] + gap;
  }
  return moved;
}

function centre(rect: Rect | undefined, axis: Axis): number {
  return rect ? rect[axis] + rect[lengthOf[axis]] / 2 : 0;
}
