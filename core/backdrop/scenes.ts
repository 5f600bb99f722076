import { toSvg, type SceneDrawing } from './draw.ts';
import type { SceneName } from './names.ts';
import { contours } from './scenes/contours.ts';
import { fog } from './scenes/fog.ts';
import { headland } from './scenes/headland.ts';
import { lamp } from './scenes/lamp.ts';
import { marsh } from './scenes/marsh.ts';
import { night } from './scenes/night.ts';
import { tide } from './scenes/tide.ts';

const drawings: Record<SceneName, (seed: number) => SceneDrawing> = {
  headland,
  marsh,
  fog,
  night,
  contours,
  tide,
  lamp,
};

/** A scene as an SVG document of a size in px. The same arguments give the same text. */
export function drawScene(scene: SceneName, seed: number, width: number, height: number): string {
  return toSvg(drawings[scene](seed), width, height);
}
