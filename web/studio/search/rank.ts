import Fuse from 'fuse.js';

interface Findable {
  title: string;
  also: string;
  group: string;
}

/**
 * Those that fit what is typed, the best first: a title that begins so, then one with words that do, then other words
 * for it, then what is only like it.
 */
export function ranked<E extends Findable>(entries: readonly E[], query: string): E[] {
  const words = wordsOf(query);
  if (words.length === 0) return [...entries];
  const near = new Fuse(entries, {
    keys: [{ name: 'title', weight: 3 }, 'also', 'group'],
    threshold: 0.3,
    ignoreLocation: true,
    minMatchCharLength: 2,
  }).search(query.trim());
  const likeness = new Map(near.map(({ item }, index) => [item, index]));
  const scored = entries.flatMap((entry) => {
    const level = levelOf(entry, query.trim().toLowerCase(), words);
    const like = likeness.get(entry);
    if (level === null && like === undefined) return [];
    return [{ entry, level: level ?? 4, like: like ?? entries.length }];
  });
  return scored.sort((a, b) => a.level - b.level || a.like - b.like).map(({ entry }) => entry);
}

function levelOf({ title, also, group }: Findable, query: string, words: readonly string[]): number | null {
  if (title.toLowerCase().startsWith(query)) return 0;
  const begins = (text: string) => {
    const own = wordsOf(text);
    return words.every((word) => own.some((one) => one.startsWith(word)));
  };
  if (begins(title)) return 1;
  if (begins(`${title} ${also}`)) return 2;
  return begins(`${title} ${also} ${group}`) ? 3 : null;
}

function wordsOf(text: string): string[] {
  return text.toLowerCase().match(/[\p{L}\p{N}%:]+/gu) ?? [];
}
