import { z } from 'zod';
import { Family, OwnFile } from '../values/family.ts';
import { field } from '../values/field.ts';
import type { TypeOf } from '../values/types.ts';
import { refers } from '../values/references.ts';

export const uses = ['display', 'text', 'figures'] as const;
export type Use = (typeof uses)[number];

export const FontUse = z.looseObject({
  family: field(Family.clone(), { label: 'Font', control: 'family', isWide: true }),
  size: field(z.number().min(50).max(200).meta({ description: 'Percent of what each part sets' }), {
    label: 'Size',
    unit: '%',
    control: 'slider',
  }),
  weight: field(z.number().min(-400).max(400).meta({ description: 'Added to what each part sets' }), {
    label: 'Weight',
    control: 'slider',
    step: 25,
  }),
  spacing: field(
    z.number().min(-10).max(30).meta({ description: 'Hundredths of an em, added between letters' }),
    { label: 'Letter spacing', unit: '%', control: 'slider' },
  ),
});
export type FontUse = TypeOf<typeof FontUse>;

/** One list for each sign of ASCII from ! on, with a value for each weight; thousandths of an em. */
const InkSide = z.array(z.array(z.number().min(-20_000).max(20_000)).min(1).max(20)).max(94);

/** Advance widths in em at each of some weights, by character; and where the ink of each ends. */
export const FontMetrics = z.looseObject({
  weights: z.array(z.number().min(1).max(1000)).min(1).max(20),
  advances: z.record(z.string().max(4), z.array(z.number().min(0).max(20)).max(20)),
  ink: z
    .looseObject({
      weights: z.array(z.number().min(1).max(1000)).min(1).max(20),
      left: InkSide,
      right: InkSide,
      top: InkSide,
      bottom: InkSide,
    })
    .meta({
      description:
        'In from the pen and from the advance, above the line of writing and below it; what most fonts come to where it is missing',
    })
    .optional(),
});
export type FontMetrics = TypeOf<typeof FontMetrics>;

export const OwnFont = z.looseObject({
  id: refers(OwnFile.clone(), 'font'),
  name: z.string().max(120),
  metrics: FontMetrics,
});
export type OwnFont = TypeOf<typeof OwnFont>;

/** A family as it is set by nobody. */
export function plainUse(family: Family): FontUse {
  return { family, size: 100, weight: 0, spacing: 0 };
}
