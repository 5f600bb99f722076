import { parseMetar, parseTAFAsForecast, type Forecast, type IMetarDated } from 'metar-taf-parser';
import { dewPointOf, feltTemperature, humidityOf } from '../weather/air.ts';
import { nothingAt } from '../weather/nothing.ts';
import type { WeatherAt, WeatherDay, WeatherReading } from '../weather/weather.ts';
import { dayOf } from '../time/time.ts';

/** What stands in a text of reports, and what could not be read. */
export interface Reports {
  metar: IMetarDated | null;
  taf: ReturnType<typeof parseTAFAsForecast> | null;
  problems: string[];
}

const HOUR = 3_600_000;
const MS_PER: Record<string, number> = { KT: 0.514444, MPS: 1, 'KM/H': 1 / 3.6 };
const METRES_PER_MILE = 1609.344;
const HPA_PER_INCH = 33.8639;

/** Eighths of the sky that each word stands for, as a share (WMO-No. 306, FM 15). */
const covers: Record<string, number> = { SKC: 0, NSC: 0, FEW: 0.25, SCT: 0.45, BKN: 0.75, OVC: 1 };
const coverOf = new Map(Object.entries(covers));

/**
 * Reads METAR and TAF, one report after another, each from its line on; lines that go on are joined. `around` (epoch ms)
 * says which month their days are of.
 */
export function readReports(text: string, around: number): Reports {
  const found: Reports = { metar: null, taf: null, problems: [] };
  const issued = new Date(around);
  for (const report of reportsIn(text)) {
    const isTaf = /^TAF\b/.test(report);
    try {
      // The parser makes something of anything.
      if (!REPORT.test(report)) throw new Error('no report');
      if (isTaf) found.taf ??= parseTAFAsForecast(report, { issued });
      else found.metar ??= parseMetar(report, { issued });
    } catch {
      found.problems.push(`“${report.slice(0, 40)}” is neither a METAR nor a TAF`);
    }
  }
  return found;
}

/** How a report begins: what it is, corrected or not, its station and its day and time. */
const REPORT = /^(?:(?:METAR|TAF)(?: (?:COR|AMD|TAF|METAR))* )?[A-Z][A-Z0-9]{3} \d{6}Z /;

/** A report begins with its name, or with a station and a day; the lines after it belong to it. */
function reportsIn(text: string): string[] {
  const reports: string[] = [];
  for (const line of text.slice(0, 8000).split(/\r?\n|=/)) {
    const trimmed = line.trim().replace(/\s+/g, ' ').toUpperCase();
    // A service puts a line with the date before a report.
    if (trimmed === '' || /^\d{4}\/\d\d\/\d\d/.test(trimmed)) continue;
    if (/^(METAR|SPECI|TAF)\b|^[A-Z][A-Z0-9]{3} \d{6}Z/.test(trimmed) || reports.length === 0)
      reports.push(trimmed.replace(/^SPECI\b/, 'METAR'));
    else reports[reports.length - 1] += ` ${trimmed}`;
  }
  return reports.slice(0, 20);
}

type Said = Pick<IMetarDated, 'wind' | 'visibility' | 'clouds' | 'weatherConditions' | 'cavok'>;

/** What a report and a group of a forecast have in common. */
function conditionsOf({ wind, visibility, clouds, weatherConditions, cavok }: Said) {
  const speed = wind ? wind.speed * (MS_PER[wind.unit] ?? 1) : null;
  const cloud = cavok
    ? 0
    : clouds.length > 0
      ? Math.max(...clouds.map(({ quantity }) => coverOf.get(quantity) ?? 0))
      : null;
  const metres = visibility
    ? visibility.value * (visibility.unit === 'SM' ? METRES_PER_MILE : 1)
    : cavok
      ? 10_000
      : null;
  return {
    wind: speed,
    gusts: wind?.gust === undefined ? null : wind.gust * (MS_PER[wind.unit] ?? 1),
    direction: wind && wind.speed > 0 ? (wind.degrees ?? null) : null,
    cloud,
    visibility: metres,
    code: codeOf(weatherConditions, cloud, metres),
  };
}

/** The WMO code of what is reported; of the sky where nothing falls. */
function codeOf(
  said: Said['weatherConditions'],
  cloud: number | null,
  visibility: number | null,
): number | null {
  const falls = said.flatMap(({ phenomenons, descriptive, intensity }) =>
    phenomenons.map((what) => ({
      what: String(what),
      how: String(descriptive ?? ''),
      intensity: String(intensity ?? ''),
    })),
  );
  const strength = (light: number, plain: number, heavy: number, how: string) =>
    how === '-' ? light : how === '+' ? heavy : plain;
  if (said.some(({ descriptive }) => String(descriptive) === 'TS')) return 95;
  const isFalling = (what: string) => falls.some((one) => one.what === what);
  if (isFalling('RA') && isFalling('SN')) return 68;
  for (const { what, how, intensity } of falls) {
    if (what === 'SN' || what === 'SG') return strength(71, 73, 75, intensity);
    if (what === 'RA') return how === 'SH' ? 80 : strength(61, 63, 65, intensity);
    if (what === 'DZ') return strength(51, 53, 53, intensity);
    if (what === 'FG') return how === 'FZ' ? 48 : 45;
    if (what === 'BR') return 10;
  }
  if (visibility !== null && visibility < 1000) return 45;
  if (cloud === null) return null;
  return cloud === 0 ? 0 : cloud <= 0.25 ? 1 : cloud <= 0.5 ? 2 : 3;
}

/** What a report says of its moment. */
function observed(metar: IMetarDated): WeatherAt {
  const { temperature = null, dewPoint = null, altimeter } = metar;
  const said = conditionsOf(metar);
  const humidity = temperature !== null && dewPoint !== null ? humidityOf(temperature, dewPoint) : null;
  return {
    ...nothingAt(metar.issued.getTime()),
    ...said,
    temperature,
    humidity,
    dewPoint:
      dewPoint ?? (temperature !== null && humidity !== null ? dewPointOf(temperature, humidity) : null),
    felt:
      temperature !== null && humidity !== null && said.wind !== null
        ? feltTemperature(temperature, humidity, said.wind)
        : null,
    pressure: altimeter ? altimeter.value * (String(altimeter.unit) === 'inHg' ? HPA_PER_INCH : 1) : null,
  };
}

/** Groups of a forecast that hold for a moment: what prevails, and what may come for a while. */
function forecastAt(taf: NonNullable<Reports['taf']>, moment: number): WeatherAt | null {
  const isIn = ({ start, end }: Forecast) => start.getTime() <= moment && end.getTime() > moment;
  const groups = taf.forecast.filter(isIn);
  const prevailing = groups.findLast(({ type }) => !['TEMPO', 'PROB', 'INTER'].includes(String(type)));
  if (!prevailing) return null;
  const said = conditionsOf(prevailing as Said);
  const passing = groups.filter((group) => group !== prevailing);
  const wet = passing.filter((group) => isWet(group));
  const [first] = wet;
  const chances = wet.map(({ probability }) => (probability ?? 50) / 100);
  return {
    ...nothingAt(moment),
    ...said,
    code: first ? conditionsOf(first as Said).code : said.code,
    chance: isWet(prevailing) ? 0.9 : chances.length > 0 ? Math.max(...chances) : 0.05,
  };
}

const isWet = ({ weatherConditions }: Forecast) =>
  weatherConditions.some(({ phenomenons }) =>
    phenomenons.some((what) => ['RA', 'SN', 'DZ', 'SG', 'GR', 'GS', 'PL'].includes(String(what))),
  );

/** Reports as weather; null where there is no METAR in them. */
export function weatherOf({ metar, taf }: Reports, moment: number, zone: string): WeatherReading | null {
  if (!metar) return null;
  const now = observed(metar);
  const hour = Math.floor(moment / HOUR) * HOUR;
  const hours = Array.from({ length: 49 }, (_, index) => (taf ? forecastAt(taf, hour + index * HOUR) : null));
  return {
    now,
    trend: null,
    hours: hours.map((one, index) => {
      const at = hour + index * HOUR;
      return { ...(one ?? nothingAt(at)), temperature: temperatureAt(at, now, taf) };
    }),
    days: taf ? daysOf(taf, hours, moment, zone) : [],
  };
}

/** Between the temperatures that are told (now, the warmest, the coldest) it changes as half a wave; beyond, nothing is known. */
function temperatureAt(moment: number, now: WeatherAt, taf: Reports['taf']): number | null {
  const told = [
    { at: now.moment, temperature: now.temperature },
    ...[taf?.maxTemperature, taf?.minTemperature].flatMap((one) =>
      one ? [{ at: one.date.getTime(), temperature: one.temperature }] : [],
    ),
  ]
    .filter((one): one is { at: number; temperature: number } => one.temperature !== null)
    .sort((a, b) => a.at - b.at);
  // The hour that goes on has begun before the report.
  const at = Math.max(moment, Math.min(now.moment, moment + HOUR));
  const next = told.findIndex((one) => one.at >= at);
  const [before, after] = [told[next - 1] ?? told[next], told[next]];
  if (!before || !after) return null;
  const share = after.at === before.at ? 0 : (at - before.at) / (after.at - before.at);
  return (
    before.temperature + ((after.temperature - before.temperature) * (1 - Math.cos(Math.PI * share))) / 2
  );
}

/** The days that a forecast reaches into, with the temperatures that it names. */
function daysOf(
  taf: NonNullable<Reports['taf']>,
  hours: readonly (WeatherAt | null)[],
  moment: number,
  zone: string,
): WeatherDay[] {
  const days: WeatherDay[] = [];
  for (
    let { start, end } = dayOf(moment, zone);
    start < taf.end.getTime();
    { start, end } = dayOf(end + HOUR, zone)
  ) {
    const within = hours.filter(
      (one): one is WeatherAt => one !== null && one.moment >= start && one.moment < end,
    );
    if (within.length === 0) break;
    const isHere = (dated: { date: Date } | undefined) =>
      dated !== undefined && dated.date.getTime() >= start && dated.date.getTime() < end;
    days.push({
      start,
      low: isHere(taf.minTemperature) ? (taf.minTemperature?.temperature ?? null) : null,
      high: isHere(taf.maxTemperature) ? (taf.maxTemperature?.temperature ?? null) : null,
      rain: null,
      chance: Math.max(...within.map(({ chance }) => chance ?? 0)),
      wind: Math.max(...within.map(({ wind }) => wind ?? 0)),
      code: worst(within),
    });
  }
  return days;
}

/** What a day is remembered by: whatever falls before the sky. */
function worst(hours: readonly WeatherAt[]): number | null {
  const codes = hours.map(({ code }) => code).filter((code) => code !== null);
  return codes.length > 0 ? Math.max(...codes) : null;
}
