import { clamp } from '../values/geometry.ts';
import type { Terminal } from './schema.ts';
import { contrast, deltaE, toHex, toLch, type Lch } from '../values/colour.ts';
import { TEXT_CONTRAST, readableOn } from './readable.ts';
import type { Roles } from './roles.ts';

export const ansiNames = ['black', 'red', 'green', 'yellow', 'blue', 'magenta', 'cyan', 'white'] as const;

/** The hue that each name stands for, in degrees of OKLCH; greys have none. */
const hues = [null, 26, 145, 95, 258, 328, 200, null] as const;

/** How far a hue may lean toward one of the palette's. */
const LEAN = 14;
/** Nearer than this (ΔE OK × 100) two colours of a terminal look alike. */
export const APART = 4;

/**
 * The sixteen colours of a terminal from a palette. Each can be read on the terminal's ground, also the two blacks
 * (WCAG 4.5:1), and is told apart from the one before it and from its bright or plain counterpart.
 */
export function terminalOf(roles: Roles): Terminal {
  const ground = roles.ground;
  const isDark = toLch(ground).l < 0.6;
  const marks = [toLch(roles.accent), toLch(roles.second), toLch(roles.alert)];
  const chroma = clamp(Math.max(...marks.map(({ c }) => c)), 0.07, 0.16);
  const base = toLch(ground);
  const level = isDark
    ? { plain: 0.74, bright: 0.84, greys: [0.62, 0.86, 0.7, 0.97] }
    : { plain: 0.5, bright: 0.4, greys: [0.22, 0.52, 0.42, 0.3] };
  const grey = (l: number) => ({ l, c: Math.min(base.c, 0.02), h: base.h });
  const hued = (hue: number, l: number, more: number): Lch => ({
    l,
    c: chroma * more,
    h: leaning(hue, marks),
  });
  const wanted: Lch[] = [0, 1].flatMap((isBright) =>
    hues.map((hue, index) =>
      hue === null
        ? grey(level.greys[isBright * 2 + (index === 0 ? 0 : 1)] ?? 0.7)
        : hued(hue, isBright ? level.bright : level.plain, isBright ? 1.1 : 1),
    ),
  );
  const colours: string[] = [];
  for (const [index, colour] of wanted.entries()) {
    const near = [colours[index - 1], colours[index - 8]].filter((other) => other !== undefined);
    colours.push(apartFrom(near, colour, ground, isDark));
  }
  return { ground, ink: readableOn(roles.ink, ground), colours };
}

function leaning(hue: number, marks: readonly Lch[]): number {
  const turn = (to: number) => ((to - hue + 540) % 360) - 180;
  const [nearest] = marks.map(({ h }) => turn(h)).sort((a, b) => Math.abs(a) - Math.abs(b));
  return Math.abs(nearest ?? 180) > 40 ? hue : (hue + clamp(nearest ?? 0, -LEAN, LEAN) + 360) % 360;
}

/** The readable colour nearest to the wanted one that is none of `others`: its lightness is moved in small steps. */
function apartFrom(others: readonly string[], wanted: Lch, ground: string, isDark: boolean): string {
  const toward = isDark ? 1 : -1;
  for (let step = 0; step <= 30; step++) {
    for (const direction of step === 0 ? [0] : [toward, -toward]) {
      const colour = toHex({ ...wanted, l: clamp(wanted.l + direction * step * 0.02, 0, 1) });
      if (
        contrast(colour, ground) >= TEXT_CONTRAST &&
        others.every((other) => deltaE(colour, other) >= APART)
      )
        return colour;
    }
  }
  return readableOn(toHex(wanted), ground);
}
