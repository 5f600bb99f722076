import { centreOf } from '../../values/geometry.ts';
import type { SceneMenu } from '../scene.ts';

/** Keys that walk through the entries of a menu. */
export type WalkKey =
  'ArrowUp' | 'ArrowDown' | 'ArrowLeft' | 'ArrowRight' | 'Home' | 'End' | 'PageUp' | 'PageDown';

/** Rows that a page's key goes past. */
const PAGE = 8;

/** The entry that a key leads to from the one that is chosen: the nearest that way; past an end it goes on at the other. */
export function walk({ entries, chosen }: Pick<SceneMenu, 'entries' | 'chosen'>, key: WalkKey): number {
  const last = entries.length - 1;
  const from = entries[chosen];
  if (!from) return last < 0 ? -1 : 0;
  switch (key) {
    case 'Home':
      return 0;
    case 'End':
      return last;
    case 'ArrowLeft':
      return chosen === 0 ? last : chosen - 1;
    case 'ArrowRight':
      return chosen === last ? 0 : chosen + 1;
    case 'PageUp':
      return rows(entries, chosen, -1, PAGE) ?? 0;
    case 'PageDown':
      return rows(entries, chosen, 1, PAGE) ?? last;
    case 'ArrowUp':
      return rows(entries, chosen, -1, 1) ?? nearestIn(entries, rowOf(entries, last), from.rect);
    case 'ArrowDown':
      return rows(entries, chosen, 1, 1) ?? nearestIn(entries, rowOf(entries, 0), from.rect);
  }
}

type Entries = SceneMenu['entries'];

/** Indices of the entries level with one. */
function rowOf(entries: Entries, index: number): number[] {
  const y = entries[index]?.rect.y;
  return entries.flatMap(({ rect }, at) => (rect.y === y ? [at] : []));
}

/** The entry some rows further, as level with this one as can be; null where there are no more rows. */
function rows(entries: Entries, index: number, way: 1 | -1, count: number): number | null {
  const from = entries[index]?.rect;
  if (!from) return null;
  let found: number | null = null;
  let at = index;
  for (let step = 0; step < count; step++) {
    const row = rowOf(entries, at);
    const next = way > 0 ? (row.at(-1) ?? at) + 1 : (row[0] ?? at) - 1;
    if (!entries[next]) break;
    at = next;
    found = nearestIn(entries, rowOf(entries, next), from);
  }
  return found;
}

function nearestIn(entries: Entries, row: readonly number[], to: Entries[number]['rect']): number {
  const { x } = centreOf(to);
  const off = (index: number) => Math.abs(centreOf(entries[index]?.rect ?? to).x - x);
  return row.reduce((best, index) => (off(index) < off(best) ? index : best), row[0] ?? 0);
}
