import { z } from 'zod';
import { field } from '../values/field.ts';
import { OwnFile } from '../values/family.ts';
import { lookUp } from '../values/look-up.ts';
import { Name } from '../values/name.ts';
import { refers } from '../values/references.ts';
import { Colour } from '../values/roles.ts';
import { signNames } from './names.ts';
import type { TypeOf } from '../values/types.ts';

export const iconSets = ['reed', 'slate', 'shell'] as const;
export type IconSetName = (typeof iconSets)[number];
export const setTitles: Record<IconSetName, string> = { reed: 'Reed', slate: 'Slate', shell: 'Shell' };
const iconStyles = ['line', 'filled', 'duo'] as const;
export type IconStyle = (typeof iconStyles)[number];
/** The styles that each set is drawn in. */
export const stylesOf: Record<IconSetName, readonly IconStyle[]> = {
  reed: ['line'],
  slate: ['line', 'filled'],
  shell: ['line', 'filled', 'duo'],
};
export const tileShapes = ['none', 'circle', 'rounded', 'square', 'hexagon'] as const;

function stylesBeside({ set }: Readonly<Record<string, unknown>>): readonly IconStyle[] {
  return lookUp(stylesOf, String(set)) ?? [];
}

/** In which colours icons are drawn: as they are, or in others. */
export const Ink = z.discriminatedUnion('way', [
  z.looseObject({ way: z.literal('plain') }).meta({ description: 'As they are' }),
  z.looseObject({
    way: z.literal('tint'),
    colour: field(Colour.clone(), { label: 'Towards', control: 'colour' }),
    amount: field(z.number().int().min(0).max(100).meta({ description: 'percent' }), {
      label: 'Amount',
      unit: '%',
      control: 'slider',
    }),
  }),
  z.looseObject({
    way: z.literal('two'),
    dark: field(Colour.clone(), { label: 'Dark tone', control: 'colour' }),
    light: field(Colour.clone(), { label: 'Light tone', control: 'colour' }),
  }),
  z.looseObject({
    way: z.literal('one'),
    ink: field(Colour.clone(), { label: 'Ink', control: 'colour' }),
  }),
]);
export type Ink = TypeOf<typeof Ink>;

const plainInk: Ink = { way: 'plain' };

/** Letters of a style's name. */
const MOST_STYLE = 120;

/** A set from files: of what it has nothing for, one of ours is drawn. */
const OwnSet = z.looseObject({
  set: refers(OwnFile.clone(), 'icon-set'),
  name: Name,
  style: z
    .string()
    .max(MOST_STYLE)
    .meta({ description: 'One of its styles by name; the first where it has none such' }),
});
export type OwnSet = TypeOf<typeof OwnSet>;

/** Which set is drawn, how and in which colours. What a look that was kept before doesn't say yet is as it was then. */
const worn = {
  set: z.enum(iconSets),
  style: field(z.enum(iconStyles), {
    label: 'Style',
    choices: { line: 'Line', filled: 'Filled', duo: 'Two-tone' },
    choicesFor: stylesBeside,
    isWide: true,
    when: (values) => stylesBeside(values).length > 1,
  }),
  own: OwnSet.nullable().default(null).meta({ description: 'A set of one’s own, drawn before ours' }),
  ink: field(Ink.default(plainInk), {
    label: 'Icon colour',
    also: 'tint recolour recolor monochrome duotone colourise icon pack',
    isWide: true,
    variants: {
      plain: { label: 'Plain', start: {} },
      tint: { label: 'Tinted', start: { colour: 'accent', amount: 60 } },
      two: { label: 'Two-toned', start: { dark: 'second', light: 'accent' } },
      one: { label: 'One ink', start: { ink: 'ink' } },
    },
  }),
};
const Worn = z.looseObject(worn);
export type WornIcons = TypeOf<typeof Worn>;

/** Signs that a desk may have of its own beside a set. */
export const MOST_BY_HAND = 200;

export const Icons = z.looseObject({
  ...worn,
  dark: Worn.nullable()
    .default(null)
    .meta({ description: 'What is drawn in the dark half, where that is something else' }),
  byHand: z
    .array(
      z.looseObject({
        name: z.enum(signNames),
        icon: refers(OwnFile.clone(), 'picture'),
      }),
    )
    .max(MOST_BY_HAND)
    .default([])
    .meta({ description: 'Pictures of one’s own for single signs, whichever set is drawn' }),
  tile: field(z.enum(tileShapes), {
    label: 'Shape',
    choices: {
      none: 'None: bare',
      circle: 'Circle',
      rounded: 'Rounded',
      square: 'Square',
      hexagon: 'Hexagon',
    },
  }),
  tileColour: field(
    z
      .union([Colour, z.literal('application')])
      .meta({ description: 'A colour, or one for each application' }),
    {
      label: 'Colour',
      control: 'colour',
      instead: { word: 'application', label: 'One for each', off: 'raised' },
      when: ({ tile }) => tile !== 'none',
    },
  ),
});
export type Icons = TypeOf<typeof Icons>;

/** Icons of one of our sets, with nothing of one's own. */
export function ourIcons(look: Pick<Icons, 'set' | 'style' | 'tile' | 'tileColour'>): Icons {
  return { ...look, own: null, ink: plainInk, dark: null, byHand: [] };
}

/** What is drawn of a set, in a few words. */
export const toldIcons = ({ set, own, tile }: Pick<Icons, 'set' | 'own' | 'tile'>): string =>
  `${own?.name ?? setTitles[set]}, ${tile === 'none' ? 'bare' : `${tile} tiles`}`;
