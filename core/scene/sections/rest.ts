import { hangFromNeighbour } from '../../arrange/place.ts';
import { plainSurface } from '../solving.ts';
import { isHorizontal, moveInside, type Rect } from '../../values/geometry.ts';
import type { SceneEdge, SceneRest } from '../scene.ts';
import type { Solving } from '../solving.ts';
import { itemStand, lookAtItem, placedItem, textsOfItems } from './edges.ts';
import { besideOf, opposite, solidFinish } from './beside.ts';
import { defineSceneSection } from './section.ts';

/** Px of a row, around all of them, and off the edge. */
const ROW = 44;
const AROUND = 8;
const OFF = 10;

/** What of an edge found no room, one under the other beside the button that opens it. */
export const rest = defineSceneSection({
  key: 'rest',
  solve({ rect, solved: { edges = [] } }, solving) {
    const edge = edges.find(({ id, more }) => id === solving.conditions.openMore && more !== null);
    return edge ? solveRest(edge, rect, solving) : null;
  },
  parts: (open) =>
    open
      ? [
          {
            id: open.id,
            rect: open.rect,
            surface: open.surface,
            scale: 1,
            texts: () => textsOfItems(open.items),
          },
        ]
      : [],
});

function solveRest(edge: SceneEdge, screen: Rect, solving: Solving): SceneRest | null {
  const source = solving.desk.edges.find(({ id }) => id === edge.id);
  const { more } = edge;
  if (!source || !more) return null;
  const surface = plainSurface(solidFinish(source.finish ?? solving.desk.look.finish), solving);
  const on = itemStand(solving.base.stand, {
    screen: source.screen,
    // Each lies flat, as on a panel, whatever side the edge is on.
    edge: 'panel',
    side: 'top',
    thickness: ROW,
    iconSize: Math.min(source.iconSize, ROW - 2 * AROUND),
    isVertical: false,
    tellsAt: null,
    room: 'full',
  });
  const looked = source.items
    .filter(({ id }) => more.ids.includes(id))
    .map((item) => lookAtItem(item, on, solving));
  const width = Math.max(...looked.map(({ layout }) => layout.size.width)) + 2 * AROUND;
  const size = { width, height: Math.min(screen.height - 2 * OFF, looked.length * ROW + 2 * AROUND) };
  const flat = isHorizontal(edge.side);
  const rect = moveInside(
    hangFromNeighbour(opposite[edge.side], 'end', besideOf(edge, more.rect), size, {
      x: flat ? 0 : OFF,
      y: flat ? OFF : 0,
    }),
    screen,
  );
  const fitting = looked.slice(0, Math.floor((size.height - 2 * AROUND) / ROW));
  return {
    id: `rest of ${edge.id}`,
    edge: edge.id,
    rect,
    surface,
    items: fitting.map((one, index) =>
      placedItem(one, {
        x: rect.x + AROUND,
        y: rect.y + AROUND + index * ROW,
        width: one.layout.size.width,
        height: ROW,
      }),
    ),
  };
}
