import Fuse from 'fuse.js';
import type { Findable } from './entries.ts';

/** How well something must match (0 is exactly, 1 not at all), and letters that are looked at. */
const THRESHOLD = 0.35;
const MOST_LETTERS = 80;
/** By how much use brings something forward: the share of its score that is left for what was used last. */
const USED = 0.5;

/**
 * Keys of what is found by some letters, the best first. What matches alike stands in the order of use: `lately` are ids
 * of applications, the last used first.
 */
export function findIn(
  all: readonly Findable[],
  query: string,
  lately: readonly string[],
  inWords: boolean,
): string[] {
  const words = query.trim().slice(0, MOST_LETTERS);
  if (words === '') return [];
  const fuse = new Fuse(all, {
    includeScore: true,
    ignoreDiacritics: true,
    ignoreLocation: true,
    threshold: THRESHOLD,
    keys: [
      { name: 'name', weight: 3 },
      ...(inWords
        ? [
            { name: 'words', weight: 1 },
            { name: 'comment', weight: 1 },
          ]
        : []),
    ],
  });
  const start = words.toLowerCase();
  return fuse
    .search(words)
    .map(({ item, score = 1 }) => {
      const used = item.application === null ? -1 : lately.indexOf(item.application);
      const byUse = used < 0 ? 1 : USED + ((1 - USED) * used) / lately.length;
      return { key: item.key, rank: rankOf(item.name.toLowerCase(), start) + score * byUse };
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ key }) => key);
}

/** A name that begins so comes before one with a word that does, and that before any other. */
function rankOf(name: string, start: string): number {
  if (name.startsWith(start)) return 0;
  return name.split(/[\s:]+/).some((word) => word.startsWith(start)) ? 1 : 2;
}
