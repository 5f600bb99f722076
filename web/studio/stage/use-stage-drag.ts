import { useDrag } from '@use-gesture/react';
import { useContext, useEffect, useRef, type PointerEvent } from 'react';
import type { Point } from '../../../core/values/geometry.ts';
import { abandonDrag, type Drag } from './drag.ts';
import { StageScale } from './stage-scale.ts';

/** A press that did not move. */
export interface Press {
  isAdding: boolean;
}

/**
 * Binds a pointer to a drag on the stage. `start` is asked once the pointer has moved; Escape gives the drag
 * up. Positions come out in px of the desk.
 */
export function useStageDrag({
  start,
  onPress,
}: {
  start: (from: Point, press: Press) => Drag | null;
  onPress?: (press: Press) => void;
}) {
  const stage = useContext(StageScale);
  const current = useRef<{ drag: Drag; letGo: () => void } | null>(null);

  // What it was taken by may go while it is dragged; then it ends where it is.
  useEffect(
    () => () => {
      const held = current.current;
      held?.letGo();
      held?.drag.end();
    },
    [],
  );

  /** Holds a drag until it ends; Escape gives it up. */
  function hold(drag: Drag, cancel: () => void): void {
    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== 'Escape') return;
      event.stopPropagation();
      event.preventDefault();
      letGo();
      abandonDrag();
      cancel();
    }
    function letGo() {
      document.removeEventListener('keydown', onKeyDown, { capture: true });
      current.current = null;
    }
    document.addEventListener('keydown', onKeyDown, { capture: true });
    current.current = { drag, letGo };
  }

  const bind = useDrag(
    ({
      first,
      last,
      tap,
      movement: [mx, my],
      xy,
      initial,
      event,
      altKey,
      shiftKey,
      ctrlKey,
      metaKey,
      cancel,
    }) => {
      event.stopPropagation();
      const press = { isAdding: shiftKey || ctrlKey || metaKey };
      if (tap) {
        onPress?.(press);
        return;
      }
      if (first) {
        const drag = start(stage.toDesk({ x: initial[0], y: initial[1] }), press);
        if (!drag) {
          cancel();
          return;
        }
        hold(drag, cancel);
      }
      const drag = current.current?.drag;
      if (!drag) return;
      const scale = stage.scale();
      drag.turn({
        by: { x: mx / scale, y: my / scale },
        at: stage.toDesk({ x: xy[0], y: xy[1] }),
        passSnaps: altKey,
        keepAxis: shiftKey,
        scale,
      });
      if (last) {
        current.current?.letGo();
        drag.end();
      }
    },
    {
      filterTaps: true,
      threshold: 3, // Heard on the window: an item that changes places among its neighbours would lose its hold on the pointer.
      pointer: { buttons: 1, keys: false, capture: false },
    },
  );

  return () => {
    const handlers = bind() as { onPointerDown?: (event: PointerEvent) => void };
    return {
      ...handlers,
      // The innermost part takes the press: what lies beneath must not hear of it.
      onPointerDown(event: PointerEvent) {
        event.stopPropagation();
        handlers.onPointerDown?.(event);
      },
    };
  };
}
