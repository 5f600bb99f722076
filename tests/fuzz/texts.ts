import { readColours } from '../../core/exchange/read.ts';
import { catalogue, type Telling } from '../../core/expressions/catalogue.ts';
import { say } from '../../core/expressions/evaluate.ts';
import { learnSources } from '../../core/sources/learn.ts';
import { expandCalendar, NoCalendar, tickTask } from '../../core/sources/calendar/expand.ts';
import { createReadings } from '../../core/sources/readings.ts';
import { readReports } from '../../core/sources/station/reports.ts';
import { plainUnits } from '../../core/sources/units.ts';
import { readPlaylist } from '../../core/sound/playlists.ts';
import { sumOf } from '../../core/menus/sums.ts';
import { readHeadlines } from '../../server/outside/headlines.ts';
import { bareDesk } from '../../demo/bare-desk.ts';
import { netsCalendar } from '../../demo/nets-calendar.ts';
import { damaged, type Chance } from './random.ts';
import type { Found, Tally } from './server.ts';

/** Texts from outside, made up and damaged, given to what reads them in the page. */

/** ms of the processor that one of them may take: as long as a page lets one series of a calendar be worked out. */
const MOST_MS = 4000;
const MOST_MIB = 200;
const NOON = Date.UTC(2026, 10, 24, 12);

const signs = [
  '+',
  '-',
  '*',
  '/',
  '%',
  '==',
  '<',
  '&&',
  '||',
  '!',
  '.',
  ',',
  '(',
  ')',
  '[',
  ']',
  '{',
  '}',
  '?',
  ':',
  ' in ',
];
const words = [
  'a',
  '1',
  '2.5',
  '"text"',
  '[1,2,3,4]',
  'true',
  '.map(a,a+a)',
  '.map(a,[a,a])',
  '.filter(a,a>1)',
  '.all(a,a==a)',
  '.size()',
  'time',
  '__proto__',
];

function expression(chance: Chance): string {
  const names = catalogue.map(({ path }) => path);
  const part = () => chance.of([() => chance.of(signs), () => chance.of(words), () => chance.of(names)])();
  return Array.from({ length: 1 + chance.below(40) }, part)
    .join('')
    .slice(0, 500);
}

const rules = [
  'FREQ=DAILY',
  'FREQ=WEEKLY;BYDAY=MO,TU',
  'FREQ=MONTHLY;BYDAY=-1FR',
  'FREQ=YEARLY;BYWEEKNO=20',
  'FREQ=HOURLY;INTERVAL=7',
  'FREQ=MONTHLY;BYSETPOS=-1;BYDAY=MO,FR',
  'FREQ=DAILY;COUNT=100000',
  'FREQ=YEARLY;BYMONTHDAY=30;BYMONTH=2',
];
function calendar(chance: Chance): string {
  const stamp = () =>
    `${1990 + chance.below(60)}${String(1 + chance.below(13)).padStart(2, '0')}${String(chance.below(33)).padStart(2, '0')}T${String(chance.below(25)).padStart(2, '0')}0000${chance.of(['', 'Z'])}`;
  const events = Array.from({ length: 1 + chance.below(8) }, (_, index) =>
    [
      'BEGIN:VEVENT',
      `UID:${chance.below(4)}`,
      `DTSTART${chance.of(['', ';TZID=Europe/London', ';TZID=Nowhere', ';VALUE=DATE'])}:${stamp()}`,
      ...(chance.share() < 0.6 ? [`RRULE:${chance.of(rules)}${chance.of(['', `;UNTIL=${stamp()}`])}`] : []),
      ...(chance.share() < 0.3 ? [`EXDATE:${stamp()}`] : []),
      ...(chance.share() < 0.3 ? [`RECURRENCE-ID:${stamp()}`] : []),
      ...(chance.share() < 0.3
        ? [`DURATION:${chance.of(['PT1H', 'P1D', '-P3W', 'P99999999D', 'soon'])}`]
        : []),
      `SUMMARY:Count ${index}`,
      'END:VEVENT',
    ].join('\r\n'),
  );
  return ['BEGIN:VCALENDAR', ...events, 'END:VCALENDAR'].join('\r\n');
}

function telling(): Telling {
  return {
    readings: createReadings({ moment: NOON, place: bareDesk().place, seed: 7, feeds: [] }),
    facts: { units: plainUnits, half: 'dark', workspaces: [], workspace: 0, running: new Set() },
    origins: {},
    at: NOON,
  };
}

const feeds = [
  '<rss version="2.0"><channel><title>B</title><item><title>Owl</title><link>owl</link><pubDate>Tue, 24 Nov 2026 06:00:00</pubDate></item></channel></rss>',
  '<feed xmlns="http://www.w3.org/2005/Atom" xml:base="https://marrow.example/"><title>B</title><entry><title type="html">Owl</title><link href="owl"/></entry></feed>',
  '{"version":"https://jsonfeed.org/version/1.1","title":"B","items":[{"id":"1","title":"Owl"}]}',
];
const plain = [
  '#EXTM3U\n#EXTINF:12,Marsh - Reeds\nreeds.wav\n',
  '<playlist version="1"><trackList><track><title>Reeds</title></track></trackList></playlist>',
  '*color1: rgba:20/40/60/ff\n#define sea #204060\n',
  ':root { --ground: /* x */ #101010; --ink: var(--ground) }',
  '{"a":{"$type":"color","$root":{"$value":"#abcdef"},"b":{"$ref":"#/a/$root"}}}',
  'GIMP Palette\nChannels: RGBA\n1 2 3 4 x\n',
  'METAR XXMP 241150Z 24008G18KT 4000 -RA BKN012 05/03 Q1009\nTAF XXMP 241100Z 2412/2518 24008KT CAVOK',
];

/** A text of bad hands: damaged, or one piece of it many times over. */
function worse(text: string, chance: Chance): string {
  if (chance.share() < 0.7) return damaged(Buffer.from(text), chance).toString('utf8');
  const at = chance.below(text.length);
  const piece = text.slice(at, at + 1 + chance.below(12));
  return text.slice(0, at) + piece.repeat(1 + chance.below(60_000)) + text.slice(at);
}

export async function fuzzTexts(
  chance: Chance,
  notes: { tally: Map<string, Tally>; found: Found[] },
): Promise<void> {
  await learnSources();
  const here = telling();
  const attempt = (kind: string, text: string, read: (text: string) => boolean) => {
    const tally = notes.tally.get(kind) ?? { tried: 0, accepted: 0, refused: 0, failed: 0 };
    notes.tally.set(kind, tally);
    tally.tried++;
    const before = process.cpuUsage();
    const heap = process.memoryUsage().heapUsed;
    let wrong: string | null = null;
    let isTaken = false;
    try {
      isTaken = read(text);
    } catch (error) {
      wrong = `throws ${String(error)}`;
    }
    const ms = process.cpuUsage(before).user / 1000;
    if (ms > MOST_MS) wrong ??= `takes ${Math.round(ms)} ms`;
    if (process.memoryUsage().heapUsed - heap > MOST_MIB * 2 ** 20)
      wrong ??= `takes more than ${MOST_MIB} MiB`;
    tally[wrong ? 'failed' : isTaken ? 'accepted' : 'refused']++;
    if (wrong) notes.found.push({ what: `${kind}: ${wrong}`, detail: text.slice(0, 2000) });
  };
  const refusing = (work: () => unknown, Refusal: new (...all: never[]) => Error = Error) => {
    try {
      work();
      return true;
    } catch (error) {
      if (error instanceof Refusal) return false;
      throw error;
    }
  };
  for (let turn = 0; turn < 40; turn++)
    attempt('expressions', expression(chance), (text) => say(`{${text}}`, here).mistakes.length === 0);
  for (let turn = 0; turn < 10; turn++) {
    const text =
      chance.share() < 0.5 ? calendar(chance) : worse(chance.of([calendar(chance), netsCalendar]), chance);
    attempt('calendars', text, () =>
      refusing(() => {
        expandCalendar(text, 'Europe/London', NOON - 30 * 86_400_000, NOON + 60 * 86_400_000);
        tickTask(text, '1', true, NOON);
      }, NoCalendar),
    );
  }
  for (let turn = 0; turn < 10; turn++) {
    const text = worse(chance.of(feeds), chance);
    attempt('headlines', text, () =>
      refusing(() => readHeadlines({ text, address: 'https://marrow.example/' })),
    );
  }
  for (let turn = 0; turn < 14; turn++)
    attempt('other texts', worse(chance.of(plain), chance), (text) => {
      const read = readPlaylist(new TextEncoder().encode(text.slice(0, 2 ** 21)));
      readReports(text, NOON);
      sumOf(text.slice(0, 200));
      return read.ok || readColours(text) !== null;
    });
}
