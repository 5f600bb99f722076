import { expressionWork } from '../../expressions/learn.ts';
import { saidOf, tellingOf } from '../../expressions/telling.ts';
import type { WidgetContext } from '../../kinds/kind.ts';
import { wrap, type Layout, type LineStyle, type Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { Rect } from '../../values/geometry.ts';
import type { ReadoutFace, ReadoutOptions } from './readout.ts';

export interface ReadoutView {
  lines: string[];
  width: number;
  align: 'left' | 'centre' | 'right';
  type: TypeChoice;
  colour: Paint;
}

export interface ReadoutLayout extends Layout {
  /** The line along the text, in the colour of the text; null on other faces. */
  rule: Rect | null;
  colour: Paint;
}

/** A readout is a few lines. */
const MOST_LINES = 40;
const MOST_IN_LINE = 300;

export function view(options: ReadoutOptions, _face: ReadoutFace, context: WidgetContext): ReadoutView {
  const { text, width, align, type, colour, turns, turned } = options;
  const hasTurned =
    turns.trim() !== '' &&
    expressionWork(context.readings.library)?.holds(turns, tellingOf(context, options)) === true;
  const lines = saidOf(text, context, options)
    .split('\n')
    .slice(0, MOST_LINES)
    .map((line) => line.slice(0, MOST_IN_LINE));
  return { lines, width, align, type, colour: context.textColour(hasTurned ? turned : colour) };
}

/** How far a line of writing stands under the one before, in sizes of the font. */
const LEADING = 1.36;
const RULE = { thick: 4, gap: 16 } as const;

const styles: Record<ReadoutFace, { first: LineStyle; rest: LineStyle }> = {
  plain: {
    first: { font: 'text', size: 24, weight: 400 },
    rest: { font: 'text', size: 24, weight: 400 },
  },
  headline: {
    first: { font: 'display', size: 52, weight: 400 },
    rest: { font: 'text', size: 21, weight: 400 },
  },
  ruled: {
    first: { font: 'text', size: 22, weight: 600 },
    rest: { font: 'text', size: 20, weight: 400 },
  },
  plate: {
    first: { font: 'figures', size: 24, weight: 500 },
    rest: { font: 'figures', size: 18, weight: 400 },
  },
};

export function layout(seen: ReadoutView, face: ReadoutFace, { fonts }: WidgetContext): ReadoutLayout {
  const { align, type, colour, width } = seen;
  const sheet = createSheet(fonts);
  const { first, rest } = styles[face];
  const set = (style: LineStyle): LineStyle => ({
    ...style,
    font: chosenFont(type, style.font as 'text'),
    colour,
  });
  const lines = seen.lines.flatMap((text, index) => {
    const style = set(index === 0 ? first : rest);
    const some = width > 0 && text !== '' ? wrap(text, style, fonts, width) : [sheet.line(text, style)];
    return some.map((line) => ({ line, size: line.run.size }));
  });
  const left = face === 'ruled' ? RULE.thick + RULE.gap : 0;
  const room = Math.max(width, ...lines.map(({ line }) => Math.ceil(line.room)), 1);
  let baseline = 0;
  lines.forEach(({ line, size }, index) => {
    baseline += index === 0 ? line.cap + size * 0.14 : size * LEADING;
    // A blank line is a space between the others.
    if (line.run.text.trim() === '') return;
    const across =
      align === 'left' ? { left } : align === 'right' ? { right: left + room } : { centre: left + room / 2 };
    sheet.put(line, across, baseline);
  });
  sheet.keep({ x: 0, y: 0, width: left + room, height: 1 });
  const { size, runs } = sheet.lay({});
  const rule = face === 'ruled' ? { x: 0, y: 0, width: RULE.thick, height: size.height } : null;
  return { size, runs, rule, colour };
}
