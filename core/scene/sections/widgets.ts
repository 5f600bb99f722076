import type { z } from 'zod';
import { lookUp } from '../../values/look-up.ts';
import { hangFromNeighbour, hangFromPoint } from '../../arrange/place.ts';
import type { Desk } from '../../desk/desk.ts';
import type { Widget } from '../../desk/shapes/widgets.ts';
import { isAsLarge, moveInside, type Rect } from '../../values/geometry.ts';
import type { Layout } from '../../kinds/layout.ts';
import { areLearned, expressionWork } from '../../expressions/learn.ts';
import type { WidgetContext } from '../../kinds/kind.ts';
import { originsOf, tellingOf } from '../../expressions/telling.ts';
import { needsOf } from '../../expressions/text.ts';
import { workOf } from '../../widgets/learn.ts';
import { widgetKindOf } from '../../widgets/list.ts';
import { partsOf } from '../../desk/parts.ts';
import type { SceneWidget } from '../scene.ts';
import { defineSceneSection, type ScreenContext } from './section.ts';
import { ownLibrary } from '../../values/library.ts';
import { placedSigns, placedTexts } from './texts.ts';
import { isStill, lookAt, truthOf, type Eye, type Truth } from '../shown.ts';
import {
  isMadeOf,
  sameList,
  sameRect,
  type KeptWidget,
  type KeptWidgets,
  type ScreenMemory,
} from '../memory.ts';
import { behindScreen } from '../behind.ts';
import { Fitting } from '../fitting.ts';
import { plainSurface, type Solving } from '../solving.ts';

/** Room that a surface keeps around what a face draws, px at scale 1; a bare widget has none. */
const WIDGET_PADDING = 22;

/** Stands for a kind of which nothing is known yet. */
const UNKNOWN: Layout = { size: { width: 160, height: 90 }, runs: [] };

/** Each widget where it hangs. */
export const widgets = defineSceneSection({
  key: 'widgets',
  isArranged: true,
  remembers: true,
  solve: solveWidgets,
  rects: (list) => list,
  parts: (list) =>
    list.map(({ id, type, rect, surface, scale, padding, view, layout }) => ({
      id,
      rect,
      surface,
      scale,
      texts: () =>
        placedTexts(null, layout.runs, { x: rect.x + padding * scale, y: rect.y + padding * scale }, scale),
      signs: () =>
        placedSigns(
          null,
          workOf(type, ownLibrary)?.inked?.(view, layout) ?? [],
          { x: rect.x + padding * scale, y: rect.y + padding * scale },
          scale,
        ),
      backings: () =>
        (layout.backings ?? []).map((backing) => ({
          ...backing,
          rect: {
            x: rect.x + (padding + backing.rect.x) * scale,
            y: rect.y + (padding + backing.rect.y) * scale,
            width: backing.rect.width * scale,
            height: backing.rect.height * scale,
          },
        })),
    })),
});

function solveWidgets(context: ScreenContext, solving: Solving): SceneWidget[] {
  const { memory } = context;
  const here = solving.widgets.get(context.id) ?? [];
  const of = whatTheyFollow(here, context, solving);
  const last = memory.allWidgets;
  const again = last && isMadeOf(last, of) ? shownAnew(last, memory, solving) : null;
  if (again) {
    for (const list of again.needs) solving.needs.add(list);
    memory.allWidgets = again;
    return again.list;
  }
  const list = placeAll(here, context, solving);
  memory.allWidgets = here.every(isFixed) ? { of, needs: needsIn(memory.widgets), list } : null;
  return list;
}

const needsIn = (widgets: ReadonlyMap<string, KeptWidget>) => [
  ...new Set([...widgets.values()].map(({ shown }) => shown.needs)),
];

/** The widgets where they are with what they show now, where each is as large as before; null where one is not. */
function shownAnew(last: KeptWidgets, memory: ScreenMemory, solving: Solving): KeptWidgets | null {
  if (memory.truth !== null && isStill(memory.truth, solving.now)) return last;
  const looked: KeptWidget[] = [];
  for (const kept of memory.widgets.values()) {
    if (isStill(kept.seen.truth, solving.now)) continue;
    const seen = lookAt(solving.now, kept.stand, kept.widget, eye);
    if (!isAsLarge(seen.shown.layout.size, kept.shown.layout.size)) return null;
    looked.push({ ...kept, seen, shown: seen.shown });
  }
  const anew = new Map<SceneWidget, SceneWidget>();
  for (const kept of looked) {
    const { widget, shown, scene } = kept;
    if (scene && shown !== memory.widgets.get(widget.id)?.shown) {
      kept.scene = sceneOf(kept, scene.rect, solving);
      anew.set(scene, kept.scene);
    }
    memory.widgets.set(widget.id, kept);
  }
  memory.truth = truthOf(new Set([...memory.widgets.values()].map(({ seen }) => seen)), solving.now);
  const list = sameList(
    last.list,
    last.list.map((scene) => anew.get(scene) ?? scene),
  );
  return { of: last.of, needs: needsIn(memory.widgets), list };
}

/** All that the widgets of a screen follow from, in their places, besides what they read. */
function whatTheyFollow(here: readonly Widget[], context: ScreenContext, solving: Solving): unknown[] {
  const { rect, free, rects, memory } = context;
  const { base, desk, palette, out, facts, conditions } = solving;
  const tones = conditions.tones.get(context.id);
  return [
    here,
    base,
    palette,
    desk.look.finish,
    rect,
    sameRect(memory.screen?.free, free),
    ...hostsOf(here).map((host) => rects.get(host)),
    out,
    facts.workspaces,
    facts.workspace,
    tones,
    tones !== undefined && conditions.isHeld,
  ];
}

/** Whether a widget can't change any more, and nothing is read to tell whether it is there. */
const isFixed = ({ shows, options }: Widget) => shows.by !== 'while' && Object.isFrozen(options);

/** Those of the widgets that are seen, each in its place. */
function placeAll(
  here: readonly Widget[],
  { id: screen, rect, free, rects, memory }: ScreenContext,
  solving: Solving,
): SceneWidget[] {
  const placed = new Map(rects);
  const unplaced = sizeAll(here, rect, placed, memory, solving);
  memory.widgets = unplaced;

  function place({ widget, width, height }: KeptWidget): Rect {
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
  function placeWithHosts(id: string): void {
    const chain = new Set<string>();
    for (let at: string | null = id; at !== null && unplaced.has(at) && !placed.has(at) && !chain.has(at);) {
      chain.add(at);
      at = hostOf(unplaced.get(at)?.widget);
    }
    for (const link of [...chain].reverse()) {
      const part = unplaced.get(link);
      if (part) placed.set(link, moveInside(place(part), rect));
    }
  }

  // Those of other workspaces are placed too: others may hang from them.
  const { workspaces, workspace } = solving.facts;
  const front = workspaces[workspace]?.id ?? '';
  const seen: SceneWidget[] = [];
  const behind = behindScreen(screen, rect, solving);
  const fitting = behind && new Fitting(behind, solving, memory.coverings);
  for (const [id, part] of unplaced) {
    const host = hostOf(part.widget);
    if (host === null || placed.has(host)) placed.set(id, moveInside(place(part), rect));
    else placeWithHosts(id);
    const { workspaces: on } = part.widget;
    const at = placed.get(id);
    if (!at || (on.length > 0 && !on.includes(front))) continue;
    part.fitted = fitting?.fit(part, at) ?? null;
    part.scene = sceneOf(part, at, solving);
    seen.push(part.scene);
    fitting?.cover(part, at);
  }
  memory.coverings = fitting?.coverings ?? [];
  return sameList(memory.screen?.widgets, seen);
}

/** A widget in its place; the very one of before where it is the same. */
function sceneOf(
  { widget, shown, surface: plain, fitted, scale, padding, scene: before }: KeptWidget,
  rect: Rect,
  solving: Solving,
): SceneWidget {
  const surface = fitted?.surface ?? plain;
  const { id, type, face, locked, clicksThrough } = widget;
  const { view, layout, trouble } = shown;
  const away = isAway(widget, solving);
  const isSame =
    before !== null &&
    before.view === view &&
    before.layout === layout &&
    sameRect(before.rect, rect) === before.rect &&
    before.isAway === away &&
    before.surface === surface &&
    before.scale === scale &&
    before.trouble === trouble &&
    before.type === type &&
    before.face === face &&
    before.locked === locked &&
    before.clicksThrough === clicksThrough;
  if (isSame) return before;
  const at = before ? sameRect(before.rect, rect) : rect;
  return {
    id,
    type,
    face,
    rect: at,
    view,
    layout,
    scale,
    padding,
    surface,
    locked,
    clicksThrough,
    isAway: away,
    trouble,
  } as SceneWidget;
}

/** Sizes of widgets by their ids, in their order. One that is as wide as what it hangs from is sized after that. */
function sizeAll(
  here: readonly Widget[],
  screen: Rect,
  placed: ReadonlyMap<string, Rect>,
  memory: ScreenMemory,
  solving: Solving,
): Map<string, KeptWidget> {
  const sized = new Map<string, KeptWidget>();
  const before = memory.widgets;
  const isTrue = memory.truth !== null && isStill(memory.truth, solving.now);
  const size = (widget: Widget) => sizeWidget(widget, screen, before.get(widget.id), isTrue, solving);
  const followers = here.filter((widget) => widget.followsWidth && hostOf(widget) !== null);
  if (followers.length === 0) {
    for (const widget of here) sized.set(widget.id, size(widget));
    memory.truth = truthOfAll(sized, memory, isTrue, solving);
    return sized;
  }
  const own = new Map(here.map((widget) => [widget.id, widget]));
  for (const widget of here) {
    // From the widget itself to the first one that is sized, or that follows nobody.
    const chain: Widget[] = [];
    for (let at: Widget | undefined = widget; at && !sized.has(at.id) && !chain.includes(at);) {
      chain.push(at);
      at = at.followsWidth ? own.get(hostOf(at) ?? '') : undefined;
    }
    for (const link of chain.reverse()) {
      const host = link.followsWidth ? hostOf(link) : null;
      const wide = host === null ? undefined : (sized.get(host)?.width ?? placed.get(host)?.width);
      sized.set(link.id, size(wide === undefined ? link : asWideAs(link, wide, solving)));
    }
  }
  memory.truth = truthOfAll(sized, memory, isTrue, solving);
  return new Map(
    here.flatMap(({ id }) => (sized.has(id) ? [[id, sized.get(id) as KeptWidget] as const] : [])),
  );
}

/** For how long all of these are true; as it was where none of them was looked at anew. */
function truthOfAll(
  sized: ReadonlyMap<string, KeptWidget>,
  { widgets, truth }: ScreenMemory,
  isTrue: boolean,
  { now }: Solving,
): Truth {
  const isSame =
    isTrue && [...sized.values()].every(({ widget, seen }) => widgets.get(widget.id)?.seen === seen);
  return isSame && truth ? truth : truthOf(new Set([...sized.values()].map(({ seen }) => seen)), now);
}

/** Widgets with the width of what they hang from, as they were last asked for. */
const widened = new WeakMap<Widget, { width: number; widget: Widget }>();

/** A widget with the width (px of the screen) of what it hangs from, as far as its kind goes. */
function asWideAs(widget: Widget, wide: number, solving: Solving): Widget {
  const schema = lookUp(widgetKindOf(widget.type).options.shape, 'width') as z.ZodType | undefined;
  if (!schema) return widget;
  const surface = plainSurface(widget.finish, solving);
  const padding = surface.kind === 'bare' ? 0 : WIDGET_PADDING;
  const width = Math.round(wide / widget.scale - 2 * padding);
  const known = widened.get(widget);
  if (known?.width === width) return known.widget;
  const wider = schema.safeParse(width).success
    ? { ...widget, options: Object.freeze({ ...widget.options, width }) }
    : widget;
  if (Object.isFrozen(widget)) widened.set(widget, { width, widget: wider });
  return wider;
}

const hosts = new WeakMap<readonly Widget[], string[]>();

/** Ids of all that the widgets of a screen hang from, each once. */
function hostsOf(here: readonly Widget[]): string[] {
  let known = hosts.get(here);
  if (!known) hosts.set(here, (known = [...new Set(here.flatMap((widget) => hostOf(widget) ?? []))]));
  return known;
}

/** Id of what a widget hangs from, when that is a part. */
function hostOf(widget: Widget | undefined): string | null {
  const hangs = widget?.place.hangs;
  return hangs?.from === 'part' ? hangs.part : null;
}

/** How widgets are looked at. */
const eye: Eye<WidgetContext> = {
  needs: ({ type, options, face }) => widgetKindOf(type).needs(options as Widget['options'], face),
  work: (type, library) => workOf(type as Widget['type'], library),
  blank: () => UNKNOWN,
};

/** A widget looked at and sized; as it was where it is the same, stands on the same and shows the same. */
function sizeWidget(
  widget: Widget,
  screen: Rect,
  before: KeptWidget | undefined,
  isTrue: boolean,
  solving: Solving,
): KeptWidget {
  const surface = plainSurface(widget.finish, solving);
  const { stand } = solving.base;
  const isKnown =
    before?.widget.options === widget.options &&
    before.widget.face === widget.face &&
    before.widget.type === widget.type &&
    before.stand === stand &&
    Object.isFrozen(widget.options) &&
    (isTrue || isStill(before.seen.truth, solving.now));
  const seen = isKnown ? before.seen : lookAt(solving.now, stand, widget, eye);
  const { shown } = seen;
  solving.needs.add(shown.needs);
  const { size } = shown.layout;
  const padding = surface.kind === 'bare' ? 0 : WIDGET_PADDING;
  const width = Math.max(1, size.width + 2 * padding);
  const height = Math.max(1, size.height + 2 * padding);
  const scale = Math.min(widget.scale, screen.width / width, screen.height / height);
  if (isKnown && before.widget === widget && before.surface === surface && before.scale === scale)
    return before;
  const { scene = null, fitted = null } = before ?? {};
  return {
    widget,
    stand,
    seen,
    shown,
    surface,
    fitted,
    scale,
    padding,
    scene,
    width: width * scale,
    height: height * scale,
  };
}

/** Whether a widget is not there just now, by what it says of that. What can't be told leaves it there. */
function isAway({ id, shows, options }: Widget, { out, needs, facts, readings, library }: Solving): boolean {
  if (shows.by === 'always') return false;
  // While a desk is arranged, nobody is near anything.
  if (shows.by === 'near') return out !== null && !out.has(id);
  const asked = needsOf([shows.holds], originsOf(options));
  needs.add(asked);
  if (!areLearned(asked, library)) return false;
  return expressionWork(library)?.holds(shows.holds, tellingOf({ ...facts, readings }, options)) === false;
}

const grouped = new WeakMap<Desk['widgets'], { edges: Desk['edges']; groups: Map<string, Widget[]> }>();

/** Widgets by the screen that they are on: their own, or that of whatever they hang from in the end. */
export function groupByScreen(desk: Desk): ReadonlyMap<string, readonly Widget[]> {
  const { widgets: all, edges } = desk;
  const known = grouped.get(all);
  if (known?.edges === edges) return known.groups;
  const groups = group(desk);
  if (Object.isFrozen(all)) grouped.set(all, { edges, groups });
  return groups;
}

function group(desk: Desk): Map<string, Widget[]> {
  const byId = new Map(desk.widgets.map((widget) => [widget.id, widget]));
  const screens = new Map<string, string | null>();
  for (const part of partsOf(desk)) if ('screen' in part) screens.set(part.id, part.screen);
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
  for (const widget of desk.widgets) {
    const screen = screenOf(widget);
    if (screen === null) continue;
    const group = groups.get(screen);
    if (group) group.push(widget);
    else groups.set(screen, [widget]);
  }
  return groups;
}
