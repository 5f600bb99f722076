import type { HalfBy } from '../desk/look-schema.ts';
import type { GeoPlace, Half } from '../desk/values.ts';
import { sunAltitude } from '../sources/sun/sun.ts';
import { wallClock } from '../sources/time/time.ts';

/** The altitude (degrees) at which the sun's upper rim meets the horizon, with the air's bending of light. */
const SUNRISE = -0.833;

/** The half in force at a moment (epoch ms). */
export function halfAt(by: HalfBy, moment: number, place: GeoPlace): Half {
  switch (by.by) {
    case 'choice':
      return by.half;
    case 'sun':
      return sunAltitude(moment, place.latitude, place.longitude) > SUNRISE ? 'light' : 'dark';
    case 'hours': {
      const { hour, minute } = wallClock(moment, place.zone);
      const now = hour * 60 + minute;
      const [light, dark] = [minutes(by.light), minutes(by.dark)];
      // Light may begin before midnight and end after it.
      const isLight = light <= dark ? now >= light && now < dark : now >= light || now < dark;
      return isLight ? 'light' : 'dark';
    }
  }
}

function minutes(time: string): number {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return hour * 60 + minute;
}
