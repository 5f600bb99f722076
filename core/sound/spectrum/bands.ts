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
 * The level of each band in dB, 0 for a tone at full scale: the power of the bins within it, or the highest that the
 * curve through them comes to there, whichever is more. So a tone is as high in a narrow band as in a wide one.
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
    const value = Math.max(
      highest(power, from, to, bins),
      to - from < 3 ? 0 : within(power, from, to, bins) / spread,
    );
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

/**
 * The curve through the bins in the middle of a stretch; or its crests, where some lie within. A crest belongs to one
 * stretch alone.
 */
function highest(power: ArrayLike<number>, from: number, to: number, bins: number): number {
  let most = onCurve(power, (from + to) / 2, bins);
  const [first, last] = [Math.max(1, Math.ceil(from - 0.5)), Math.min(bins - 2, Math.floor(to + 0.5))];
  for (let bin = first; bin <= last; bin++) {
    const here = power[bin] ?? 0;
    const [before, after] = [power[bin - 1] ?? 0, power[bin + 1] ?? 0];
    if (here <= most * 0.5 || here < before || here < after) continue;
    const at = bin + crestBeside(before, here, after);
    if (at >= from && at < to) most = Math.max(most, onCurve(power, at, bins));
  }
  return most;
}

/** How far from a bin the crest of the parabola through it and its neighbours lies (all in dB). */
function crestBeside(...three: [number, number, number]): number {
  const [before, here, after] = three.map((value) => Math.log(Math.max(1e-12, value))) as [
    number,
    number,
    number,
  ];
  const bend = before - 2 * here + after;
  return bend < 0 ? Math.min(0.499, Math.max(-0.499, (before - after) / (2 * bend))) : 0;
}

/** By how much a bin beside a crest can lie under it (14 dB, as the logarithm of power): less is a hollow of its own. */
const DEEPEST = 3.2;

/**
 * The power at a place between bins: a parabola through the three nearest, in dB. A hollow right beside a crest, as low
 * tones have it, would make the parabola rise over what is there.
 */
function onCurve(power: ArrayLike<number>, at: number, bins: number): number {
  const bin = Math.min(bins - 2, Math.max(1, Math.round(at)));
  const log = (index: number) => Math.log(Math.max(1e-12, power[index] ?? 0));
  const here = log(bin);
  const [before, after] = [bin - 1, bin + 1].map((index) => Math.max(log(index), here - DEEPEST)) as [
    number,
    number,
  ];
  const x = Math.min(1, Math.max(-1, at - bin));
  const bend = (before + after) / 2 - here;
  const lean = (after - before) / 2;
  return Math.exp(Math.min(0.5, here + lean * x + bend * x * x));
}
