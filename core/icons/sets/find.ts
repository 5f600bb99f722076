import { signNames, signOf, type SignName } from '../names.ts';
import type { IconSetIndex, SetIcon } from './index-file.ts';
import { wordsOf } from './words.ts';
import { otherMeanings, otherNames } from './other-names.ts';

/** Finds what a set has for a name. */
export interface Finder {
  /**
   * The names under which a set has an icon for a wanted one, by its name or one of the other names for the same, an
   * application's own words (its name comes first), or likeness; null where it has none.
   */
  nameFor(wanted: string, words?: readonly string[]): string | null;
  /** The picture for a name of the set's own, in a style if it has that, the best for so many px; null for no name of it. */
  pictureOf(name: string, style: number, px: number): SetIcon | null;
}

const finders = new WeakMap<IconSetIndex, Finder>();

/** The same finder for the same set. */
export function finderOf(index: IconSetIndex): Finder {
  let found = finders.get(index);
  if (!found) finders.set(index, (found = createFinder(index)));
  return found;
}

/** How many names of its own a set is asked for that are kept in mind. */
const MOST_KNOWN = 4000;

function createFinder({ icons }: IconSetIndex): Finder {
  const byName = new Map<string, SetIcon[]>();
  for (const icon of icons) {
    const same = byName.get(icon.name);
    if (same) same.push(icon);
    else byName.set(icon.name, [icon]);
  }
  const plain = new Map<string, string>();
  const byWord = new Map<string, { name: string; words: readonly string[] }[]>();
  for (const name of byName.keys()) {
    const words = wordsOf(name);
    const key = words.join('-');
    if (!plain.has(key)) plain.set(key, name);
    for (const word of new Set(words)) {
      const same = byWord.get(word);
      if (same) same.push({ name, words });
      else byWord.set(word, [{ name, words }]);
    }
  }

  const exactly = (name: string) =>
    byName.has(name) ? name : (plain.get(wordsOf(name.replace(/-symbolic$/, '')).join('-')) ?? null);

  /** A name that has all these words and the fewest besides, none of which makes something else of it. */
  function like(words: readonly string[]): string | null {
    const [first = ''] = words;
    let best: { name: string; words: readonly string[] } | null = null;
    for (const one of byWord.get(first) ?? []) {
      const isFit =
        words.every((word) => one.words.includes(word)) &&
        one.words.every((word) => words.includes(word) || !otherMeanings.has(word));
      if (isFit && (!best || isCloser(one, best, first))) best = one;
    }
    return best && best.words.length <= words.length + 2 ? best.name : null;
  }

  function forSign(name: SignName): string | null {
    const others = otherNames[name].split(' ');
    return firstOf([name, ...others], exactly) ?? firstOf(others, (one) => like(one.split('-')));
  }

  /** What a set has for an application's own icon: that, or the more general names that are left when words are taken from its end. */
  function forOther(wanted: string): string | null {
    for (
      let parts = wanted.replace(/-symbolic$/, '').split('-');
      parts.length > 0;
      parts = parts.slice(0, -1)
    ) {
      const found = exactly(parts.join('-'));
      if (found !== null) return found;
    }
    return null;
  }

  function forName(wanted: string, [called, ...words]: readonly string[]): string | null {
    const sign = signOf(wanted);
    const isSign = sign === wanted;
    const more = called === undefined ? [] : [called, ...words];
    return (
      // Of an icon that many share, one that is called as the application is closer.
      (isSign ? ((called === undefined ? null : exactly(called)) ?? forSign(sign)) : forOther(wanted)) ??
      firstOf(more, exactly) ??
      firstOf(more, (text) => like(wordsOf(text))) ??
      (isSign ? null : forSign(sign))
    );
  }

  const asked = new Map<string, string | null>();
  return {
    nameFor(wanted, words = []) {
      const key = JSON.stringify([wanted, words]);
      let found = asked.get(key);
      if (found === undefined) {
        if (asked.size > MOST_KNOWN) asked.clear();
        asked.set(key, (found = forName(wanted, words)));
      }
      return found;
    },
    pictureOf(name, style, px) {
      const all = byName.get(name);
      if (!all) return null;
      const styled = all.filter((icon) => icon.style === style);
      return bestFor(styled.length > 0 ? styled : all, px);
    },
  };
}

function firstOf(texts: readonly string[], find: (text: string) => string | null): string | null {
  for (const text of texts) {
    const found = find(text);
    if (found !== null) return found;
  }
  return null;
}

function isCloser(
  one: { name: string; words: readonly string[] },
  other: { name: string; words: readonly string[] },
  first: string,
): boolean {
  const key = ({ name, words }: typeof one) => [words.length, words.indexOf(first), name.length] as const;
  const [a, b] = [key(one), key(other)];
  const at = a.findIndex((figure, index) => figure !== b[index]);
  return at < 0 ? one.name < other.name : (a[at] ?? 0) < (b[at] ?? 0);
}

/** How much worse a picture is for each px that it is made larger by. */
const ENLARGED = 4;

/** By the distance of sizes as the Icon Theme Specification has it; of equals what is drawn from shapes, which keeps sharp. */
function bestFor(icons: readonly SetIcon[], px: number): SetIcon | null {
  let best: SetIcon | null = null;
  let least = Infinity;
  for (const icon of icons) {
    const far =
      px < icon.least
        ? icon.least - px
        : px > icon.most
          ? (px - icon.most) * (icon.isVector ? 1 : ENLARGED)
          : 0;
    const distance = far + (icon.isVector ? 0 : 0.5);
    if (distance < least) [best, least] = [icon, distance];
  }
  return best;
}

/** How many of the signs that there are a set has, and those that it lacks. */
export function coverageOf(
  index: IconSetIndex,
  byHand: readonly { name: string }[] = [],
): { found: number; missing: SignName[] } {
  const finder = finderOf(index);
  const filled = new Set(byHand.map(({ name }) => name));
  const missing = signNames.filter((name) => !filled.has(name) && finder.nameFor(name) === null);
  return { found: signNames.length - missing.length, missing };
}
