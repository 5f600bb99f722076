import type { ItemContext } from '../kinds/kind.ts';
import {
  cutLine,
  middleBaseline,
  putLine,
  setLine,
  type Layout,
  type Line,
  type LineStyle,
} from '../kinds/layout.ts';
import { clamp, type Rect } from '../values/geometry.ts';

/** Room before and after what an item shows, px along the edge. */
const ITEM_PADDING = 8;
const TIGHT_PADDING = 3;
/** Px between an icon and its label. */
const LABEL_GAP = 8;
/** From one line of writing to the next on an upright edge, as a share of the size. */
const LEADING = 1.25;

export function paddingOf({ room }: ItemContext): number {
  return room === 'full' ? ITEM_PADDING : TIGHT_PADDING;
}

/** How text on an edge is set: its size follows the edge's depth. */
export function itemText({ thickness, isVertical }: ItemContext): LineStyle {
  const size = Math.round(isVertical ? clamp(thickness * 0.3, 11, 18) : clamp(thickness * 0.4, 11, 18));
  return { font: 'text', size, weight: 500 };
}

/** Lines of text in the middle of an item: one on a horizontal edge, one above the other on an upright one. */
export function layLines(texts: readonly string[], context: ItemContext, style = itemText(context)): Layout {
  const { thickness, isVertical, fonts } = context;
  const padding = paddingOf(context);
  const lines = isVertical
    ? narrowed(texts, style, context)
    : texts.map((text) => setLine(text, style, fonts));
  if (!isVertical) {
    const width = Math.ceil(Math.max(0, ...lines.map(({ room }) => room))) + 2 * padding;
    return {
      size: { width, height: thickness },
      runs: lines.map((line) => putLine(line, { centre: width / 2 }, middleBaseline(line, 0, thickness))),
    };
  }
  const pitch = (lines[0]?.run.size ?? 0) * LEADING;
  const height = Math.ceil(lines.length * pitch) + padding;
  return {
    size: { width: thickness, height },
    runs: lines.map((line, index) =>
      putLine(line, { centre: thickness / 2 }, middleBaseline(line, padding / 2 + index * pitch, pitch)),
    ),
  };
}

/** What an upright edge keeps free at its sides, and the smallest size that is still set, px. */
const SIDES = 4;
const LEAST = 8;

/** Lines no wider than an upright edge: smaller where they would be, and cut where the smallest size is still too wide. */
function narrowed(texts: readonly string[], style: LineStyle, { thickness, fonts }: ItemContext): Line[] {
  const lines = texts.map((text) => setLine(text, style, fonts));
  const widest = Math.max(0, ...lines.map(({ room }) => room));
  const wide = thickness - 2 * SIDES;
  if (wide >= widest) return lines;
  const size = Math.max(LEAST, Math.floor((style.size * wide) / widest));
  return texts.map((text) => cutLine(text, { ...style, size }, fonts, thickness - 2));
}

/** How much of the edge's depth the first line of two takes, and the smaller second one. */
const STACK = { first: 0.36, second: 0.28, least: 8 } as const;

/** The first line above all others, which are smaller; on an upright edge as any lines. */
export function layStack(texts: readonly string[], context: ItemContext): Layout {
  const { thickness, isVertical, fonts } = context;
  if (isVertical || texts.length < 2) return layLines(texts, context);
  const plain = itemText(context);
  const sized = (share: number) => Math.max(STACK.least, Math.min(plain.size, Math.round(thickness * share)));
  const lines = texts.map((text, index) =>
    setLine(
      text,
      index === 0
        ? { ...plain, size: sized(STACK.first), weight: 600 }
        : { ...plain, size: sized(STACK.second), colour: 'softInk' },
      fonts,
    ),
  );
  const padding = paddingOf(context);
  const width = Math.ceil(Math.max(...lines.map(({ room }) => room))) + 2 * padding;
  const pitches = lines.map(({ run }) => run.size * LEADING);
  let top = (thickness - pitches.reduce((sum, pitch) => sum + pitch, 0)) / 2;
  return {
    size: { width, height: thickness },
    runs: lines.map((line, index) => {
      const pitch = pitches[index] ?? 0;
      top += pitch;
      return putLine(line, { centre: width / 2 }, middleBaseline(line, top - pitch, pitch));
    }),
  };
}

export interface IconLayout extends Layout {
  /** Null where there are only words. */
  icon: Rect | null;
}

/** Words alone where the face has no sign, otherwise the sign with its words; null are no words. */
export function laySign(words: string | null, face: string, context: ItemContext): IconLayout {
  if (face !== 'words' || words === null) return layIcon(words, context);
  return { ...layLines(context.isVertical ? inLines(words) : [words], context), icon: null };
}

/** Upright, one word stands under the other. */
export function inLines(words: string): string[] {
  return words.split(/\s+/).filter(Boolean);
}

/** An icon with its label beside it, or under it on an upright edge. */
export function layIcon(label: string | null, context: ItemContext): IconLayout & { icon: Rect } {
  const { iconSize, thickness, isVertical, fonts } = context;
  const size = (along: number) =>
    isVertical ? { width: thickness, height: along } : { width: along, height: thickness };
  const padding = paddingOf(context);
  const across = (thickness - iconSize) / 2;
  const icon = isVertical
    ? { x: across, y: padding, width: iconSize, height: iconSize }
    : { x: padding, y: across, width: iconSize, height: iconSize };
  const alone = Math.ceil(iconSize + 2 * padding);
  if (label === null) return { size: size(alone), runs: [], icon };
  if (isVertical) return layUnder(inLines(label), icon, context);
  const line = setLine(label, itemText(context), fonts);
  const left = padding + iconSize + LABEL_GAP;
  return {
    size: size(Math.ceil(left + line.room + padding)),
    runs: [putLine(line, { left }, middleBaseline(line, 0, thickness))],
    icon,
  };
}

function layUnder(texts: readonly string[], icon: Rect, context: ItemContext) {
  const { thickness } = context;
  const lines = narrowed(texts, itemText(context), context);
  const pitch = (lines[0]?.run.size ?? 0) * LEADING;
  const top = icon.y + icon.height + paddingOf(context) / 2;
  return {
    size: { width: thickness, height: Math.ceil(top + lines.length * pitch + paddingOf(context)) },
    runs: lines.map((line, index) =>
      putLine(line, { centre: thickness / 2 }, middleBaseline(line, top + index * pitch, pitch)),
    ),
    icon,
  };
}
