import type { HalfBy } from './schema.ts';
import type { GeoPlace } from '../values/earth.ts';
import { halves, type Half } from '../values/roles.ts';
import { isSunUp } from '../sources/sun/sun.ts';
import { wallClock } from '../sources/time/time.ts';

/** The half in force at a moment (epoch ms). */
export function halfAt(by: HalfBy, moment: number, place: GeoPlace): Half {
  switch (by.by) {
    case 'choice':
      return by.half;
    case 'sun':
      return isSunUp(moment, place) ? 'light' : 'dark';
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

/** The halves that a desk is ever in by itself: a fixed one has one. */
export function halvesIn(by: HalfBy): readonly Half[] {
  return by.by === 'choice' ? [by.half] : halves;
}

function minutes(time: string): number {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return hour * 60 + minute;
}
