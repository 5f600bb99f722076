import type { Terminal } from '../../colour/schema.ts';
import {
  cutLine,
  middleBaseline,
  putLine,
  setLine,
  type Across,
  type Fonts,
  type LineStyle,
  type Paint,
  type Run,
} from '../../kinds/layout.ts';
import type { SoundReading } from '../../sources/sound/sound.ts';
import type { Track } from '../../sources/sound/schema.ts';
import type { Colour } from '../../values/roles.ts';
import type { Rect, Size } from '../../values/geometry.ts';

/** A plain rectangle of a content, px from its corner. */
interface Box {
  rect: Rect;
  colour: Paint;
  /** 0 to 1 */
  opacity: number;
  radius: number;
}

/** An outline of a content, as SVG path data in px from its corner. */
interface Outline {
  path: string;
  colour: Paint;
  opacity: number;
  /** px; filled where there is none. */
  stroke: number | null;
}

/** What pressing a place of a content does. */
export type ContentDoes =
  | { by: 'choose'; row: number }
  | { by: 'turn'; index: number }
  | { by: 'sound'; act: 'turn' | 'next' | 'before' }
  | { by: 'track'; id: string };

export interface ContentPress {
  rect: Rect;
  label: string;
  does: ContentDoes;
  /** Of a switch, whether it is on; of a row, whether it is chosen; null for what only happens. */
  isOn: boolean | null;
}

/** The inside of a window: drawn in this order, outlines and boxes beneath the texts. */
export interface Content {
  boxes: readonly Box[];
  outlines: readonly Outline[];
  runs: readonly Run[];
  presses: readonly ContentPress[];
  /** How many rows arrows walk through; 0 where there are none. */
  rows: number;
}

/** What a content is laid from. */
export interface ContentContext {
  size: Size;
  fonts: Fonts;
  /** A colour as text on the window's surface, and as it is. */
  textColour(colour: Colour): Paint;
  plainColour(colour: Colour): Paint;
  terminal: Terminal;
  chosen: number;
  turned: readonly number[];
  /** What is on, and what is on the list. */
  sound: SoundReading;
  /** s into it */
  position: number;
  tracks: readonly Track[];
}

/** A content while it is laid. What lies outside of the window is left away, what crosses its side is cut by it. */
export function createPage({ size, fonts, textColour, plainColour }: ContentContext) {
  const boxes: Box[] = [];
  const outlines: Outline[] = [];
  const runs: Run[] = [];
  const presses: ContentPress[] = [];
  const isIn = (rect: Rect) =>
    rect.x < size.width && rect.y < size.height && rect.x + rect.width > 0 && rect.y + rect.height > 0;
  return {
    size,
    textColour,
    plainColour,
    box(rect: Rect, colour: Paint, { opacity = 1, radius = 0 } = {}) {
      if (isIn(rect)) boxes.push({ rect, colour, opacity, radius });
    },
    outline(path: string, colour: Paint, { opacity = 1, stroke = null as number | null } = {}) {
      outlines.push({ path, colour, opacity, stroke });
    },
    /** A line in the middle of a stretch, cut where it has no room; one that would not be whole is left away. */
    text(words: string, style: LineStyle, across: Across, top: number, height: number, room = size.width) {
      if (room < style.size || top < -1 || top + height > size.height + 1) return;
      const line = cutLine(words, style, fonts, room);
      // Not even one letter has room.
      if (line.width > room + 0.5) return;
      runs.push(putLine(line, across, middleBaseline(line, top, height)));
    },
    /** How wide some words come to be, px. */
    width: (words: string, style: LineStyle) => setLine(words, style, fonts).width,
    press(rect: Rect, label: string, does: ContentDoes, isOn: boolean | null = null) {
      if (isIn(rect)) presses.push({ rect, label, does, isOn });
    },
    lay: (rows = 0): Content => ({ boxes, outlines, runs, presses, rows }),
  };
}
export type Page = ReturnType<typeof createPage>;

export const text = (size: number, more: Partial<LineStyle> = {}): LineStyle => ({
  font: 'text',
  size,
  weight: 400,
  ...more,
});
export const figures = (size: number, more: Partial<LineStyle> = {}): LineStyle => ({
  font: 'figures',
  size,
  weight: 400,
  ...more,
});

/** Px around a content, and between a row's end and what stands in it. */
export const AROUND = 20;

/** Puts a row that can be chosen; where it is, it is marked. */
export function row(page: Page, index: number, rect: Rect, label: string, isChosen: boolean): void {
  if (isChosen) {
    page.box(rect, page.plainColour('accent'), { opacity: 0.16, radius: 5 });
    page.box({ ...rect, width: 2 }, page.plainColour('accent'));
  }
  page.press(rect, label, { by: 'choose', row: index }, isChosen);
}
