import { TZDate } from '@date-fns/tz';
import { wallClock } from '../sources/time/time.ts';

/** Moments (epoch ms) by the clock on the wall of a zone, also on the days on which it is set. */

export const MINUTE = 60_000;
export const DAY_MINUTES = 1440;

/** Days since 1970 on the wall calendar of a zone. */
export function dayNumber(moment: number, zone: string): number {
  const { year, month, day } = wallClock(moment, zone);
  return Math.round(Date.UTC(year, month - 1, day) / (DAY_MINUTES * MINUTE));
}

/** Ms since 1970 that a clock on the wall of a zone shows; later than it should be right after it was set back. */
function shownBy(moment: number, zone: string): number {
  const { year, month, day, hour, minute } = wallClock(moment, zone);
  return Date.UTC(year, month - 1, day, hour, minute);
}

/** Epoch ms of a time of day on a day of the calendar, and whether the clocks show it that day. */
export function wallMoment(day: number, minutes: number, zone: string): { at: number; isShown: boolean } {
  const asked = (day * DAY_MINUTES + minutes) * MINUTE;
  const date = new Date(asked);
  const at = new TZDate(
    date.getUTCFullYear(),
    date.getUTCMonth(),
    date.getUTCDate(),
    date.getUTCHours(),
    date.getUTCMinutes(),
    0,
    zone,
  ).getTime();
  return { at, isShown: shownBy(at, zone) === asked };
}

/** The same; a time that the clocks leave out has come as soon as they have been set. */
export function momentOn(day: number, minutes: number, zone: string): number {
  const { at, isShown } = wallMoment(day, minutes, zone);
  if (isShown) return at;
  const asked = (day * DAY_MINUTES + minutes) * MINUTE;
  // A whole day is the most that was ever left out.
  let [before, after] = [at - 26 * 60 * MINUTE, at];
  while (after - before > MINUTE) {
    const middle = before + Math.floor((after - before) / 2 / MINUTE) * MINUTE;
    if (shownBy(middle, zone) >= asked) after = middle;
    else before = middle;
  }
  return after;
}

/** Minutes after midnight of a time such as 06:30. */
export function minutesOf(time: string): number {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours * 60 + minutes;
}
