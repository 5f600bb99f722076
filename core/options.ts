import { z } from 'zod';
import { Colour, isZone } from './desk/values.ts';
import { isDatePattern } from './sources/time/time.ts';

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

/** The pattern of a time of day, without seconds and half of the day. */
export function timePattern(hours: '24' | '12'): string {
  return hours === '24' ? 'HH:mm' : 'h:mm';
}
