import type { Surface } from '../colour/look.ts';
import type { Run } from '../kinds/layout.ts';
import type { Point, Rect } from '../values/geometry.ts';
import { rowsInSight } from './app-list.ts';
import type { SceneAppList, SceneEdge, SceneScreen, SceneWidget } from './scene.ts';

/** A text of a part where it stands on the screen. */
export interface SceneText {
  /** Id of the item on an edge, or of the row of a list; null for a part that has neither. */
  item: string | null;
  run: Run;
  /** What the eye sees of it, px of the screen. */
  box: Rect;
  scale: number;
}

/** A solved part, whichever section it comes from. */
export interface ScenePart {
  id: string;
  rect: Rect;
  surface: Surface;
  /** Of its drawing, and of all that it does to what lies beneath. */
  scale: number;
  texts(): SceneText[];
}

/** The parts of a screen in the order in which they are painted. */
export function partsOn({ edges, widgets, appList }: SceneScreen): ScenePart[] {
  return [...edges.map(edgePart), ...widgets.map(widgetPart), ...(appList ? [listPart(appList)] : [])];
}

/** The first and the last line of writing on a widget, px from the top of the screen: what others can stand level with. */
export function linesOf({ rect, scale, padding, layout: { runs } }: SceneWidget): number[] {
  const baselines = runs.map(({ baseline }) => rect.y + (padding + baseline) * scale);
  return baselines.length === 0 ? [] : [Math.min(...baselines), Math.max(...baselines)];
}

/** Rectangles of a screen's parts by id. */
export function rectsOn(screen: SceneScreen): Map<string, Rect> {
  return new Map([...screen.edges, ...screen.widgets].map(({ id, rect }) => [id, rect]));
}

function placed(item: string | null, runs: readonly Run[], at: Point, scale = 1): SceneText[] {
  return runs.map((run) => ({
    item,
    run,
    scale,
    box: {
      x: at.x + run.ink.x * scale,
      y: at.y + run.ink.y * scale,
      width: run.ink.width * scale,
      height: run.ink.height * scale,
    },
  }));
}

function edgePart({ id, rect, surface, items }: SceneEdge): ScenePart {
  return {
    id,
    rect,
    surface,
    scale: 1,
    texts: () =>
      items.flatMap(({ id: item, layout, rect: box, at }) =>
        placed(item, layout.runs, { x: box.x + at.x, y: box.y + at.y }),
      ),
  };
}

function widgetPart({ id, rect, surface, scale, padding, layout }: SceneWidget): ScenePart {
  return {
    id,
    rect,
    surface,
    scale,
    texts: () =>
      placed(null, layout.runs, { x: rect.x + padding * scale, y: rect.y + padding * scale }, scale),
  };
}

function listPart(list: SceneAppList): ScenePart {
  return {
    id: list.id,
    rect: list.rect,
    surface: list.surface,
    scale: 1,
    texts: () => [
      ...placed(null, [list.hint], list.rect),
      ...rowsInSight(list).flatMap(({ entry, rect }) => placed(entry.id, entry.runs, rect)),
    ],
  };
}
