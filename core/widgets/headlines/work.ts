import type { WidgetContext } from '../../kinds/kind.ts';
import { cutLine, wrap, type Layout, type Line, type LineStyle, type Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import { lengthTold } from '../../sources/units.ts';
import type { Rect } from '../../values/geometry.ts';
import type { HeadlinesFace, HeadlinesOptions } from './headlines.ts';

export interface HeadlinesView {
  items: { title: string; text: string; told: string; link: string }[];
  width: number;
  type: TypeChoice;
  colour: Paint;
}

export interface HeadlinesLayout extends Layout {
  /** A mark before each headline. */
  marks: Rect[];
  /** Where each headline can be pressed, and what it opens. */
  links: { rect: Rect; link: string; title: string }[];
}

/** How long ago, roughly. */
function ageOf(seconds: number): string {
  if (seconds < 60) return 'just now';
  if (seconds < 5400) return `${lengthTold(seconds)} ago`;
  const hours = Math.round(seconds / 3600);
  return hours < 36 ? `${hours} h ago` : `${Math.round(hours / 24)} days ago`;
}

export function view(options: HeadlinesOptions, face: HeadlinesFace, context: WidgetContext): HeadlinesView {
  const { readings, textColour } = context;
  const { only, rows, minutes, among, width, type, colour } = options;
  const all = readings.get('headlines').value.items.filter(({ source }) => only === '' || source === only);
  const newest = all.slice(0, face === 'list' ? rows : among);
  const turn = Math.floor(readings.moment / (minutes * 60_000));
  const chosen =
    face === 'list' || newest.length === 0
      ? newest
      : newest.slice(turn % newest.length, (turn % newest.length) + 1);
  return {
    items: chosen.map(({ title, text, from, moment, link }) => ({
      title,
      text,
      told: [from, moment === null ? '' : ageOf((readings.moment - moment) / 1000)]
        .filter(Boolean)
        .join(', '),
      link,
    })),
    width,
    type,
    colour: textColour(colour),
  };
}

const NONE = 'Nothing to read yet';
const LIST = { mark: 7, gap: 14, between: 14 } as const;

type Lay = (view: HeadlinesView, context: WidgetContext) => HeadlinesLayout;

const layList: Lay = ({ items, width, type }, { fonts }) => {
  const sheet = createSheet(fonts);
  const title: LineStyle = { font: chosenFont(type, 'text'), size: 19, weight: 500 };
  const soft: LineStyle = { font: 'text', size: 15, weight: 400, colour: 'softInk' };
  const left = LIST.mark + LIST.gap;
  const room = width - left;
  const marks: Rect[] = [];
  const links: HeadlinesLayout['links'] = [];
  let top = 0;
  for (const item of items) {
    const line = cutLine(item.title, title, fonts, room);
    marks.push({
      x: 0,
      y: top + line.ink.top - line.cap / 2 - LIST.mark / 2,
      width: LIST.mark,
      height: LIST.mark,
    });
    let foot = sheet.under(line, { left }, top);
    if (item.told) foot = sheet.under(cutLine(item.told, soft, fonts, room), { left }, foot + 7);
    if (item.link)
      links.push({ rect: { x: 0, y: top, width, height: foot - top }, link: item.link, title: item.title });
    top = foot + LIST.between;
  }
  if (items.length === 0) sheet.under(sheet.line(NONE, soft), { left: 0 }, 0);
  sheet.keep({ x: 0, y: 0, width, height: 1 });
  return sheet.lay({ marks, links });
};

const ONE = { title: 2, text: 3 } as const;

/** Lines of a text, no more than so many: the last one that there is room for gives way. */
function fewLines(
  text: string,
  style: LineStyle,
  { fonts }: WidgetContext,
  width: number,
  most: number,
): Line[] {
  if (text === '') return [];
  const lines = wrap(text.slice(0, 600), style, fonts, width);
  const kept = lines.slice(0, most).map((line) => cutLine(line.run.text, style, fonts, width));
  if (lines.length > most) {
    const words = lines.slice(most - 1).map(({ run }) => run.text);
    kept[most - 1] = cutLine(words.join(' '), style, fonts, width);
  }
  return kept;
}

const layOne: Lay = ({ items: [item], width, type }, context) => {
  const sheet = createSheet(context.fonts);
  const title: LineStyle = { font: chosenFont(type, 'display'), size: 28, weight: 500 };
  const text: LineStyle = { font: 'text', size: 18, weight: 400 };
  const soft: LineStyle = { font: 'text', size: 15, weight: 400, colour: 'softInk' };
  let top = 0;
  const put = (lines: Line[], between: number, after: number) => {
    for (const line of lines) top = sheet.under(line, { left: 0 }, top) + between;
    if (lines.length > 0) top += after - between;
  };
  put(fewLines(item?.title ?? NONE, title, context, width, ONE.title), 9, 16);
  put(fewLines(item?.text ?? '', text, context, width, ONE.text), 8, 16);
  put(fewLines(item?.told ?? '', soft, context, width, 1), 0, 0);
  sheet.keep({ x: 0, y: 0, width, height: 1 });
  const laid = sheet.lay({ marks: [] });
  const links = item?.link
    ? [{ rect: { x: 0, y: 0, ...laid.size }, link: item.link, title: item.title }]
    : [];
  return { ...laid, links };
};

const PASSING = { height: 34, mark: 9, gap: 14 } as const;

/** One line; what finds no room passes in use. */
const layPassing: Lay = ({ items: [item], width, type }, { fonts }) => {
  const sheet = createSheet(fonts);
  const { height, mark, gap } = PASSING;
  const style: LineStyle = { font: chosenFont(type, 'text'), size: 21, weight: 500 };
  const left = mark + gap;
  const words = item ? [item.title, item.told].filter(Boolean).join('  –  ') : NONE;
  const line = sheet.line(words.slice(0, 300), style);
  const { baseline, ink, ...run } = sheet.middle(line, { left }, 0, height);
  const room = width - left;
  return {
    // What lies beyond the end is not seen: it takes no room.
    size: { width, height },
    runs: [{ ...run, baseline, ink: { ...ink, width: Math.min(ink.width, room) } }],
    marks: [{ x: 0, y: (height - mark) / 2, width: mark, height: mark }],
    links: item?.link ? [{ rect: { x: 0, y: 0, width, height }, link: item.link, title: item.title }] : [],
    passes: line.width > room ? { from: left, beyond: line.width - room } : null,
  };
};

const layouts: Record<HeadlinesFace, Lay> = { list: layList, one: layOne, passing: layPassing };

export function layout(seen: HeadlinesView, face: HeadlinesFace, context: WidgetContext): HeadlinesLayout {
  return layouts[face](seen, context);
}
