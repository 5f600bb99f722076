import { extractColorsFromImageData } from 'extract-colors';
import { Bench } from 'tinybench';
import { deltaE } from '../core/values/colour.ts';
import { extractPalette, type Pixels } from '../core/colour/extract.ts';
import { createRandom } from '../core/sources/noise.ts';
import { kMeansInOklab } from './k-means.ts';
import type { Row } from './row.ts';

const WIDTH = 1920;
const HEIGHT = 1080;

interface Made {
  name: string;
  pixels: Pixels;
  colours: string[];
  accent: string | null;
}

const grounds: [string, string, string, string][] = [
  ['#1d2733', '#38506b', '#7a93a8', '#e2673a'],
  ['#f0e6d6', '#cdb79c', '#8f7a63', '#1f7a8c'],
  ['#2b1b2e', '#5b3a5e', '#a06a8c', '#f2c14e'],
  ['#dfe8e2', '#9fb8a8', '#54796a', '#c8324f'],
];

function channels(colour: string): [number, number, number] {
  const value = parseInt(colour.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

/** Areas of known colours in bands, with noise of so many steps, and a small square of the accent. */
function banded(name: string, colours: string[], accent: string | null, noise: number, seed: number): Made {
  const data = new Uint8Array(WIDTH * HEIGHT * 4);
  const random = createRandom(seed);
  const bands = colours.map(channels);
  for (let y = 0; y < HEIGHT; y++) {
    const band = bands[Math.min(bands.length - 1, Math.floor((y / HEIGHT) * bands.length))] ?? [0, 0, 0];
    for (let x = 0; x < WIDTH; x++) {
      const isAccent = accent !== null && x > 900 && x < 1030 && y > 300 && y < 430;
      const [r, g, b] = isAccent ? channels(accent) : band;
      const at = (y * WIDTH + x) * 4;
      data[at] = clamp(r + (random() - 0.5) * 2 * noise);
      data[at + 1] = clamp(g + (random() - 0.5) * 2 * noise);
      data[at + 2] = clamp(b + (random() - 0.5) * 2 * noise);
      data[at + 3] = 255;
    }
  }
  return {
    name,
    pixels: { width: WIDTH, height: HEIGHT, data },
    colours: accent ? [...colours, accent] : colours,
    accent,
  };
}

/** A fifth of the picture blends from each colour to the next; the rest of it is flat. */
function blended(name: string, colours: string[]): Made {
  const data = new Uint8Array(WIDTH * HEIGHT * 4);
  const stops = colours.map(channels);
  for (let y = 0; y < HEIGHT; y++) {
    const at = (y / HEIGHT) * stops.length;
    const index = Math.min(stops.length - 1, Math.floor(at));
    const next = stops[Math.min(stops.length - 1, index + 1)] ?? [0, 0, 0];
    const here = stops[index] ?? [0, 0, 0];
    const part = Math.max(0, (at - index - 0.8) / 0.2);
    for (let x = 0; x < WIDTH; x++) {
      const pixel = (y * WIDTH + x) * 4;
      for (let channel = 0; channel < 3; channel++)
        data[pixel + channel] = (here[channel] ?? 0) * (1 - part) + (next[channel] ?? 0) * part;
      data[pixel + 3] = 255;
    }
  }
  return { name, pixels: { width: WIDTH, height: HEIGHT, data }, colours, accent: null };
}

function clamp(value: number): number {
  return Math.max(0, Math.min(255, Math.round(value)));
}

/** Mean distance (ΔE OK × 100) of each known colour to the nearest found, and whether the accent is among them. */
function judge(
  made: readonly Made[],
  extract: (pixels: Pixels) => string[],
): { error: number; accents: number } {
  let sum = 0;
  let count = 0;
  let accents = 0;
  for (const { pixels, colours, accent } of made) {
    const found = extract(pixels);
    for (const colour of colours) {
      const nearest = Math.min(...found.map((candidate) => deltaE(candidate, colour)));
      sum += Number.isFinite(nearest) ? nearest : 100;
      count++;
      if (colour === accent && nearest < 5) accents++;
    }
  }
  return { error: sum / count, accents };
}

export async function benchPalette(): Promise<Row[]> {
  const made = [
    ...grounds.map(([a, b, c, accent], index) => banded(`flat ${index}`, [a, b, c], accent, 0, index)),
    ...grounds.map(([a, b, c, accent], index) => banded(`noisy ${index}`, [a, b, c], accent, 12, index + 10)),
    ...grounds.map(([a, b, c], index) => blended(`blended ${index}`, [a, b, c])),
    banded('accent on dark', ['#14181d'], '#d9a441', 4, 30),
    banded('accent on pale', ['#f3efe8'], '#2f6f9f', 4, 31),
  ];
  const withAccent = made.filter(({ accent }) => accent !== null).length;
  const ours = (pixels: Pixels) => extractPalette(pixels, 8).map(({ colour }) => colour);
  const theirs = ({ data }: Pixels) =>
    extractColorsFromImageData({ data: data as Uint8ClampedArray<ArrayBuffer> }).map(({ hex }) => hex);
  const naive = (pixels: Pixels) => kMeansInOklab(pixels, 8, 20_000);

  const timed = made[4]?.pixels;
  if (!timed) throw new Error('Nothing to time');
  const bench = new Bench({ time: 1500, warmupTime: 300 });
  bench
    .add('ours', () => void ours(timed))
    .add('extract-colors', () => void theirs(timed))
    .add('k-means', () => void naive(timed));
  await bench.run();
  const mean = (name: string) => {
    const result = bench.getTask(name)?.result;
    return result && 'latency' in result ? result.latency.mean : NaN;
  };
  const [own, library, plain] = ['ours', 'extract-colors', 'k-means'].map(mean) as [number, number, number];
  const quality = { own: judge(made, ours), library: judge(made, theirs), plain: judge(made, naive) };
  return [
    { what: 'palette of 1920 × 1080, from pixels', value: own, unit: 'ms', reach: '', isMet: null },
    {
      what: '… against extract-colors 4, its defaults',
      value: own / library,
      unit: '× its time',
      reach: 'as fast: at most 1 ×',
      isMet: own <= library,
    },
    {
      what: '… against a plain k-means on 20,000 samples',
      value: own / plain,
      unit: '× its time',
      reach: 'about 0.7 ×',
      isMet: own / plain <= 0.75,
    },
    {
      what: 'palette: mean ΔE OK × 100 on made pictures',
      value: quality.own.error,
      unit: '',
      reach: 'under 0.8',
      isMet: quality.own.error < 0.8,
    },
    {
      what: '… extract-colors 4, its defaults',
      value: quality.library.error,
      unit: '',
      reach: '',
      isMet: null,
    },
    {
      what: '… a plain k-means on 20,000 samples',
      value: quality.plain.error,
      unit: '',
      reach: '',
      isMet: null,
    },
    {
      what: `palette: accents found of ${withAccent}`,
      value: quality.own.accents,
      unit: '',
      reach: 'all',
      isMet: quality.own.accents === withAccent,
    },
  ];
}
