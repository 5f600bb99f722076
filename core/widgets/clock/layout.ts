import {
  cutLine,
  putLine,
  roomOf,
  setLine,
  sizeAround,
  type Fonts,
  type Layout,
  type Line,
  type LineStyle,
  type Paint,
  type Run,
} from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { DayStretches } from '../../sources/almanac/stretches.ts';
import { bottom, right, type Rect } from '../../values/geometry.ts';

/** What a clock's faces set. */
export interface ClockView {
  hours: string;
  minutes: string;
  seconds: string | null;
  period: string | null;
  date: string | null;
  /** Degrees clockwise from twelve. */
  hands: { hour: number; minute: number; second: number | null };
  /** The time as it is said, line by line. */
  words: string[];
  /** The day by how high the sun stands, and how much of it has passed; null on faces without a ring. */
  day: (DayStretches & { now: number }) | null;
  zones: { name: string; time: string; difference: string }[];
  until: { parts: { figure: string; unit: string }[]; what: string } | null;
  /** How much of it is left, 0 to 1; over, the figure counts on. */
  timer: { figure: string; share: number; isRunning: boolean; isOver: boolean } | null;
  type: TypeChoice;
  colour: Paint;
}

export interface ClockLayout extends Layout {
  /** Where the dial or the ring of the day stands; null on faces without one. */
  dial: Rect | null;
}

/** Px between what the eye sees of two lines: below the figures, between two rows of them, and beside them. */
const GAP = { date: 28, rows: 34, small: 14, line: 20, dial: 20 } as const;
/** Seconds and the half of the day, as a share of the time's size. */
const SMALL = 0.28;
const DIAL = 220;

/** A run in its place with the room that it may come to fill. */
interface Put {
  run: Run;
  room: Rect;
}

function put(line: Line, left: number, baseline: number): Put {
  return { run: putLine(line, { left }, baseline), room: roomOf(line, { left, baseline }) };
}

function finish(puts: readonly Put[], dial: Rect | null = null): ClockLayout {
  return {
    size: sizeAround([...puts.map(({ room }) => room), ...(dial ? [dial] : [])]),
    runs: puts.map(({ run }) => run),
    dial,
  };
}

/** A line under everything above it. */
function below(text: string, style: LineStyle, from: number, gap: number, fonts: Fonts): Put {
  const line = setLine(text, style, fonts);
  return put(line, 0, from + gap + line.ink.top);
}

const words = (...texts: (string | null)[]) => texts.filter((text) => text !== null).join(' ');

/** One tall line of figures over the date. */
function laySerif({ hours, minutes, seconds, period, date, type, colour }: ClockView, fonts: Fonts) {
  const font = chosenFont(type, 'display');
  const style = { font, size: 168, weight: 200, spacing: -0.03, colour };
  const time = setLine(`${hours}:${minutes}`, style, fonts);
  const main = put(time, 0, time.ink.top);
  const puts = [main];
  const extra = words(seconds, period);
  if (extra) {
    const small = setLine(extra, { font, size: style.size * SMALL, weight: 300, colour }, fonts);
    puts.push(put(small, right(main.room) + GAP.small, time.ink.top));
  }
  if (date)
    puts.push(below(date, { font: 'text', size: 26, weight: 400, colour }, time.ink.top, GAP.date, fonts));
  return finish(puts);
}

/** Hours over minutes over the date. */
function layStack({ hours, minutes, seconds, period, date, type, colour }: ClockView, fonts: Fonts) {
  const font = chosenFont(type, 'figures');
  const style = { font, size: 132, weight: 600, spacing: -0.02, colour };
  const room = setLine('00', style, fonts).room;
  /** Figures of both rows end on one line down. */
  const figures = (text: string) => {
    const line = setLine(text, style, fonts);
    return { line, left: Math.max(0, room - line.room) };
  };
  const [first, second] = [figures(hours), figures(minutes)];
  const rows = [first.line.ink.top, first.line.ink.top + GAP.rows + second.line.ink.top];
  const puts = [put(first.line, first.left, rows[0] ?? 0), put(second.line, second.left, rows[1] ?? 0)];
  const last = rows[1] ?? 0;
  if (seconds) {
    const small = setLine(seconds, { ...style, spacing: 0, size: style.size * SMALL }, fonts);
    puts.push(put(small, room + GAP.small, last));
  }
  const text = words(period, date);
  if (text) puts.push(below(text, { font: 'text', size: 20, weight: 500, colour }, last, GAP.date, fonts));
  return finish(puts);
}

/** A dial, with the date under its middle. */
function layHands({ date, colour }: ClockView, fonts: Fonts): ClockLayout {
  const dial = { x: 0, y: 0, width: DIAL, height: DIAL };
  if (!date) return finish([], dial);
  const line = setLine(date, { font: 'text', size: 18, weight: 500, colour }, fonts);
  // A long date is wider than the dial; then the dial stands over its middle.
  const width = Math.max(DIAL, line.room);
  const centred = { ...dial, x: (width - DIAL) / 2 };
  const baseline = bottom(dial) + GAP.dial + line.ink.top;
  const room = roomOf(line, { left: (width - line.room) / 2, baseline });
  return finish([{ run: putLine(line, { centre: width / 2 }, baseline), room }], centred);
}

/** Time and date on one line of writing. */
function layLine({ hours, minutes, seconds, period, date, type, colour }: ClockView, fonts: Fonts) {
  const time = `${hours}:${minutes}${seconds ? `:${seconds}` : ''}${period ? ` ${period}` : ''}`;
  const style = { font: chosenFont(type, 'figures'), size: 34, weight: 500, colour };
  const main = setLine(time, style, fonts);
  const beside = date
    ? setLine(date, { font: 'text', size: 22, weight: 400, colour: 'softInk' }, fonts)
    : null;
  const baseline = Math.max(main.ink.top, beside?.ink.top ?? 0);
  const first = put(main, 0, baseline);
  return finish(beside ? [first, put(beside, right(first.room) + GAP.line, baseline)] : [first]);
}

const WORDS = { size: 60, gap: 22 } as const;

/** The time as it is said, over the date. */
function layWords({ words: said, date, type, colour }: ClockView, fonts: Fonts) {
  const sheet = createSheet(fonts);
  const style: LineStyle = { font: chosenFont(type, 'display'), size: WORDS.size, weight: 300, colour };
  let top = 0;
  for (const text of said) top = sheet.under(sheet.line(text, style), { left: 0 }, top) + WORDS.gap;
  if (date)
    sheet.under(sheet.line(date, { font: 'text', size: 24, weight: 400, colour }), { left: 0 }, top + 6);
  return sheet.lay({ dial: null });
}

const RING = { size: 248, time: 50, date: 18 } as const;

/** The time within a ring of the whole day. */
function layRing({ hours, minutes, period, date, type, colour }: ClockView, fonts: Fonts): ClockLayout {
  const sheet = createSheet(fonts);
  const dial = { x: 0, y: 0, width: RING.size, height: RING.size };
  const middle = RING.size / 2;
  const style: LineStyle = { font: chosenFont(type, 'figures'), size: RING.time, weight: 500, colour };
  const time = sheet.line(`${hours}:${minutes}`, style);
  sheet.middle(time, { centre: middle }, middle - 30, RING.time);
  const inside = RING.size - 92;
  const small: LineStyle = { font: 'text', size: RING.date, weight: 400, colour };
  const under = words(period, date);
  if (under) {
    // What is too long for the ring stands smaller.
    const share = Math.min(1, inside / Math.max(1, sheet.line(under, small).width));
    const size = Math.max(9, Math.floor(RING.date * share));
    const line = cutLine(under, { ...small, size }, fonts, inside);
    sheet.middle(line, { centre: middle }, middle + 22, 24);
  }
  sheet.keep(dial);
  return sheet.lay({ dial });
}

const ZONES = { pitch: 38, gap: 22 } as const;

/** A zone in each row: its name, how far it is from here, and its time. */
function layZones({ zones, type, colour }: ClockView, fonts: Fonts): ClockLayout {
  const sheet = createSheet(fonts);
  const name: LineStyle = { font: 'text', size: 20, weight: 500 };
  const soft: LineStyle = { font: 'text', size: 16, weight: 400, colour: 'softInk' };
  const figure: LineStyle = { font: chosenFont(type, 'figures'), size: 24, weight: 500, colour };
  const names = sheet.room([...zones.map((zone) => zone.name), 'Marrow'], name);
  const differences = sheet.room([...zones.map(({ difference }) => difference), '+10 h'], soft);
  const times = sheet.room([...zones.map(({ time }) => time), '00:00'], figure);
  const width = names + differences + times + 2 * ZONES.gap;
  zones.forEach(({ name: text, time, difference }, index) => {
    const top = index * ZONES.pitch;
    const { baseline } = sheet.middle(sheet.line(time, figure), { right: width }, top, ZONES.pitch);
    sheet.put(sheet.line(text, name), { left: 0 }, baseline);
    sheet.put(sheet.line(difference, soft), { left: names + ZONES.gap }, baseline);
  });
  sheet.keep({ x: 0, y: 0, width, height: Math.max(1, zones.length) * ZONES.pitch });
  return sheet.lay({ dial: null });
}

const UNTIL = { figure: 84, unit: 24, gap: 10, between: 22, below: 24 } as const;

/** What is left in large figures, over what it is that comes. */
function layUntil({ until, type, colour }: ClockView, fonts: Fonts): ClockLayout {
  const sheet = createSheet(fonts);
  const figures: LineStyle = { font: chosenFont(type, 'display'), size: UNTIL.figure, weight: 300, colour };
  const units: LineStyle = { font: 'text', size: UNTIL.unit, weight: 400, colour };
  const { ink } = sheet.line('0', figures);
  let left = 0;
  for (const { figure, unit } of until?.parts ?? []) {
    const line = sheet.line(figure, figures);
    sheet.put(line, { left }, ink.top);
    const beside = sheet.line(unit, units);
    sheet.put(beside, { left: left + line.width + UNTIL.gap }, ink.top);
    left += line.width + UNTIL.gap + beside.width + UNTIL.between;
  }
  if (until) sheet.under(sheet.line(until.what, units), { left: 0 }, ink.top + ink.bottom + UNTIL.below);
  return sheet.lay({ dial: null });
}

const TIMER = { figure: 52, long: 40, below: 18 } as const;

/** What is left within a ring that empties. */
function layTimer({ timer, type, colour }: ClockView, fonts: Fonts): ClockLayout {
  const sheet = createSheet(fonts);
  const dial = sheet.keep({ x: 0, y: 0, width: DIAL, height: DIAL });
  const figure = timer?.figure ?? '';
  const size = figure.length > 5 ? TIMER.long : TIMER.figure;
  const style: LineStyle = { font: chosenFont(type, 'figures'), size, weight: 500, colour };
  sheet.middle(sheet.line(figure, style), { centre: DIAL / 2 }, DIAL / 2 - 42, 60);
  const said = !timer?.isRunning ? 'waits' : timer.isOver ? 'over' : 'to go';
  const soft: LineStyle = { font: 'text', size: TIMER.below, weight: 400, colour: 'softInk' };
  sheet.middle(sheet.line(said, soft), { centre: DIAL / 2 }, DIAL / 2 + 24, 24);
  return sheet.lay({ dial });
}

/** How each face sets its lines. */
export const clockLayouts = {
  serif: laySerif,
  stack: layStack,
  hands: layHands,
  line: layLine,
  words: layWords,
  ring: layRing,
  zones: layZones,
  until: layUntil,
  timer: layTimer,
} as const;
