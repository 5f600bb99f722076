import type { GeoPlace } from '../values/earth.ts';
import { sources, type ReadingOf, type SourceId } from './list.ts';
import type { MachineReading } from './machine/machine.ts';
import { formatMoment, wallClock, type TimeReading } from './time/time.ts';

/** Readings that came from outside, newest last; moments in epoch ms. */
export interface LiveReadings {
  machine: readonly { moment: number; reading: MachineReading }[];
}

export const machineOrigins = ['simulated', 'this-machine'] as const;
export type MachineOrigin = (typeof machineOrigins)[number];

/** What the views of items and widgets read. Each value is worked out once for each set of readings. */
export interface Readings {
  readonly moment: number;
  readonly place: GeoPlace;
  /** Works something out once for all parts that show it; the key names it. */
  once<T>(key: string, work: () => T): T;
  /** The reading of a source now, or at another moment. */
  get<Id extends SourceId>(source: Id, at?: number): ReadingOf<Id>;
  /** The wall clock of the desk's zone or another. */
  wall(zone?: string): TimeReading;
  /** The moment set with a date pattern, in the desk's zone or another. */
  text(pattern: string, zone?: string): string;
  /** The machine's reading: the simulated one, or this machine's newest; null when there is none yet. */
  machine(origin: MachineOrigin): MachineReading | null;
  /** `count` readings of the last `count * stepMs` milliseconds, oldest first; null where none is known. */
  machineSeries(origin: MachineOrigin, count: number, stepMs: number): (MachineReading | null)[];
}

export interface ReadingsInput {
  moment: number;
  place: GeoPlace;
  seed: number;
  live?: LiveReadings;
}

export function createReadings({ moment, place, seed, live }: ReadingsInput): Readings {
  const known = new Map<string, unknown>();
  function once<T>(key: string, work: () => T): T {
    if (!known.has(key)) known.set(key, work());
    return known.get(key) as T;
  }

  function get<Id extends SourceId>(id: Id, at = moment): ReadingOf<Id> {
    const source = sources[id];
    const stepped = Math.floor(at / source.step) * source.step;
    return once(`${id} ${stepped}`, () => source.read({ seed, place }, stepped) as ReadingOf<Id>);
  }

  return {
    moment,
    place,
    once,
    get,
    wall: (zone = place.zone) => once(zone, () => wallClock(moment, zone)),
    text: (pattern, zone = place.zone) =>
      once(`${zone} ${pattern}`, () => formatMoment(moment, zone, pattern)),
    machine: (origin) => (origin === 'simulated' ? get('machine') : (live?.machine.at(-1)?.reading ?? null)),
    machineSeries: (origin, count, stepMs) =>
      once(`series ${origin} ${count} ${stepMs}`, () => {
        // Steps are aligned to the clock, so that the curve moves on instead of shimmering.
        const newest = Math.floor(moment / stepMs) * stepMs;
        return Array.from({ length: count }, (_, index) => {
          const at = newest - (count - 1 - index) * stepMs;
          return origin === 'simulated' ? get('machine', at) : newestBefore(live?.machine ?? [], at, stepMs);
        });
      }),
  };
}

function newestBefore(samples: LiveReadings['machine'], at: number, within: number): MachineReading | null {
  const sample = samples.findLast(({ moment }) => moment < at + within && moment >= at);
  return sample?.reading ?? null;
}
