import { browserKeep } from '../browser-keep.ts';

/** Applications in the order in which they were used last, kept in this browser. */

const KEY = 'velvet-ledge:lately';
const MOST = 60;

export function readLately(): string[] {
  try {
    const list: unknown = JSON.parse(browserKeep.getItem(KEY) ?? '[]');
    return Array.isArray(list) ? list.filter((id) => typeof id === 'string').slice(0, MOST) : [];
  } catch {
    return [];
  }
}

export function keepLately(list: readonly string[]): void {
  // A full storage forgets what was used lately.
  browserKeep.tryItem(KEY, JSON.stringify(list.slice(0, MOST)));
}
