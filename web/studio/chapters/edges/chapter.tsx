import { PanelTop } from 'lucide-react';
import { later } from '../../../later.ts';
import { useView } from '../../../stores/view.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import { itemKinds } from '../../../../core/items/list.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import type { Command } from '../../commands/command.ts';
import { titleOfEdge } from '../../../../core/desk/part-names.ts';
import { addEdge, addItem, selectedParts, titleOfItem } from '../../parts/acts.ts';
import type { Chapter } from '../chapter.ts';

const EdgesChapter = later(async () => ({ default: (await import('./edges.tsx')).EdgesChapter }));
const EdgeEditor = later(async () => ({ default: (await import('./edge-editor.tsx')).EdgeEditor }));
const SeveralEditor = later(async () => ({
  default: (await import('../../column/several.tsx')).SeveralEditor,
}));
const ItemEditor = later(async () => ({ default: (await import('./item-editor.tsx')).ItemEditor }));

export const edges: Chapter = {
  id: 'edges',
  title: 'Edges',
  icon: PanelTop,
  also: 'bars taskbar panels docks launcher',
  pages: [],
  Root: EdgesChapter,
  inside(desk, { selection }) {
    const chosen = selectedParts(desk, selection);
    const { edge, edges, item, items, widgets } = chosen;
    if (widgets.length > 0) return null;
    if (edges.length + items.length > 1)
      return {
        title: `${edges.length + items.length} ${items.length === 0 ? 'edges' : edges.length === 0 ? 'items' : 'parts'}`,
        body: <SeveralEditor desk={desk} chosen={chosen} />,
      };
    if (item) {
      return {
        title: titleOfItem(item.item),
        crumbs: [{ title: titleOfEdge(item.edge), go: () => useView.getState().select([item.edge.id]) }],
        body: <ItemEditor key={item.item.id} item={item.item} edge={item.edge} index={item.index} />,
      };
    }
    return edge && { title: titleOfEdge(edge), body: <EdgeEditor key={edge.id} edge={edge} /> };
  },
  commands: [
    {
      id: 'add-panel',
      title: 'Add panel',
      also: 'bar taskbar strip',
      group: 'Add',
      run: () => addEdge('panel'),
    },
    {
      id: 'add-dock',
      title: 'Add dock',
      also: 'bar taskbar launcher',
      group: 'Add',
      run: () => addEdge('dock'),
    },
    {
      id: 'edge-length',
      title: 'Fill the side, or be as long as the items',
      titleNow: () =>
        edgeNow()?.length.by === 'side' ? 'Make it as long as its items' : 'Make it fill its side',
      also: 'full width stretch length',
      group: 'Selection',
      keys: ['F'],
      isAvailable: () => edgeNow() !== null,
      run: turnLength,
    },
    ...itemKinds.map(({ type, title, summary }): Command => ({
      id: `add-item-${type}`,
      title: `Add ${title.toLowerCase()} to an edge`,
      titleNow: () => `Add ${title.toLowerCase()} to the ${edgeToFill()?.kind ?? 'edge'}`,
      also: `item ${summary}`,
      group: 'Add',
      isAvailable: () => edgeToFill() !== null,
      run: () => {
        const edge = edgeToFill();
        if (edge) addItem(edge.id, type);
      },
    })),
  ],
};

/** The edge that is selected, or whose item is. */
function edgeNow(): Edge | null {
  const { edge, item } = selectedParts();
  return edge ?? item?.edge ?? null;
}

/** Where an item goes that is added: the edge that is chosen, or the first there is. */
function edgeToFill(): Edge | null {
  return edgeNow() ?? presentDesk()?.edges[0] ?? null;
}

function turnLength(): void {
  const edge = edgeNow();
  if (!edge) return;
  const length = edge.length.by === 'side' ? ({ by: 'items' } as const) : ({ by: 'side' } as const);
  useDesk.getState().edit(named('Length', edits.setEdge(edge.id, { length })));
}
