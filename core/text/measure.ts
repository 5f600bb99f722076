import type { FontMetrics, FontUse } from './schema.ts';
import { isOwn, type ShippedFamily } from '../values/family.ts';
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
  kerning?: {
    weights: readonly number[];
    sizes?: readonly number[];
    /** The class of each sign of ASCII from ! on, where it stands on the left and on the right of a pair. */
    left: readonly number[];
    right: readonly number[];
    /** One for each weight and, within it, each size. */
    tables: readonly (readonly (readonly number[])[])[];
  };
}

/** A font as the desk uses it, with the widths of one's own family. */
export type DeskFont = FontUse & { metrics: FontMetrics | null };

/** How a run of text is set, before the desk's own size, weight and spacing come to it. `spacing` is in em. */
export interface TextStyle {
  font: DeskFont;
  size: number;
  weight: number;
  spacing?: number;
}

/** Widths of the shipped families; each is learned when a desk needs it (see families.ts). */
const shipped = new Map<ShippedFamily, ShippedMetrics>([['figtree', figtree]]);
/** What the page falls back to where a family lacks a letter or a sign. */
let fallback: ShippedMetrics | null = null;
let isFallbackWanted = false;

export function learnFamily(family: ShippedFamily, metrics: ShippedMetrics): void {
  shipped.set(family, metrics);
}

export function knowsFamily(family: ShippedFamily): boolean {
  return shipped.has(family);
}

export function learnFallback(metrics: ShippedMetrics): void {
  fallback = metrics;
  isFallbackWanted = false;
  // What was measured without it is measured again.
  cuts = new WeakMap();
}

/** Whether a letter was met that no known family has, before the fallback was learned. */
export function wantsFallback(): boolean {
  return isFallbackWanted;
}

function metricsOf({ family, metrics }: DeskFont): ShippedMetrics {
  return metrics ?? (isOwn(family) ? undefined : shipped.get(family)) ?? figtree;
}

/** Where a value falls among those that were measured: the index below, and how far to the next. */
function between(measured: readonly number[], value: number): [number, number] {
  let index = 0;
  while (index < measured.length - 2 && value > (measured[index + 1] ?? Infinity)) index++;
  const low = measured[index] ?? value;
  const high = measured[index + 1] ?? low;
  return [index, high === low ? 0 : Math.max(0, Math.min(1, (value - low) / (high - low)))];
}

/** What a style comes to under the desk's font: px, weight, and letter spacing in em. */
export function setStyle({ font, size, weight, spacing = 0 }: TextStyle): {
  size: number;
  weight: number;
  spacing: number;
} {
  return {
    size: (size * font.size) / 100,
    weight: Math.max(1, Math.min(1000, weight + font.weight)),
    spacing: spacing + font.spacing / 100,
  };
}

/**
 * Width in px of one line as the page sets it: at the optical size that belongs to its size, with kerning, and in what
 * the page falls back to where the family lacks a letter. Within 2 % of the page in every shipped family.
 */
export function textWidth(text: string, style: TextStyle): number {
  const { size, weight, spacing } = setStyle(style);
  const cut = cutOf(metricsOf(style.font), weight, size);
  return (emWidth(text, cut) + spacing * text.length) * size;
}

/** The same with every figure as wide as the widest: room in which a time or a reading can change. */
export function steadyWidth(text: string, style: TextStyle): number {
  const { size, weight, spacing } = setStyle(style);
  const cut = cutOf(metricsOf(style.font), weight, size);
  let steady = cut.steady.get(text);
  if (steady === undefined) {
    if (cut.steady.size >= MOST_TEXTS) cut.steady.clear();
    cut.steady.set(text, (steady = emWidth(text.replace(/\d/g, cut.widestFigure), cut)));
  }
  return (steady + spacing * text.length) * size;
}

/** A family at one weight and size. */
interface Cut {
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
  /** Thousandths of an em by which two letters stand further apart, by their places among the signs of ASCII. */
  kern(before: number, after: number): number;
}

let cuts = new WeakMap<ShippedMetrics, Map<number, Cut>>();
const MOST_TEXTS = 2000;
const MOST_CUTS = 200;

function cutOf(metrics: ShippedMetrics, weight: number, size: number): Cut {
  let known = cuts.get(metrics);
  if (!known) cuts.set(metrics, (known = new Map()));
  // Only some families change with their size.
  const key = metrics.sizes ? weight * 65536 + size : weight;
  let cut = known.get(key);
  if (!cut) {
    if (known.size >= MOST_CUTS) known.clear();
    known.set(key, (cut = makeCut(metrics, weight, size)));
  }
  return cut;
}

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

function makeCut(metrics: ShippedMetrics, weight: number, size: number): Cut {
  const cut: Cut = {
    metrics,
    weight,
    widestFigure: '0',
    letters: new Map(),
    texts: new Map(),
    steady: new Map(),
    advance: blendAt(metrics.weights, metrics.sizes, weight, size),
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

function emWidth(text: string, cut: Cut): number {
  let width = cut.texts.get(text);
  if (width === undefined) {
    if (cut.texts.size >= MOST_TEXTS) cut.texts.clear();
    width = addAdvances(text, cut);
    cut.texts.set(text, width);
  }
  return width;
}

function addAdvances(text: string, cut: Cut): number {
  const isKerned = cut.metrics.kerning !== undefined;
  let em = 0;
  let before = -1;
  for (const letter of text.normalize('NFC')) {
    em += letterWidth(letter, cut);
    if (!isKerned) continue;
    const here = kerningIndex(letter);
    em += cut.kern(before, here) / 1000;
    before = here;
  }
  return em;
}

/** Signs that stand to others as a sign of ASCII does. */
const LIKE = new Map([...'‘’“”–—…'].map((sign, index) => [sign, `''""--.`[index] ?? '']));

/** Where a letter stands in the tables of kerning, which list the signs of ASCII; one with an accent as without. */
function kerningIndex(letter: string): number {
  const code = letter.charCodeAt(0);
  const plain = code < 0x80 ? letter : (LIKE.get(letter) ?? letter.normalize('NFD'));
  return plain.charCodeAt(0) - 0x21;
}

function letterWidth(letter: string, cut: Cut): number {
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
  const other = fallback && widthsIn(fallback, letter);
  if (fallback && other) return blendAt(fallback.weights, undefined, cut.weight, 0)(other);
  if (SQUARE.test(letter)) return 1;
  if (PICTURE.test(letter)) return 1.4;
  isFallbackWanted ||= fallback === null;
  // Whatever stands there will find room.
  return cut.advance(widthsIn(cut.metrics, 'm') ?? [0.9]);
}

function widthsIn({ advances }: ShippedMetrics, letter: string): readonly number[] | undefined {
  const found = lookUp(advances, letter);
  // A letter with an accent that is not listed is as wide as the letter alone.
  return (
    found ?? (letter.charCodeAt(0) > 0x7f ? lookUp(advances, letter.normalize('NFD')[0] ?? '') : undefined)
  );
}
