import { useStage } from '../../../stores/stage.ts';
import { panBy } from './stage-view.ts';

/** Px of the stage's border within which a drag moves the stage along, and px for each frame at the very side. */
const BORDER = 26;
const FASTEST = 14;

/** Moves the stage along while something is dragged at its border, and has the drag take its turn again. */
export function createBorderScroll() {
  let frame = 0;
  const stop = () => cancelAnimationFrame(frame);
  return {
    stop,
    at([x, y]: readonly [number, number], again: () => void): void {
      stop();
      const box = document.querySelector('[data-stage-area]')?.getBoundingClientRect();
      // A desk that is seen whole has nowhere to go.
      if (!box || useStage.getState().near === null) return;
      const by = { x: speed(x, box.left, box.right), y: speed(y, box.top, box.bottom) };
      if (by.x === 0 && by.y === 0) return;
      const step = () => {
        if (!panBy(by)) return;
        again();
        frame = requestAnimationFrame(step);
      };
      frame = requestAnimationFrame(step);
    },
  };
}

/** Px for each frame: what is at the start comes in from there. */
function speed(at: number, start: number, end: number): number {
  const share = (depth: number) => Math.min(1, Math.max(0, 1 - depth / BORDER));
  return FASTEST * (share(at - start) - share(end - at));
}
