import * as library from 'rrule';
import type { Options } from 'rrule';
import type { Wall } from './times.ts';

/** Rules of repeating (RFC 5545, 3.3.10) by the package rrule, on a wall clock. */

// In Node the package is one object; bundled, it is a module without a default.
const { RRule } = 'RRule' in library ? library : (Reflect.get(library, 'default') as typeof library);

/** How often a rule is followed from its beginning on, at most. */
export const MOST_TURNS = 20_000;

const HOUR = 3_600_000;
/** ms of one step, for rules whose steps are all of one length on a wall clock. */
const steps = new Map<number, number>([
  [RRule.WEEKLY, 7 * 24 * HOUR],
  [RRule.DAILY, 24 * HOUR],
  [RRule.HOURLY, HOUR],
  [RRule.MINUTELY, 60_000],
  [RRule.SECONDLY, 1000],
]);

export interface Rule {
  /** As it stands behind `RRULE:`. */
  text: string;
  start: Wall;
  /** The last time that may be one, on the same clock; null for no end of its own. */
  until: Wall | null;
}

/** The parts of a rule that are understood; another one would change what it means. */
const KNOWN =
  /^(FREQ|UNTIL|COUNT|INTERVAL|WKST|BY(SECOND|MINUTE|HOUR|DAY|MONTHDAY|YEARDAY|WEEKNO|MONTH|SETPOS))=/i;

/** What each part may be, by how often a rule repeats where that matters; source: RFC 5545, 3.3.10. */
const ranges = new Map<string, { most: number; isSigned?: true; isZero?: true; not?: RegExp }>([
  ['BYSECOND', { most: 60, isZero: true }],
  ['BYMINUTE', { most: 59, isZero: true }],
  ['BYHOUR', { most: 23, isZero: true }],
  ['BYMONTHDAY', { most: 31, isSigned: true, not: /^WEEKLY$/ }],
  ['BYYEARDAY', { most: 366, isSigned: true, not: /^(DAILY|WEEKLY|MONTHLY)$/ }],
  ['BYWEEKNO', { most: 53, isSigned: true, not: /^(?!YEARLY$)/ }],
  ['BYMONTH', { most: 12 }],
  ['BYSETPOS', { most: 366, isSigned: true }],
]);

/** What makes a rule one that RFC 5545 doesn't have, of which anything could be made; null for none. */
function wrongIn(parts: readonly string[]): string | null {
  const said = new Map(parts.map((part) => part.toUpperCase().split('=') as [string, string]));
  const freq = said.get('FREQ') ?? '';
  for (const [name, { most, isSigned, isZero, not }] of ranges) {
    const value = said.get(name);
    if (value === undefined) continue;
    if (not?.test(freq)) return `${name} has no meaning in a rule that is ${freq}`;
    const isRight = value.split(',').every((one) => {
      const number = Number(one);
      const least = isSigned ? -most : isZero ? 0 : 1;
      return /^[+-]?\d{1,3}$/.test(one) && number >= least && number <= most && (isZero || number !== 0);
    });
    if (!isRight) return `${name}=${value.slice(0, 20)} is nothing that can be`;
  }
  const days = said.get('BYDAY');
  const isCounted = days !== undefined && /\d/.test(days);
  if (isCounted && !/^(MONTHLY|YEARLY)$/.test(freq)) return `days are not counted in a rule that is ${freq}`;
  if (isCounted && said.has('BYWEEKNO')) return 'days are not counted beside BYWEEKNO';
  const others = [...said.keys()].filter((name) => name.startsWith('BY') && name !== 'BYSETPOS');
  return said.has('BYSETPOS') && others.length === 0 ? 'BYSETPOS chooses among nothing' : null;
}

function optionsOf({ text, start, until }: Rule): Options {
  const parts = text.split(';').filter((part) => part !== '');
  const strange = parts.find((part) => !KNOWN.test(part));
  if (strange !== undefined) throw new Error(`“${strange.slice(0, 40)}” in its rule is not understood`);
  const wrong = wrongIn(parts);
  if (wrong) throw new Error(`its rule can’t be followed: ${wrong}`);
  // The end is given by its moment: RFC 5545 has it in UTC where the start is in a zone.
  const bare = parts.filter((part) => !/^UNTIL=/i.test(part)).join(';');
  const options = RRule.parseString(bare.toUpperCase()) as Options;
  if (options.freq === undefined) throw new Error('its rule does not say how often it repeats');
  const { interval, count } = options;
  if (interval !== undefined && !(interval >= 1)) throw new Error('its rule has no step');
  if (count !== undefined && count !== null && !(count >= 1)) throw new Error('its rule has no times');
  return { ...options, dtstart: new Date(start), until: until === null ? null : new Date(until) };
}

/**
 * The times of a rule between two readings of its wall clock, both counted. What lies far before is skipped by
 * arithmetic where nothing has to be counted. `isCut` says that there were too many on the way. Throws a sentence's end.
 */
export function timesOf(rule: Rule, from: Wall, to: Wall): { times: Wall[]; isCut: boolean } {
  const options = optionsOf(rule);
  const step = (steps.get(options.freq) ?? 0) * (options.interval ?? 1);
  const isCounted = options.count !== undefined && options.count !== null;
  const skipped = step > 0 && !isCounted ? Math.floor((from - rule.start) / step) - 1 : 0;
  if (skipped > 0) options.dtstart = new Date(rule.start + skipped * step);
  // Nothing after the stretch is looked for: a rule that never comes about ends there too.
  if (!options.until || options.until.getTime() > to) options.until = new Date(to);
  const times: Wall[] = [];
  let turns = 0;
  new RRule(options).all((date) => {
    if (++turns > MOST_TURNS) return false;
    if (date.getTime() >= from) times.push(date.getTime());
    return true;
  });
  return { times, isCut: turns > MOST_TURNS };
}
