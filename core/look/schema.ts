import { z } from 'zod';
import { Roles, schemeNames, Terminal } from '../colour/schema.ts';
import { Icons } from '../icons/schema.ts';
import { Pointer } from '../pointer/schema.ts';
import { FontUse, OwnFont } from '../text/schema.ts';
import { WallTime } from '../values/earth.ts';
import { field } from '../values/field.ts';
import { Finish } from '../values/finish.ts';
import { Id } from '../values/id.ts';
import { RoleName, halves, roles } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';
import { content, dress } from '../values/dress.ts';

/** When the desk is light and when it is dark. */
export const HalfBy = z.discriminatedUnion('by', [
  z.looseObject({
    by: z.literal('choice'),
    half: field(z.enum(halves), { label: 'Half', choices: { light: 'Light', dark: 'Dark' } }),
  }),
  z.looseObject({ by: z.literal('sun') }).meta({ description: 'Light while the sun is up' }),
  z.looseObject({ by: z.literal('backdrop') }).meta({
    description: 'Dark where what lies behind the first screen, as it is in the light half, is dark',
  }),
  z.looseObject({
    by: z.literal('hours'),
    light: field(WallTime.clone(), { label: 'Light from', control: 'time' }),
    dark: field(WallTime.clone(), { label: 'Dark from', control: 'time' }),
  }),
]);
export type HalfBy = TypeOf<typeof HalfBy>;

/** Fonts of one’s own that a desk may bring. */
export const MOST_FONTS = 12;

const OwnTerminal = Terminal.nullable().meta({ description: 'Null is derived from the palette' });

export const Look = dress(
  z.looseObject({
    half: field(HalfBy.clone(), {
      label: 'Light and dark',
      is: 'content',
      isWide: true,
      variants: {
        choice: { label: 'Fixed', start: { half: 'dark' } },
        sun: { label: 'By the sun', start: {} },
        backdrop: { label: 'By the backdrop', start: {} },
        hours: { label: 'By hours', start: { light: '07:00', dark: '19:00' } },
      },
    }),
    roles: z.looseObject({ light: Roles, dark: Roles }),
    held: content(
      z
        .array(RoleName)
        .max(roles.length)
        .meta({ description: 'Roles that stay when the palette is drawn anew' }),
    ),
    parted: content(
      z.boolean().meta({ description: 'A change of a role stays in the half that is looked at' }),
    ),
    follows: z.enum(schemeNames).nullable().meta({
      description:
        'The way in which the palette is drawn from what lies behind the first screen; null where it stays',
    }),
    terminal: z.looseObject({ light: OwnTerminal, dark: OwnTerminal }),
    fonts: z.looseObject({ display: FontUse, text: FontUse, figures: FontUse }),
    ownFonts: z.array(OwnFont).max(MOST_FONTS),
    icons: Icons,
    pointer: Pointer,
    finish: Finish.meta({ description: 'The finish of every part that has none of its own' }),
    finishes: content(
      z
        .array(z.looseObject({ id: Id, name: z.string().trim().min(1).max(60), finish: Finish }))
        .max(60)
        .meta({ description: 'Presets of one’s own' }),
    ),
  }),
);
export type Look = TypeOf<typeof Look>;
