import { feedOf } from '../feeds.ts';
import { originAt } from '../outside.ts';
import type { Read } from '../source.ts';
import type { FetchedHeadlines, HeadlinesReading } from './headlines.ts';
import { bulletins } from './simulate.ts';

/** What all sources say, as of the moment: what is dated later is not yet said. */
export const read: Read<HeadlinesReading> = ({ outside, feeds = [], place, seed }, moment) => {
  const parts = (outside?.headlines ?? []).map(({ id, title, from }) => {
    const fetched =
      from.by === 'observatory'
        ? bulletins(seed, place.zone, moment)
        : ((feedOf(feeds, 'headlines', originAt(from))?.samples.at(-1)?.reading ??
            null) as FetchedHeadlines | null);
    return { id, from: title || fetched?.title || '', items: fetched?.items ?? [] };
  });
  return {
    items: parts
      .flatMap(({ id, from, items }) => items.map((item) => ({ ...item, source: id, from })))
      .filter((item) => item.moment === null || item.moment <= moment)
      .sort((a, b) => (b.moment ?? 0) - (a.moment ?? 0)),
  };
};
