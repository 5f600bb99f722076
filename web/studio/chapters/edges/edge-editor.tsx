import { named } from '../../../../core/desk/edits/edit.ts';
import { DropdownMenu } from 'radix-ui';
import { Lock, LockOpen, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { EdgeFrame } from '../../../../core/arrange/schema.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import { itemKinds } from '../../../../core/items/list.ts';
import { useDesk } from '../../../session/desk.ts';
import { peekAt } from '../../../stores/stage.ts';
import { currentScreen, useScreenInView } from '../../../stores/screen.ts';
import { useView } from '../../../stores/view.ts';
import { SelectField } from '../../../ui/choice.tsx';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Fold } from '../../../ui/fold.tsx';
import { Section } from '../../../ui/section.tsx';
import { menuItem, menuPanel } from '../../../ui/menu.ts';
import { strips } from '../../../../core/desk/strips.ts';
import { ApplicationGrid } from './application-grid.tsx';
import { BesideFilled } from './beside-filled.tsx';
import { StripCards } from './strip-card.tsx';
import { nameOfPart } from '../../../../core/desk/part-names.ts';
import { dressEdge } from '../../parts/dress.ts';
import { addItem, becomeStrip, removeParts, titleOfItem, toggleFlag } from '../../parts/acts.ts';
import { ReadyLooks } from '../../ready/ready-looks.tsx';
import { Fields } from '../../form/form.tsx';
import { OrderedList, type OrderedRow } from '../../../ui/ordered-list.tsx';
import { FinishSection } from '../../column/finish-section.tsx';

const shapes = strips.filter(({ frame }) => frame !== undefined);

/** Everything about one panel or dock. */
export function EdgeEditor({ edge }: { edge: Edge }) {
  const { turn, endGesture } = useDesk.getState();
  const solved = useScreenInView()?.edges.find(({ id }) => id === edge.id);
  const missing = solved?.missing ?? 0;
  const rest = edge.items.filter(({ id }) => solved?.more?.ids.includes(id)).map(titleOfItem);
  const hasSpring = edge.items.some(({ type }) => type === 'spring');
  return (
    <>
      <div className="-mt-2 mb-3 flex items-center gap-0.5">
        <IconButton
          label={edge.locked ? 'Unlock' : 'Lock'}
          aria-pressed={edge.locked}
          onClick={() => toggleFlag('locked')}
        >
          {edge.locked ? <LockOpen size={15} /> : <Lock size={15} />}
        </IconButton>
        <IconButton
          label="Remove"
          onClick={() => removeParts([edge.id])}
          className="ml-auto hover:!text-rust"
        >
          <Trash2 size={15} />
        </IconButton>
      </div>
      <Fold label="Stand as" value="as it is" note={`${shapes.length} of ours`}>
        {() => <StripCards of={shapes} onPress={(strip) => becomeStrip(edge.id, strip)} />}
      </Fold>
      <Section title="Items" note="drag, or arrows on the grip">
        <Items edge={edge} />
        {missing > 0 && (
          <p role="status" className="mt-1 text-[12px] text-rust">
            Even one item needs {Math.ceil(missing)} px more than there is: what is shown is cut.
          </p>
        )}
        {rest.length > 0 && (
          <p role="status" className="mt-1 text-[12px] text-rust">
            No room for {rest.join(', ')}: {rest.length === 1 ? 'it is' : 'they are'} behind the +
            {rest.length}. Those that keep their place least go first.
          </p>
        )}
        {hasSpring && edge.length.by === 'items' && (
          <p className="mt-1 text-[12px] text-dust">
            A spring has room to stretch only when the edge fills its side.
          </p>
        )}
      </Section>
      <Section title="Applications" note="press, or drag onto an edge">
        <ApplicationGrid edge={edge} />
      </Section>
      <Section title="Place">
        <Fields
          schema={EdgeFrame}
          values={edge}
          onTurn={(change, label) => {
            turn(named(label, edits.setEdge(edge.id, change)));
            // What is changed is brought near enough to see.
            peekAt(currentScreen()?.edges.find(({ id }) => id === edge.id)?.rect ?? null);
          }}
          onEnd={endGesture}
        />
      </Section>
      {edge.kind === 'dock' && (
        <Section title="Line and marks" note="what icons stand on">
          <ReadyLooks topic="dock" target={{ by: 'parts', ids: [edge.id] }} />
        </Section>
      )}
      <Dress edge={edge} />
      <FinishSection ids={[edge.id]} owns={[edge.finish]} />
      <BesideFilled edge={edge} />
    </>
  );
}

/** The look of another edge, whichever screen that is on. */
function Dress({ edge }: { edge: Edge }) {
  const edges = useDesk((state) => state.history?.present.edges) ?? [];
  const others = edges.filter(({ id }) => id !== edge.id);
  if (others.length === 0) return null;
  return (
    <Section title="Style" note="sizes, spacing and finish">
      <SelectField
        label="Style of another edge"
        value=""
        placeholder="As another edge"
        choices={others.map((other) => ({ value: other.id, label: nameOfPart(other).replace(/^the /, '') }))}
        onChange={(id) => {
          const other = others.find((one) => one.id === id);
          if (other) dressEdge(edge.id, other);
        }}
      />
    </Section>
  );
}

function Items({ edge }: { edge: Edge }) {
  const rows = edge.items.map((item): OrderedRow => {
    const title = titleOfItem(item);
    return {
      id: item.id,
      title,
      content: (
        <span className="truncate">
          {title}
          {item.type === 'application' && <span className="ml-1.5 text-dust">application</span>}
        </span>
      ),
      onPress: () => useView.getState().select([item.id], 'edges'),
      onRemove: () => removeItem(item.id),
    };
  });
  return (
    <>
      {rows.length === 0 && <p className="text-dust">Nothing on it yet: add a first item.</p>}
      <OrderedList
        rows={rows}
        onMove={(id, index) => useDesk.getState().edit(edits.moveItem(id, edge.id, index))}
      />
      <AddItem edge={edge} />
    </>
  );
}

/** From the list of its edge: the list stays in view. */
function removeItem(id: string): void {
  const [edge] = useView.getState().selection;
  removeParts([id]);
  if (edge) useView.getState().select([edge]);
}

function AddItem({ edge }: { edge: Edge }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <DropdownMenu.Root open={isOpen} onOpenChange={setOpen} modal={false}>
      <DropdownMenu.Trigger asChild>
        <Button className="mt-1 justify-self-start">
          <Plus size={15} /> Add an item
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className={menuPanel}
          align="start"
          sideOffset={4}
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          {itemKinds.map((kind) => (
            <DropdownMenu.Item
              key={kind.type}
              className={`${menuItem} !h-auto py-1.5`}
              onSelect={() => addItem(edge.id, kind.type)}
            >
              <span>
                <span className="block font-medium leading-tight">{kind.title}</span>
                <span className="block text-[12px] leading-tight opacity-75">{kind.summary}</span>
              </span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
