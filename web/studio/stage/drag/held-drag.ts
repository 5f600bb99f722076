import { createBorderScroll } from '../camera/border-scroll.ts';
import { abandonDrag, type Drag } from './drag.ts';
import type { StageScaleValue } from '../camera/stage-scale.ts';

/** Where the pointer is on the page, and the keys that are held with it. */
export interface Pointed {
  xy: readonly [number, number];
  altKey: boolean;
  shiftKey: boolean;
}

/** The one drag that a pointer holds: it ends where it is, or is given up by Escape. */
export function createHeldDrag(stage: StageScaleValue) {
  const scroll = createBorderScroll();
  let held: { drag: Drag; from: readonly [number, number]; stop: () => void } | null = null;

  function letGo(): Drag | null {
    const drag = held?.drag ?? null;
    held?.stop();
    held = null;
    scroll.stop();
    return drag;
  }

  function turn({ xy: [x, y], altKey, shiftKey }: Pointed): void {
    if (!held) return;
    // The stage may move under the pointer: how far it went is counted on the desk.
    const at = stage.toDesk({ x, y });
    const by = { x: at.x - held.from[0], y: at.y - held.from[1] };
    held.drag.turn({ by, at, passSnaps: altKey, keepAxis: shiftKey, scale: stage.scale() });
  }

  return {
    /** `start` is where the pointer was, px of the page; `cancel` tells the pointer that it holds nothing any more. */
    take(drag: Drag, start: { x: number; y: number }, cancel: () => void): void {
      function onKeyDown(event: KeyboardEvent) {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        event.preventDefault();
        letGo();
        abandonDrag();
        cancel();
      }
      document.addEventListener('keydown', onKeyDown, { capture: true });
      const { x, y } = stage.toDesk(start);
      const stop = () => document.removeEventListener('keydown', onKeyDown, { capture: true });
      held = { drag, from: [x, y], stop };
    },
    turn(pointed: Pointed): void {
      turn(pointed);
      if (held) scroll.at(pointed.xy, () => turn(pointed));
    },
    end: () => letGo()?.end(),
  };
}
