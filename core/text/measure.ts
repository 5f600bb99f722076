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
  ascent: number;
  descent: number;
  capHeight: number;
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

/** Widest digit: figures keep their place while they change, so every digit counts as this. */
const DIGIT = /[0-9]/;

/**
 * Width in px of one line as the shipped fonts set it, without kerning. Characters outside Latin-1 count as
 * wide as an m, which errs toward room to spare.
 */
export function textWidth(text: string, { family, size, weight, spacing = 0 }: TextStyle): number {
  const font = fonts[family];
  const [index, part] = between(font.weights, weight);
  let em = 0;
  for (const character of text) {
    const name = DIGIT.test(character) ? '0' : character;
    const widths = font.advances[name] ?? font.advances['m'];
    const low = widths?.[index] ?? 0;
    em += low + ((widths?.[index + 1] ?? low) - low) * part + spacing;
  }
  return em * size;
}

/** Height of digits and capitals in px. */
export function capHeight({ family, size }: TextStyle): number {
  return fonts[family].capHeight * size;
}
