import type { GeoPlace } from '../values/earth.ts';

/** What a source may know besides the moment. */
export interface SourceContext {
  seed: number;
  place: GeoPlace;
}

/** A source gives live values. `read` is pure: the same seed, place and moment (epoch ms) give the same reading. */
export interface Source<Id extends string, Reading> {
  id: Id;
  title: string;
  read(context: SourceContext, moment: number): Reading;
  /** How long a reading stays the same, in ms; readings are taken at multiples of it. */
  step: number;
}

export function defineSource<const Id extends string, Reading>(
  source: Source<Id, Reading>,
): Source<Id, Reading> {
  return source;
}
