import type { Ground } from '../desk/ground.ts';
import type { Surface } from '../colour/look.ts';
import type { Backing, Run } from '../kinds/layout.ts';
import type { Rect } from '../values/geometry.ts';
import type { SceneScreen, SceneWidget } from './scene.ts';
import { paintedSections } from './sections/list.ts';

/** A text of a part where it stands on the screen. */
export interface SceneText {
  /** Id of the item on an edge, or of the row of a list; null for a part that has neither. */
  item: string | null;
  run: Run;
  /** What the eye sees of it, px of the screen. */
  box: Rect;
  scale: number;
  /** What it stands on by itself, where it is there only while something is pointed at. */
  plate: { rect: Rect; surface: Surface } | null;
}

/** A solved part, whichever section it comes from. */
export interface ScenePart {
  id: string;
  rect: Rect;
  /** Where its surface lies, if not where it stands. */
  ground?: Rect;
  surface: Surface;
  /** Of its drawing, and of all that it does to what lies beneath. */
  scale: number;
  texts(): SceneText[];
  /** What its drawing lays beneath its texts, px of the screen. */
  backings?(): Backing[];
}

/** The parts of a screen in the order in which they are painted. */
export function partsOn(screen: SceneScreen): ScenePart[] {
  return paintedSections.flatMap(({ key, parts }) => parts(screen[key]));
}

/** Rectangles of a screen's parts by id: of those that the document has, whatever windows, icons and menus stand beside them. */
export function rectsOn({ widgets, edges }: SceneScreen): Map<string, Rect> {
  return new Map([...widgets, ...edges].map(({ id, rect }) => [id, rect]));
}

/** The first and the last line of writing on a widget, px from the top of the screen: what others can stand level with. */
export function linesOf({ rect, scale, padding, layout: { runs } }: SceneWidget): number[] {
  const baselines = runs.map(({ baseline }) => rect.y + (padding + baseline) * scale);
  return baselines.length === 0 ? [] : [Math.min(...baselines), Math.max(...baselines)];
}

/** What edits need to know of where things are. */
export function groundOf(screen: SceneScreen): Ground {
  return {
    screen: { id: screen.id, rect: screen.rect },
    free: screen.free,
    rects: rectsOn(screen),
  };
}
