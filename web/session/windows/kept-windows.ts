import { browserKeep } from '../../browser-keep.ts';
import { useConditions } from '../conditions.ts';
import { useDesk } from '../desk.ts';
import { createKeeping } from './keeping.ts';

function later(run: () => void, ms: number): () => void {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
}

/** Opens what was open on a desk; gives back what stops keeping it up to date. */
export function keepWindows(id: string): () => void {
  const keeping = createKeeping(id, { keep: browserKeep, later });
  const kept = keeping.read();
  if (kept) useConditions.setState(kept);
  const stopping = new AbortController();
  const options = { capture: true, signal: stopping.signal };
  addEventListener('pointerdown', () => keeping.taken(), options);
  function letGo({ target, type }: Event): void {
    // What had the focus before loses it as something is taken hold of.
    if (type !== 'blur' || target === window) keeping.letGo();
  }
  for (const end of ['pointerup', 'pointercancel', 'blur'] as const) addEventListener(end, letGo, options);
  addEventListener('pagehide', () => keeping.end(), options);
  const stop = useConditions.subscribe(({ windows, workspace }, before) => {
    if (windows === before.windows && workspace === before.workspace) return;
    if (useDesk.getState().history?.present.id === id) keeping.changed({ windows, workspace });
  });
  return () => {
    stop();
    stopping.abort();
    keeping.end();
  };
}
