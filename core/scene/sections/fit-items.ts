import { layEdge, type EdgeShape, type Flowing, type LaidEdge } from '../../arrange/edges.ts';
import type { Item } from '../../desk/sections/edges.ts';
import type { Room } from '../../kinds/kind.ts';
import type { Rect } from '../../values/geometry.ts';

/** An item as it is in so much room. */
export interface Fitted {
  item: Item;
  flowing: Flowing;
}

export interface Fit<Looked extends Fitted> {
  shown: Looked[];
  /** What found no room, in the order of the edge. */
  hidden: Item[];
  laid: LaidEdge;
}

/** Px between items where there is too little room. */
const TIGHT_SPACING = 2;

/**
 * Which items an edge shows, and in how much room. Where they don't fit all come closer first; then labels go, one after
 * another; then items, into what `more` flows as. Those that keep their place least go first, of equals the last.
 */
export function fitItems<Looked extends Fitted>(
  edge: EdgeShape,
  items: readonly Item[],
  frame: Rect,
  look: (item: Item, room: Room) => Looked,
  more: (count: number) => Flowing,
): Fit<Looked> {
  const full = items.map((item) => look(item, 'full'));
  const laid = layEdge(edge, flows(full), frame);
  if (laid.missing === 0) return { shown: full, hidden: [], laid };

  const tight = { ...edge, spacing: Math.min(edge.spacing, TIGHT_SPACING) };
  let shown = items.map((item) => look(item, 'tight'));
  const missing = (list: readonly Looked[]) => layEdge(tight, flows(list), frame).missing;
  const first = leastFirst(shown);
  for (const { item } of first) {
    if (missing(shown) === 0) break;
    shown = shown.map((one) => (one.item === item ? shorter(one, look(item, 'bare')) : one));
  }
  if (missing(shown) === 0) return { shown, hidden: [], laid: layEdge(tight, flows(shown), frame) };

  const hidden = new Set<Item>();
  const left = () => shown.filter(({ item }) => !hidden.has(item));
  const withMore = () => layEdge(tight, [...flows(left()), more(hidden.size)], frame);
  for (const { item } of leastFirst(shown.filter(({ flowing }) => !flowing.isBlank))) {
    hidden.add(item);
    if (withMore().missing === 0) break;
  }
  return { shown: left(), hidden: items.filter((item) => hidden.has(item)), laid: withMore() };
}

function flows(list: readonly Fitted[]): Flowing[] {
  return list.map(({ flowing }) => flowing);
}

function shorter<Looked extends Fitted>(one: Looked, bare: Looked): Looked {
  return bare.flowing.length < one.flowing.length ? bare : one;
}

/** By how long they keep their place; of equals the last first. */
function leastFirst<Looked extends Fitted>(list: readonly Looked[]): Looked[] {
  return list.toReversed().sort((a, b) => a.item.keeps - b.item.keeps);
}
