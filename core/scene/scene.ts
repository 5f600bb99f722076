import type { Point, Rect, Side } from '../values/geometry.ts';
import type { Drawn } from '../backdrop/drawn.ts';
import type { Surface } from '../colour/look.ts';
import type { Tile } from '../icons/tiles.ts';
import type { Roles } from '../colour/roles.ts';
import type { Icons } from '../icons/schema.ts';
import type { Edge } from '../desk/schema.ts';
import type { Half } from '../values/roles.ts';
import type { Fonts, Tick } from '../kinds/kind.ts';
import type { ItemType, ItemViewOf } from '../items/list.ts';
import type { LiveReadings } from '../sources/readings.ts';
import type { WidgetType, WidgetViewOf } from '../widgets/list.ts';

/** Under what a desk is solved. Everything that changes without the document changing. */
export interface Conditions {
  /** Epoch ms. */
  moment: number;
  /** Ids of the applications that run. */
  running?: readonly string[];
  /** Index of the workspace in front. */
  workspace?: number;
  /** A half to look at, whatever the desk itself would say. */
  half?: Half;
  /** Readings from outside. */
  live?: LiveReadings;
}

type ItemUnion = { [Type in ItemType]: { type: Type; view: ItemViewOf<Type> } }[ItemType];
type WidgetUnion = { [Type in WidgetType]: { type: Type; view: WidgetViewOf<Type> } }[WidgetType];

/** All rectangles are in px from the top left of their screen. */
export type SceneItem = ItemUnion & { id: string; rect: Rect };

export interface SceneEdge {
  id: string;
  kind: Edge['kind'];
  side: Side;
  rect: Rect;
  surface: Surface;
  iconSize: number;
  /** Corners that touch the screen's side are not rounded. */
  touchesSide: boolean;
  /** Px that its items lack. */
  missing: number;
  items: SceneItem[];
}

export type SceneWidget = WidgetUnion & {
  id: string;
  face: string;
  rect: Rect;
  /** Of the drawing; smaller than the document's where the part would not fit on the screen. */
  scale: number;
  /** Px at scale 1 between the surface's side and what the face draws. */
  padding: number;
  surface: Surface;
  locked: boolean;
  clicksThrough: boolean;
};

/** What lies behind everything on a screen. */
export interface SceneBackdrop {
  /** Id of the document's backdrop. */
  id: string;
  drawn: Drawn;
  /** What it is passing from, and how much of it is there already, 0 to 1. */
  from: { drawn: Drawn; share: number } | null;
}

export interface ScenePointer {
  set: 'quill' | 'pebble' | 'ring';
  size: number;
  colour: string;
  /** The line around it. */
  line: string;
}

export interface SceneScreen {
  id: string;
  name: string;
  /** At 0, 0. */
  rect: Rect;
  /** Where the screen stands beside the others. */
  at: Point;
  free: Rect;
  backdrop: SceneBackdrop;
  edges: SceneEdge[];
  /** The later one stands above. */
  widgets: SceneWidget[];
}

export interface Scene {
  half: Half;
  roles: Roles;
  fonts: Fonts;
  icons: Omit<Icons, 'tileColour'> & { tiles: Readonly<Record<string, Tile>> };
  pointer: ScenePointer;
  screens: SceneScreen[];
  /** How often the scene must be solved again while nothing else changes. */
  tick: Tick;
  /** Whether anything shows this machine's own readings. */
  needsThisMachine: boolean;
}
