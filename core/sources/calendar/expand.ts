import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import { isZone } from '../../values/earth.ts';
import type { Expanded } from './calendar.ts';

/**
 * iCalendar (RFC 5545) by ical.js. Some rules keep it busy for ever: whoever calls this must be able to stop it, and
 * does so in a worker. What it gives is bounded all the same.
 */

/** How often one event is looked at, and how many come out of a calendar. */
const MOST_TURNS = 20_000;
const MOST_EVENTS = 2000;
const MOST_TASKS = 500;
const MOST_PARTS = 5000;
const MOST_TITLE = 200;

/** Something that is no calendar at all; the message is a sentence. */
export class NoCalendar extends Error {}

/** What stands in a calendar between two moments (epoch ms). Times without a zone are of `zone`. */
export function expandCalendar(text: string, zone: string, from: number, to: number): Expanded {
  const root = parse(text);
  const problems: string[] = [];
  const events: Expanded['events'] = [];
  const parts = root.getAllSubcomponents('vevent').slice(0, MOST_PARTS);
  const moment = (time: ICAL.Time, tzid: string | null) => momentOf(time, tzid, zone);

  const byUid = new Map<string, ICAL.Component[]>();
  const alone: ICAL.Component[] = [];
  for (const part of parts) {
    const uid = String(part.getFirstPropertyValue('uid') ?? '');
    if (!part.hasProperty('dtstart')) continue;
    if (!part.hasProperty('recurrence-id')) alone.push(part);
    else byUid.set(uid, [...(byUid.get(uid) ?? []), part]);
  }
  for (const part of alone) {
    if (events.length >= MOST_EVENTS) {
      problems.push(`More than ${MOST_EVENTS} events: the later ones are left out`);
      break;
    }
    try {
      const own = String(part.getFirstPropertyValue('uid') ?? '');
      const exceptions = byUid.get(own) ?? [];
      const event = new ICAL.Event(part, { exceptions });
      for (const { startDate, endDate, item } of timesOf(event, problems, to, moment)) {
        const tzid = tzidOf(item.component, 'dtstart');
        const start = moment(startDate, tzid);
        const end = Math.max(start, moment(endDate, tzidOf(item.component, 'dtend') ?? tzid));
        if (end < from || start >= to || isCancelled(item.component)) continue;
        events.push({
          title: clean(item.summary) || 'Untitled',
          place: clean(item.location),
          start,
          end,
          isWholeDay: startDate.isDate,
        });
        if (events.length >= MOST_EVENTS) break;
      }
    } catch (error) {
      problems.push(`“${titleOf(part)}” can’t be read: ${sentenceOf(error)}`);
    }
  }
  events.sort((a, b) => a.start - b.start || a.end - b.end);
  return { from, to, events, tasks: tasksOf(root, moment), problems: problems.slice(0, 20) };
}

interface Time {
  startDate: ICAL.Time;
  endDate: ICAL.Time;
  item: ICAL.Event;
}

/** The times at which an event comes about, up to a moment. */
function* timesOf(
  event: ICAL.Event,
  problems: string[],
  to: number,
  moment: (time: ICAL.Time, tzid: string | null) => number,
): Iterable<Time> {
  if (!event.isRecurring()) {
    yield { startDate: event.startDate, endDate: event.endDate, item: event };
    return;
  }
  const tzid = tzidOf(event.component, 'dtstart');
  const iterator = event.iterator();
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const next = iterator.next() as ICAL.Time | undefined;
    if (!next || moment(next, tzid) >= to) return;
    yield event.getOccurrenceDetails(next);
  }
  problems.push(`“${clean(event.summary)}” repeats so often that the later times are left out`);
}

function parse(text: string): ICAL.Component {
  try {
    const parsed = ICAL.parse(text) as unknown[];
    // A file may hold several calendars one after another.
    const all = Array.isArray(parsed[0]) ? (parsed as unknown[][]) : [parsed];
    const roots = all
      .map((one) => new ICAL.Component(one as never))
      .filter(({ name }) => name === 'vcalendar');
    const [first, ...others] = roots;
    if (!first) throw new NoCalendar('there is no calendar in it');
    for (const other of others) for (const part of other.getAllSubcomponents()) first.addSubcomponent(part);
    return first;
  } catch (error) {
    if (error instanceof NoCalendar) throw error;
    throw new NoCalendar(`it is no iCalendar text: ${sentenceOf(error)}`);
  }
}

function tzidOf(part: ICAL.Component, property: string): string | null {
  const tzid: unknown = part.getFirstProperty(property)?.getParameter('tzid');
  return typeof tzid === 'string' ? tzid : null;
}

/** A time as epoch ms: in its own zone, in one that the world knows by that name, or on the desk's wall clock. */
function momentOf(time: ICAL.Time, tzid: string | null, zone: string): number {
  const { year, month, day, hour, minute, second } = time;
  if (!time.isDate) {
    if (time.zone === ICAL.Timezone.utcTimezone) return Date.UTC(year, month - 1, day, hour, minute, second);
    if (time.zone && time.zone !== ICAL.Timezone.localTimezone && !(tzid && isZone(tzid)))
      return time.toUnixTime() * 1000;
    if (tzid && isZone(tzid)) return new TZDate(year, month - 1, day, hour, minute, second, tzid).getTime();
  }
  return new TZDate(year, month - 1, day, hour, minute, second, zone).getTime();
}

function tasksOf(
  root: ICAL.Component,
  moment: (time: ICAL.Time, tzid: string | null) => number,
): Expanded['tasks'] {
  return root
    .getAllSubcomponents('vtodo')
    .slice(0, MOST_TASKS)
    .flatMap((part) => {
      const uid = String(part.getFirstPropertyValue('uid') ?? '');
      if (uid === '' || isCancelled(part)) return [];
      const due = part.getFirstPropertyValue('due');
      return [
        {
          uid,
          title: titleOf(part),
          due: due instanceof ICAL.Time ? moment(due, tzidOf(part, 'due')) : null,
          isDone: isDone(part),
        },
      ];
    });
}

const statusOf = (part: ICAL.Component) => String(part.getFirstPropertyValue('status') ?? '').toUpperCase();
const isCancelled = (part: ICAL.Component) => statusOf(part) === 'CANCELLED';
const isDone = (part: ICAL.Component) => statusOf(part) === 'COMPLETED' || part.hasProperty('completed');

const clean = (text: string | null | undefined) =>
  (text ?? '').replaceAll(/\s+/g, ' ').trim().slice(0, MOST_TITLE);
const titleOf = (part: ICAL.Component) =>
  clean(String(part.getFirstPropertyValue('summary') ?? '')) || 'Untitled';

function sentenceOf(error: unknown): string {
  return (error instanceof Error ? error.message : String(error)).slice(0, 120);
}

/** The calendar's text with a task ticked, or not any more, at a moment (epoch ms). All else in it stays. */
export function tickTask(text: string, uid: string, isTicked: boolean, moment: number): string {
  const parsed = ICAL.parse(text) as unknown[];
  const all = (Array.isArray(parsed[0]) ? parsed : [parsed]) as never[];
  const roots = all.map((one) => new ICAL.Component(one));
  for (const part of roots.flatMap((root) => root.getAllSubcomponents('vtodo'))) {
    if (String(part.getFirstPropertyValue('uid') ?? '') !== uid) continue;
    const now = ICAL.Time.fromJSDate(new Date(Math.floor(moment / 1000) * 1000), true);
    part.updatePropertyWithValue('status', isTicked ? 'COMPLETED' : 'NEEDS-ACTION');
    part.updatePropertyWithValue('percent-complete', isTicked ? 100 : 0);
    part.updatePropertyWithValue('last-modified', now);
    if (isTicked) part.updatePropertyWithValue('completed', now);
    else part.removeAllProperties('completed');
  }
  return roots.map((root) => root.toString()).join('\r\n');
}
