import type { Scene, SceneScreen } from '../../core/scene/scene.ts';
import { useScene } from '../session/scene.ts';
import { useView } from './view.ts';

/** The screen on the stage. */
export function screenInView(scene: Scene | null, id: string | null): SceneScreen | null {
  return scene?.screens.find((screen) => screen.id === id) ?? scene?.screens[0] ?? null;
}

export function useScreenInView(): SceneScreen | null {
  const id = useView((view) => view.screen);
  return useScene(({ scene }) => screenInView(scene, id));
}

export function currentScreen(): SceneScreen | null {
  return screenInView(useScene.getState().scene, useView.getState().screen);
}
