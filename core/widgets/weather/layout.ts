import type { Fonts, Layout, LineStyle, Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { Quantity } from '../../sources/units.ts';
import { bottom, right, type Point, type Rect } from '../../values/geometry.ts';
import type { WeatherFace } from './weather.ts';

/** What a sky is drawn from; shares of 0 to 1 but for degrees. */
export interface SkyView {
  /** Degrees of the sun above the horizon. */
  altitude: number;
  /** How far it is from the left to the right of its way. */
  across: number;
  /** Of the moon. */
  phase: number;
  cloud: number;
  rain: number;
  snow: number;
  fog: number;
  /** -1 to the left, 1 to the right. */
  slant: number;
}

export interface WeatherView {
  /** freedesktop icon name */
  icon: string;
  title: string;
  temperature: string;
  felt: string;
  humidity: string | null;
  wind: Quantity;
  gusts: string;
  /** With where it goes. */
  pressure: string;
  /** The point of the compass that it comes from. */
  from: string;
  direction: number | null;
  isWindTold: boolean;
  hours: { label: string | null; temperature: number | null; told: string; rain: number; chance: number }[];
  /** `from` and `to` are where low and high stand between the least and the most of all days. */
  days: {
    name: string;
    icon: string;
    low: string;
    high: string;
    chance: string | null;
    from: number;
    to: number;
  }[];
  sky: SkyView | null;
  type: TypeChoice;
  colour: Paint;
}

export interface WeatherLayout extends Layout {
  /** The picture of the condition, on faces that show it apart. */
  icon: Rect | null;
  /** Where the curve runs; its points are null where nothing is known. */
  plot: { rect: Rect; points: (Point | null)[]; rain: Rect[] } | null;
  days: { icon: Rect; track: Rect; bar: Rect }[];
  sky: Rect | null;
  rose: Rect | null;
}

const NOTHING = { icon: null, plot: null, days: [], sky: null, rose: null };

type Lay = (view: WeatherView, fonts: Fonts) => WeatherLayout;

const LINE = { icon: 40, gap: 14, height: 44 } as const;

/** Picture, temperature and condition on one line of writing. */
const layLine: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { icon: size, gap, height } = LINE;
  const icon = sheet.keep({ x: 0, y: (height - size) / 2, width: size, height: size });
  const style: LineStyle = { font: chosenFont(view.type, 'figures'), size: 34, weight: 500 };
  const left = right(icon) + gap;
  const { baseline } = sheet.middle(sheet.line(view.temperature, style), { left }, 0, height);
  const room = sheet.room([view.temperature, '18°'], style);
  const told = view.isWindTold
    ? `${view.title}, ${view.from} ${view.wind.figure} ${view.wind.unit}`
    : view.title;
  const words = sheet.line(told, { font: 'text', size: 22, weight: 400 });
  sheet.put(words, { left: left + room + gap }, baseline);
  return sheet.lay({ ...NOTHING, icon });
};

/** `inset` is what a mark on the curve reaches over its end. */
const HOURS = { width: 420, inset: 6, icon: 68, plot: 92, bars: 34, gap: 22, label: 15 } as const;

/** Of a font's size: how much higher than its letters a degree sign may stand, above and (to stay in the middle) below. */
const DEGREE = 0.14;

/** Now in large, and the hours ahead as a curve over what may fall. */
const layHours: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { width, icon: size } = HOURS;
  const large: LineStyle = { font: chosenFont(view.type, 'display'), size: 70, weight: 300 };
  const figure = sheet.line(view.temperature, large);
  // Where a desk sets its type large, the figure is taller than the picture; some fonts hang their degree sign higher still.
  const tall = 2 * (figure.ink.top - figure.cap / 2) + figure.run.size * DEGREE;
  const head = Math.max(size, Math.ceil(tall));
  const icon = sheet.keep({ x: 0, y: (head - size) / 2, width: size, height: size });
  sheet.middle(figure, { left: size + 18 }, 0, head);
  const soft: LineStyle = { font: 'text', size: 17, weight: 400, colour: 'softInk' };
  sheet.middle(
    sheet.line(view.title, { ...soft, size: 21, weight: 500, colour: 'ink' }),
    { right: width },
    0,
    32,
  );
  sheet.middle(sheet.line(view.felt, soft), { right: width }, 30, 24);
  if (view.humidity) sheet.middle(sheet.line(view.humidity, soft), { right: width }, 52, 24);

  const small: LineStyle = { font: 'figures', size: HOURS.label, weight: 500, colour: 'softInk' };
  const { inset } = HOURS;
  const rect = { x: inset, y: head + 2 * HOURS.gap, width: width - 2 * inset, height: HOURS.plot };
  const known = view.hours.map(({ temperature }) => temperature).filter((one) => one !== null);
  const [least, most] = [Math.min(...known), Math.max(...known)];
  const step = rect.width / Math.max(1, view.hours.length - 1);
  const along = (index: number) => inset + index * step;
  const points = view.hours.map(({ temperature }, index) =>
    temperature === null
      ? null
      : {
          x: along(index),
          y: rect.y + rect.height * (1 - (temperature - least) / Math.max(2, most - least)),
        },
  );
  // The warmest and the coldest say how warm and how cold.
  for (const [value, side] of [
    [most, -1],
    [least, 1],
  ] as const) {
    const index = view.hours.findIndex(({ temperature }) => temperature === value);
    const [hour, point] = [view.hours[index], points[index]];
    if (!hour || !point || (side === 1 && least === most)) continue;
    const line = sheet.line(hour.told, { ...small, colour: 'ink' });
    const half = line.room / 2;
    const centre = Math.min(Math.max(point.x, half), width - half);
    sheet.middle(line, { centre }, side === -1 ? point.y - 24 : point.y + 4, 20);
  }
  const floor = bottom(rect) + HOURS.gap + HOURS.bars;
  const thick = Math.max(2, step * 0.56);
  const rain = view.hours.map(({ rain: fallen }, index) => {
    const high = fallen <= 0.05 ? 0 : Math.min(1, 0.12 + fallen / 5) * HOURS.bars;
    return {
      x: Math.min(Math.max(0, along(index) - thick / 2), width - thick),
      y: floor - high,
      width: thick,
      height: high,
    };
  });
  sheet.keep({ ...rect, height: floor - rect.y });
  let free = 0;
  view.hours.forEach(({ label }, index) => {
    if (label === null) return;
    const line = sheet.line(label, small);
    const half = line.room / 2;
    const centre = Math.min(Math.max(along(index), half), width - half);
    // One that would run into the one before it is left out.
    if (centre - half < free) return;
    free = centre + half + 8;
    sheet.middle(line, { centre }, floor + 6, 20);
  });
  return sheet.lay({ ...NOTHING, icon, plot: { rect, points, rain } });
};

const DAYS = { pitch: 40, icon: 26, gap: 16, bar: 132, thick: 8 } as const;

/** A day in each row: its picture, and a bar from its lowest to its highest. */
const layDays: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const name: LineStyle = { font: chosenFont(view.type, 'text'), size: 18, weight: 500 };
  const figure: LineStyle = { font: 'figures', size: 18, weight: 500 };
  const chance: LineStyle = { font: 'figures', size: 14, weight: 500, colour: 'softInk' };
  const names = sheet.room([...view.days.map((day) => day.name), 'Wed 28'], name);
  const figures = sheet.room([...view.days.flatMap(({ low, high }) => [low, high]), '−18°'], figure);
  const chances = sheet.room(['100 %'], chance);
  const iconX = names + DAYS.gap;
  const lowX = iconX + DAYS.icon + 8 + chances + DAYS.gap + figures;
  const barX = lowX + 12;
  const width = barX + DAYS.bar + 12 + figures;
  const days = view.days.map((day, index) => {
    const top = index * DAYS.pitch;
    sheet.middle(sheet.line(day.name, name), { left: 0 }, top, DAYS.pitch);
    sheet.middle(sheet.line(day.low, { ...figure, colour: 'softInk' }), { right: lowX }, top, DAYS.pitch);
    sheet.middle(sheet.line(day.high, figure), { right: width }, top, DAYS.pitch);
    if (day.chance)
      sheet.middle(sheet.line(day.chance, chance), { left: iconX + DAYS.icon + 8 }, top, DAYS.pitch);
    const y = top + (DAYS.pitch - DAYS.thick) / 2;
    const track = sheet.keep({ x: barX, y, width: DAYS.bar, height: DAYS.thick });
    const long = Math.max(DAYS.thick, (day.to - day.from) * DAYS.bar);
    return {
      icon: sheet.keep({
        x: iconX,
        y: top + (DAYS.pitch - DAYS.icon) / 2,
        width: DAYS.icon,
        height: DAYS.icon,
      }),
      track,
      bar: { ...track, x: Math.min(barX + day.from * DAYS.bar, barX + DAYS.bar - long), width: long },
    };
  });
  if (view.days.length === 0) sheet.middle(sheet.line('No forecast', name), { left: 0 }, 0, DAYS.pitch);
  sheet.keep({ x: 0, y: 0, width, height: Math.max(1, view.days.length) * DAYS.pitch });
  return sheet.lay({ ...NOTHING, days });
};

const SKY = { width: 360, height: 190, gap: 16 } as const;

/** A sky as it is, and under it what it is. */
const laySky: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const sky = sheet.keep({ x: 0, y: 0, width: SKY.width, height: SKY.height });
  const large: LineStyle = { font: chosenFont(view.type, 'display'), size: 44, weight: 400 };
  const top = bottom(sky) + SKY.gap;
  const line = sheet.line(view.temperature, large);
  const { baseline } = sheet.put(line, { left: 2 }, top + line.ink.top);
  const soft: LineStyle = { font: 'text', size: 20, weight: 400, colour: 'softInk' };
  sheet.put(sheet.line(view.title, soft), { right: SKY.width - 2 }, baseline);
  return sheet.lay({ ...NOTHING, sky });
};

const ROSE = { size: 212, inside: 36 } as const;

/** Where the wind comes from, on a ring of the compass; how strong it is in the middle. */
const layRose: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  const { size, inside } = ROSE;
  const soft: LineStyle = { font: 'text', size: 15, weight: 400, colour: 'softInk' };
  const below = { ...soft, size: 17 };
  // What stands under the rose may be wider; it stands over its middle then.
  const width = Math.max(size, sheet.room([view.gusts, view.pressure], below));
  const left = (width - size) / 2;
  const rose = sheet.keep({ x: left, y: 0, width: size, height: size });
  const [centre, middle] = [width / 2, size / 2];
  const letter: LineStyle = { font: 'text', size: 15, weight: 600, colour: 'softInk' };
  const around = [
    ['N', centre, inside],
    ['E', left + size - inside, middle],
    ['S', centre, size - inside],
    ['W', left + inside, middle],
  ] as const;
  for (const [text, x, y] of around) sheet.middle(sheet.line(text, letter), { centre: x }, y - 10, 20);
  const figure: LineStyle = { font: chosenFont(view.type, 'figures'), size: 46, weight: 500 };
  sheet.middle(sheet.line(view.wind.figure, figure), { centre }, middle - 34, 46);
  sheet.middle(sheet.line(`${view.wind.unit} ${view.from}`, soft), { centre }, middle + 14, 24);
  const under = sheet.under(sheet.line(view.gusts, below), { centre }, size + 14);
  sheet.under(sheet.line(view.pressure, below), { centre }, under + 8);
  sheet.keep({ x: 0, y: 0, width, height: 1 });
  return sheet.lay({ ...NOTHING, rose });
};

/** How each face is laid. */
export const weatherLayouts: Record<WeatherFace, Lay> = {
  line: layLine,
  hours: layHours,
  days: layDays,
  sky: laySky,
  rose: layRose,
};
