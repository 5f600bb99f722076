import type { Point, Rect, Side, Size } from '../values/geometry.ts';
import type { Drawn } from '../backdrop/drawn.ts';
import type { Surface } from '../colour/look.ts';
import type { Tile } from '../icons/tiles.ts';
import type { Roles } from '../colour/roles.ts';
import type { Icons } from '../icons/schema.ts';
import type { Edge } from '../desk/shapes/edges.ts';
import type { Does } from './menus/entries.ts';
import type { Half } from '../values/roles.ts';
import type { Layout, Paint, Run } from '../kinds/layout.ts';
import type { FontInUse } from '../text/cuts.ts';
import type { Use } from '../text/schema.ts';
import type { Presses } from '../menus/presses.ts';
import type { ItemFaceOf, ItemLayoutOf, ItemType, ItemViewOf } from '../items/list.ts';
import type { Tick } from '../sources/source.ts';
import type { AnyMenu } from './conditions.ts';
import type { ContentKey } from '../windows/contents/list.ts';
import type { Content } from '../windows/contents/page.ts';
import type { Frame } from '../windows/frame.ts';
import type { WindowMoves, Windows } from '../windows/schema.ts';
import type { FaceOf, WidgetLayoutOf, WidgetType, WidgetViewOf } from '../widgets/list.ts';

type ItemUnion = {
  [Type in ItemType]: {
    type: Type;
    face: ItemFaceOf<Type>;
    view: ItemViewOf<Type>;
    layout: ItemLayoutOf<Type>;
  };
}[ItemType];
type WidgetUnion = {
  [Type in WidgetType]: {
    type: Type;
    face: FaceOf<Type>;
    view: WidgetViewOf<Type>;
    layout: WidgetLayoutOf<Type>;
  };
}[WidgetType];

/** All rectangles are in px from the top left of their screen. */
export type SceneItem = ItemUnion & {
  id: string;
  rect: Rect;
  /** Where its inside begins, from the top left of its rectangle. */
  at: Point;
  /** Its colours on a bare edge, fitted to what lies behind it; null where they are the edge's. */
  surface: Surface | null;
  /** What the pointer's buttons do on it; null where they do what it is for. */
  presses: Presses | null;
};

export interface SceneEdge {
  id: string;
  kind: Edge['kind'];
  side: Side;
  rect: Rect;
  surface: Surface;
  /** Corners that touch the screen's side are not rounded. */
  touchesSide: boolean;
  /** What it was laid in: what those before it leave. */
  frame: Rect;
  /** Where its surface lies; null where it has none. */
  backing: Rect | null;
  locked: boolean;
  /** It has slipped away: it stands off the screen, where it would be there. */
  isAway: boolean;
  growth: Edge['growth'] | null;
  /** Of a dock: what its icons stand on, and how they say that they run. */
  line: Edge['line'] | null;
  mark: Edge['mark'] | null;
  /** What names stand on that are told while something is pointed at; null where none are. */
  plate: Surface | null;
  /** Px that its items lack, even with some of them put away. */
  missing: number;
  items: SceneItem[];
  /** What opens those that found no room; null where all did. */
  more: SceneMore | null;
}

export interface SceneMore {
  /** Ids of the items that found no room. */
  ids: readonly string[];
  rect: Rect;
  at: Point;
  /** As of an item. */
  surface: Surface | null;
  layout: Layout;
}

/** The items of an edge that found no room, open beside it. */
export interface SceneRest {
  id: string;
  edge: string;
  rect: Rect;
  surface: Surface;
  items: SceneItem[];
}

export type SceneWidget = WidgetUnion & {
  id: string;
  rect: Rect;
  /** Of the drawing; smaller than the document's where the part would not fit on the screen. */
  scale: number;
  /** Px at scale 1 between the surface's side and what the face draws. */
  padding: number;
  surface: Surface;
  locked: boolean;
  clicksThrough: boolean;
  /** It is not there just now: out of sight in use, faint while the desk is arranged. */
  isAway: boolean;
  /** Why what it shows is old or missing, in a sentence. */
  trouble: string | null;
};

export interface SceneMenuEntry {
  /** One of a kind among what a search looks through. */
  key: string;
  does: Does;
  name: string;
  /** From the corner of the first entry. */
  rect: Rect;
  /** From the entry's corner; `application` is the one whose tile lies beneath. */
  icon: { application: string | null; name: string; rect: Rect } | null;
  runs: readonly Run[];
}

/** A line, and whether it is lit. */
export interface SceneLine {
  rect: Rect;
  isLit: boolean;
}

/** A menu, open. Its insides are in px from its own corner, those of its entries from the corner of their view. */
export interface SceneMenu {
  id: string;
  menu: AnyMenu;
  /** As it is read out. */
  label: string;
  rect: Rect;
  surface: Surface;
  /** It hangs from a lit line: its upper corners are not rounded. */
  isHanging: boolean;
  /** It holds what can be done, rather than what is found. */
  isOfCommands: boolean;
  /** The field that is typed in, and what it says while it is empty; what is typed is set as that. */
  search: { rect: Rect; hint: Run; typed: string } | null;
  title: Run | null;
  lines: readonly SceneLine[];
  /** Where entries are seen, and the size of them all: there may be more than room. */
  view: Rect;
  content: Size;
  entries: SceneMenuEntry[];
  /** Names of groups, and the lines that entries stand on or are divided by. */
  heads: readonly Run[];
  shelves: readonly SceneLine[];
  /** Index of the entry that is chosen; -1 where there is none. */
  chosen: number;
  /** Said where there are no entries. */
  none: Run | null;
  /** Which it is of menus that stand beside one another; arrows lead from one to the next. */
  beside: { at: number; count: number } | null;
  /** Where it goes on in pages. */
  pages: { count: number; at: number } | null;
}

/** A window. Its frame is in px from its corner, its content from the corner of the frame's body. */
export interface SceneWindow {
  id: string;
  application: string;
  kind: ContentKey;
  title: string;
  rect: Rect;
  surface: Surface;
  frame: Frame;
  content: Content;
  /** What the title stands on; null for nothing. */
  back: { colour: Paint; opacity: number } | null;
  /** Colours of the buttons' signs, of the line, and of the border. */
  signs: Paint;
  buttons: Pick<Windows['buttons'], 'shape' | 'weight' | 'spacing'>;
  line: string;
  borderColour: string;
  glows: boolean;
  radius: number;
  /** Of all of it, 0 to 1. */
  opacity: number;
  /** How much darker it is, 0 to 1. */
  shade: number;
  isFront: boolean;
  isFilled: boolean;
  /** In its place, filled, or which part of the free area: it moves there by itself where that changes. */
  stance: string;
  /** Where it flies to and from, px of the screen. */
  home: Point;
}

export interface SceneWindows {
  list: SceneWindow[];
  hint: Rect | null;
  /** Id of the workspace that they are on, and ids of those on it that are minimised: which of its moves a window makes. */
  workspace: string;
  minimised: readonly string[];
  /** Ids of those on other screens and workspaces. */
  elsewhere: readonly string[];
  moves: WindowMoves;
}

/** An icon on the bare desk; its sign and its label are in px from its corner. */
export interface SceneIcon {
  id: string;
  application: string;
  name: string;
  icon: string;
  rect: Rect;
  /** What its label stands on, and what its sign does. */
  surface: Surface;
  signSurface: Surface;
  sign: Rect;
  label: Run | null;
}

export interface SceneOverviewWorkspace {
  id: string;
  title: string;
  index: number;
  /** Of the picture, px of the screen. */
  rect: Rect;
  isCurrent: boolean;
  backdrop: SceneBackdrop;
  /** Rectangles in px of the picture. */
  windows: {
    id: string;
    title: string;
    icon: string;
    application: string;
    rect: Rect;
    isFront: boolean;
    isFound: boolean;
  }[];
  name: Run;
  note: Run;
}

/** All workspaces at once. Everything is in px of the screen. */
export interface SceneOverview {
  rect: Rect;
  surface: Surface;
  search: { rect: Rect; hint: Run; typed: string };
  line: Rect;
  workspaces: SceneOverviewWorkspace[];
  /** Where another workspace would stand; null where there can be no more. */
  add: Rect | null;
  /** Applications that were found. */
  found: { application: string; title: string; icon: string; rect: Rect; run: Run }[];
  chosen: { by: 'workspace' | 'window' | 'application'; id: string } | null;
  isSearched: boolean;
}

/** What lies behind everything on a screen. */
export interface SceneBackdrop {
  /** Id of the document's backdrop. */
  id: string;
  drawn: Drawn;
  /** What it is passing from, and how much of it is there already, 0 to 1. */
  from: { drawn: Drawn; share: number } | null;
}

interface ScenePointer {
  set: 'quill' | 'pebble' | 'ring';
  size: number;
  colour: string;
  /** The line around it. */
  line: string;
}

/** What each section of a screen holds; sections/list.ts says how each is solved. */
export interface SceneSections {
  edges: SceneEdge[];
  /** The later one stands above. */
  widgets: SceneWidget[];
  /** From the back to the front, and the place that a window would take which is being moved. */
  windows: SceneWindows;
  /** On the bare desk. */
  icons: SceneIcon[];
  /** Null unless it is open. */
  overview: SceneOverview | null;
  /** Null unless they are open. */
  rest: SceneRest | null;
  /** Null unless one is open. */
  menu: SceneMenu | null;
}

export interface SceneScreen extends SceneSections {
  id: string;
  name: string;
  /** At 0, 0. */
  rect: Rect;
  /** Where the screen stands beside the others. */
  at: Point;
  free: Rect;
  backdrop: SceneBackdrop;
}

/** What is open on a workspace, in shares of the screen that each window is on. */
export interface Glance {
  workspace: string;
  windows: { id: string; screen: string; rect: Rect; isFront: boolean }[];
}

/** The colours that icons are drawn in, as #rrggbb; without one they take that of what they stand on. */
export type SceneInk =
  | { way: 'plain' }
  | { way: 'tint'; colour: string; amount: number }
  | { way: 'two'; dark: string; light: string }
  | { way: 'one'; colour: string | null };

/** How icons are drawn, in the half that there is. */
export interface SceneIcons extends Pick<Icons, 'set' | 'style' | 'own' | 'byHand' | 'tile'> {
  ink: SceneInk;
  tiles: Readonly<Record<string, Tile>>;
  /** What applications say of themselves, by their id: a set from outside is asked for these words. */
  words: Readonly<Record<string, readonly string[]>>;
}

export interface Scene {
  /** Surfaces stand without blur and shadow. */
  isPlain: boolean;
  /** Nothing moves by itself. */
  isQuiet: boolean;
  half: Half;
  roles: Roles;
  /** Its colours follow the backdrop, and pass into others with it. */
  follows: boolean;
  fonts: Readonly<Record<Use, FontInUse>>;
  icons: SceneIcons;
  pointer: ScenePointer;
  screens: SceneScreen[];
  /** One for each workspace. */
  glances: Glance[];
  /** How often the scene must be solved again while nothing else changes. */
  tick: Tick;
  /** What its parts read, each source and origin once. */
  needs: readonly { source: string; origin: string }[];
}
