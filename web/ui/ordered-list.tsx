import {
  DndContext,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { GripVertical, X } from 'lucide-react';
import { useLayoutEffect, useRef, type ReactNode } from 'react';

export interface OrderedRow {
  id: string;
  title: string;
  /** What stands in the row, and what a press on it does. */
  content: ReactNode;
  onPress?: () => void;
  /** Absent where the row must stay. */
  onRemove?: () => void;
  /** What stands beneath the row. */
  inside?: ReactNode;
}

/** A list whose order counts: rows are dragged by their grips, or moved by arrows on them. */
export function OrderedList({
  rows,
  onMove,
  isTall = false,
}: {
  rows: readonly OrderedRow[];
  /** Moves a row to an index. */
  onMove: (id: string, index: number) => void;
  isTall?: boolean;
}) {
  const list = useRef<HTMLUListElement>(null);
  const moved = useRef<number | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  function onDragEnd({ active, over }: DragEndEvent) {
    const index = rows.findIndex(({ id }) => id === over?.id);
    if (index >= 0 && over?.id !== active.id) onMove(String(active.id), index);
  }
  /** A step by an arrow; the grip in hand is the one that moved. */
  function step(id: string, by: 1 | -1) {
    const to = rows.findIndex((row) => row.id === id) + by;
    if (to < 0 || to >= rows.length) return;
    moved.current = to;
    onMove(id, to);
  }
  const order = rows.map(({ id, title }) => `${id} ${title}`).join('\n');
  useLayoutEffect(() => {
    if (moved.current === null) return;
    list.current?.children[moved.current]?.querySelector('button')?.focus();
    moved.current = null;
  }, [order]);
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={rows.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ul ref={list} className="grid grid-cols-[minmax(0,1fr)] gap-1">
          {rows.map((row) => (
            <Row key={row.id} row={row} isTall={isTall} onStep={step} />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}

function Row({
  row,
  isTall,
  onStep,
}: {
  row: OrderedRow;
  isTall: boolean;
  onStep: (id: string, by: 1 | -1) => void;
}) {
  const { id, title, content, onPress, onRemove, inside } = row;
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      data-row={id}
      aria-label={title}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx('rounded-lg bg-nap', isDragging && 'relative z-10 shadow-xl outline outline-brass')}
    >
      <div className={clsx('flex items-center', isTall ? 'h-10' : 'h-8')}>
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Move ${title}`}
          aria-roledescription="grip: arrows move it"
          onKeyDown={({ key, nativeEvent }) => {
            if (key !== 'ArrowUp' && key !== 'ArrowDown') return;
            nativeEvent.preventDefault();
            onStep(id, key === 'ArrowUp' ? -1 : 1);
          }}
          className="grid h-full w-7 cursor-grab touch-none place-items-center text-dust hover:text-chalk"
        >
          <GripVertical size={14} />
        </button>
        {onPress ? (
          <button type="button" onClick={onPress} className={`${inRow} hover:text-brass`}>
            {content}
          </button>
        ) : (
          <div className={inRow}>{content}</div>
        )}
        {onRemove && (
          <button
            type="button"
            aria-label={`Remove ${title}`}
            onClick={onRemove}
            className="grid h-full w-8 place-items-center text-dust hover:text-rust"
          >
            <X size={14} />
          </button>
        )}
      </div>
      {inside && <div className="grid gap-1 px-2.5 pb-2">{inside}</div>}
    </li>
  );
}

const inRow = 'flex h-full min-w-0 flex-1 items-center gap-2.5 text-left';
