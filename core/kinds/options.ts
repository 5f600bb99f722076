import { z } from 'zod';
import { sources, type OriginOf, type SourceId } from '../sources/list.ts';
import { SIMULATED } from '../sources/source.ts';
import type { Hours } from '../sources/units.ts';
import { isDatePattern } from '../sources/time/time.ts';
import { uses, type Use } from '../text/schema.ts';
import { isZone } from '../values/earth.ts';
import { families, familyTitles } from '../values/family.ts';
import { field, type FieldFacts } from '../values/field.ts';
import { Colour } from '../values/roles.ts';
import type { FontName } from './layout.ts';

/** Options that several kinds share. */

export const HourStyle = field(z.enum(['desk', '24', '12']).default('desk'), {
  label: 'Hours',
  is: 'content',
  group: 'Units',
  choices: { desk: 'Desk’s', '24': '24', '12': '12' },
});

export const Seconds = field(z.boolean().default(false), { label: 'Seconds', is: 'content' });

export const Zone = field(
  z
    .string()
    .max(64)
    .refine((zone) => zone === '' || isZone(zone), { message: 'is not a time zone, such as Europe/London' })
    .default(''),
  { label: 'Time zone', is: 'content', control: 'zone', placeholder: "the desk's own" },
);

export function datePattern(start: string, label = 'Date') {
  return field(
    z
      .string()
      .max(60)
      .refine((pattern) => pattern === '' || isDatePattern(pattern), {
        message: 'is not a date pattern, such as EEE d MMM',
      })
      .default(start),
    { label, is: 'content', control: 'pattern', placeholder: 'none' },
  );
}

export function colourOption(
  start: z.output<typeof Colour>,
  label = 'Colour',
  more: Pick<FieldFacts, 'withOpacity'> = {},
) {
  return field(Colour.default(start), { label, control: 'colour', group: 'Letters and colours', ...more });
}

/** Where a part's readings of a source come from. */
export function originOption<Id extends SourceId>(
  id: Id,
  label?: string,
): z.ZodDefault<z.ZodType<OriginOf<Id>, OriginOf<Id>>>;
export function originOption(id: SourceId, label = 'Read from') {
  const fed = sources[id].fed ?? {};
  return field(z.enum([SIMULATED, ...Object.keys(fed)]).default(SIMULATED), {
    label,
    is: 'content',
    choices: { [SIMULATED]: 'Simulated', ...fed },
  });
}

/** Where a part's weather comes from: simulated, or as the desk's station reports it. */
export const WeatherFrom = field(z.enum([SIMULATED, 'station']).default(SIMULATED), {
  label: 'Weather',
  isSeldom: true,
  hint: 'Simulated, or as the desk’s weather station reports it',
  is: 'content',
  choices: { [SIMULATED]: 'Simulated', station: 'Station' },
});

/** What the main text of a face is set in: as the face has it, another use, or a family of its own. */
export const TypeOption = field(z.enum(['face', ...uses, ...families]).default('face'), {
  label: 'Type',
  group: 'Letters and colours',
  choices: { face: 'As the face', display: 'Display', text: 'Text', figures: 'Figures', ...familyTitles },
});
export type TypeChoice = 'face' | FontName;

export function chosenFont(choice: TypeChoice, ofFace: Use): FontName {
  return choice === 'face' ? ofFace : choice;
}

/** The pattern of a time of day, without seconds and half of the day. */
export function timePattern(hours: Hours): string {
  return hours === '24' ? 'HH:mm' : 'h:mm';
}

/** The same with seconds where they are wanted, and the half of the day where hours are counted by twelve. */
export function clockPattern(hours: Hours, seconds = false): string {
  return `${timePattern(hours)}${seconds ? ':ss' : ''}${hours === '12' ? ' aaa' : ''}`;
}
