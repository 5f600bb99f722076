import type { Pixels } from '../colour/extract.ts';
import { greyOf, luminance, type Tone } from '../colour/tone.ts';
import { clamp, type Rect, type Size } from '../values/geometry.ts';

/**
 * A small map of how dark and how light a backdrop is, in cells, row by row. Each cell has three greys (0 to 255): the
 * mean of the darkest fifth of its pixels, of the three fifths between, and of the lightest fifth.
 */
export interface Tones {
  columns: number;
  rows: number;
  cells: Uint8Array;
}

/** Pixels along a picture from which a map is made, and cells of a map: 96 × 54 of a usual screen. */
export const TONES_WIDTH = 480;
const CELLS = 96 * 54;
const MOST_ALONG = 255;
/** Of a cell's pixels, which count as its darkest and as its lightest. */
const FIFTH = 0.2;

/** The map of a picture. The same pixels give the same map. */
export function tonesOf({ width, height, data }: Pixels): Tones {
  const along = (cells: number, pixels: number) => clamp(Math.round(cells), 1, Math.min(MOST_ALONG, pixels));
  const columns = along(Math.sqrt((CELLS * width) / height), width);
  const rows = along(Math.sqrt((CELLS * height) / width), height);
  const cells = new Uint8Array(columns * rows * 3);
  for (let row = 0; row < rows; row++) {
    const [top, bottom] = [Math.floor((row * height) / rows), Math.floor(((row + 1) * height) / rows)];
    for (let column = 0; column < columns; column++) {
      const left = Math.floor((column * width) / columns);
      const right = Math.floor(((column + 1) * width) / columns);
      const values: number[] = [];
      for (let y = top; y < bottom; y++)
        for (let at = (y * width + left) * 4; at < (y * width + right) * 4; at += 4)
          values.push(luminance(data[at] as number, data[at + 1] as number, data[at + 2] as number));
      values.sort((a, b) => a - b);
      const few = Math.max(1, Math.round(values.length * FIFTH));
      const greys = [values.slice(0, few), values.slice(few, -few), values.slice(-few)];
      const all = greyOf(meanOf(values));
      for (const [index, part] of greys.entries())
        cells[(row * columns + column) * 3 + index] = Math.round(
          part.length > 0 ? greyOf(meanOf(part)) : all,
        );
    }
  }
  return { columns, rows, cells };
}

function meanOf(values: readonly number[]): number {
  let sum = 0;
  for (const value of values) sum += value;
  return sum / values.length;
}

/** Below this luminance white has more contrast than black (WCAG 2.2). */
const HALFWAY = Math.sqrt(1.05 * 0.05) - 0.05;

/** Whether a backdrop is dark, taken all together. */
export function isDark({ cells }: Tones): boolean {
  let sum = 0;
  for (let at = 1; at < cells.length; at += 3) {
    const grey = cells[at] as number;
    sum += luminance(grey, grey, grey);
  }
  return sum / (cells.length / 3) < HALFWAY;
}

/** What lies over a backdrop somewhere: a plain colour, px of the screen. */
export interface Cover {
  rect: Rect;
  /** As a grey, and how much of it there is, 0 to 1. */
  grey: number;
  opacity: number;
  /** What lies beneath is blurred: only its mean is seen. */
  blurs: boolean;
}

/** Greys are told apart in steps of so many: what is alike shares its colours. */
const STEP = 8;
/** The share of what lies there that may be darker, and that may be lighter. */
const WORST = 0.05;

const histogram = new Float64Array(256);

/** How dark and light it is behind a rectangle of a screen, beneath what lies over the backdrop there, the lowest first. */
export function toneBehind(
  { columns, rows, cells }: Tones,
  screen: Size,
  rect: Rect,
  over: readonly Cover[],
): Tone {
  const [wide, high] = [screen.width / columns, screen.height / rows];
  const span = (start: number, long: number, cell: number, count: number) => {
    const first = clamp(Math.floor(start / cell), 0, count - 1);
    return [first, clamp(Math.ceil((start + long) / cell), first + 1, count)] as const;
  };
  const [left, right] = span(rect.x, rect.width, wide, columns);
  const [top, bottom] = span(rect.y, rect.height, high, rows);
  histogram.fill(0);
  let total = 0;
  for (let row = top; row < bottom; row++) {
    const tall = shared(rect.y, rect.height, row * high, high);
    for (let column = left; column < right; column++) {
      const share = Math.max(1e-6, tall * shared(rect.x, rect.width, column * wide, wide));
      const at = (row * columns + column) * 3;
      let dark = cells[at] as number;
      let mean = cells[at + 1] as number;
      let light = cells[at + 2] as number;
      // Cell by cell for every bare part: numbers alone.
      for (const { rect: lies, grey, opacity, blurs } of over) {
        const x = (column + 0.5) * wide - lies.x;
        const y = (row + 0.5) * high - lies.y;
        if (x < 0 || y < 0 || x > lies.width || y > lies.height) continue;
        const under = 1 - opacity;
        const added = grey * opacity;
        dark = (blurs ? mean : dark) * under + added;
        light = (blurs ? mean : light) * under + added;
        mean = mean * under + added;
      }
      (histogram[Math.round(dark)] as number) += share * FIFTH;
      (histogram[Math.round(mean)] as number) += share * (1 - 2 * FIFTH);
      (histogram[Math.round(light)] as number) += share * FIFTH;
      total += share;
    }
  }
  return {
    dark: Math.floor(ranked(total * WORST) / STEP) * STEP,
    light: Math.min(255, Math.ceil(ranked(total * (1 - WORST)) / STEP) * STEP),
  };
}

/** How much of a cell a stretch covers, px. */
function shared(start: number, long: number, cell: number, size: number): number {
  return Math.max(0, Math.min(start + long, cell + size) - Math.max(start, cell));
}

/** The grey up to which so much has been counted. */
function ranked(much: number): number {
  let sum = 0;
  for (let grey = 0; grey < 256; grey++) {
    sum += histogram[grey] as number;
    if (sum >= much - 1e-9) return grey;
  }
  return 255;
}

/** A map as bytes: columns, rows, then three for each cell. */
export function packTones({ columns, rows, cells }: Tones): Uint8Array {
  const bytes = new Uint8Array(2 + cells.length);
  bytes.set([columns, rows]);
  bytes.set(cells, 2);
  return bytes;
}

/** The map in such bytes; null where they are none. */
export function unpackTones(bytes: Uint8Array): Tones | null {
  const [columns = 0, rows = 0] = bytes;
  if (columns * rows === 0 || bytes.length !== 2 + columns * rows * 3) return null;
  return { columns, rows, cells: bytes.slice(2) };
}
