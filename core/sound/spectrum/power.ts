import FFT from 'fft.js';
import type { WindowName } from './settings.ts';

/** Samples that one look takes. */
export const LOOK = 4096;

/** Coefficients of the cosine windows: a0 - a1 cos + a2 cos 2. */
const cosines: Record<WindowName, readonly [number, number, number]> = {
  none: [1, 0, 0],
  hann: [0.5, 0.5, 0],
  hamming: [0.54, 0.46, 0],
  blackman: [0.42, 0.5, 0.08],
};

/** Turns samples into the power of each of LOOK / 2 bins; a sine at full scale comes to 1 in its bin. */
export interface PowerMeter {
  /** `samples` are at least LOOK from `from` on; what lies outside of them is silence. */
  measure(samples: ArrayLike<number>, from: number, into: Float64Array): Float64Array;
  /** How many bins' worth of power a tone comes to, summed over its bins (the equivalent noise bandwidth). */
  spread: number;
}

const meters = new Map<WindowName, PowerMeter>();

export function powerMeter(name: WindowName): PowerMeter {
  const known = meters.get(name);
  if (known) return known;
  const fft = new FFT(LOOK);
  const [a0, a1, a2] = cosines[name];
  const window = Float64Array.from({ length: LOOK }, (_, index) => {
    const angle = (2 * Math.PI * index) / LOOK;
    return a0 - a1 * Math.cos(angle) + a2 * Math.cos(2 * angle);
  });
  const cut = new Array<number>(LOOK).fill(0);
  const spectrum = fft.createComplexArray() as number[];
  const scale = 2 / (a0 * LOOK);
  const meter: PowerMeter = {
    measure(samples, from, into) {
      for (let index = 0; index < LOOK; index++)
        cut[index] = (samples[from + index] ?? 0) * (window[index] ?? 0) * scale;
      fft.realTransform(spectrum, cut);
      for (let bin = 0; bin < LOOK / 2; bin++) {
        const [re, im] = [spectrum[2 * bin] ?? 0, spectrum[2 * bin + 1] ?? 0];
        into[bin] = re * re + im * im;
      }
      return into;
    },
    spread: 1 + 0.5 * (a1 / a0) ** 2 + 0.5 * (a2 / a0) ** 2,
  };
  meters.set(name, meter);
  return meter;
}
