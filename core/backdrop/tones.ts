import type { Roles } from '../colour/roles.ts';
import { schemeNames, type SchemeName } from '../colour/schema.ts';
import { luminance, type Tone } from '../colour/tone.ts';
import { toBytes } from '../values/colour.ts';
import { halves, roles, type Half } from '../values/roles.ts';
import { clamp, type Rect, type Size } from '../values/geometry.ts';

/**
 * A small map of how dark and how light a backdrop is, in cells, row by row. Each cell has three greys (0 to 255): the
 * mean of the darkest fifth of its pixels, of the three fifths between, and of the lightest fifth.
 */
export interface Tones {
  columns: number;
  rows: number;
  cells: Uint8Array;
  /** What its palette comes to in each way of drawing it. */
  palettes?: Palettes;
}

export type Palettes = Record<SchemeName, Record<Half, Roles>>;

/** Pixels along a picture from which a map is made. */
export const TONES_WIDTH = 480;
/** Of a cell's pixels, which count as its darkest and as its lightest. */
export const FIFTH = 0.2;

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

/** Each colour of each palette, in this order. */
const painted = schemeNames.flatMap((way) =>
  halves.flatMap((half) => roles.map((role) => ({ way, half, role }))),
);

/** A map as bytes: columns, rows, three for each cell, then three for each colour of its palettes. */
export function packTones({ columns, rows, cells, palettes }: Tones): Uint8Array {
  const colours = palettes
    ? painted.flatMap(({ way, half, role }) => toBytes(palettes[way][half][role]))
    : [];
  return Uint8Array.from([columns, rows, ...cells, ...colours]);
}

/** The map in such bytes; null where they are none. */
export function unpackTones(bytes: Uint8Array): Tones | null {
  const [columns = 0, rows = 0] = bytes;
  const end = 2 + columns * rows * 3;
  const left = bytes.length - end;
  if (columns * rows === 0 || (left !== 0 && left !== painted.length * 3)) return null;
  const tones = { columns, rows, cells: bytes.slice(2, end) };
  return left === 0 ? tones : { ...tones, palettes: palettesIn(bytes.subarray(end)) };
}

function palettesIn(colours: Uint8Array): Palettes {
  const hexAt = (index: number) =>
    `#${[...colours.subarray(index * 3, index * 3 + 3)].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
  const each = painted.map(({ way, half, role }, index) => ({ way, half, role, hex: hexAt(index) }));
  const of = (way: SchemeName, half: Half) =>
    Object.fromEntries(
      each.filter((one) => one.way === way && one.half === half).map(({ role, hex }) => [role, hex]),
    ) as Roles;
  return Object.fromEntries(
    schemeNames.map((way) => [way, { light: of(way, 'light'), dark: of(way, 'dark') }]),
  ) as Palettes;
}
