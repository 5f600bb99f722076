import { deltaE } from '../values/colour.ts';
import type { Roles } from './roles.ts';
import type { Role } from '../values/roles.ts';

/** Kinds of eyes that see less than the usual. */
export const otherEyes = ['protan', 'deutan', 'tritan', 'low'] as const;
export type OtherEyes = (typeof otherEyes)[number];

export const eyesTitles: Record<OtherEyes, string> = {
  protan: 'Protanopia',
  deutan: 'Deuteranopia',
  tritan: 'Tritanopia',
  low: 'Low contrast vision',
};

/** Rows for red, green and blue of linear light. */
export type EyeMatrix = readonly (readonly [number, number, number])[];

/**
 * What dichromats see, as matrices on linear sRGB: Machado, Oliveira and Fernandes, "A Physiologically-based Model for
 * Simulation of Color Vision Deficiency" (2009), severity 1.0. Low contrast vision is no lack of a kind of cone: it is
 * shown as a veil of grey, see VEIL.
 */
export const eyeMatrices: Record<Exclude<OtherEyes, 'low'>, EyeMatrix> = {
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

/** How much of a middle grey (in sRGB) lies over what eyes of low contrast vision see, and the blur that goes with it, px. */
export const VEIL = { share: 0.45, blur: 1.1 };

const decode = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const encode = (v: number) => (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);

/** A colour (#rrggbb) as other eyes see it. */
export function seenBy(eyes: OtherEyes, hex: string): string {
  const value = parseInt(hex.slice(1), 16);
  const rgb = [16, 8, 0].map((shift) => ((value >> shift) & 255) / 255);
  const seen =
    eyes === 'low'
      ? rgb.map((v) => v * (1 - VEIL.share) + 0.5 * VEIL.share)
      : eyeMatrices[eyes].map((row) => {
          const light = row.reduce((sum, factor, index) => sum + factor * decode(rgb[index] ?? 0), 0);
          return encode(Math.max(0, Math.min(1, light)));
        });
  return `#${seen
    .map((v) =>
      Math.round(v * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/** Colours that are used side by side to mean different things. */
const told: readonly (readonly [Role, Role])[] = [
  ['accent', 'second'],
  ['accent', 'alert'],
  ['second', 'alert'],
  ['ink', 'accent'],
];

/** Nearer than this (ΔE OK × 100) two marks look alike. */
const ALIKE = 6;

/** Pairs of roles that some eyes can't tell apart though they mean different things. */
export function confusions(roles: Roles, eyes: OtherEyes): (readonly [Role, Role])[] {
  return told.filter(([a, b]) => deltaE(seenBy(eyes, roles[a]), seenBy(eyes, roles[b])) < ALIKE);
}
