import type { Surface } from '../colour/look.ts';
import { inkOf, capHeight, setStyle, steadyWidth, textWidth } from '../text/measure.ts';
import type { DeskFont, Ink } from '../text/cuts.ts';
import { uses, type Use } from '../text/schema.ts';
import type { ShippedFamily } from '../values/family.ts';
import { bottom, right, type Rect, type Size } from '../values/geometry.ts';
import { isRole, type Role } from '../values/roles.ts';

/**
 * The inside of a part is laid out once, here in the core: its size, the judging of its texts and its drawing all read
 * the same runs and boxes. All lengths are px at scale 1, from the top left of what the part shows.
 */

export type Fonts = Readonly<Record<Use, DeskFont>>;

/** A use of the desk's type, or a family of the part's own. */
export type FontName = Use | ShippedFamily;

/** A role as it can be read on the surface that the part stands on, or #rrggbb, which stays what it is. */
export type Paint = Role | `#${string}`;

/** A paint as #rrggbb. */
export function paintOn(surface: Surface, paint: Paint): string {
  return isRole(paint) ? surface.reads[paint] : paint;
}

/** One line of text in one setting. */
export interface Run {
  text: string;
  /** Where the pen starts. */
  x: number;
  /** The line of writing. */
  baseline: number;
  font: FontName;
  /** As set, the desk's own size, weight and spacing (em) included. */
  size: number;
  weight: number;
  spacing: number;
  colour: Paint;
  /** What the eye sees: from the tallest to the deepest letter, without the room that fonts keep around them. */
  ink: Rect;
}

/** A plain ground that a drawing lays beneath its own texts. */
export interface Backing {
  rect: Rect;
  colour: Paint;
  /** 0 to 1 */
  opacity: number;
}

/** Something drawn that is no text and says something: a sign, an icon, a mark. */
export interface Inked {
  /** What it is, as a sentence names it. */
  what: string;
  rect: Rect;
  colour: Paint;
}

export interface Layout {
  size: Size;
  runs: readonly Run[];
  /** What texts stand on beside the part's own surface. */
  backings?: readonly Backing[];
  /** A line that goes on beyond its end: from where it is seen, and how far it goes on, px. It passes in use. */
  passes?: { from: number; beyond: number } | null;
  /** What is told while it is pointed at, where the part itself is not. */
  told?: Run | null;
}

/** How a line is set, before the desk's own size, weight and spacing come to it. */
export interface LineStyle {
  font: FontName;
  size: number;
  weight: number;
  /** em */
  spacing?: number;
  colour?: Paint;
}

/** A line that was set and waits for its place. */
export interface Line {
  run: Omit<Run, 'x' | 'baseline' | 'ink'>;
  ink: Ink;
  /** Of the ink: as it is, and with every figure as wide as the widest, which is the room that it is given. */
  width: number;
  room: number;
  /** How high a capital stands. */
  cap: number;
}

/** The font of a name, for measuring. */
function fontNamed(name: FontName, fonts: Fonts): DeskFont {
  const { book } = fonts.text;
  return isUse(name) ? fonts[name] : { family: name, size: 100, weight: 0, spacing: 0, metrics: null, book };
}

export function isUse(name: string): name is Use {
  return (uses as readonly string[]).includes(name);
}

/** Lines that were set, by their text and style, for each set of fonts: most are the same a second later. */
const known = new WeakMap<Fonts, { version: number; lines: Map<string, Line> }>();
const MOST_LINES = 4000;

/** Sets a line. The very same line for the same text, style and fonts. */
export function setLine(text: string, style: LineStyle, fonts: Fonts): Line {
  const lines = linesUnder(fonts);
  const key = keyOf(text, style);
  let line = lines.get(key);
  if (!line) lines.set(key, (line = setAnew(text, style, fonts)));
  return line;
}

function linesUnder(fonts: Fonts): Map<string, Line> {
  const { version } = fonts.text.book;
  const before = known.get(fonts);
  if (before?.version === version && before.lines.size <= MOST_LINES) return before.lines;
  const lines = new Map<string, Line>();
  known.set(fonts, { version, lines });
  return lines;
}

function keyOf(text: string, { font, size, weight, spacing = 0, colour = 'ink' }: LineStyle): string {
  return `${text}|${font}|${size}|${weight}|${spacing}|${colour}`;
}

function setAnew(
  text: string,
  { font, size, weight, spacing = 0, colour = 'ink' }: LineStyle,
  fonts: Fonts,
): Line {
  const style = { font: fontNamed(font, fonts), size, weight, spacing };
  const ink = inkOf(text, style);
  const around = ink.left + ink.right;
  return {
    run: { text, font, colour, ...setStyle(style) },
    ink,
    width: Math.max(0, textWidth(text, style) - around),
    room: Math.max(0, steadyWidth(text, style) - around),
    cap: capHeight(style),
  };
}

/** Where along a line of writing a line stands, by its ink. */
export type Across =
  | { left: number; centre?: undefined; right?: undefined }
  | { left?: undefined; centre: number; right?: undefined }
  | { left?: undefined; centre?: undefined; right: number };

/** Puts a line in its place. */
export function putLine(
  { run, ink, width }: Line,
  { left, centre, right: end }: Across,
  baseline: number,
): Run {
  const at = left ?? (centre === undefined ? (end ?? 0) - width : centre - width / 2);
  // Field by field: this runs for every text of a desk, each second.
  return {
    text: run.text,
    x: at - ink.left,
    baseline,
    font: run.font,
    size: run.size,
    weight: run.weight,
    spacing: run.spacing,
    colour: run.colour,
    ink: { x: at, y: baseline - ink.top, width, height: ink.top + ink.bottom },
  };
}

/** The line of writing on which capitals stand in the middle of a stretch. */
export function middleBaseline({ cap }: Line, from: number, length: number): number {
  return from + (length + cap) / 2;
}

/** Around everything, in whole px. */
export function sizeAround(rects: readonly Rect[]): Size {
  return {
    width: Math.ceil(Math.max(0, ...rects.map(right)) - TINY),
    height: Math.ceil(Math.max(0, ...rects.map(bottom)) - TINY),
  };
}
/** What floating point alone adds. */
const TINY = 1e-6;

/** The room of a line as a rectangle: its ink, as wide as it can become. */
export function roomOf({ ink, room }: Line, { left, baseline }: { left: number; baseline: number }): Rect {
  return { x: left, y: baseline - ink.top, width: room, height: ink.top + ink.bottom };
}

/** Words in as many lines as a width asks for; a word that is wider than it stands alone. */
export function wrap(text: string, style: LineStyle, fonts: Fonts, width: number): Line[] {
  const lines: Line[] = [];
  let words: string[] = [];
  for (const word of text.split(' ')) {
    const longer = setLine([...words, word].join(' '), style, fonts);
    if (words.length > 0 && longer.width > width) {
      lines.push(setLine(words.join(' '), style, fonts));
      words = [word];
    } else {
      words.push(word);
    }
  }
  return [...lines, setLine(words.join(' '), style, fonts)];
}

/** A line no wider than it may be: where the text is, its end gives way to an ellipsis. */
export function cutLine(text: string, style: LineStyle, fonts: Fonts, width: number): Line {
  const whole = setLine(text, style, fonts);
  if (whole.width <= width) return whole;
  const lines = linesUnder(fonts);
  const key = `${keyOf(text, style)}|${width}`;
  let cut = lines.get(key);
  if (!cut) lines.set(key, (cut = cutAnew(text, style, fonts, width)));
  return cut;
}

function cutAnew(text: string, style: LineStyle, fonts: Fonts, width: number): Line {
  const letters = [...text];
  let [fits, tooMany] = [0, letters.length];
  while (tooMany - fits > 1) {
    const many = (fits + tooMany) >> 1;
    if (setLine(cutAt(letters, many), style, fonts).width <= width) fits = many;
    else tooMany = many;
  }
  return setLine(cutAt(letters, fits), style, fonts);
}

/** A line no wider than it may be: set smaller, down to a share of its size, and cut only where that is not enough. */
export function fitLine(text: string, style: LineStyle, fonts: Fonts, width: number, least: number): Line {
  const whole = setLine(text, style, fonts);
  if (whole.width <= width) return whole;
  const size = Math.max(style.size * least, Math.floor((style.size * width) / whole.width));
  return cutLine(text, { ...style, size }, fonts, width);
}

function cutAt(letters: readonly string[], many: number): string {
  return `${letters.slice(0, many).join('').trimEnd()}…`;
}
