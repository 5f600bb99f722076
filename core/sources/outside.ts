import { z } from 'zod';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { Colour } from '../values/roles.ts';
import type { TypeOf } from '../values/types.ts';

/** What a desk reads from outside: where it stands, and how the server is asked for it. */

/** The stand-ins that ship with the server, each under an address of its own. */
export const standIns = {
  station: 'stand-in:station',
  calendar: 'stand-in:calendar',
  bulletins: 'stand-in:bulletins',
} as const;

const MOST_ADDRESS = 300;

/** Something that the server may be asked to fetch: the web without a password in it, or a stand-in. */
export function isAddress(text: string): boolean {
  if (Object.values<string>(standIns).includes(text)) return true;
  if (text.length > MOST_ADDRESS || !URL.canParse(text)) return false;
  const { protocol, username, password, hostname } = new URL(text);
  return /^https?:$/.test(protocol) && hostname !== '' && username + password === '';
}

const Address = field(
  z
    .string()
    .max(MOST_ADDRESS)
    .refine(isAddress, { message: 'is not an address: write it from https:// or http:// on' }),
  { label: 'Address', isWide: true, placeholder: 'https://…' },
);

const Every = field(z.number().int().min(5).max(10_080), {
  label: 'Read every',
  control: 'duration',
});

/** Bytes of a calendar that stands in the desk. */
export const MOST_CALENDAR = 250_000;
export const MOST_REPORT = 4000;

/** Where the reports of a weather station come from: METAR, and TAF for the hours ahead. */
export const Report = z.discriminatedUnion('by', [
  z.looseObject({
    by: z.literal('typed'),
    text: field(z.string().max(MOST_REPORT), {
      label: 'METAR and TAF',
      control: 'long-text',
      isWide: true,
      placeholder: 'METAR XXXX 240650Z 24008KT 9999 BKN025 05/03 Q1009',
    }),
  }),
  z.looseObject({ by: z.literal('address'), address: Address, every: Every }),
]);
export type Report = TypeOf<typeof Report>;

/** What a person calls something read from outside. */
const Title = field(z.string().max(60), { label: 'Name', placeholder: 'as it calls itself' });

export const Calendar = z.looseObject({
  id: Id,
  title: Title,
  colour: field(Colour, { label: 'Colour', control: 'colour' }),
  from: field(
    z.discriminatedUnion('by', [
      z.looseObject({ by: z.literal('observatory') }),
      z.looseObject({ by: z.literal('file'), text: z.string().max(MOST_CALENDAR) }),
      z.looseObject({ by: z.literal('address'), address: Address, every: Every }),
    ]),
    {
      label: 'From',
      isWide: true,
      variants: {
        observatory: { label: 'Simulated', start: {} },
        file: { label: 'A file', start: { text: '' } },
        address: { label: 'Address', start: { address: standIns.calendar, every: 60 } },
      },
    },
  ),
});
export type Calendar = TypeOf<typeof Calendar>;

export const Headlines = z.looseObject({
  id: Id,
  title: Title,
  from: field(
    z.discriminatedUnion('by', [
      z.looseObject({ by: z.literal('observatory') }),
      z.looseObject({ by: z.literal('address'), address: Address, every: Every }),
    ]),
    {
      label: 'From',
      isWide: true,
      variants: {
        observatory: { label: 'Simulated', start: {} },
        address: { label: 'Address', start: { address: standIns.bulletins, every: 60 } },
      },
    },
  ),
});
export type Headlines = TypeOf<typeof Headlines>;

export const MOST_CALENDARS = 16;
export const MOST_HEADLINES = 24;

export const Outside = z.looseObject({
  report: field(Report, {
    label: 'Reports',
    isWide: true,
    variants: {
      address: { label: 'Address', start: { address: standIns.station, every: 10 } },
      typed: { label: 'Typed', start: { text: '' } },
    },
  }),
  calendars: field(z.array(Calendar).max(MOST_CALENDARS), { label: 'Calendars', one: 'Calendar' }),
  headlines: field(z.array(Headlines).max(MOST_HEADLINES), { label: 'Headlines', one: 'Source' }),
});
export type Outside = TypeOf<typeof Outside>;

/** What a desk starts with: everything from the observatory. */
export const plainOutside: Outside = {
  report: { by: 'address', address: standIns.station, every: 10 },
  calendars: [{ id: 'observatory', title: 'Marrow Point', colour: 'accent', from: { by: 'observatory' } }],
  headlines: [{ id: 'bulletins', title: 'Bulletins', from: { by: 'observatory' } }],
};

/** Kinds of things that are fetched: a text as it stands, or headlines out of what stands there. */
export const fetchedKinds = ['text', 'headlines'] as const;
export type FetchedKind = (typeof fetchedKinds)[number];

/** Something that the server is asked to fetch. */
export interface Fetched {
  source: FetchedKind;
  origin: string;
}

/** What something fetched is asked for by: minutes between two looks, and the address. */
export function originAt({ address, every }: { address: string; every: number }): string {
  return `${every}/${address}`;
}

/** The opposite of `originAt`; null where it is no such origin. */
export function readOrigin(origin: string): { address: string; every: number } | null {
  const slash = origin.indexOf('/');
  const every = Number(origin.slice(0, slash));
  const address = origin.slice(slash + 1);
  return slash > 0 && Every.safeParse(every).success && isAddress(address) ? { address, every } : null;
}

/** What of a list must be fetched. */
export function fetchedOf(source: FetchedKind, list: readonly { from: From }[]): Fetched[] {
  return list.flatMap(({ from }) => (from.by === 'address' ? [{ source, origin: originAt(from) }] : []));
}
type From = Report | Calendar['from'] | Headlines['from'];
