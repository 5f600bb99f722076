import { LOOK } from './power.ts';
import type { SpectrumSettings } from './settings.ts';

export type RangeSettings = Pick<SpectrumSettings, 'bands' | 'low' | 'high' | 'scale'>;

/** Steps that are even on a scale: the frequency as the scale counts it, and back. */
const scales: Record<SpectrumSettings['scale'], { to(hz: number): number; from(step: number): number }> = {
  linear: { to: (hz) => hz, from: (step) => step },
  logarithmic: { to: Math.log2, from: (step) => 2 ** step },
  // O'Shaughnessy's mel.
  mel: { to: (hz) => 2595 * Math.log10(1 + hz / 700), from: (step) => 700 * (10 ** (step / 2595) - 1) },
};

/** Where bands meet, Hz: one more than there are. A range that ends before it begins is one octave. */
export function bandEdges({ bands, low, high, scale }: RangeSettings): Float64Array {
  const { to, from } = scales[scale];
  const [start, end] = [to(low), to(Math.max(high, low * 2))];
  return Float64Array.from({ length: bands + 1 }, (_, index) =>
    from(start + ((end - start) * index) / bands),
  );
}

/** dB under which everything is silence. */
export const FLOOR = -96;

/**
 * The level of each band in dB, 0 for a tone at full scale: the power of the bins within it. A band narrower than its
 * bins is read off the curve through them, so that a tone is highest in its own.
 */
export function bandLevels(
  power: ArrayLike<number>,
  { rate, spread, edges, tilt }: { rate: number; spread: number; edges: Float64Array; tilt: number },
  into: Float64Array,
): Float64Array {
  const wide = rate / LOOK;
  const bins = power.length;
  for (let band = 0; band < edges.length - 1; band++) {
    const [low, high] = [edges[band] ?? 0, edges[band + 1] ?? 0];
    const [from, to] = [low / wide, high / wide];
    const middle = Math.sqrt(Math.max(1, low * high));
    const value =
      to - from < 3 ? onCurve(power, (from + to) / 2, bins) : within(power, from, to, bins) / spread;
    const level = value > 0 ? 10 * Math.log10(value) : FLOOR;
    into[band] = Math.max(FLOOR, level + tilt * Math.log2(middle / 1000));
  }
  return into;
}

/** The power between two places on the axis of bins; a bin reaches half to each side. */
function within(power: ArrayLike<number>, from: number, to: number, bins: number): number {
  let sum = 0;
  const [first, last] = [Math.max(0, Math.round(from)), Math.min(bins - 1, Math.round(to))];
  for (let bin = first; bin <= last; bin++) {
    const share = Math.min(to, bin + 0.5) - Math.max(from, bin - 0.5);
    if (share > 0) sum += (power[bin] ?? 0) * Math.min(1, share);
  }
  return sum;
}

/** The power at a place between bins: a parabola through the three nearest, in dB. */
function onCurve(power: ArrayLike<number>, at: number, bins: number): number {
  const bin = Math.min(bins - 2, Math.max(1, Math.round(at)));
  const log = (index: number) => Math.log(Math.max(1e-12, power[index] ?? 0));
  const [before, here, after] = [log(bin - 1), log(bin), log(bin + 1)];
  const x = Math.min(1, Math.max(-1, at - bin));
  const bend = (before + after) / 2 - here;
  const lean = (after - before) / 2;
  return Math.exp(Math.min(0.5, here + lean * x + bend * x * x));
}
