import lookUpZone from '@photostructure/tz-lookup';
import { isZone } from '../values/earth.ts';
import type { Coordinates } from './coordinates.ts';

/** The IANA time zone at some coordinates; at sea the one of the hour. */
export function zoneAt({ latitude, longitude }: Coordinates): string {
  const zone = lookUpZone(latitude, longitude);
  return isZone(zone) ? zone : 'UTC';
}
