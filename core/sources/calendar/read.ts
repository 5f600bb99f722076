import { feedOf } from '../feeds.ts';
import type { Read } from '../source.ts';
import type { CalendarReading, Expanded } from './calendar.ts';
import { observatoryCalendar } from './simulate.ts';
import { spanAround } from './span.ts';

/** A calendar's events in the page that shows it are worked out beside it and come as a feed under its id. */
export const read: Read<CalendarReading> = ({ outside, feeds = [], place, seed }, moment) => {
  const calendars = outside?.calendars ?? [];
  const { from, to } = spanAround(moment, place.zone);
  const parts = calendars.map((calendar) => ({
    calendar,
    expanded:
      calendar.from.by === 'observatory'
        ? observatoryCalendar(seed, place.zone, from, to)
        : ((feedOf(feeds, 'calendar', calendar.id)?.samples.at(-1)?.reading ?? null) as Expanded | null),
  }));
  return {
    events: parts
      .flatMap(
        ({ calendar: { id }, expanded }) =>
          expanded?.events.map((event) => ({ calendar: id, ...event })) ?? [],
      )
      .sort((a, b) => a.start - b.start || a.end - b.end),
    tasks: parts.flatMap(
      ({ calendar: { id, from: origin }, expanded }) =>
        expanded?.tasks.map((task) => ({ calendar: id, isOwn: origin.by === 'file', ...task })) ?? [],
    ),
    isPending: parts.some(({ expanded }) => expanded === null),
    isFetched: parts.some(({ calendar, expanded }) => expanded === null && calendar.from.by === 'address'),
    colours: new Map(calendars.map(({ id, colour }) => [id, colour])),
  };
};
