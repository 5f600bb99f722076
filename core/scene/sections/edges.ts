import { freeAfter, layEdge, type Flowing } from '../../arrange/edges.ts';
import type { Edge, Item } from '../../desk/sections/edges.ts';
import { itemKindOf } from '../../items/list.ts';
import type { ItemContext } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { isHorizontal, type Rect, type Size } from '../../values/geometry.ts';
import type { SceneEdge, SceneItem } from '../scene.ts';
import { defineSceneSection } from './section.ts';
import { placedTexts } from './texts.ts';
import { groundFor, lookOnce, textOf, type Solving } from '../solving.ts';

/** Each edge takes its strip off the free area. */
export const edges = defineSceneSection({
  key: 'edges',
  solve(ground, solving) {
    const here = solving.desk.edges.filter(({ screen }) => screen === ground.id);
    return here.map((edge) => {
      const solved = solveEdge(edge, ground.free, solving);
      ground.free = freeAfter(edge, ground.free);
      return solved;
    });
  },
  parts: (list) =>
    list.map(({ id, rect, surface, items }) => ({
      id,
      rect,
      surface,
      scale: 1,
      texts: () =>
        items.flatMap(({ id: item, layout, rect: box, at }) =>
          placedTexts(item, layout.runs, { x: box.x + at.x, y: box.y + at.y }),
        ),
    })),
});

interface LookedItem {
  item: Item;
  view: unknown;
  layout: Layout;
  flowing: Flowing;
}

function lookAt(item: Item, key: string, context: ItemContext, solving: Solving): LookedItem {
  const kind = itemKindOf(item.type);
  const { view, layout } = lookOnce(solving, `${item.type} ${key} ${textOf(item.options)}`, () => {
    const seen = kind.view(item.options, context);
    return { view: seen, layout: kind.layout(seen, context), needs: kind.needs?.(item.options) ?? [] };
  });
  return {
    item,
    view,
    layout,
    flowing: {
      length: context.isVertical ? layout.size.height : layout.size.width,
      weight: kind.weight?.(item.options) ?? null,
      isBlank: kind.isBlank ?? false,
    },
  };
}

function solveEdge(edge: Edge, free: Rect, solving: Solving): SceneEdge {
  const { surface, beneath, context: onSurface } = groundFor(edge.finish, solving);
  const context: ItemContext = {
    ...onSurface,
    edge: edge.kind,
    side: edge.side,
    thickness: edge.thickness,
    iconSize: Math.min(edge.iconSize, edge.thickness),
    isVertical: !isHorizontal(edge.side),
  };
  const key = [edge.kind, edge.side, edge.thickness, context.iconSize, beneath].join(' ');
  const looked = edge.items.map((item) => lookAt(item, key, context, solving));
  const laid = layEdge(
    edge,
    looked.map(({ flowing }) => flowing),
    free,
  );
  return {
    id: edge.id,
    kind: edge.kind,
    side: edge.side,
    rect: laid.rect,
    surface,
    touchesSide: edge.margin === 0,
    missing: laid.missing,
    items: looked.map(({ item, view, layout }, index) => {
      const rect = laid.items[index] ?? laid.rect;
      const at = middleOf(rect, layout.size);
      return { id: item.id, type: item.type, view, layout, rect, at } as SceneItem;
    }),
  };
}

/** Where what an item shows begins in its box: in the middle of it, also where the edge has too little room. */
function middleOf({ width, height }: Size, size: Size) {
  return { x: (width - size.width) / 2, y: (height - size.height) / 2 };
}
