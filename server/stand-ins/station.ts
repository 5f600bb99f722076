import type { GeoPlace } from '../../core/values/earth.ts';
import { read } from '../../core/sources/weather/simulate.ts';
import type { WeatherAt } from '../../core/sources/weather/weather.ts';

/**
 * A weather station that stands in for real ones: METAR and TAF (WMO-No. 306, FM 15 and FM 51) of the simulated weather.
 * Its station has a name that no real one has.
 */
const STATION = 'XXMP';
const KNOTS = 1.943844;
const HOUR = 3_600_000;

const two = (value: number) => String(value).padStart(2, '0');
const three = (value: number) => String(value).padStart(3, '0');

const dayTime = (moment: number) => {
  const at = new Date(moment);
  return `${two(at.getUTCDate())}${two(at.getUTCHours())}${two(at.getUTCMinutes())}`;
};
const dayHour = (moment: number) => {
  const at = new Date(moment);
  return `${two(at.getUTCDate())}${two(at.getUTCHours())}`;
};

function windOf({ wind, gusts, direction }: WeatherAt): string {
  const knots = Math.round((wind ?? 0) * KNOTS);
  if (knots < 1) return '00000KT';
  // To tens of degrees; north is 360.
  const tens = Math.round((direction ?? 0) / 10) * 10;
  const gust = Math.round((gusts ?? 0) * KNOTS);
  return `${three(tens === 0 ? 360 : tens)}${two(knots)}${gust >= knots + 10 ? `G${two(gust)}` : ''}KT`;
}

/** Metres, in the steps that reports have. */
function visibilityOf({ visibility }: WeatherAt): string {
  const metres = visibility ?? 9999;
  if (metres >= 10_000) return '9999';
  const step = metres < 800 ? 50 : metres < 5000 ? 100 : 1000;
  return String(Math.floor(metres / step) * step).padStart(4, '0');
}

const signs = new Map([
  [10, 'BR'],
  [45, 'FG'],
  [48, 'FZFG'],
  [51, '-DZ'],
  [53, 'DZ'],
  [61, '-RA'],
  [63, 'RA'],
  [65, '+RA'],
  [68, 'RASN'],
  [71, '-SN'],
  [73, 'SN'],
  [75, '+SN'],
  [80, 'SHRA'],
  [95, 'TSRA'],
]);

function skyOf({ cloud, rain }: WeatherAt): string {
  const covered = cloud ?? 0;
  if (covered < 0.06) return 'NSC';
  const word = covered < 0.3 ? 'FEW' : covered < 0.6 ? 'SCT' : covered < 0.9 ? 'BKN' : 'OVC';
  return `${word}${(rain ?? 0) > 0.1 ? '012' : '030'}`;
}

const degrees = (celsius: number) =>
  `${Math.round(celsius) < 0 ? 'M' : ''}${two(Math.abs(Math.round(celsius)))}`;

const conditions = (at: WeatherAt) =>
  [windOf(at), visibilityOf(at), signs.get(at.code ?? -1) ?? '', skyOf(at)].filter(Boolean).join(' ');

/** The report of the last half hour, and the forecast for a day from the last sixth hour on. */
export function reportsAt(seed: number, place: GeoPlace, moment: number): string {
  const observed = Math.floor((moment - 600_000) / 1_800_000) * 1_800_000 + 600_000;
  const { now } = read({ seed, place }, Math.floor(observed / 300_000) * 300_000);
  const metar = [
    'METAR',
    STATION,
    `${dayTime(observed)}Z`,
    conditions(now),
    `${degrees(now.temperature ?? 0)}/${degrees(now.dewPoint ?? 0)}`,
    `Q${String(Math.round(now.pressure ?? 1013)).padStart(4, '0')}`,
  ].join(' ');
  return `${metar}=\n${forecastAt(seed, place, moment)}=\n`;
}

function forecastAt(seed: number, place: GeoPlace, moment: number): string {
  const issued = Math.floor(moment / (6 * HOUR)) * 6 * HOUR;
  const { hours } = read({ seed, place }, issued);
  const day = hours.slice(0, 25);
  const end = issued + 24 * HOUR;
  // A day that ends at midnight ends at hour 24 of the one before.
  const until =
    new Date(end).getUTCHours() === 0 ? `${two(new Date(end - HOUR).getUTCDate())}24` : dayHour(end);
  const groups: string[] = [];
  let told = day[0] ? conditions(day[0]) : '';
  const first = told;
  for (const at of day.slice(1, -1)) {
    const next = conditions(at);
    if (!isOther(told, next)) continue;
    groups.push(`FM${dayTime(at.moment)} ${next}`);
    told = next;
  }
  const known = day.filter(({ temperature }) => temperature !== null);
  const warmest = known.reduce(
    (a, b) => ((b.temperature ?? 0) > (a.temperature ?? 0) ? b : a),
    day[0] as WeatherAt,
  );
  const coldest = known.reduce(
    (a, b) => ((b.temperature ?? 0) < (a.temperature ?? 0) ? b : a),
    day[0] as WeatherAt,
  );
  return [
    `TAF ${STATION} ${dayTime(issued)}Z ${dayHour(issued)}/${until} ${first}`,
    `TX${degrees(warmest.temperature ?? 0)}/${dayHour(warmest.moment)}Z TN${degrees(coldest.temperature ?? 0)}/${dayHour(coldest.moment)}Z`,
    ...groups.slice(0, 8),
  ].join('\n  ');
}

/** Whether a forecast must say so: another wind by more than a breath, other weather, or another sky. */
function isOther(before: string, after: string): boolean {
  const [windBefore = '', ...restBefore] = before.split(' ');
  const [windAfter = '', ...restAfter] = after.split(' ');
  const strength = (wind: string) => Number(wind.slice(3, 5));
  const turn = Math.abs(Number(windBefore.slice(0, 3)) - Number(windAfter.slice(0, 3)));
  const words = (rest: string[]) => rest.filter((word) => !/^\d{4}$/.test(word)).join(' ');
  return (
    Math.abs(strength(windBefore) - strength(windAfter)) >= 8 ||
    (Math.min(turn, 360 - turn) >= 60 && strength(windAfter) >= 8) ||
    words(restBefore) !== words(restAfter)
  );
}
