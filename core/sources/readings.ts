import type { GeoPlace } from '../values/earth.ts';
import type { Feed, Sample } from './feeds.ts';
import { plainOutside, type Outside } from './outside.ts';
import { ownLibrary, type Library } from '../values/library.ts';
import { readerOf } from './learn.ts';
import { sources, type OriginOf, type ReadingOf, type SourceId } from './list.ts';
import type { Sound } from './sound/schema.ts';
import type { Tide } from './tide/tide.ts';
import { SIMULATED, type Tick } from './source.ts';
import { formatMoment, wallClock, type TimeReading } from './time/time.ts';

/** What a part reads: a source, where its readings come from, how often they are looked at, and whether an expression does. */
export type Need = {
  [Id in SourceId]: { source: Id; origin?: OriginOf<Id>; every: Tick; byExpression?: true };
}[SourceId];

/** A reading with when it was taken (epoch ms), and how long before the moment shown that was (ms). */
interface Taken<Reading> {
  value: Reading;
  at: number;
  age: number;
}

/** What the views of items and widgets read. Each value is worked out once for each set of readings. */
export interface Readings {
  /** What tells how they are read and worked out. */
  readonly library: Library;
  readonly moment: number;
  readonly place: GeoPlace;
  /** What is read from outside, and what came of it so far. */
  readonly outside: Outside;
  readonly feeds: readonly Feed[];
  /** Works something out once for all parts that show it; the key names it. */
  once<T>(key: string, work: () => T): T;
  /** The simulated reading of a source at the moment shown. */
  get<Id extends SourceId>(source: Id): Taken<ReadingOf<Id>>;
  /**
   * The reading of a source from an origin, now or at another moment. From outside it is the newest of that moment,
   * or the newest there is where nothing is as old; null while there is none.
   */
  get<Id extends SourceId>(source: Id, origin: OriginOf<Id>, at?: number): Taken<ReadingOf<Id>> | null;
  /** `count` readings of the last `count * stepMs` milliseconds, oldest first; null where none is known. */
  series<Id extends SourceId>(
    source: Id,
    origin: OriginOf<Id>,
    count: number,
    stepMs: number,
  ): (ReadingOf<Id> | null)[];
  /** The wall clock of the desk's zone or another. */
  wall(zone?: string): TimeReading;
  /** The moment set with a date pattern, in the desk's zone or another. */
  text(pattern: string, zone?: string): string;
}

export interface ReadingsInput {
  moment: number;
  place: GeoPlace;
  seed: number;
  tide?: Tide;
  outside?: Outside;
  feeds?: readonly Feed[];
  sound?: Sound;
  /** What tells how sources are simulated. */
  library?: Library;
}

const NO_FEEDS: readonly Feed[] = [];

export function createReadings({
  moment,
  place,
  seed,
  tide,
  outside = plainOutside,
  feeds = NO_FEEDS,
  sound,
  library = ownLibrary,
}: ReadingsInput): Readings {
  const known = new Map<string, unknown>();
  function once<T>(key: string, work: () => T): T {
    if (!known.has(key)) known.set(key, work());
    return known.get(key) as T;
  }

  function simulated<Id extends SourceId>(id: Id, at: number): ReadingOf<Id> {
    const source = sources[id];
    const stepped = Math.floor(at / source.step) * source.step;
    return once(`${id} ${stepped}`, () => {
      const read = readerOf(id, library);
      if (!read) throw new Error(`The source "${id}" was not learned`);
      return read({ seed, place, tide, outside, feeds, sound }, stepped);
    });
  }

  function samplesOf<Id extends SourceId>(id: Id, origin: OriginOf<Id>): readonly Sample<ReadingOf<Id>>[] {
    const feed = feeds.find((one) => one.source === id && one.origin === origin);
    return (feed?.samples ?? []) as readonly Sample<ReadingOf<Id>>[];
  }

  function get<Id extends SourceId>(
    id: Id,
    origin: OriginOf<Id> = SIMULATED,
    at = moment,
  ): Taken<ReadingOf<Id>> | null {
    if (origin === SIMULATED) return { value: simulated(id, at), at, age: moment - at };
    const samples = samplesOf(id, origin);
    const sample = samples.findLast((one) => one.moment <= at) ?? samples.at(-1);
    return sample ? { value: sample.reading, at: sample.moment, age: moment - sample.moment } : null;
  }

  return {
    library,
    moment,
    place,
    outside,
    feeds,
    once,
    get: get as Readings['get'],
    series: (id, origin, count, stepMs) =>
      once(`series ${id} ${origin} ${count} ${stepMs}`, () => {
        const samples = samplesOf(id, origin);
        // Steps are aligned to the clock, so that the curve moves on instead of shimmering.
        const newest = Math.floor(moment / stepMs) * stepMs;
        return Array.from({ length: count }, (_, index) => {
          const at = newest - (count - 1 - index) * stepMs;
          return origin === SIMULATED ? simulated(id, at) : newestOf(samples, at, stepMs);
        });
      }),
    wall: (zone = place.zone) => once(zone, () => wallClock(moment, zone)),
    text: (pattern, zone = place.zone) =>
      once(`${zone} ${pattern}`, () => formatMoment(moment, zone, pattern)),
  };
}

/** The newest sample of a stretch of time. */
function newestOf<T>(samples: readonly Sample<T>[], from: number, length: number): T | null {
  return samples.findLast(({ moment }) => moment < from + length && moment >= from)?.reading ?? null;
}
