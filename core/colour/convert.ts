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

export function isColourString(text: string): boolean {
  return /^#([0-9a-f]{6}|[0-9a-f]{3})$/i.test(text) || (/^oklch\(/i.test(text) && parse(text) !== undefined);
}

/** A hex or OKLCH string as OKLCH; throws on text that is no colour. */
export function toLch(colour: string): Lch {
  const parsed = toOklch(parse(colour));
  if (!parsed) throw new Error(`Not a colour: ${colour}`);
  return { l: parsed.l, c: parsed.c, h: parsed.h ?? 0 };
}

/** OKLab of a hex or OKLCH string, as [L, a, b]. */
export function toLab(colour: string): [number, number, number] {
  const lab = toOklab(parse(colour));
  if (!lab) throw new Error(`Not a colour: ${colour}`);
  return [lab.l, lab.a, lab.b];
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
  const wanted: Oklch = { mode: 'oklch', l: Math.max(0, Math.min(1, l)), c: Math.max(0, c), h };
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
