import type { Rect } from '../values/geometry.ts';
import {
  middleBaseline,
  putLine,
  setLine,
  sizeAround,
  type Across,
  type Backing,
  type Fonts,
  type Layout,
  type Line,
  type LineStyle,
  type Paint,
  type Run,
} from './layout.ts';

/** A face while it is laid: what stands on it so far, and the room that all of it takes. */
export interface Sheet {
  /** Sets a line that waits for its place. */
  line(text: string, style: LineStyle): Line;
  /** The most that some texts come to in a style, px. */
  room(texts: readonly string[], style: LineStyle): number;
  /** Puts a line by its ink and its line of writing. */
  put(line: Line, across: Across, baseline: number): Run;
  /** Puts a line so that capitals stand in the middle of a stretch from `top`. */
  middle(line: Line, across: Across, top: number, height: number): Run;
  /** Puts a line with its ink beginning at `top`; says where it ends. */
  under(line: Line, across: Across, top: number): number;
  /** Keeps room for something drawn, or for what a text may come to. */
  keep<R extends Rect>(rect: R): R;
  /** Says what is drawn beneath the texts at a place; it takes no room. */
  back(rect: Rect, colour: Paint, opacity: number): void;
  /** All of it, as large as what stands on it. */
  lay<More extends object>(more: More): Layout & More;
}

export function createSheet(fonts: Fonts): Sheet {
  const runs: Run[] = [];
  const taken: Rect[] = [];
  const backings: Backing[] = [];
  const sheet: Sheet = {
    line: (text, style) => setLine(text, style, fonts),
    room: (texts, style) => Math.ceil(Math.max(0, ...texts.map((text) => setLine(text, style, fonts).room))),
    put(line, across, baseline) {
      const run = putLine(line, across, baseline);
      runs.push(run);
      taken.push(run.ink);
      return run;
    },
    middle: (line, across, top, height) => sheet.put(line, across, middleBaseline(line, top, height)),
    under(line, across, top) {
      const { ink } = sheet.put(line, across, top + line.ink.top);
      return ink.y + ink.height;
    },
    keep(rect) {
      taken.push(rect);
      return rect;
    },
    back: (rect, colour, opacity) => void backings.push({ rect, colour, opacity }),
    lay: (more) => ({ size: sizeAround(taken), runs, ...(backings.length > 0 && { backings }), ...more }),
  };
  return sheet;
}
