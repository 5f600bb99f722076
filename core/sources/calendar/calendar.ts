import type { Colour } from '../../values/roles.ts';
import { fetchedOf } from '../outside.ts';
import { defineLargeSource } from '../source.ts';

/** Something in a calendar, at one of the times that it comes about. Moments are epoch ms. */
export interface CalendarEvent {
  /** Id of the calendar. */
  calendar: string;
  title: string;
  place: string;
  start: number;
  /** Not before `start`. */
  end: number;
  isWholeDay: boolean;
}

interface CalendarTask {
  calendar: string;
  /** What the calendar knows it by. */
  uid: string;
  title: string;
  due: number | null;
  isDone: boolean;
  /** Whether it can be ticked here: it stands in the desk. */
  isOwn: boolean;
}

/** What an expansion gives out of one calendar, between two moments. */
export interface Expanded {
  from: number;
  to: number;
  events: Omit<CalendarEvent, 'calendar'>[];
  tasks: Omit<CalendarTask, 'calendar' | 'isOwn'>[];
  /** What of it was left out, and why. */
  problems: string[];
}

export interface CalendarReading {
  /** In the order of their beginnings; around the month of the moment. */
  events: CalendarEvent[];
  tasks: CalendarTask[];
  /** Some of them was not read yet. */
  isPending: boolean;
  /** One that is fetched was not: that may take its time. */
  isFetched: boolean;
  /** By id of the calendar. */
  colours: ReadonlyMap<string, Colour>;
}

export const calendar = defineLargeSource({
  id: 'calendar',
  title: 'Calendars',
  step: 60_000,
  outside: {
    fetches: ({ calendars }) => fetchedOf('text', calendars),
    worksOut: ({ calendars }) => calendars.map(({ id }) => id),
  },
  tells: { calendar: 'minute' },
  load: () => import('./read.ts'),
});
