import { z } from 'zod';
import { isColourString } from '../colour/convert.ts';
import { sides } from '../arrange/geometry.ts';

/** A type without the index signatures that loose objects bring: code names the fields that it knows. */
export type Closed<T> = T extends (infer U)[]
  ? Closed<U>[]
  : T extends object
    ? { [K in keyof T as string extends K ? never : number extends K ? never : K]: Closed<T[K]> }
    : T;
export type TypeOf<S extends z.ZodType> = Closed<z.infer<S>>;

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
export const Colour = z.union([RoleName, FixedColour]).meta({ control: 'colour' });
export type Colour = z.infer<typeof Colour>;

export function isRole(colour: string): colour is Role {
  return (roles as readonly string[]).includes(colour);
}

export const halves = ['light', 'dark'] as const;
export type Half = (typeof halves)[number];

/**
 * A role as a step from another one of the same half. In OKLab: `lighter` is added to the lightness (0 to 100),
 * `more` hundredths to the chroma, and `warmer` hundredths toward orange, or away from it when negative.
 */
export const Step = z.looseObject({
  from: RoleName,
  lighter: z.number().min(-100).max(100),
  more: z.number().min(-40).max(40),
  warmer: z.number().min(-40).max(40),
});
export type Step = TypeOf<typeof Step>;

export const RoleValue = z.union([FixedColour, Step]);
export type RoleValue = string | Step;

export const finishKinds = ['bare', 'matte', 'sheer', 'frosted'] as const;
export type FinishKind = (typeof finishKinds)[number];

/** How a surface is made. */
export const Finish = z.looseObject({
  kind: z.enum(finishKinds),
  tint: Colour,
  sheerness: z.number().min(0).max(100).meta({ description: 'How much shows through, in percent' }),
  blur: z.number().min(0).max(60).meta({ description: 'px, of what lies beneath; frosted only' }),
  radius: z.number().min(0).max(80).meta({ description: 'Corner radius in px' }),
  edgeLine: z.number().min(0).max(8).meta({ description: 'Width of the line around, in px' }),
  shadow: z.number().min(0).max(100).meta({ description: 'Depth of the shadow, in percent' }),
});
export type Finish = TypeOf<typeof Finish>;

export const points = [
  'top-left',
  'top',
  'top-right',
  'left',
  'centre',
  'right',
  'bottom-left',
  'bottom',
  'bottom-right',
] as const;
export type NinePoint = (typeof points)[number];

export const Side = z.enum(sides);
export const alignments = ['start', 'centre', 'end'] as const;
export const Alignment = z.enum(alignments);
export type Alignment = z.infer<typeof Alignment>;

export const Id = z.string().min(1).max(64);
const Offset = z.number().min(-20000).max(20000);

/** What a part's position is measured from. */
export const Hanging = z.discriminatedUnion('from', [
  z.looseObject({
    from: z.enum(['free', 'screen']).meta({ description: 'The free area, or the whole screen' }),
    screen: Id,
    point: z.enum(points),
  }),
  z.looseObject({
    from: z.literal('part'),
    part: Id.meta({ description: 'A widget or an edge on the same screen' }),
    side: Side.meta({ description: 'The side of the neighbour on which the part stands' }),
    align: Alignment,
  }),
]);
export type Hanging = TypeOf<typeof Hanging>;

/**
 * Where a widget is. Offsets point inward from a corner or side, rightward and downward from a middle, and
 * away from a neighbour.
 */
export const Place = z.looseObject({ hangs: Hanging, x: Offset, y: Offset });
export type Place = TypeOf<typeof Place>;

/** The variable families that are shipped, by what they are good for. */
export const familyTitles = {
  fraunces: 'Fraunces',
  newsreader: 'Newsreader',
  petrona: 'Petrona',
  'bricolage-grotesque': 'Bricolage Grotesque',
  unbounded: 'Unbounded',
  figtree: 'Figtree',
  'hanken-grotesk': 'Hanken Grotesk',
  commissioner: 'Commissioner',
  outfit: 'Outfit',
  recursive: 'Recursive',
  'spline-sans-mono': 'Spline Sans Mono',
  'martian-mono': 'Martian Mono',
} as const;
export type ShippedFamily = keyof typeof familyTitles;
export const families = Object.keys(familyTitles) as ShippedFamily[];

/** Names a file of one's own by the SHA-256 of its bytes. */
const OWN = /^own:[0-9a-f]{64}$/;
export const OwnFile = z
  .string()
  .regex(OWN)
  .transform((text) => text as `own:${string}`)
  .meta({ description: 'A file of one’s own, as own: and the SHA-256 of its bytes' });

/** A shipped family, or one of one's own. */
export const Family = z.union([z.enum(families as [ShippedFamily, ...ShippedFamily[]]), OwnFile]);
export type Family = z.infer<typeof Family>;

export function isOwn(name: string): name is `own:${string}` {
  return OWN.test(name);
}

/** A time of day on the wall. */
export const WallTime = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'is not a time of day, such as 07:30' });

export const GeoPlace = z.looseObject({
  name: z.string().max(120),
  latitude: z.number().min(-90).max(90),
  longitude: z.number().min(-180).max(180),
  zone: z
    .string()
    .max(64)
    .refine(isZone, { message: 'is not a time zone, such as Europe/London' })
    .meta({ description: 'IANA time zone' }),
});
export type GeoPlace = TypeOf<typeof GeoPlace>;

export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
