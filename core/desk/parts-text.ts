import { z } from 'zod';
import { findOutOfBounds } from './bounds.ts';
import { FORMAT, type Desk } from './desk.ts';
import { freePlace, type Whereabouts } from './whereabouts.ts';
import { edges } from './sections/edges.ts';
import { groups } from './sections/groups.ts';
import { widgets } from './sections/widgets.ts';
import { Edge, type Item } from './shapes/edges.ts';
import { wholeGroups, type Group } from './shapes/groups.ts';
import type { Widget } from './shapes/widgets.ts';

/** Parts on their way from one desk to another, as text that anybody can read. */
export interface CarriedParts {
  edges: Edge[];
  widgets: Widget[];
  /** Items without their edge. */
  items: Item[];
  /** Groups of which every widget comes along. */
  groups?: readonly Group[] | undefined;
}

const MARK = 'velvet-ledge-parts';
/** Letters that are read at most. */
const MOST_LETTERS = 4_000_000;

const Carried = z.object({
  [MARK]: z.literal(FORMAT),
  edges: edges.schema,
  widgets: widgets.schema,
  items: Edge.shape.items,
  groups: groups.schema.optional(),
});

/** Some of a desk's parts and items as text. A widget that hangs from what does not come along stands where it is. */
export function writeParts(desk: Desk, ids: readonly string[], whereabouts: Whereabouts): string {
  const chosen = new Set(ids);
  const carried: CarriedParts = {
    edges: desk.edges.filter(({ id }) => chosen.has(id)),
    widgets: desk.widgets
      .filter(({ id }) => chosen.has(id))
      .map((widget) => alone(widget, chosen, whereabouts)),
    items: desk.edges
      .filter(({ id }) => !chosen.has(id))
      .flatMap(({ items }) => items.filter(({ id }) => chosen.has(id))),
    groups: wholeGroups(desk.groups, chosen),
  };
  return JSON.stringify({ [MARK]: FORMAT, ...carried }, null, 2);
}

function alone(widget: Widget, chosen: ReadonlySet<string>, whereabouts: Whereabouts): Widget {
  const { hangs } = widget.place;
  const rect = whereabouts.rects.get(widget.id);
  return hangs.from === 'part' && !chosen.has(hangs.part) && rect
    ? { ...widget, place: freePlace(rect, whereabouts) }
    : widget;
}

/** Parts from text; null when the text is none of ours, a sentence when it is but can't be taken. */
export function readParts(text: string): CarriedParts | { problem: string } | null {
  if (text.length > MOST_LETTERS || !text.includes(MARK)) return null;
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return null;
  }
  const outside = findOutOfBounds(json);
  if (outside) return { problem: `${outside.path.join('.')} ${outside.message}`.trim() };
  const read = Carried.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    if (issue?.path[0] === MARK) return { problem: 'they were copied in another version' };
    return { problem: `${issue?.path.join('.') ?? ''} ${issue?.message ?? 'is damaged'}`.trim() };
  }
  return read.data as CarriedParts;
}
