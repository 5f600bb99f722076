import { setImmediate } from 'node:timers/promises';
import type { DeskStore } from '../desks/store.ts';
import type { OwnFiles } from './own-files.ts';

const DAY = 86_400_000;
/** How long a desk that was taken off the shelf is kept, and a file that nothing names, ms. */
export const KEPT = 30 * DAY;

/** What a clearing took away. */
interface Cleared {
  desks: number;
  files: number;
}

/**
 * Takes away what nobody can come back to: desks that left the shelf a month ago, then files that no revision of any desk,
 * kit or list names and that nobody brought or asked for within a month. (A page may go on naming a file in steps that it can undo.)
 */
export async function clearAway(
  desks: DeskStore,
  others: readonly { allTexts(): Iterable<string> }[],
  kinds: readonly OwnFiles[],
  now: number = Date.now(),
): Promise<Cleared> {
  const since = now - KEPT;
  const cleared: Cleared = { desks: desks.forgetRemoved(since), files: 0 };
  const unused = kinds.flatMap((files) => files.unused(since).map((id) => ({ files, id })));
  if (unused.length === 0) return cleared;
  const named = await filesNamed(desks, ...others);
  for (const { files, id } of unused) {
    // A desk that has come meanwhile asked for what it names.
    if (named.has(id) || !files.isUnused(id, since)) continue;
    files.remove(id);
    cleared.files++;
  }
  return cleared;
}

/**
 * Every SHA-256 that stands anywhere in a revision, a kit or a list: also in one that can't be read any more, or is of an older format.
 */
async function filesNamed(...stores: { allTexts(): Iterable<string> }[]): Promise<Set<string>> {
  const named = new Set<string>();
  for (const store of stores)
    for (const text of store.allTexts()) {
      for (const [digest] of text.matchAll(/[0-9a-f]{64}/g)) named.add(digest);
      // Between two of them, the server does what else there is to do.
      await setImmediate();
    }
  return named;
}

/** Clears once soon, then once a day; gives back what ends it. */
export function clearDaily(work: () => Promise<unknown>, report: (error: unknown) => void): () => void {
  const run = () => void work().catch(report);
  const soon = setTimeout(run, SOON);
  const daily = setInterval(run, DAY);
  soon.unref();
  daily.unref();
  return () => {
    clearTimeout(soon);
    clearInterval(daily);
  };
}
/** Once those that open a page at once have theirs, ms. */
const SOON = 60_000;
