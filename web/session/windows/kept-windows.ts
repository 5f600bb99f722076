import { z } from 'zod';
import { TrialWindows, type TrialWindow } from '../../../core/windows/trial.ts';
import { useConditions } from '../conditions.ts';
import { useDesk } from '../desk.ts';
import { browserKeep } from '../../browser-keep.ts';

/** What was open on a desk, and which workspace was in front, kept for it in this browser. */
const Kept = z.object({ windows: TrialWindows, workspace: z.number().int().min(0).max(31) });

const keyOf = (id: string) => `velvet-ledge:windows:${id}`;

/** Ms after the last change: a window that is moved changes with every step of the pointer. */
const PAUSE_MS = 300;

/** Opens what was open on a desk; gives back what stops keeping it up to date. */
export function keepWindows(id: string): () => void {
  const kept = read(id);
  if (kept) useConditions.setState(kept);
  let due: { windows: readonly TrialWindow[]; workspace: number } | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isHeld = false;
  function keep(): void {
    clearTimeout(timer);
    if (due) write(id, due.windows, due.workspace);
    due = null;
  }
  const stopping = new AbortController();
  const options = { capture: true, signal: stopping.signal };
  addEventListener('pointerdown', () => (isHeld = true), options);
  function letGo({ target, type }: Event): void {
    // What had the focus before loses it as something is taken hold of.
    if (type === 'blur' && target !== window) return;
    isHeld = false;
    keepSoon();
  }
  for (const end of ['pointerup', 'pointercancel', 'blur'] as const) addEventListener(end, letGo, options);
  addEventListener('pagehide', keep, options);
  function keepSoon(): void {
    clearTimeout(timer);
    // What is held is not let go yet.
    if (due && !isHeld) timer = setTimeout(keep, PAUSE_MS);
  }
  const stop = useConditions.subscribe(({ windows, workspace }, before) => {
    if (windows === before.windows && workspace === before.workspace) return;
    if (useDesk.getState().history?.present.id !== id) return;
    due = { windows, workspace };
    keepSoon();
  });
  return () => {
    stop();
    stopping.abort();
    keep();
  };
}

function read(id: string): z.infer<typeof Kept> | null {
  try {
    return Kept.safeParse(JSON.parse(browserKeep.getItem(keyOf(id)) ?? 'null')).data ?? null;
  } catch {
    return null;
  }
}

function write(id: string, windows: readonly TrialWindow[], workspace: number): void {
  // A full storage forgets what was open.
  if (windows.length === 0 && workspace === 0) browserKeep.removeItem(keyOf(id));
  else browserKeep.tryItem(keyOf(id), JSON.stringify({ windows, workspace }));
}
