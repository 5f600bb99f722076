import { ownLibrary, Subject, type Library } from '../values/library.ts';
import { sources, type ReadingOf, type SourceId } from './list.ts';
import type { LargeSource, Read, SourceContext } from './source.ts';

/** How large sources are simulated, as far as that was learned. */
const readers = new Subject(() => new Map<SourceId, Read<unknown>>());

/** The same reading is asked for by every tick until its source goes on. */
function remembering<Reading>(read: Read<Reading>, isOutside: boolean): Read<Reading> {
  let last: { context: SourceContext; moment: number; reading: Reading } | null = null;
  return (context, moment) => {
    const isKnown =
      last !== null &&
      last.moment === moment &&
      last.context.seed === context.seed &&
      last.context.place === context.place &&
      last.context.tide === context.tide &&
      last.context.sound === context.sound &&
      (!isOutside || (last.context.outside === context.outside && last.context.feeds === context.feeds));
    if (!last || !isKnown) last = { context, moment, reading: read(context, moment) };
    return last.reading;
  };
}

/** How a source is simulated; null until it was learned. */
export function readerOf<Id extends SourceId>(id: Id, library: Library): Read<ReadingOf<Id>> | null {
  const source = sources[id];
  return ('read' in source ? source.read : (library.on(readers).get(id) ?? null)) as Read<
    ReadingOf<Id>
  > | null;
}

/** Makes sure that these sources can be read. */
export async function learnSources(
  ids: readonly SourceId[] = Object.keys(sources) as SourceId[],
  library: Library = ownLibrary,
): Promise<void> {
  const known = library.on(readers);
  await Promise.all(
    [...new Set(ids)].map(async (id) => {
      const source = sources[id] as LargeSource<string, unknown, string> | { read: unknown };
      if (!('read' in source) && !known.has(id))
        known.set(id, remembering((await source.load()).read, source.outside !== undefined));
    }),
  );
}
