import type { WidgetContext } from '../../kinds/kind.ts';
import { cutLine, type Layout, type Paint } from '../../kinds/layout.ts';
import { chosenFont, type TypeChoice } from '../../kinds/options.ts';
import { createSheet } from '../../kinds/sheet.ts';
import type { Rect } from '../../values/geometry.ts';
import type { FindFace, FindOptions } from './find.ts';

export interface FindView {
  words: string;
  width: number;
  type: TypeChoice;
  colour: Paint;
}

export interface FindLayout extends Layout {
  icon: Rect;
  line: Rect | null;
}

export function view(
  { words, width, type, colour }: FindOptions,
  _face: FindFace,
  { textColour }: WidgetContext,
): FindView {
  return { words, width, type, colour: textColour(colour) };
}

const HIGH = 40;
const ICON = 26;

export function layout(
  { words, width, type }: FindView,
  face: FindFace,
  { fonts }: WidgetContext,
): FindLayout {
  const sheet = createSheet(fonts);
  const side = face === 'sign' ? 56 : HIGH;
  const icon = {
    x: face === 'sign' ? (side - 34) / 2 : 0,
    y: (side - (face === 'sign' ? 34 : ICON)) / 2,
    width: face === 'sign' ? 34 : ICON,
    height: face === 'sign' ? 34 : ICON,
  };
  sheet.keep({ x: 0, y: 0, width: face === 'sign' ? side : width, height: side });
  if (face !== 'sign') {
    const style = { font: chosenFont(type, 'text'), size: 19, weight: 400, colour: 'softInk' as const };
    sheet.middle(cutLine(words, style, fonts, width - ICON - 14), { left: ICON + 14 }, 0, HIGH);
  }
  const line = face === 'line' ? sheet.keep({ x: 0, y: HIGH + 2, width, height: 2 }) : null;
  return sheet.lay({ icon, line });
}
