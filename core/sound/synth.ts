import { createRandom } from '../sources/noise.ts';
import { pieces, type PieceId } from '../sources/sound/pieces.ts';

/** Samples a second. */
export const PIECE_RATE = 32_000;

/** What a piece is made with: samples of one channel that voices are added to. */
interface Canvas {
  samples: Float32Array;
  random: () => number;
  seconds: number;
}

const TAU = 2 * Math.PI;

/** Samples for which loudness and frequency are taken as moving evenly. */
const STRETCH = 16;

/** Adds a tone with a swell and a fall; frequency and loudness may move with the time since its start (s). */
function tone(
  { samples }: Canvas,
  start: number,
  length: number,
  hz: number | ((t: number) => number),
  loud: (t: number) => number,
): void {
  const from = Math.max(0, Math.round(start * PIECE_RATE));
  const to = Math.min(samples.length, Math.round((start + length) * PIECE_RATE));
  const hzAt = typeof hz === 'number' ? () => hz : hz;
  // A turn of the plane for each sample, in the place of a sine worked out anew.
  let [re, im] = [1, 0];
  let strength = loud(0);
  for (let at = from; at < to; at += STRETCH) {
    const t = (at - from) / PIECE_RATE;
    const angle = (TAU * hzAt(t)) / PIECE_RATE;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const next = loud(t + STRETCH / PIECE_RATE);
    const step = (next - strength) / STRETCH;
    const end = Math.min(to, at + STRETCH);
    for (let index = at; index < end; index++) {
      const turned = re * cos - im * sin;
      im = re * sin + im * cos;
      re = turned;
      strength += step;
      samples[index] = (samples[index] ?? 0) + im * strength;
    }
    strength = next;
  }
}

/** Adds noise through a low pass and a high pass whose corner (Hz) and loudness move over the piece. */
function noise(
  { samples, random }: Canvas,
  corner: (t: number) => number,
  loud: (t: number) => number,
): void {
  let [low, lower, lowest] = [0, 0, 0];
  let share = 0;
  let strength = 0;
  for (let at = 0; at < samples.length; at++) {
    // What moves slowly is looked at a thousand times a second.
    if (at % 32 === 0) {
      const t = at / PIECE_RATE;
      share = 1 - Math.exp((-TAU * corner(t)) / PIECE_RATE);
      strength = loud(t);
    }
    low += share * (random() * 2 - 1 - low);
    lower += share * (low - lower);
    lowest += 0.01 * (lower - lowest);
    samples[at] = (samples[at] ?? 0) + (lower - lowest) * strength;
  }
}

/** Up in `rise` s, then falling to a third in `fall` s. */
const struck =
  (loud: number, fall: number, rise = 0.004) =>
  (t: number) =>
    loud * Math.min(1, t / rise) * Math.exp(-t / fall);
/** Swells to the middle of its length and goes again. */
const swell = (loud: number, length: number) => (t: number) =>
  loud * Math.sin(Math.PI * Math.min(1, t / length)) ** 2;

/** Just fifths and thirds over a low D. */
const NOTES = [73.42, 110, 146.83, 164.81, 220, 246.94, 293.66, 329.63, 440, 493.88, 587.33] as const;
const note = (index: number) => NOTES[((index % NOTES.length) + NOTES.length) % NOTES.length] ?? 220;

/** A chord that swells and goes, softly beating with itself. */
function pad(canvas: Canvas, start: number, length: number, degrees: readonly number[], loud: number): void {
  for (const degree of degrees) {
    const hz = note(degree);
    for (const [detune, share] of [
      [0.9975, 0.5],
      [1.0025, 0.5],
      [2.001, 0.16],
    ] as const)
      tone(canvas, start, length, hz * detune, swell(loud * share, length));
  }
}

/** A bell: partials that are no multiples of one another, the higher the shorter. */
function bell(canvas: Canvas, start: number, hz: number, loud: number): void {
  for (const [ratio, share, fall] of [
    [0.5, 0.5, 4.2],
    [1, 1, 3],
    [1.19, 0.55, 2.2],
    [1.5, 0.35, 1.6],
    [2, 0.4, 1.2],
    [2.67, 0.2, 0.7],
    [4.1, 0.12, 0.35],
  ] as const)
    tone(canvas, start, fall * 3, hz * ratio, struck(loud * share, fall));
}

/** A rising cry of a wader, with a bubble at its end. */
function cry(canvas: Canvas, start: number, hz: number, loud: number): void {
  const rise = (t: number) => hz * (1 + 0.45 * Math.min(1, t / 0.55) ** 2);
  tone(canvas, start, 0.62, rise, swell(loud, 0.62));
  tone(canvas, start, 0.62, (t) => 2 * rise(t), swell(loud * 0.16, 0.62));
  for (let bubble = 0; bubble < 5; bubble++)
    tone(
      canvas,
      start + 0.66 + bubble * 0.11,
      0.1,
      (t) => hz * (1.5 - t),
      swell(loud * (0.8 - bubble * 0.13), 0.1),
    );
}

/** A goose: a hoarse double call. */
function honk(canvas: Canvas, start: number, hz: number, loud: number): void {
  for (const [at, ratio, length] of [
    [0, 1, 0.16],
    [0.19, 1.32, 0.26],
  ] as const)
    for (let partial = 1; partial <= 6; partial++)
      tone(
        canvas,
        start + at,
        length,
        (t) => hz * ratio * partial * (1 + 0.03 * Math.sin(TAU * 31 * t) - 0.25 * t),
        swell((loud * (partial === 3 ? 0.9 : 0.5)) / partial, length),
      );
}

/** Waves that come in one after another, each its own length. */
function waves({ random, seconds }: Canvas, mean: number): (t: number) => number {
  const starts: { at: number; length: number; high: number }[] = [];
  for (let at = -mean; at < seconds; at += mean * (0.7 + 0.6 * random()))
    starts.push({ at, length: mean * (1.1 + 0.5 * random()), high: 0.5 + 0.5 * random() });
  return (t) => {
    let sum = 0;
    for (const { at, length, high } of starts) {
      const within = (t - at) / length;
      if (within > 0 && within < 1) sum += high * within ** 1.6 * (1 - within) * 3.2;
    }
    return sum;
  };
}

const makers: Record<PieceId, (canvas: Canvas) => void> = {
  surf(canvas) {
    const wave = waves(canvas, 7.5);
    noise(
      canvas,
      (t) => 260 + 2600 * wave(t),
      (t) => 0.35 + 2.6 * wave(t),
    );
    for (let at = 2; at < canvas.seconds - 9; at += 9) pad(canvas, at, 10, [0, 1, 3 + (at % 3)], 0.07);
    for (let at = 6; at < canvas.seconds - 3; at += 6.5)
      bell(canvas, at, note(8 + (Math.round(at) % 3)), 0.035);
  },
  calls(canvas) {
    const { random, seconds } = canvas;
    noise(
      canvas,
      (t) => 500 + 250 * Math.sin(t / 3),
      () => 0.3,
    );
    for (let at = 0; at < seconds - 8; at += 7) pad(canvas, at, 9, [1, 2 + (at % 2), 4], 0.05);
    for (let at = 1.2; at < seconds - 2; at += 1.6 + 2.4 * random())
      cry(canvas, at, 980 * ([1, 1.125, 0.89][Math.floor(random() * 3)] ?? 1), 0.1 + 0.12 * random());
  },
  bells(canvas) {
    const { random, seconds } = canvas;
    const wave = waves(canvas, 6);
    noise(
      canvas,
      (t) => 200 + 700 * wave(t),
      (t) => 0.2 + 0.9 * wave(t),
    );
    // Three buoys, each with a swing of its own.
    for (const [hz, every, loud] of [
      [220, 4.1, 0.2],
      [329.63, 5.3, 0.14],
      [493.88, 6.7, 0.09],
    ] as const)
      for (let at = 0.4 + random(); at < seconds - 3; at += every * (0.86 + 0.28 * random())) {
        bell(canvas, at, hz, loud);
        if (random() < 0.4) bell(canvas, at + 0.42, hz, loud * 0.5);
      }
  },
  reeds(canvas) {
    const { random, seconds } = canvas;
    const gust = waves(canvas, 5);
    noise(
      canvas,
      (t) => 1800 + 2600 * gust(t),
      (t) => 0.12 + 1.1 * gust(t),
    );
    for (let at = 0.5; at < seconds - 7; at += 6) pad(canvas, at, 8, [0, 4, 6], 0.06);
    // The first drops.
    for (let at = seconds * 0.4; at < seconds; at += 0.05 + 0.7 * random() * (1.2 - at / seconds))
      tone(canvas, at, 0.06, (t) => 1500 + 1200 * random() - 5000 * t, struck(0.05, 0.02, 0.001));
  },
  geese(canvas) {
    const { random, seconds } = canvas;
    noise(
      canvas,
      () => 420,
      () => 0.25,
    );
    for (let at = 0; at < seconds - 9; at += 8) pad(canvas, at, 10, [0, 2, 5], 0.07);
    for (let at = 0.8; at < seconds - 1; at += 0.25 + 0.75 * random()) {
      // A skein that comes over and goes on.
      const near = Math.sin((Math.PI * at) / seconds) ** 2;
      honk(canvas, at, 330 * (0.92 + 0.3 * random()), 0.05 + 0.17 * near * random());
    }
  },
  lamp(canvas) {
    const { seconds } = canvas;
    for (const [hz, loud] of [
      [55, 0.1],
      [110, 0.13],
      [165, 0.04],
      [220, 0.05],
    ] as const)
      tone(
        canvas,
        0,
        seconds,
        hz,
        (t) => loud * Math.min(1, t / 2, (seconds - t) / 2) * (1 + 0.2 * Math.sin(TAU * t * 0.25)),
      );
    // The lens goes round: a sweep every eight seconds, and a click of its wheel.
    for (let at = 0; at < seconds - 8; at += 8) {
      pad(canvas, at, 8, [4, 6, 8 + ((at / 8) % 2)], 0.06);
      for (let tooth = 0; tooth < 8; tooth++)
        tone(canvas, at + tooth, 0.05, 2400, struck(0.05, 0.012, 0.001));
    }
    noise(
      canvas,
      () => 300,
      () => 0.12,
    );
  },
};

const SEEDS: Record<PieceId, number> = { surf: 11, calls: 23, bells: 37, reeds: 41, geese: 53, lamp: 67 };
/** The loudest sample of a piece. */
const PEAK = 0.82;

/** A piece as samples from -1 to 1 in one channel: the same ones, wherever it is made. */
export function synthesize(piece: PieceId): Float32Array {
  const { seconds } = pieces[piece];
  const samples = new Float32Array(seconds * PIECE_RATE);
  makers[piece]({ samples, random: createRandom(SEEDS[piece]), seconds });
  let most = 0;
  for (const sample of samples) most = Math.max(most, Math.abs(sample));
  const edge = 0.4 * PIECE_RATE;
  for (let at = 0; at < samples.length; at++) {
    const fade = Math.min(1, at / edge, (samples.length - 1 - at) / edge);
    samples[at] = ((samples[at] ?? 0) * PEAK * fade) / (most || 1);
  }
  return samples;
}

/** Samples as a WAV file of 16 bits in one channel. */
export function toWav(samples: Float32Array, rate = PIECE_RATE): Uint8Array {
  const bytes = new Uint8Array(44 + samples.length * 2);
  const view = new DataView(bytes.buffer);
  const text = (at: number, words: string) => {
    for (let index = 0; index < words.length; index++) view.setUint8(at + index, words.charCodeAt(index));
  };
  text(0, 'RIFF');
  view.setUint32(4, bytes.length - 8, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, samples.length * 2, true);
  samples.forEach((sample, index) => view.setInt16(44 + index * 2, Math.round(sample * 32_767), true));
  return bytes;
}
