import { usePinch, useWheel } from '@use-gesture/react';
import { useEffect, type RefObject } from 'react';
import { panBy, zoomBy } from './stage-view.ts';

/** Px for each line of a wheel that counts in lines. */
const LINE = 16;

/** By how much one notch of a wheel comes nearer, and from how many px on a turn is that of a wheel with notches. */
const NOTCH = 1.2;
const NOTCH_PX = 50;

/** Notches of a wheel, nearer above 0; 0 for whatever turns smoothly. */
function notchOf(event: Event): number {
  if (!(event instanceof WheelEvent)) return 0;
  const isNotched = event.deltaMode !== WheelEvent.DOM_DELTA_PIXEL || Math.abs(event.deltaY) >= NOTCH_PX;
  return isNotched ? -Math.sign(event.deltaY) : 0;
}

/** Wheel and pinch come nearer, the wheel alone moves along, and so does a drag with Space held or by the middle button. */
export function useCamera(area: RefObject<HTMLElement | null>): void {
  const at = (origin: readonly [number, number]) => {
    const box = area.current?.getBoundingClientRect();
    return { x: origin[0] - (box?.left ?? 0), y: origin[1] - (box?.top ?? 0) };
  };
  usePinch(
    ({ event, origin, offset: [now], memo, first, last }) => {
      event.preventDefault();
      // The end of a wheel's turn is told with the last event once more.
      if (last) return now;
      const notch = notchOf(event);
      const before = first ? now : (memo as number);
      if (notch !== 0) zoomBy(NOTCH ** notch, at(origin));
      else if (now !== before) zoomBy(now / before, at(origin));
      return now;
    },
    { target: area, eventOptions: { passive: false }, scaleBounds: { min: 1e-4, max: 1e4 } },
  );
  useWheel(
    ({ event, last }) => {
      if (last || event.ctrlKey || event.metaKey) return;
      const unit = event.deltaMode === WheelEvent.DOM_DELTA_LINE ? LINE : 1;
      const [x, y] = [event.deltaX * unit, event.deltaY * unit];
      panBy(event.shiftKey && x === 0 ? { x: -y, y: 0 } : { x: -x, y: -y });
    },
    { target: area },
  );
  useEffect(() => {
    const element = area.current;
    return element ? listenForPan(element) : undefined;
  }, [area]);
}

/** A drag that moves the stage takes the press before any part hears of it. */
function listenForPan(element: HTMLElement): () => void {
  const stopping = new AbortController();
  const { signal } = stopping;
  let isSpaceDown = false;
  let last: { x: number; y: number; pointer: number } | null = null;

  function show(): void {
    element.style.cursor = last ? 'grabbing' : isSpaceDown ? 'grab' : '';
    element.toggleAttribute('data-panning', last !== null || isSpaceDown);
  }
  addEventListener(
    'keydown',
    (event) => {
      const isTyping =
        event.target instanceof HTMLElement &&
        event.target.closest('input, textarea, [contenteditable], [role=slider]');
      if (event.code !== 'Space' || isTyping || !element.matches(':hover')) return;
      event.preventDefault();
      event.stopPropagation();
      isSpaceDown = true;
      show();
    },
    { capture: true, signal },
  );
  const letGo = () => {
    isSpaceDown = false;
    last = null;
    show();
  };
  addEventListener('keyup', ({ code }) => code === 'Space' && ((isSpaceDown = false), show()), {
    capture: true,
    signal,
  });
  addEventListener('blur', letGo, { signal });
  element.addEventListener(
    'pointerdown',
    (event) => {
      if (event.button !== 1 && !(isSpaceDown && event.button === 0)) return;
      event.preventDefault();
      event.stopPropagation();
      element.setPointerCapture(event.pointerId);
      last = { x: event.clientX, y: event.clientY, pointer: event.pointerId };
      show();
    },
    { capture: true, signal },
  );
  element.addEventListener(
    'pointermove',
    ({ clientX, clientY, pointerId }) => {
      if (last?.pointer !== pointerId) return;
      panBy({ x: clientX - last.x, y: clientY - last.y });
      last = { ...last, x: clientX, y: clientY };
    },
    { signal },
  );
  for (const name of ['pointerup', 'pointercancel', 'lostpointercapture'] as const)
    element.addEventListener(
      name,
      ({ pointerId }) => {
        if (last?.pointer !== pointerId) return;
        last = null;
        show();
      },
      { signal },
    );
  return () => stopping.abort();
}
