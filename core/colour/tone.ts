import { hexOf, toHex, toLch } from '../values/colour.ts';
import { TEXT_CONTRAST } from './readable.ts';

/**
 * How dark and how light it is somewhere, each as the grey (0 to 255, sRGB) of the same luminance: one in twenty of what
 * lies there is darker, and one in twenty lighter.
 */
export interface Tone {
  dark: number;
  light: number;
}

/** Which way from a tone colours lie that can be read on it. */
export type Way = 'lighter' | 'darker';

/** sRGB byte to linear light (WCAG 2.2, relative luminance). */
const LINEAR = Float32Array.from({ length: 256 }, (_, value) => linear(value));

function linear(value: number): number {
  const v = value / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
}

/** The relative luminance (0 to 1) of a colour in bytes. */
export function luminance(r: number, g: number, b: number): number {
  return 0.2126 * (LINEAR[r] as number) + 0.7152 * (LINEAR[g] as number) + 0.0722 * (LINEAR[b] as number);
}

/** The grey (0 to 255, not rounded) of a luminance. */
export function greyOf(light: number): number {
  return 255 * (light <= 0.0031308 ? light * 12.92 : 1.055 * light ** (1 / 2.4) - 0.055);
}

/** The contrast ratio of two luminances (WCAG 2.2). */
export function ratioOf(one: number, other: number): number {
  return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
}

/** The luminance of a #rrggbb colour. */
function luminanceOf(hex: string): number {
  const value = parseInt(hex.slice(1, 7), 16);
  return luminance(value >> 16, (value >> 8) & 255, value & 255);
}

/** The contrast that a colour (hex) has with all but the worst twentieth of a tone. */
export function contrastOver(hex: string, { dark, light }: Tone): number {
  const own = luminanceOf(hex);
  const [low, high] = [linear(dark), linear(light)];
  // What lies between the two meets its own lightness somewhere.
  if (own > low && own < high) return 1;
  return Math.min(ratioOf(own, low), ratioOf(own, high));
}

const ENDS: Record<Way, string> = { lighter: '#ffffff', darker: '#000000' };

/** Which way ink (hex) goes from a tone: to where it lies by itself, or else to where its lightness is moved least. */
export function wayOver(ink: string, tone: Tone): Way {
  const reads = (way: Way) => contrastOver(ENDS[way], tone);
  const ways = (['lighter', 'darker'] as const).filter((way) => reads(way) >= TEXT_CONTRAST);
  if (ways.length === 1) return ways[0] as Way;
  if (ways.length === 0) return reads('lighter') >= reads('darker') ? 'lighter' : 'darker';
  const from = toLch(ink).l;
  const moved = (way: Way) => Math.abs(toLch(readableOver(ink, tone, way)).l - from);
  return moved('lighter') <= moved('darker') ? 'lighter' : 'darker';
}

/**
 * The colour (hex) of a part over a tone: as it is where it has the contrast that it needs, else with its lightness moved
 * that way as little as gives it what is `wished`; black or white where nothing does.
 */
export function readableOver(
  wanted: string,
  tone: Tone,
  way: Way,
  { needed = TEXT_CONTRAST, wished = needed }: { needed?: number; wished?: number } = {},
): string {
  const start = hexOf(wanted);
  if (contrastOver(start, tone) >= needed) return start;
  // Beyond a tone, its nearer end is all that counts.
  return moved(start, way, way === 'lighter' ? tone.light : tone.dark, wished);
}

const known = new Map<string, string>();
const MOST = 5000;

/** A colour (hex) with its lightness moved beyond a grey, by as little as has such a contrast; or the end of the way. */
function moved(start: string, way: Way, grey: number, wished: number): string {
  const key = `${start} ${way} ${grey} ${wished}`;
  let answer = known.get(key);
  if (answer === undefined) {
    if (known.size >= MOST) known.clear();
    known.set(key, (answer = search(start, way, linear(grey), wished)));
  }
  return answer;
}

function search(start: string, way: Way, edge: number, wished: number): string {
  const from = toLch(start);
  let answer = ENDS[way];
  let near = from.l;
  let far = way === 'lighter' ? 1 : 0;
  for (let step = 0; step < 12; step++) {
    const middle = (near + far) / 2;
    const candidate = toHex({ ...from, l: middle });
    const own = luminanceOf(candidate);
    if (own > edge === (way === 'lighter') && ratioOf(own, edge) >= wished) {
      answer = candidate;
      far = middle;
    } else {
      near = middle;
    }
  }
  return answer;
}
