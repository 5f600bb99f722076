import type { Finish } from '../../values/finish.ts';
import { isHorizontal, type Rect } from '../../values/geometry.ts';
import type { SceneEdge } from '../scene.ts';

/** What everything that opens beside an edge shares. */

export const opposite = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' } as const;

/** The strip of the edge level with one of its items. */
export function besideOf(edge: SceneEdge, item: Rect): Rect {
  return isHorizontal(edge.side)
    ? { ...item, y: edge.rect.y, height: edge.rect.height }
    : { ...item, x: edge.rect.x, width: edge.rect.width };
}

const solids = new WeakMap<Finish, Finish>();

/** The finish of what opens: nothing shows through, for what lies beneath changes with every desk. The same object for the same one. */
export function solidFinish(own: Finish): Finish {
  let solid = solids.get(own);
  if (!solid) solids.set(own, (solid = madeSolid(own)));
  return solid;
}

function madeSolid(own: Finish): Finish {
  return {
    ...own,
    kind: 'matte',
    tint: own.kind === 'bare' ? 'surface' : own.tint,
    radius: Math.max(10, own.radius),
  };
}
