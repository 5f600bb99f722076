import { z } from 'zod';
import { TrialWindows, type TrialWindow } from '../../core/windows/trial.ts';
import { useConditions } from './conditions.ts';
import { useDesk } from './desk.ts';
import { browserKeep } from '../browser-keep.ts';

/** What was open on a desk, and which workspace was in front, kept for it in this browser. */
const Kept = z.object({ windows: TrialWindows, workspace: z.number().int().min(0).max(31) });

const keyOf = (id: string) => `velvet-ledge:windows:${id}`;

/** Opens what was open on a desk; gives back what stops keeping it up to date. */
export function keepWindows(id: string): () => void {
  const kept = read(id);
  if (kept) useConditions.setState(kept);
  return useConditions.subscribe((state, before) => {
    if (state.windows === before.windows && state.workspace === before.workspace) return;
    if (useDesk.getState().history?.present.id === id) write(id, state.windows, state.workspace);
  });
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
