import { freeAfter, type Flowing } from '../../arrange/edges.ts';
import type { Edge, Item } from '../../desk/shapes/edges.ts';
import type { Surface } from '../../colour/look.ts';
import { bareFinish, type Finish } from '../../values/finish.ts';
import { itemKindOf } from '../../items/list.ts';
import { dockLine } from '../../items/application/application.ts';
import { isPlain } from '../../menus/presses.ts';
import { layBlank } from '../../items/blank.ts';
import { layLines } from '../../items/text.ts';
import type { ItemContext, Room, WidgetContext } from '../../kinds/kind.ts';
import type { Layout } from '../../kinds/layout.ts';
import { clamp, isAsLarge, isHorizontal, type Rect, type Size } from '../../values/geometry.ts';
import type { SceneEdge, SceneItem, SceneMore } from '../scene.ts';
import type { SceneSign, SceneText, SeenIcons } from '../part.ts';
import { solidFinish } from './beside.ts';
import { fitItems } from './fit-items.ts';
import { defineSceneSection, type ScreenContext } from './section.ts';
import { PLATE, placedSigns, placedTexts, plateAround } from './texts.ts';
import { isOwn } from '../../values/family.ts';
import {
  isStill,
  lookAt,
  standWith,
  truthOf,
  type Eye,
  type ItemStand,
  type Shown,
  type Stand,
} from '../shown.ts';
import { sameFields, sameList, sameRect, type KeptEdge, type LookedItem } from '../memory.ts';
import { behindScreen, surfaceBefore } from '../behind.ts';
import { plainSurface, type Solving } from '../solving.ts';
import { shareUnchanged } from '../../values/share.ts';

/** Each edge takes its strip off the free area: the first owns the corners. */
export const edges = defineSceneSection({
  key: 'edges',
  isArranged: true,
  remembers: true,
  solve(context, solving) {
    const { memory } = context;
    const before = memory.edges;
    memory.edges = new Map();
    const here = solving.desk.edges.filter(({ screen }) => screen === context.id);
    const solved = here.map((edge) => {
      const kept = solveEdge(edge, context, solving, before.get(edge.id));
      memory.edges.set(edge.id, kept);
      context.free = freeAfter(edge, context.free);
      return kept.scene;
    });
    return sameList(memory.screen?.edges, solved);
  },
  rects: (list) => list,
  parts: (list) =>
    list.map(({ id, rect, backing, surface, items, more, plate }) => ({
      id,
      rect,
      surfaceRect: backing ?? rect,
      surface,
      scale: 1,
      texts: () => [
        ...textsOfItems(items, plate),
        ...(more ? placedTexts(MORE, more.layout.runs, startOf(more), 1, more.surface) : []),
      ],
      signs: (icons) => items.flatMap((item) => signsOf(item, icons)),
    })),
});

/** What stands for the item in the texts of the button that opens the rest. */
const MORE = 'more';

/** Texts of items, and names that are told on plates of their own. */
export function textsOfItems(items: readonly SceneItem[], plate: Surface | null = null): SceneText[] {
  return items.flatMap((item) => {
    const { runs, told } = item.layout;
    const at = startOf(item);
    const texts = placedTexts(item.id, runs, at, 1, item.surface);
    if (!told || !plate) return texts;
    const names = placedTexts(item.id, [told], at);
    return [
      ...texts,
      ...names.map((text) => ({ ...text, plate: { rect: plateAround(text.box), surface: plate } })),
    ];
  });
}

/** What of an item is seen beside its texts. Icons on tiles are seen by these, and pictures of one's own are what they are. */
function signsOf(item: SceneItem, icons: SeenIcons): SceneSign[] {
  const { layout, view } = item;
  const kind = itemKindOf(item.type);
  const icon = 'icon' in layout ? layout.icon : null;
  const name = ('icon' in view ? view.icon : 'name' in view ? view.name : null) ?? '';
  const isItself = isOwn(name) || icons === 'coloured' || (icons === 'tiled' && 'application' in view);
  const inked = kind.inked
    ? kind.inked(view, layout)
    : icon && !isItself
      ? [{ what: `The icon of ${kind.title.toLowerCase()}`, rect: icon, colour: 'ink' as const }]
      : [];
  return placedSigns(item.id, inked, startOf(item), 1, item.surface);
}

function startOf({ rect, at }: Pick<SceneItem, 'rect' | 'at'>) {
  return { x: rect.x + at.x, y: rect.y + at.y };
}

/** How items are looked at. */
const eye: Eye<ItemContext> = {
  needs: ({ type, options, face }) => itemKindOf(type).needs?.(options as Item['options'], face) ?? [],
  work: (type) => itemKindOf(type),
  blank: (context) => layBlank(context.iconSize, context),
};

/** An item's view and inside where it stands. */
export function lookAtItem(item: Item, on: ItemStand, solving: Solving): LookedItem {
  const kind = itemKindOf(item.type);
  const { context } = on;
  const iconSize = clamp(item.iconSize ?? context.iconSize, 1, context.thickness);
  const stand = iconSize === context.iconSize ? on : withIcons(on, iconSize);
  const seen = lookAt(solving.now, stand, item, eye);
  const { view, layout, needs } = seen.shown;
  solving.needs.add(needs);
  return {
    item,
    on,
    seen,
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

const sized = new WeakMap<ItemStand, Map<number, ItemStand>>();

/** The same with icons of another size. */
function withIcons(stand: ItemStand, iconSize: number): ItemStand {
  let known = sized.get(stand);
  if (!known) sized.set(stand, (known = new Map()));
  let other = known.get(iconSize);
  if (!other) known.set(iconSize, (other = standWith(stand, { iconSize })));
  return other;
}

const standing = new WeakMap<Stand, Map<string, ItemStand>>();

/** What items stand on, on an edge of such a shape. */
export function itemStand(on: Stand, shape: Omit<ItemContext, keyof WidgetContext>): ItemStand {
  const { screen, edge, side, isVertical, thickness, iconSize, tellsAt, room } = shape;
  const key = [screen, edge, side, isVertical, thickness, iconSize, tellsAt, room].join(' ');
  let known = standing.get(on);
  if (!known) standing.set(on, (known = new Map()));
  let stand = known.get(key);
  if (!stand) known.set(key, (stand = standWith(on, shape)));
  return stand;
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

function standFor(edge: Edge, on: Stand, room: Room): ItemStand {
  return itemStand(on, {
    screen: edge.screen,
    edge: edge.kind,
    side: edge.side,
    thickness: edge.thickness,
    iconSize: Math.min(edge.iconSize, edge.thickness),
    isVertical: !isHorizontal(edge.side),
    tellsAt: edge.kind === 'dock' && edge.labels ? tellsAt(edge) : null,
    room,
  });
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

const bares = new WeakMap<Finish, Finish>();

/** The same object for the same finish. */
function bareOf(own: Finish): Finish {
  let bare = bares.get(own);
  if (!bare) bares.set(own, (bare = bareFinish(own)));
  return bare;
}

/** An edge; the very one of before where nothing that it follows from is another. */
function solveEdge(
  edge: Edge,
  { id, rect: screen, free }: ScreenContext,
  solving: Solving,
  before: KeptEdge | undefined,
): KeptEdge {
  const own = finishOf(edge, solving);
  const { stand } = solving.base;
  const surface = plainSurface(edge.backing === 'none' && own.kind !== 'bare' ? bareOf(own) : own, solving);
  const behind = surface.kind === 'bare' ? behindScreen(id, screen, solving) : null;
  const tones = behind?.tones ?? null;
  const isHeld = behind !== null && solving.conditions.isHeld;
  const tells = edge.kind === 'dock' && edge.labels;
  const plate = tells ? plainSurface(solidFinish(own), solving) : null;
  const isAway = edge.shows.by !== 'always' && solving.out !== null && !solving.out.has(edge.id);
  const frame = sameRect(before?.frame, free);
  const isSame =
    before?.edge === edge &&
    before.frame === frame &&
    before.surface === surface &&
    before.plate === plate &&
    before.stand === stand &&
    before.isAway === isAway &&
    before.tones === tones &&
    (isHeld || !before.isHeld) &&
    Object.isFrozen(edge);
  const { now } = solving;
  if (isSame) {
    const isTrue = isStill(before.truth, now);
    const again = isTrue ? before : shownAnew(before, solving);
    if (again) {
      for (const list of again.needs) solving.needs.add(list);
      return isTrue ? before : { ...before, ...again, truth: truthOf(seenOf(again.looked), now) };
    }
  }
  const looked: LookedItem[] = [];
  const look = (item: Item, on: ItemStand) => {
    // Items are looked at in the same order each time, but where some are given another room.
    const last = before?.looked[looked.length];
    const isKnown =
      last?.item === item && last.on === on && Object.isFrozen(item) && isStill(last.seen.truth, now);
    const one = isKnown ? last : lookAtItem(item, on, solving);
    if (isKnown) solving.needs.add(last.seen.shown.needs);
    looked.push(one);
    return one;
  };
  const laying = { edge, frame, surface, plate, stand, isAway, tones, isHeld };
  const fit: Fit = (rect, last) =>
    behind ? surfaceBefore(surface, rect, behind, solving, { before: last }) : null;
  const scene = layItems(laying, look, fit, before?.scene);
  return { ...laying, looked, truth: truthOf(seenOf(looked), now), needs: needsIn(looked), scene };
}

const seenOf = (looked: KeptEdge['looked']) => looked.map(({ seen }) => seen);
const needsIn = (looked: KeptEdge['looked']) => [...new Set(looked.map(({ seen }) => seen.shown.needs))];

/** An edge with what its items show now, where each takes as much room as before; null where one does not. */
function shownAnew(
  { looked, needs, scene }: KeptEdge,
  solving: Solving,
): Pick<KeptEdge, 'looked' | 'needs' | 'scene'> | null {
  const again: LookedItem[] = [];
  /** By id of the item, in each of the rooms that it was looked at in. */
  const changed = new Map<string, { before: Shown; now: Shown }[]>();
  for (const last of looked) {
    const { item, on, seen: before } = last;
    if (isStill(before.truth, solving.now)) {
      again.push(last);
      continue;
    }
    const anew = lookAtItem(item, on, solving);
    const { shown } = anew.seen;
    again.push(anew);
    if (shown === before.shown) continue;
    if (!isAsLarge(shown.layout.size, before.shown.layout.size)) return null;
    const both = { before: before.shown, now: shown };
    const those = changed.get(item.id);
    if (those) those.push(both);
    else changed.set(item.id, [both]);
  }
  if (changed.size === 0) return { looked: again, needs, scene };
  const items = scene.items.map((item) => {
    const both = changed
      .get(item.id)
      ?.find(({ before: { view, layout } }) => view === item.view && layout === item.layout);
    return both ? ({ ...item, view: both.now.view, layout: both.now.layout } as SceneItem) : item;
  });
  return {
    looked: again,
    needs: needsIn(again),
    scene: sameFields(scene, { ...scene, items: sameList(scene.items, items) }),
  };
}

type Laying = Pick<
  KeptEdge,
  'edge' | 'frame' | 'surface' | 'plate' | 'stand' | 'isAway' | 'tones' | 'isHeld'
>;

/** The colours of what stands somewhere on a bare edge, and that had some before; null where they are the edge's. */
type Fit = (rect: Rect, last: Surface | null) => Surface | null;

/** An edge with those of its items that find room. */
function layItems(
  { edge, frame, surface, plate, stand, isAway }: Laying,
  look: (item: Item, on: ItemStand) => LookedItem,
  fit: Fit,
  before: SceneEdge | undefined,
): SceneEdge {
  const stands = new Map<Room, ItemStand>();
  const inRoom = (room: Room) => {
    const known = stands.get(room) ?? standFor(edge, stand, room);
    stands.set(room, known);
    return known;
  };
  const moreFor = (count: number) => layLines([`+${count}`], inRoom('tight').context);
  const { shown, hidden, laid } = fitItems(
    edge,
    edge.items,
    frame,
    (item, room) => look(item, inRoom(room)),
    (count) => solid(lengthOf(moreFor(count).size, edge)),
  );
  const ids = hidden.map(({ id }) => id);
  const last = laid.items[shown.length];
  const more =
    last && ids.length > 0
      ? placedMore(ids, moreFor(ids.length), last, fit(last, before?.more?.surface ?? null))
      : null;
  const known = new Map(before?.items.map((item) => [item.id, item]));
  const items = shown.map((looked, index) => {
    const rect = laid.items[index] ?? laid.rect;
    const last = known.get(looked.item.id);
    return sharedItem(last, placedItem(looked, rect, fit(rect, last?.surface ?? null)));
  });
  const along = edge.backing === 'side' ? alongSide(laid.rect, edge, frame) : laid.rect;
  return sameFields(before, {
    id: edge.id,
    kind: edge.kind,
    side: edge.side,
    rect: sameRect(before?.rect, laid.rect),
    frame,
    surface: fit(laid.rect, before?.surface ?? null) ?? surface,
    touchesSide: edge.margin === 0,
    backing: edge.backing === 'none' ? null : sameRect(before?.backing ?? undefined, along),
    locked: edge.locked,
    isAway,
    growth: edge.kind === 'dock' && edge.growth.factor > 1 ? edge.growth : null,
    line: edge.kind === 'dock' ? edge.line : null,
    mark: edge.kind === 'dock' ? edge.mark : null,
    plate,
    missing: laid.missing,
    items: sameList(before?.items, items),
    more: shareUnchanged(before?.more, more),
  });
}

/** An item in its place; the very one of before where it is the same. */
function sharedItem(before: SceneItem | undefined, item: SceneItem): SceneItem {
  if (!before) return item;
  const at = shareUnchanged(before.at, item.at);
  return sameFields(before, { ...item, rect: sameRect(before.rect, item.rect), at });
}

export function placedItem(
  { item, view, layout }: LookedItem,
  rect: Rect,
  surface: Surface | null = null,
): SceneItem {
  const presses = isPlain(item.presses) ? null : item.presses;
  return {
    id: item.id,
    type: item.type,
    face: item.face,
    view,
    layout,
    rect,
    at: middleOf(rect, layout.size),
    surface,
    presses,
  } as SceneItem;
}

function placedMore(ids: readonly string[], layout: Layout, rect: Rect, surface: Surface | null): SceneMore {
  return { ids, rect, at: middleOf(rect, layout.size), surface, layout };
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
