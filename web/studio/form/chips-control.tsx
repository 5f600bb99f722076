import {
  DndContext,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, arrayMove, horizontalListSortingStrategy, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { Plus, X } from 'lucide-react';
import { useLayoutEffect, useRef, type FC } from 'react';
import { lookUp } from '../../../core/values/look-up.ts';
import { taking, type ControlProps, type Values } from './control.ts';
import { fieldsOf, innerOf } from './schema.ts';

/**
 * Records of one field that is one of a few things, each of them once: chips in their order, which are dragged or moved
 * by arrows; those that are not there stand behind them and come with a press.
 */
export const ChipsControl: FC<ControlProps> = (props) => {
  const inner = innerOf(props.shape);
  const keyed = inner.kind === 'list' ? fieldsOf(inner.schema)[0] : undefined;
  if (!keyed) throw new Error(`${props.label}: chips are records of one field`);
  const [key, { choices }] = keyed;
  const chosen = [...new Set((props.value as readonly Values[]).map((entry) => String(lookUp(entry, key))))];
  const take = (next: readonly string[]) => taking(props)(next.map((one) => ({ [key]: one })));
  return <Chips label={props.label} choices={choices} chosen={chosen} onChange={take} />;
};

function Chips({
  label,
  choices,
  chosen,
  onChange,
}: {
  label: string;
  choices: readonly { value: string; label: string }[];
  chosen: readonly string[];
  onChange: (chosen: readonly string[]) => void;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const list = useRef<HTMLDivElement>(null);
  const moved = useRef<string | null>(null);
  useLayoutEffect(() => {
    // The chip in hand is the one that moved.
    if (moved.current) list.current?.querySelector<HTMLElement>(`[data-chip="${moved.current}"]`)?.focus();
    moved.current = null;
  }, [chosen]);
  const move = (from: number, to: number) => onChange(arrayMove([...chosen], from, to));
  function onDragEnd({ active, over }: DragEndEvent) {
    const to = chosen.indexOf(String(over?.id));
    if (to >= 0 && over?.id !== active.id) move(chosen.indexOf(String(active.id)), to);
  }
  function step(value: string, by: 1 | -1) {
    const from = chosen.indexOf(value);
    if (from + by < 0 || from + by >= chosen.length) return;
    moved.current = value;
    move(from, from + by);
  }
  const titleOf = (value: string) => choices.find((choice) => choice.value === value)?.label ?? value;
  return (
    <div ref={list} role="group" aria-label={label} className="flex flex-wrap items-center gap-1.5 py-1">
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={[...chosen]} strategy={horizontalListSortingStrategy}>
          {chosen.map((value) => (
            <Chip
              key={value}
              value={value}
              title={titleOf(value)}
              onStep={step}
              onRemove={() => onChange(chosen.filter((one) => one !== value))}
            />
          ))}
        </SortableContext>
      </DndContext>
      {choices
        .filter(({ value }) => !chosen.includes(value))
        .map(({ value, label: title }) => (
          <button
            key={value}
            type="button"
            aria-label={`Add ${title}`}
            onClick={() => onChange([...chosen, value])}
            className="flex h-7 items-center gap-1 rounded-full border border-dashed border-dust/70 px-2.5 text-dust hover:border-brass hover:text-chalk"
          >
            <Plus size={13} /> {title}
          </button>
        ))}
    </div>
  );
}

function Chip({
  value,
  title,
  onStep,
  onRemove,
}: {
  value: string;
  title: string;
  onStep: (value: string, by: 1 | -1) => void;
  onRemove: () => void;
}) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id: value });
  return (
    <span
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx(
        'flex h-7 items-center rounded-full bg-nap',
        isDragging && 'relative z-10 shadow-xl outline outline-brass',
      )}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        data-chip={value}
        aria-roledescription="chip: arrows move it, Delete takes it away"
        onKeyDown={({ key, nativeEvent }) => {
          if (key === 'ArrowLeft' || key === 'ArrowRight') onStep(value, key === 'ArrowLeft' ? -1 : 1);
          else if (key === 'Delete' || key === 'Backspace') onRemove();
          else return;
          // A part on the stage is not meant.
          nativeEvent.preventDefault();
          nativeEvent.stopPropagation();
        }}
        className="h-full cursor-grab touch-none pl-3 pr-1 hover:text-brass"
      >
        {title}
      </button>
      <button
        type="button"
        aria-label={`Remove ${title}`}
        onClick={onRemove}
        className="grid h-full w-6 place-items-center text-dust hover:text-rust"
      >
        <X size={13} />
      </button>
    </span>
  );
}
