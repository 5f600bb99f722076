const down = new Set<number>();
const options = { capture: true };
if (typeof window !== 'undefined') {
  addEventListener('pointerdown', ({ pointerId }) => down.add(pointerId), options);
  addEventListener('pointerup', ({ pointerId }) => down.delete(pointerId), options);
  addEventListener('pointercancel', ({ pointerId }) => down.delete(pointerId), options);
}

/**
 * Does something that moves what is on the page: at once, or while a pointer is down once its press is over. A press
 * whose target moves away beneath it would be lost.
 */
export function afterPress(run: () => void): void {
  if (down.size === 0) run();
  else addEventListener('pointerup', () => setTimeout(run), { ...options, once: true });
}
