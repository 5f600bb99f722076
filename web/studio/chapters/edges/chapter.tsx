import { PanelTop } from 'lucide-react';
import { later } from '../../../later.ts';
import { useView } from '../../../stores/view.ts';
import { addEdge, selectedParts, titleOfEdge, titleOfItem } from '../../acts.ts';
import type { Chapter } from '../chapter.ts';

const EdgesChapter = later(async () => ({ default: (await import('./edges.tsx')).EdgesChapter }));
const EdgeEditor = later(async () => ({ default: (await import('./edge-editor.tsx')).EdgeEditor }));
const ItemEditor = later(async () => ({ default: (await import('./item-editor.tsx')).ItemEditor }));

export const edges: Chapter = {
  id: 'edges',
  title: 'Edges',
  icon: PanelTop,
  pages: {},
  Root: EdgesChapter,
  inside(desk, { selection }) {
    const { edge, item } = selectedParts(desk, selection);
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
    { id: 'add-panel', title: 'Add panel', group: 'Add', run: () => addEdge('panel') },
    { id: 'add-dock', title: 'Add dock', group: 'Add', run: () => addEdge('dock') },
  ],
};
