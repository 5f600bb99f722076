import { freeAfter, type Flowing } from '../../arrange/edges.ts';
import type { Edge, Item } from '../../desk/sections/edges.ts';
import type { Surface } from '../../colour/look.ts';
import { bareFinish, type Finish } from '../../values/finish.ts';
import { itemKindOf } from '../../items/list.ts';
import { dockLine } from '../../items/application/application.ts';
import { isPlain } from '../../values/presses.ts';
import { layBlank } from '../../items/blank.ts';
import { areLearned } from '../../expressions/learn.ts';
import { layLines } from '../../items/text.ts';
import type { ItemContext, Room } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { clamp, isHorizontal, type Rect, type Size } from '../../values/geometry.ts';
import type { SceneEdge, SceneItem, SceneMore } from '../scene.ts';
import type { SceneText } from '../parts.ts';
import { solidFinish } from './beside.ts';
import { fitItems } from './fit-items.ts';
import { defineSceneSection } from './section.ts';
import { PLATE, placedTexts, plateAround } from './texts.ts';
import { groundFor, lookOnce, numberOf, type Solving } from '../solving.ts';

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
    list.map(({ id, rect, backing, surface, items, more, plate }) => ({
      id,
      rect,
      ground: backing ?? rect,
      surface,
      scale: 1,
      texts: () => [
        ...textsOfItems(items, plate),
        ...(more ? placedTexts(MORE, more.layout.runs, startOf(more)) : []),
      ],
    })),
});

/** What stands for the item in the texts of the button that opens the rest. */
const MORE = 'more';

/** Texts of items, and names that are told on plates of their own. */
export function textsOfItems(items: readonly SceneItem[], plate: Surface | null = null): SceneText[] {
  return items.flatMap((item) => {
    const { runs, told } = item.layout;
    const at = startOf(item);
    const texts = placedTexts(item.id, runs, at);
    if (!told || !plate) return texts;
    const names = placedTexts(item.id, [told], at);
    return [
      ...texts,
      ...names.map((text) => ({ ...text, plate: { rect: plateAround(text.box), surface: plate } })),
    ];
  });
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
  const full = `${item.type} ${item.face} ${key} ${iconSize} ${context.room} ${numberOf(item.options)}`;
  const { view, layout } = lookOnce(solving, full, () => {
    const { options, face } = item;
    const needs = kind.needs?.(options, face) ?? [];
    // What is not learned yet is blank; it is solved again once it is.
    if (!areLearned(needs))
      return { view: null, layout: layBlank(own.iconSize, own), needs, isUnknown: true };
    const seen = kind.view(options, face, own);
    return { view: seen, layout: kind.layout(seen, face, own), needs };
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

/** Px between a dock and the names that it tells: beyond what an icon becomes under the pointer. */
function tellsAt({ thickness, iconSize, growth }: Edge): number {
  const icon = Math.min(iconSize, thickness);
  const reaches = (thickness - icon) / 2 + dockLine.stand / 2 + icon * Math.max(growth.factor, LIFTED) + LIFT;
  return Math.max(0, reaches - thickness) + NAME_GAP;
}
/** An icon that is pointed at on a dock that doesn't grow: how far it lifts off (px) and what it becomes. */
const LIFT = 9;
const LIFTED = 1.18;
const NAME_GAP = 8 + PLATE;

function contextOf(edge: Edge, onSurface: ReturnType<typeof groundFor>['context'], room: Room): ItemContext {
  return {
    ...onSurface,
    screen: edge.screen,
    edge: edge.kind,
    side: edge.side,
    thickness: edge.thickness,
    iconSize: Math.min(edge.iconSize, edge.thickness),
    isVertical: !isHorizontal(edge.side),
    tellsAt: edge.kind === 'dock' && edge.labels ? tellsAt(edge) : null,
    room,
  };
}

/** At rest, or beside a filled window. */
function finishOf({ finish, besideFilled, screen }: Edge, { desk, windows, atWorkspace }: Solving): Finish {
  const isBeside =
    besideFilled !== null &&
    windows.some(
      (one) => one.screen === screen && one.workspace === atWorkspace && one.isFilled && !one.isMinimised,
    );
  return (isBeside ? besideFilled : finish) ?? desk.look.finish;
}

function solveEdge(edge: Edge, free: Rect, solving: Solving): SceneEdge {
  const own = finishOf(edge, solving);
  const {
    surface,
    beneath,
    context: onSurface,
  } = groundFor(edge.backing === 'none' && own.kind !== 'bare' ? bareFinish(own) : own, solving);
  const tells = edge.kind === 'dock' && edge.labels;
  const contexts = new Map<Room, ItemContext>();
  const inRoom = (room: Room) => {
    const context = contexts.get(room) ?? contextOf(edge, onSurface, room);
    contexts.set(room, context);
    return context;
  };
  const key = [edge.screen, edge.kind, edge.side, edge.thickness, beneath, inRoom('full').tellsAt].join(' ');
  const moreFor = (count: number) => layLines([`+${count}`], inRoom('tight'));
  const { shown, hidden, laid } = fitItems(
    edge,
    edge.items,
    free,
    (item, room) => lookAtItem(item, key, inRoom(room), solving),
    (count) => solid(lengthOf(moreFor(count).size, edge)),
  );
  const isAway = edge.shows.by !== 'always' && solving.out !== null && !solving.out.has(edge.id);
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
    plate: tells ? groundFor(solidFinish(own), solving).surface : null,
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
    face: item.face,
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
