import type { Rect, Size } from '../values/geometry.ts';
import { toBytes } from '../values/colour.ts';
import type { Pixels } from '../colour/extract.ts';
import type { DrawnAdjust } from './drawn.ts';

/**
 * What is done to the pixels of a backdrop. One function for the browser, the server and the judging of legibility,
 * so that they agree. Colours are changed by one affine map of sRGB, worked out beforehand.
 */

/** Three factors, for red, green and blue, and an offset in bytes. */
type Row = readonly [red: number, green: number, blue: number, offset: number];
/** A row for red, green and blue each. */
export type ColourMap = readonly [Row, Row, Row];

/** Rec. 709 weights of sRGB values: near enough to lightness for taking colour away. */
const LUMA = [0.2126, 0.7152, 0.0722] as const;

const IDENTITY: ColourMap = [
  [1, 0, 0, 0],
  [0, 1, 0, 0],
  [0, 0, 1, 0],
];

/** `second` after `first`. */
function after(first: ColourMap, second: ColourMap): ColourMap {
  return byRow(second, ([r, g, b, offset]) => {
    const column = (at: 0 | 1 | 2 | 3) => r * first[0][at] + g * first[1][at] + b * first[2][at];
    return [column(0), column(1), column(2), column(3) + offset];
  });
}

function byRow<T>(rows: readonly [T, T, T], make: (row: T) => Row): ColourMap {
  return [make(rows[0]), make(rows[1]), make(rows[2])];
}

function scaled([r, g, b]: readonly [number, number, number], offset = 0): ColourMap {
  return [
    [r, 0, 0, offset],
    [0, g, 0, offset],
    [0, 0, b, offset],
  ];
}

/** Part of the way (0 to 1) from leaving everything as it is to a map. */
function partly(map: ColourMap, share: number): ColourMap {
  const mixed = (row: Row, own: Row): Row => {
    const at = (column: 0 | 1 | 2 | 3) => row[column] * share + own[column] * (1 - share);
    return [at(0), at(1), at(2), at(3)];
  };
  return [mixed(map[0], IDENTITY[0]), mixed(map[1], IDENTITY[1]), mixed(map[2], IDENTITY[2])];
}

export function colourMap(adjust: DrawnAdjust): ColourMap {
  let map = IDENTITY;
  if (adjust.negative > 0) map = partly(scaled([-1, -1, -1], 255), adjust.negative / 100);
  if (adjust.brightness !== 0) {
    // Darker is a dimmed lamp; lighter lifts toward white, which keeps the lights from burning out.
    const by = adjust.brightness / 100;
    map = after(map, by < 0 ? scaled([1 + by, 1 + by, 1 + by]) : scaled([1 - by, 1 - by, 1 - by], 255 * by));
  }
  if (adjust.contrast !== 0) {
    const by = adjust.contrast < 0 ? 1 + adjust.contrast / 100 : 1 + adjust.contrast / 50;
    map = after(map, scaled([by, by, by], 127.5 * (1 - by)));
  }
  if (adjust.saturation !== 0) {
    const by = adjust.saturation < 0 ? 1 + adjust.saturation / 100 : 1 + adjust.saturation / 50;
    const grey = byRow([LUMA, LUMA, LUMA], (row) => [...row, 0]);
    map = after(map, partly(grey, 1 - by));
  }
  if (adjust.temperature !== 0) {
    const by = (adjust.temperature / 100) * 0.28;
    map = after(map, scaled([1 + by, 1 + by * 0.12, 1 - by]));
  }
  if (adjust.twoTone.strength > 0) {
    const dark = toBytes(adjust.twoTone.dark);
    const light = toBytes(adjust.twoTone.light);
    const between = (from: number, to: number): Row => {
      const [r, g, b] = LUMA;
      const by = to - from;
      return [(r * by) / 255, (g * by) / 255, (b * by) / 255, from];
    };
    const duo: ColourMap = [
      between(dark[0], light[0]),
      between(dark[1], light[1]),
      between(dark[2], light[2]),
    ];
    map = after(map, partly(duo, adjust.twoTone.strength / 100));
  }
  if (adjust.tint.strength > 0) {
    const flat = byRow(toBytes(adjust.tint.colour), (value) => [0, 0, 0, value]);
    map = after(map, partly(flat, adjust.tint.strength / 100));
  }
  return map;
}

function mapColours(data: Uint8ClampedArray, map: ColourMap): void {
  const [[rr, rg, rb, ro], [gr, gg, gb, go], [br, bg, bb, bo]] = map;
  for (let at = 0; at < data.length; at += 4) {
    const r = data[at] as number;
    const g = data[at + 1] as number;
    const b = data[at + 2] as number;
    data[at] = rr * r + rg * g + rb * b + ro;
    data[at + 1] = gr * r + gg * g + gb * b + go;
    data[at + 2] = br * r + bg * g + bb * b + bo;
  }
}

/** How far in the darkening reaches, as a share of the surface. */
const DARKEN_REACH = 0.62;

/** Steps of the darkening all around, by the square of the distance from the middle. */
const RIM_STEPS = 2048;

/** How deep the darkening is (0 to 1) at a share of the way from the side that it comes from. */
export function depthFrom(share: number): number {
  return Math.max(0, 1 - share / DARKEN_REACH) ** 1.6;
}

/** How deep the darkening all around is (0 to 1), by the square of the distance from the middle; a corner's is 1. */
export function depthAround(square: number): number {
  return Math.min(1, square ** 1.1);
}

/** For each row or column of some pixels: the share of the whole surface at which its middle lies. */
function shares(count: number, start: number, length: number, whole: number): Float64Array {
  return Float64Array.from(
    { length: count },
    (_, index) => (start + ((index + 0.5) / count) * length) / whole,
  );
}

function darken(
  { width, height, data }: Clamped,
  { toward, strength }: DrawnAdjust['darken'],
  whole: Size,
  part: Rect,
): void {
  const most = strength / 100;
  const rows = shares(height, part.y, part.height, whole.height);
  const columns = shares(width, part.x, part.width, whole.width);
  // What a corner has is 1; the root and the power are looked up, not worked out for each pixel.
  const rim = Float32Array.from({ length: RIM_STEPS + 1 }, (_, step) => depthAround(step / RIM_STEPS));
  const across = columns.map((x) =>
    toward === 'rim' ? ((x - 0.5) * 2) ** 2 / 2 : depthFrom(toward === 'left' ? x : 1 - x),
  );
  const down = rows.map((y) =>
    toward === 'rim' ? ((y - 0.5) * 2) ** 2 / 2 : depthFrom(toward === 'top' ? y : 1 - y),
  );
  const isRow = toward === 'top' || toward === 'bottom';
  for (let row = 0; row < height; row++) {
    const ofRow = down[row] as number;
    for (let column = 0; column < width; column++) {
      const ofColumn = across[column] as number;
      const depth =
        toward === 'rim'
          ? (rim[Math.min(RIM_STEPS, ((ofRow + ofColumn) * RIM_STEPS) | 0)] as number)
          : isRow
            ? ofRow
            : ofColumn;
      const left = 1 - most * depth;
      const at = (row * width + column) * 4;
      data[at] = (data[at] as number) * left;
      data[at + 1] = (data[at + 1] as number) * left;
      data[at + 2] = (data[at + 2] as number) * left;
    }
  }
}

/** Bytes by which full grain lightens or darkens at most. */
const GRAIN_DEPTH = 44;

/** Each px of the screen has its own grain, however many pixels it is drawn with. */
function addGrain({ width, height, data }: Clamped, strength: number, part: Rect): void {
  // Two halves of one hash, added: values near the middle are more frequent, as in film.
  const depth = ((strength / 100) * GRAIN_DEPTH) / 65536;
  const columns = Int32Array.from({ length: width }, (_, column) =>
    Math.floor(part.x + ((column + 0.5) / width) * part.width),
  );
  for (let row = 0; row < height; row++) {
    const y = Math.floor(part.y + ((row + 0.5) / height) * part.height);
    const seed = Math.imul(y ^ 0x9e3779b9, 0x85ebca6b);
    for (let column = 0; column < width; column++) {
      let h = seed ^ Math.imul(columns[column] as number, 0xc2b2ae35);
      h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
      h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
      h ^= h >>> 16;
      const noise = ((h & 0xffff) + (h >>> 16) - 65536) * depth;
      const at = (row * width + column) * 4;
      data[at] = (data[at] as number) + noise;
      data[at + 1] = (data[at + 1] as number) + noise;
      data[at + 2] = (data[at + 2] as number) + noise;
    }
  }
}

/** Pixels whose bytes round and clamp by themselves. */
interface Clamped extends Size {
  data: Uint8ClampedArray;
}

/** The same bytes, whatever array they came in: sharp's wrap where canvases' clamp. */
function clamped({ width, height, data }: Pixels): Clamped {
  return { width, height, data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.length) };
}

/**
 * Changes RGBA pixels of a screen in place as `adjust` says. `whole` and `part` (px) say which part of the surface
 * the pixels show; what depends on place is then the same at every density.
 */
export function adjustPixels(given: Pixels, adjust: DrawnAdjust, whole: Size, part: Rect): void {
  const pixels = clamped(given);
  if (adjust.blur > 0) blurPixels(pixels, (adjust.blur * pixels.width) / part.width);
  const map = colourMap(adjust);
  if (map !== IDENTITY) mapColours(pixels.data, map);
  if (adjust.darken.strength > 0) darken(pixels, adjust.darken, whole, part);
  if (adjust.grain > 0) addGrain(pixels, adjust.grain, part);
}

/** A deviation, in px, that is still told from the next on a smaller picture; only wider blurs are done on one. */
const LEAST_SIGMA = 1.6;
const MOST_SMALLER = 8;

/**
 * A Gaussian blur with a standard deviation of `wanted` pixels, as three box blurs (Kovesi 2010); pixels beyond the
 * sides repeat the outermost ones. A wide one leaves nothing that a smaller picture could not hold: it is done on that,
 * which makes a part of the work of it. Opaque pixels only.
 */
export function blurPixels({ width, height, data }: Pixels, wanted: number): void {
  if (wanted < 0.3) return;
  // Wider than the picture all is one colour already: no more work is put into it.
  const sigma = Math.min(wanted, Math.max(width, height));
  // Plain bytes: means never leave their range, and need no clamping.
  const bytes = new Uint8Array(data.buffer, data.byteOffset, data.length);
  let by = 1;
  while (by < MOST_SMALLER && sigma / (by * 2) >= LEAST_SIGMA) by *= 2;
  if (by === 1) {
    blurBytes({ width, height, bytes }, sigma);
    return;
  }
  const small = shrink({ width, height, bytes }, by);
  // Means of cells and straight lines between them blur a little by themselves.
  const own = (by * by - 1) / 12 + (by * by) / 6;
  blurBytes(small, Math.sqrt(sigma * sigma - own) / by);
  grow(small, by, { width, height, bytes });
}

interface Bytes extends Size {
  bytes: Uint8Array;
}

function blurBytes({ width, height, bytes }: Bytes, sigma: number): void {
  const other = new Uint8Array(bytes.length);
  for (const size of boxSizes(sigma)) {
    boxAcross(bytes, other, width, height, size);
    boxDown(other, bytes, width, height, size);
  }
}

/** The means of cells of `by` × `by` pixels; cells at the far sides may be smaller. */
function shrink({ width, height, bytes }: Bytes, by: number): Bytes {
  const small = { width: Math.ceil(width / by), height: Math.ceil(height / by) };
  const out = new Uint8Array(small.width * small.height * 4);
  const sums = new Int32Array(small.width * 3);
  for (let down = 0; down < small.height; down++) {
    sums.fill(0);
    const end = Math.min(height, (down + 1) * by);
    for (let row = down * by; row < end; row++) {
      let at = row * width * 4;
      for (let column = 0; column < width; column++, at += 4) {
        const cell = ((column / by) | 0) * 3;
        sums[cell] = (sums[cell] as number) + (bytes[at] as number);
        sums[cell + 1] = (sums[cell + 1] as number) + (bytes[at + 1] as number);
        sums[cell + 2] = (sums[cell + 2] as number) + (bytes[at + 2] as number);
      }
    }
    for (let across = 0; across < small.width; across++) {
      const count = (Math.min(width, (across + 1) * by) - across * by) * (end - down * by);
      const to = (down * small.width + across) * 4;
      for (let channel = 0; channel < 3; channel++)
        out[to + channel] = Math.round((sums[across * 3 + channel] as number) / count);
      out[to + 3] = 255;
    }
  }
  return { ...small, bytes: out };
}

/** Between which two of the smaller pixels each larger one lies, and how far on the way to the second, in 256ths. */
function between(
  count: number,
  smaller: number,
  by: number,
): { first: Int32Array; second: Int32Array; on: Int32Array } {
  const first = new Int32Array(count);
  const second = new Int32Array(count);
  const on = new Int32Array(count);
  for (let index = 0; index < count; index++) {
    const at = Math.max(0, (index + 0.5) / by - 0.5);
    first[index] = Math.min(smaller - 1, Math.floor(at));
    second[index] = Math.min(smaller - 1, Math.floor(at) + 1);
    on[index] = Math.round((at - Math.floor(at)) * 256);
  }
  return { first, second, on };
}

/** Pixels drawn larger, with straight lines between the middles of the smaller ones. */
function grow(small: Bytes, by: number, { width, height, bytes }: Bytes): void {
  const across = between(width, small.width, by);
  const down = between(height, small.height, by);
  /** A row of the smaller picture at full width, three channels in 256ths of a byte. */
  const stretched = (row: number): Int32Array => {
    const line = new Int32Array(width * 3);
    const start = row * small.width * 4;
    for (let column = 0; column < width; column++) {
      const one = start + (across.first[column] as number) * 4;
      const two = start + (across.second[column] as number) * 4;
      const on = across.on[column] as number;
      for (let channel = 0; channel < 3; channel++)
        line[column * 3 + channel] =
          (small.bytes[one + channel] as number) * (256 - on) + (small.bytes[two + channel] as number) * on;
    }
    return line;
  };
  const lines = new Map<number, Int32Array>();
  const lineOf = (row: number): Int32Array => {
    const known = lines.get(row);
    if (known) return known;
    // Rows come in order: two are in use at a time.
    if (lines.size > 1) lines.delete(Math.min(...lines.keys()));
    const line = stretched(row);
    lines.set(row, line);
    return line;
  };
  for (let row = 0; row < height; row++) {
    const upper = lineOf(down.first[row] as number);
    const lower = lineOf(down.second[row] as number);
    const on = down.on[row] as number;
    let at = row * width * 4;
    for (let from = 0; from < width * 3; from += 3, at += 4) {
      for (let channel = 0; channel < 3; channel++)
        bytes[at + channel] =
          ((upper[from + channel] as number) * (256 - on) + (lower[from + channel] as number) * on + 32768) >>
          16;
      bytes[at + 3] = 255;
    }
  }
}

/** Widths (odd) of three boxes that together have nearly the wanted deviation. */
function boxSizes(sigma: number): [number, number, number] {
  const ideal = Math.sqrt((12 * sigma * sigma) / 3 + 1);
  const low = Math.floor(ideal) % 2 === 0 ? Math.floor(ideal) - 1 : Math.floor(ideal);
  const lows = Math.round((12 * sigma * sigma - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  return [0, 1, 2].map((index) => (index < lows ? low : low + 2)) as [number, number, number];
}

/** Division by a box's size, in whole numbers: a sum times this, shifted down. */
const SHIFT = 20;
const HALF = 1 << (SHIFT - 1);

/** A running mean along each row. */
function boxAcross(from: Uint8Array, to: Uint8Array, width: number, height: number, size: number): void {
  const half = (size - 1) / 2;
  const share = Math.round(2 ** SHIFT / size);
  for (let row = 0; row < height; row++) {
    const start = row * width * 4;
    const last = start + (width - 1) * 4;
    let r = 0;
    let g = 0;
    let b = 0;
    for (let offset = -half; offset <= half; offset++) {
      const at = start + Math.max(0, Math.min(width - 1, offset)) * 4;
      r += from[at] as number;
      g += from[at + 1] as number;
      b += from[at + 2] as number;
    }
    for (let at = start, column = 0; column < width; column++, at += 4) {
      to[at] = (r * share + HALF) >> SHIFT;
      to[at + 1] = (g * share + HALF) >> SHIFT;
      to[at + 2] = (b * share + HALF) >> SHIFT;
      to[at + 3] = 255;
      const out = column > half ? at - half * 4 : start;
      const into = column + half + 1 < width ? at + (half + 1) * 4 : last;
      r += (from[into] as number) - (from[out] as number);
      g += (from[into + 1] as number) - (from[out + 1] as number);
      b += (from[into + 2] as number) - (from[out + 2] as number);
    }
  }
}

/** The same down each column. All columns go down together, row by row: memory is read in its own order. */
function boxDown(from: Uint8Array, to: Uint8Array, width: number, height: number, size: number): void {
  const half = (size - 1) / 2;
  const share = Math.round(2 ** SHIFT / size);
  const line = width * 4;
  const sums = new Int32Array(line);
  for (let offset = -half; offset <= half; offset++) {
    const start = Math.max(0, Math.min(height - 1, offset)) * line;
    for (let index = 0; index < line; index++)
      sums[index] = (sums[index] as number) + (from[start + index] as number);
  }
  for (let row = 0; row < height; row++) {
    const start = row * line;
    const out = Math.max(0, row - half) * line;
    const into = Math.min(height - 1, row + half + 1) * line;
    for (let index = 0; index < line; index++) {
      const sum = sums[index] as number;
      to[start + index] = (sum * share + HALF) >> SHIFT;
      sums[index] = sum + (from[into + index] as number) - (from[out + index] as number);
    }
  }
}
