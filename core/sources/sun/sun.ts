import { getPosition, getTimes } from 'suncalc';
import type { GeoPlace } from '../../desk/values.ts';
import { defineSource } from '../source.ts';
import { dayOf } from '../time/time.ts';

/** The sun at the desk's place. Times are epoch ms, null where the sun does not rise or set that day. */
export interface SunReading {
  /** Degrees above the horizon; negative below it. */
  altitude: number;
  sunrise: number | null;
  sunset: number | null;
}

export const sun = defineSource({
  id: 'sun',
  title: 'Sun',
  step: 60_000,
  read: ({ place }, moment): SunReading => ({
    altitude: sunAltitude(moment, place.latitude, place.longitude),
    ...sunTimes(moment, place),
  }),
});

/** Sunrise and sunset (epoch ms) on the wall-clock day of a moment; null where there is none that day. */
export function sunTimes(
  moment: number,
  { latitude, longitude, zone }: GeoPlace,
): Omit<SunReading, 'altitude'> {
  const { start, end } = dayOf(moment, zone);
  // Asked at the middle of the day, so that the answer belongs to this date wherever the zone lies.
  const times = getTimes(new Date((start + end) / 2), latitude, longitude);
  return { sunrise: asMoment(times.sunrise), sunset: asMoment(times.sunset) };
}

/** Degrees above the horizon (suncalc, after Meeus). */
export function sunAltitude(moment: number, latitude: number, longitude: number): number {
  return getPosition(new Date(moment), latitude, longitude).altitude;
}

function asMoment(date: Date | null | undefined): number | null {
  const value = date?.getTime() ?? NaN;
  return Number.isNaN(value) ? null : value;
}
