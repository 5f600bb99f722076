import type { Surface } from '../../colour/look.ts';
import type { Inked, Run } from '../../kinds/layout.ts';
import type { Point, Rect } from '../../values/geometry.ts';
import type { SceneSign, SceneText } from '../part.ts';

/** Runs where they stand on the screen when their layout begins at a point of it. */
export function placedTexts(
  item: string | null,
  runs: readonly Run[],
  at: Point,
  scale = 1,
  surface: Surface | null = null,
): SceneText[] {
  return runs.map((run) => ({
    plate: null,
    surface,
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

/** Signs, icons and marks where they stand on the screen, in the same way. */
export function placedSigns(
  item: string | null,
  inked: readonly Inked[],
  at: Point,
  scale = 1,
  surface: Surface | null = null,
): SceneSign[] {
  return inked.map(({ what, rect, colour }) => ({
    item,
    what,
    colour,
    surface,
    box: {
      x: at.x + rect.x * scale,
      y: at.y + rect.y * scale,
      width: rect.width * scale,
      height: rect.height * scale,
    },
  }));
}

/** Px of a plate around the name on it. */
export const PLATE = 6;

/** The plate on which a name stands by itself. */
export function plateAround({ x, y, width, height }: Rect): Rect {
  return { x: x - 1.5 * PLATE, y: y - PLATE, width: width + 3 * PLATE, height: height + 2 * PLATE };
}
