import { z } from 'zod';
import { field } from './field.ts';
import { isColourString } from './colour.ts';
import type { TypeOf } from './types.ts';

/** Colours by purpose. A part names a role; the half of the look in force says which colour that is. */
export const roles = ['ground', 'surface', 'raised', 'ink', 'softInk', 'accent', 'second', 'alert'] as const;
export type Role = (typeof roles)[number];
export const roleTitles: Record<Role, string> = {
  ground: 'Ground',
  surface: 'Surface',
  raised: 'Raised',
  ink: 'Ink',
  softInk: 'Soft ink',
  accent: 'Accent',
  second: 'Second',
  alert: 'Alert',
};

export const RoleName = z.enum(roles);

export const FixedColour = z
  .string()
  .max(80)
  .refine(isColourString, { message: 'is not a colour: write #rrggbb or oklch(…)' })
  .meta({ description: 'A hex or OKLCH colour' });

/** A role, or a one-off colour. */
export const Colour = z.union([RoleName, FixedColour]);
export type Colour = z.infer<typeof Colour>;

export function isRole(colour: string): colour is Role {
  return (roles as readonly string[]).includes(colour);
}

export const halves = ['light', 'dark'] as const;
export type Half = (typeof halves)[number];

function by(most: number, label: string) {
  return field(z.number().min(-most).max(most), { label, control: 'slider', step: 0.5, decimals: 1 });
}

/**
 * A role as a step from another one of the same half. In OKLab: `lighter` is added to the lightness (0 to 100),
 * `more` hundredths to the chroma, and `warmer` hundredths toward orange, or away from it when negative.
 */
export const Step = z.looseObject({
  from: RoleName,
  lighter: by(100, 'Lighter'),
  more: by(40, 'More'),
  warmer: by(40, 'Warmer'),
});
export type Step = TypeOf<typeof Step>;

export const RoleValue = z.union([FixedColour, Step]);
export type RoleValue = string | Step;
