import ICAL from 'ical.js';

/** The text of a calendar (RFC 5545) taken apart, so that what is wrong in one part spoils no other. */

/** Something that is no calendar at all; the message is the end of a sentence. */
export class NoCalendar extends Error {}

/** A part of a calendar as it stands in its text. */
export interface Part {
  name: string;
  /** Its lines, unfolded. */
  lines: string[];
}

/** A line of a calendar has a name, and a value behind a colon. */
const LINE = /^[A-Za-z0-9-]{1,100}[;:]/;

/** The lines of a text; one that begins with a blank goes on with the one before. */
function linesOf(text: string): string[] {
  return text
    .replace(/^\uFEFF/, '')
    .replace(/\r?\n[ \t]/g, '')
    .split(/\r\n|\n|\r/);
}

const marked = (line: string, mark: 'BEGIN' | 'END') =>
  line.slice(0, mark.length + 1).toUpperCase() === `${mark}:`
    ? line
        .slice(mark.length + 1)
        .trim()
        .toUpperCase()
    : null;

/** The parts that stand right in a calendar, in order; there may be several calendars in a text. Throws NoCalendar. */
export function partsOf(text: string): Part[] {
  const parts: Part[] = [];
  const open: string[] = [];
  let part: Part | null = null;
  let isWhole = false;
  for (const line of linesOf(text)) {
    const begun = marked(line, 'BEGIN');
    const ended = marked(line, 'END');
    if (begun !== null) {
      open.push(begun);
      if (open.length === 2 && open[0] === 'VCALENDAR') part = { name: begun, lines: [] };
    }
    if (part && line !== '') part.lines.push(line);
    if (ended !== null) {
      const at = open.lastIndexOf(ended);
      if (at < 0) continue;
      // What was never closed within it ends with it.
      open.length = at;
      if (at === 1 && part) {
        parts.push(part);
        part = null;
      }
      if (at === 0 && ended === 'VCALENDAR') {
        isWhole = true;
        // One that was never closed is told of as damaged.
        if (part) parts.push(part);
        part = null;
      }
    }
  }
  if (!isWhole && parts.length === 0) throw new NoCalendar('there is no calendar in it');
  return parts;
}

export interface ReadPart {
  component: ICAL.Component;
  /** Lines that could not be read and were passed over. */
  passed: string[];
}

/** Lines of one part, and parts within one another, that are looked at. */
const MOST_LINES = 20_000;
const MOST_DEPTH = 4;

function isTooMuch(lines: readonly string[]): boolean {
  let depth = 0;
  let deepest = 0;
  for (const line of lines) {
    if (marked(line, 'BEGIN') !== null) deepest = Math.max(deepest, ++depth);
    if (marked(line, 'END') !== null) depth--;
  }
  return lines.length > MOST_LINES || deepest > MOST_DEPTH;
}

/**
 * A part as ical.js reads it, without the lines that it can't; null where nothing of it can be read.
 */
export function readPart({ lines }: Part): ReadPart | null {
  if (isTooMuch(lines)) return null;
  const good = lines.filter((line) => LINE.test(line));
  const passed = lines.filter((line) => !LINE.test(line));
  const whole = component(good);
  if (whole) return { component: whole, passed };
  // One of its lines is wrong: each is tried by itself.
  const sound = good.filter((line) => {
    if (marked(line, 'BEGIN') !== null || marked(line, 'END') !== null) return true;
    const isSound = component(['BEGIN:VEVENT', line, 'END:VEVENT']) !== null;
    if (!isSound) passed.push(line);
    return isSound;
  });
  const rest = component(sound);
  return rest && { component: rest, passed };
}

function component(lines: readonly string[]): ICAL.Component | null {
  try {
    const parsed = ICAL.parse(lines.join('\r\n'));
    const read = new ICAL.Component(parsed);
    // Values are read when they are asked for: what is wrong with one shows here.
    for (const property of read.getAllProperties()) property.getValues();
    return read;
  } catch {
    return null;
  }
}

/** What an event or a task is called; of a part that can't be read too. */
export function titleIn({ lines }: Part): string {
  const line = lines.find((one) => /^SUMMARY[;:]/i.test(one)) ?? '';
  return line.slice(line.indexOf(':') + 1, 200).trim() || 'Untitled';
}
