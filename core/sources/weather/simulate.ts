import type { GeoPlace } from '../../values/earth.ts';
import { clamp } from '../../values/geometry.ts';
import { hash, valueNoise } from '../noise.ts';
import type { SourceContext } from '../source.ts';
import { dayOf } from '../time/time.ts';
import { feltTemperature, humidityOf } from './air.ts';
import type { WeatherAt, WeatherDay, WeatherReading } from './weather.ts';

/**
 * A made-up climate that hangs together. Pressure is a sum of slow waves that pass over; all else follows from it, from
 * where it is and from the sun: it falls before rain, the wind turns as its trough passes, warm air goes ahead of the
 * trough and cold air follows, clear skies let the nights cool, and fog forms where calm air comes near its dew point.
 */

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const YEAR = 365.2422 * DAY;
const RADIAN = Math.PI / 180;
/** A winter solstice of the north: 21 December 2000, 13:37 UTC. */
const SOLSTICE = Date.UTC(2000, 11, 21, 13, 37);

/** What a place is like all year. */
interface Climate {
  seed: number;
  latitude: number;
  longitude: number;
  /** 1 north of the line, -1 south of it. */
  hemisphere: 1 | -1;
  /** 0 on the line to 1 from 35° on: how far weather comes in lows and highs. */
  waves: number;
  /** 0.35 far inland to 1 on the coast: how much the sea evens out. */
  sea: number;
}

function climateOf(seed: number, { latitude, longitude }: GeoPlace): Climate {
  // Neighbours have the same weather; so has a place whose name is another.
  const own = Math.floor(hash(seed, Math.round(latitude * 4) * 1441 + Math.round(longitude * 4)) * 2 ** 31);
  return {
    seed: own,
    latitude,
    longitude,
    hemisphere: latitude < 0 ? -1 : 1,
    waves: clamp((Math.abs(latitude) - 6) / 29, 0, 1),
    sea: 0.35 + 0.65 * clamp(1.6 * hash(own, 7), 0, 1),
  };
}

/** -1 in the depth of winter to 1 in the height of summer, `lag` days after the sun. */
function season({ hemisphere }: Climate, moment: number, lag: number): number {
  return -hemisphere * Math.cos((2 * Math.PI * (moment - SOLSTICE - lag * DAY)) / YEAR);
}

/** Noise of -1 to 1 that turns every so many ms. */
function wave(seed: number, moment: number, period: number): number {
  return 2 * valueNoise(seed, moment / period) - 1;
}

/** hPa above or below what is usual at the place. */
function anomaly(climate: Climate, moment: number): number {
  const { seed, waves } = climate;
  const passing =
    wave(seed + 1, moment, 2.1 * DAY) +
    0.55 * wave(seed + 2, moment, 1.15 * DAY) +
    0.5 * wave(seed + 3, moment, 6.5 * DAY);
  const inWinter = 1 - 0.28 * season(climate, moment, 20);
  return passing * (1.5 + 14 * waves * inWinter);
}

function pressureAt(climate: Climate, moment: number): number {
  const { latitude } = climate;
  const belts = 1012 + 6 * Math.cos((Math.abs(latitude) - 33) * 4.2 * RADIAN) - 4;
  // The air tide: twice a day, strongest on the line.
  const tide =
    1.4 *
    Math.cos(latitude * RADIAN) ** 3 *
    Math.cos((4 * Math.PI * (solarHour(climate, moment) - 9.8)) / 24);
  return belts + anomaly(climate, moment) + tide;
}

/** hPa in three hours about a moment, without the air tide. */
function trendAt(climate: Climate, moment: number): number {
  return anomaly(climate, moment + 1.5 * HOUR) - anomaly(climate, moment - 1.5 * HOUR);
}

/** Hours since midnight by the sun. */
function solarHour({ longitude }: Climate, moment: number): number {
  return (((moment / HOUR + longitude / 15) % 24) + 24) % 24;
}

/** -1 well ahead of a trough, 1 well behind it. */
function sideOfTrough(climate: Climate, moment: number): number {
  return Math.tanh(trendAt(climate, moment) / (0.35 + 1.6 * climate.waves));
}

/** How wet the air is for its pressure: above 0 it rains. */
function wetness(climate: Climate, moment: number): number {
  const { seed, waves } = climate;
  const low = -anomaly(climate, moment) / (1.5 + 14 * waves);
  const moisture = wave(seed + 11, moment, 11 * DAY);
  // In the tropics clouds tower up in the afternoon.
  const towering =
    (1 - waves) * (0.75 * Math.cos((2 * Math.PI * (solarHour(climate, moment) - 16)) / 24) + 0.25 * moisture);
  return low * (0.4 + 0.6 * waves) + 0.2 * moisture + towering - 0.6;
}

function cloudAt(climate: Climate, moment: number): number {
  const wet = wetness(climate, moment);
  const broken = 0.24 * wave(climate.seed + 12, moment, 3.2 * HOUR);
  return clamp(1.12 + 0.96 * wet + broken * clamp(1 - 2 * wet, 0, 1), 0, 1);
}

/** mm/h */
function rainAt(climate: Climate, moment: number, temperature: number): number {
  const wet = wetness(climate, moment);
  if (wet <= 0) return 0;
  const uneven = 0.25 + 1.5 * valueNoise(climate.seed + 13, moment / (38 * MINUTE)) ** 2;
  // Warm air carries more.
  return wet * uneven * 5.5 * clamp(0.45 + temperature / 28, 0.3, 1.8);
}

/** By how much a forecast is off at most, in the measure of wetness, and how long it goes on being off. */
const OFF = 0.5;
const OFF_FOR = 9 * HOUR;
/** The wetness foretold at which it rains as often as not, and how fast it becomes more likely from there. */
const EVEN = 0.12;
const STEEP = 7;

/**
 * How likely it rains, 0 to 1: what a forecast says that is off by now and then, so that of the hours it gives three in
 * ten it rains in three of ten.
 */
function chanceAt(climate: Climate, moment: number): number {
  const off = OFF * (2 * valueNoise(climate.seed + 61, moment / OFF_FOR) - 1);
  return 1 / (1 + Math.exp(-STEEP * (wetness(climate, moment) + off - EVEN)));
}

/** °C of the air that is there, before day and night. */
function airMass(climate: Climate, moment: number): number {
  const { latitude, sea, seed, waves } = climate;
  const height = Math.abs(Math.sin(latitude * RADIAN));
  const yearly = 28.5 - 27 * height ** 2 - 21 * height ** 12;
  const swing = 1 + 19 * height ** 1.3 * (1.15 - 0.75 * sea);
  const ahead = -sideOfTrough(climate, moment) * (0.4 + 2.6 * waves);
  return (
    yearly +
    swing * season(climate, moment, 25 + 17 * sea) +
    ahead +
    (0.7 + 2.6 * waves) * wave(seed + 21, moment, 4.3 * DAY)
  );
}

/** By how many °C day and night differ from the air's own temperature. */
function daily(climate: Climate, moment: number): number {
  const { sea, latitude } = climate;
  const tilt = 23.44 * season({ ...climate, hemisphere: 1 }, moment, 0);
  const noonSun = Math.sin(clamp(90 - Math.abs(latitude - tilt), 0, 90) * RADIAN);
  const midnightSun = clamp(Math.sin((Math.abs(latitude + tilt) - 90) * RADIAN), 0, 1);
  const clear = 1 - 0.72 * cloudOver(climate, moment);
  const swing = (3.2 + 5.4 * (1.2 - sea)) * noonSun * (1 - midnightSun) * clear;
  // Warmest some hours after the sun was highest, the later the farther from the sea; coldest about sunrise.
  const hour = solarHour(climate, moment) - (14 + 0.9 * (1.2 - sea));
  return swing * (Math.cos((2 * Math.PI * hour) / 24) + 0.16 * Math.cos((4 * Math.PI * hour) / 24) - 0.08);
}

/** Cloud over some hours: ground and sea cool and warm slowly. */
function cloudOver(climate: Climate, moment: number): number {
  return (
    (cloudAt(climate, moment) + cloudAt(climate, moment - 3 * HOUR) + cloudAt(climate, moment + 3 * HOUR)) / 3
  );
}

function temperatureAt(climate: Climate, moment: number): number {
  return airMass(climate, moment) + daily(climate, moment);
}

/** Never above the temperature: what is too much becomes dew, cloud and fog. */
function dewPointAt(climate: Climate, moment: number, temperature: number): number {
  const { seed, sea } = climate;
  const wet = wetness(climate, moment);
  const dry = clamp(2.7 - 3.3 * wet - 1.6 * (sea - 0.6), 0.3, 8.5);
  const own = airMass(climate, moment) - dry + 1.1 * wave(seed + 31, moment, 16 * HOUR);
  return Math.min(temperature - 0.1 - 0.5 * valueNoise(seed + 32, moment / (5 * HOUR)), own);
}

/** m/s, and degrees that it comes from. */
function windAt(climate: Climate, moment: number): { wind: number; direction: number } {
  const { seed, waves, sea, latitude, hemisphere } = climate;
  const trend = trendAt(climate, moment);
  const low = clamp(-anomaly(climate, moment) / (1.5 + 14 * waves), 0, 1.6);
  const hour = solarHour(climate, moment);
  const breeze =
    sea * clamp(Math.cos((2 * Math.PI * (hour - 15)) / 24), 0, 1) * (1 - cloudAt(climate, moment)) * 2.4;
  const trades = 3.4 * (1 - waves);
  const uneven = 0.55 + 0.9 * valueNoise(seed + 41, moment / (2.4 * HOUR));
  const wind = (0.7 + trades + Math.abs(trend) * 1.7 + 5.4 * low * waves) * uneven + breeze;
  // Ahead of a trough it comes from the line, behind it from the pole; in the tropics the trades blow.
  const passing =
    hemisphere === 1 ? 245 + 58 * sideOfTrough(climate, moment) : 295 - 58 * sideOfTrough(climate, moment);
  const trade = hemisphere === 1 ? 65 : 115;
  const wander = 14 * wave(seed + 42, moment, 7 * HOUR);
  const share = clamp((Math.abs(latitude) - 18) / 14, 0, 1);
  return { wind, direction: (trade + (passing - trade) * share + wander + 360) % 360 };
}

/** m. Fog needs calm air that is nearly full, and no rain to clear it. */
function visibilityAt(temperature: number, dewPoint: number, wind: number, rain: number): number {
  const near = temperature - dewPoint;
  if (isFoggy(temperature, dewPoint, wind, rain))
    return Math.round(120 + 700 * (near / FOG.near) + 60 * wind);
  const haze = 5000 + 30_000 * clamp((near - 0.5) / 6, 0, 1);
  return Math.round(haze / (1 + 1.2 * rain));
}

/** Fog forms where the air is within so many °C of its dew point, and no more than so many m/s of wind stir it. */
const FOG = { near: 1, calm: 3.4 } as const;

function isFoggy(temperature: number, dewPoint: number, wind: number, rain: number): boolean {
  return temperature - dewPoint < FOG.near && wind < FOG.calm && rain < 0.1;
}

interface Seen {
  temperature: number;
  dewPoint: number;
  wind: number;
  cloud: number;
  rain: number;
  visibility: number;
}

/** WMO code of what is seen. */
function codeOf({ temperature, rain, cloud, visibility }: Seen, isThundery: boolean): number {
  if (rain > 0.1) {
    if (temperature < 0.4) return rain < 0.6 ? 71 : rain < 2 ? 73 : 75;
    if (temperature < 1.8) return 68;
    if (isThundery && rain > 2.2) return 95;
    if (rain < 0.3) return 51;
    return rain < 1.2 ? 61 : rain < 4.5 ? 63 : 65;
  }
  if (visibility < 1000) return temperature < 0 ? 48 : 45;
  if (visibility < 5200 && cloud < 0.9) return 10;
  return cloud < 0.12 ? 0 : cloud < 0.35 ? 1 : cloud < 0.82 ? 2 : 3;
}

function weatherAt(climate: Climate, moment: number): WeatherAt {
  const temperature = temperatureAt(climate, moment);
  const rain = rainAt(climate, moment, temperature);
  const dewPoint = dewPointAt(climate, moment, temperature);
  const { wind, direction } = windAt(climate, moment);
  const humidity = humidityOf(temperature, dewPoint);
  const visibility = visibilityAt(temperature, dewPoint, wind, rain);
  // Fog is cloud that lies on the ground.
  const cloud = Math.max(cloudAt(climate, moment), rain > 0 ? 0.8 : 0, visibility < 1000 ? 0.85 : 0);
  const isThundery = temperature > 17 && hash(climate.seed + 51, Math.floor(moment / DAY)) < 0.45;
  const seen = { temperature, dewPoint, wind, cloud, rain, visibility };
  return {
    moment,
    temperature: round(temperature, 1),
    felt: round(feltTemperature(temperature, humidity, wind), 1),
    dewPoint: round(dewPoint, 1),
    humidity: round(humidity, 2),
    pressure: round(pressureAt(climate, moment), 1),
    wind: round(wind, 1),
    gusts: round(wind * (1.28 + 0.5 * valueNoise(climate.seed + 43, moment / (1.7 * HOUR))), 1),
    direction: wind < 0.3 ? null : Math.round(direction) % 360,
    cloud: round(cloud, 2),
    rain: round(rain, 1),
    chance: round(chanceAt(climate, moment), 2),
    visibility,
    code: codeOf(seen, isThundery),
  };
}

function round(value: number, decimals: number): number {
  const by = 10 ** decimals;
  return Math.round(value * by) / by + 0;
}

/** The present one, and two days of them. */
const HOURS = 49;
const DAYS = 10;

/** Whole hours and days are asked for again and again. */
const MOST_KNOWN = 4000;
const known = new Map<string, WeatherAt | WeatherDay>();

function once<T extends WeatherAt | WeatherDay>(key: string, work: () => T): T {
  let found = known.get(key) as T | undefined;
  if (!found) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, (found = work()));
  }
  return found;
}

/** Of a whole hour. */
function weatherOf(climate: Climate, hour: number): WeatherAt {
  const { seed, latitude, longitude } = climate;
  return once(`${seed} ${latitude} ${longitude} ${hour}`, () => weatherAt(climate, hour));
}

/** The weather at a place. Pure: the same seed, place and moment give the same. */
export function read({ seed, place }: SourceContext, moment: number): WeatherReading {
  const climate = climateOf(seed, place);
  const hour = Math.floor(moment / HOUR) * HOUR;
  const now = weatherAt(climate, moment);
  return {
    // What falls already needs no forecast.
    now: { ...now, chance: (now.rain ?? 0) > 0 ? 1 : now.chance },
    // Of the figures that are shown, three hours apart (WMO-No. 8, the tendency of the pressure).
    trend: round(round(pressureAt(climate, moment), 1) - round(pressureAt(climate, moment - 3 * HOUR), 1), 1),
    hours: Array.from({ length: HOURS }, (_, index) => weatherOf(climate, hour + index * HOUR)),
    days: daysFrom(climate, place, moment),
  };
}

function daysFrom(climate: Climate, place: GeoPlace, moment: number): WeatherDay[] {
  const days: WeatherDay[] = [];
  let { start, end } = dayOf(moment, place.zone);
  for (let count = 0; count < DAYS; count++) {
    const [from, to] = [start, end];
    const { seed, latitude, longitude } = climate;
    days.push(once(`${seed} ${latitude} ${longitude} ${from} ${to}`, () => dayBetween(climate, from, to)));
    ({ start, end } = dayOf(end + HOUR, place.zone));
  }
  return days;
}

function dayBetween(climate: Climate, start: number, end: number): WeatherDay {
  const hours: WeatherAt[] = [];
  for (let at = start; at < end; at += HOUR) hours.push(weatherOf(climate, at));
  const all = (key: 'temperature' | 'rain' | 'wind' | 'chance') => hours.map((hour) => hour[key] ?? 0);
  const temperatures = all('temperature');
  const rain = all('rain').reduce((sum, value) => sum + value, 0);
  return {
    start,
    low: Math.min(...temperatures),
    high: Math.max(...temperatures),
    rain: round(rain, 1),
    chance: Math.max(...all('chance')),
    wind: Math.max(...all('wind')),
    code: ofDay(climate, hours),
  };
}

/** The code that a day is remembered by: what falls for long or falls hard, or what its daylight mostly was. */
function ofDay(climate: Climate, hours: readonly WeatherAt[]): number | null {
  const counts = new Map<number, number>();
  for (const { code, moment, rain } of hours) {
    if (code === null) continue;
    const isLight = Math.abs(solarHour(climate, moment) - 13) < 7;
    const weight = (isLight ? 1 : 0.4) * ((rain ?? 0) > 0.1 ? 2.4 : 1) * (code === 95 ? 5 : 1);
    counts.set(code, (counts.get(code) ?? 0) + weight);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
