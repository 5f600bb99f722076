import type { Rect, Size } from '../arrange/geometry.ts';
import { toBytes } from '../colour/convert.ts';
import type { Pixels } from '../colour/extract.ts';
import { hash } from '../sources/noise.ts';
import type { DrawnAdjust } from './drawn.ts';

/**
 * What is done to the pixels of a backdrop. One function for the browser, the server and the judging of legibility,
 * so that they agree. Colours are changed by one affine map of sRGB, worked out beforehand.
 */

/** Rows for red, green and blue: three factors and an offset in bytes. */
export type ColourMap = readonly [number[], number[], number[]];

/** Rec. 709 weights of sRGB values: near enough to lightness for taking colour away. */
const LUMA = [0.2126, 0.7152, 0.0722] as const;

const IDENTITY: ColourMap = [
  [1, 0, 0, 0],
  [0, 1, 0, 0],
  [0, 0, 1, 0],
];

/** `second` after `first`. */
function after(first: ColourMap, second: ColourMap): ColourMap {
  return second.map((row) => {
    const [r = 0, g = 0, b = 0, offset = 0] = row;
    return [0, 1, 2, 3].map(
      (column) =>
        r * (first[0][column] ?? 0) +
        g * (first[1][column] ?? 0) +
        b * (first[2][column] ?? 0) +
        (column === 3 ? offset : 0),
    );
  }) as unknown as ColourMap;
}

function scaled(factors: readonly [number, number, number], offset = 0): ColourMap {
  return factors.map((factor, row) =>
    [0, 1, 2, 3].map((column) => (column === row ? factor : column === 3 ? offset : 0)),
  ) as unknown as ColourMap;
}

/** Part of the way (0 to 1) from leaving everything as it is to a map. */
function partly(map: ColourMap, share: number): ColourMap {
  return map.map((row, index) =>
    row.map((value, column) => value * share + (IDENTITY[index]?.[column] ?? 0) * (1 - share)),
  ) as unknown as ColourMap;
}

export function colourMap(adjust: DrawnAdjust): ColourMap {
  let map = IDENTITY;
  if (adjust.brightness !== 0) {
    // Darker is a dimmed lamp; lighter lifts toward white, which keeps the lights from burning out.
    const by = adjust.brightness / 100;
    map = by < 0 ? scaled([1 + by, 1 + by, 1 + by]) : scaled([1 - by, 1 - by, 1 - by], 255 * by);
  }
  if (adjust.contrast !== 0) {
    const by = adjust.contrast < 0 ? 1 + adjust.contrast / 100 : 1 + adjust.contrast / 50;
    map = after(map, scaled([by, by, by], 127.5 * (1 - by)));
  }
  if (adjust.saturation !== 0) {
    const by = adjust.saturation < 0 ? 1 + adjust.saturation / 100 : 1 + adjust.saturation / 50;
    const grey = [LUMA, LUMA, LUMA].map((row) => [...row, 0]) as unknown as ColourMap;
    map = after(map, partly(grey, 1 - by));
  }
  if (adjust.temperature !== 0) {
    const by = (adjust.temperature / 100) * 0.28;
    map = after(map, scaled([1 + by, 1 + by * 0.12, 1 - by]));
  }
  if (adjust.twoTone.strength > 0) {
    const dark = toBytes(adjust.twoTone.dark);
    const light = toBytes(adjust.twoTone.light);
    const duo = dark.map((value, channel) => [
      ...LUMA.map((weight) => (weight * ((light[channel] ?? 0) - value)) / 255),
      value,
    ]) as unknown as ColourMap;
    map = after(map, partly(duo, adjust.twoTone.strength / 100));
  }
  if (adjust.tint.strength > 0) {
    const flat = toBytes(adjust.tint.colour).map((value) => [0, 0, 0, value]) as unknown as ColourMap;
    map = after(map, partly(flat, adjust.tint.strength / 100));
  }
  return map;
}

function mapColours(data: Pixels['data'], map: ColourMap): void {
  const [[rr, rg, rb, ro], [gr, gg, gb, go], [br, bg, bb, bo]] = map as unknown as [
    [number, number, number, number],
    [number, number, number, number],
    [number, number, number, number],
  ];
  for (let at = 0; at < data.length; at += 4) {
    const r = data[at] as number;
    const g = data[at + 1] as number;
    const b = data[at + 2] as number;
    data[at] = toByte(rr * r + rg * g + rb * b + ro);
    data[at + 1] = toByte(gr * r + gg * g + gb * b + go);
    data[at + 2] = toByte(br * r + bg * g + bb * b + bo);
  }
}

/** Bytes come from sharp as plain arrays that wrap, and from canvases as ones that clamp. */
function toByte(value: number): number {
  return value < 0 ? 0 : value > 255 ? 255 : (value + 0.5) | 0;
}

/** How far in the darkening reaches, as a share of the surface. */
const DARKEN_REACH = 0.62;

/** How much of the light is left (0 to 1) at a place of the surface, both in shares of it. */
function lightAt(toward: DrawnAdjust['darken']['toward'], x: number, y: number): number {
  const depth =
    toward === 'rim'
      ? Math.min(1, (Math.hypot((x - 0.5) * 2, (y - 0.5) * 2) / Math.SQRT2) ** 2.2)
      : Math.max(0, 1 - { top: y, bottom: 1 - y, left: x, right: 1 - x }[toward] / DARKEN_REACH) ** 1.6;
  return 1 - depth;
}

function darken(
  { width, height, data }: Pixels,
  { toward, strength }: DrawnAdjust['darken'],
  whole: Size,
  part: Rect,
): void {
  const most = strength / 100;
  for (let row = 0; row < height; row++) {
    const y = (part.y + ((row + 0.5) / height) * part.height) / whole.height;
    for (let column = 0; column < width; column++) {
      const x = (part.x + ((column + 0.5) / width) * part.width) / whole.width;
      const left = 1 - most * (1 - lightAt(toward, x, y));
      const at = (row * width + column) * 4;
      data[at] = ((data[at] as number) * left + 0.5) | 0;
      data[at + 1] = ((data[at + 1] as number) * left + 0.5) | 0;
      data[at + 2] = ((data[at + 2] as number) * left + 0.5) | 0;
    }
  }
}

/** Bytes by which full grain lightens or darkens at most. */
const GRAIN_DEPTH = 44;

/** Each px of the screen has its own grain, however many pixels it is drawn with. */
function addGrain({ width, height, data }: Pixels, strength: number, part: Rect): void {
  const depth = (strength / 100) * GRAIN_DEPTH;
  for (let row = 0; row < height; row++) {
    const y = Math.floor(part.y + ((row + 0.5) / height) * part.height);
    for (let column = 0; column < width; column++) {
      const x = Math.floor(part.x + ((column + 0.5) / width) * part.width);
      const noise = (hash(x, y) + hash(x + 7919, y) - 1) * depth;
      const at = (row * width + column) * 4;
      data[at] = toByte((data[at] as number) + noise);
      data[at + 1] = toByte((data[at + 1] as number) + noise);
      data[at + 2] = toByte((data[at + 2] as number) + noise);
    }
  }
}

/**
 * Changes RGBA pixels of a screen in place as `adjust` says. `whole` and `part` (px) say which part of the surface
 * the pixels show; what depends on place is then the same at every density.
 */
export function adjustPixels(pixels: Pixels, adjust: DrawnAdjust, whole: Size, part: Rect): void {
  if (adjust.blur > 0) blurPixels(pixels, (adjust.blur * pixels.width) / part.width);
  const map = colourMap(adjust);
  if (map !== IDENTITY) mapColours(pixels.data, map);
  if (adjust.darken.strength > 0) darken(pixels, adjust.darken, whole, part);
  if (adjust.grain > 0) addGrain(pixels, adjust.grain, part);
}

/**
 * A Gaussian blur with a standard deviation of `sigma` pixels, as three box blurs (Kovesi 2010); pixels beyond the
 * sides repeat the outermost ones. Opaque pixels only.
 */
export function blurPixels({ width, height, data }: Pixels, sigma: number): void {
  if (sigma < 0.3) return;
  const other = new Uint8ClampedArray(data.length);
  for (const size of boxSizes(sigma)) {
    boxAlong(data, other, width, height, 4, width * 4, size);
    boxAlong(other, data, height, width, width * 4, 4, size);
  }
}

/** Widths (odd) of three boxes that together have nearly the wanted deviation. */
function boxSizes(sigma: number): [number, number, number] {
  const ideal = Math.sqrt((12 * sigma * sigma) / 3 + 1);
  const low = Math.floor(ideal) % 2 === 0 ? Math.floor(ideal) - 1 : Math.floor(ideal);
  const lows = Math.round((12 * sigma * sigma - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  return [0, 1, 2].map((index) => (index < lows ? low : low + 2)) as [number, number, number];
}

/** A running mean along one axis. `step` leads to the next pixel of a line, `next` to the next line. */
function boxAlong(
  from: Pixels['data'],
  to: Pixels['data'],
  length: number,
  lines: number,
  step: number,
  next: number,
  size: number,
): void {
  const half = (size - 1) / 2;
  const share = 1 / size;
  for (let line = 0; line < lines; line++) {
    const start = line * next;
    const last = start + (length - 1) * step;
    let r = 0;
    let g = 0;
    let b = 0;
    for (let offset = -half; offset <= half; offset++) {
      const at = start + Math.max(0, Math.min(length - 1, offset)) * step;
      r += from[at] as number;
      g += from[at + 1] as number;
      b += from[at + 2] as number;
    }
    for (let index = 0; index < length; index++) {
      const at = start + index * step;
      to[at] = (r * share + 0.5) | 0;
      to[at + 1] = (g * share + 0.5) | 0;
      to[at + 2] = (b * share + 0.5) | 0;
      to[at + 3] = 255;
      const out = index - half > 0 ? at - half * step : start;
      const into = index + half + 1 < length ? at + (half + 1) * step : last;
      r += (from[into] as number) - (from[out] as number);
      g += (from[into + 1] as number) - (from[out + 1] as number);
      b += (from[into + 2] as number) - (from[out + 2] as number);
    }
  }
}
