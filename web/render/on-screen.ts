import type { Point } from '../../core/values/geometry.ts';

interface OnScreen {
  scale: number;
  at(x: number, y: number): Point;
  /** Another screen shown beside this one that a point of the page lies on, and where on that. */
  beside(x: number, y: number): BesideScreen | null;
}

export interface BesideScreen {
  /** Its id. */
  screen: string;
  at: Point;
}

/** The screen that an element is on: how large it is drawn, and where a point of the page lies on it. */
export function onScreen(element: Element | null): OnScreen {
  const screen = element?.closest<HTMLElement>('[data-screen]');
  const box = screen?.getBoundingClientRect();
  const scale = screen && box ? box.width / screen.offsetWidth : 1;
  const within = (of: DOMRect | undefined, x: number, y: number) => ({
    x: (x - (of?.left ?? 0)) / scale,
    y: (y - (of?.top ?? 0)) / scale,
  });
  return {
    scale,
    at: (x, y) => within(box, x, y),
    beside(x, y) {
      for (const other of screen?.closest('main')?.querySelectorAll<HTMLElement>('[data-screen]') ?? []) {
        const own = other.getBoundingClientRect();
        const isOver = x >= own.left && x <= own.right && y >= own.top && y <= own.bottom;
        if (other !== screen && isOver)
          return { screen: other.dataset['screen'] ?? '', at: within(own, x, y) };
      }
      return null;
    },
  };
}
