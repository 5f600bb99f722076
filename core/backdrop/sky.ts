import { getMoonIllumination, getMoonPosition } from 'suncalc';
import type { GeoPlace } from '../values/earth.ts';
import { sunAltitude } from '../sources/sun/sun.ts';

/** What motifs know of the sky. Angles in degrees above the horizon, in whole steps: few pictures serve a day. */
export interface Sky {
  sun: number;
  /** Whether the sun is on its way up. */
  isRising: boolean;
  moon: number;
  /** 0 new, 0.5 full, 1 new again */
  phase: number;
}

const MINUTE = 60_000;

/** The sky over a place at a moment (epoch ms). */
export function skyAt(moment: number, { latitude, longitude }: GeoPlace): Sky {
  const sun = sunAltitude(moment, latitude, longitude);
  const later = sunAltitude(moment + 10 * MINUTE, latitude, longitude);
  const date = new Date(moment);
  return {
    sun: step(sun, 1),
    isRising: later > sun,
    moon: step(getMoonPosition(date, latitude, longitude).altitude, 4),
    phase: step(getMoonIllumination(date).phase, 0.04),
  };
}

function step(value: number, size: number): number {
  return Math.round(Math.round(value / size) * size * 100) / 100;
}
