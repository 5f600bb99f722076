import type { FontMetrics, FontUse } from './schema.ts';
import { isOwn, type ShippedFamily } from '../values/family.ts';
import { Subject } from '../values/library.ts';
import { lookUp } from '../values/look-up.ts';
import figtree from './metrics/figtree.json' with { type: 'json' };

/**
 * What is known of a shipped family: advances in em by letter, at each weight and (one after another for each weight)
 * at each optical size; and how much nearer or further pairs stand, in thousandths of an em, by classes of letters.
 */
export interface ShippedMetrics {
  weights: readonly number[];
  sizes?: readonly number[];
  advances: Readonly<Record<string, readonly number[]>>;
  /** Letters with accents that it has only without; any other that is not listed is as wide as without. */
  lacks?: string;
  kerning?: {
    weights: readonly number[];
    sizes?: readonly number[];
    /** The class of each sign of ASCII from ! on, where it stands on the left and on the right of a pair. */
    left: readonly number[];
    right: readonly number[];
    /** One for each weight and, within it, each size. */
    tables: readonly (readonly (readonly number[])[])[];
  };
  ink?: InkMetrics;
}

/**
 * Where the ink of each sign of ASCII from ! on ends, in thousandths of an em, at each weight and size: in from the pen
 * on the left and from the advance on the right, above the line of writing and below it.
 */
interface InkMetrics {
  weights: readonly number[];
  sizes?: readonly number[];
  left: readonly (readonly number[])[];
  right: readonly (readonly number[])[];
  top: readonly (readonly number[])[];
  bottom: readonly (readonly number[])[];
}

/** A font as the desk uses it, with the widths of one's own family. */
export type FontInUse = FontUse & { metrics: FontMetrics | null };

/** The same for measuring: with where the widths of the others stand. */
export type DeskFont = FontInUse & { book: FontBook };

/** What is known of the shipped families; each is learned when a desk needs it (see families.ts). */
class FontBook {
  /** Grows with all that is learned: what was measured before may be measured otherwise since. */
  version = 0;
  /** What the page falls back to where a family lacks a letter or a sign. */
  fallback: ShippedMetrics | null = null;
  /** A letter was met that no known family has, before the fallback was learned. */
  wantsFallback = false;
  readonly #shipped = new Map<ShippedFamily, ShippedMetrics>([['figtree', figtree]]);
  #cuts = new WeakMap<ShippedMetrics, Map<number, Cut>>();

  learn(family: ShippedFamily, metrics: ShippedMetrics): void {
    this.#shipped.set(family, metrics);
    this.version++;
  }

  learnFallback(metrics: ShippedMetrics): void {
    this.fallback = metrics;
    this.wantsFallback = false;
    this.version++;
    // What was measured without it is measured again.
    this.#cuts = new WeakMap();
  }

  knows(family: ShippedFamily): boolean {
    return this.#shipped.has(family);
  }

  /** The font of a style at its weight (as set) and size (px, as set). */
  cut({ family, metrics: own }: DeskFont, weight: number, size: number): Cut {
    const metrics: ShippedMetrics = own ?? (isOwn(family) ? undefined : this.#shipped.get(family)) ?? figtree;
    let known = this.#cuts.get(metrics);
    if (!known) this.#cuts.set(metrics, (known = new Map()));
    // Only some families change with their size.
    const key = metrics.sizes ? weight * 65536 + size : weight;
    let cut = known.get(key);
    if (!cut) {
      if (known.size >= MOST_CUTS) known.clear();
      known.set(key, (cut = makeCut(this, metrics, weight, size)));
    }
    return cut;
  }
}

/** How wide letters are. */
export const fontBook = new Subject(() => new FontBook());

/** Where a value falls among those that were measured: the index below, and how far to the next. */
function between(measured: readonly number[], value: number): [number, number] {
  let index = 0;
  while (index < measured.length - 2 && value > (measured[index + 1] ?? Infinity)) index++;
  const low = measured[index] ?? value;
  const high = measured[index + 1] ?? low;
  return [index, high === low ? 0 : Math.max(0, Math.min(1, (value - low) / (high - low)))];
}

/** Where the ink of a line ends: in from the pen's start and from the advance's end, above the line of writing and below. */
export interface Ink {
  left: number;
  right: number;
  top: number;
  bottom: number;
}
type InkSide = keyof Ink;

/** A family at one weight and size. */
export interface Cut {
  book: FontBook;
  metrics: ShippedMetrics;
  weight: number;
  widestFigure: string;
  /** Em by letter, worked out as letters are met. */
  letters: Map<string, number>;
  /** Em by text; the same few texts are asked for again and again. */
  texts: Map<string, number>;
  /** The same with every figure as wide as the widest. */
  steady: Map<string, number>;
  /** What is listed for each weight and size, at this one. */
  advance: Blend;
  /** Em from the pen, the advance or the line of writing to where a letter's ink ends, by its place among the signs of ASCII. */
  ink(side: InkSide, sign: number): number;
  /** Em by text. */
  inks: Map<string, Ink>;
  /** Thousandths of an em by which two letters stand further apart, by their places among the signs of ASCII. */
  kern(before: number, after: number): number;
}

export const MOST_TEXTS = 2000;
const MOST_CUTS = 200;

/** A value at a weight and size, from those that are listed for some weights and, within each, some sizes. */
type Blend = (listed: readonly number[]) => number;

function blendAt(
  weights: readonly number[],
  sizes: readonly number[] | undefined,
  weight: number,
  size: number,
): Blend {
  const [heavy, heavyPart] = between(weights, weight);
  const [large, largePart] = sizes ? between(sizes, size) : [0, 0];
  const count = sizes?.length ?? 1;
  const first = heavy * count + large;
  const mix = (low: number, high: number | undefined, part: number) =>
    part === 0 || high === undefined ? low : low + (high - low) * part;
  const across = (listed: readonly number[], at: number) => mix(listed[at] ?? 0, listed[at + 1], largePart);
  return (listed) => {
    // What is the same everywhere is listed once.
    if (listed.length === 1) return listed[0] ?? 0;
    const low = across(listed, first);
    return heavyPart === 0 ? low : mix(low, across(listed, first + count), heavyPart);
  };
}

function makeCut(book: FontBook, metrics: ShippedMetrics, weight: number, size: number): Cut {
  const cut: Cut = {
    book,
    metrics,
    weight,
    widestFigure: '0',
    letters: new Map(),
    texts: new Map(),
    steady: new Map(),
    advance: blendAt(metrics.weights, metrics.sizes, weight, size),
    ink: inkAt(metrics.ink, weight, size),
    inks: new Map(),
    kern: kernAt(metrics.kerning, weight, size),
  };
  for (const figure of '123456789')
    if (letterWidth(figure, cut) > letterWidth(cut.widestFigure, cut)) cut.widestFigure = figure;
  return cut;
}

function kernAt(kerning: ShippedMetrics['kerning'], weight: number, size: number): Cut['kern'] {
  if (!kerning) return () => 0;
  const { left, right, tables } = kerning;
  const blend = blendAt(kerning.weights, kerning.sizes, weight, size);
  return (before, after) => {
    const [row, column] = [left[before], right[after]];
    return row === undefined || column === undefined
      ? 0
      : blend(tables.map((table) => table[row]?.[column] ?? 0));
  };
}

/** Of a font of which nothing is known: what most fonts come to. */
const USUAL_INK: Ink = { left: 0.05, right: 0.05, top: 0.74, bottom: 0.22 };

function inkAt(ink: InkMetrics | undefined, weight: number, size: number): Cut['ink'] {
  if (!ink) return (side) => USUAL_INK[side];
  const blend = blendAt(ink.weights, ink.sizes, weight, size);
  return (side, sign) => {
    const listed = ink[side][sign];
    return listed ? blend(listed) / 1000 : USUAL_INK[side];
  };
}

/** Signs that stand to others as a sign of ASCII does. */
const LIKE = new Map([...'‘’“”–—…'].map((sign, index) => [sign, `''""--.`[index] ?? '']));

/** Where a letter stands in tables that list the signs of ASCII from ! on; one with an accent as without. */
export function signOf(letter: string): number {
  const code = letter.charCodeAt(0);
  const plain = code < 0x80 ? letter : (LIKE.get(letter) ?? letter.normalize('NFD'));
  return plain.charCodeAt(0) - 0x21;
}

export function letterWidth(letter: string, cut: Cut): number {
  let width = cut.letters.get(letter);
  if (width === undefined) cut.letters.set(letter, (width = findWidth(letter, cut)));
  return width;
}

/** Marks that are set over what stands before them, and signs that only say how another is to be set. */
const WITHOUT_WIDTH = /^[\p{M}\p{Cf}]$/u;
/** Letters and signs that fill a square. */
const SQUARE =
  /^[\u1100-\u115f\u2e80-\u303e\u3041-\ua4cf\uac00-\ud7a3\uf900-\ufaff\ufe30-\ufe6f\uff00-\uff60\uffe0-\uffe6\u{20000}-\u{3fffd}]$/u;
/** Pictures among letters: a little more than a square, on every system. */
const PICTURE = /^[\u{1f000}-\u{1faff}]$/u;

function findWidth(letter: string, cut: Cut): number {
  const own = widthsIn(cut.metrics, letter);
  if (own) return cut.advance(own);
  if (WITHOUT_WIDTH.test(letter)) return 0;
  const { fallback } = cut.book;
  const other = fallback && widthsIn(fallback, letter);
  if (fallback && other) return blendAt(fallback.weights, undefined, cut.weight, 0)(other);
  if (SQUARE.test(letter)) return 1;
  if (PICTURE.test(letter)) return 1.4;
  cut.book.wantsFallback ||= fallback === null;
  // Whatever stands there will find room.
  return cut.advance(widthsIn(cut.metrics, 'm') ?? [0.9]);
}

function widthsIn({ advances, lacks = '' }: ShippedMetrics, letter: string): readonly number[] | undefined {
  const found = lookUp(advances, letter);
  if (found || letter.charCodeAt(0) <= 0x7f || lacks.includes(letter)) return found;
  return lookUp(advances, letter.normalize('NFD')[0] ?? '');
}
