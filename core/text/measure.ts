import metrics from './metrics.json' with { type: 'json' };
import type { Family } from '../desk/values.ts';

/** How a run of text is set. `spacing` is letter spacing in em. */
export interface TextStyle {
  family: Family;
  size: number;
  weight: number;
  spacing?: number;
}

interface FontMetrics {
  weights: number[];
  advances: Record<string, number[]>;
}

const fonts: Record<Family, FontMetrics> = metrics;

/** Where `weight` falls among the measured weights: the index below, and how far to the next. */
function between(weights: number[], weight: number): [number, number] {
  let index = 0;
  while (index < weights.length - 2 && weight > (weights[index + 1] ?? Infinity)) index++;
  const low = weights[index] ?? weight;
  const high = weights[index + 1] ?? low;
  return [index, high === low ? 0 : Math.max(0, Math.min(1, (weight - low) / (high - low)))];
}

/**
 * Width in px of one line as the shipped fonts set it, without kerning. Characters outside Latin-1 count as
 * wide as an m, which errs toward room to spare.
 */
export function textWidth(text: string, { family, size, weight, spacing = 0 }: TextStyle): number {
  return (emWidth(text, family, weight) + spacing * text.length) * size;
}

/** Widths in em that were worked out before, by family and weight; the same few texts are asked for again and again. */
const known: Record<Family, Map<number, Map<string, number>>> = {
  fraunces: new Map(),
  figtree: new Map(),
  'spline-sans-mono': new Map(),
};
const MOST_KNOWN = 2000;

function emWidth(text: string, family: Family, weight: number): number {
  let widths = known[family].get(weight);
  if (!widths) known[family].set(weight, (widths = new Map()));
  let width = widths.get(text);
  if (width === undefined) {
    if (widths.size >= MOST_KNOWN) widths.clear();
    width = addAdvances(text, fonts[family], weight);
    widths.set(text, width);
  }
  return width;
}

function addAdvances(text: string, font: FontMetrics, weight: number): number {
  const [index, part] = between(font.weights, weight);
  let em = 0;
  for (const character of text) {
    // Figures keep their place while they change: every digit counts as the widest, the nought.
    const widths =
      font.advances[character >= '0' && character <= '9' ? '0' : character] ?? font.advances['m'];
    const low = widths?.[index] ?? 0;
    em += low + ((widths?.[index + 1] ?? low) - low) * part;
  }
  return em;
}
