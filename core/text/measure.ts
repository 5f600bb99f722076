import { MOST_TEXTS, letterWidth, signOf, type Cut, type DeskFont, type Ink } from './cuts.ts';

/** How a run of text is set, before the desk's own size, weight and spacing come to it. `spacing` is in em. */
export interface TextStyle {
  font: DeskFont;
  size: number;
  weight: number;
  spacing?: number;
}

/** What a style comes to under the desk's font: px, weight, and letter spacing in em. */
export function setStyle({ font, size, weight, spacing = 0 }: TextStyle): {
  size: number;
  weight: number;
  spacing: number;
} {
  return {
    size: (size * font.size) / 100,
    weight: Math.max(1, Math.min(1000, weight + font.weight)),
    spacing: spacing + font.spacing / 100,
  };
}

/**
 * Width in px of one line as the page sets it: at the optical size that belongs to its size, with kerning, and in what
 * the page falls back to where the family lacks a letter. Within 2 % of the page in every shipped family.
 */
export function textWidth(text: string, style: TextStyle): number {
  const { size, weight, spacing } = setStyle(style);
  const cut = style.font.book.cut(style.font, weight, size);
  return (emWidth(text, cut) + spacing * text.length) * size;
}

/** The same with every figure as wide as the widest: room in which a time or a reading can change. */
export function steadyWidth(text: string, style: TextStyle): number {
  const { size, weight, spacing } = setStyle(style);
  const cut = style.font.book.cut(style.font, weight, size);
  let steady = cut.steady.get(text);
  if (steady === undefined) {
    if (cut.steady.size >= MOST_TEXTS) cut.steady.clear();
    cut.steady.set(text, (steady = emWidth(text.replace(/\d/g, cut.widestFigure), cut)));
  }
  return (steady + spacing * text.length) * size;
}

function emWidth(text: string, cut: Cut): number {
  let width = cut.texts.get(text);
  if (width === undefined) {
    if (cut.texts.size >= MOST_TEXTS) cut.texts.clear();
    width = addAdvances(text, cut);
    cut.texts.set(text, width);
  }
  return width;
}

function addAdvances(text: string, cut: Cut): number {
  const isKerned = cut.metrics.kerning !== undefined;
  let em = 0;
  let before = -1;
  for (const letter of text.normalize('NFC')) {
    em += letterWidth(letter, cut);
    if (!isKerned) continue;
    const here = signOf(letter);
    em += cut.kern(before, here) / 1000;
    before = here;
  }
  return em;
}

/** How high a capital of a style stands, px. */
export function capHeight(style: TextStyle): number {
  return (
    style.font.book.cut(style.font, setStyle(style).weight, setStyle(style).size).ink('top', signOf('H')) *
    setStyle(style).size
  );
}

const FIGURES = [...'0123456789'].map(signOf);
/** Letters reach as high and as deep as these, whichever letters they are: a name is as tall as the next. */
const TALL = [...'Hl'].map(signOf);
const DEEP = [...'p'].map(signOf);
/** Em that a mark above or below adds to a letter, at most. */
const MARK = 0.24;

/**
 * Where the ink of one line ends, px. It holds still while figures change (all ten count wherever one stands), and
 * letters reach from the tallest to the deepest of the family whichever they are.
 */
export function inkOf(text: string, style: TextStyle): Ink {
  const { size, weight, spacing } = setStyle(style);
  const cut = style.font.book.cut(style.font, weight, size);
  let ink = cut.inks.get(text);
  if (!ink) {
    if (cut.inks.size >= MOST_TEXTS) cut.inks.clear();
    cut.inks.set(text, (ink = findInk(text, cut)));
  }
  return {
    left: ink.left * size,
    // Spacing stands after the last letter too.
    right: (ink.right + spacing) * size,
    top: ink.top * size,
    bottom: ink.bottom * size,
  };
}

function findInk(text: string, cut: Cut): Ink {
  const letters = [...text.normalize('NFC').trim()];
  const ends = (letter: string | undefined, side: 'left' | 'right') =>
    letter === undefined ? 0 : Math.min(...likeOf(letter).map((sign) => cut.ink(side, sign)));
  const mark = letters.some(isMarked) ? MARK : 0;
  const most = (side: 'top' | 'bottom') => {
    const signs = new Set(letters.flatMap((letter) => likeOf(letter, side)));
    return Math.max(0, ...Array.from(signs, (sign) => cut.ink(side, sign))) + mark;
  };
  return {
    left: ends(letters[0], 'left'),
    right: ends(letters.at(-1), 'right'),
    top: most('top'),
    bottom: most('bottom'),
  };
}

/** The signs that count where a letter stands: any figure for a figure; the tallest and the deepest for a letter. */
function likeOf(letter: string, side?: 'top' | 'bottom'): number[] {
  if (/\d/.test(letter)) return FIGURES;
  const own = signOf(letter);
  if (side === undefined || !/\p{L}/u.test(letter)) return [own];
  return side === 'top' ? [own, ...TALL] : [own, ...DEEP];
}

function isMarked(letter: string): boolean {
  return letter.charCodeAt(0) > 0x7f && /\p{M}/u.test(letter.normalize('NFD'));
}
