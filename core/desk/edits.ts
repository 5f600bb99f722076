import type { Draft } from 'immer';
import { widgetKindsByType } from '../widgets/list.ts';
import { nearestPoint, offsetFromNeighbour, offsetFromPoint } from '../arrange/place.ts';
import type { Rect, Side } from '../values/geometry.ts';
import type { Roles } from '../colour/roles.ts';
import { plainAdjust, type Adjust, type Source } from '../backdrop/schema.ts';
import type { HalfBy } from '../look/schema.ts';
import type { OwnFont } from '../text/schema.ts';
import type { Terminal } from '../colour/schema.ts';
import {
  widgetsInCircles,
  type Application,
  type Backdrop,
  type Desk,
  type Edge,
  type Item,
  type Look,
  type Screen,
  type Widget,
} from './schema.ts';
import { isRole, roles, type Half, type Role, type RoleValue } from '../values/roles.ts';
import type { Finish } from '../values/finish.ts';
import type { GeoPlace } from '../values/earth.ts';
import type { Hanging, Place } from '../values/place.ts';
import { lookUp } from '../values/look-up.ts';

/**
 * Every change of a desk has a name here. Each takes a draft and changes it; what names a part that is not
 * there changes nothing. Positions come from the scene: edits that keep a part where it stands take its
 * solved rectangle.
 */
type DeskDraft = Draft<Desk>;

/** What edits need to know of a screen as it was solved. */
export interface Ground {
  screen: { id: string; rect: Rect };
  free: Rect;
  /** Rectangles of the screen's edges and widgets by id. */
  rects: ReadonlyMap<string, Rect>;
}

/** The place with which a part at `rect` keeps hanging from what it hangs from. */
export function placeAt(hangs: Hanging, rect: Rect, ground: Ground, step = HALF_PX): Place {
  if (hangs.from === 'part') {
    const neighbour = ground.rects.get(hangs.part);
    return neighbour
      ? rounded(hangs, offsetFromNeighbour(hangs.side, hangs.align, neighbour, rect), step)
      : freePlace(rect, ground);
  }
  const frame = hangs.from === 'free' ? ground.free : ground.screen.rect;
  return rounded(hangs, offsetFromPoint(hangs.point, frame, rect), step);
}

/** The place of a part at `rect` that hangs from the nearest point of the free area. */
export function freePlace(rect: Rect, ground: Ground): Place {
  const point = nearestPoint(rect, ground.free);
  return rounded(
    { from: 'free', screen: ground.screen.id, point },
    offsetFromPoint(point, ground.free, rect),
  );
}

/** Offsets are kept in halves of a px: a part of odd size can stand in a middle. */
const HALF_PX = 0.5;

function rounded(hangs: Hanging, { x, y }: { x: number; y: number }, step = HALF_PX): Place {
  const round = (value: number) => Math.round(Math.round(value / step) * step * 100) / 100;
  return { hangs, x: round(x), y: round(y) };
}

function find<T extends { id: string }>(list: T[], id: string): T | undefined {
  return list.find((part) => part.id === id);
}

export const edits = {
  rename(desk: DeskDraft, name: string) {
    desk.name = name;
  },

  setPlaceOnEarth(desk: DeskDraft, place: GeoPlace) {
    desk.place = place;
  },

  /** Changes a backdrop; null as its id means the one that lies everywhere. */
  setBackdrop(desk: DeskDraft, id: string | null, change: Partial<Omit<Backdrop, 'id'>>) {
    const backdrop = id === null ? desk.backdrops[0] : find(desk.backdrops, id);
    if (backdrop) Object.assign(backdrop, change);
  },

  setSource(desk: DeskDraft, id: string | null, source: Source) {
    edits.setBackdrop(desk, id, { source });
  },

  setAdjust(desk: DeskDraft, id: string, change: Partial<Adjust>) {
    const backdrop = find(desk.backdrops, id);
    if (backdrop) Object.assign(backdrop.adjust, change);
  },

  resetAdjust(desk: DeskDraft, id: string) {
    edits.setBackdrop(desk, id, { adjust: plainAdjust });
  },

  addBackdrop(desk: DeskDraft, backdrop: Backdrop) {
    desk.backdrops.push(backdrop);
  },

  /** The one that lies everywhere stays. */
  removeBackdrop(desk: DeskDraft, id: string) {
    desk.backdrops = desk.backdrops.filter((backdrop, index) => index === 0 || backdrop.id !== id);
  },

  setHalf(desk: DeskDraft, half: HalfBy) {
    desk.look.half = half;
  },

  setRole(desk: DeskDraft, half: Half, role: Role, value: RoleValue) {
    desk.look.roles[half][role] = value;
  },

  /** Colours for some roles of some halves. */
  setRoles(desk: DeskDraft, colours: Partial<Record<Half, Partial<Roles>>>) {
    for (const half of ['light', 'dark'] as const) Object.assign(desk.look.roles[half], colours[half]);
  },

  /** A palette drawn anew. Held roles stay, and so do those that are steps: they follow by themselves. */
  drawPalette(desk: DeskDraft, drawn: Record<Half, Roles>) {
    for (const half of ['light', 'dark'] as const) {
      for (const role of roles) {
        const isStep = typeof desk.look.roles[half][role] !== 'string';
        if (!isStep && !desk.look.held.includes(role)) desk.look.roles[half][role] = drawn[half][role];
      }
    }
  },

  hold(desk: DeskDraft, role: Role, isHeld: boolean) {
    desk.look.held = desk.look.held.filter((other) => other !== role);
    if (isHeld) desk.look.held.push(role);
  },

  setTerminal(desk: DeskDraft, half: Half, terminal: Terminal | null) {
    desk.look.terminal[half] = terminal;
  },

  setLook(
    desk: DeskDraft,
    change: Partial<Pick<Look, 'fonts' | 'icons' | 'pointer' | 'finish' | 'finishes'>>,
  ) {
    Object.assign(desk.look, change);
  },

  addFont(desk: DeskDraft, font: OwnFont) {
    desk.look.ownFonts = [...desk.look.ownFonts.filter(({ id }) => id !== font.id), font];
  },

  setApplication(desk: DeskDraft, id: string, change: Partial<Omit<Application, 'id'>>) {
    const application = find(desk.applications, id);
    if (application) Object.assign(application, change);
  },

  /** Every part follows the desk again: no finish of its own, no colour that is not a role. A bare part stays bare. */
  followAll(desk: DeskDraft) {
    for (const part of [...desk.edges, ...desk.widgets]) {
      if (part.finish?.kind === 'bare')
        part.finish = { ...desk.look.finish, kind: 'bare', shadow: part.finish.shadow };
      else part.finish = null;
    }
    if (!isRole(desk.look.finish.tint)) desk.look.finish.tint = 'surface';
    for (const widget of desk.widgets) {
      const kind = widgetKindsByType.get(widget.type);
      const starts = kind?.options.parse({}) as Record<string, unknown> | undefined;
      for (const key of ownColoursOf(widget))
        widget.options = { ...widget.options, [key]: starts && lookUp(starts, key) };
    }
  },

  setScreen(desk: DeskDraft, id: string, change: Partial<Omit<Screen, 'id'>>) {
    const screen = find(desk.screens, id);
    if (screen) Object.assign(screen, change);
  },

  addScreen(desk: DeskDraft, screen: Screen) {
    desk.screens.push(screen);
  },

  /** The screen goes, with what is on it. The last one stays. */
  removeScreen(desk: DeskDraft, id: string, partsOnIt: readonly string[]) {
    if (desk.screens.length < 2) return;
    const gone = new Set(partsOnIt);
    desk.screens = desk.screens.filter((screen) => screen.id !== id);
    desk.backdrops = desk.backdrops.filter((backdrop) => backdrop.for.screen !== id);
    desk.edges = desk.edges.filter((edge) => edge.screen !== id);
    desk.widgets = desk.widgets.filter((widget) => !gone.has(widget.id));
  },

  addWorkspace(desk: DeskDraft, id: string, name: string) {
    desk.workspaces.push({ id, name });
  },

  renameWorkspace(desk: DeskDraft, id: string, name: string) {
    const workspace = find(desk.workspaces, id);
    if (workspace) workspace.name = name;
  },

  /** The last workspace stays. */
  removeWorkspace(desk: DeskDraft, id: string) {
    if (desk.workspaces.length < 2) return;
    desk.workspaces = desk.workspaces.filter((workspace) => workspace.id !== id);
    desk.backdrops = desk.backdrops.filter((backdrop) => backdrop.for.workspace !== id);
  },

  addEdge(desk: DeskDraft, edge: Edge) {
    desk.edges.push(edge);
  },

  setEdge(desk: DeskDraft, id: string, change: Partial<Omit<Edge, 'id' | 'items'>>) {
    const edge = find(desk.edges, id);
    if (edge) Object.assign(edge, change);
  },

  moveEdge(desk: DeskDraft, id: string, side: Side) {
    const edge = find(desk.edges, id);
    if (edge) edge.side = side;
  },

  addItem(desk: DeskDraft, edgeId: string, item: Item, index: number) {
    find(desk.edges, edgeId)?.items.splice(index, 0, item);
  },

  setItem(desk: DeskDraft, edgeId: string, itemId: string, options: Record<string, unknown>) {
    const item = find(find(desk.edges, edgeId)?.items ?? [], itemId);
    if (item) Object.assign(item.options, options);
  },

  /** Moves an item to an index among the items of its edge or of another one. */
  moveItem(desk: DeskDraft, itemId: string, toEdge: string, index: number) {
    const from = desk.edges.find((edge) => edge.items.some((item) => item.id === itemId));
    const to = find(desk.edges, toEdge);
    const at = from?.items.findIndex((item) => item.id === itemId) ?? -1;
    if (!from || !to || at < 0 || (from === to && at === index)) return;
    const [item] = from.items.splice(at, 1);
    if (item) to.items.splice(index, 0, item);
  },

  addWidget(desk: DeskDraft, widget: Widget) {
    desk.widgets.push(widget);
  },

  setWidgets(
    desk: DeskDraft,
    ids: readonly string[],
    change: Partial<Omit<Widget, 'id' | 'type' | 'options'>>,
  ) {
    for (const id of ids) {
      const widget = find(desk.widgets, id);
      if (widget) Object.assign(widget, change);
    }
  },

  setWidgetOptions(desk: DeskDraft, id: string, options: Record<string, unknown>) {
    const widget = find(desk.widgets, id);
    if (widget) Object.assign(widget.options, options);
  },

  /** Puts widgets at solved rectangles; each keeps what it hangs from. Locked ones stay. */
  moveWidgets(desk: DeskDraft, rects: ReadonlyMap<string, Rect>, ground: Ground) {
    // A neighbour may be among what moves: offsets are measured to where it will be.
    const after: Ground = { ...ground, rects: new Map([...ground.rects, ...rects]) };
    for (const [id, rect] of rects) {
      const widget = find(desk.widgets, id);
      if (widget && !widget.locked) widget.place = placeAt(widget.place.hangs, rect, after);
    }
  },

  /** Hangs a widget from something else; it stays where it stands. */
  hangWidget(desk: DeskDraft, id: string, hangs: Hanging, ground: Ground) {
    const widget = find(desk.widgets, id);
    const rect = ground.rects.get(id);
    if (!widget || !rect) return;
    const before = widget.place;
    // Exact: what changes is what it hangs from, not where it stands.
    widget.place = placeAt(hangs, rect, ground, 0.01);
    if (widgetsInCircles(desk.widgets).has(id)) widget.place = before;
  },

  /** Takes edges, items and widgets away; what hung from one of them stays where it stands, hanging from the desk. */
  removeParts(desk: DeskDraft, ids: readonly string[], ground: Ground) {
    const gone = new Set(ids);
    desk.edges = desk.edges.filter((edge) => !gone.has(edge.id));
    for (const edge of desk.edges) edge.items = edge.items.filter((item) => !gone.has(item.id));
    desk.widgets = desk.widgets.filter((widget) => !gone.has(widget.id));
    for (const widget of desk.widgets) {
      const { hangs } = widget.place;
      const rect = ground.rects.get(widget.id);
      if (hangs.from !== 'part' || !gone.has(hangs.part)) continue;
      widget.place = rect
        ? freePlace(rect, ground)
        : { hangs: { from: 'free', screen: ground.screen.id, point: 'centre' }, x: 0, y: 0 };
    }
  },

  /** Copies stand a step away from what they copy; a copy of something hanging from a copied part hangs from the copy. */
  duplicateWidgets(desk: DeskDraft, copies: ReadonlyMap<string, string>, step = 24) {
    for (const original of desk.widgets.filter((widget) => copies.has(widget.id))) {
      const copy = structuredClone(plain(original)) as Draft<Widget>;
      copy.id = copies.get(original.id) ?? copy.id;
      copy.locked = false;
      const { hangs } = copy.place;
      if (hangs.from === 'part' && copies.has(hangs.part)) {
        hangs.part = copies.get(hangs.part) ?? hangs.part;
      } else {
        copy.place.x += step;
        copy.place.y += step;
      }
      desk.widgets.push(copy);
    }
  },

  /** Moves widgets in the order of what stands above what: one step, or all the way. */
  orderWidgets(desk: DeskDraft, ids: readonly string[], to: 'front' | 'forward' | 'back' | 'behind') {
    const chosen = new Set(ids);
    const isChosen = (widget: Widget) => chosen.has(widget.id);
    const list = desk.widgets;
    if (to === 'front' || to === 'back') {
      const moved = list.filter(isChosen);
      const rest = list.filter((widget) => !isChosen(widget));
      desk.widgets = to === 'front' ? [...rest, ...moved] : [...moved, ...rest];
      return;
    }
    const order = list.map((_, index) => (to === 'forward' ? list.length - 1 - index : index));
    for (const index of order) {
      const other = to === 'forward' ? index + 1 : index - 1;
      const [mine, theirs] = [list[index], list[other]];
      if (mine && theirs && isChosen(mine) && !isChosen(theirs)) {
        list[index] = theirs;
        list[other] = mine;
      }
    }
  },

  /** A part's own finish; null follows the desk's. */
  setFinish(desk: DeskDraft, ids: readonly string[], finish: Finish | null) {
    for (const part of [...desk.edges, ...desk.widgets]) if (ids.includes(part.id)) part.finish = finish;
  },

  /** Another state of the same desk, from its history. */
  replace(desk: DeskDraft, with_: Desk) {
    Object.assign(desk, with_, { id: desk.id });
  },
};

/** The options of a widget that are colours of its own, not roles. */
export function ownColoursOf({ type, options }: Pick<Widget, 'type' | 'options'>): string[] {
  const starts = widgetKindsByType.get(type)?.options.parse({}) as Record<string, unknown> | undefined;
  return Object.entries(options)
    .filter(([key, value]) => {
      const start = starts && lookUp(starts, key);
      return typeof value === 'string' && typeof start === 'string' && isRole(start) && !isRole(value);
    })
    .map(([key]) => key);
}

/** Parts that do not follow the desk: ids of those with a finish or a colour of their own. A bare part follows. */
export function strayParts({ edges, widgets }: Pick<Desk, 'edges' | 'widgets'>): string[] {
  const isStray = (finish: Finish | null) => finish !== null && finish.kind !== 'bare';
  return [
    ...edges.filter(({ finish }) => isStray(finish)).map(({ id }) => id),
    ...widgets
      .filter((widget) => isStray(widget.finish) || ownColoursOf(widget).length > 0)
      .map(({ id }) => id),
  ];
}

function plain<T>(draft: T): T {
  return JSON.parse(JSON.stringify(draft)) as T;
}
