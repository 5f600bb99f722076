import type { Flowing } from '../arrange/edges.ts';
import type { Cover, Tones } from '../backdrop/tones.ts';
import type { Surface } from '../colour/look.ts';
import type { Edge, Item } from '../desk/shapes/edges.ts';
import type { Widget } from '../desk/shapes/widgets.ts';
import type { Backing, Layout } from '../kinds/layout.ts';
import type { Need } from '../sources/readings.ts';
import type { Rect, Size } from '../values/geometry.ts';
import type { Content } from '../windows/contents/page.ts';
import type { Frame } from '../windows/frame.ts';
import type { ItemStand, Shown, Seen, Stand, Truth } from './shown.ts';
import type { Scene, SceneEdge, SceneScreen, SceneWidget, SceneWindow } from './scene.ts';

/** What a solver remembers of the scene before: what did not change comes out as the very same object. */
export interface Memory {
  scene: Scene | null;
  /** By the id of their screen. */
  screens: Map<string, ScreenMemory>;
}

export interface ScreenMemory {
  screen: SceneScreen | null;
  /** By the id of the part. */
  edges: Map<string, KeptEdge>;
  widgets: Map<string, KeptWidget>;
  /** All of the widgets that are seen; null where that has to be asked of each of them. */
  allWidgets: KeptWidgets | null;
  /** What its widgets lay over the backdrop. */
  coverings: readonly Covering[];
  /** For how long it is true what the widgets show. */
  truth: Truth | null;
  windows: Map<string, KeptWindow>;
}

/** An item as it was seen where it stands. */
export interface LookedItem {
  item: Item;
  on: ItemStand;
  seen: Seen;
  view: unknown;
  layout: Layout;
  flowing: Flowing;
}

/** An edge as it was solved, and all that it follows from. */
export interface KeptEdge {
  edge: Edge;
  frame: Rect;
  surface: Surface;
  plate: Surface | null;
  stand: Stand;
  isAway: boolean;
  /** What lies behind a bare one, and whether its colours were held. */
  tones: Tones | null;
  isHeld: boolean;
  /** What was looked at for it, in the order in which it was, and for how long all of it is true. */
  looked: readonly LookedItem[];
  truth: Truth;
  /** What all of that reads, each list once. */
  needs: readonly (readonly Need[])[];
  scene: SceneEdge;
}

/** The surface of a bare widget in its place, and all that it follows from. */
export interface Fitted {
  plain: Surface;
  tones: Tones;
  isHeld: boolean;
  rect: Rect;
  /** How many covers there were before it. */
  beneath: number;
  surface: Surface;
}

/** What a widget lays over the backdrop, and all that this follows from. */
export interface Covering {
  id: string;
  on: Surface;
  backings: readonly Backing[];
  scale: number;
  rect: Rect;
  covers: readonly Cover[];
}

/** A widget that is looked at and sized, and what became of it in its place. */
export interface KeptWidget extends Size {
  widget: Widget;
  stand: Stand;
  seen: Seen;
  shown: Shown;
  /** Whatever lies behind it, and as it is where it stands. */
  surface: Surface;
  fitted: Fitted | null;
  scale: number;
  padding: number;
  /** Null until it was on a screen. */
  scene: SceneWidget | null;
}

/** The widgets of a screen in their places, and all that they follow from besides what they read. */
export interface KeptWidgets {
  of: readonly unknown[];
  needs: readonly (readonly Need[])[];
  list: SceneWidget[];
}

/** A window as it was solved. */
export interface KeptWindow {
  frame: Made<Frame>;
  content: Made<Content>;
  scene: SceneWindow;
}

/** Something, and all that it was made of. */
export interface Made<T> {
  of: readonly unknown[];
  value: T;
}

/** What was made before, where it would be made of the very same. */
export function remade<T>(before: Made<T> | undefined, of: readonly unknown[], make: () => T): Made<T> {
  return before && isMadeOf(before, of) ? before : { of, value: make() };
}

/** Whether something was made of the very same. */
export function isMadeOf(before: { of: readonly unknown[] }, of: readonly unknown[]): boolean {
  return before.of.length === of.length && before.of.every((one, index) => Object.is(one, of[index]));
}

export function createMemory(): Memory {
  return { scene: null, screens: new Map() };
}

/** What is remembered of a screen; nothing yet of one that is new. */
export function screenMemory({ screens }: Memory, id: string): ScreenMemory {
  let memory = screens.get(id);
  if (!memory)
    screens.set(
      id,
      (memory = {
        screen: null,
        edges: new Map(),
        widgets: new Map(),
        allWidgets: null,
        coverings: [],
        truth: null,
        windows: new Map(),
      }),
    );
  return memory;
}

/** The list of before, where it holds the very same things. */
export function sameList<T>(before: readonly T[] | undefined, now: T[]): T[] {
  const isSame =
    before !== undefined && before.length === now.length && now.every((one, index) => one === before[index]);
  return isSame ? (before as T[]) : now;
}

/** The object of before, where every field of it is the very same. */
export function sameFields<T extends object>(before: T | null | undefined, now: T): T {
  if (!before) return now;
  const keys = Object.keys(now) as (keyof T)[];
  return keys.length === Object.keys(before).length && keys.every((key) => Object.is(before[key], now[key]))
    ? before
    : now;
}

/** The rectangle of before, where it is as large and at the same place. */
export function sameRect(before: Rect | undefined, now: Rect): Rect {
  return before &&
    before.x === now.x &&
    before.y === now.y &&
    before.width === now.width &&
    before.height === now.height
    ? before
    : now;
}
