import { layEdge, missingOn, type EdgeShape, type Flowing, type LaidEdge } from '../../arrange/edges.ts';
import type { Item } from '../../desk/shapes/edges.ts';
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
  // Where there is no room for anything at all, what there is stays cut to its share.
  if (laid.missing === 0 || missingOn(edge, [more(items.length)], frame) > 0)
    return { shown: full, hidden: [], laid };

  const tight = { ...edge, spacing: Math.min(edge.spacing, TIGHT_SPACING) };
  const close = items.map((item) => look(item, 'tight'));
  const fits = (list: readonly Flowing[]) => missingOn(tight, list, frame) === 0;
  if (fits(flows(close))) return { shown: close, hidden: [], laid: layEdge(tight, flows(close), frame) };

  const bare = new Map(items.map((item) => [item, look(item, 'bare')]));
  const first = leastFirst(close).map(({ item }) => item);
  const without = (labels: number) => {
    const gone = new Set(first.slice(0, labels));
    return close.map((one) => (gone.has(one.item) ? shorter(one, bare.get(one.item) ?? one) : one));
  };
  const labels = leastThat(first.length, (many) => fits(flows(without(many))));
  const shown = without(labels);
  if (fits(flows(shown))) return { shown, hidden: [], laid: layEdge(tight, flows(shown), frame) };

  const going = leastFirst(shown.filter(({ flowing }) => !flowing.isBlank)).map(({ item }) => item);
  const left = (many: number) => {
    const gone = new Set(going.slice(0, many));
    return shown.filter(({ item }) => !gone.has(item));
  };
  const withMore = (many: number) => [...flows(left(many)), more(many)];
  const many = leastThat(going.length, (gone) => fits(withMore(gone)));
  const gone = new Set(going.slice(0, many));
  return {
    shown: left(many),
    hidden: items.filter((item) => gone.has(item)),
    laid: layEdge(tight, withMore(many), frame),
  };
}

/** The least count for which something holds that goes on holding from there; the most where it never does. */
function leastThat(most: number, holds: (count: number) => boolean): number {
  let [low, high] = [0, most];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
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
