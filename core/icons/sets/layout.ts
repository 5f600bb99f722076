import { readThemeIndex, type ThemeIndex } from './theme-index.ts';
import { SET_LIMITS, type SetIcon } from './index-file.ts';
import type { Named } from './links.ts';
import { wordsOf } from './words.ts';
import { capital } from '../../values/words.ts';

/** A picture in an archive, by the path of its bytes. */
export interface Picture {
  isVector: boolean;
  /** Px of the longer side; of what is drawn from shapes only where its name says it. */
  size: number;
}

/** A set as it lies in an archive: `file` is the path of the bytes. */
export interface FoundSet {
  name: string;
  styles: string[];
  lacks: string[];
  icons: (Omit<SetIcon, 'picture'> & { file: string })[];
}

/** What an icon of no known size is good for. */
const ANY_SIZE = [1, SET_LIMITS.size] as const;

/**
 * The sets in an archive: each theme with an index by the Icon Theme Specification that has icons of its own or builds upon
 * another there; where there is none, all its pictures by their names. `indexes` are the texts of its `index.theme` files by
 * path; `called` is what a set without a name of its own is called.
 */
export function setsIn(
  names: readonly Named[],
  pictures: ReadonlyMap<string, Picture>,
  indexes: ReadonlyMap<string, string>,
  called: string,
): FoundSet[] {
  const drawn = names.filter(({ file }) => pictures.has(file));
  const themes = new Map<string, ThemeIndex>();
  for (const [path, text] of indexes) {
    const read = readThemeIndex(text);
    if (read && read.folders.length > 0) themes.set(folderOf(path), read);
  }
  if (themes.size === 0) return [byNames(drawn, pictures, called)].filter(({ icons }) => icons.length > 0);
  const byFolder = groupedBy(drawn, ({ path }) => folderOf(path));
  return [...themes.keys()]
    .map((at) => themeAt(at, { themes, byFolder, pictures, called }))
    .filter(({ icons }) => icons.length > 0);
}

interface Themes {
  themes: ReadonlyMap<string, ThemeIndex>;
  byFolder: ReadonlyMap<string, readonly Named[]>;
  pictures: ReadonlyMap<string, Picture>;
  called: string;
}

/** The style of icons that are to be seen in one ink, by the ending of their names. */
const SYMBOLIC = '-symbolic';

function themeAt(at: string, { themes, byFolder, pictures, called }: Themes): FoundSet {
  const icons: FoundSet['icons'] = [];
  const lacks: string[] = [];
  const seen = new Set<string>();
  const known = new Set<string>();
  const beside = folderOf(at);

  // What a theme builds upon comes after it: its names count where it has none.
  for (const queue = [at]; queue.length > 0 && seen.size < 20;) {
    const folder = queue.shift() ?? '';
    if (seen.has(folder)) continue;
    seen.add(folder);
    const theme = themes.get(folder);
    if (!theme) {
      lacks.push(folder.slice(beside === '' ? 0 : beside.length + 1));
      continue;
    }
    const mine: FoundSet['icons'] = [];
    for (const { path, least, most } of theme.folders)
      for (const named of byFolder.get(joined(folder, path)) ?? []) {
        const { isVector } = pictures.get(named.file) ?? { isVector: false };
        const stem = stemOf(named.path);
        const isSymbolic = stem.endsWith(SYMBOLIC);
        const name = (isSymbolic ? stem.slice(0, -SYMBOLIC.length) : stem).slice(0, SET_LIMITS.name);
        const style = isSymbolic ? 1 : 0;
        if (name === '' || known.has(`${style} ${name}`)) continue;
        mine.push({ name, style, least, most, isVector, file: named.file });
      }
    for (const { name, style } of mine) known.add(`${style} ${name}`);
    icons.push(...mine);
    queue.push(...theme.inherits.map((one) => joined(beside, one)));
  }
  const theme = themes.get(at);
  return {
    name: theme?.name || lastOf(at) || called,
    lacks,
    ...withStyles(icons.slice(0, SET_LIMITS.icons), ['Full', 'Symbolic']),
  };
}

/** Without styles that no icon has. */
function withStyles(icons: FoundSet['icons'], titles: readonly string[]): Pick<FoundSet, 'icons' | 'styles'> {
  const used = [...new Set(icons.map(({ style }) => style))].sort((one, other) => one - other);
  const place = new Map(used.map((style, index) => [style, index]));
  return {
    styles: used.map((style) => titles[style] ?? ''),
    icons: icons.map((icon) => ({ ...icon, style: place.get(icon.style) ?? 0 })),
  };
}

/** Words by which folders and ends of names tell a style, in the words that are shown. */
const styleWords: ReadonlyMap<string, string> = new Map(
  Object.entries({
    Line: 'line lines linear outline outlined outlines stroke regular',
    Thin: 'thin hairline',
    Light: 'light',
    Bold: 'bold heavy',
    Filled: 'fill filled solid glyph',
    'Two-tone': 'duotone twotone duo bicolor bicolour',
    Round: 'round rounded',
    Sharp: 'sharp square',
    Colour: 'color colour colored coloured flat',
    Symbolic: 'symbolic mono monochrome',
  }).flatMap(([title, words]) => words.split(' ').map((word) => [word, title] as const)),
);

interface Read {
  words: string[];
  styles: string[];
  size: number | null;
  named: Named;
}

/** A set without an index: sizes, styles and names are read off the paths. */
function byNames(drawn: readonly Named[], pictures: ReadonlyMap<string, Picture>, called: string): FoundSet {
  const all = drawn.map((named) => readPath(named));
  // What almost all names begin with says nothing.
  const first = mostCommon(all.map(({ words }) => (words.length > 1 ? words[0] : undefined)));
  const isPrefix = first !== null && all.length > 4 && first.count > 0.8 * all.length;
  const told = new Map<string, number>();
  const icons = all.flatMap(({ words, styles, size, named }): FoundSet['icons'] => {
    const picture = pictures.get(named.file);
    const name = (isPrefix && words[0] === first.what ? words.slice(1) : words).join('-');
    if (!picture || name === '') return [];
    const title = [...new Set(styles)].join(' ') || 'Plain';
    let style = told.get(title);
    if (style === undefined) {
      // What there is no room for is of the last one.
      style = Math.min(told.size, SET_LIMITS.styles - 1);
      told.set(title, style);
    }
    const px = size ?? (picture.isVector ? null : picture.size);
    const [least, most] = px === null ? ANY_SIZE : [px, px];
    return [
      {
        name: name.slice(0, SET_LIMITS.name),
        style,
        least: Math.min(least, SET_LIMITS.size),
        most: Math.min(most, SET_LIMITS.size),
        isVector: picture.isVector,
        file: named.file,
      },
    ];
  });
  return {
    name: called,
    lacks: [],
    ...withStyles(icons.slice(0, SET_LIMITS.icons), [...told.keys()]),
  };
}

function readPath(named: Named): Read {
  const parts = named.path.split('/');
  const read: Read = { words: [], styles: [], size: null, named };
  for (const folder of parts.slice(0, -1)) {
    const size = sizeOf(folder);
    const words = wordsOf(folder);
    const styles = words.flatMap((word) => styleWords.get(word) ?? []);
    if (size !== null) read.size = size;
    else if (styles.length > 0 && styles.length >= words.length - 1) read.styles.push(...styles);
  }
  const [, stem = '', density] = /^(.*?)(?:@(\d)x)?$/.exec(stemOf(named.path)) ?? [];
  const words = wordsOf(stem);
  // From the end: sizes and styles stand behind the name.
  for (let last = words.at(-1); words.length > 1 && last !== undefined; last = words.at(-1)) {
    const size = sizeOf(last);
    const style = styleWords.get(last);
    if (size === null && style === undefined) break;
    if (size !== null) read.size = size;
    else if (style !== undefined) read.styles.push(style);
    words.pop();
  }
  if (density !== undefined && read.size !== null) read.size *= Math.max(1, Number(density));
  read.words = words;
  return read;
}

/** Px that a folder or the end of a name says: 24, 24px, 24x24, 24x24@2x. */
function sizeOf(text: string): number | null {
  const [, side, other, density = '1'] =
    /^(\d{2,4})(?:px|dp|pt)?(?:x(\d{2,4}))?(?:@(\d)x?)?$/i.exec(text) ?? [];
  const px = Number(side) * Number(density);
  return side !== undefined && (other === undefined || other === side) && px >= 8 && px <= SET_LIMITS.size
    ? px
    : null;
}

function mostCommon(all: readonly (string | undefined)[]): { what: string; count: number } | null {
  const counts = new Map<string, number>();
  for (const one of all) if (one !== undefined) counts.set(one, (counts.get(one) ?? 0) + 1);
  const [best] = [...counts].sort(([, one], [, other]) => other - one);
  return best ? { what: best[0], count: best[1] } : null;
}

function groupedBy<T>(all: readonly T[], key: (one: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const group = groups.get(key(one));
    if (group) group.push(one);
    else groups.set(key(one), [one]);
  }
  return groups;
}

const folderOf = (path: string) => path.split('/').slice(0, -1).join('/');
const joined = (folder: string, path: string) => (folder === '' ? path : `${folder}/${path}`);
const lastOf = (path: string) => path.split('/').at(-1) ?? '';
const stemOf = (path: string) => lastOf(path).replace(/\.(svg|png)$/i, '');

/** What a set is called after its archive or its folder. */
export function calledAfter(file: string): string {
  const stem = lastOf(file).replace(/\.(zip|tar|tgz|tar\.gz)$/i, '');
  return capital(wordsOf(stem).join(' ')).slice(0, SET_LIMITS.name) || 'Icons';
}
