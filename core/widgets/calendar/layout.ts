import { cutLine, type Fonts, type Layout, type LineStyle, type Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import { bottom, type Rect } from '../../values/geometry.ts';
import type { CalendarFace } from './calendar.ts';

export interface CalendarView {
  /**
   * What is said for now while some calendar was not read yet, for that nothing is there can't be said: nothing where it
   * stands in the desk, which takes a moment. Null once all were read.
   */
  untold: string | null;
  /** The month or the day. */
  title: string;
  weekdays: string[];
  weeks: {
    number: string | null;
    days: { figure: string; isIn: boolean; isToday: boolean; marks: Paint[]; told: string }[];
  }[];
  rows: { day: string | null; time: string; title: string; paint: Paint; isNow: boolean }[];
  /** Shares of the day. */
  day: {
    now: number;
    events: { from: number; to: number; paint: Paint }[];
    hours: { at: number; label: string }[];
    told: string;
  } | null;
  next: { title: string; until: string; told: string; paint: Paint } | null;
  tasks: {
    calendar: string;
    uid: string;
    title: string;
    due: string | null;
    isDone: boolean;
    isOwn: boolean;
    paint: Paint;
  }[];
  type: TypeChoice;
  colour: Paint;
}

export interface CalendarLayout extends Layout {
  /** Dots, bars and boxes, each in a colour. */
  marks: { rect: Rect; paint: Paint; isRound: boolean }[];
  /** The ring around today. */
  today: Rect | null;
  /** The line of the day, and where on it now is. */
  line: { rect: Rect; now: number } | null;
  /** Where each task is ticked, and what is struck out. */
  boxes: { rect: Rect; isDone: boolean }[];
}

const NOTHING = { marks: [], today: null, line: null, boxes: [] };
type Lay = (view: CalendarView, fonts: Fonts) => CalendarLayout;

const MONTH = { cell: 46, row: 44, head: 34, weekdays: 30, number: 34, ring: 34, dot: 5, space: 4 } as const;

/** A month as its weeks; today in a ring, and what is on under each day. */
const layMonth: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { cell, row, head, weekdays, ring, dot, space } = MONTH;
  const numbers = view.weeks.some(({ number }) => number !== null) ? MONTH.number : 0;
  const width = numbers + 7 * cell;
  const title: LineStyle = { font: chosenFont(view.type, 'display'), size: 24, weight: 500 };
  const soft: LineStyle = { font: 'text', size: 14, weight: 500, colour: 'softInk' };
  const figure: LineStyle = { font: 'figures', size: 18, weight: 400 };
  sheet.middle(sheet.line(view.title, title), { left: numbers + 8 }, 0, head);
  view.weekdays.forEach((name, index) =>
    sheet.middle(sheet.line(name, soft), { centre: numbers + (index + 0.5) * cell }, head, weekdays),
  );
  const marks: CalendarLayout['marks'] = [];
  let today: Rect | null = null;
  view.weeks.forEach(({ number, days }, week) => {
    const top = head + weekdays + week * row;
    if (number !== null)
      sheet.middle(sheet.line(number, { ...soft, font: 'figures' }), { centre: numbers / 2 }, top, ring);
    days.forEach((day, index) => {
      const centre = numbers + (index + 0.5) * cell;
      const style = day.isToday
        ? { ...figure, weight: 600 }
        : day.isIn
          ? figure
          : { ...figure, colour: 'softInk' as const };
      sheet.middle(sheet.line(day.figure, style), { centre }, top, ring);
      if (day.isToday) today = { x: centre - ring / 2, y: top, width: ring, height: ring };
      const long = day.marks.length * dot + (day.marks.length - 1) * space;
      day.marks.forEach((paint, mark) =>
        marks.push({
          rect: { x: centre - long / 2 + mark * (dot + space), y: top + ring + 2, width: dot, height: dot },
          paint,
          isRound: true,
        }),
      );
    });
  });
  sheet.keep({ x: 0, y: 0, width, height: head + weekdays + view.weeks.length * row });
  return sheet.lay({ ...NOTHING, marks, today });
};

const AGENDA = { width: 380, pitch: 32, day: 26, gap: 10, bar: 4 } as const;

/** What comes, day by day. */
const layAgenda: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, pitch, gap, bar } = AGENDA;
  const day: LineStyle = { font: chosenFont(view.type, 'text'), size: 16, weight: 600, colour: 'softInk' };
  const time: LineStyle = { font: 'figures', size: 16, weight: 500, colour: 'softInk' };
  const text: LineStyle = { font: chosenFont(view.type, 'text'), size: 18, weight: 400 };
  const times = sheet.room([...view.rows.map((row) => row.time), '88:88', 'all day'], time);
  const left = bar + 12 + times + 14;
  const marks: CalendarLayout['marks'] = [];
  let top = 0;
  for (const row of view.rows) {
    if (row.day !== null) {
      if (top > 0) top += gap;
      sheet.middle(sheet.line(row.day, day), { left: 0 }, top, AGENDA.day);
      top += AGENDA.day + 4;
    }
    marks.push({
      rect: { x: 0, y: top + 5, width: bar, height: pitch - 10 },
      paint: row.paint,
      isRound: false,
    });
    sheet.middle(sheet.line(row.time, time), { left: bar + 12 }, top, pitch);
    const style = row.isNow ? { ...text, weight: 600 } : text;
    sheet.middle(cutLine(row.title, style, fonts, width - left), { left }, top, pitch);
    top += pitch;
  }
  const none = view.untold ?? 'Nothing ahead';
  if (view.rows.length === 0 && none !== '') sheet.middle(sheet.line(none, text), { left: 0 }, 0, pitch);
  sheet.keep({ x: 0, y: 0, width, height: Math.max(top, pitch) });
  return sheet.lay({ ...NOTHING, marks });
};

const DAY = { width: 420, head: 34, line: 14, label: 24 } as const;

/** A day as a line with what is on it. */
const layDay: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, head, line: thick } = DAY;
  const title: LineStyle = { font: chosenFont(view.type, 'display'), size: 22, weight: 500 };
  const soft: LineStyle = { font: 'text', size: 17, weight: 400, colour: 'softInk' };
  const small: LineStyle = { font: 'figures', size: 13, weight: 500, colour: 'softInk' };
  sheet.middle(cutLine(view.title, title, fonts, width), { left: 0 }, 0, head);
  const rect = sheet.keep({ x: 0, y: head + 12, width, height: thick });
  const marks = (view.day?.events ?? []).map(({ from, to, paint }) => ({
    rect: { ...rect, x: from * width, width: Math.max(4, (to - from) * width) },
    paint,
    isRound: false,
  }));
  for (const { at, label } of view.day?.hours ?? [])
    sheet.middle(sheet.line(label, small), { centre: at * width }, bottom(rect) + 4, DAY.label);
  const told = cutLine(view.day?.told ?? '', soft, fonts, width);
  if (told.run.text !== '') sheet.middle(told, { left: 0 }, bottom(rect) + DAY.label + 8, 26);
  return sheet.lay({ ...NOTHING, marks, line: { rect, now: view.day?.now ?? 0 } });
};

const NEXT = { width: 420, bar: 5, gap: 18 } as const;

/** What comes next, and how long until then. */
const layNext: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, bar, gap } = NEXT;
  const left = bar + gap;
  const title: LineStyle = { font: chosenFont(view.type, 'display'), size: 36, weight: 400 };
  const soft: LineStyle = { font: 'text', size: 19, weight: 400, colour: 'softInk' };
  const { next } = view;
  const words = next ? [next.title, next.until, next.told] : [view.untold ?? 'Nothing ahead'];
  let top = 0;
  words.forEach((text, index) => {
    const style: LineStyle =
      index === 0 ? title : index === 1 ? { ...soft, weight: 600, colour: 'ink' } : soft;
    if (text !== '') top = sheet.under(cutLine(text, style, fonts, width), { left }, top) + 12;
  });
  const height = Math.max(title.size, top - 12);
  sheet.keep({ x: 0, y: 0, width: left, height });
  const marks = next ? [{ rect: { x: 0, y: 0, width: bar, height }, paint: next.paint, isRound: false }] : [];
  return sheet.lay({ ...NOTHING, marks });
};

const TASKS = { width: 340, pitch: 36, box: 20, gap: 14 } as const;

/** Tasks, each with a box that is ticked. */
const layTasks: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, pitch, box, gap } = TASKS;
  const text: LineStyle = { font: chosenFont(view.type, 'text'), size: 19, weight: 400 };
  const soft: LineStyle = { font: 'text', size: 15, weight: 400, colour: 'softInk' };
  const boxes: CalendarLayout['boxes'] = [];
  view.tasks.forEach((task, index) => {
    const top = index * pitch;
    boxes.push({ rect: { x: 0, y: top + (pitch - box) / 2, width: box, height: box }, isDone: task.isDone });
    const due = task.due === null || task.isDone ? null : sheet.line(task.due, soft);
    if (due) sheet.middle(due, { right: width }, top, pitch);
    const room = width - box - gap - (due ? due.room + gap : 0);
    const style = task.isDone ? { ...text, colour: 'softInk' as const } : text;
    sheet.middle(cutLine(task.title, style, fonts, room), { left: box + gap }, top, pitch);
  });
  const none = view.untold ?? 'Nothing to do';
  if (view.tasks.length === 0 && none !== '') sheet.middle(sheet.line(none, text), { left: 0 }, 0, pitch);
  sheet.keep({ x: 0, y: 0, width, height: Math.max(1, view.tasks.length) * pitch });
  return sheet.lay({ ...NOTHING, boxes });
};

/** How each face is laid. */
export const calendarLayouts: Record<CalendarFace, Lay> = {
  month: layMonth,
  agenda: layAgenda,
  day: layDay,
  next: layNext,
  tasks: layTasks,
};
