import { cutLine, middleBaseline, putLine, setLine, type Fonts, type Run } from '../../kinds/layout.ts';
import { clamp, type Rect } from '../../values/geometry.ts';
import type { SceneMenuEntry } from '../scene.ts';
import type { Findable } from './entries.ts';

/** How the entries of a menu are laid: rows with an icon and a name, or icons alone. */
export interface RowStyle {
  width: number;
  height: number;
  iconSize: number;
  hasIcons: boolean;
  hasNames: boolean;
  /** A second line with what each is for. */
  hasComments: boolean;
  /** What each is, at its end. */
  hasNotes: boolean;
  fonts: Fonts;
}

/** Room at the ends of a row and between its icon and its name, px. */
const INSIDE = 16;
const LINES = 9;
/** Px of a name that are worth showing. */
const LEAST_NAME = 48;

/** The size of a name beside an icon of a size, px. */
export function nameSize(iconSize: number): number {
  return clamp(Math.round(iconSize * 0.66), 14, 28);
}

/** The height of a row, px. */
export function rowHeight(iconSize: number, hasComments: boolean): number {
  const words = nameSize(iconSize) * (hasComments ? 2.2 : 1.2);
  return Math.round(Math.max(iconSize, words) + INSIDE);
}

/** The width that an entry needs for its icon and some of its name, px. */
export function leastCell(iconSize: number, hasNames: boolean): number {
  return hasNames ? iconSize + 3 * INSIDE + LEAST_NAME : iconSize + INSIDE;
}

/** Px that a line between two groups takes, and that it keeps off the sides. */
const DIVIDER = 15;
const OFF_SIDES = 16;

/** Rows one beneath the other, with lines between groups of them. */
export function layRows(
  rows: readonly (Findable | 'line')[],
  style: RowStyle,
): { entries: SceneMenuEntry[]; lines: Rect[]; height: number } {
  const entries: SceneMenuEntry[] = [];
  const lines: Rect[] = [];
  let y = 0;
  for (const row of rows) {
    if (row === 'line') {
      const width = style.width - 2 * OFF_SIDES;
      lines.push({ x: OFF_SIDES, y: y + Math.floor(DIVIDER / 2), width, height: 1 });
      y += DIVIDER;
    } else {
      entries.push(layRow(row, { x: 0, y }, style));
      y += style.height;
    }
  }
  return { entries, lines, height: y };
}

/** An entry at a place among the others, px from the first one's corner. */
export function layRow(entry: Findable, at: { x: number; y: number }, style: RowStyle): SceneMenuEntry {
  const { width, height, iconSize, hasIcons } = style;
  // Too narrow for both, the icon stays.
  const hasNames = style.hasNames && width >= leastCell(hasIcons ? iconSize : 0, true);
  const rect: Rect = { x: at.x, y: at.y, width, height };
  const icon: Rect = {
    x: hasNames ? INSIDE : (width - iconSize) / 2,
    y: (height - iconSize) / 2,
    width: iconSize,
    height: iconSize,
  };
  return {
    key: entry.key,
    does: entry.does,
    name: entry.name,
    rect,
    icon: hasIcons ? { application: entry.application, name: entry.icon, rect: icon } : null,
    runs: hasNames ? rowTexts(entry, style) : [],
  };
}

function rowTexts(
  { name, comment, note }: Findable,
  { width, height, iconSize, hasIcons, hasComments, hasNotes, fonts }: RowStyle,
): Run[] {
  const size = nameSize(iconSize);
  const small = Math.max(12, Math.round(size * 0.75));
  const end = hasNotes
    ? setLine(note, { font: 'text', size: small, weight: 400, colour: 'softInk' }, fonts)
    : null;
  const left = INSIDE + (hasIcons ? iconSize + INSIDE : 0);
  const room = Math.max(8, width - left - INSIDE - (end ? end.width + INSIDE : 0));
  const first = cutLine(name, { font: 'text', size, weight: 400, colour: 'ink' }, fonts, room);
  const runs: Run[] = end ? [putLine(end, { right: width - INSIDE }, middleBaseline(end, 0, height))] : [];
  if (!hasComments || !comment) return [putLine(first, { left }, middleBaseline(first, 0, height)), ...runs];
  const second = cutLine(comment, { font: 'text', size: small, weight: 400, colour: 'softInk' }, fonts, room);
  const top = (height - (first.cap + LINES + second.cap)) / 2;
  return [
    putLine(first, { left }, top + first.cap),
    putLine(second, { left }, top + first.cap + LINES + second.cap),
    ...runs,
  ];
}
