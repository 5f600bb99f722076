import { fetchedOf } from '../outside.ts';
import { defineLargeSource } from '../source.ts';

/** One of the things that a source of headlines says. */
export interface Headline {
  title: string;
  /** What more is said, as plain text; empty where nothing is. */
  text: string;
  /** Where all of it stands; empty where that is nowhere. */
  link: string;
  /** Epoch ms; null where it has no date. */
  moment: number | null;
}

/** What a server reads out of one address. */
export interface FetchedHeadlines {
  title: string;
  items: Headline[];
}

export interface HeadlinesReading {
  /** The newest first. */
  items: (Headline & { source: string; from: string })[];
}

/** How many are kept of one source. */
export const MOST_ITEMS = 60;

export const headlines = defineLargeSource({
  id: 'headlines',
  title: 'Headlines',
  step: 60_000,
  outside: { fetches: (outside) => fetchedOf('headlines', outside.headlines) },
  tells: { headlines: 'minute' },
  load: () => import('./read.ts'),
});
