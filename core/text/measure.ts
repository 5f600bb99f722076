import type { FontMetrics, FontUse } from '../desk/look-schema.ts';
import { isOwn, type ShippedFamily } from '../desk/values.ts';
import figtree from './metrics/figtree.json' with { type: 'json' };

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
const shipped = new Map<ShippedFamily, FontMetrics>([['figtree', figtree]]);

export function learnFamily(family: ShippedFamily, metrics: FontMetrics): void {
  shipped.set(family, metrics);
}

export function knowsFamily(family: ShippedFamily): boolean {
  return shipped.has(family);
}

function metricsOf({ family, metrics }: DeskFont): FontMetrics {
  return metrics ?? (isOwn(family) ? undefined : shipped.get(family)) ?? figtree;
}

/** Where `weight` falls among the measured weights: the index below, and how far to the next. */
function between(weights: readonly number[], weight: number): [number, number] {
  let index = 0;
  while (index < weights.length - 2 && weight > (weights[index + 1] ?? Infinity)) index++;
  const low = weights[index] ?? weight;
  const high = weights[index + 1] ?? low;
  return [index, high === low ? 0 : Math.max(0, Math.min(1, (weight - low) / (high - low)))];
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
 * Width in px of one line as the fonts set it, without kerning. Characters outside Latin-1 count as wide as an m,
 * which errs toward room to spare.
 */
export function textWidth(text: string, style: TextStyle): number {
  const { size, weight, spacing } = setStyle(style);
  return (emWidth(text, metricsOf(style.font), weight) + spacing * text.length) * size;
}

/** Widths in em that were worked out before, by font and weight; the same few texts are asked for again and again. */
const known = new WeakMap<FontMetrics, Map<number, Map<string, number>>>();
const MOST_KNOWN = 2000;

function emWidth(text: string, font: FontMetrics, weight: number): number {
  let byWeight = known.get(font);
  if (!byWeight) known.set(font, (byWeight = new Map()));
  let widths = byWeight.get(weight);
  if (!widths) byWeight.set(weight, (widths = new Map()));
  let width = widths.get(text);
  if (width === undefined) {
    if (widths.size >= MOST_KNOWN) widths.clear();
    width = addAdvances(text, font, weight);
    widths.set(text, width);
  }
  return width;
}

function addAdvances(text: string, font: FontMetrics, weight: number): number {
  const [index, part] = between(font.weights, weight);
  let em = 0;
  const advances: Readonly<Record<string, number[] | undefined>> = font.advances;
  for (const character of text) {
    // Figures keep their place while they change: every digit counts as the widest, the nought.
    const widths = advances[character >= '0' && character <= '9' ? '0' : character] ?? advances['m'];
    const low = widths?.[index] ?? 0;
    em += low + ((widths?.[index + 1] ?? low) - low) * part;
  }
  return em;
}
