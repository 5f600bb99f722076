import type { Point } from '../../../core/values/geometry.ts';

export interface PointOnScreen {
  /** Id of the screen. */
  screen: string;
  at: Point;
}

interface OnScreen {
  scale: number;
  at(x: number, y: number): Point;
  /** Where a point of the page lies on another screen that is shown beside this one; null where it lies on none. */
  beside(x: number, y: number): PointOnScreen | null;
}

/** The screen that an element is on: how large it is drawn, and where a point of the page lies on it. */
export function onScreen(element: Element | null): OnScreen {
  const screen = element?.closest<HTMLElement>('[data-screen]') ?? null;
  return {
    scale: screen ? scaleOf(screen) : 1,
    at: (x, y) => (screen ? pointIn(screen, x, y) : { x, y }),
    beside(x, y) {
      const under = pointOnScreen(x, y);
      return under && under.screen !== screen?.dataset['screen'] ? under : null;
    },
  };
}

/** The screen that a point of the page lies on, and where on it. */
export function pointOnScreen(x: number, y: number): PointOnScreen | null {
  for (const element of document.querySelectorAll<HTMLElement>('[data-screen]')) {
    const { left, right, top, bottom } = element.getBoundingClientRect();
    if (x >= left && x <= right && y >= top && y <= bottom)
      return { screen: element.dataset['screen'] ?? '', at: pointIn(element, x, y) };
  }
  return null;
}

const scaleOf = (screen: HTMLElement) => screen.getBoundingClientRect().width / screen.offsetWidth;

function pointIn(screen: HTMLElement, x: number, y: number): Point {
  const { left, top } = screen.getBoundingClientRect();
  const scale = scaleOf(screen);
  return { x: (x - left) / scale, y: (y - top) / scale };
}
