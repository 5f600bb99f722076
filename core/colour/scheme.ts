import { clamp } from '../arrange/geometry.ts';
import type { Role } from '../desk/values.ts';
import { toHex, toLch, type Lch } from './convert.ts';
import type { Half, Roles } from './look.ts';
import { readableOn } from './readable.ts';
import type { Swatch } from './extract.ts';

/** Lightness of the surfaces and of the marks in each half. */
const levels = {
  dark: {
    ground: 0.17,
    surface: 0.235,
    raised: 0.3,
    ink: 0.95,
    softInk: 0.78,
    accent: [0.72, 0.88],
    alert: 0.7,
  },
  light: {
    ground: 0.955,
    surface: 0.925,
    raised: 0.985,
    ink: 0.24,
    softInk: 0.44,
    accent: [0.45, 0.6],
    alert: 0.52,
  },
} as const;

/** Hue of danger, unless the accent already stands there. */
const ALERT_HUE = 30;

/**
 * Both halves' roles from the swatches of a picture. Surfaces take the hue of the picture's large areas, marks
 * its most colourful ones. Ink and soft ink reach 4.5:1 on every surface of their half.
 */
export function drawRoles(swatches: readonly Swatch[]): Record<Half, Roles> {
  const colours = swatches.map(({ colour, share }) => ({ ...toLch(colour), share }));
  const base = weightedBase(colours);
  const marks = [...colours].sort((a, b) => colourfulness(b) - colourfulness(a));
  const accent = marks[0] ?? { l: 0.8, c: 0.1, h: 78, share: 0 };
  const second = marks.find((mark) => hueDistance(mark.h, accent.h) > 35) ?? { ...accent, h: accent.h + 40 };
  return { dark: half('dark', base, accent, second), light: half('light', base, accent, second) };
}

function half(which: Half, base: Lch, accent: Lch, second: Lch): Roles {
  const level = levels[which];
  const chroma = which === 'dark' ? clamp(base.c * 0.55, 0.012, 0.05) : clamp(base.c * 0.3, 0.006, 0.015);
  const surface = (l: number, more = 1) => toHex({ l, c: chroma * more, h: base.h });
  const mark = ({ l, c, h }: Lch) =>
    toHex({ l: clamp(l, level.accent[0], level.accent[1]), c: clamp(c, 0.07, 0.17), h });
  const alertHue = hueDistance(accent.h, ALERT_HUE) < 25 ? 10 : ALERT_HUE;
  const grounds = [surface(level.ground), surface(level.surface), surface(level.raised, 1.1)] as const;
  return {
    ground: grounds[0],
    surface: grounds[1],
    raised: grounds[2],
    ink: onAll(toHex({ l: level.ink, c: Math.min(chroma, 0.02), h: base.h }), grounds),
    softInk: onAll(toHex({ l: level.softInk, c: Math.min(chroma * 1.2, 0.03), h: base.h }), grounds),
    accent: mark(accent),
    second: mark(second),
    alert: toHex({ l: level.alert, c: 0.15, h: alertHue }),
  };
}

/** All surfaces of one half lie on one side of the ink, so that going through them in turn only moves it further away. */
function onAll(ink: string, surfaces: readonly string[]): string {
  return surfaces.reduce((colour, surface) => readableOn(colour, surface), ink);
}

/** The picture's overall hue: the mean of its colours in OKLab, by share, so that opposite hues cancel out. */
function weightedBase(colours: readonly (Lch & { share: number })[]): Lch {
  let a = 0;
  let b = 0;
  let l = 0;
  let total = 0;
  for (const { l: lightness, c, h, share } of colours) {
    const angle = (h * Math.PI) / 180;
    // Dark areas say more of a picture's mood than of its hue.
    const weight = share + 0.02;
    a += Math.cos(angle) * c * weight;
    b += Math.sin(angle) * c * weight;
    l += lightness * weight;
    total += weight;
  }
  if (total === 0) return { l: 0.5, c: 0.02, h: 325 };
  return { l: l / total, c: Math.hypot(a, b) / total, h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 };
}

/** Prefers chroma in the middle lights; a small share counts little less than a large one. */
function colourfulness({ l, c, share }: Lch & { share: number }): number {
  const middle = 1 - Math.abs(l - 0.72) * 1.1;
  return c * Math.max(0.1, middle) * Math.pow(share + 0.01, 0.12);
}

function hueDistance(a: number, b: number): number {
  const d = Math.abs(((a - b) % 360) + 360) % 360;
  return Math.min(d, 360 - d);
}

/** The surfaces that text may stand on. */
export const surfaceRoles: readonly Role[] = ['ground', 'surface', 'raised'];
