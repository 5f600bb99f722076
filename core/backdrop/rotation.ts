import { TZDate } from '@date-fns/tz';
import type { Change, Rotation } from './schema.ts';
import type { GeoPlace } from '../values/earth.ts';
import { sunTimes } from '../sources/sun/sun.ts';
import { dayOf, wallClock } from '../sources/time/time.ts';
import { createRandom } from '../sources/noise.ts';

/**
 * When a rotation changes. Time is cut into numbered slots, one entry each; the numbers only ever grow, also over the
 * nights on which the clocks are set.
 */
interface Slot {
  number: number;
  /** Epoch ms. */
  since: number;
  until: number;
}

const MINUTE = 60_000;
const DAY_MINUTES = 1440;

/** Days since 1970 on the wall calendar of a zone. */
function dayNumber(moment: number, zone: string): number {
  const { year, month, day } = wallClock(moment, zone);
  return Math.round(Date.UTC(year, month - 1, day) / (DAY_MINUTES * MINUTE));
}

/** Epoch ms of a time of day on a day of the calendar; one that the clocks leave out comes as much later. */
function momentOn(day: number, time: string, zone: string): number {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  const date = new Date(day * DAY_MINUTES * MINUTE);
  return new TZDate(
    date.getUTCFullYear(),
    date.getUTCMonth(),
    date.getUTCDate(),
    hour,
    minute,
    0,
    zone,
  ).getTime();
}

/** The moments of a day at which a rotation changes, in order and each apart; as many on every day. */
function changesOn(day: number, change: Exclude<Change, { by: 'every' }>, place: GeoPlace): number[] {
  const noon = momentOn(day, '12:00', place.zone);
  const { end } = dayOf(noon, place.zone);
  if (change.by === 'times')
    return apart(
      [...new Set(change.times)].map((time) => momentOn(day, time, place.zone)),
      end,
    );
  const { sunrise, sunset } = sunTimes(noon, place);
  // Where the sun stays up or down all day, the day still changes, at six and at eighteen.
  return apart(
    [sunrise ?? momentOn(day, '06:00', place.zone), sunset ?? momentOn(day, '18:00', place.zone)],
    end,
  );
}

/**
 * Moments in order. Those that fall together (times of the hour that the clocks leave out come an hour later, where
 * others may stand) are spread over what is left until the next, so that every entry has its turn.
 */
function apart(moments: readonly number[], end: number): number[] {
  const sorted = [...moments].sort((a, b) => a - b);
  for (let first = 0; first < sorted.length;) {
    const at = sorted[first] ?? 0;
    let after = first + 1;
    while (sorted[after] === at) after++;
    const room = (sorted[after] ?? end) - at;
    for (let index = first + 1; index < after; index++)
      sorted[index] = at + Math.floor((room * (index - first)) / (after - first));
    first = after;
  }
  return sorted;
}

export function slotAt(change: Change, moment: number, place: GeoPlace): Slot {
  if (change.by === 'every') return everySlot(change.minutes, moment, place.zone);
  const today = dayNumber(moment, place.zone);
  const days = [today - 1, today, today + 1].map((day) => changesOn(day, change, place));
  const all = days.flat();
  const each = days[0]?.length ?? 1;
  const passed = all.filter((at) => at <= moment).length;
  return {
    number: (today - 1) * each + passed - 1,
    since: all[passed - 1] ?? moment,
    until: all[passed] ?? moment + DAY_MINUTES * MINUTE,
  };
}

/** A slot of some minutes. What divides a day, or is days, goes by the wall clock: each hour at its full hour. */
function everySlot(minutes: number, moment: number, zone: string): Slot {
  const days = minutes / DAY_MINUTES;
  if (Number.isInteger(days)) {
    const number = Math.floor(dayNumber(moment, zone) / days);
    return {
      number,
      since: momentOn(number * days, '00:00', zone),
      until: momentOn((number + 1) * days, '00:00', zone),
    };
  }
  if (DAY_MINUTES % minutes === 0) return slotOfDay(minutes, moment, zone);
  // Anything else runs on through the nights, from a midnight long ago.
  const start = momentOn(FIRST_DAY, '00:00', zone);
  const length = minutes * MINUTE;
  const number = Math.floor((moment - start) / length);
  return { number, since: start + number * length, until: start + (number + 1) * length };
}

/** 1 January 2001. */
const FIRST_DAY = 11323;

function slotOfDay(minutes: number, moment: number, zone: string): Slot {
  const day = dayNumber(moment, zone);
  const { start, end } = dayOf(moment, zone);
  const each = DAY_MINUTES / minutes;
  const length = minutes * MINUTE;
  if (end - start === DAY_MINUTES * MINUTE) {
    const index = Math.floor((moment - start) / length);
    const since = start + index * length;
    return { number: day * each + index, since, until: since + length };
  }
  // A day on which the clocks are set.
  const changes = apart(
    Array.from({ length: each }, (_, index) => momentOn(day, wallTime(index * minutes), zone)),
    end,
  );
  const index = Math.max(0, changes.filter((at) => at <= moment).length - 1);
  return { number: day * each + index, since: changes[index] ?? start, until: changes[index + 1] ?? end };
}

function wallTime(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${minutes % 60}`;
}

/** The moments from `start` up to `end` (epoch ms) at which a rotation goes on. */
export function changesBetween(
  change: Change,
  start: number,
  end: number,
  place: GeoPlace,
  most = 400,
): number[] {
  const found: number[] = [];
  let at = slotAt(change, start - 1, place).until;
  while (at < end && found.length < most) {
    if (at >= start) found.push(at);
    at = slotAt(change, at, place).until;
  }
  return found;
}

/** Which of `count` entries a slot shows. Shuffled, each round shows every entry once, and none twice running. */
export function entryOf(slot: number, count: number, shuffled: boolean, seed: number): number {
  const inRound = ((slot % count) + count) % count;
  if (!shuffled || count < 3) return inRound;
  const round = Math.floor(slot / count);
  const order = orderOf(round, count, seed);
  return order[inRound] ?? 0;
}

function shuffle(round: number, count: number, seed: number): number[] {
  const random = createRandom((seed ^ Math.imul(round, 0x9e3779b1)) >>> 0);
  const order = Array.from({ length: count }, (_, index) => index);
  for (let index = count - 1; index > 0; index--) {
    const other = Math.floor(random() * (index + 1));
    [order[index], order[other]] = [order[other] ?? 0, order[index] ?? 0];
  }
  return order;
}

/** The first entry gives way to the second where it was the last of the round before; the last one is never moved. */
function orderOf(round: number, count: number, seed: number): number[] {
  const order = shuffle(round, count, seed);
  if (order[0] === shuffle(round - 1, count, seed).at(-1)) {
    [order[0], order[1]] = [order[1] ?? 0, order[0] ?? 0];
  }
  return order;
}

export interface RotationState {
  /** Index of the entry in force. */
  entry: number;
  /** The one that is passing away, and how much of the entry in force is there already, 0 to 1. */
  from: { entry: number; share: number } | null;
  until: number;
}

export function rotationAt(
  { entries, change, shuffled, fade }: Rotation,
  moment: number,
  place: GeoPlace,
  seed: number,
): RotationState {
  const { number, since, until } = slotAt(change, moment, place);
  const entry = entryOf(number, entries.length, shuffled, seed);
  const before = entryOf(number - 1, entries.length, shuffled, seed);
  const share = fade > 0 ? (moment - since) / (fade * 1000) : 1;
  return { entry, from: share < 1 && before !== entry ? { entry: before, share } : null, until };
}
