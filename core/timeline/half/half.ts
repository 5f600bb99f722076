import type { HalfBy } from '../../look/schema.ts';
import { isSunUp, solarDay, solarDayAt } from '../../sources/sun/sun.ts';
import { dayOf, wallClock } from '../../sources/time/time.ts';
import type { GeoPlace } from '../../values/earth.ts';
import { halves, type Half } from '../../values/roles.ts';
import { defineTrigger, type TimelineChange } from '../trigger.ts';
import { DAY_MINUTES, MINUTE, dayNumber, minutesOf, momentOn } from '../wall.ts';

/** The half in force at a moment (epoch ms). Where it goes by the backdrop and nothing is known of that, a desk is light. */
export function halfAt(
  by: HalfBy,
  moment: number,
  place: GeoPlace,
  isDarkBehind: boolean | null = null,
): Half {
  switch (by.by) {
    case 'backdrop':
      return isDarkBehind ? 'dark' : 'light';
    case 'choice':
      return by.half;
    case 'sun':
      return isSunUp(moment, place) ? 'light' : 'dark';
    case 'hours':
      return halfByHours(by, moment, place.zone);
  }
}

type Hours = Extract<HalfBy, { by: 'hours' }>;

function halfByHours(by: Hours, moment: number, zone: string): Half {
  const [light, dark] = [minutesOf(by.light), minutesOf(by.dark)];
  const { start, end } = dayOf(moment, zone);
  if (end - start === DAY_MINUTES * MINUTE) {
    const { hour, minute } = wallClock(moment, zone);
    const now = hour * 60 + minute;
    // Light may begin before midnight and end after it.
    const isLight = light <= dark ? now >= light && now < dark : now >= light || now < dark;
    return isLight ? 'light' : 'dark';
  }
  // Where the clocks are set back a time comes twice: the half changes once, when rotations do.
  const today = dayNumber(moment, zone);
  return turnsOn(by, [today - 1, today], zone).findLast(({ at }) => at <= moment)?.half ?? 'dark';
}

interface Turn {
  at: number;
  half: Half;
}

/** When it turns light and dark on some days, in order. Where both fall together it stays dark. */
function turnsOn({ light, dark }: Hours, days: readonly number[], zone: string): Turn[] {
  return days
    .flatMap((day): Turn[] => [
      { at: momentOn(day, minutesOf(light), zone), half: 'light' },
      { at: momentOn(day, minutesOf(dark), zone), half: 'dark' },
    ])
    .sort((one, other) => one.at - other.at);
}

/** The moments from `start` up to `end` (epoch ms) at which a desk turns light or dark. */
export function turnsBetween(by: HalfBy, start: number, end: number, place: GeoPlace): number[] {
  switch (by.by) {
    case 'choice':
    case 'backdrop':
      return [];
    case 'sun': {
      const days = range(solarDayAt(start, place) - 1, solarDayAt(end, place) + 1);
      return days.flatMap((day) => {
        const { rise, set } = solarDay(day, place);
        return [rise, set];
      });
    }
    case 'hours': {
      const { zone } = place;
      const days = range(dayNumber(start, zone) - 1, dayNumber(end, zone) + 1);
      return turnsOn(by, days, zone).map(({ at }) => at);
    }
  }
}

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => from + index);

/** The halves that a desk is ever in by itself: a fixed one has one. */
export function halvesIn(by: HalfBy): readonly Half[] {
  return by.by === 'choice' ? [by.half] : halves;
}

/** A second is enough on either side of what was reckoned. */
const AROUND = 1000;

/** The desk turns light or dark. */
export const half = defineTrigger({
  key: 'half',
  title: 'Half',
  subject: ({ look }) => look.half,
  stateAt: (by, { place }, moment) => halfAt(by, moment, place),
  changesBetween: (by, { place }, start, end) =>
    turnsBetween(by, start, end, place).flatMap((at): TimelineChange[] => {
      // Where the sun stays up or down, or both turns fall together, nothing changes.
      const [before, now] = [halfAt(by, at - AROUND, place), halfAt(by, at + AROUND, place)];
      return at >= start && at < end && before !== now ? [{ at, told: `The desk turns ${now}` }] : [];
    }),
});
