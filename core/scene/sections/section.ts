import type { Rect } from '../../values/geometry.ts';
import type { SceneSections } from '../scene.ts';
import type { ScenePart } from '../part.ts';
import type { ScreenMemory } from '../memory.ts';
import type { Solving } from '../solving.ts';

/** A screen while its sections are solved one after the other. */
export interface ScreenContext {
  id: string;
  /** At 0, 0. */
  rect: Rect;
  /** What the sections so far leave of it. */
  free: Rect;
  /** Rectangles of the parts so far, by id. */
  rects: Map<string, Rect>;
  /** The sections so far. */
  solved: Partial<SceneSections>;
  /** What is remembered of the screen. */
  memory: ScreenMemory;
}

/** A section of what is on a screen: how it is solved, and which parts come of it. */
export interface SceneSection<Key extends keyof SceneSections> {
  key: Key;
  solve(context: ScreenContext, solving: Solving): SceneSections[Key];
  parts(solved: SceneSections[Key]): ScenePart[];
  /** Its parts are the document's own: they are arranged, and others hang from them and catch on them. */
  isArranged?: true;
  /** It gives back what there was by itself, where that is the same. */
  remembers?: true;
  /** Where they are, as far as others stand clear of them or hang from them. */
  rects?(solved: SceneSections[Key]): readonly { id: string; rect: Rect }[];
}

export function defineSceneSection<Key extends keyof SceneSections>(
  section: SceneSection<Key>,
): SceneSection<Key> {
  return section;
}
