import { clamp } from '../values/geometry.ts';
import type { ItemContext, TextContext, TextSpot } from '../kinds/kind.ts';
import { setStyle, steadyWidth, textWidth, type TextStyle } from '../text/measure.ts';

/** Room before and after a text or an icon on an edge, px. */
export const ITEM_PADDING = 8;

/** How text on an edge is set: its size follows the edge's depth. */
export function itemText({ thickness, isVertical, fonts }: ItemContext): TextStyle {
  const size = Math.round(isVertical ? clamp(thickness * 0.3, 11, 18) : clamp(thickness * 0.4, 11, 18));
  return { font: fonts.text, size, weight: 500 };
}

export const LINE_HEIGHT = 1.25;
/** Px between an icon and its label. */
export const LABEL_GAP = 8;

/** Px along the edge of lines of text: their width on a horizontal edge (one line), their height on an upright one. */
export function linesLength(lines: readonly string[], context: ItemContext): number {
  const style = itemText(context);
  if (context.isVertical) return Math.ceil(lines.length * setStyle(style).size * LINE_HEIGHT) + ITEM_PADDING;
  return Math.ceil(Math.max(0, ...lines.map((line) => steadyWidth(line, style)))) + 2 * ITEM_PADDING;
}

/** Lines of text in the middle of an item, one above the other. */
export function lineSpots(
  lines: readonly string[],
  fontSize: number,
  { fonts, surface, box }: TextContext,
  colour = surface.ink,
): TextSpot[] {
  const style: TextStyle = { font: fonts.text, size: fontSize, weight: 500 };
  const { size, weight } = setStyle(style);
  const height = size * LINE_HEIGHT;
  return lines.map((text, index) => {
    const width = textWidth(text, style);
    const y = (box.height - lines.length * height) / 2 + index * height;
    return { text, box: { x: (box.width - width) / 2, y, width, height }, colour, size, weight };
  });
}

/** A label that stands after an icon. */
export function labelSpot(
  label: string | null,
  fontSize: number,
  iconSize: number,
  { fonts, surface, box }: TextContext,
): TextSpot[] {
  if (label === null) return [];
  const style: TextStyle = { font: fonts.text, size: fontSize, weight: 500 };
  const { size, weight } = setStyle(style);
  const width = textWidth(label, style);
  const height = size * LINE_HEIGHT;
  const x = (box.width - iconSize - LABEL_GAP - width) / 2 + iconSize + LABEL_GAP;
  return [
    {
      text: label,
      box: { x, y: (box.height - height) / 2, width, height },
      colour: surface.ink,
      size,
      weight,
    },
  ];
}
