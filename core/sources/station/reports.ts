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
const msPer = new Map([
  ['KT', 0.514444],
  ['MPS', 1],
  ['KMH', 1 / 3.6],
]);
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

/** Words for a sky without cloud: of people, of machines, and by what was not detected (WMO-No. 306, FM 15; FMH-1). */
const NO_CLOUD = /(?:^| )(?:SKC|CLR|NSC|NCD)(?: |$)/;
/** A sky that can't be seen for what lies beneath it. */
const HIDDEN = /(?:^| )VV(?:\d{3}|\/\/\/)(?: |$)/;
const WIND = /(?:^| )(\d{3}|VRB)P?(\d{2,3})(?:GP?(\d{2,3}))?(KT|MPS|KMH)(?: |$)/;

/** The wind by the report's own words: three figures of a hurricane, and km/h, are its too. m/s. */
function windIn(words: string): { wind: number | null; gusts: number | null; direction: number | null } {
  const [, from, speed, gusts, unit = ''] = WIND.exec(words) ?? [];
  const by = msPer.get(unit);
  if (by === undefined) return { wind: null, gusts: null, direction: null };
  const isFrom = from !== 'VRB' && Number(speed) > 0;
  return {
    wind: Number(speed) * by,
    gusts: gusts === undefined ? null : Number(gusts) * by,
    direction: isFrom ? Number(from) % 360 : null,
  };
}

/** A share of the sky; null where nothing is said of it. */
function cloudIn({ clouds, cavok }: Said, words: string): number | null {
  if (cavok) return 0;
  if (HIDDEN.test(words)) return 1;
  if (clouds.length > 0) return Math.max(...clouds.map(({ quantity }) => coverOf.get(quantity) ?? 0));
  return NO_CLOUD.test(words) ? 0 : null;
}

/** What a report and a group of a forecast have in common; `words` are those that it was read from. */
function conditionsOf(said: Said, words: string) {
  const { visibility, weatherConditions, cavok } = said;
  const cloud = cloudIn(said, words);
  // What a person sees: `1 1/0SM` is nothing.
  const seen = visibility ? visibility.value * (visibility.unit === 'SM' ? METRES_PER_MILE : 1) : null;
  const metres = cavok ? 10_000 : seen !== null && Number.isFinite(seen) ? seen : null;
  return {
    ...windIn(words),
    cloud,
    visibility: metres,
    // Where ceiling and visibility are fine, whatever fell or hung before is over.
    code: codeOf(cavok ? [] : weatherConditions, cloud, metres),
  };
}

interface Falling {
  what: string;
  how: string;
  intensity: string;
}

/** What each of it is by itself; strength as light, plain and heavy. The first of them that is there counts. */
const kinds: readonly (readonly [what: string, codes: (one: Falling) => number])[] = [
  ['GR', () => 89],
  ['GS', () => 89],
  ['PL', () => 79],
  ['SN', ({ how, intensity }) => (how === 'SH' ? 85 : strength(71, 73, 75, intensity))],
  ['SG', () => 77],
  ['IC', () => 77],
  ['RA', ({ how, intensity }) => (how === 'FZ' ? 66 : how === 'SH' ? 80 : strength(61, 63, 65, intensity))],
  ['UP', () => 61],
  ['DZ', ({ how, intensity }) => (how === 'FZ' ? 56 : strength(51, 53, 53, intensity))],
  ['DS', () => 31],
  ['SS', () => 31],
  ['FG', ({ how }) => (how === 'FZ' ? 48 : 45)],
  ['BR', () => 10],
  ['VA', () => 4],
  ['FU', () => 4],
  ['DU', () => 6],
  ['SA', () => 6],
  ['HZ', () => 5],
];

const strength = (light: number, plain: number, heavy: number, how: string) =>
  how === '-' ? light : how === '+' ? heavy : plain;

/** Fog that is shallow, in patches or over a part of the field, and snow or sand that drifts: not what it is like here. */
const ASIDE = new Set(['MI', 'BC', 'PR', 'DR', 'BL']);

/** The WMO code of what is reported; of the sky where nothing falls. */
function codeOf(
  said: Said['weatherConditions'],
  cloud: number | null,
  visibility: number | null,
): number | null {
  // What is in the vicinity is not here.
  const here = said.filter(({ intensity }) => String(intensity) !== 'VC');
  const falls: Falling[] = here.flatMap(({ phenomenons, descriptive, intensity }) =>
    phenomenons.map((what) => ({
      what: String(what),
      how: String(descriptive ?? ''),
      intensity: String(intensity ?? ''),
    })),
  );
  const isFalling = (what: string) => falls.some((one) => one.what === what);
  if (here.some(({ descriptive }) => String(descriptive) === 'TS'))
    return isFalling('GR') || isFalling('GS') ? 96 : 95;
  if (isFalling('RA') && isFalling('SN')) return 68;
  for (const [what, code] of kinds) {
    const found = falls.find((one) => one.what === what && !ASIDE.has(one.how));
    if (found) return code(found);
  }
  // Where nothing says what hides what is far, it is fog; not where something is only beside the place.
  if (visibility !== null && visibility < 1000 && said.length === 0) return 45;
  if (cloud === null) return null;
  return cloud === 0 ? 0 : cloud <= 0.25 ? 1 : cloud <= 0.5 ? 2 : 3;
}

const TEMPERATURES = /(?:^| )(M?\d{2})\/(M?\d{2}|\/\/)?(?: |$)/;

/** Temperature and dew point, °C, of which the second may be missing. */
function temperaturesIn(words: string): { temperature: number | null; dewPoint: number | null } {
  const [, temperature, dewPoint] = TEMPERATURES.exec(words) ?? [];
  const degrees = (text: string | undefined) =>
    text === undefined || text === '//' ? null : Number(text.replace('M', '-'));
  return { temperature: degrees(temperature), dewPoint: degrees(dewPoint) };
}

/** The words of a report before its trend and its remarks, which are of another time and of other things. */
const bodyOf = (words: string) => words.split(/ (?:RMK|TEMPO|BECMG|NOSIG)\b/)[0] ?? '';

/** What a report says of its moment. */
function observed(metar: IMetarDated): WeatherAt {
  const { altimeter } = metar;
  const words = bodyOf(metar.message);
  const { temperature, dewPoint } = temperaturesIn(words);
  const said = conditionsOf(metar, words);
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
  const said = conditionsOf(prevailing as Said, prevailing.raw);
  const passing = groups.filter((group) => group !== prevailing);
  const wet = passing.filter((group) => isWet(group));
  const [first] = wet;
  const chances = wet.map(({ probability }) => (probability ?? 50) / 100);
  return {
    ...nothingAt(moment),
    ...said,
    code: first ? conditionsOf(first as Said, first.raw).code : said.code,
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
