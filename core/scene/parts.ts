import type { Whereabouts } from '../desk/whereabouts.ts';
import type { Rect } from '../values/geometry.ts';
import type { SceneScreen, SceneWidget } from './scene.ts';
import type { ScenePart } from './part.ts';
import { paintedSections } from './sections/list.ts';

/** The parts of a screen in the order in which they are painted. */
export function partsOn(screen: SceneScreen): ScenePart[] {
  return paintedSections.flatMap(({ key, parts }) => parts(screen[key]));
}

/** Rectangles of a screen's parts by id: of those that the document has, whatever windows, icons and menus stand beside them. */
export function rectsOn(screen: SceneScreen): Map<string, Rect> {
  const arranged = paintedSections.filter(({ isArranged }) => isArranged);
  return new Map(
    arranged.flatMap(({ key, rects, parts }) =>
      (rects ?? parts)(screen[key]).map(({ id, rect }) => [id, rect] as const),
    ),
  );
}

/** The first and the last line of writing on a widget, px from the top of the screen: what others can stand level with. */
export function linesOf({ rect, scale, padding, layout: { runs } }: SceneWidget): number[] {
  const baselines = runs.map(({ baseline }) => rect.y + (padding + baseline) * scale);
  return baselines.length === 0 ? [] : [Math.min(...baselines), Math.max(...baselines)];
}

/** What edits need to know of where things are. */
export function whereaboutsOf(screen: SceneScreen): Whereabouts {
  return {
    screen: { id: screen.id, rect: screen.rect },
    free: screen.free,
    rects: rectsOn(screen),
  };
}
