import { freeAfter, type Flowing } from '../../arrange/edges.ts';
import type { Edge, Item } from '../../desk/sections/edges.ts';
import { bareFinish } from '../../values/finish.ts';
import { itemKindOf } from '../../items/list.ts';
import { isPlain } from '../../values/presses.ts';
import { layLines } from '../../items/text.ts';
import type { ItemContext, Room } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { clamp, isHorizontal, type Rect, type Size } from '../../values/geometry.ts';
import type { SceneEdge, SceneItem, SceneMore } from '../scene.ts';
import { fitItems } from './fit-items.ts';
import { defineSceneSection } from './section.ts';
import { placedTexts } from './texts.ts';
import { groundFor, lookOnce, textOf, type Solving } from '../solving.ts';

/** Each edge takes its strip off the free area: the first owns the corners. */
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
    list.map(({ id, rect, backing, surface, items, more }) => ({
      id,
      rect,
      ground: backing ?? rect,
      surface,
      scale: 1,
      texts: () => [
        ...textsOfItems(items),
        ...(more ? placedTexts(MORE, more.layout.runs, startOf(more)) : []),
      ],
    })),
});

/** What stands for the item in the texts of the button that opens the rest. */
const MORE = 'more';

export function textsOfItems(items: readonly SceneItem[]) {
  return items.flatMap((item) => placedTexts(item.id, item.layout.runs, startOf(item)));
}

function startOf({ rect, at }: Pick<SceneItem, 'rect' | 'at'>) {
  return { x: rect.x + at.x, y: rect.y + at.y };
}

export interface LookedItem {
  item: Item;
  view: unknown;
  layout: Layout;
  flowing: Flowing;
}

/** An item's view and inside in a context; `key` says all of the context that is not said by the item. */
export function lookAtItem(item: Item, key: string, context: ItemContext, solving: Solving): LookedItem {
  const kind = itemKindOf(item.type);
  const iconSize = clamp(item.iconSize ?? context.iconSize, 1, context.thickness);
  const own = iconSize === context.iconSize ? context : { ...context, iconSize };
  const full = `${item.type} ${key} ${iconSize} ${context.room} ${textOf(item.options)}`;
  const { view, layout } = lookOnce(solving, full, () => {
    const seen = kind.view(item.options, own);
    return { view: seen, layout: kind.layout(seen, own), needs: kind.needs?.(item.options) ?? [] };
  });
  return {
    item,
    view,
    layout,
    flowing: {
      length: context.isVertical ? layout.size.height : layout.size.width,
      before: item.before,
      after: item.after,
      weight: kind.weight?.(item.options) ?? null,
      isBlank: kind.isBlank ?? false,
    },
  };
}

function contextOf(edge: Edge, onSurface: ReturnType<typeof groundFor>['context'], room: Room): ItemContext {
  return {
    ...onSurface,
    edge: edge.kind,
    side: edge.side,
    thickness: edge.thickness,
    iconSize: Math.min(edge.iconSize, edge.thickness),
    isVertical: !isHorizontal(edge.side),
    room,
  };
}

function solveEdge(edge: Edge, free: Rect, solving: Solving): SceneEdge {
  const own = edge.finish ?? solving.desk.look.finish;
  const {
    surface,
    beneath,
    context: onSurface,
  } = groundFor(edge.backing === 'none' && own.kind !== 'bare' ? bareFinish(own) : edge.finish, solving);
  const contexts = new Map<Room, ItemContext>();
  const inRoom = (room: Room) => {
    const context = contexts.get(room) ?? contextOf(edge, onSurface, room);
    contexts.set(room, context);
    return context;
  };
  const key = [edge.kind, edge.side, edge.thickness, beneath].join(' ');
  const moreFor = (count: number) => layLines([`+${count}`], inRoom('tight'));
  const { shown, hidden, laid } = fitItems(
    edge,
    edge.items,
    free,
    (item, room) => lookAtItem(item, key, inRoom(room), solving),
    (count) => solid(lengthOf(moreFor(count).size, edge)),
  );
  const isAway = edge.shows.by === 'slips' && solving.out !== null && !solving.out.has(edge.id);
  const ids = hidden.map(({ id }) => id);
  const last = laid.items[shown.length];
  return {
    id: edge.id,
    kind: edge.kind,
    side: edge.side,
    rect: laid.rect,
    frame: free,
    surface,
    touchesSide: edge.margin === 0,
    backing:
      edge.backing === 'none' ? null : edge.backing === 'side' ? alongSide(laid.rect, edge, free) : laid.rect,
    locked: edge.locked,
    isAway,
    growth: edge.kind === 'dock' && edge.growth.factor > 1 ? edge.growth : null,
    tellsNames: edge.kind === 'dock' && edge.labels,
    missing: laid.missing,
    items: shown.map((looked, index) => placedItem(looked, laid.items[index] ?? laid.rect)),
    more: last && ids.length > 0 ? placedMore(ids, moreFor(ids.length), last) : null,
  };
}

export function placedItem({ item, view, layout }: LookedItem, rect: Rect): SceneItem {
  const presses = isPlain(item.presses) ? null : item.presses;
  return {
    id: item.id,
    type: item.type,
    view,
    layout,
    rect,
    at: middleOf(rect, layout.size),
    presses,
  } as SceneItem;
}

function placedMore(ids: readonly string[], layout: Layout, rect: Rect): SceneMore {
  return { ids, rect, at: middleOf(rect, layout.size), layout };
}

function solid(length: number): Flowing {
  return { length, before: 0, after: 0, weight: null, isBlank: false };
}

function lengthOf({ width, height }: Size, { side }: Edge): number {
  return isHorizontal(side) ? width : height;
}

/** A strip as long as the side that it belongs to. */
function alongSide(rect: Rect, { side, margin }: Edge, free: Rect): Rect {
  return isHorizontal(side)
    ? { ...rect, x: free.x + margin, width: free.width - 2 * margin }
    : { ...rect, y: free.y + margin, height: free.height - 2 * margin };
}

/** Where what an item shows begins in its box: in the middle of it, also where the edge has too little room. */
function middleOf({ width, height }: Size, size: Size) {
  return { x: (width - size.width) / 2, y: (height - size.height) / 2 };
}
