import { arrayMove } from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import { named } from '../../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../../core/desk/edits/edits.ts';
import type { Outside } from '../../../../../core/sources/outside.ts';
import { useDesk } from '../../../../session/desk.ts';
import { Button } from '../../../../ui/buttons.tsx';
import { OrderedList } from '../../../../ui/ordered-list.tsx';
import { UsedBy } from '../../../parts/used-by.tsx';
import { Fields } from '../../../form/form.tsx';

type Key = 'calendars' | 'headlines';
type Entry<K extends Key> = Outside[K][number];

/** Changes one list of what is read from outside, as a turn of a gesture or as one step. */
export function setOutside<K extends Key>(
  key: K,
  entries: readonly Entry<K>[],
  label: string,
  isTurn = false,
): boolean {
  const edit = named(label, edits.setOutside({ [key]: entries }));
  return isTurn ? useDesk.getState().turn(edit) : useDesk.getState().edit(edit);
}

/** Calendars or sources of headlines: each with its fields beneath its row, in an order of one's own. */
export function OutsideList<K extends Key>({
  list,
  one,
  schema,
  entries,
  most,
  fresh,
  more,
}: {
  list: K;
  /** What one of them is called. */
  one: string;
  schema: z.ZodObject;
  entries: readonly Entry<K>[];
  most: number;
  fresh: () => Entry<K>;
  /** What else is drawn beneath an entry's fields. */
  more: (entry: Entry<K>) => ReactNode;
}) {
  const desk = useDesk(({ history }) => history?.present);
  const titleOf = ({ title }: Entry<K>, index: number) => title || `${one} ${index + 1}`;
  return (
    <div className="grid gap-2">
      <OrderedList
        rows={entries.map((entry, index) => ({
          id: entry.id,
          title: titleOf(entry, index),
          content: <span className="truncate font-medium">{titleOf(entry, index)}</span>,
          onRemove: () =>
            useDesk
              .getState()
              .edit(named(`Remove ${titleOf(entry, index)}`, edits.removeOutside(list, entry.id))),
          inside: (
            <div className="grid gap-1.5">
              <Fields
                schema={schema}
                values={entry}
                of={titleOf(entry, index)}
                onTurn={(change, label) =>
                  setOutside(
                    list,
                    entries.map((old) => (old.id === entry.id ? { ...old, ...change } : old)),
                    label,
                    true,
                  )
                }
                onEnd={() => useDesk.getState().endGesture()}
              />
              {more(entry)}
              {desk && (
                <UsedBy
                  desk={desk}
                  to={list === 'calendars' ? 'calendar' : list}
                  id={entry.id}
                  isOnlyWhereUsed
                />
              )}
            </div>
          ),
        }))}
        onMove={(id, index) =>
          setOutside(
            list,
            arrayMove(
              [...entries],
              entries.findIndex((entry) => entry.id === id),
              index,
            ),
            `Order of ${list}`,
          )
        }
      />
      {entries.length === 0 && <p className="text-dust">None yet.</p>}
      <Button
        className="justify-self-start"
        disabled={entries.length >= most}
        onClick={() => setOutside(list, [...entries, fresh()], `Add ${one.toLowerCase()}`)}
      >
        <Plus size={15} /> {one}
      </Button>
    </div>
  );
}
