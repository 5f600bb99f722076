import type { GeoPlace } from '../values/earth.ts';
import type { Feed } from './feeds.ts';
import type { Fetched, Outside } from './outside.ts';
import type { Sound } from './sound/schema.ts';
import type { Tide } from './tide/tide.ts';

/** What a source may know besides the moment. */
export interface SourceContext {
  seed: number;
  place: GeoPlace;
  /** What the tide at the place is made of; Marrow Point's where nothing is said. */
  tide?: Tide;
  /** What the desk reads from outside, and what came of it so far. */
  outside?: Outside;
  feeds?: readonly Feed[];
  /** What the desk plays; the observatory's pieces where nothing is said. */
  sound?: Sound;
}

/** How often something must be looked at again to stay true. */
export type Tick = 'second' | 'minute' | null;

/** The origin of readings that are worked out here. */
export const SIMULATED = 'simulated';

/** Pure: the same seed, place and moment (epoch ms) give the same reading. */
export type Read<Reading> = (context: SourceContext, moment: number) => Reading;

export interface Described<Id extends string, Fed extends string> {
  id: Id;
  title: string;
  /** How long a reading stays the same, in ms; readings are taken at multiples of it. */
  step: number;
  /** Other origins of such readings, whose samples come from outside, and what people call them. */
  fed?: Readonly<Record<Fed, string>>;
  /** Those origins are in the page that shows it: the server brings none of them. */
  isOfPage?: true;
  /**
   * It is put together from what comes from outside: what must be fetched for it, of all that the desk reads there, and
   * what the page works out of that by itself, by origin.
   */
  outside?: { fetches(outside: Outside): readonly Fetched[]; worksOut?(outside: Outside): readonly string[] };
  /** First words of names in expressions that it stands behind, and how often what they tell is another. */
  tells?: Readonly<Record<string, Exclude<Tick, null>>>;
}

/** A source gives live values, simulated or from outside. */
export interface Source<Id extends string, Reading, Fed extends string> extends Described<Id, Fed> {
  /** How it is simulated. */
  read: Read<Reading>;
}

/** A source that is large: how it is simulated is fetched with the first desk that needs it. */
export interface LargeSource<Id extends string, Reading, Fed extends string> extends Described<Id, Fed> {
  load(): Promise<{ read: Read<Reading> }>;
}

export function defineSource<const Id extends string, Reading, const Fed extends string = never>(
  source: Source<Id, Reading, Fed>,
): Source<Id, Reading, Fed> {
  return source;
}

export function defineLargeSource<const Id extends string, Reading, const Fed extends string = never>(
  source: LargeSource<Id, Reading, Fed>,
): LargeSource<Id, Reading, Fed> {
  return source;
}
