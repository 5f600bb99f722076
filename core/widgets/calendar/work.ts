import { TZDate } from '@date-fns/tz';
import { getISOWeek } from 'date-fns/getISOWeek';
import type { WidgetContext } from '../../kinds/kind.ts';
import type { Paint } from '../../kinds/layout.ts';
import { clockPattern } from '../../kinds/options.ts';
import type { CalendarEvent } from '../../sources/calendar/calendar.ts';
import { dayAt, dayOf, formatMoment, wallClock } from '../../sources/time/time.ts';
import { lengthTold, unitOf } from '../../sources/units.ts';
import type { CalendarFace, CalendarOptions } from './calendar.ts';
import { calendarLayouts, type CalendarLayout, type CalendarView } from './layout.ts';

const firstDay = { monday: 1, sunday: 0, saturday: 6 } as const;
const MOST_MARKS = 3;
/** Days that are looked through for what comes. */
const DAYS_AHEAD = 60;

export function view(options: CalendarOptions, face: CalendarFace, context: WidgetContext): CalendarView {
  const { readings, units, textColour } = context;
  const { events, tasks, colours, isPending, isFetched } = readings.get('calendar').value;
  const { moment, place } = readings;
  const isShown = ({ calendar }: { calendar: string }) => options.only === '' || calendar === options.only;
  const shown = events.filter(isShown);
  const paintOf = ({ calendar }: { calendar: string }) => textColour(colours.get(calendar) ?? 'accent');
  const pattern = clockPattern(unitOf(options.hours, units.hours));
  const clock = (at: number) => formatMoment(at, place.zone, pattern);
  const start = unitOf(options.weekStarts, units.week);
  return {
    untold: !isPending ? null : isFetched ? 'Being read…' : '',
    title: formatMoment(moment, place.zone, face === 'month' ? 'MMMM yyyy' : 'EEEE d MMMM'),
    weekdays: face === 'month' ? weekdaysFrom(firstDay[start]) : [],
    weeks: face === 'month' ? weeksOf(moment, place.zone, firstDay[start], options, shown, paintOf) : [],
    rows: face === 'agenda' ? agendaOf(shown, context, options.rows, clock, paintOf) : [],
    day: face === 'day' ? dayView(shown, context, isPending, clock, paintOf) : null,
    next: face === 'next' ? nextView(shown, context, clock, paintOf) : null,
    tasks:
      face === 'tasks'
        ? tasks
            .filter((task) => isShown(task) && (options.done || !task.isDone))
            .toSorted(
              (a, b) => Number(a.isDone) - Number(b.isDone) || (a.due ?? Infinity) - (b.due ?? Infinity),
            )
            .slice(0, options.rows)
            .map((task) => ({
              calendar: task.calendar,
              uid: task.uid,
              title: task.title,
              due: task.due === null ? null : dayName(task.due, moment, place.zone),
              isDone: task.isDone,
              isOwn: task.isOwn,
              paint: paintOf(task),
            }))
        : [],
    type: options.type,
    colour: textColour(options.colour),
  };
}

export function layout(seen: CalendarView, face: CalendarFace, { fonts }: WidgetContext): CalendarLayout {
  return calendarLayouts[face](seen, fonts);
}

/** Letters of the weekdays, from the first of the week (0 is Sunday). */
function weekdaysFrom(first: number): string[] {
  const names = ['Su', 'Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa'];
  return names.map((_, index) => names[(first + index) % 7] ?? '');
}

type PaintOf = (event: { calendar: string }) => Paint;

/** Whether an event touches a day. */
const touches = ({ start, end }: CalendarEvent, day: { start: number; end: number }) =>
  start < day.end && (end > day.start || start >= day.start);

const touching = (events: readonly CalendarEvent[], day: { start: number; end: number }) =>
  events.filter((event) => touches(event, day));

function weeksOf(
  moment: number,
  zone: string,
  first: number,
  { marks, weekNumbers }: CalendarOptions,
  events: readonly CalendarEvent[],
  paintOf: PaintOf,
): CalendarView['weeks'] {
  const { year, month, day: today } = wallClock(moment, zone);
  const opening = new Date(Date.UTC(year, month - 1, 1));
  const before = (opening.getUTCDay() - first + 7) % 7;
  const count = Math.ceil((before + new Date(Date.UTC(year, month, 0)).getUTCDate()) / 7);
  return Array.from({ length: count }, (_, week) => {
    const days = Array.from({ length: 7 }, (_, index) => {
      const at = new Date(Date.UTC(year, month - 1, 1 - before + week * 7 + index));
      const isIn = at.getUTCMonth() === month - 1;
      const [y, m, d] = [at.getUTCFullYear(), at.getUTCMonth(), at.getUTCDate()];
      const here = marks && isIn ? touching(events, dayAt(y, m + 1, d, zone)) : [];
      return {
        figure: String(d),
        isIn,
        isToday: isIn && d === today,
        marks: [...new Set(here.map(paintOf))].slice(0, MOST_MARKS),
        told: here.map(({ title }) => title).join(', '),
      };
    });
    // A week is numbered by its Thursday, whatever day it begins on here (ISO 8601).
    const thursday = (4 - first + 7) % 7;
    const date = Date.UTC(year, month - 1, 1 - before + week * 7 + thursday);
    return { number: weekNumbers ? String(getISOWeek(new TZDate(date, 'UTC'))) : null, days };
  });
}

function dayName(at: number, moment: number, zone: string): string {
  const today = dayOf(moment, zone);
  if (at >= today.start && at < today.end) return 'Today';
  const tomorrow = dayOf(today.end + 1, zone);
  if (at >= tomorrow.start && at < tomorrow.end) return 'Tomorrow';
  return formatMoment(at, zone, 'EEE d MMM');
}

/** What comes, a row each; the day stands before the first of it. */
function agendaOf(
  events: readonly CalendarEvent[],
  { readings: { moment, place } }: WidgetContext,
  rows: number,
  clock: (at: number) => string,
  paintOf: PaintOf,
): CalendarView['rows'] {
  const last = moment + DAYS_AHEAD * 86_400_000;
  const coming = events
    .filter(({ start, end }) => (end > moment || start > moment) && start < last)
    .slice(0, rows);
  let before = '';
  return coming.map((event) => {
    // What goes on since before stands under today.
    const day = dayName(Math.max(event.start, moment), moment, place.zone);
    const isFirst = day !== before;
    before = day;
    return {
      day: isFirst ? day : null,
      time: event.isWholeDay ? 'all day' : clock(event.start),
      title: event.title,
      paint: paintOf(event),
      isNow: event.start <= moment && !event.isWholeDay,
    };
  });
}

function dayView(
  events: readonly CalendarEvent[],
  { readings: { moment, place } }: WidgetContext,
  isPending: boolean,
  clock: (at: number) => string,
  paintOf: PaintOf,
): NonNullable<CalendarView['day']> {
  const day = dayOf(moment, place.zone);
  const share = (at: number) => Math.max(0, Math.min(1, (at - day.start) / (day.end - day.start)));
  const here = events.filter((event) => touches(event, day));
  const next = here.find(({ start, isWholeDay }) => start > moment && !isWholeDay);
  const now = here.find(({ start, end, isWholeDay }) => start <= moment && end > moment && !isWholeDay);
  const whole = here.find(({ isWholeDay }) => isWholeDay);
  return {
    now: share(moment),
    events: here
      .filter(({ isWholeDay }) => !isWholeDay)
      .map((event) => ({ from: share(event.start), to: share(event.end), paint: paintOf(event) })),
    hours: [6, 12, 18].map((hour) => {
      const { year, month, day: date } = wallClock(moment, place.zone);
      const at = new TZDate(year, month - 1, date, hour, 0, 0, place.zone).getTime();
      return { at: share(at), label: clock(at) };
    }),
    told: now
      ? `${now.title} until ${clock(now.end)}`
      : next
        ? `${next.title} at ${clock(next.start)}`
        : (whole?.title ?? (isPending ? '' : 'Nothing more today')),
  };
}

function nextView(
  events: readonly CalendarEvent[],
  { readings: { moment, place } }: WidgetContext,
  clock: (at: number) => string,
  paintOf: PaintOf,
): CalendarView['next'] {
  const next = events.find(({ start, isWholeDay }) => start > moment && !isWholeDay);
  if (!next) return null;
  const seconds = (next.start - moment) / 1000;
  const days = Math.floor(seconds / 86_400);
  const until =
    days >= 2
      ? `in ${days} days`
      : days === 1
        ? `in 1 day ${Math.floor((seconds % 86_400) / 3600)} h`
        : `in ${lengthTold(Math.max(60, seconds))}`;
  return {
    title: next.title,
    until,
    told: [`${dayName(next.start, moment, place.zone)} ${clock(next.start)}`, next.place]
      .filter(Boolean)
      .join(', '),
    paint: paintOf(next),
  };
}
