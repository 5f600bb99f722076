import { current, isDraft, produce } from 'immer';
import { shareUnchanged } from '../values/share.ts';
import type { Desk, DeskDraft } from './desk.ts';
import type { Arrangement, EdgeStand, WidgetStand } from './shapes/arrangements.ts';
import type { Edge } from './shapes/edges.ts';
import { widgetsInCircles, type Widget } from './shapes/widgets.ts';

/**
 * Arrangements keep where parts stand. The parts themselves stand as one of them says: what that holds itself is brought up
 * to date when it is left, so that whatever changes while it stands goes to it.
 */

/** A value of its own, also of what is being changed. */
const copy = <T>(value: T): T => (isDraft(value) ? (current(value as object) as T) : structuredClone(value));

const standOfWidget = ({ id, place, scale, followsWidth }: Widget): WidgetStand => ({
  id,
  place: copy(place),
  scale,
  followsWidth,
});

function standOfEdge(edge: Edge): EdgeStand {
  const { id, screen, side, length, align, offset, margin, thickness, iconSize } = edge;
  return { id, screen, side, length: copy(length), align, offset, margin, thickness, iconSize };
}

/** Where a desk's parts stand now. */
function standsOf({ widgets, edges }: Pick<Desk, 'widgets' | 'edges'>): {
  widgets: WidgetStand[];
  edges: EdgeStand[];
} {
  return { widgets: widgets.map(standOfWidget), edges: edges.map(standOfEdge) };
}

/** What an arrangement holds, as the desk stands now: of the kinds of parts that it arranges. */
export function bringUpToDate(arrangement: Arrangement, desk: Pick<Desk, 'widgets' | 'edges'>): void {
  const stands = standsOf(desk);
  if (arrangement.widgets) arrangement.widgets = stands.widgets;
  if (arrangement.edges) arrangement.edges = stands.edges;
}

/** Lets the parts of a desk stand as an arrangement says; what it does not know stays where it is. */
function put(desk: DeskDraft, { widgets, edges }: Arrangement): void {
  const edgeStands = new Map(edges?.map((stand) => [stand.id, stand]));
  for (const edge of desk.edges) Object.assign(edge, copy(edgeStands.get(edge.id)));
  if (!widgets) return;
  const before = new Map(desk.widgets.map((widget) => [widget.id, widget.place]));
  const stands = new Map(widgets.map((stand) => [stand.id, stand]));
  for (const widget of desk.widgets) Object.assign(widget, copy(stands.get(widget.id)));
  // What came since may hang from what hangs, in the arrangement, from it.
  const inCircles = widgetsInCircles(desk.widgets as Widget[]);
  for (const widget of desk.widgets) {
    const place = before.get(widget.id);
    if (place && inCircles.has(widget.id)) widget.place = place;
  }
}

/** Lets a desk stand as one of its arrangements says; another one that stood keeps what it came to. */
export function standAs(desk: DeskDraft, id: string): void {
  const { arrangements: all } = desk;
  const next = all.list.find((one) => one.id === id);
  if (!next || all.standing === id) return;
  const left = all.list.find((one) => one.id === all.standing);
  if (left) bringUpToDate(left as Arrangement, desk as Desk);
  put(desk, next as Arrangement);
  all.standing = id;
}

const known = new WeakMap<Desk, Map<string, Desk>>();

/** A desk as it stands in one of its arrangements: the very same where it stands so, or has none such. */
export function standingAs(desk: Desk, id: string | null): Desk {
  if (id === null || desk.arrangements.standing === id) return desk;
  let made = known.get(desk);
  if (!made) known.set(desk, (made = new Map<string, Desk>()));
  let arranged = made.get(id);
  if (!arranged) {
    arranged = shareUnchanged(
      desk,
      produce(desk, (draft) => standAs(draft, id)),
    );
    made.set(id, arranged);
  }
  return arranged;
}
