import type { z } from 'zod';
import { lookUp } from '../../values/look-up.ts';
import { hangFromNeighbour, hangFromPoint } from '../../arrange/place.ts';
import type { Desk } from '../../desk/desk.ts';
import type { Widget } from '../../desk/sections/widgets.ts';
import { moveInside, type Rect, type Size } from '../../values/geometry.ts';
import type { Layout } from '../../kinds/layout.ts';
import { areLearned, expressionWork } from '../../expressions/learn.ts';
import { originsOf, tellingOf } from '../../expressions/telling.ts';
import { needsOf } from '../../expressions/text.ts';
import type { Need } from '../../sources/readings.ts';
import { troublesOf, troubleTold } from '../../sources/trouble.ts';
import { workOf } from '../../widgets/learn.ts';
import { widgetKindOf } from '../../widgets/list.ts';
import { partsOf } from '../../desk/parts.ts';
import type { SceneWidget } from '../scene.ts';
import { defineSceneSection, type Ground } from './section.ts';
import { placedTexts } from './texts.ts';
import { groundFor, lookOnce, numberOf, type Solving } from '../solving.ts';

/** Room that a surface keeps around what a face draws, px at scale 1; a bare widget has none. */
export const WIDGET_PADDING = 22;

/** Stands for a kind of which nothing is known yet. */
const UNKNOWN: Layout = { size: { width: 160, height: 90 }, runs: [] };
const NOWHERE: Rect = { x: 0, y: 0, width: 0, height: 0 };

interface Unplaced extends Size {
  widget: Widget;
  /** Its rectangle is set once it has its place. */
  scene: SceneWidget;
}

/** Each widget where it hangs. */
export const widgets = defineSceneSection({
  key: 'widgets',
  solve: solveWidgets,
  parts: (list) =>
    list.map(({ id, rect, surface, scale, padding, layout }) => ({
      id,
      rect,
      surface,
      scale,
      texts: () =>
        placedTexts(null, layout.runs, { x: rect.x + padding * scale, y: rect.y + padding * scale }, scale),
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

function solveWidgets({ id: screen, rect, free, rects }: Ground, solving: Solving): SceneWidget[] {
  const placed = new Map(rects);
  const here = solving.widgets.get(screen) ?? [];
  const unplaced = sizeAll(here, rect, placed, solving);

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

  // Those of other workspaces are placed too: others may hang from them.
  const { workspaces, workspace } = solving.facts;
  const front = workspaces[workspace]?.id ?? '';
  return [...unplaced]
    .map(([id, { scene, widget }]) => {
      scene.rect = rectOf(id) ?? scene.rect;
      return { scene, on: widget.workspaces };
    })
    .filter(({ on }) => on.length === 0 || on.includes(front))
    .map(({ scene }) => scene);
}

/** Sizes of widgets by their ids, in their order. One that is as wide as what it hangs from is sized after that. */
function sizeAll(
  here: readonly Widget[],
  screen: Rect,
  placed: ReadonlyMap<string, Rect>,
  solving: Solving,
): Map<string, Unplaced> {
  const sized = new Map<string, Unplaced>();
  const followers = here.filter((widget) => widget.followsWidth && hostOf(widget) !== null);
  if (followers.length === 0) {
    for (const widget of here) sized.set(widget.id, sizeWidget(widget, screen, solving));
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
      sized.set(
        link.id,
        sizeWidget(wide === undefined ? link : asWideAs(link, wide, solving), screen, solving),
      );
    }
  }
  return new Map(here.flatMap(({ id }) => (sized.has(id) ? [[id, sized.get(id) as Unplaced] as const] : [])));
}

/** A widget with the width (px of the screen) of what it hangs from, as far as its kind goes. */
function asWideAs(widget: Widget, wide: number, solving: Solving): Widget {
  const schema = lookUp(widgetKindOf(widget.type).options.shape, 'width') as z.ZodType | undefined;
  if (!schema) return widget;
  const { surface } = groundFor(widget.finish, solving);
  const padding = surface.kind === 'bare' ? 0 : WIDGET_PADDING;
  const width = Math.round(wide / widget.scale - 2 * padding);
  return schema.safeParse(width).success ? { ...widget, options: { ...widget.options, width } } : widget;
}

/** Id of what a widget hangs from, when that is a part. */
function hostOf(widget: Widget | undefined): string | null {
  const hangs = widget?.place.hangs;
  return hangs?.from === 'part' ? hangs.part : null;
}

function sizeWidget(widget: Widget, screen: Rect, solving: Solving): Unplaced {
  const { id, type, face, locked, clicksThrough, options } = widget;
  const { surface, beneath, context } = groundFor(widget.finish, solving);
  const {
    view,
    layout,
    trouble = null,
  } = lookOnce(solving, `${type} ${face} ${beneath} ${numberOf(options)}`, () => {
    const needs = widgetKindOf(type).needs(options, face);
    const work = workOf(type);
    // What is not learned yet is blank; it is solved again once it is.
    if (!work || !areLearned(needs)) return { view: null, layout: UNKNOWN, needs, isUnknown: true };
    const seen = work.view(options, face, context);
    return {
      view: seen,
      layout: work.layout(seen, face, context),
      needs,
      trouble: troubleIn(needs, solving),
    };
  });
  const padding = surface.kind === 'bare' ? 0 : WIDGET_PADDING;
  const width = Math.max(1, layout.size.width + 2 * padding);
  const height = Math.max(1, layout.size.height + 2 * padding);
  const scale = Math.min(widget.scale, screen.width / width, screen.height / height);
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
      layout,
      scale,
      padding,
      surface,
      locked,
      clicksThrough,
      isAway: isAway(widget, solving),
      trouble,
    } as SceneWidget,
  };
}

/** What of all that a widget reads can't be read, in a sentence. */
function troubleIn(needs: readonly Need[], { readings }: Solving): string | null {
  const { outside, feeds, moment } = readings;
  if (feeds.length === 0) return null;
  const [first] = needs.flatMap(({ source }) => troublesOf(source, outside, feeds));
  return first ? troubleTold(first, moment) : null;
}

/** Whether a widget is not there just now, by what it says of that. What can't be told leaves it there. */
function isAway({ id, shows, options }: Widget, { out, needs, facts, readings }: Solving): boolean {
  if (shows.by === 'always') return false;
  // While a desk is arranged, nobody is near anything.
  if (shows.by === 'near') return out !== null && !out.has(id);
  const asked = needsOf([shows.holds], originsOf(options));
  needs.add(asked);
  if (!areLearned(asked)) return false;
  return expressionWork()?.holds(shows.holds, tellingOf({ ...facts, readings }, options)) === false;
}

/** Widgets by the screen that they are on: their own, or that of whatever they hang from in the end. */
export function groupByScreen(desk: Desk): Map<string, Widget[]> {
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
