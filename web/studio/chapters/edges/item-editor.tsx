import { named } from '../../../../core/desk/edits/edit.ts';
import { ArrowLeft, ArrowRight, Copy, Trash2 } from 'lucide-react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Edge, Item } from '../../../../core/desk/sections/edges.ts';
import { itemKindOf } from '../../../../core/items/list.ts';
import { useDesk } from '../../../session/desk.ts';
import { IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { Fields } from '../../form/form.tsx';
import { duplicateSelection, removeSelection } from '../../acts.ts';

/** Everything about one item of an edge. */
export function ItemEditor({ item, edge, index }: { item: Item; edge: Edge; index: number }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const kind = itemKindOf(item.type);
  const move = (to: number) => edit(edits.moveItem(item.id, edge.id, to));
  return (
    <>
      <p className="-mt-3 mb-3 text-dust">{kind.summary}</p>
      <div className="mb-4 flex items-center gap-0.5">
        <IconButton label="Earlier" disabled={index === 0} onClick={() => move(index - 1)}>
          <ArrowLeft size={15} />
        </IconButton>
        <IconButton label="Later" disabled={index === edge.items.length - 1} onClick={() => move(index + 1)}>
          <ArrowRight size={15} />
        </IconButton>
        <IconButton label="Duplicate" onClick={duplicateSelection}>
          <Copy size={15} />
        </IconButton>
        <IconButton label="Remove" onClick={removeSelection} className="ml-auto hover:!text-rust">
          <Trash2 size={15} />
        </IconButton>
      </div>
      <Section title="Options">
        <Fields
          schema={kind.options}
          values={item.options}
          onTurn={(change, label) => turn(named(label, edits.setItem(edge.id, item.id, change)))}
          onEnd={endGesture}
        />
      </Section>
    </>
  );
}
