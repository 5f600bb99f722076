import type { Surface } from '../colour/look.ts';
import type { Backing, Inked, Run } from '../kinds/layout.ts';
import type { Rect } from '../values/geometry.ts';

/** A text of a part where it stands on the screen. */
export interface SceneText {
  /** Id of the item on an edge, or of the row of a list; null for a part that has neither. */
  item: string | null;
  run: Run;
  /** What the eye sees of it, px of the screen. */
  box: Rect;
  scale: number;
  /** What its colour is read from, where that is not the part's own surface. */
  surface: Surface | null;
  /** What it stands on by itself, where it is there only while something is pointed at. */
  plate: { rect: Rect; surface: Surface } | null;
  /** It is meant to be fainter: the title of a window that is not in front. */
  isDimmed?: boolean;
}

/** A sign, an icon or a mark of a part where it stands on the screen. */
export interface SceneSign
  extends Pick<SceneText, 'item' | 'box' | 'surface'>, Pick<Inked, 'what' | 'colour'> {}

/** How icons are to be seen: in the ink of their part, those of applications on tiles, or in colours that are not the part's. */
export type SeenIcons = 'inked' | 'tiled' | 'coloured';

/** A solved part, whichever section it comes from. */
export interface ScenePart {
  id: string;
  rect: Rect;
  /** Where its surface lies, if not where it stands. */
  surfaceRect?: Rect;
  surface: Surface;
  /** Of its drawing, and of all that it does to what lies beneath. */
  scale: number;
  texts(): SceneText[];
  /** What else of it must be seen. */
  signs?(icons: SeenIcons): SceneSign[];
  /** What its drawing lays beneath its texts, px of the screen. */
  backings?(): Backing[];
}
