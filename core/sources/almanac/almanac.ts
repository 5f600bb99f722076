import { defineLargeSource } from '../source.ts';
import type { TideTurn } from '../tide/tide.ts';

/** What an almanac says of a day at a place. Moments are epoch ms; null where something doesn't come about that day. */
export interface AlmanacReading {
  /** On the wall clock of the place. */
  day: { start: number; end: number };
  sunrise: number | null;
  sunset: number | null;
  /** When the sun passes 6, 12 and 18 degrees below the horizon. */
  dawns: { civil: number | null; nautical: number | null; night: number | null };
  dusks: { civil: number | null; nautical: number | null; night: number | null };
  /** ms between rise and set; all of the day where the sun stays up, 0 where it stays down. */
  light: number;
  /** ms by which that is more than the day before. */
  gains: number;
  moon: { phase: number; lit: number; name: string; rises: number | null; sets: number | null };
  season: 'Spring' | 'Summer' | 'Autumn' | 'Winter';
  tide: {
    /** m above the chart's zero. */
    height: number;
    isRising: boolean;
    /** High and low waters of the day before, of this and of the next, in order. */
    turns: TideTurn[];
    /** m, each half hour of the day. */
    curve: { at: number; height: number }[];
  };
}

export const almanac = defineLargeSource({
  id: 'almanac',
  title: 'Almanac',
  step: 60_000,
  tells: { moon: 'minute', day: 'minute', tide: 'minute' },
  load: () => import('./reckon.ts'),
});
