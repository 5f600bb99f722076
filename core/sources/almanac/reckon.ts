import { getMoonTimes } from 'suncalc';
import type { GeoPlace } from '../../values/earth.ts';
import { moon } from '../moon/moon.ts';
import type { SourceContext } from '../source.ts';
import { sunAltitude, sunHeights, sunTimes } from '../sun/sun.ts';
import { marrowTide, tideHeight, tideTurns, type Tide } from '../tide/tide.ts';
import { dayOf } from '../time/time.ts';
import type { AlmanacReading } from './almanac.ts';

const HOUR = 3_600_000;
const HALF_HOUR = HOUR / 2;

type OfDay = Omit<AlmanacReading, 'moon' | 'tide'> & {
  rises: number | null;
  sets: number | null;
  turns: AlmanacReading['tide']['turns'];
  curve: AlmanacReading['tide']['curve'];
};

/** What holds all day is worked out once. */
const MOST_KNOWN = 40;
const known = new Map<string, OfDay>();

export function read({ place, tide = marrowTide }: SourceContext, moment: number): AlmanacReading {
  const { start, end } = dayOf(moment, place.zone);
  const key = `${start} ${end} ${place.latitude} ${place.longitude} ${JSON.stringify(tide)}`;
  let day = known.get(key);
  if (!day) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, (day = reckonDay(place, tide, start, end)));
  }
  const { rises, sets, turns, curve, ...rest } = day;
  const next = turns.find(({ at }) => at > moment);
  return {
    ...rest,
    moon: { ...moon.read({ seed: 0, place }, moment), rises, sets },
    tide: { height: tideHeight(tide, moment), isRising: next?.isHigh ?? false, turns, curve },
  };
}

function reckonDay(place: GeoPlace, tide: Tide, start: number, end: number): OfDay {
  const { sunrise, sunset } = sunTimes(start + HOUR, place);
  const light = lightOf(start, end, place);
  const before = dayOf(start - HOUR, place.zone);
  const passes = (below: number) => crossings(place, start, end, below);
  const [civil, nautical, night] = [sunHeights.civil, sunHeights.nautical, sunHeights.night].map(passes);
  const { rises, sets } = moonTimes(place, start, end);
  const steps = Math.round((end - start) / HALF_HOUR);
  return {
    day: { start, end },
    sunrise,
    sunset,
    dawns: { civil: civil?.up ?? null, nautical: nautical?.up ?? null, night: night?.up ?? null },
    dusks: { civil: civil?.down ?? null, nautical: nautical?.down ?? null, night: night?.down ?? null },
    light,
    gains: light - lightOf(before.start, before.end, place),
    season: seasonAt(start, place.latitude),
    rises,
    sets,
    turns: tideTurns(tide, start - 24 * HOUR, end + 24 * HOUR),
    curve: Array.from({ length: steps + 1 }, (_, index) => {
      const at = start + index * HALF_HOUR;
      return { at, height: tideHeight(tide, at) };
    }),
  };
}

/** ms for which the sun is up on a day. */
function lightOf(start: number, end: number, place: GeoPlace): number {
  const { sunrise, sunset } = sunTimes(start + HOUR, place);
  const isUp = (at: number) => sunAltitude(at, place.latitude, place.longitude) > sunHeights.rise;
  if (sunrise === null && sunset === null) return isUp((start + end) / 2) ? end - start : 0;
  // Where it sets after midnight, the day begins and ends in its light.
  if (sunrise !== null && sunset !== null)
    return sunset > sunrise ? sunset - sunrise : end - start - (sunrise - sunset);
  return sunrise === null ? (sunset ?? start) - start : end - sunrise;
}

const LOOK = 10 * 60_000;
const EXACT = 1000;

/** When the sun first passes a height (degrees) upward and downward on a day. */
function crossings(
  { latitude, longitude }: GeoPlace,
  start: number,
  end: number,
  height: number,
): { up: number | null; down: number | null } {
  const above = (at: number) => sunAltitude(at, latitude, longitude) > height;
  const found: { up: number | null; down: number | null } = { up: null, down: null };
  for (let at = start; at < end; at += LOOK) {
    const to = Math.min(at + LOOK, end);
    if (above(at) === above(to)) continue;
    const isUp = above(to);
    let [low, high] = [at, to];
    while (high - low > EXACT) {
      const middle = (low + high) / 2;
      if (above(middle) === isUp) high = middle;
      else low = middle;
    }
    if (isUp) found.up ??= Math.round(high);
    else found.down ??= Math.round(high);
  }
  return found;
}

/** The moon's rise and set on the wall-clock day, which may begin on another day of UTC. */
function moonTimes({ latitude, longitude }: GeoPlace, start: number, end: number) {
  const found: { rises: number | null; sets: number | null } = { rises: null, sets: null };
  for (let at = start - 24 * HOUR; at <= end; at += 24 * HOUR) {
    const { rise, set } = getMoonTimes(new Date(at), latitude, longitude);
    const within = (date?: Date) => {
      const moment = date?.getTime() ?? NaN;
      return moment >= start && moment < end ? moment : null;
    };
    found.rises ??= within(rise);
    found.sets ??= within(set);
  }
  return found;
}

/** Ecliptic longitude of the sun in degrees, to a hundredth or so (low precision formula of the Astronomical Almanac). */
function sunLongitude(moment: number): number {
  const days = (moment - Date.UTC(2000, 0, 1, 12)) / 86_400_000;
  const mean = 280.46 + 0.9856474 * days;
  const anomaly = ((357.528 + 0.9856003 * days) * Math.PI) / 180;
  const longitude = mean + 1.915 * Math.sin(anomaly) + 0.02 * Math.sin(2 * anomaly);
  return ((longitude % 360) + 360) % 360;
}

const seasons = ['Spring', 'Summer', 'Autumn', 'Winter'] as const;

/** By the sun's way from equinox to solstice; turned round in the south. */
function seasonAt(moment: number, latitude: number): AlmanacReading['season'] {
  const quarter = Math.floor(sunLongitude(moment) / 90) + (latitude < 0 ? 2 : 0);
  return seasons[quarter % 4] ?? 'Spring';
}
