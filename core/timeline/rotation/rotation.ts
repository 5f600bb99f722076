import type { Change, Rotation } from '../../backdrop/schema.ts';
import type { GeoPlace } from '../../values/earth.ts';
import { solarDay, solarDayAt } from '../../sources/sun/sun.ts';
import { dayOf } from '../../sources/time/time.ts';
import { createRandom } from '../../sources/noise.ts';
import { defineTrigger } from '../trigger.ts';
import { DAY_MINUTES, MINUTE, dayNumber, minutesOf, momentOn, wallMoment } from '../wall.ts';

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

/** The moments of a day at which a rotation changes, in order; as many on every day, some of them together. */
function changesOn(day: number, change: Exclude<Change, { by: 'every' }>, place: GeoPlace): number[] {
  if (change.by === 'sun') {
    const { rise, set } = solarDay(day, place);
    return [rise, set];
  }
  return [...new Set(change.times)]
    .map((time) => momentOn(day, minutesOf(time), place.zone))
    .sort((one, other) => one - other);
}

export function slotAt(change: Change, moment: number, place: GeoPlace): Slot {
  if (change.by === 'every') return everySlot(change.minutes, moment, place.zone);
  const today = change.by === 'sun' ? solarDayAt(moment, place) : dayNumber(moment, place.zone);
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
      since: momentOn(number * days, 0, zone),
      until: momentOn((number + 1) * days, 0, zone),
    };
  }
  if (DAY_MINUTES % minutes === 0) return slotOfDay(minutes, moment, zone);
  // Anything else runs on through the nights, from a midnight long ago.
  const start = momentOn(FIRST_DAY, 0, zone);
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
  // A day on which the clocks are set: what they leave out has no turn, rather than a short one.
  const changes = Array.from({ length: each }, (_, index) => ({
    number: day * each + index,
    ...(index === 0 ? { at: start, isShown: true } : wallMoment(day, index * minutes, zone)),
  })).filter(({ isShown }) => isShown);
  const passed = changes.filter(({ at }) => at <= moment).length;
  const { number, at } = changes[passed - 1] ?? { number: day * each, at: start };
  return { number, since: at, until: changes[passed]?.at ?? end };
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

/** The backdrop on a screen goes on to its next. */
export const rotation = defineTrigger({
  key: 'rotation',
  title: 'Backdrop',
  subject(desk, { backdrop }) {
    const source = desk.backdrops.find(({ id }) => id === backdrop)?.source;
    return source?.kind === 'rotation' ? source : null;
  },
  stateAt: (source, { place, seed }, moment) => rotationAt(source, moment, place, seed).entry,
  changesBetween: ({ change }, { place }, start, end) =>
    changesBetween(change, start, end, place).map((at) => ({ at, told: 'The backdrop changes' })),
});
