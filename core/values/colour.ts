import { clamp } from './geometry.ts';
import {
  clampChroma,
  converter,
  formatHex,
  interpolate,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  parse,
  useMode as registerMode,
  wcagContrast,
  type Oklab,
  type Oklch,
} from 'culori/fn';

registerMode(modeRgb);
registerMode(modeLrgb);
registerMode(modeOklab);
registerMode(modeOklch);

const toOklch = converter('oklch');
const toOklab = converter('oklab');
const toRgb = converter('rgb');

/** Half a step of 8 bits. */
const ROUNDING = 0.002;

/** Lightness 0 to 1, chroma 0 to about 0.37, hue in degrees. */
export interface Lch {
  l: number;
  c: number;
  h: number;
}

/** More chroma than any colour that can be seen has; more is not taken, and asks for endless work elsewhere. */
const MOST_CHROMA = 1;
const MOST_TURN = 3600;

/** A hex or OKLCH colour whose amounts are all finite and within what a colour can have. */
export function isColourString(text: string): boolean {
  if (/^#([0-9a-f]{6}|[0-9a-f]{3})$/i.test(text)) return true;
  if (!/^oklch\(/i.test(text)) return false;
  const parsed = parse(text);
  if (parsed?.mode !== 'oklch') return false;
  // A component that is written as none counts as 0.
  const { l = 0, c = 0, h = 0, alpha = 1 } = parsed as Partial<Oklch>;
  const isWithin = (value: number, low: number, high: number) => value >= low && value <= high;
  return (
    isWithin(l, 0, 1) &&
    isWithin(c, 0, MOST_CHROMA) &&
    isWithin(h, -MOST_TURN, MOST_TURN) &&
    isWithin(alpha, 0, 1)
  );
}

/** A hex or OKLCH string as OKLCH; throws on text that is no colour. */
export function toLch(colour: string): Lch {
  const parsed = toOklch(parse(colour)) as Partial<Oklch> | undefined;
  if (!parsed) throw new Error(`Not a colour: ${colour}`);
  return { l: parsed.l ?? 0, c: parsed.c ?? 0, h: parsed.h ?? 0 };
}

/** OKLab of a hex or OKLCH string, as [L, a, b]. */
export function toLab(colour: string): [number, number, number] {
  const lab = toOklab(parse(colour)) as Partial<Oklab> | undefined;
  if (!lab) throw new Error(`Not a colour: ${colour}`);
  return [lab.l ?? 0, lab.a ?? 0, lab.b ?? 0];
}

/** OKLab as #rrggbb, with less chroma where sRGB has no such colour. */
export function fromLab([l, a, b]: readonly [number, number, number]): string {
  return toHex({ l, c: Math.hypot(a, b), h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 });
}

/** Bytes of a #rrggbb colour. */
export function toBytes(hex: string): [number, number, number] {
  const value = parseInt(hex.slice(1, 7), 16);
  return [value >> 16, (value >> 8) & 255, value & 255];
}

/** The nearest sRGB colour with the same lightness and hue, as #rrggbb. */
export function toHex({ l, c, h }: Lch): string {
  if (![l, c, h].every(Number.isFinite)) throw new RangeError(`Not a colour: oklch(${l} ${c} ${h})`);
  // The search for the most chroma that there is takes longer the further away it begins.
  const wanted: Oklch = { mode: 'oklch', l: clamp(l, 0, 1), c: clamp(c, 0, MOST_CHROMA), h };
  // On the very edge of sRGB rounding alone leads out of it: that is cut off, not taken for a loss of chroma.
  const rgb = toRgb(wanted);
  const isInside = [rgb.r, rgb.g, rgb.b].every((channel) => channel > -ROUNDING && channel < 1 + ROUNDING);
  return formatHex(isInside ? rgb : clampChroma(wanted, 'oklch'));
}

/** Any colour string of a desk as #rrggbb. */
export function hexOf(colour: string): string {
  return /^#[0-9a-f]{6}$/i.test(colour) ? colour.toLowerCase() : toHex(toLch(colour));
}

/** WCAG 2.2 contrast ratio, 1 to 21. */
export function contrast(a: string, b: string): number {
  return wcagContrast(a, b);
}

/** Distance in OKLab, times 100. */
export function deltaE(a: string, b: string): number {
  const [l1, a1, b1] = toLab(a);
  const [l2, a2, b2] = toLab(b);
  return Math.hypot(l1 - l2, a1 - a2, b1 - b2) * 100;
}

/** A hex colour with an opacity of 0 to 1, as #rrggbbaa. */
export function withOpacity(hex: string, opacity: number): string {
  return (
    hex +
    Math.round(Math.max(0, Math.min(1, opacity)) * 255)
      .toString(16)
      .padStart(2, '0')
  );
}

/** The colour a part of the way (0 to 1) from one hex colour to another, through OKLab. */
export function mix(from: string, to: string, part: number): string {
  return formatHex(interpolate([from, to], 'oklab')(part));
}
