import { z } from 'zod';
import { field } from './field.ts';
import type { TypeOf } from './types.ts';

/** A time of day on the wall. */
export const WallTime = z
  .string()
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'is not a time of day, such as 07:30' });

export const GeoPlace = z.looseObject({
  name: field(z.string().max(120), { label: 'Name' }),
  latitude: field(z.number().min(-90).max(90), { label: 'Latitude', unit: '°N', step: 0.1, decimals: 4 }),
  longitude: field(z.number().min(-180).max(180), {
    label: 'Longitude',
    unit: '°E',
    step: 0.1,
    decimals: 4,
  }),
  zone: field(
    z
      .string()
      .max(64)
      .refine(isZone, { message: 'is not a time zone, such as Europe/London' })
      .meta({ description: 'IANA time zone' }),
    { label: 'Time zone', control: 'zone' },
  ),
});
export type GeoPlace = TypeOf<typeof GeoPlace>;

/** Zones that were asked for, and whether there are such: to find out takes the system a good while. */
const zones = new Map<string, boolean>();
const MOST_ZONES = 2000;

/** Whether the world knows a zone by this name. */
export function isZone(zone: string): boolean {
  const known = zones.get(zone);
  if (known !== undefined) return known;
  if (zones.size >= MOST_ZONES) zones.clear();
  const isOne = isZoneHere(zone);
  zones.set(zone, isOne);
  return isOne;
}

function isZoneHere(zone: string): boolean {
  if (zone.length > 64) return false;
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
