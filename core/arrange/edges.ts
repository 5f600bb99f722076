import type { Alignment } from '../values/place.ts';
import type { EdgeFrame, EdgeLength } from './schema.ts';
import { clamp, cutSide, isHorizontal, type Rect, type Side } from '../values/geometry.ts';

/** What decides where an edge and its items are. */
export type EdgeShape = Pick<
  EdgeFrame,
  'side' | 'thickness' | 'length' | 'align' | 'offset' | 'margin' | 'padding' | 'spacing' | 'keepsWindowsOff'
>;

export interface Flowing {
  /** Length of its own along the edge. */
  length: number;
  /** Blank outside of it, before and after. */
  before: number;
  after: number;
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
  const depthRoom = horizontal ? frame.height : frame.width;
  const { margin, room, spaces, content, length, inside, spare } = lengthsOn(edge, items, frame);
  const shrink = spare < 0 && content > 0 ? (length - 2 * inside) / content : 1;

  const along = clamp(alignedBy(edge.align, room - length) + edge.offset, 0, room - length);
  const start = (horizontal ? frame.x : frame.y) + margin + along;
  const thickness = Math.min(edge.thickness, Math.max(0, depthRoom - margin));
  const across = acrossStart(edge.side, frame, margin, thickness);
  const box = (at: number, long: number): Rect =>
    horizontal
      ? { x: at, y: across, width: long, height: thickness }
      : { x: across, y: at, width: thickness, height: long };

  const weights = items.reduce((sum, item) => sum + (item.weight ?? 0), 0);
  const left = Math.max(0, spare);
  let at = start + inside + (weights === 0 ? alignedBy(edge.align, left) : 0);
  const rects = items.map((item, index) => {
    at += ((spaces[index] ?? 0) + item.before) * shrink;
    const stretch = item.weight === null ? 0 : (left * item.weight) / weights;
    const long = item.length * shrink + stretch;
    const rect = box(at, long);
    at += long + item.after * shrink;
    return rect;
  });
  return { rect: box(start, length), items: rects, missing: Math.max(0, -spare) };
}

/** Px that items lack on an edge, 0 when all fit: what layEdge says, without laying anything. */
export function missingOn(edge: EdgeShape, items: readonly Flowing[], frame: Rect): number {
  return Math.max(0, -lengthsOn(edge, items, frame).spare);
}

/** How long an edge and what is on it come to be along its side. */
function lengthsOn(edge: EdgeShape, items: readonly Flowing[], frame: Rect) {
  const [side, depthRoom] = isHorizontal(edge.side)
    ? [frame.width, frame.height]
    : [frame.height, frame.width];
  const margin = Math.min(edge.margin, side / 2, depthRoom / 2);
  const room = side - 2 * margin;
  const padding = Math.min(edge.padding, room / 2);
  const spaces = items.map((item, index) => spaceBefore(item, items[index - 1], edge.spacing));
  let content = 0;
  items.forEach(({ before, length: own, after }, index) => {
    content += before + own + after + (spaces[index] ?? 0);
  });
  const length = Math.min(room, wantedLength(edge.length, content + 2 * padding, room));
  // A length that is given may be shorter than the room inside its ends.
  const inside = Math.min(padding, length / 2);
  return { margin, room, spaces, content, length, inside, spare: length - content - 2 * inside };
}

/** The items around one, from spring to spring. */
export function stretchOf<Item extends { id: string; type: string }>(
  items: readonly Item[],
  id: string,
): Item[] {
  const at = items.findIndex((item) => item.id === id);
  if (at < 0 || items[at]?.type === 'spring') return [];
  const before = items.slice(0, at).findLastIndex(({ type }) => type === 'spring');
  const after = items.slice(at).findIndex(({ type }) => type === 'spring');
  return items.slice(before + 1, after < 0 ? undefined : at + after);
}

function wantedLength(length: EdgeLength, needed: number, room: number): number {
  switch (length.by) {
    case 'items':
      return needed;
    case 'side':
      return room;
    case 'fixed':
      return length.px;
    case 'share':
      return (room * length.percent) / 100;
  }
}

function spaceBefore(item: Flowing, previous: Flowing | undefined, spacing: number): number {
  return previous && !previous.isBlank && !item.isBlank ? spacing : 0;
}

/** How much of a spare length lies before what is aligned in it. */
export function alignedBy(align: Alignment, spare: number): number {
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
