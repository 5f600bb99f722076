import type { WidgetContext } from '../../kinds/kind.ts';
import {
  cutLine,
  fitLine,
  type Fonts,
  type Inked,
  type Layout,
  type Line,
  type LineStyle,
  type Paint,
} from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet, type Sheet } from '../../kinds/sheet.ts';
import { coverOf, type Cover } from '../../sources/sound/cover.ts';
import { onNow } from '../../sources/sound/on-now.ts';
import { positionAt } from '../../sources/sound/sound.ts';
import { sourceOf } from '../../sources/sound/schema.ts';
import type { Rect } from '../../values/geometry.ts';
import type { PlayerFace, PlayerOptions } from './player.ts';

export interface PlayerView {
  title: string;
  /** Who made it and where it is from, in one line. */
  beside: string;
  /** s */
  position: number;
  seconds: number;
  isHeard: boolean;
  /** It stands still. */
  isPaused: boolean;
  cover: Cover | null;
  /** Where its sound lies; null where nothing is on. */
  source: string | null;
  width: number;
  hasButtons: boolean;
  hasTimes: boolean;
  align: 'left' | 'centre';
  type: TypeChoice;
  colour: Paint;
}

export type PlayerAct = 'before' | 'turn' | 'next';

export interface PlayerLayout extends Layout {
  cover: Rect | null;
  /** A bar, or the wave of the whole piece, in which a press goes to a place of it. */
  bar: Rect | null;
  isWave: boolean;
  buttons: { act: PlayerAct; rect: Rect }[];
}

const NOTHING = 'Nothing is on';

export function view(
  options: PlayerOptions,
  _face: PlayerFace,
  { readings, textColour }: WidgetContext,
): PlayerView {
  const { width, buttons, times, align, type, colour } = options;
  const now = onNow(readings);
  const { track, isHeard, paused } = now;
  return {
    title: track ? track.title || 'Without a title' : NOTHING,
    beside: track ? [track.by, track.album].filter(Boolean).join('  ·  ') : '',
    position: Math.floor(positionAt(now, readings.moment)),
    seconds: track?.seconds ?? 0,
    isHeard,
    isPaused: paused !== null,
    cover: track && coverOf(track),
    source: track && sourceOf(track),
    width,
    hasButtons: buttons,
    hasTimes: times,
    align,
    type,
    colour: textColour(colour),
  };
}

/** Minutes and seconds; hours where there are some. */
export function clockOf(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const [hours, minutes] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60];
  const rest = String(whole % 60).padStart(2, '0');
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}

type Lay = (view: PlayerView, fonts: Fonts) => PlayerLayout;

/** How much smaller a title is set before it is cut. */
const LEAST = 0.74;

/** A title, smaller where it would be cut. */
function fitted(text: string, style: LineStyle, fonts: Fonts, width: number): Line {
  return fitLine(text, style, fonts, width, LEAST);
}

const BUTTON = 34;
const acts = ['before', 'turn', 'next'] as const;

/** The three buttons in a row, as long as they are wanted. */
function putButtons(
  sheet: Sheet,
  { hasButtons }: PlayerView,
  left: number,
  top: number,
  size = BUTTON,
): PlayerLayout['buttons'] {
  if (!hasButtons) return [];
  return acts.map((act, index) => ({
    act,
    rect: sheet.keep({ x: left + index * (size + 8), y: top, width: size, height: size }),
  }));
}
const buttonsWide = ({ hasButtons }: PlayerView, size = BUTTON) => (hasButtons ? 3 * size + 16 : 0);

const soft = (type: TypeChoice, size: number): LineStyle => ({
  font: chosenFont(type, 'text'),
  size,
  weight: 400,
  colour: 'softInk',
});
const times = (size: number): LineStyle => ({ font: 'figures', size, weight: 400, colour: 'softInk' });

const CARD = { cover: 132, gap: 20, bar: 5 } as const;

const layCard: Lay = (view, fonts) => {
  const { title, beside, position, seconds, width, hasTimes, type } = view;
  const sheet = createSheet(fonts);
  const { cover, gap, bar } = CARD;
  const left = cover + gap;
  const room = Math.max(80, width - left);
  const rect = sheet.keep({ x: 0, y: 0, width: cover, height: cover });
  sheet.middle(
    fitted(title, { font: chosenFont(type, 'display'), size: 25, weight: 500 }, fonts, room),
    { left },
    2,
    34,
  );
  sheet.middle(cutLine(beside, soft(type, 17), fonts, room), { left }, 36, 24);
  const line = sheet.keep({ x: left, y: 76, width: room, height: bar });
  const bottom = cover - BUTTON;
  const buttons = putButtons(sheet, view, left, bottom);
  if (hasTimes) {
    const style = times(15);
    const told = sheet.line(`${clockOf(position)} / ${clockOf(seconds)}`, style);
    // Where they have no room beside one another, the time gives way.
    if (told.room + buttonsWide(view) + 12 <= room)
      sheet.middle(told, { right: left + room }, bottom, BUTTON);
  }
  sheet.keep({ x: 0, y: 0, width: left + room, height: cover });
  return sheet.lay({ cover: rect, bar: line, isWave: false, buttons });
};

const layLine: Lay = (view, fonts) => {
  const { title, beside, position, seconds, width, hasTimes, type } = view;
  const sheet = createSheet(fonts);
  const high = 34;
  const buttons = putButtons(sheet, view, 0, 0, 30);
  const left = buttons.length > 0 ? buttonsWide(view, 30) + 14 : 0;
  const told = hasTimes ? sheet.line(`${clockOf(position)} / ${clockOf(seconds)}`, times(16)) : null;
  const room = Math.max(60, width - left - (told ? told.room + 16 : 0));
  const words = [title, beside].filter(Boolean).join('  –  ');
  sheet.middle(
    cutLine(words, { font: chosenFont(type, 'text'), size: 19, weight: 500 }, fonts, room),
    { left },
    0,
    30,
  );
  if (told) sheet.middle(told, { right: width }, 0, 30);
  const bar = sheet.keep({ x: 0, y: high + 4, width, height: 3 });
  return sheet.lay({ cover: null, bar, isWave: false, buttons });
};

const WAVE = { high: 84 } as const;

const layWave: Lay = (view, fonts) => {
  const { title, beside, position, seconds, width, hasTimes, type } = view;
  const sheet = createSheet(fonts);
  const room = width - (view.hasButtons ? buttonsWide(view) + 16 : 0);
  sheet.middle(
    fitted(title, { font: chosenFont(type, 'text'), size: 21, weight: 600 }, fonts, room),
    { left: 0 },
    0,
    28,
  );
  sheet.middle(cutLine(beside, soft(type, 16), fonts, room), { left: 0 }, 28, 22);
  const buttons = putButtons(sheet, view, width - buttonsWide(view), 8);
  const bar = sheet.keep({ x: 0, y: 62, width, height: WAVE.high });
  if (hasTimes) {
    const top = 62 + WAVE.high + 6;
    sheet.middle(sheet.line(clockOf(position), times(15)), { left: 0 }, top, 22);
    sheet.middle(sheet.line(clockOf(seconds), times(15)), { right: width }, top, 22);
  }
  return sheet.lay({ cover: null, bar, isWave: true, buttons });
};

/** The title in large type, and under it what stands beside it, over the whole width. */
function putTitle(
  sheet: Sheet,
  { title, beside, width, align, type }: PlayerView,
  fonts: Fonts,
  [large, small]: readonly [LinePlace, LinePlace],
): void {
  const across = align === 'centre' ? { centre: width / 2 } : { left: 0 };
  const style: LineStyle = { font: chosenFont(type, 'display'), size: large.size, weight: 400 };
  sheet.keep({ x: 0, y: 0, width, height: 1 });
  sheet.middle(fitted(title, style, fonts, width), across, large.top, large.height);
  sheet.middle(cutLine(beside, soft(type, small.size), fonts, width), across, small.top, small.height);
}

/** All in px; a line stands in the middle of its height. */
interface LinePlace {
  size: number;
  top: number;
  height: number;
}

const layLarge: Lay = (view, fonts) => {
  const { position, seconds, width, hasTimes, align } = view;
  const sheet = createSheet(fonts);
  putTitle(sheet, view, fonts, [
    { size: 58, top: 0, height: 72 },
    { size: 21, top: 74, height: 30 },
  ]);
  const bar = sheet.keep({ x: 0, y: 118, width, height: 3 });
  const buttons = putButtons(sheet, view, align === 'centre' ? (width - buttonsWide(view)) / 2 : 0, 134);
  if (hasTimes) {
    const told = sheet.line(`${clockOf(position)} / ${clockOf(seconds)}`, times(17));
    const isFree = align === 'left' && told.room + buttonsWide(view) + 12 <= width;
    if (isFree || buttons.length === 0) sheet.middle(told, { right: width }, 134, BUTTON);
  }
  return sheet.lay({ cover: null, bar, isWave: false, buttons });
};

const layOnly: Lay = (view, fonts) => {
  const sheet = createSheet(fonts);
  putTitle(sheet, view, fonts, [
    { size: 34, top: 0, height: 44 },
    { size: 19, top: 46, height: 26 },
  ]);
  return sheet.lay({ cover: null, bar: null, isWave: false, buttons: [] });
};

const layouts: Record<PlayerFace, Lay> = {
  card: layCard,
  line: layLine,
  wave: layWave,
  large: layLarge,
  only: layOnly,
};

export function layout(seen: PlayerView, face: PlayerFace, { fonts }: WidgetContext): PlayerLayout {
  return layouts[face](seen, fonts);
}

export const inked = ({ colour }: PlayerView, { buttons }: PlayerLayout): Inked[] =>
  buttons.map(({ act, rect }) => ({ what: 'Its buttons', rect, colour: act === 'turn' ? colour : 'ink' }));
