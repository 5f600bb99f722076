import Fuse from 'fuse.js';
import { isSlip, otherWords } from './words.ts';

interface Findable {
  title: string;
  also: string;
  group: string;
  stands?: Standing;
}

/** Of what is chosen, or of what is not there now. */
export type Standing = 'chosen' | 'far' | undefined;

/**
 * Those that fit what is typed, the best first: whole names, then whole words, then beginnings, of the title before the
 * other words for it; one slip of a letter is forgiven; at last what is only like it.
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
  const others = otherWords(query);
  const asked = query.trim().toLowerCase();
  const scored = entries.flatMap((entry) => {
    const level = Math.min(levelOf(entry, asked, words), levelByOthers(entry, others));
    const like = likeness.get(entry);
    if (level === UNLIKE && like === undefined) return [];
    return [{ entry, level: level + shiftOf(entry.stands), like: like ?? entries.length }];
  });
  return scored.sort((a, b) => a.level - b.level || a.like - b.like).map(({ entry }) => entry);
}

/** What lies nearest to a query that finds nothing. */
export function nearest<E extends Findable>(entries: readonly E[], query: string): E[] {
  return new Fuse(entries, { keys: ['title', 'also'], threshold: 0.6, ignoreLocation: true })
    .search(query.trim(), { limit: NEAREST })
    .map(({ item }) => item);
}
const NEAREST = 3;

const UNLIKE = 20;

/** Beside the levels: what must be made first comes after all that is there and named so, or begins so. */
function shiftOf(stands: Standing): number {
  return stands === 'chosen' ? -0.4 : stands === 'far' ? 3 : 0;
}
/** Beside the levels of what is typed itself: another whole name is as good as a title that begins so. */
const BY_ANOTHER_NAME = 1.5;

function levelByOthers({ title, also }: Findable, others: readonly string[]): number {
  const own = title.toLowerCase();
  const ranks = others.flatMap((name, index) => {
    const step = index / 100;
    if (own === name) return [BY_ANOTHER_NAME + step];
    // “Add clock: seconds, minutes” is what “add clock” is.
    if (own.startsWith(name) && !/\p{L}/u.test(own.charAt(name.length)))
      return [BY_ANOTHER_NAME + 0.2 + step];
    return hasAll(wordsOf(`${title} ${also}`), wordsOf(name), isWord) ? [6 + step] : [];
  });
  return Math.min(UNLIKE, ...ranks);
}

function levelOf({ title, also, group }: Findable, query: string, words: readonly string[]): number {
  const own = title.toLowerCase();
  if (own === query) return 0;
  const [inTitle, inAll] = [wordsOf(title), wordsOf(`${title} ${also}`)];
  if (own.startsWith(query) && hasAll(inTitle, words, isWord)) return 0.5;
  if (own.startsWith(query)) return 1;
  if (hasAll(inTitle, words, isWord)) return 2;
  if (hasAll(inTitle, words, begins)) return 3;
  if (hasAll(inAll, words, isWord)) return 4;
  if (hasAll(inAll, words, begins)) return 5;
  if (hasAll([...inAll, ...wordsOf(group)], words, begins)) return 7;
  return hasAll(inAll, words, isNearly) ? 8 : UNLIKE;
}

type Fits = (own: string, asked: string) => boolean;
const isWord: Fits = (own, asked) => own === asked;
const begins: Fits = (own, asked) => own.startsWith(asked);
const isNearly: Fits = (own, asked) => begins(own, asked) || isSlip(own, asked);

function hasAll(own: readonly string[], asked: readonly string[], fits: Fits): boolean {
  return asked.every((word) => own.some((one) => fits(one, word)));
}

function wordsOf(text: string): string[] {
  return text.toLowerCase().match(/[\p{L}\p{N}%:]+/gu) ?? [];
}
