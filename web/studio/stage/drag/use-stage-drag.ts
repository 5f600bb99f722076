import { useDrag } from '@use-gesture/react';
import { useContext, useEffect, useMemo, type PointerEvent } from 'react';
import type { Point } from '../../../../core/values/geometry.ts';
import type { Drag } from './drag.ts';
import { createHeldDrag } from './held-drag.ts';
import { StageScale } from '../camera/stage-scale.ts';

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
  const held = useMemo(() => createHeldDrag(stage), [stage]);

  // What it was taken by may go while it is dragged; then it ends where it is.
  useEffect(() => held.end, [held]);

  const bind = useDrag(
    ({ first, last, tap, xy, movement: [mx, my], event, altKey, shiftKey, ctrlKey, metaKey, cancel }) => {
      event.stopPropagation();
      const press = { isAdding: shiftKey || ctrlKey || metaKey };
      if (tap) {
        onPress?.(press);
        return;
      }
      if (first) {
        // What it takes to tell a drag from a press is not part of the way.
        const from = { x: xy[0] - mx, y: xy[1] - my };
        const drag = start(stage.toDesk(from), press);
        if (!drag) {
          cancel();
          return;
        }
        held.take(drag, from, cancel);
      }
      held.turn({ xy, altKey, shiftKey });
      if (last) held.end();
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
