/** One beat for all spectra of a page: as long as it is seen, and no oftener than each asks for. */
interface Drummer {
  /** ms between two frames. */
  every: number;
  last: number;
  draw(passed: number): void;
}

const drummers = new Set<Drummer>();
let isRunning = false;

function beat(now: number): void {
  if (drummers.size === 0 || document.hidden) {
    isRunning = false;
    return;
  }
  requestAnimationFrame(beat);
  for (const one of drummers) {
    const passed = now - one.last;
    // A frame comes a little early at times.
    if (passed < one.every - 2) continue;
    one.last = now;
    one.draw(Math.min(passed, 250));
  }
}

function run(): void {
  if (isRunning || drummers.size === 0 || document.hidden) return;
  isRunning = true;
  requestAnimationFrame(beat);
}

/** Calls back with ms since the last time; ends with what it gives back. */
export function onBeat(most: number, draw: Drummer['draw']): () => void {
  const one: Drummer = { every: 1000 / most, last: 0, draw };
  drummers.add(one);
  document.addEventListener('visibilitychange', run);
  run();
  return () => {
    drummers.delete(one);
    if (drummers.size === 0) document.removeEventListener('visibilitychange', run);
  };
}
