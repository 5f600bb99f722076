import { getPosition } from 'suncalc';
import type { GeoPlace } from '../../values/earth.ts';
import { defineSource } from '../source.ts';
import { dayOf } from '../time/time.ts';

/**
 * Heights of the sun's centre, in degrees above the horizon without the air's bending of light, by which a day is
 * divided. At the first its upper rim meets the horizon: half its disc, and what the air bends there (34').
 */
export const sunHeights = { rise: -0.8333, civil: -6, nautical: -12, night: -18 } as const;

/** The sun at the desk's place. Times are epoch ms, null where the sun does not rise or set that day. */
export interface SunReading {
  /** Degrees above the horizon, without the air's bending of light; negative below it. */
  altitude: number;
  isUp: boolean;
  sunrise: number | null;
  sunset: number | null;
}

export const sun = defineSource({
  id: 'sun',
  title: 'Sun',
  step: 60_000,
  tells: { sun: 'minute' },
  read: ({ place }, moment): SunReading => ({
    altitude: sunAltitude(moment, place.latitude, place.longitude),
    isUp: isSunUp(moment, place),
    ...sunTimes(moment, place),
  }),
});

const RADIAN = Math.PI / 180;

/** Degrees by which the air lifts what stands at a true height (degrees, not below 0), as suncalc adds it. */
function lifted(altitude: number): number {
  const h = Math.max(0, altitude) * RADIAN;
  return 0.0002967 / Math.tan(h + 0.00312536 / (h + 0.08901179)) / RADIAN;
}

/** Degrees of the sun's centre above the horizon (suncalc, after Meeus), without what the air adds to it. */
export function sunAltitude(moment: number, latitude: number, longitude: number): number {
  const seen = getPosition(new Date(moment), latitude, longitude).altitude;
  let altitude = seen - lifted(seen);
  // What is added depends on the true height: a few turns find it.
  for (let turn = 0; turn < 3; turn++) altitude = seen - lifted(altitude);
  return altitude;
}

/** Whether any of the sun is above the horizon. Sunrise and sunset are when this changes. */
export function isSunUp(moment: number, { latitude, longitude }: GeoPlace): boolean {
  return sunAltitude(moment, latitude, longitude) > sunHeights.rise;
}

type SunTimes = Pick<SunReading, 'sunrise' | 'sunset'>;

const MOST_KNOWN = 200;
const known = new Map<string, SunTimes>();

/** The first sunrise and sunset (epoch ms) on the wall-clock day of a moment; null where there is none that day. */
export function sunTimes(moment: number, { latitude, longitude, zone }: GeoPlace): SunTimes {
  const { start, end } = dayOf(moment, zone);
  const key = `${start} ${end} ${latitude} ${longitude}`;
  let times = known.get(key);
  if (!times) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, (times = findTimes(start, end, latitude, longitude)));
  }
  return times;
}

/** Looks this often (ms) whether the sun has crossed the horizon; between two looks it turns back at most once. */
const LOOK_MS = 1_800_000;
const EXACT_MS = 500;

function findTimes(start: number, end: number, latitude: number, longitude: number): SunTimes {
  const above = (at: number) => sunAltitude(at, latitude, longitude) - sunHeights.rise;
  const looks: { at: number; height: number }[] = [];
  for (let at = start; at < end; at += LOOK_MS) looks.push({ at, height: above(at) });
  looks.push({ at: end, height: above(end) });
  const found: SunTimes = { sunrise: null, sunset: null };
  const cross = (from: number, to: number) => {
    const isRise = above(from) <= 0 && above(to) > 0;
    if (!isRise && !(above(from) > 0 && above(to) <= 0)) return;
    const at = between(from, to, (moment) => above(moment) > 0 === isRise);
    if (at >= end) return;
    if (isRise) found.sunrise ??= at;
    else found.sunset ??= at;
  };
  for (let index = 0; index + 1 < looks.length; index++) {
    const [before, here, next] = [looks[index - 1], looks[index], looks[index + 1]];
    if (!here || !next) continue;
    const after = looks[index + 2];
    // Near its highest and its lowest the sun may cross and come back between two looks.
    const isTop = here.height >= (before?.height ?? -Infinity) && next.height >= (after?.height ?? -Infinity);
    const isBottom =
      here.height <= (before?.height ?? Infinity) && next.height <= (after?.height ?? Infinity);
    const isSameSide = here.height > 0 === next.height > 0;
    const turn =
      isSameSide && Math.abs(here.height) < 2 && (isTop || isBottom)
        ? extreme(here.at, next.at, (at) => (isTop ? above(at) : -above(at)))
        : null;
    if (turn === null) cross(here.at, next.at);
    else {
      cross(here.at, turn);
      cross(turn, next.at);
    }
  }
  return found;
}

const DAY = 86_400_000;
/** Ms by which the sun is at most early or late against a mean one, and a little more. */
const MOST_OFF = 1_200_000;

/** Days since 1970 by a mean sun above a place, the first from its midnight on. */
export function solarDayAt(moment: number, { longitude }: GeoPlace): number {
  return Math.floor(moment / DAY + longitude / 360);
}

export interface SolarDay {
  /** Epoch ms at which the sun rises before its highest, and sets after it. */
  rise: number;
  set: number;
}

const knownDays = new Map<string, SolarDay>();

/**
 * Sunrise and sunset between one lowest of the sun and the next, which is once each, whatever the clocks show: a day of
 * the calendar may have two. Where the sun does not rise or set, a quarter of a day before and after its highest.
 */
export function solarDay(number: number, { latitude, longitude }: GeoPlace): SolarDay {
  const key = `${number} ${latitude} ${longitude}`;
  let found = knownDays.get(key);
  if (!found) {
    if (knownDays.size >= MOST_KNOWN) knownDays.clear();
    knownDays.set(key, (found = findSolarDay(number, latitude, longitude)));
  }
  return found;
}

function findSolarDay(number: number, latitude: number, longitude: number): SolarDay {
  const above = (at: number) => sunAltitude(at, latitude, longitude) - sunHeights.rise;
  const midnight = (number - longitude / 360) * DAY;
  const turn = (near: number, sign: 1 | -1) =>
    extreme(near - MOST_OFF, near + MOST_OFF, (at) => sign * above(at));
  const [lowest, highest, next] = [turn(midnight, -1), turn(midnight + DAY / 2, 1), turn(midnight + DAY, -1)];
  const isUp = above(highest) > 0;
  return {
    rise:
      isUp && above(lowest) <= 0
        ? between(lowest, highest, (at) => above(at) > 0)
        : Math.round(highest - DAY / 4),
    set:
      isUp && above(next) <= 0
        ? between(highest, next, (at) => above(at) <= 0)
        : Math.round(highest + DAY / 4),
  };
}

/** The first moment of a stretch from which on something is true; it is false at the start and true at the end. */
function between(from: number, to: number, isTrue: (moment: number) => boolean): number {
  let [low, high] = [from, to];
  while (high - low > EXACT_MS) {
    const middle = (low + high) / 2;
    if (isTrue(middle)) high = middle;
    else low = middle;
  }
  return Math.round(high);
}

/** Where a function with one summit on a stretch has it. */
function extreme(from: number, to: number, height: (moment: number) => number): number {
  let [low, high] = [from, to];
  while (high - low > EXACT_MS) {
    const third = (high - low) / 3;
    if (height(low + third) < height(high - third)) low += third;
    else high -= third;
  }
  return (low + high) / 2;
}
