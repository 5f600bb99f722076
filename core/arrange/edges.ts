import type { Alignment } from '../values/place.ts';
import type { EdgeFrame } from './schema.ts';
import { cutSide, isHorizontal, type Rect, type Side } from '../values/geometry.ts';

/** What decides where an edge and its items are. */
export type EdgeShape = Pick<
  EdgeFrame,
  'side' | 'thickness' | 'length' | 'align' | 'margin' | 'padding' | 'spacing' | 'keepsWindowsOff'
>;

export interface Flowing {
  /** Length of its own along the edge. */
  length: number;
  /** A spring's share of what is left; null for what does not stretch. */
  weight: number | null;
  /** A blank: no spacing is added beside it. */
  isBlank: boolean;
}

export interface LaidEdge {
  rect: Rect;
  items: Rect[];
  /** What is missing for the items, px; 0 when all fit. Items are then drawn shorter by the same factor. */
  missing: number;
}

/**
 * Lays an edge along a side of `frame`, and its items along the edge.
 *
 *     frame.x                                               frame's end
 *     | margin |padding| item |spacing| item | spring ... | item |padding| margin |
 */
export function layEdge(edge: EdgeShape, items: readonly Flowing[], frame: Rect): LaidEdge {
  const horizontal = isHorizontal(edge.side);
  const side = horizontal ? frame.width : frame.height;
  const depthRoom = horizontal ? frame.height : frame.width;
  const margin = Math.min(edge.margin, side / 2, depthRoom / 2);
  const room = side - 2 * margin;
  const padding = Math.min(edge.padding, room / 2);

  const spaces = items.map((item, index) => spaceBefore(item, items[index - 1], edge.spacing));
  const content = items.reduce((sum, item, index) => sum + item.length + (spaces[index] ?? 0), 0);
  const needed = content + 2 * padding;
  const length = edge.length === 'fill' ? room : Math.min(needed, room);
  const spare = length - needed;
  const shrink = spare < 0 && content > 0 ? (length - 2 * padding) / content : 1;

  const start = (horizontal ? frame.x : frame.y) + margin + aligned(edge.align, room - length);
  const thickness = Math.min(edge.thickness, Math.max(0, depthRoom - margin));
  const across = acrossStart(edge.side, frame, margin, thickness);
  const box = (at: number, long: number): Rect =>
    horizontal
      ? { x: at, y: across, width: long, height: thickness }
      : { x: across, y: at, width: thickness, height: long };

  const weights = items.reduce((sum, item) => sum + (item.weight ?? 0), 0);
  const left = Math.max(0, spare);
  let at = start + padding + (weights === 0 ? aligned(edge.align, left) : 0);
  const rects = items.map((item, index) => {
    at += (spaces[index] ?? 0) * shrink;
    const stretch = item.weight === null ? 0 : (left * item.weight) / weights;
    const long = item.length * shrink + stretch;
    const rect = box(at, long);
    at += long;
    return rect;
  });
  return { rect: box(start, length), items: rects, missing: Math.max(0, -spare) };
}

function spaceBefore(item: Flowing, previous: Flowing | undefined, spacing: number): number {
  return previous && !previous.isBlank && !item.isBlank ? spacing : 0;
}

function aligned(align: Alignment, spare: number): number {
  return align === 'start' ? 0 : align === 'centre' ? spare / 2 : spare;
}

function acrossStart(side: Side, frame: Rect, margin: number, thickness: number): number {
  switch (side) {
    case 'top':
      return frame.y + margin;
    case 'left':
      return frame.x + margin;
    case 'bottom':
      return frame.y + frame.height - margin - thickness;
    case 'right':
      return frame.x + frame.width - margin - thickness;
  }
}

/** The free area that an edge leaves of `free`. */
export function freeAfter(edge: EdgeShape, free: Rect): Rect {
  return edge.keepsWindowsOff ? cutSide(free, edge.side, edge.margin + edge.thickness) : free;
}
