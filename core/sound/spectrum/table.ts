import { FLOOR } from './bands.ts';
import { LOOK, powerMeter } from './power.ts';
import type { WindowName } from './settings.ts';

/** A piece's power over time, small enough to be kept: one byte a bin, in steps of half a dB. */
export interface PowerTable {
  /** Looks a second. */
  looks: number;
  rate: number;
  spread: number;
  bins: number;
  frames: Uint8Array;
}

export const LOOKS = 20;
const STEPS_A_DB = 2;

/** dB by byte, as power. */
const powers = Float64Array.from({ length: 256 }, (_, byte) =>
  byte === 0 ? 0 : 10 ** ((byte / STEPS_A_DB + FLOOR) / 10),
);

/** Looks at samples (one channel, -1 to 1) twenty times a second. */
export function tableOf(samples: Float32Array, rate: number, window: WindowName): PowerTable {
  const meter = powerMeter(window);
  const bins = LOOK / 2;
  const count = Math.max(1, Math.ceil((samples.length / rate) * LOOKS));
  const frames = new Uint8Array(count * bins);
  const power = new Float64Array(bins);
  for (let look = 0; look < count; look++) {
    // The look's middle is its moment.
    meter.measure(samples, Math.round((look / LOOKS) * rate - LOOK / 2), power);
    for (let bin = 0; bin < bins; bin++) {
      const db = 10 * Math.log10(Math.max(1e-12, power[bin] ?? 0));
      frames[look * bins + bin] = Math.max(0, Math.min(255, Math.round((db - FLOOR) * STEPS_A_DB)));
    }
  }
  return { looks: LOOKS, rate, spread: meter.spread, bins, frames };
}

/** The power at a place in the piece, s. */
export function powerAt(
  { looks, bins, frames }: PowerTable,
  position: number,
  into: Float64Array,
): Float64Array {
  const count = frames.length / bins;
  const look = Math.min(count - 1, Math.max(0, Math.round(position * looks)));
  for (let bin = 0; bin < bins; bin++) into[bin] = powers[frames[look * bins + bin] ?? 0] ?? 0;
  return into;
}

/** How loud a piece is along its length: so many values from 0 to 1, the loudest 1. */
export function waveOf(samples: Float32Array, count: number): Float32Array {
  const wave = new Float32Array(count);
  const each = samples.length / count;
  for (let index = 0; index < count; index++) {
    let sum = 0;
    const [from, to] = [Math.floor(index * each), Math.max(Math.floor((index + 1) * each), index + 1)];
    // Every fourth tells as much as all of them.
    for (let at = from; at < to; at += 4) sum += (samples[at] ?? 0) ** 2;
    wave[index] = Math.sqrt((4 * sum) / Math.max(1, to - from));
  }
  const most = wave.reduce((high, value) => Math.max(high, value), 0);
  return most > 0 ? wave.map((value) => value / most) : wave;
}
