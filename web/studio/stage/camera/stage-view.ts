import { boundsOf, type Point, type Rect } from '../../../../core/values/geometry.ts';
import type { Scene, SceneScreen } from '../../../../core/scene/scene.ts';
import { rectsOn } from '../../../../core/scene/parts.ts';
import { useScene } from '../../../session/scene.ts';
import { screenInView } from '../../../stores/screen.ts';
import { useStage } from '../../../stores/stage.ts';
import { useView } from '../../../stores/view.ts';
import { centredOn, fit, held, near, toDesk, zoomed, NEAR_SCALE, type Camera } from './camera.ts';

/** What stands on the stage: screens, each where it stands, and all that they take up. */
export interface Shown {
  screens: { screen: SceneScreen; at: Point }[];
  bounds: Rect;
  /** Where the screen in view stands. */
  origin: Point;
}

const ORIGIN: Point = { x: 0, y: 0 };

export function shownOf(scene: Scene | null, view: string | null, isTogether: boolean): Shown | null {
  const current = screenInView(scene, view);
  if (!scene || !current) return null;
  if (!isTogether || scene.screens.length < 2)
    return { screens: [{ screen: current, at: ORIGIN }], bounds: current.rect, origin: ORIGIN };
  const screens = scene.screens.map((screen) => ({ screen, at: screen.at }));
  const bounds = boundsOf(scene.screens.map(({ rect, at }) => ({ ...rect, ...at }))) ?? current.rect;
  return { screens, bounds, origin: current.at };
}

/** How the stage shows that. */
export function cameraFor(
  { near: nearness, peek, area }: ReturnType<typeof useStage.getState>,
  { bounds, origin }: Shown,
): Camera {
  const base = nearness
    ? held(centredOn(nearness.middle, nearness.scale, area), bounds, area)
    : fit(bounds, area);
  if (!peek || base.scale >= NEAR_SCALE) return base;
  const rect = { ...peek, x: peek.x + origin.x, y: peek.y + origin.y };
  return held(near(base, rect, area), bounds, area);
}

function now(): { shown: Shown; camera: Camera } | null {
  const { isTogether } = useStage.getState();
  const shown = shownOf(useScene.getState().scene, useView.getState().screen, isTogether);
  return shown && { shown, camera: cameraFor(useStage.getState(), shown) };
}

function go(camera: Camera): void {
  const { area } = useStage.getState();
  const middle = toDesk(camera, { x: area.width / 2, y: area.height / 2 });
  useStage.setState({ near: { scale: camera.scale, middle }, peek: null });
}

/** Comes nearer, or goes back, by a factor; what is at a point of the stage (its middle) stays there. */
export function zoomBy(factor: number, at?: Point): void {
  const { area } = useStage.getState();
  const here = now();
  if (!here) return;
  const { camera, shown } = here;
  const fixed = at ?? { x: area.width / 2, y: area.height / 2 };
  go(held(zoomed(camera, camera.scale * factor, fixed), shown.bounds, area));
}

export function zoomTo(scale: number): void {
  const here = now();
  if (here) zoomBy(scale / here.camera.scale);
}

/** Moves what is seen by px of the stage; says whether it moved. */
export function panBy({ x, y }: Point): boolean {
  const here = now();
  if (!here) return false;
  const { camera, shown } = here;
  const at = { x: camera.at.x + x, y: camera.at.y + y };
  const moved = held({ scale: camera.scale, at }, shown.bounds, useStage.getState().area);
  if (Math.hypot(moved.at.x - camera.at.x, moved.at.y - camera.at.y) < 0.5) return false;
  go(moved);
  return true;
}

export function showAll(): void {
  useStage.setState({ near: null, peek: null });
}

/** Near enough to work on what is selected; on everything when nothing is. */
export function showSelection(): void {
  const here = now();
  if (!here) return;
  const chosen = new Set(useView.getState().selection);
  const rects = here.shown.screens.flatMap(({ screen, at }) => {
    const items = screen.edges.flatMap((edge) => edge.items.map(({ id, rect }) => [id, rect] as const));
    return [...rectsOn(screen), ...items]
      .filter(([id]) => chosen.has(id))
      .map(([, rect]) => ({ ...rect, x: rect.x + at.x, y: rect.y + at.y }));
  });
  const bounds = boundsOf(rects);
  const { area } = useStage.getState();
  if (bounds) go(held(near(here.camera, bounds, area, NEAR_SCALE), here.shown.bounds, area));
  else showAll();
}
