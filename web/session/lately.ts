import { z } from 'zod';
import { browserKeep, readKept } from '../browser-keep.ts';

/** Applications in the order in which they were used last, kept in this browser. */

const KEY = 'velvet-ledge:lately';
const MOST = 60;
const Lately = z.array(z.string()).max(MOST);

export function readLately(): string[] {
  return readKept(browserKeep, KEY, Lately) ?? [];
}

export function keepLately(list: readonly string[]): void {
  // A full storage forgets what was used lately.
  browserKeep.tryItem(KEY, JSON.stringify(list.slice(0, MOST)));
}
