import { named } from '../../../../core/desk/edits/edit.ts';
import { ArrowLeft, ArrowRight, Copy, Replace, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useMemo } from 'react';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { ItemFaces } from './item-faces.tsx';
import { ItemFrame } from '../../../../core/arrange/schema.ts';
import { stretchOf } from '../../../../core/arrange/edges.ts';
import type { Edge, Item } from '../../../../core/desk/shapes/edges.ts';
import { itemKindOf, itemKinds } from '../../../../core/items/list.ts';
import { useDesk } from '../../../session/desk.ts';
import { Button, IconButton } from '../../../ui/buttons.tsx';
import { Section } from '../../../ui/section.tsx';
import { OfPart } from '../../form/of-part.ts';
import { Fields } from '../../form/form.tsx';
import { duplicateSelection, removeSelection, swapItem } from '../../parts/acts.ts';
import { dressAlike, dressItems } from '../../parts/dress.ts';
import { menuItem, menuPanel } from '../../../ui/menu.ts';

/** Takes the icon's size to all between the springs around it. */
function Stretch({ item, edge }: { item: Item; edge: Edge }) {
  const ids = stretchOf(edge.items, item.id).map(({ id }) => id);
  if (ids.length < 2) return null;
  return (
    <button
      type="button"
      className="text-brass hover:underline"
      onClick={() =>
        useDesk
          .getState()
          .edit(named('Icons of the stretch', edits.setItemFrames(ids, { iconSize: item.iconSize })))
      }
    >
      icon size for all {ids.length} between the springs
    </button>
  );
}

/** Gives what this item has to all others of its edge: their room, and the options that their kinds share with it. */
function OnAll({ item, edge }: { item: Item; edge: Edge }) {
  const same = edge.items.filter(({ id, type }) => id !== item.id && type === item.type);
  if (edge.items.length < 2) return null;
  return (
    <div className="mt-2 flex flex-wrap gap-1.5">
      <Button onClick={() => dressItems(item, edge.items)}>These margins for all on the edge</Button>
      {same.length > 0 && (
        <Button onClick={() => dressAlike(item, same)}>All {same.length + 1} of its kind like this</Button>
      )}
    </div>
  );
}

/** Another kind of item in its place. */
function Swap({ item }: { item: Item }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <IconButton label="Swap for another kind">
          <Replace size={15} />
        </IconButton>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className={menuPanel} align="start" sideOffset={4}>
          {itemKinds
            .filter(({ type }) => type !== item.type)
            .map(({ type, title }) => (
              <DropdownMenu.Item key={type} className={menuItem} onSelect={() => swapItem(item, type)}>
                {title}
              </DropdownMenu.Item>
            ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** Everything about one item of an edge. */
export function ItemEditor({ item, edge, index }: { item: Item; edge: Edge; index: number }) {
  const { edit, turn, endGesture } = useDesk.getState();
  const kind = itemKindOf(item.type);
  const of = useMemo(() => ({ part: edge.id, item: item.id }), [edge.id, item.id]);
  const move = (to: number) => edit(edits.moveItem(item.id, edge.id, to));
  return (
    <>
      <p className="mb-3 text-dust">{kind.summary}</p>
      <div className="mb-4 flex items-center gap-0.5">
        <IconButton label="Earlier" disabled={index === 0} onClick={() => move(index - 1)}>
          <ArrowLeft size={15} />
        </IconButton>
        <IconButton label="Later" disabled={index === edge.items.length - 1} onClick={() => move(index + 1)}>
          <ArrowRight size={15} />
        </IconButton>
        <Swap item={item} />
        <IconButton label="Duplicate" onClick={duplicateSelection}>
          <Copy size={15} />
        </IconButton>
        <IconButton label="Remove" onClick={removeSelection} className="ml-auto hover:!text-rust">
          <Trash2 size={15} />
        </IconButton>
      </div>
      {kind.faces.length > 1 && (
        <Section title="Face">
          <ItemFaces item={item} edge={edge} />
        </Section>
      )}
      {Object.keys(kind.options.shape).length > 0 && (
        <Section title="Options">
          <OfPart value={of}>
            <Fields
              schema={kind.options}
              values={item.options}
              face={item.face}
              onTurn={(change, label) => turn(named(label, edits.setItem(edge.id, item.id, change)))}
              onEnd={endGesture}
            />
          </OfPart>
        </Section>
      )}
      <Section title="Margins" note={<Stretch item={item} edge={edge} />}>
        <Fields
          schema={ItemFrame}
          values={{ ...item }}
          onTurn={(change, label) => turn(named(label, edits.setItemFrame(item.id, change)))}
          onEnd={endGesture}
        />
      </Section>
      <OnAll item={item} edge={edge} />
    </>
  );
}
