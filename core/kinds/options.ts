import { z } from 'zod';
import { uses, type Use } from '../text/schema.ts';
import { Colour } from '../values/roles.ts';
import { families, familyTitles, type ShippedFamily } from '../values/family.ts';
import { isZone } from '../values/earth.ts';
import type { Fonts } from './kind.ts';
import type { DeskFont } from '../text/measure.ts';
import { isDatePattern } from '../sources/time/time.ts';

/** Options that several kinds share. The form in the column is made from the meta data. */

export const HourStyle = z
  .enum(['24', '12'])
  .default('24')
  .meta({
    label: 'Hours',
    choices: { '24': '24 hours', '12': '12 hours' },
  });

export const Seconds = z.boolean().default(false).meta({ label: 'Seconds' });

export const Zone = z
  .string()
  .max(64)
  .refine((zone) => zone === '' || isZone(zone), { message: 'is not a time zone, such as Europe/London' })
  .default('')
  .meta({ label: 'Time zone', control: 'zone', placeholder: "the desk's own" });

export function datePattern(start: string, label = 'Date') {
  return z
    .string()
    .max(60)
    .refine((pattern) => pattern === '' || isDatePattern(pattern), {
      message: 'is not a date pattern, such as EEE d MMM',
    })
    .default(start)
    .meta({ label, control: 'pattern', placeholder: 'none' });
}

export function colourOption(start: z.output<typeof Colour>, label = 'Colour') {
  return Colour.default(start).meta({ label, control: 'colour' });
}

/** A use of the desk's type, or a family of the part's own. */
export type TypeChoice = 'face' | Use | ShippedFamily;

/** What the main text of a face is set in: as the face has it, another use, or a family of its own. */
export const TypeOption = z
  .enum(['face', ...uses, ...families])
  .default('face')
  .meta({
    label: 'Type',
    choices: { face: 'As the face', display: 'Display', text: 'Text', figures: 'Figures', ...familyTitles },
  });

/** The font of a choice, for measuring. */
export function fontOf(choice: TypeChoice, ofFace: Use, fonts: Fonts): DeskFont {
  const use = choice === 'face' ? ofFace : choice;
  if (use === 'display' || use === 'text' || use === 'figures') return fonts[use];
  return { family: use, size: 100, weight: 0, spacing: 0, metrics: null };
}

/** The pattern of a time of day, without seconds and half of the day. */
export function timePattern(hours: '24' | '12'): string {
  return hours === '24' ? 'HH:mm' : 'h:mm';
}
