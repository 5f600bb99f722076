import { cutLine, middleBaseline, putLine, type Fonts, type Paint, type Run } from '../kinds/layout.ts';
import type { Rect, Size } from '../values/geometry.ts';
import type { WindowButton } from '../values/window-buttons.ts';
import type { WindowHabit, Windows } from './schema.ts';

/** The frame of a window, in px from the window's corner. What it lays is drawn, pressed and judged. */
export interface Frame {
  /** The strip that the title stands on; null where there is none. */
  title: Rect | null;
  name: Run | null;
  buttons: { does: WindowButton; rect: Rect }[];
  line: Rect | null;
  /** What is inside the border, beneath the line. */
  body: Rect;
  border: number;
}

/** Px between the side of a title and what stands on it, and between its name and the buttons. */
const INSIDE = 14;
/** A button can be pressed this far around its sign, px. */
const AROUND = 6;

interface Shown {
  size: Size;
  name: string;
  isFilled: boolean;
  /** What a habit of the application leaves of the frame. */
  keeps: WindowHabit['frame'];
  colour: Paint;
  fonts: Fonts;
}

export function layFrame({ title, lines, buttons }: Windows, shown: Shown): Frame {
  const { size, isFilled, keeps, name, colour, fonts } = shown;
  const hasTitle =
    keeps === 'desk' && (title.shown === 'always' || (title.shown === 'unfilled' && !isFilled));
  const border = keeps === 'none' || isFilled ? 0 : lines.border;
  const thick = keeps === 'none' ? 0 : lines.line;
  const height = hasTitle ? Math.min(title.height, size.height - thick) : 0;
  const reach = isFilled ? 0 : lines.reach;
  const signs = hasTitle ? placeButtons(buttons, { width: size.width, height }) : [];
  return {
    title: hasTitle ? { x: 0, y: 0, width: size.width, height } : null,
    name: hasTitle ? placeName(title, signs, { name, colour, fonts, width: size.width, height }) : null,
    buttons: signs,
    line: thick > 0 ? { x: -reach, y: height, width: size.width + 2 * reach, height: thick } : null,
    body: {
      x: border,
      y: height + thick,
      width: Math.max(0, size.width - 2 * border),
      height: Math.max(0, size.height - height - thick - border),
    },
    border,
  };
}

function placeButtons({ list, side, size, spacing }: Windows['buttons'], title: Size): Frame['buttons'] {
  const length = list.length * size + (list.length - 1) * spacing;
  const start = side === 'left' ? INSIDE : title.width - INSIDE - length;
  return list.map(({ does }, index) => ({
    does,
    rect: {
      x: start + index * (size + spacing),
      y: (title.height - size) / 2,
      width: size,
      height: size,
    },
  }));
}

/** Where a button can be pressed: more than its sign, less than what would touch the next. */
export function pressOf(rect: Rect, spacing: number): Rect {
  const around = Math.min(AROUND, spacing / 2);
  return {
    x: rect.x - around,
    y: rect.y - AROUND,
    width: rect.width + 2 * around,
    height: rect.height + 2 * AROUND,
  };
}

function placeName(
  { align, size, font }: Windows['title'],
  buttons: Frame['buttons'],
  { name, colour, fonts, width, height }: Size & Pick<Shown, 'name' | 'colour' | 'fonts'>,
): Run | null {
  const first = buttons[0]?.rect;
  const last = buttons.at(-1)?.rect;
  const onLeft = first !== undefined && first.x < width / 2 && first.x <= INSIDE;
  const from = onLeft && last ? last.x + last.width + INSIDE : INSIDE;
  const to = !onLeft && first ? first.x - INSIDE : width - INSIDE;
  if (to - from < size) return null;
  const line = cutLine(name, { font, size, weight: 400, colour }, fonts, to - from);
  const baseline = middleBaseline(line, 0, height);
  if (align === 'left') return putLine(line, { left: from }, baseline);
  if (align === 'right') return putLine(line, { right: to }, baseline);
  // In the middle of the window, as long as it is clear of the buttons.
  const half = line.width / 2;
  return putLine(line, { centre: Math.max(from + half, Math.min(to - half, width / 2)) }, baseline);
}
