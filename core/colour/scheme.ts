import { clamp } from '../values/geometry.ts';
import type { Half, Role } from '../values/roles.ts';
import { deltaE, toHex, toLch, type Lch } from '../values/colour.ts';
import { otherEyes, seenBy } from './eyes.ts';
import type { Roles } from './roles.ts';
import type { SchemeName } from './schema.ts';
import { APCA_BODY, apcaContrast } from './apca.ts';
import { reachesWcag, readableOn, type Readable } from './readable.ts';
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
    marks: [0.5, 0.97],
  },
  light: {
    ground: 0.955,
    surface: 0.925,
    raised: 0.985,
    ink: 0.24,
    softInk: 0.44,
    accent: [0.45, 0.6],
    alert: 0.52,
    marks: [0.28, 0.8],
  },
} as const;

/** Hue of danger, unless the accent already stands there. */
const ALERT_HUE = 30;

interface Scheme {
  title: string;
  /** Chroma of surfaces, as a multiple of what is usual. */
  surface: number;
  /** The least and most chroma of accent and second. */
  mark: readonly [number, number];
  /** Where the second comes from: another swatch, the accent's hue, or the one across from it. */
  second: 'swatch' | 'accent' | 'across';
  /** Which hue the surfaces take. */
  hue: 'picture' | 'accent' | 'second';
}

export const schemes: Record<SchemeName, Scheme> = {
  calm: { title: 'Calm', surface: 1, mark: [0.07, 0.13], second: 'swatch', hue: 'picture' },
  vivid: { title: 'Vivid', surface: 1.7, mark: [0.13, 0.24], second: 'swatch', hue: 'picture' },
  muted: { title: 'Muted', surface: 0.45, mark: [0.02, 0.05], second: 'swatch', hue: 'picture' },
  single: { title: 'Single hue', surface: 1.2, mark: [0.07, 0.16], second: 'accent', hue: 'accent' },
  two: { title: 'Two hues', surface: 1.3, mark: [0.09, 0.17], second: 'swatch', hue: 'second' },
  opposite: { title: 'Opposite', surface: 1.1, mark: [0.09, 0.17], second: 'across', hue: 'accent' },
};

/**
 * Both halves' roles from the swatches of a picture. Surfaces take the hue of the picture's large areas (or as the
 * scheme says), marks its most colourful ones. Ink and soft ink reach WCAG 4.5:1 and APCA Lc 60 on every surface of
 * their half.
 */
export function drawRoles(swatches: readonly Swatch[], scheme: SchemeName = 'calm'): Record<Half, Roles> {
  const colours = swatches.map(({ colour, share }) => ({ ...toLch(colour), share }));
  // Close to black the least difference of channels is much chroma, and none that is seen.
  if (!colours.some(({ l, c }) => c * Math.min(1, l / 0.25) > GREY)) return greyRoles(schemes[scheme]);
  const base = weightedBase(colours);
  const marks = [...colours].sort((a, b) => colourfulness(b) - colourfulness(a));
  const accent = marks[0] ?? CHOSEN;
  const { second: from, hue } = schemes[scheme];
  const second = {
    swatch: marks.find((mark) => hueDistance(mark.h, accent.h) > 35) ?? { ...accent, h: accent.h + 40 },
    accent: { ...accent, c: accent.c * 0.6 },
    across: { ...accent, h: (accent.h + 180) % 360 },
  }[from];
  const ground = { ...base, h: { picture: base.h, accent: accent.h, second: second.h }[hue] };
  const draw = (which: Half) => half(which, ground, accent, second, schemes[scheme]);
  return { dark: draw('dark'), light: draw('light') };
}

/** Up to this chroma a colour is a grey: what hue it has is chance. */
const GREY = 0.02;
/** The accent of what has no colour to take one from. */
const CHOSEN: Lch = { l: 0.8, c: 0.105, h: 78 };

/** Greys, and one accent that is chosen: a picture without colour has no hue for its roles. */
function greyRoles(scheme: Scheme): Record<Half, Roles> {
  const grey = { l: 0.6, c: 0, h: CHOSEN.h };
  const draw = (which: Half) => half(which, grey, CHOSEN, grey, scheme);
  return { dark: draw('dark'), light: draw('light') };
}

function half(
  which: Half,
  base: Lch,
  accent: Lch,
  second: Lch,
  { surface: more, mark: range }: Scheme,
): Roles {
  const level = levels[which];
  const usual =
    more * (which === 'dark' ? clamp(base.c * 0.55, 0.012, 0.05) : clamp(base.c * 0.3, 0.006, 0.015));
  const chroma = base.c === 0 ? 0 : usual;
  const surface = (l: number) => toHex({ l, c: chroma, h: base.h });
  const mark = ({ l, c, h }: Lch): Lch => ({
    l: clamp(l, level.accent[0], level.accent[1]),
    c: c === 0 ? 0 : clamp(c, range[0], range[1]),
    h,
  });
  const accentColour = toHex(mark(accent));
  const secondColour = tellApart(mark(second), [accentColour], level.marks);
  const alertHue = hueDistance(accent.h, ALERT_HUE) < 25 ? 10 : ALERT_HUE;
  const grounds = [surface(level.ground), surface(level.surface), surface(level.raised)] as const;
  return {
    ground: grounds[0],
    surface: grounds[1],
    raised: grounds[2],
    ink: onAll(toHex({ l: level.ink, c: Math.min(chroma, 0.02), h: base.h }), grounds),
    softInk: onAll(toHex({ l: level.softInk, c: Math.min(chroma * 1.2, 0.03), h: base.h }), grounds),
    accent: accentColour,
    second: secondColour,
    alert: tellApart({ l: level.alert, c: 0.15, h: alertHue }, [accentColour, secondColour], level.marks),
  };
}

/** Distances (ΔE OK × 100) that marks keep from one another, to the usual eyes and to others. */
const MARKS_APART = { usual: 12, others: 6 } as const;
const dichromats = otherEyes.filter((eyes) => eyes !== 'low');

function areApart(a: string, b: string): boolean {
  return (
    deltaE(a, b) >= MARKS_APART.usual &&
    dichromats.every((eyes) => deltaE(seenBy(eyes, a), seenBy(eyes, b)) >= MARKS_APART.others)
  );
}

/** Steps by which a mark is moved away from others: in lightness, as a factor of chroma, and in degrees of hue. */
const moves = [-1, 1].flatMap((sign) => Array.from({ length: 14 }, (_, step) => sign * step * 0.03));
const fades = [1, 1.3, 0.7, 0.4];
const turns = [0, 12, -12, 24, -24, 40, -40];

/** The colour nearest to the wanted one that can be told from all others: lighter or darker first, then of another hue. */
function tellApart(wanted: Lch, others: readonly string[], [low, high]: readonly [number, number]): string {
  let best = { cost: Infinity, colour: toHex(wanted) };
  for (const turn of wanted.c === 0 ? [0] : turns) {
    for (const fade of wanted.c === 0 ? [1] : fades) {
      for (const move of moves) {
        const l = clamp(wanted.l + move, low, high);
        const cost = Math.abs(l - wanted.l) * 3 + Math.abs(fade - 1) * 0.5 + (Math.abs(turn) / 40) * 0.9;
        if (cost >= best.cost) continue;
        const colour = toHex({ l, c: wanted.c * fade, h: wanted.h + turn });
        if (others.every((other) => areApart(colour, other))) best = { cost, colour };
      }
    }
  }
  return best.colour;
}

const isBodyText: Readable = (text, surface) =>
  reachesWcag(text, surface) && Math.abs(apcaContrast(text, surface)) >= APCA_BODY;

/** All surfaces of one half lie on one side of the ink, so that going through them in turn only moves it further away. */
function onAll(ink: string, surfaces: readonly string[]): string {
  return surfaces.reduce((colour, surface) => readableOn(colour, surface, isBodyText), ink);
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
