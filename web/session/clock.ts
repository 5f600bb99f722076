import { useConditions } from './conditions.ts';
import { useScene } from './scene.ts';
import { watchClock } from '../ui/notices.ts';

/** A day is played in this many ms. */
const PLAY_DAY_MS = 48_000;
const DAY_MS = 86_400_000;
const PLAY_STEP_MS = 100;

/**
 * The one clock that drives all readings. It beats on the second or on the minute, whichever the desk needs;
 * nothing ticks when nothing needs it or the page is hidden. Gives back how to stop it.
 */
export function startClock(): () => void {
  let timer: ReturnType<typeof setTimeout> | null = null;

  function beat(): void {
    const { isPlaying, moment, hold, tick } = useConditions.getState();
    if (isPlaying) hold(moment + (DAY_MS / PLAY_DAY_MS) * PLAY_STEP_MS);
    else tick(Date.now());
    watchClock();
    schedule();
  }

  function schedule(): void {
    if (timer) clearTimeout(timer);
    timer = null;
    if (document.hidden) return;
    const delay = nextBeat();
    if (delay !== null) timer = setTimeout(beat, delay);
  }

  function nextBeat(): number | null {
    const { isPlaying, isNow } = useConditions.getState();
    if (isPlaying) return PLAY_STEP_MS;
    // The ledge shows the minute even on a desk without a clock.
    if (!isNow) return null;
    const length = useScene.getState().scene?.tick === 'second' ? 1000 : 60_000;
    return length - (Date.now() % length) + 5;
  }

  function wake(): void {
    if (!document.hidden) useConditions.getState().tick(Date.now());
    watchClock();
    schedule();
  }

  document.addEventListener('visibilitychange', wake);
  const stopScene = useScene.subscribe((state, before) => {
    if (state.scene?.tick !== before.scene?.tick) schedule();
  });
  const stopConditions = useConditions.subscribe((state, before) => {
    if (state.isNow !== before.isNow || state.isPlaying !== before.isPlaying) schedule();
  });
  wake();
  return () => {
    if (timer) clearTimeout(timer);
    document.removeEventListener('visibilitychange', wake);
    stopScene();
    stopConditions();
  };
}
