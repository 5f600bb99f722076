import type { SceneWindow } from '../../../core/scene/scene.ts';
import type { WindowMoves } from '../../../core/windows/schema.ts';
import type { Rect } from '../../../core/values/geometry.ts';

type Move = WindowMoves['opens'];

/** Nothing moves by itself for those who ask for that, on their machine or on the desk. */
function isStill(element: Element): boolean {
  return matchMedia('(prefers-reduced-motion: reduce)').matches || element.closest('[data-still]') !== null;
}

const at = ({ x, y }: { x: number; y: number }) => `translate(${x}px, ${y}px)`;

/** What a window looks like where it comes from, or goes to. */
function awayOf({ rect, home }: SceneWindow, way: Move['way']): Keyframe {
  const middle = { x: rect.width / 2, y: rect.height / 2 };
  switch (way) {
    case 'scale':
      return {
        opacity: 0,
        transform: `${at({ x: rect.x + middle.x * 0.08, y: rect.y + middle.y * 0.08 })} scale(0.92)`,
      };
    case 'fly':
      return {
        opacity: 0,
        transform: `${at({ x: home.x - middle.x * 0.12, y: home.y - middle.y * 0.12 })} scale(0.12)`,
      };
    case 'fade':
    case 'none':
      return { opacity: 0 };
  }
}

/** Moves a window in as it comes, or out as it goes; says when it is done. */
export function moveWindow(
  element: HTMLElement,
  window: SceneWindow,
  { way, ms }: Move,
  isComing: boolean,
): Promise<unknown> {
  if (way === 'none' || isStill(element)) return Promise.resolve();
  const here: Keyframe = { opacity: 1, transform: at(window.rect) };
  const away = awayOf(window, way);
  const animation = element.animate(isComing ? [away, here] : [here, away], {
    duration: ms,
    easing: isComing ? 'cubic-bezier(0.2, 0.8, 0.3, 1)' : 'ease-in',
    fill: isComing ? 'none' : 'forwards',
  });
  return animation.finished.catch(() => undefined);
}

/** Moves a window from where it was to where it is. */
export function moveFrom(element: HTMLElement, before: Rect, { rect }: SceneWindow, { way, ms }: Move): void {
  if (way === 'none' || isStill(element)) return;
  element.animate(
    [
      { transform: at(before), width: `${before.width}px`, height: `${before.height}px` },
      { transform: at(rect), width: `${rect.width}px`, height: `${rect.height}px` },
    ],
    { duration: ms, easing: 'cubic-bezier(0.2, 0.8, 0.3, 1)' },
  );
}
