import type { Point, Rect, Side } from '../arrange/geometry.ts';
import type { Half, Roles, Surface } from '../colour/look.ts';
import type { Backdrop, Edge, Look } from '../desk/schema.ts';
import type { Fonts, Tick } from '../kinds.ts';
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

export interface SceneScreen {
  id: string;
  name: string;
  /** At 0, 0. */
  rect: Rect;
  /** Where the screen stands beside the others. */
  at: Point;
  free: Rect;
  edges: SceneEdge[];
  /** The later one stands above. */
  widgets: SceneWidget[];
}

export interface Scene {
  half: Half;
  roles: Roles;
  fonts: Fonts;
  icons: Look['icons'];
  backdrop: Backdrop;
  screens: SceneScreen[];
  /** How often the scene must be solved again while nothing else changes. */
  tick: Tick;
  /** Whether anything shows this machine's own readings. */
  needsThisMachine: boolean;
}
