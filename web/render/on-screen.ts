import type { Point } from '../../core/values/geometry.ts';

/** The screen that an element is on: how large it is drawn, and where a point of the page lies on it. */
export function onScreen(element: Element | null): { scale: number; at(x: number, y: number): Point } {
  const screen = element?.closest<HTMLElement>('[data-screen]');
  const box = screen?.getBoundingClientRect();
  const scale = screen && box ? box.width / screen.offsetWidth : 1;
  return {
    scale,
    at: (x, y) => ({ x: (x - (box?.left ?? 0)) / scale, y: (y - (box?.top ?? 0)) / scale }),
  };
}
