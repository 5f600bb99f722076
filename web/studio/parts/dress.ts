import { dressOfEdge, dressOfItem, dressOfWidget, type Dress } from '../../../core/desk/edits/dress.ts';
import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { nameOfPart, titleOfEdge, titleOfWidget } from '../../../core/desk/part-names.ts';
import type { Edge, Item } from '../../../core/desk/shapes/edges.ts';
import type { Widget } from '../../../core/desk/shapes/widgets.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { toast } from '../../ui/toast.ts';
import { selectedParts, titleOfItem } from './acts.ts';

/** Something that can be dressed as another of its sort. */
interface Dressed {
  sort: 'widgets' | 'edges' | 'items';
  id: string;
  type: string;
  name: string;
  dress: Dress;
}

/** What is selected, of one sort: widgets before an edge, and an item before its edge. */
function dressedNow(): Dressed[] {
  const { widgets, edge, item } = selectedParts();
  if (widgets.length > 0)
    return widgets.map((widget) => ({
      sort: 'widgets',
      id: widget.id,
      type: widget.type,
      name: titleOfWidget(widget),
      dress: dressOfWidget(widget),
    }));
  if (item)
    return [
      {
        sort: 'items',
        id: item.item.id,
        type: item.item.type,
        name: titleOfItem(item.item),
        dress: dressOfItem(item.item),
      },
    ];
  if (!edge) return [];
  return [{ sort: 'edges', id: edge.id, type: edge.kind, name: titleOfEdge(edge), dress: dressOfEdge(edge) }];
}

/** What was copied to dress others in. */
let copied: Dressed | null = null;

export function copyDress(): void {
  const [first] = dressedNow();
  if (!first) return;
  copied = first;
  toast(`The style of ${copied.name} is copied. Paste it on others.`);
}

/** Whether what was copied could be worn by what is selected. */
export const canPasteDress = () => copied !== null && dressedNow()[0]?.sort === copied.sort;

/** Dresses what is selected as what was copied; the face only where it is of the same kind. */
export function pasteDress(): void {
  const wearers = dressedNow();
  if (!copied || wearers[0]?.sort !== copied.sort) return;
  const { dress, type } = copied;
  const isAlike = copied.sort === 'edges' || wearers.every((wearer) => wearer.type === type);
  const { face: _, ...faceless } = dress;
  wear(
    'Paste the style',
    wearers.map(({ id }) => id),
    isAlike ? dress : faceless,
  );
}

function wear(label: string, ids: readonly string[], dress: Dress): void {
  useDesk.getState().edit(named(label, edits.dress(ids, dress)));
}

const idsOf = (list: readonly { id: string }[]) => list.map(({ id }) => id);

/** All other widgets of a kind look like one of them. */
export function dressKind(widget: Widget): void {
  const others = (presentDesk()?.widgets ?? []).filter(
    ({ id, type }) => type === widget.type && id !== widget.id,
  );
  wear(`All like this ${titleOfWidget(widget)}`, idsOf(others), dressOfWidget(widget));
}

/** The room and the icon's size of one item for others. */
export function dressItems(item: Item, others: readonly Item[]): void {
  const { face: _, options: _options, ...room } = dressOfItem(item);
  wear('Style all alike', idsOf(others), room);
}

/** The face of one item, and how it looks, for others of its kind. */
export function dressAlike(item: Item, others: readonly Item[]): void {
  const { face, options } = dressOfItem(item);
  wear(`All like this ${titleOfItem(item)}`, idsOf(others), { face, options });
}

/** What an edge looks like, taken from another one: all but where it stands, and what is on it. */
export function dressEdge(edge: string, other: Edge): void {
  wear(`Style of ${nameOfPart(other)}`, [edge], dressOfEdge(other));
}
