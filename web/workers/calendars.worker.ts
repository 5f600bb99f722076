import type { Expanded } from '../../core/sources/calendar/calendar.ts';
import { expand, NoCalendar, tickTask } from '../../core/sources/calendar/expand.ts';
import { offer } from './offer.ts';

export interface Expansion {
  text: string;
  zone: string;
  /** Epoch ms. */
  from: number;
  to: number;
  /** Numbers of series that are left out. */
  skip: readonly number[];
}

const calendars = {
  /** What stands in a calendar between two moments; `onSeries` is told which series is worked out just now. */
  expand: ({ text, ...how }: Expansion, onSeries: (series: number) => void): Expanded =>
    expand(text, { ...how, onSeries }),
  tick: tickTask,
};
export type Calendars = typeof calendars;

offer(calendars, (error) => (error instanceof NoCalendar ? error.message : null));
