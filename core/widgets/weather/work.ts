import type { Inked } from '../../kinds/layout.ts';
import type { WidgetContext } from '../../kinds/kind.ts';
import { clockPattern } from '../../kinds/options.ts';
import { noWeather } from '../../sources/weather/nothing.ts';
import { sunAltitude } from '../../sources/sun/sun.ts';
import { formatMoment, wallClock } from '../../sources/time/time.ts';
import { compassPoint, pressureIn, temperatureIn, told, unitOf, windIn } from '../../sources/units.ts';
import { conditionOf } from '../../sources/weather/codes.ts';
import type { WeatherAt, WeatherReading } from '../../sources/weather/weather.ts';
import { clamp } from '../../values/geometry.ts';
import { weatherLayouts, type SkyView, type WeatherLayout, type WeatherView } from './layout.ts';
import type { WeatherFace, WeatherOptions } from './weather.ts';

export function view(options: WeatherOptions, face: WeatherFace, context: WidgetContext): WeatherView {
  const { readings, units, textColour } = context;
  const isReported = options.from === 'station';
  const said = isReported ? readings.get('station').value : readings.get('weather').value;
  const { now, hours, days, trend } = said ?? noWeather(readings.moment);
  const temperature = unitOf(options.temperatureIn, units.temperature);
  const wind = unitOf(options.windIn, units.wind);
  const degrees = (celsius: number | null) => told(temperatureIn(temperature, celsius));
  const title = said ? titleOf(now, isReported, context) : 'No report yet';
  return {
    icon: iconOf(now, context),
    title,
    temperature: degrees(now.temperature),
    felt: `Feels ${degrees(now.felt)}`,
    humidity: now.humidity === null ? null : `Humidity ${Math.round(now.humidity * 100)} %`,
    wind: windIn(wind, now.wind),
    gusts: `Gusts ${told(windIn(wind, now.gusts))}`,
    pressure: `${told(pressureIn(unitOf(options.pressureIn, units.pressure), now.pressure))}${trendTold(trend)}`,
    from: now.direction === null ? 'Calm' : compassPoint(now.direction),
    direction: now.direction,
    isWindTold: options.wind && now.wind !== null,
    hours: face === 'hours' ? hoursAhead(hours.slice(0, options.hours + 1), degrees, context) : [],
    days: face === 'days' ? daysAhead(days.slice(0, options.days), degrees, context) : [],
    sky: face === 'sky' ? skyOf(now, context) : null,
    type: options.type,
    colour: textColour(options.colour),
  };
}

export function layout(seen: WeatherView, face: WeatherFace, { fonts }: WidgetContext): WeatherLayout {
  return weatherLayouts[face](seen, fonts);
}

/** ms after which it is said when a report was made. */
const OLD = 4_500_000;

function titleOf(
  { code, moment }: WeatherAt,
  isReported: boolean,
  { readings, units }: WidgetContext,
): string {
  const { title } = conditionOf(code);
  if (!isReported || readings.moment - moment < OLD) return title;
  return `${title} at ${formatMoment(moment, readings.place.zone, clockPattern(units.hours))}`;
}

/** hPa in three hours from which a pressure rises or falls. */
const STEADY = 0.5;

function trendTold(trend: number | null): string {
  if (trend === null) return '';
  return Math.abs(trend) < STEADY ? ', steady' : trend > 0 ? ', rising' : ', falling';
}

function iconOf({ code, moment }: WeatherAt, { readings: { place } }: WidgetContext): string {
  const { day, night } = conditionOf(code);
  return sunAltitude(moment, place.latitude, place.longitude) > -0.8333 ? day : night;
}

type Degrees = (celsius: number | null) => string;

/** Every so many hours one is named, so that at most seven are. */
function hoursAhead(
  hours: readonly WeatherAt[],
  degrees: Degrees,
  context: WidgetContext,
): WeatherView['hours'] {
  const { readings, units } = context;
  const every = [1, 2, 3, 6, 12].find((step) => hours.length / step <= 8) ?? 12;
  const pattern = units.hours === '24' ? 'HH' : 'haaa';
  return hours.map(({ moment, temperature, rain, chance }) => {
    const { hour } = wallClock(moment, readings.place.zone);
    return {
      label: hour % every === 0 ? formatMoment(moment, readings.place.zone, pattern) : null,
      temperature,
      told: degrees(temperature),
      rain: rain ?? 0,
      chance: chance ?? 0,
    };
  });
}

function daysAhead(
  days: WeatherReading['days'],
  degrees: Degrees,
  context: WidgetContext,
): WeatherView['days'] {
  const { zone } = context.readings.place;
  const known = days.flatMap(({ low, high }) => [low, high]).filter((one) => one !== null);
  const [least, most] = known.length > 0 ? [Math.min(...known), Math.max(...known)] : [0, 0];
  const share = (celsius: number | null) => ((celsius ?? least) - least) / Math.max(1, most - least);
  return days.map(({ start, low, high, code, chance }, index) => ({
    name: index === 0 ? 'Today' : formatMoment(start, zone, 'EEE d'),
    icon: conditionOf(code).day,
    low: degrees(low),
    high: degrees(high),
    chance: chance !== null && chance >= 0.3 ? `${Math.round(chance * 10) * 10} %` : null,
    from: share(low),
    to: share(high),
  }));
}

/** What a drawn sky is made of; shares of 0 to 1. */
function skyOf(
  { cloud, rain, temperature, visibility, wind, direction }: WeatherAt,
  { readings }: WidgetContext,
): SkyView {
  const { altitude } = readings.get('sun').value;
  const { hour, minute } = readings.wall();
  const falling = clamp((rain ?? 0) / 4, 0, 1);
  const isSnow = (temperature ?? 10) < 0.4;
  return {
    altitude,
    across: clamp((hour + minute / 60 - 5) / 15, 0, 1),
    phase: readings.get('moon').value.phase,
    cloud: cloud ?? 0.4,
    rain: isSnow ? 0 : falling,
    snow: isSnow ? falling : 0,
    fog: visibility === null ? 0 : clamp((3000 - visibility) / 2600, 0, 1),
    // Rain slants with the wind that is seen from the south.
    slant: direction === null ? 0 : clamp(((wind ?? 0) / 12) * Math.sin((direction * Math.PI) / 180), -1, 1),
  };
}

export function inked({ colour }: WeatherView, { icon, days }: WeatherLayout): Inked[] {
  const what = 'The picture of the weather';
  return [...(icon ? [icon] : []), ...days.map((day) => day.icon)].map((rect) => ({ what, rect, colour }));
}
