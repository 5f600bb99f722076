import { lookUp } from '../values/look-up.ts';
import { sources } from './list.ts';
import type { Fetched, Outside } from './outside.ts';
import type { Described } from './source.ts';

const outsideOf = (source: string): Described<string, string>['outside'] =>
  (lookUp(sources, source) as Described<string, string> | undefined)?.outside;

/** Whether a source is put together from what comes from outside. */
export function isFromOutside(source: string): boolean {
  return outsideOf(source) !== undefined;
}

/** What must be fetched for a source. */
export function fetchedFor(source: string, outside: Outside): readonly Fetched[] {
  return outsideOf(source)?.fetches(outside) ?? [];
}

/** All feeds that a source is put together from: what is fetched, and what the page works out of that. */
export function feedsBehind(source: string, outside: Outside): { source: string; origin: string }[] {
  const worked = outsideOf(source)?.worksOut?.(outside) ?? [];
  return [...fetchedFor(source, outside), ...worked.map((origin) => ({ source, origin }))];
}
