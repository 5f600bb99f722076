import { clamp } from '../arrange/geometry.ts';
import type { ItemContext } from '../kinds.ts';
import { textWidth, type TextStyle } from '../text/measure.ts';

/** Room before and after a text or an icon on an edge, px. */
export const ITEM_PADDING = 8;

/** How text on an edge is set: its size follows the edge's depth. */
export function itemText({ thickness, isVertical, fonts }: ItemContext): TextStyle {
  const size = Math.round(isVertical ? clamp(thickness * 0.3, 11, 18) : clamp(thickness * 0.4, 11, 18));
  return { family: fonts.text, size, weight: 500 };
}

export const LINE_HEIGHT = 1.25;

/** Px along the edge of lines of text: their width on a horizontal edge (one line), their height on an upright one. */
export function linesLength(lines: readonly string[], context: ItemContext): number {
  const style = itemText(context);
  if (context.isVertical) return Math.ceil(lines.length * style.size * LINE_HEIGHT) + ITEM_PADDING;
  return Math.ceil(Math.max(0, ...lines.map((line) => textWidth(line, style)))) + 2 * ITEM_PADDING;
}
