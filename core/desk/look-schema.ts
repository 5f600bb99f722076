import { z } from 'zod';
import {
  Colour,
  Family,
  Finish,
  FixedColour,
  Id,
  OwnFile,
  RoleName,
  RoleValue,
  WallTime,
  halves,
  roles,
  type Role,
  type TypeOf,
} from './values.ts';

const roleShape = Object.fromEntries(roles.map((role) => [role, RoleValue])) as Record<
  Role,
  typeof RoleValue
>;
const Roles = z.looseObject(roleShape);

/** When the desk is light and when it is dark. */
export const HalfBy = z.discriminatedUnion('by', [
  z.looseObject({ by: z.literal('choice'), half: z.enum(halves) }),
  z.looseObject({ by: z.literal('sun') }).meta({ description: 'Light while the sun is up' }),
  z.looseObject({ by: z.literal('hours'), light: WallTime, dark: WallTime }),
]);
export type HalfBy = TypeOf<typeof HalfBy>;

export const uses = ['display', 'text', 'figures'] as const;
export type Use = (typeof uses)[number];

export const FontUse = z.looseObject({
  family: Family,
  size: z.number().min(50).max(200).meta({ description: 'Percent of what each part sets' }),
  weight: z.number().min(-400).max(400).meta({ description: 'Added to what each part sets' }),
  spacing: z.number().min(-10).max(30).meta({ description: 'Hundredths of an em, added between letters' }),
});
export type FontUse = TypeOf<typeof FontUse>;

/** Advance widths in em at each of some weights, by character. */
export const FontMetrics = z.looseObject({
  weights: z.array(z.number().min(1).max(1000)).min(1).max(20),
  advances: z.record(z.string().max(4), z.array(z.number().min(0).max(20)).max(20)),
});
export type FontMetrics = TypeOf<typeof FontMetrics>;

const OwnFont = z.looseObject({ id: OwnFile, name: z.string().max(120), metrics: FontMetrics });
export type OwnFont = TypeOf<typeof OwnFont>;

export const iconSets = ['reed', 'slate', 'shell'] as const;
export type IconSetName = (typeof iconSets)[number];
export const iconStyles = ['line', 'filled', 'duo'] as const;
export type IconStyle = (typeof iconStyles)[number];
/** The styles that each set is drawn in. */
export const stylesOf: Record<IconSetName, readonly IconStyle[]> = {
  reed: ['line'],
  slate: ['line', 'filled'],
  shell: ['line', 'filled', 'duo'],
};
export const tileShapes = ['none', 'circle', 'rounded', 'square', 'hexagon'] as const;

const Icons = z.looseObject({
  set: z.enum(iconSets),
  style: z.enum(iconStyles),
  tile: z.enum(tileShapes),
  tileColour: z
    .union([Colour, z.literal('application')])
    .meta({ description: 'A colour, or one for each application' }),
});
export type Icons = TypeOf<typeof Icons>;

export const pointerSets = ['quill', 'pebble', 'ring'] as const;
export type PointerSetName = (typeof pointerSets)[number];
const Pointer = z.looseObject({
  set: z.enum(pointerSets),
  size: z.number().min(16).max(96).meta({ description: 'px' }),
  colour: Colour,
});
export type Pointer = TypeOf<typeof Pointer>;

/** The colours of a terminal: sixteen by ANSI number, and the two that they stand between. */
export const Terminal = z.looseObject({
  ground: FixedColour,
  ink: FixedColour,
  colours: z.array(FixedColour).length(16),
});
export type Terminal = TypeOf<typeof Terminal>;

const OwnTerminal = Terminal.nullable().meta({ description: 'Null is derived from the palette' });

export const Look = z.looseObject({
  half: HalfBy,
  roles: z.looseObject({ light: Roles, dark: Roles }),
  held: z
    .array(RoleName)
    .max(roles.length)
    .meta({ description: 'Roles that stay when the palette is drawn anew' }),
  terminal: z.looseObject({ light: OwnTerminal, dark: OwnTerminal }),
  fonts: z.looseObject({ display: FontUse, text: FontUse, figures: FontUse }),
  ownFonts: z.array(OwnFont).max(12),
  icons: Icons,
  pointer: Pointer,
  finish: Finish.meta({ description: 'The finish of every part that has none of its own' }),
  finishes: z
    .array(z.looseObject({ id: Id, name: z.string().trim().min(1).max(60), finish: Finish }))
    .max(60)
    .meta({ description: 'Presets of one’s own' }),
});
export type Look = TypeOf<typeof Look>;

/** A family as it is set by nobody. */
export function plainUse(family: Family): FontUse {
  return { family, size: 100, weight: 0, spacing: 0 };
}
