import type { Fonts, Layout, LineStyle, Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { DayStretches, Stretch } from '../../sources/almanac/stretches.ts';
import { bottom, type Point, type Rect } from '../../values/geometry.ts';
import type { AlmanacFace } from './almanac.ts';

/** Shares of the day are 0 at its beginning, 1 at its end. */
export interface AlmanacView {
  now: number;
  moon: { phase: number; name: string; lit: string };
  moonTimes: string[];
  height: string;
  isRising: boolean;
  /** Height of the water (m) over the day. */
  curve: { x: number; height: number }[];
  turns: { x: number; height: number; isHigh: boolean; told: string }[];
  coming: string[];
  sun: DayStretches;
  sunTimes: string[];
  light: string;
  gains: string;
  season: string;
  rows: [string, string][];
  type: TypeChoice;
  colour: Paint;
}

export interface AlmanacLayout extends Layout {
  moon: Rect | null;
  /** The tide's curve, its turns, and where it is now. */
  tide: { rect: Rect; points: Point[]; turns: Point[]; now: Point } | null;
  /** The bar of a day, its stretches from the darkest to the lightest, and the mark of now. */
  day: { rect: Rect; stretches: (Rect | null)[]; now: number } | null;
}

const NOTHING = { moon: null, tide: null, day: null };

type Lay = (view: AlmanacView, fonts: Fonts) => AlmanacLayout;

const MOON = { size: 128, gap: 26 } as const;

/** The moon as it is, and beside it what it is called and when it is there. */
const layMoon: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const moon = sheet.keep({ x: 0, y: 0, width: MOON.size, height: MOON.size });
  const left = MOON.size + MOON.gap;
  const name: LineStyle = { font: chosenFont(view.type, 'display'), size: 30, weight: 400 };
  const soft: LineStyle = { font: 'text', size: 18, weight: 400, colour: 'softInk' };
  sheet.middle(sheet.line(view.moon.name, name), { left }, 8, 34);
  sheet.middle(sheet.line(view.moon.lit, soft), { left }, 42, 26);
  view.moonTimes.forEach((text, index) =>
    sheet.middle(sheet.line(text, { ...soft, colour: 'ink' }), { left }, 72 + index * 26, 26),
  );
  const widest = sheet.room(['Waxing crescent', 'Waning crescent'], name);
  sheet.keep({ x: left, y: 0, width: widest, height: 1 });
  return sheet.lay({ ...NOTHING, moon });
};

/** `inset` is what a mark on the curve reaches over its end. */
const TIDE = { width: 400, inset: 7, high: 112, label: 20, head: 44 } as const;

/** The water over the day, with its turns and where it stands now. */
const layTide: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, inset, high, label, head } = TIDE;
  const large: LineStyle = { font: chosenFont(view.type, 'figures'), size: 36, weight: 500 };
  const soft: LineStyle = { font: 'text', size: 18, weight: 400 };
  const figure = sheet.line(view.height, large);
  const { baseline } = sheet.middle(figure, { left: 0 }, 0, head);
  const room = sheet.room([view.height, '−8.8 m'], large);
  sheet.put(sheet.line(view.isRising ? 'rising' : 'falling', soft), { left: room + 12 }, baseline);
  const [next] = view.coming;
  if (next) sheet.put(sheet.line(next, soft), { right: width }, baseline);
  const rect = sheet.keep({ x: inset, y: head + label + 10, width: width - 2 * inset, height: high });
  const heights = view.curve.map(({ height }) => height);
  const [least, most] = [Math.min(...heights), Math.max(...heights)];
  const at = (x: number, height: number): Point => ({
    x: rect.x + x * rect.width,
    y: rect.y + rect.height * (1 - (height - least) / Math.max(0.1, most - least)),
  });
  const small: LineStyle = { font: 'figures', size: 15, weight: 500 };
  const turns = view.turns.map(({ x, height, isHigh, told }) => {
    const point = at(x, height);
    const line = sheet.line(told, small);
    const centre = Math.min(Math.max(point.x, line.room / 2), width - line.room / 2);
    sheet.middle(line, { centre }, isHigh ? point.y - label - 6 : point.y + 8, label);
    return point;
  });
  sheet.keep({ x: 0, y: 0, width, height: bottom(rect) + label + 8 });
  const near = view.curve.findLastIndex(({ x }) => x <= view.now);
  const [before, after] = [view.curve[near], view.curve[near + 1]];
  const height =
    before && after
      ? before.height + ((after.height - before.height) * (view.now - before.x)) / (after.x - before.x)
      : (before?.height ?? 0);
  const points = view.curve.map((one) => at(one.x, one.height));
  return sheet.lay({ ...NOTHING, tide: { rect, points, turns, now: at(view.now, height) } });
};

const DAY = { width: 400, thick: 34, head: 40 } as const;

/** The day as a bar from midnight to midnight: night, twilights and light. */
const layDay: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, thick, head } = DAY;
  const large: LineStyle = { font: chosenFont(view.type, 'figures'), size: 30, weight: 500 };
  const soft: LineStyle = { font: 'text', size: 17, weight: 400, colour: 'softInk' };
  const { baseline } = sheet.middle(sheet.line(view.light, large), { left: 0 }, 0, head);
  sheet.put(sheet.line(view.season, soft), { right: width }, baseline);
  const rect = sheet.keep({ x: 0, y: head + 14, width, height: thick });
  const part = (stretch: Stretch | null) =>
    stretch && { ...rect, x: stretch.from * width, width: Math.max(1, (stretch.to - stretch.from) * width) };
  const below = bottom(rect) + 12;
  const [rise = '', set = ''] = view.sunTimes;
  const small: LineStyle = { font: 'figures', size: 16, weight: 500 };
  const up = view.sun.up;
  const put = (text: string, at: number) => {
    const line = sheet.line(text, small);
    const half = line.room / 2;
    sheet.middle(line, { centre: Math.min(Math.max(at * width, half), width - half) }, below, 22);
  };
  if (up) {
    put(rise, Math.min(up.from, 0.44));
    put(set, Math.max(up.to, 0.56));
  }
  sheet.middle(sheet.line(view.gains, soft), { centre: width / 2 }, below + 28, 22);
  sheet.keep({ x: 0, y: 0, width, height: below + 50 });
  const { nautical, civil } = view.sun;
  const stretches = [part(nautical), part(civil), part(up)];
  return sheet.lay({ ...NOTHING, day: { rect, stretches, now: view.now * width } });
};

const TABLE = { pitch: 30, size: 18, gap: 30 } as const;

/** All of it in words. */
const layTable: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const name: LineStyle = { font: 'text', size: TABLE.size, weight: 400, colour: 'softInk' };
  const value: LineStyle = { font: chosenFont(view.type, 'text'), size: TABLE.size, weight: 500 };
  const names = sheet.room([...view.rows.map(([text]) => text), 'High water'], name);
  const values = sheet.room(
    [...view.rows.map(([, text]) => text), '00:00 and 00:00', 'Waning crescent'],
    value,
  );
  const width = names + TABLE.gap + values;
  view.rows.forEach(([text, said], index) => {
    sheet.middle(sheet.line(text, name), { left: 0 }, index * TABLE.pitch, TABLE.pitch);
    sheet.middle(sheet.line(said, value), { right: width }, index * TABLE.pitch, TABLE.pitch);
  });
  sheet.keep({ x: 0, y: 0, width, height: view.rows.length * TABLE.pitch });
  return sheet.lay(NOTHING);
};

/** How each face is laid. */
export const almanacLayouts: Record<AlmanacFace, Lay> = {
  moon: layMoon,
  tide: layTide,
  day: layDay,
  table: layTable,
};
