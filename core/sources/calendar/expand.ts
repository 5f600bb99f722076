import ICAL from 'ical.js';
import type { Expanded } from './calendar.ts';
import { timesOf, MOST_TURNS } from './repeat.ts';
import { partsOf, readPart, titleIn, type Part } from './text.ts';
import {
  createZones,
  endAfter,
  momentOf,
  spanOf,
  statedIn,
  type Span,
  type Stated,
  type Wall,
  type Zones,
} from './times.ts';

export { NoCalendar } from './text.ts';

/**
 * What stands in an iCalendar text (RFC 5545) between two moments. Values are read by ical.js, rules of repeating by
 * rrule. Some rules keep it busy for long: whoever calls this must be able to stop it, and does so in a worker, which
 * knows by `onSeries` what it is at. What it gives is bounded all the same.
 */

/** How many come out of a calendar, and how many of its parts are looked at. */
const MOST_EVENTS = 2000;
const MOST_TASKS = 500;
const MOST_PARTS = 5000;
const MOST_TITLE = 200;
/** Days that each time of what repeats may last: a longer one would need all its times from as long ago. */
const LONGEST_TURN = 366;
const MOST_PROBLEMS = 20;
const DAY = 86_400_000;
/** By how much clocks are set at most where they change with the seasons, ms. */
const SET_BY = 7_200_000;

export interface Asked {
  /** Of times without a zone. */
  zone: string;
  /** Epoch ms. */
  from: number;
  to: number;
  /** Indices of series that are not worked out, since they took too long before. */
  skip?: readonly number[];
  /** Is told of each that repeats before it is worked out. */
  onSeries?: (index: number, title: string) => void;
}

export function expandCalendar(text: string, zone: string, from: number, to: number): Expanded {
  return expand(text, { zone, from, to });
}

export function expand(text: string, { zone, from, to, skip = [], onSeries }: Asked): Expanded {
  const parts = partsOf(text);
  const problems = createProblems();
  const read = (name: string, most: number) =>
    parts
      .filter((part) => part.name === name)
      .slice(0, most)
      .flatMap((part) => {
        const found = readPart(part);
        if (!found) problems.of(part, 'it is damaged');
        else if (found.passed.length > 0)
          problems.of(part, `a line of it is passed over (${(found.passed[0] ?? '').slice(0, 40)})`);
        return found ? [{ part, component: found.component }] : [];
      });
  const definitions = read('VTIMEZONE', 200).map(({ component }) => component);
  const zones = createZones(definitions, zone, (name) =>
    problems.add(`Nobody knows the time zone “${name.slice(0, 60)}”: its times are taken as the desk’s`),
  );
  const events: Expanded['events'] = [];
  const all = read('VEVENT', MOST_PARTS);
  const series = seriesOf(all, problems, zones);
  for (const [index, one] of series.entries()) {
    if (events.length >= MOST_EVENTS) {
      problems.add(`More than ${MOST_EVENTS} events: the later ones are left out`);
      break;
    }
    const title = titleOf(one.component);
    try {
      if (skip.includes(index)) throw new Error('it repeats in a way that takes too long to work out');
      if (one.component.hasProperty('rrule')) onSeries?.(index, title);
      const { times, isCut } = occurrences(one, zones, { from, to });
      if (isCut)
        problems.of(one.part, `it repeats more than ${MOST_TURNS} times: the later ones are left out`);
      for (const { start, end, by } of times) {
        if (end < from || start >= to || (end === from && start < from) || isCancelled(by)) continue;
        if (events.length >= MOST_EVENTS) break;
        events.push({
          title: clean(valueOf(by, 'summary')) || 'Untitled',
          place: clean(valueOf(by, 'location')),
          start,
          end,
          isWholeDay: one.start.isDate,
        });
      }
    } catch (error) {
      problems.of(one.part, sentenceOf(error));
    }
  }
  events.sort((a, b) => a.start - b.start || a.end - b.end);
  const tasks = read('VTODO', MOST_TASKS).flatMap(({ part, component }) =>
    taskOf(component, zones, (why) => problems.of(part, why)),
  );
  return { from, to, events, tasks, problems: problems.list };
}

function createProblems() {
  const list: string[] = [];
  const add = (sentence: string) => {
    if (list.length < MOST_PROBLEMS && !list.includes(sentence)) list.push(sentence);
  };
  return { list, add, of: (part: Part, why: string) => add(`Of “${clean(titleIn(part))}”: ${why}`) };
}

type Problems = ReturnType<typeof createProblems>;

interface Read {
  part: Part;
  component: ICAL.Component;
}

/** One event, or all times of one: what stands instead of some of them comes along. */
interface Series extends Read {
  start: Stated;
  instead: Override[];
}

interface Override {
  component: ICAL.Component;
  start: Stated;
  /** Which time it stands for. */
  of: number;
  /** It holds for all later times as well. */
  isFromThenOn: boolean;
}

function seriesOf(read: readonly Read[], problems: Problems, zones: Zones): Series[] {
  const series: Series[] = [];
  const overrides = new Map<string, (Read & Override)[]>();
  for (const { part, component } of read) {
    try {
      const start = startOf(component, zones);
      const id = component.getFirstProperty('recurrence-id');
      if (!id) series.push({ part, component, start, instead: [] });
      else {
        const [of] = statedIn(id, zones);
        if (!of) continue;
        const isFromThenOn = String(id.getParameter('range') ?? '').toUpperCase() === 'THISANDFUTURE';
        const uid = uidOf(component);
        overrides.set(uid, [
          ...(overrides.get(uid) ?? []),
          { part, component, start, of: momentOf(of), isFromThenOn },
        ]);
      }
    } catch (error) {
      problems.of(part, sentenceOf(error));
    }
  }
  for (const one of series) {
    const uid = uidOf(one.component);
    one.instead = overrides.get(uid) ?? [];
    overrides.delete(uid);
  }
  // What is told of one time of a series that isn't here, as invitations do, stands by itself.
  const alone = [...overrides.values()].flat().map((one): Series => ({ ...one, instead: [] }));
  return [...series, ...alone];
}

function startOf(component: ICAL.Component, zones: Zones): Stated {
  const property = component.getFirstProperty('dtstart');
  if (!property) throw new Error('it has no beginning');
  const [start] = statedIn(property, zones);
  if (!start) throw new Error('it has no beginning');
  return start;
}

interface Occurrence {
  start: number;
  end: number;
  /** What says what it is. */
  by: ICAL.Component;
}

/** How long an event takes. One with an end takes as long in exact time, one with a duration as long by the wall clock. */
function lengthOf(component: ICAL.Component, start: Stated, zones: Zones): Span {
  const end = component.getFirstProperty('dtend');
  const [stated] = end ? statedIn(end, zones) : [];
  if (stated)
    return start.isDate && stated.isDate
      ? { days: Math.max(0, Math.round((stated.wall - start.wall) / DAY)), ms: 0 }
      : { days: 0, ms: Math.max(0, momentOf(stated) - momentOf(start)) };
  const duration: unknown = component.getFirstPropertyValue('duration');
  if (duration instanceof ICAL.Duration) return spanOf(duration);
  return { days: start.isDate ? 1 : 0, ms: 0 };
}

function occurrences(
  { component, start, instead }: Series,
  zones: Zones,
  { from, to }: Pick<Asked, 'from' | 'to'>,
): { times: Occurrence[]; isCut: boolean } {
  const length = lengthOf(component, start, zones);
  const longest = Math.max(length.days, 0) * DAY + Math.max(length.ms, 0) + SET_BY;
  const at = (wall: Wall): Stated => ({ ...start, wall });
  const found = new Map<number, Occurrence>();
  const put = (stated: Stated, span: Span) => {
    const moment = momentOf(stated);
    if (!found.has(moment))
      found.set(moment, { start: moment, end: Math.max(moment, endAfter(stated, span)), by: component });
  };

  let isCut = false;
  const rules = component.getAllProperties('rrule').slice(0, 4);
  if (rules.length > 0 && longest > LONGEST_TURN * DAY + SET_BY)
    throw new Error(`it repeats, and each time lasts more than ${LONGEST_TURN} days`);
  for (const rule of rules) {
    const text = ruleTextOf(rule);
    const read = timesOf(
      { text, start: start.wall, until: untilOf(text, start, zones) },
      start.zone.wallOf(from) - longest,
      start.zone.wallOf(to) + SET_BY,
    );
    for (const wall of read.times) put(at(wall), length);
    isCut ||= read.isCut;
  }
  if (rules.length === 0) put(start, length);
  for (const property of component.getAllProperties('rdate').slice(0, MOST_PARTS))
    for (const [index, stated] of statedIn(property, zones).entries()) {
      const value: unknown = property.getValues()[index];
      put(
        { ...stated, isDate: start.isDate },
        value instanceof ICAL.Period ? spanOf(value.getDuration()) : length,
      );
    }

  takeOut(found, component, start, zones);
  replace(found, instead, zones);
  return { times: [...found.values()], isCut };
}

/** The rule as it was written. */
function ruleTextOf(property: ICAL.Property): string {
  const line = property.toICALString();
  return line.slice(line.indexOf(':') + 1);
}

/** Where a rule ends, on the wall clock of its start: a moment is one there, and a day counts to its end. */
function untilOf(rule: string, start: Stated, zones: Zones): Wall | null {
  const text = /(?:^|;)UNTIL=([^;]*)/i.exec(rule)?.[1];
  if (text === undefined) return null;
  const read = /^(\d{4})(\d{2})(\d{2})(?:T(\d{2})(\d{2})(\d{2})(Z?))?$/i.exec(text);
  if (!read) throw new Error('its rule has an end that is no time');
  const [year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0] = read
    .slice(1, 7)
    .map((part) => Number(part ?? 0));
  const wall = Date.UTC(year, month - 1, day, hour, minute, second);
  if (read[4] === undefined) return start.isDate ? wall : wall + DAY - 1000;
  if (start.isDate) return Date.UTC(year, month - 1, day);
  return read[7] ? start.zone.wallOf(zones.utc.momentOf(wall)) : wall;
}

/** Takes out what is no time after all, whatever zone it is told in; a day takes out all of itself. */
function takeOut(
  found: Map<number, Occurrence>,
  component: ICAL.Component,
  start: Stated,
  zones: Zones,
): void {
  for (const property of component.getAllProperties('exdate').slice(0, MOST_PARTS))
    for (const stated of statedIn(property, zones)) {
      if (!stated.isDate || start.isDate) found.delete(momentOf(stated));
      else
        for (const moment of found.keys()) {
          const wall = start.zone.wallOf(moment);
          if (wall >= stated.wall && wall < stated.wall + DAY) found.delete(moment);
        }
    }
}

/** Puts what stands instead of some times in their places, wherever it was moved to. */
function replace(found: Map<number, Occurrence>, instead: readonly Override[], zones: Zones): void {
  const all = [...instead].sort((a, b) => a.of - b.of);
  for (const { component, start, of, isFromThenOn } of all) {
    const length = lengthOf(component, start, zones);
    const by = (moment: number): Occurrence => {
      const stated = { ...start, wall: start.zone.wallOf(moment) };
      return { start: moment, end: Math.max(moment, endAfter(stated, length)), by: component };
    };
    if (isFromThenOn)
      for (const [moment] of [...found])
        if (moment > of) found.set(moment, by(moment + momentOf(start) - of));
    found.set(of, by(momentOf(start)));
  }
}

function taskOf(
  component: ICAL.Component,
  zones: Zones,
  onProblem: (why: string) => void,
): Expanded['tasks'] {
  const uid = uidOf(component);
  if (uid === '' || isCancelled(component)) return [];
  let due: number | null = null;
  try {
    due = dueOf(component, zones);
  } catch (error) {
    onProblem(sentenceOf(error));
  }
  return [{ uid, title: titleOf(component), due, isDone: isDone(component) }];
}

/** When a task is due: as it says, or once it has taken its time. */
function dueOf(component: ICAL.Component, zones: Zones): number | null {
  const due = component.getFirstProperty('due');
  const [stated] = due ? statedIn(due, zones) : [];
  if (stated) return momentOf(stated);
  const duration: unknown = component.getFirstPropertyValue('duration');
  if (!(duration instanceof ICAL.Duration) || !component.hasProperty('dtstart')) return null;
  return endAfter(startOf(component, zones), spanOf(duration));
}

const valueOf = (component: ICAL.Component, name: string): string | null => {
  const value: unknown = component.getFirstPropertyValue(name);
  return typeof value === 'string' ? value : null;
};
const uidOf = (component: ICAL.Component) => valueOf(component, 'uid') ?? '';
const statusOf = (component: ICAL.Component) => (valueOf(component, 'status') ?? '').toUpperCase();
const isCancelled = (component: ICAL.Component) => statusOf(component) === 'CANCELLED';
const isDone = (component: ICAL.Component) =>
  statusOf(component) === 'COMPLETED' ||
  component.hasProperty('completed') ||
  Number(component.getFirstPropertyValue('percent-complete')) === 100;

const clean = (text: string | null | undefined) =>
  (text ?? '').replaceAll(/\s+/g, ' ').trim().slice(0, MOST_TITLE);
const titleOf = (component: ICAL.Component) => clean(valueOf(component, 'summary')) || 'Untitled';

function sentenceOf(error: unknown): string {
  return (error instanceof Error ? error.message : String(error)).slice(0, 120);
}

/** The calendar's text with a task ticked, or not any more, at a moment (epoch ms). All else in it stays. */
export function tickTask(text: string, uid: string, isTicked: boolean, moment: number): string {
  const now = `${new Date(Math.floor(moment / 1000) * 1000).toISOString().replaceAll(/[-:]|\.\d+/g, '')}`;
  const ending = text.includes('\r\n') ? '\r\n' : '\n';
  const lines = text.split(/\r\n|\n|\r/);
  const told = [
    `STATUS:${isTicked ? 'COMPLETED' : 'NEEDS-ACTION'}`,
    `PERCENT-COMPLETE:${isTicked ? 100 : 0}`,
    `LAST-MODIFIED:${now}`,
    ...(isTicked ? [`COMPLETED:${now}`] : []),
  ];
  const out: string[] = [];
  let start = -1;
  for (const line of lines) {
    if (/^BEGIN:VTODO\s*$/i.test(line)) start = out.length;
    out.push(line);
    if (start < 0 || !/^END:VTODO\s*$/i.test(line)) continue;
    const inside = out.slice(start);
    const part = readPart({ name: 'VTODO', lines: unfolded(inside) });
    if (part && uidOf(part.component) === uid)
      out.splice(start, inside.length, ...withoutProgress(inside.slice(0, -1)), ...told, line);
    start = -1;
  }
  return out.join(ending);
}

const unfolded = (lines: readonly string[]) =>
  lines
    .join('\n')
    .replace(/\n[ \t]/g, '')
    .split('\n');

/** Lines of a task without those that say how far it is; what stands in parts of its own stays. */
function withoutProgress(lines: readonly string[]): string[] {
  let depth = 0;
  let isLeft = false;
  return lines.filter((line) => {
    if (/^[ \t]/.test(line)) return !isLeft;
    if (/^BEGIN:/i.test(line)) depth++;
    isLeft = depth === 1 && /^(STATUS|PERCENT-COMPLETE|LAST-MODIFIED|COMPLETED)[;:]/i.test(line);
    if (/^END:/i.test(line)) depth--;
    return !isLeft;
  });
}
