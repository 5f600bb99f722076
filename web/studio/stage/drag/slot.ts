import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { isHorizontal, type Point } from '../../../../core/values/geometry.ts';
import { presentDesk } from '../../../session/desk.ts';

/** How far off an edge an item still belongs to it, px of the stage. */
const OFF_REACH = 44;

/** The edge that a point of a screen is on, and between which of its items, the one in hand aside; null off all edges. */
export function slotAt(
  screen: SceneScreen | null | undefined,
  at: Point,
  scale: number,
  inHand: string,
): { edge: string; index: number } | null {
  const sources = presentDesk()?.edges ?? [];
  const reach = OFF_REACH / scale;
  const edge = screen?.edges.find(({ id, rect: { x, y, width, height } }) => {
    const isOn =
      at.x > x - reach && at.x < x + width + reach && at.y > y - reach && at.y < y + height + reach;
    return isOn && sources.some((source) => source.id === id && !source.locked);
  });
  if (!edge) return null;
  const [axis, length] = isHorizontal(edge.side) ? (['x', 'width'] as const) : (['y', 'height'] as const);
  const others = edge.items.filter(({ id }) => id !== inHand);
  const next = others.find(({ rect }) => rect[axis] + rect[length] / 2 >= at[axis]);
  const items = sources.find(({ id }) => id === edge.id)?.items.filter(({ id }) => id !== inHand) ?? [];
  return { edge: edge.id, index: next ? items.findIndex(({ id }) => id === next.id) : items.length };
}
