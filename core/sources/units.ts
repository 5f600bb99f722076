import { z } from 'zod';
import { field } from '../values/field.ts';
import type { TypeOf } from '../values/types.ts';

/** Readings are in SI units; here is what people see them in. */

const temperatures = { c: '°C', f: '°F' } as const;
const winds = { kmh: 'km/h', ms: 'm/s', mph: 'mph', kn: 'kn', bft: 'Bft' } as const;
const pressures = { hpa: 'hPa', inhg: 'inHg' } as const;
const weeks = { monday: 'Monday', sunday: 'Sunday', saturday: 'Saturday' } as const;
const hourStyles = { '24': '24 hours', '12': '12 hours' } as const;

export type Temperature = keyof typeof temperatures;
export type Wind = keyof typeof winds;
export type Pressure = keyof typeof pressures;
export type Hours = keyof typeof hourStyles;

const keysOf = <Key extends string>(titles: Record<Key, string>) => Object.keys(titles) as [Key, ...Key[]];

/** What a desk shows its readings in. */
export const Units = z.looseObject({
  temperature: field(z.enum(keysOf(temperatures)), { label: 'Temperature', choices: temperatures }),
  wind: field(z.enum(keysOf(winds)), { label: 'Wind', choices: winds, control: 'choice' }),
  pressure: field(z.enum(keysOf(pressures)), { label: 'Pressure', choices: pressures }),
  hours: field(z.enum(keysOf(hourStyles)), { label: 'Hours', choices: hourStyles }),
  week: field(z.enum(keysOf(weeks)), { label: 'Weeks begin on', choices: weeks }),
});
export type Units = TypeOf<typeof Units>;

export const plainUnits: Units = {
  temperature: 'c',
  wind: 'kmh',
  pressure: 'hpa',
  hours: '24',
  week: 'monday',
};

/** A part's own choice of one of these; `desk` follows the desk. */
const own = <Key extends string>(titles: Record<Key, string>) => z.enum(['desk', ...keysOf(titles)]);

function ownUnit<S extends z.ZodType>(schema: S, label: string, titles: Record<string, string>): S {
  return field(schema, { label, is: 'content', group: 'Units', choices: { desk: 'Desk’s', ...titles } });
}

export const OwnTemperature = ownUnit(own(temperatures).default('desk'), 'Temperature', temperatures);
export const OwnWind = ownUnit(own(winds).default('desk'), 'Wind', winds);
export const OwnPressure = ownUnit(own(pressures).default('desk'), 'Pressure', pressures);
export const OwnWeek = ownUnit(own(weeks).default('desk'), 'Weeks begin on', weeks);

/** What a part shows its readings in: its own choice, or the desk's. */
export function unitOf<Unit extends string>(own: Unit | 'desk', ofDesk: Unit): Unit {
  return own === 'desk' ? ofDesk : own;
}

export interface Quantity {
  figure: string;
  unit: string;
}

const UNKNOWN = '–';

/** °C as whole degrees; minus zero is zero. */
export function temperatureIn(unit: Temperature, celsius: number | null): Quantity {
  if (celsius === null) return { figure: UNKNOWN, unit: '°' };
  const value = Math.round(unit === 'c' ? celsius : celsius * 1.8 + 32);
  return { figure: String(value === 0 ? 0 : value).replace('-', '−'), unit: '°' };
}

/** m/s from which each force of the Beaufort scale holds (WMO, code table 1100). */
const forces = [0.3, 1.6, 3.4, 5.5, 8, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7];
const perMetre: Record<Exclude<Wind, 'bft'>, number> = { kmh: 3.6, ms: 1, mph: 2.236936, kn: 1.943844 };

/** m/s */
export function windIn(unit: Wind, speed: number | null): Quantity {
  if (speed === null) return { figure: UNKNOWN, unit: winds[unit] };
  if (unit === 'bft')
    return { figure: String(forces.filter((from) => speed >= from).length), unit: winds.bft };
  return { figure: String(Math.round(speed * perMetre[unit])), unit: winds[unit] };
}

/** hPa */
export function pressureIn(unit: Pressure, pressure: number | null): Quantity {
  if (pressure === null) return { figure: UNKNOWN, unit: pressures[unit] };
  return unit === 'hpa'
    ? { figure: String(Math.round(pressure)), unit: pressures.hpa }
    : { figure: (pressure * 0.02953).toFixed(2), unit: pressures.inhg };
}

/** A length of time (s) in hours and minutes. */
export function lengthTold(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return hours === 0 ? `${rest} min` : `${hours} h ${rest} min`;
}

/** A figure with its unit, which stands apart but for degrees. */
export function told({ figure, unit }: Quantity): string {
  return unit === '°' ? `${figure}°` : `${figure} ${unit}`;
}

/** The point of the compass that a wind comes from. */
export function compassPoint(degrees: number): string {
  const points = [
    'N',
    'NNE',
    'NE',
    'ENE',
    'E',
    'ESE',
    'SE',
    'SSE',
    'S',
    'SSW',
    'SW',
    'WSW',
    'W',
    'WNW',
    'NW',
    'NNW',
  ];
  return points[Math.round(degrees / 22.5) % 16] ?? '';
}
