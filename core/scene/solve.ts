import { freeAfter, layEdge } from '../arrange/edges.ts';
import { moveInside, type Rect, type Size } from '../values/geometry.ts';
import { hangFromNeighbour, hangFromPoint } from '../arrange/place.ts';
import { halfAt } from '../look/half.ts';
import { paletteOf, surfaceOf, type Palette, type Surface } from '../colour/look.ts';
import type { Desk, Edge, Screen, Widget } from '../desk/schema.ts';
import type { Colour, Half } from '../values/roles.ts';
import type { Finish } from '../values/finish.ts';
import { itemKindsByType } from '../items/list.ts';
import type { DeskFacts, ItemContext, ItemKind, Tick, WidgetContext, WidgetKind } from '../kinds/kind.ts';
import { createReadings, type Readings } from '../sources/readings.ts';
import { widgetKindsByType } from '../widgets/list.ts';
import { solveBackdrop } from './backdrop.ts';
import { fontsOf, iconsOf, pointerOf } from './look.ts';
import type { Conditions, Scene, SceneEdge, SceneItem, SceneScreen, SceneWidget } from './scene.ts';

/** Room that a surface keeps around what a face draws, px at scale 1; a bare widget has none. */
export const WIDGET_PADDING = 22;

interface Solving {
  desk: Desk;
  palette: Palette;
  readings: Readings;
  facts: DeskFacts;
  moment: number;
  half: Half;
  ticks: Set<Tick>;
  needsThisMachine: boolean;
  /** By the colour beneath. */
  contexts: Map<string, WidgetContext>;
  /** By the id of their screen. */
  widgets: Map<string, Widget[]>;
}

// The lists hold kinds of many types; a part was checked against its own kind when the desk was read.
type AnyItemKind = ItemKind<string, never, unknown>;
type AnyWidgetKind = WidgetKind<string, string, never, unknown>;

/** Works out everything that is on a desk under some conditions. Pure: the same arguments give the same scene. */
export function solve(desk: Desk, conditions: Conditions): Scene {
  const { look } = desk;
  const half = conditions.half ?? halfAt(look.half, conditions.moment, desk.place);
  const palette = paletteOf(look.roles[half]);
  const fonts = fontsOf(look);
  const solving: Solving = {
    desk,
    palette,
    readings: createReadings({
      moment: conditions.moment,
      place: desk.place,
      seed: desk.seed,
      live: conditions.live,
    }),
    facts: {
      applications: desk.applications,
      workspaces: desk.workspaces,
      running: new Set(conditions.running),
      workspace: Math.min(conditions.workspace ?? 0, desk.workspaces.length - 1),
      fonts,
    },
    moment: conditions.moment,
    half,
    ticks: new Set(),
    needsThisMachine: false,
    contexts: new Map(),
    widgets: groupByScreen(desk),
  };
  if (look.half.by !== 'choice') solving.ticks.add('minute');
  const screens = desk.screens.map((screen) => solveScreen(screen, solving));
  return {
    half,
    roles: palette.roles,
    fonts,
    icons: iconsOf(desk, palette),
    pointer: pointerOf(look, palette),
    screens,
    tick: solving.ticks.has('second') ? 'second' : solving.ticks.has('minute') ? 'minute' : null,
    needsThisMachine: solving.needsThisMachine,
  };
}

function solveScreen(screen: Screen, solving: Solving): SceneScreen {
  const rect: Rect = { x: 0, y: 0, width: screen.width, height: screen.height };
  let free = rect;
  const edges: SceneEdge[] = [];
  for (const edge of solving.desk.edges) {
    if (edge.screen !== screen.id) continue;
    edges.push(solveEdge(edge, free, solving));
    free = freeAfter(edge, free);
  }
  return {
    id: screen.id,
    name: screen.name,
    rect,
    at: { x: screen.x, y: screen.y },
    free,
    backdrop: solveBackdrop(screen, solving),
    edges,
    widgets: placeWidgets(screen.id, rect, free, edges, solving),
  };
}

function solveEdge(edge: Edge, free: Rect, solving: Solving): SceneEdge {
  const { surface, context: onSurface } = groundFor(edge.finish, solving);
  const context: ItemContext = {
    ...onSurface,
    thickness: edge.thickness,
    iconSize: Math.min(edge.iconSize, edge.thickness),
    isVertical: edge.side === 'left' || edge.side === 'right',
  };
  const views = edge.items.map((item) => {
    const kind = itemKindsByType.get(item.type) as unknown as AnyItemKind;
    const options = item.options as never;
    solving.ticks.add(kind.tick?.(options) ?? null);
    solving.needsThisMachine ||= kind.machineOrigin?.(options) === 'this-machine';
    const view = kind.view(options, context);
    const weight = kind.weight?.(options) ?? null;
    return {
      item,
      view,
      length: kind.length(view as never, context),
      weight,
      isBlank: weight !== null || item.type === 'gap',
    };
  });
  const laid = layEdge(edge, views, free);
  return {
    id: edge.id,
    kind: edge.kind,
    side: edge.side,
    rect: laid.rect,
    surface,
    iconSize: context.iconSize,
    touchesSide: edge.margin === 0,
    missing: laid.missing,
    items: views.map(
      ({ item, view }, index) =>
        ({ id: item.id, type: item.type, view, rect: laid.items[index] }) as SceneItem,
    ),
  };
}

const NOWHERE: Rect = { x: 0, y: 0, width: 0, height: 0 };

interface Unplaced extends Size {
  widget: Widget;
  /** Its rectangle is set once it has its place. */
  scene: SceneWidget;
}

function placeWidgets(
  screen: string,
  rect: Rect,
  free: Rect,
  edges: SceneEdge[],
  solving: Solving,
): SceneWidget[] {
  const placed = new Map<string, Rect>(edges.map((edge) => [edge.id, edge.rect]));
  const here = solving.widgets.get(screen) ?? [];
  const unplaced = new Map(here.map((widget) => [widget.id, sizeWidget(widget, rect, solving)]));

  function place({ widget, width, height }: Unplaced): Rect {
    const { hangs, x, y } = widget.place;
    const size = { width, height };
    if (hangs.from !== 'part')
      return hangFromPoint(hangs.point, hangs.from === 'free' ? free : rect, size, { x, y });
    const neighbour = placed.get(hangs.part);
    return neighbour
      ? hangFromNeighbour(hangs.side, hangs.align, neighbour, size, { x, y })
      : { x, y, ...size };
  }

  /** Places a widget and, before it, all that it hangs from: thousands may hang one from the other. */
  function rectOf(id: string): Rect | null {
    const chain = new Set<string>();
    for (let at: string | null = id; at !== null && unplaced.has(at) && !placed.has(at) && !chain.has(at);) {
      chain.add(at);
      at = hostOf(unplaced.get(at)?.widget);
    }
    for (const link of [...chain].reverse()) {
      const part = unplaced.get(link);
      if (part) placed.set(link, moveInside(place(part), rect));
    }
    return placed.get(id) ?? null;
  }

  return Array.from(unplaced, ([id, { scene }]) => {
    scene.rect = rectOf(id) ?? scene.rect;
    return scene;
  });
}

/** Id of what a widget hangs from, when that is a part. */
function hostOf(widget: Widget | undefined): string | null {
  const hangs = widget?.place.hangs;
  return hangs?.from === 'part' ? hangs.part : null;
}

/** Widgets by the screen that they are on: their own, or that of whatever they hang from in the end. */
function groupByScreen({ edges, widgets }: Desk): Map<string, Widget[]> {
  const byId = new Map(widgets.map((widget) => [widget.id, widget]));
  const screens = new Map<string, string | null>(edges.map((edge) => [edge.id, edge.screen]));
  function screenOf(widget: Widget): string | null {
    const chain: string[] = [];
    // A document whose widgets hang in a circle is refused; one that gets here is on no screen.
    let screen: string | null = null;
    for (let at: Widget | undefined = widget; at;) {
      const known = screens.get(at.id);
      if (known !== undefined) {
        screen = known;
        break;
      }
      chain.push(at.id);
      screens.set(at.id, null);
      const { hangs }: Widget['place'] = at.place;
      if (hangs.from !== 'part') {
        screen = hangs.screen;
        break;
      }
      screen = screens.get(hangs.part) ?? null;
      at = byId.get(hangs.part);
    }
    for (const id of chain) screens.set(id, screen);
    return screen;
  }
  const groups = new Map<string, Widget[]>();
  for (const widget of widgets) {
    const screen = screenOf(widget);
    if (screen === null) continue;
    const group = groups.get(screen);
    if (group) group.push(widget);
    else groups.set(screen, [widget]);
  }
  return groups;
}

function sizeWidget(widget: Widget, screen: Rect, solving: Solving): Unplaced {
  const kind = widgetKindsByType.get(widget.type) as unknown as AnyWidgetKind;
  const { surface, context } = groundFor(widget.finish, solving);
  const options = widget.options as never;
  solving.ticks.add(kind.tick(options, widget.face));
  solving.needsThisMachine ||= kind.machineOrigin?.(options) === 'this-machine';
  const view = kind.view(options, widget.face, context);
  const natural = kind.size(view as never, widget.face, context);
  const padding = surface.kind === 'bare' ? 0 : WIDGET_PADDING;
  const width = natural.width + 2 * padding;
  const height = natural.height + 2 * padding;
  const scale = Math.min(widget.scale, screen.width / width, screen.height / height);
  const { id, type, face, locked, clicksThrough } = widget;
  return {
    widget,
    width: width * scale,
    height: height * scale,
    scene: {
      id,
      type,
      face,
      rect: NOWHERE,
      view,
      scale,
      padding,
      surface,
      locked,
      clicksThrough,
    } as SceneWidget,
  };
}

/** A part's surface, and what its kind may know. */
interface PartGround {
  surface: Surface;
  context: WidgetContext;
}

function groundFor(own: Finish | null, solving: Solving): PartGround {
  const { desk, palette, contexts, facts, readings } = solving;
  const surface = surfaceOf(own ?? desk.look.finish, palette);
  const beneath = surface.kind === 'bare' ? palette.roles.ground : surface.tint;
  // Many finishes, few colours: parts on the same colour share what they know.
  let context = contexts.get(beneath);
  if (!context) {
    context = { ...facts, readings, textColour: (colour: Colour) => palette.textOn(colour, beneath) };
    contexts.set(beneath, context);
  }
  return { surface, context };
}
