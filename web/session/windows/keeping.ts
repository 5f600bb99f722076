import { z } from 'zod';
import { TrialWindows, type TrialWindow } from '../../../core/windows/trial.ts';
import { readKept, type Keep } from '../../browser-keep.ts';

/** What was open on a desk, and which workspace was in front. */
const Kept = z.object({ windows: TrialWindows, workspace: z.number().int().min(0).max(31) });

export interface OpenOnDesk {
  windows: readonly TrialWindow[];
  workspace: number;
}

/** Ms after the last change: a window that is moved changes with every step of the pointer. */
const PAUSE_MS = 300;

const keyOf = (id: string) => `velvet-ledge:windows:${id}`;

export interface KeepingPorts {
  keep: Pick<Keep, 'getItem' | 'removeItem'> & { tryItem(key: string, value: string): boolean };
  /** Does something after so many ms; gives back what calls it off. */
  later(run: () => void, ms: number): () => void;
}

/** Keeps what is open on a desk in the browser: a while after the last change, never amid a gesture, and at the latest at the end. */
export function createKeeping(id: string, { keep, later }: KeepingPorts) {
  let due: OpenOnDesk | null = null;
  let isHeld = false;
  let callOff: () => void = () => undefined;
  function write(): void {
    callOff();
    if (!due) return;
    const { windows, workspace } = due;
    due = null;
    // A full storage forgets what was open.
    if (windows.length === 0 && workspace === 0) keep.removeItem(keyOf(id));
    else keep.tryItem(keyOf(id), JSON.stringify({ windows, workspace }));
  }
  function writeSoon(): void {
    callOff();
    // What is held is not let go yet.
    if (due && !isHeld) callOff = later(write, PAUSE_MS);
  }
  return {
    /** What was kept; null where nothing is, or nothing that can be read. */
    read: (): OpenOnDesk | null => readKept(keep, keyOf(id), Kept),
    changed(now: OpenOnDesk): void {
      due = now;
      writeSoon();
    },
    taken(): void {
      isHeld = true;
    },
    letGo(): void {
      isHeld = false;
      writeSoon();
    },
    /** The page goes. */
    end: write,
  };
}
