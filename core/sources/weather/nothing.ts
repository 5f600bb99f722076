import type { WeatherAt, WeatherReading } from './weather.ts';

/** A moment (epoch ms) of which nothing is known. */
export const nothingAt = (moment: number): WeatherAt => ({
  moment,
  temperature: null,
  felt: null,
  dewPoint: null,
  humidity: null,
  pressure: null,
  wind: null,
  gusts: null,
  direction: null,
  cloud: null,
  rain: null,
  chance: null,
  visibility: null,
  code: null,
});

/** Weather of which nothing is known. */
export const noWeather = (moment: number): WeatherReading => ({
  now: nothingAt(moment),
  trend: null,
  hours: [],
  days: [],
});
