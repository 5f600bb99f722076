import { arrayMove } from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/buttons.tsx';
import { OrderedList, type OrderedRow } from '../../ui/ordered-list.tsx';
import type { Values } from './control.ts';

/** A list of records: each with its fields beneath its row, moved by its grip, and removed where enough stay. */
export function RecordList<Entry extends Values>({
  label,
  one,
  entries,
  least,
  most,
  onTurn,
  onEnd,
  add,
  inside,
  told,
  row,
}: {
  /** What the list is found by. */
  label: string;
  /** What one of them is called. */
  one: string;
  entries: readonly Entry[];
  least: number;
  most: number;
  onTurn: (entries: readonly Entry[]) => void;
  onEnd: () => void;
  /** What is added; null when there is nothing to add. */
  add?: (entries: readonly Entry[]) => Entry | null;
  /** What is drawn beneath a row, whose turns give the fields of the record that change. */
  inside: (entry: Entry, title: string, onTurn: (change: Values) => void) => ReactNode;
  /** What one is told by: each is open once it is pressed, and no other then. Without, all are open. */
  told?: (entry: Entry) => string;
  /** What stands in a row instead of that, in two lines. */
  row?: (entry: Entry) => ReactNode;
}) {
  const [open, setOpen] = useState<number | null>(null);
  function set(next: readonly Entry[]): void {
    onTurn(next);
    onEnd();
  }
  const rows = entries.map((entry, index): OrderedRow => {
    const title = `${one} ${index + 1}`;
    return {
      // Records have no ids of their own: where one stands is what it is known by.
      id: String(index),
      title,
      content: row ? (
        row(entry)
      ) : (
        <span className="min-w-0 truncate text-dust">
          {title} {told && <span className="text-chalk">{told(entry)}</span>}
        </span>
      ),
      ...(told ? { onPress: () => setOpen(open === index ? null : index) } : {}),
      onRemove: entries.length > least ? () => set(entries.filter((_, at) => at !== index)) : undefined,
      inside:
        !told || open === index
          ? inside(entry, title, (change) =>
              onTurn(entries.map((old, at) => (at === index ? { ...old, ...change } : old))),
            )
          : undefined,
    };
  });
  const next = add?.(entries) ?? null;
  return (
    <div data-field={label} className="mt-1 grid grid-cols-[minmax(0,1fr)] gap-2">
      <OrderedList
        rows={rows}
        isTall={row !== undefined}
        onMove={(id, index) => set(arrayMove([...entries], Number(id), index))}
      />
      {add && (
        <Button
          className="justify-self-start"
          disabled={next === null || entries.length >= most}
          onClick={() => {
            if (!next) return;
            set([...entries, next]);
            setOpen(entries.length);
          }}
        >
          <Plus size={15} /> {one}
        </Button>
      )}
    </div>
  );
}
