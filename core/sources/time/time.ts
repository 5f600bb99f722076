import { TZDate, tzOffset } from '@date-fns/tz';
import { format } from 'date-fns/format';
import { defineSource } from '../source.ts';

/** The wall clock at the desk's place. */
export interface TimeReading {
  year: number;
  /** 1 to 12 */
  month: number;
  day: number;
  hour: number;
  minute: number;
  second: number;
}

export const time = defineSource({
  id: 'time',
  title: 'Time',
  step: 1000,
  read: ({ place }, moment): TimeReading => wallClock(moment, place.zone),
});

/** The wall clock of an IANA zone at a moment (epoch ms). */
export function wallClock(moment: number, zone: string): TimeReading {
  const shifted = new Date(moment + offsetOf(moment, zone));
  return {
    year: shifted.getUTCFullYear(),
    month: shifted.getUTCMonth() + 1,
    day: shifted.getUTCDate(),
    hour: shifted.getUTCHours(),
    minute: shifted.getUTCMinutes(),
    second: shifted.getUTCSeconds(),
  };
}

/** Zones change their offset only at whole quarters of an hour, and asking for it is slow. */
const QUARTER_MS = 900_000;
const MOST_OFFSETS = 5000;
const offsets = new Map<string, number>();

/** Ms by which a zone is ahead of UTC at a moment. */
function offsetOf(moment: number, zone: string): number {
  const quarter = Math.floor(moment / QUARTER_MS);
  const key = `${zone} ${quarter}`;
  let offset = offsets.get(key);
  if (offset === undefined) {
    if (offsets.size >= MOST_OFFSETS) offsets.clear();
    offset = tzOffset(zone, new Date(quarter * QUARTER_MS)) * 60_000;
    offsets.set(key, offset);
  }
  return offset;
}

const MINUTE_MS = 60_000;
const MOST_TEXTS = 500;
const texts = new Map<string, string>();
/** Signs of a pattern that change within a minute: seconds, their parts, timestamps, and whole times of a locale. */
const BELOW_MINUTE = /[sSATtp]/;
/** Signs that change within a day: hours and their halves, minutes, and how far ahead the zone is. */
const BELOW_DAY = /[abBhHkKmxXOz]/;

/** A moment set with a Unicode (LDML) date pattern, such as `EEE d MMM`. Throws RangeError on a bad pattern. */
export function formatMoment(moment: number, zone: string, pattern: string): string {
  if (BELOW_MINUTE.test(pattern)) return format(new TZDate(moment, zone), pattern);
  // The same minute or day is asked for by every tick within it, and setting a date is slow.
  const minute = Math.floor(moment / MINUTE_MS);
  const { year, month, day } = wallClock(moment, zone);
  const within = BELOW_DAY.test(pattern) ? minute : `${year}-${month}-${day}`;
  const key = `${within} ${zone} ${pattern}`;
  let text = texts.get(key);
  if (text === undefined) {
    if (texts.size >= MOST_TEXTS) texts.clear();
    text = format(new TZDate(minute * MINUTE_MS, zone), pattern);
    texts.set(key, text);
  }
  return text;
}

export function isDatePattern(pattern: string): boolean {
  try {
    return formatMoment(0, 'UTC', pattern).length > 0;
  } catch {
    return false;
  }
}

const DAY_MS = 86_400_000;

/** When a day begins and ends, epoch ms; 23 to 25 hours apart. */
export interface Day {
  readonly start: number;
  readonly end: number;
}

/** The day of a moment on the wall clock of a zone. */
export function dayOf(moment: number, zone: string): Day {
  const { year, month, day } = wallClock(moment, zone);
  return dayAt(year, month, day, zone);
}

/** Days by their date and zone: setting a date in a zone is slow, and whole months of them are shown. */
const days = new Map<string, Day>();
const MOST_DAYS = 1000;

/** A day by its date; `month` from 1. A day beyond a month's last is one of the next. */
export function dayAt(year: number, month: number, date: number, zone: string): Day {
  const key = `${year} ${month} ${date} ${zone}`;
  let day = days.get(key);
  if (!day) {
    if (days.size >= MOST_DAYS) days.clear();
    const start = new TZDate(year, month - 1, date, 0, 0, 0, zone).getTime();
    const end = new TZDate(year, month - 1, date + 1, 0, 0, 0, zone).getTime();
    days.set(key, (day = { start, end: end > start ? end : start + DAY_MS }));
  }
  return day;
}

const WALL_MOMENT = /^(\d{4})-(\d\d)-(\d\d) (\d\d):(\d\d)$/;

/** A day and a time on the wall clock of a zone, such as `2027-03-20 06:00`, as epoch ms; null where there is none such. */
export function momentOf(text: string, zone: string): number | null {
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0] = (WALL_MOMENT.exec(text) ?? [])
    .slice(1)
    .map(Number);
  if (year === 0 || hour > 23 || minute > 59) return null;
  const plain = new Date(Date.UTC(year, month - 1, day));
  // There is no 30 February.
  if (plain.getUTCMonth() !== month - 1 || plain.getUTCDate() !== day) return null;
  return new TZDate(year, month - 1, day, hour, minute, 0, zone).getTime();
}

export function isWallMoment(text: string): boolean {
  return momentOf(text, 'UTC') !== null;
}

/** Minutes by which one zone is ahead of another at a moment. */
export function aheadBy(moment: number, zone: string, other: string): number {
  return (offsetOf(moment, zone) - offsetOf(moment, other)) / MINUTE_MS;
}
