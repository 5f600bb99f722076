import { TZDate } from '@date-fns/tz';
import type { Change, Rotation } from '../desk/backdrop-schema.ts';
import type { GeoPlace } from '../desk/values.ts';
import { sunTimes } from '../sources/sun/sun.ts';
import { wallClock } from '../sources/time/time.ts';
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

/** The moments of a day at which a rotation changes, in order; as many on every day. */
function changesOn(day: number, change: Exclude<Change, { by: 'every' }>, place: GeoPlace): number[] {
  if (change.by === 'times') {
    return [...new Set(change.times)].map((time) => momentOn(day, time, place.zone)).sort((a, b) => a - b);
  }
  const { sunrise, sunset } = sunTimes(momentOn(day, '12:00', place.zone), place);
  // Where the sun stays up or down all day, the day still changes, at six and at eighteen.
  return [sunrise ?? momentOn(day, '06:00', place.zone), sunset ?? momentOn(day, '18:00', place.zone)].sort(
    (a, b) => a - b,
  );
}

export function slotAt(change: Change, moment: number, place: GeoPlace): Slot {
  const { zone } = place;
  if (change.by === 'every') {
    const days = change.minutes / DAY_MINUTES;
    if (Number.isInteger(days)) {
      // Whole days go by the calendar, so that the change stays at midnight.
      const number = Math.floor(dayNumber(moment, zone) / days);
      return {
        number,
        since: momentOn(number * days, '00:00', zone),
        until: momentOn((number + 1) * days, '00:00', zone),
      };
    }
    const length = change.minutes * MINUTE;
    const number = Math.floor(moment / length);
    return { number, since: number * length, until: (number + 1) * length };
  }
  const today = dayNumber(moment, zone);
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
