import type { WidgetContext } from '../../kinds/kind.ts';
import { setLine, type Fonts, type Layout, type LineStyle, type Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet, type Sheet } from '../../kinds/sheet.ts';
import type { Rect } from '../../values/geometry.ts';
import { blocksOf, type Block, type Span } from './marks.ts';
import type { NoteFace, NoteOptions } from './note.ts';

export interface NoteView {
  blocks: Block[];
  width: number;
  size: number;
  type: TypeChoice;
  colour: Paint;
  marks: Paint;
}

export interface NoteLayout extends Layout {
  /** Boxes of tasks, in the order of the text. */
  ticks: { rect: Rect; isTicked: boolean; title: string }[];
  dots: Rect[];
  /** Lines that the letters stand on. */
  rules: Rect[];
  /** The margin's line, or the corner that is turned down. */
  edge: Rect | null;
}

/** Lines that are laid; a note is not a book. */
const MOST_LINES = 120;
const EMPTY: Block = {
  kind: 'text',
  level: 0,
  spans: [{ text: 'Nothing written yet', isBold: false }],
  isTicked: null,
  number: null,
};

export function view(options: NoteOptions, _face: NoteFace, { textColour }: WidgetContext): NoteView {
  const { text, width, size, type, colour, marks } = options;
  const blocks = blocksOf(text);
  return {
    blocks: blocks.length > 0 ? blocks : [EMPTY],
    width,
    size,
    type,
    colour: textColour(colour),
    marks: textColour(marks),
  };
}

/** How wide a blank is. */
function blankOf(style: LineStyle, fonts: Fonts): number {
  return setLine('n n', style, fonts).width - 2 * setLine('n', style, fonts).width;
}

interface Words {
  text: string;
  style: LineStyle;
  width: number;
}

/** Words of several weights in lines no wider than `width`; a word that is wider is cut into what fits. */
function wrapSpans(spans: readonly Span[], style: LineStyle, fonts: Fonts, width: number): Words[][] {
  const lines: Words[][] = [[]];
  let at = 0;
  const gap = blankOf(style, fonts);
  const bold = { ...style, weight: style.weight + 300 };
  const widthOf = (text: string, own: LineStyle) => setLine(text, own, fonts).width;
  for (const { text, isBold } of spans) {
    const own = isBold ? bold : style;
    for (const word of text.split(/\s+/).filter(Boolean)) {
      for (const piece of widthOf(word, own) > width ? pieces(word, own, widthOf, width) : [word]) {
        const wide = widthOf(piece, own);
        if (at > 0 && at + gap + wide > width) {
          lines.push([]);
          at = 0;
        }
        lines.at(-1)?.push({ text: piece, style: own, width: wide });
        at += (at > 0 ? gap : 0) + wide;
      }
    }
  }
  return lines;
}

/** Words of one weight that follow one another are set as one. */
function joined(line: readonly Words[]): Pick<Words, 'text' | 'style'>[] {
  const sets: { words: string[]; style: LineStyle }[] = [];
  for (const { text, style } of line) {
    const last = sets.at(-1);
    if (last?.style === style) last.words.push(text);
    else sets.push({ words: [text], style });
  }
  return sets.map(({ words, style }) => ({ text: words.join(' '), style }));
}

/** As many letters at a time as find room. */
function pieces(
  word: string,
  style: LineStyle,
  widthOf: (text: string, style: LineStyle) => number,
  width: number,
): string[] {
  const letters = [...word];
  const found: string[] = [];
  while (letters.length > 0) {
    let many = letters.length;
    while (many > 1 && widthOf(letters.slice(0, many).join(''), style) > width) many = Math.ceil(many / 2);
    found.push(letters.splice(0, many).join(''));
  }
  return found;
}

const HEADINGS = [1.7, 1.35, 1.12] as const;
const LEADING = 1.5;

interface Frame {
  left: number;
  top: number;
  pitch: (size: number) => number;
}

function layBlocks(sheet: Sheet, view: NoteView, fonts: Fonts, { left, top, pitch }: Frame) {
  const { blocks, size, type, colour, width } = view;
  const text: LineStyle = { font: chosenFont(type, 'text'), size, weight: 400, colour };
  const ticks: NoteLayout['ticks'] = [];
  const dots: Rect[] = [];
  let y = top;
  let count = 0;
  const rows: number[] = [];
  for (const { kind, level, spans, isTicked, number } of blocks) {
    const isHeading = kind === 'heading';
    const large = size * (isHeading ? (HEADINGS[level - 1] ?? 1) : 1);
    const style: LineStyle = isHeading
      ? { font: chosenFont(type, 'display'), size: large, weight: 500, colour }
      : text;
    const high = pitch(large);
    if (isHeading && y > top) y += pitch(size) * 0.3;
    const indent = kind === 'item' ? left + size * (1.4 + level * 1.3) : left;
    const room = Math.max(size * 3, left + width - indent);
    const own = isTicked ? { ...style, colour: 'softInk' as const } : style;
    const gap = blankOf(style, fonts);
    wrapSpans(spans, own, fonts, room).forEach((line, index) => {
      if (++count > MOST_LINES) return;
      if (kind === 'item' && index === 0) {
        const side = Math.round(size * 0.78);
        const box = { x: indent - size * 1.32, y: y + (high - side) / 2, width: side, height: side };
        if (isTicked !== null)
          ticks.push({ rect: sheet.keep(box), isTicked, title: spans.map((span) => span.text).join('') });
        else if (number !== null)
          sheet.middle(sheet.line(`${number}.`, { ...text, colour: 'softInk' }), { left: box.x }, y, high);
        else {
          const dot = size * 0.24;
          dots.push(
            sheet.keep({ x: box.x + (side - dot) / 2, y: y + (high - dot) / 2, width: dot, height: dot }),
          );
        }
      }
      let x = indent;
      for (const words of joined(line)) {
        const set = sheet.line(words.text, words.style);
        sheet.middle(set, { left: x }, y, high);
        x += set.width + gap;
      }
      y += high;
      rows.push(y);
    });
  }
  return { ticks, dots, bottom: y, rows };
}

export function layout(view: NoteView, face: NoteFace, { fonts }: WidgetContext): NoteLayout {
  const sheet = createSheet(fonts);
  const { width, size } = view;
  const even = Math.round(size * LEADING);
  const left = face === 'margin' ? Math.round(size * 1.1) : 0;
  // On lines, every line of writing is as far from the next.
  const pitch =
    face === 'ruled'
      ? (large: number) => even * Math.ceil(large / size / 1.2)
      : (large: number) => large * LEADING;
  const { ticks, dots, bottom, rows } = layBlocks(sheet, view, fonts, { left, top: 0, pitch });
  sheet.keep({ x: 0, y: 0, width: left + width, height: bottom });
  const rules =
    face === 'ruled'
      ? rows.map((y) => ({ x: 0, y: y - Math.round(even * 0.14), width: left + width, height: 1 }))
      : [];
  const edge =
    face === 'margin'
      ? { x: 0, y: 0, width: 3, height: bottom }
      : face === 'leaf'
        ? { x: left + width - size, y: bottom - size, width: size, height: size }
        : null;
  return sheet.lay({ ticks, dots, rules, edge });
}
