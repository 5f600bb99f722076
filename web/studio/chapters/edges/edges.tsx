import { Plus } from 'lucide-react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { strips } from '../../../../core/desk/strips.ts';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import { useDesk } from '../../../session/desk.ts';
import { useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { Button } from '../../../ui/buttons.tsx';
import { OrderedList, type OrderedRow } from '../../../ui/ordered-list.tsx';
import { Section } from '../../../ui/section.tsx';
import { titleOfEdge } from '../../../../core/desk/part-names.ts';
import { addEdge, addStrip, removeParts } from '../../parts/acts.ts';
import { StripCards } from './strip-card.tsx';

/** The edges of the screen on the stage, and what one can start from. */
export function EdgesChapter() {
  const screen = useScreenInView();
  const edges = useDesk((state) => state.history?.present.edges) ?? [];
  const here = edges.filter((edge) => edge.screen === screen?.id);
  return (
    <>
      <Section title="On this screen" note={here.length > 1 ? 'the first owns the corners' : undefined}>
        {here.length === 0 && (
          <p className="text-dust">No edge yet. A panel holds signs and menus, a dock starts applications.</p>
        )}
        <OrderedList
          isTall
          rows={here.map(rowOf)}
          onMove={(id, index) => useDesk.getState().edit(edits.orderEdge(id, index))}
        />
      </Section>
      <div className="mt-3 flex gap-2">
        <Button onClick={() => addEdge('panel')}>
          <Plus size={15} /> Panel
        </Button>
        <Button onClick={() => addEdge('dock')}>
          <Plus size={15} /> Dock
        </Button>
      </div>
      <Section title="Start from" note="put there as they are">
        <StripCards of={strips} onPress={addStrip} />
      </Section>
    </>
  );
}

function rowOf(edge: Edge): OrderedRow {
  const title = `${titleOfEdge(edge)} at the ${edge.side}`;
  return {
    id: edge.id,
    title,
    content: (
      <>
        <span className="font-medium">{titleOfEdge(edge)}</span>
        <span className="truncate text-dust">
          {edge.side}, {edge.items.length} {edge.items.length === 1 ? 'item' : 'items'}
        </span>
      </>
    ),
    onPress: () => useView.getState().select([edge.id], 'edges'),
    onRemove: () => removeParts([edge.id]),
  };
}
