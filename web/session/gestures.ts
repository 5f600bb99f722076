/**
 * A gesture lasts as long as what drives it: a pointer or a key that is down. Whatever becomes of the control that it
 * started on, it ends when they come up, and when the window is left; one that nothing holds ends after a moment.
 */
export interface GestureWatch {
  /** A turn was made. */
  turned(): void;
  /** Whether a pointer is down. */
  isHeld(): boolean;
  stop(): void;
}

/** Ms after the last turn of a gesture that neither pointer nor key holds. */
const MOMENT_MS = 1200;

export function watchGestures(end: () => void, onRelease: () => void): GestureWatch {
  const pointers = new Set<number>();
  const keys = new Set<string>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stopping = new AbortController();
  const { signal } = stopping;

  /** Those who listen to the same event come first: most gestures end in their own way. */
  function released(): void {
    setTimeout(() => {
      if (pointers.size > 0) return;
      onRelease();
      if (keys.size === 0 && !signal.aborted) end();
    });
  }
  function letGo({ pointerId }: PointerEvent): void {
    pointers.delete(pointerId);
    released();
  }
  function leave(): void {
    pointers.clear();
    keys.clear();
    onRelease();
    end();
  }
  const hear = <Name extends keyof WindowEventMap>(
    name: Name,
    heard: (event: WindowEventMap[Name]) => void,
  ) => addEventListener(name, heard, { capture: true, signal });

  hear('pointerdown', ({ pointerId }) => pointers.add(pointerId));
  hear('pointerup', letGo);
  hear('pointercancel', letGo);
  hear('pointermove', (event) => {
    // It came up where nobody could hear it.
    if (event.buttons === 0 && pointers.has(event.pointerId)) letGo(event);
  });
  hear('keydown', ({ code }) => keys.add(code));
  hear('keyup', ({ code }) => {
    keys.delete(code);
    released();
  });
  hear('blur', ({ target }) => target === window && leave());
  hear('pagehide', leave);
  return {
    turned() {
      clearTimeout(timer);
      if (pointers.size + keys.size === 0) timer = setTimeout(end, MOMENT_MS);
    },
    isHeld: () => pointers.size > 0,
    stop() {
      clearTimeout(timer);
      stopping.abort();
    },
  };
}
