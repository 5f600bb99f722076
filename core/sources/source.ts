import type { GeoPlace } from '../values/earth.ts';

/** What a source may know besides the moment. */
export interface SourceContext {
  seed: number;
  place: GeoPlace;
}

/** The origin of readings that are worked out here. */
export const SIMULATED = 'simulated';

/** A source gives live values. `read` is pure: the same seed, place and moment (epoch ms) give the same reading. */
export interface Source<Id extends string, Reading, Fed extends string> {
  id: Id;
  title: string;
  read(context: SourceContext, moment: number): Reading;
  /** How long a reading stays the same, in ms; readings are taken at multiples of it. */
  step: number;
  /** Other origins of such readings, whose samples come from outside, and what people call them. */
  fed?: Readonly<Record<Fed, string>>;
}

export function defineSource<const Id extends string, Reading, const Fed extends string = never>(
  source: Source<Id, Reading, Fed>,
): Source<Id, Reading, Fed> {
  return source;
}
