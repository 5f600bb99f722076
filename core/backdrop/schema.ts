import { z } from 'zod';
import { factsOf, motifNames } from './names.ts';
import { Colour, halves } from '../values/roles.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { WallTime } from '../values/earth.ts';
import type { TypeOf } from '../values/types.ts';
import { refers } from '../values/references.ts';
import { dress, place } from '../values/dress.ts';

const Share = z.number().min(0).max(1);
/** A share of the way as percent. */
const share = (label: string) =>
  field(Share.clone(), { label, unit: '%', control: 'slider', per: 100, decimals: 0 });
/** 0 to 100. */
export const Percent = z.number().min(0).max(100);
const Seed = z
  .number()
  .int()
  .min(0)
  .max(2 ** 31 - 1);

export const Motif = z.looseObject({
  kind: z.literal('motif'),
  motif: z.enum(motifNames),
  seed: Seed,
  colours: field(
    z.enum(['own', 'palette']).meta({ description: 'Its own colours, or those of the palette' }),
    { label: 'Colours', choices: { own: 'Its own', palette: 'The palette’s' } },
  ),
  controls: z
    .record(z.string().max(40), Percent)
    .meta({ description: 'The motif’s controls, 0 to 100; those left out stand where they start' }),
  follows: field(
    z.boolean().meta({ description: 'Whether sun, moon and fog follow the moment, where it has them' }),
    { label: 'Follows', hint: 'Sun, moon and fog are those of the moment' },
  ),
});
export type Motif = TypeOf<typeof Motif>;

export const fits = ['cover', 'contain', 'stretch', 'tile', 'centre'] as const;
export type Fit = (typeof fits)[number];

export const Picture = z.looseObject({
  kind: z.literal('picture'),
  picture: refers(
    field(
      z
        .string()
        .regex(/^[0-9a-f]{64}$/)
        .meta({ description: 'SHA-256 of the picture file' }),
      { label: 'Picture', control: 'picture', isWide: true },
    ),
    'picture',
  ),
  name: z.string().max(200),
  fit: field(z.enum(fits), {
    label: 'Fit',
    choices: {
      cover: 'Covers the screen',
      contain: 'Whole, with borders',
      stretch: 'Stretched',
      tile: 'Tiles',
      centre: 'Pixel for pixel',
    },
  }),
  focal: field(
    z
      .looseObject({ x: share('Focus across'), y: share('Focus down') })
      .meta({ description: 'What stays in view when the picture is cut' }),
    { label: 'Focal point', hint: 'What stays in view where the picture is cut' },
  ),
  turn: field(
    z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]).meta({ description: 'Clockwise' }),
    { label: 'Rotation', control: 'turn' },
  ),
  mirror: field(z.boolean(), { label: 'Mirror' }),
});
export type Picture = TypeOf<typeof Picture>;

export const GradientPoint = z.looseObject({
  at: share('Position'),
  colour: field(Colour.clone(), { label: 'Colour', control: 'colour' }),
});

export type GradientPoint = TypeOf<typeof GradientPoint>;

export const Gradient = z.looseObject({
  kind: z.literal('gradient'),
  shape: field(z.enum(['linear', 'radial']), {
    label: 'Shape',
    choices: { linear: 'Linear', radial: 'Radial' },
  }),
  angle: field(z.number().min(0).max(360).meta({ description: 'Degrees; 0 runs upward, 90 to the right' }), {
    label: 'Angle',
    unit: '°',
    control: 'slider',
    when: ({ shape }) => shape === 'linear',
  }),
  centre: field(
    z.looseObject({ x: share('Across'), y: share('Down') }).meta({ description: 'Of a radial one' }),
    { label: 'Centre', when: ({ shape }) => shape === 'radial' },
  ),
  points: field(z.array(GradientPoint).min(2).max(12), { label: 'Colours', one: 'Colour' }),
});
export type Gradient = TypeOf<typeof Gradient>;

const Plain = z.discriminatedUnion('kind', [Motif, Picture, Gradient]);
export type PlainSource = TypeOf<typeof Plain>;

/** A fortnight. */
const MOST_MINUTES = 20160;

/** When a rotation goes on to its next entry. */
export const Change = z.discriminatedUnion('by', [
  z.looseObject({
    by: z.literal('every'),
    minutes: field(z.number().int().min(1).max(MOST_MINUTES), { label: 'Every', control: 'duration' }),
  }),
  z.looseObject({
    by: z.literal('times'),
    times: field(z.array(WallTime).min(1).max(24), {
      label: 'At',
      isWide: true,
      control: 'times',
      placeholder: '06:00 18:30',
    }),
  }),
  z.looseObject({ by: z.literal('sun') }).meta({ description: 'At sunrise and at sunset' }),
]);
export type Change = TypeOf<typeof Change>;

export const Rotation = z.looseObject({
  kind: z.literal('rotation'),
  entries: z
    .array(z.looseObject({ id: Id, source: Plain }))
    .min(1)
    .max(100),
  change: field(Change.clone(), {
    label: 'When it changes',
    isWide: true,
    variants: {
      every: { label: 'Every', start: { minutes: 60 } },
      times: { label: 'At times', start: { times: ['06:00', '12:00', '18:00'] } },
      sun: { label: 'With the sun', start: {} },
    },
  }),
  shuffled: field(z.boolean(), { label: 'Shuffled' }),
  fade: field(
    z.number().min(0).max(600).meta({ description: 'Seconds that one takes to pass into the next' }),
    { label: 'Cross-fade', unit: 's', control: 'slider' },
  ),
});
export type Rotation = TypeOf<typeof Rotation>;

export const Source = z.discriminatedUnion('kind', [Motif, Picture, Gradient, Rotation]);
export type Source = TypeOf<typeof Source>;

export const towards = ['rim', 'top', 'bottom', 'left', 'right'] as const;

function around(label: string, description?: string) {
  return field(z.number().min(-100).max(100).meta({ description }), {
    label,
    group: 'Light and colour',
    control: 'slider',
  });
}
const strength = () => field(Percent.clone(), { label: 'Strength', unit: '%', control: 'slider' });
const tone = (label: string) => field(Colour.clone(), { label, control: 'colour' });

/** What is done to the pixels. Everything at 0 leaves them as they are. */
export const Adjust = z.looseObject({
  brightness: around('Brightness'),
  contrast: around('Contrast'),
  saturation: around('Saturation'),
  temperature: around('Temperature', 'Warmer above 0, cooler below'),
  negative: field(Percent.default(0), {
    label: 'Negative',
    also: 'invert inverted inversion',
    hint: 'Dark for light, and each colour for its opposite',
    group: 'Light and colour',
    unit: '%',
    control: 'slider',
  }),
  blur: field(z.number().min(0).max(80).meta({ description: 'px of the screen' }), {
    label: 'Blur',
    group: 'Surface',
    unit: 'px',
    control: 'slider',
  }),
  grain: field(Percent.clone(), { label: 'Grain', group: 'Surface', unit: '%', control: 'slider' }),
  darken: field(
    z.looseObject({
      toward: field(z.enum(towards), {
        label: 'Direction',
        choices: {
          rim: 'all around',
          top: 'toward the top',
          bottom: 'toward the bottom',
          left: 'toward the left',
          right: 'toward the right',
        },
      }),
      strength: strength(),
    }),
    { label: 'Darkening', hint: 'Darker towards the rim or a side, so that what stands there is read' },
  ),
  tint: field(z.looseObject({ colour: tone('Colour'), strength: strength() }), { label: 'Tint' }),
  twoTone: field(z.looseObject({ dark: tone('Darks'), light: tone('Lights'), strength: strength() }), {
    label: 'Two tones',
    hint: 'Darks and lights of the picture as two colours',
  }),
});
export type Adjust = TypeOf<typeof Adjust>;

/** A backdrop, and where it lies: null stands for everywhere. */
export const Backdrop = dress(
  z.looseObject({
    id: Id,
    for: place(
      z.looseObject({ screen: Id.nullable(), workspace: Id.nullable(), half: z.enum(halves).nullable() }),
    ),
    spans: field(z.boolean().meta({ description: 'One across all screens, or each screen its own' }), {
      label: 'Spans screens',
      hint: 'One picture across all screens, or each screen its own',
      is: 'place',
    }),
    source: Source,
    adjust: Adjust,
  }),
);
export type Backdrop = TypeOf<typeof Backdrop>;

export const plainAdjust: Adjust = {
  blur: 0,
  brightness: 0,
  contrast: 0,
  saturation: 0,
  temperature: 0,
  negative: 0,
  twoTone: { dark: 'ground', light: 'ink', strength: 0 },
  tint: { colour: 'ground', strength: 0 },
  darken: { toward: 'rim', strength: 0 },
  grain: 0,
};

/** What a plain source is called. */
export function titleOfSource(source: PlainSource): string {
  switch (source.kind) {
    case 'motif':
      return factsOf(source.motif).title;
    case 'picture':
      return source.name;
    case 'gradient':
      return source.shape === 'linear' ? 'Linear gradient' : 'Radial gradient';
  }
}

/** Every plain source in a backdrop: itself, or the entries of its rotation. */
export function sourcesOf({ source }: Backdrop): PlainSource[] {
  return source.kind === 'rotation' ? source.entries.map((entry) => entry.source) : [source];
}
