import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import { isZone } from '../../values/earth.ts';

/** Times of a calendar: on a wall clock, and as the moments that they are there. */

/** A wall clock's reading, as if it were one in UTC: epoch ms. Days of it are 24 hours long, whatever the zone. */
export type Wall = number;

const DAY = 86_400_000;

/** A zone: what its wall clock shows at a moment, and the moment at which it shows something. */
export interface Zone {
  momentOf(wall: Wall): number;
  wallOf(moment: number): Wall;
}

const partsOfWall = (wall: Wall) => {
  const date = new Date(wall);
  return [
    date.getUTCFullYear(),
    date.getUTCMonth(),
    date.getUTCDate(),
    date.getUTCHours(),
    date.getUTCMinutes(),
    date.getUTCSeconds(),
  ] as const;
};

/** A zone of the world by its IANA name. */
function namedZone(name: string): Zone {
  return {
    momentOf: (wall) => new TZDate(...partsOfWall(wall), name).getTime(),
    wallOf: (moment) => moment - new TZDate(moment, name).getTimezoneOffset() * 60_000,
  };
}

/** A zone as a calendar itself defines it. */
function definedZone(zone: ICAL.Timezone): Zone {
  const at = (wall: Wall, of: ICAL.Timezone) => {
    const [year, month, day, hour, minute, second] = partsOfWall(wall);
    return new ICAL.Time({ year, month: month + 1, day, hour, minute, second, isDate: false }, of);
  };
  return {
    momentOf: (wall) => at(wall, zone).toUnixTime() * 1000,
    wallOf: (moment) => wallIn(at(moment, ICAL.Timezone.utcTimezone).convertToZone(zone)),
  };
}

const utc: Zone = { momentOf: (wall) => wall, wallOf: (moment) => moment };

/** The zones that a calendar names; whoever asks for one that nobody knows is told so by `onUnknown`. */
export function createZones(
  definitions: readonly ICAL.Component[],
  deskZone: string,
  onUnknown: (name: string) => void,
) {
  const defined = new Map(
    definitions.flatMap((component) => {
      const name: unknown = component.getFirstPropertyValue('tzid');
      return typeof name === 'string' ? [[name, component] as const] : [];
    }),
  );
  const known = new Map<string, Zone>();
  const desk = namedZone(deskZone);

  function find(name: string): Zone {
    if (isZone(name)) return namedZone(name);
    const definition = defined.get(name);
    if (definition) return definedZone(new ICAL.Timezone({ component: definition, tzid: name }));
    // Some programs put a path of their own before the name.
    const steps = name.slice(-100).split('/');
    const tail = [3, 2].map((many) => steps.slice(-many).join('/')).find(isZone);
    if (tail !== undefined) return namedZone(tail);
    onUnknown(name);
    return desk;
  }

  return {
    desk,
    utc,
    named(name: string): Zone {
      let zone = known.get(name);
      if (!zone) known.set(name, (zone = find(name)));
      return zone;
    },
  };
}

export type Zones = ReturnType<typeof createZones>;

/** A time as it stands in a calendar. */
export interface Stated {
  wall: Wall;
  /** A day, not a time of one. */
  isDate: boolean;
  zone: Zone;
}

export const momentOf = ({ wall, zone }: Stated) => zone.momentOf(wall);

function wallIn({ year, month, day, hour, minute, second, isDate }: ICAL.Time): Wall {
  return isDate ? Date.UTC(year, month - 1, day) : Date.UTC(year, month - 1, day, hour, minute, second);
}

/** How ical.js gives dates and times: it makes something of any digits, so that what was written is looked at. */
const WRITTEN = /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{2}):(\d{2}):(\d{2})Z?)?$/;

/** The times that a property states; throws a sentence's end where one is none, which the library would make something of. */
export function statedIn(property: ICAL.Property, zones: Zones): Stated[] {
  const tzid: unknown = property.getParameter('tzid');
  const written = (property.toJSON() as unknown[])
    .slice(3)
    .map((one) => (Array.isArray(one) ? (one[0] as unknown) : one));
  return property.getValues().map((value: unknown, index) => {
    const text = String(written[index]);
    const time = value instanceof ICAL.Period ? value.start : value;
    const first = text.split('/')[0] ?? '';
    if (!(time instanceof ICAL.Time) || !isReal(first)) throw new Error(`“${text.slice(0, 40)}” is no time`);
    const zone =
      time.zone === ICAL.Timezone.utcTimezone || first.endsWith('Z')
        ? zones.utc
        : typeof tzid === 'string'
          ? zones.named(tzid)
          : zones.desk;
    return { wall: wallIn(time), isDate: time.isDate, zone: time.isDate ? zones.desk : zone };
  });
}

/** Whether there is such a day and such a time of it. */
function isReal(written: string): boolean {
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0, second = 0] = (WRITTEN.exec(written) ?? [])
    .slice(1)
    .map((part) => Number(part ?? 0));
  const date = new Date(Date.UTC(year, month - 1, day));
  const isDay = date.getUTCMonth() + 1 === month && date.getUTCDate() === day;
  return isDay && hour < 24 && minute < 60 && second < 61;
}

/** How long something takes: days by the wall clock, and ms that pass whatever that does. */
export interface Span {
  days: number;
  ms: number;
}

export function spanOf({ weeks, days, hours, minutes, seconds, isNegative }: ICAL.Duration): Span {
  const sign = isNegative ? -1 : 1;
  return {
    days: sign * (weeks * 7 + days) || 0,
    ms: sign * ((hours * 60 + minutes) * 60 + seconds) * 1000 || 0,
  };
}

/** The moment at which something ends that takes a span from a time on. */
export function endAfter({ wall, zone }: Stated, { days, ms }: Span): number {
  return zone.momentOf(wall + days * DAY) + ms;
}
