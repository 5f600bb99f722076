/** One beat for all spectra of a page: as long as it is seen, and no oftener than each asks for. */
interface Drummer {
  /** ms between two frames. */
  every: number;
  last: number;
  draw(passed: number): void;
}

/** ms that a frame may come before it is due. */
const EARLY = 2;
/** ms that are waited for without asking for frames: each of them costs something, drawn or not. */
const LONG = 10;

const drummers = new Set<Drummer>();
let isRunning = false;

function beat(): void {
  if (drummers.size === 0 || document.hidden) {
    isRunning = false;
    return;
  }
  // Not the frame's own time: one that is asked for between two frames comes under the time of the first.
  const now = performance.now();
  let due = Infinity;
  for (const one of drummers) {
    const passed = now - one.last;
    if (passed >= one.every - EARLY) {
      one.last = now;
      one.draw(Math.min(passed, 250));
    }
    due = Math.min(due, one.last + one.every);
  }
  const wait = due - EARLY - performance.now();
  if (wait < LONG) requestAnimationFrame(beat);
  else setTimeout(() => requestAnimationFrame(beat), wait);
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
