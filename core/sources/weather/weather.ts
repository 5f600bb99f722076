import { defineLargeSource } from '../source.ts';

/** The weather of a moment or an hour. SI units: °C, hPa, m/s, mm/h, m; shares 0 to 1. Null where it can't be known. */
export interface WeatherAt {
  /** Epoch ms. */
  moment: number;
  temperature: number | null;
  felt: number | null;
  dewPoint: number | null;
  humidity: number | null;
  /** At sea level. */
  pressure: number | null;
  wind: number | null;
  gusts: number | null;
  /** Degrees clockwise from north that it comes from; null where it has none. */
  direction: number | null;
  /** The share of the sky that is covered. */
  cloud: number | null;
  rain: number | null;
  /** How likely any is to fall within the hour. */
  chance: number | null;
  visibility: number | null;
  /** WMO code. */
  code: number | null;
}

export interface WeatherDay {
  /** When it begins on the wall clock of the place, epoch ms. */
  start: number;
  low: number | null;
  high: number | null;
  /** mm */
  rain: number | null;
  chance: number | null;
  /** The strongest. */
  wind: number | null;
  code: number | null;
}

export interface WeatherReading {
  now: WeatherAt;
  /** hPa by which the pressure has changed in three hours. */
  trend: number | null;
  /** The present hour and the 48 after it, where they can be known. */
  hours: WeatherAt[];
  /** From today on, ten where they can be known. */
  days: WeatherDay[];
}

export const weather = defineLargeSource({
  id: 'weather',
  title: 'Weather',
  step: 300_000,
  tells: { weather: 'minute' },
  load: () => import('./simulate.ts'),
});
