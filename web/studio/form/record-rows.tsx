import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { z } from 'zod';
import { lookUp } from '../../../core/values/look-up.ts';
import { Button, IconButton } from '../../ui/buttons.tsx';
import type { Values } from './control.ts';
import { controls } from './controls.tsx';
import { controlOf, fieldsOf, lengthsOf, type FieldShape } from './schema.ts';

interface RecordRowsProps {
  /** The list's schema: its entries have an id and a name, and fields that fit in a row. */
  list: z.ZodArray<z.ZodObject>;
  /** What one of them is called. */
  one: string;
  entries: readonly (Values & { id: string; name: string })[];
  /** The widths of a row's fields, as grid tracks. */
  columns: string;
  /** A turn of a change under way, which onEnd ends. */
  onTurn: (id: string, change: Record<string, unknown>) => void;
  onEnd: () => void;
  onAdd: () => void;
  onRemove: (id: string) => void;
}

/** A list of named records as a table: a row each, their fields side by side, and one more by a press. */
export function RecordRows({ list, one, entries, columns, onTurn, onEnd, onAdd, onRemove }: RecordRowsProps) {
  const [error, setError] = useState<string | null>(null);
  const { least, most } = lengthsOf(list);
  const fields = fieldsOf(list.element);
  const tracks = { gridTemplateColumns: `20px ${columns} 32px` };
  return (
    <div className="grid gap-3">
      <div className="grid gap-1.5" role="table" aria-label={`${one}s`}>
        {fields.length > 1 && (
          <div className="grid gap-2 text-[12px] text-dust" style={tracks} role="row">
            <span role="columnheader" />
            {fields.map(([key, { facts }]) => (
              <span key={key} role="columnheader">
                {facts.label}
              </span>
            ))}
          </div>
        )}
        {entries.map((entry, index) => (
          <div key={entry.id} className="grid items-center gap-2" style={tracks} role="row">
            <span className="text-right font-mono text-dust">{index + 1}</span>
            {fields.map(([key, shape]) => (
              <Cell
                key={key}
                label={labelOf(shape, key, one, entry.name, index)}
                field={shape.facts.label}
                shape={shape}
                value={lookUp(entry, key)}
                onTurn={(value) => onTurn(entry.id, { [key]: value })}
                onEnd={onEnd}
                onError={setError}
              />
            ))}
            <IconButton
              label={`Remove ${entry.name}`}
              disabled={entries.length <= least}
              onClick={() => onRemove(entry.id)}
            >
              <Trash2 size={15} />
            </IconButton>
          </div>
        ))}
      </div>
      <p role="alert" className="min-h-4 text-[12px] text-rust empty:hidden">
        {error}
      </p>
      <div>
        <Button disabled={entries.length >= most} onClick={onAdd}>
          <Plus size={15} /> Add a {one.toLowerCase()}
        </Button>
      </div>
    </div>
  );
}

function labelOf({ facts }: FieldShape, key: string, one: string, name: string, index: number): string {
  return key === 'name'
    ? `Name of ${one.toLowerCase()} ${index + 1}`
    : `${name}: ${facts.label.toLowerCase()}`;
}

function Cell({
  label,
  field,
  shape,
  value,
  onTurn,
  onEnd,
  onError,
}: {
  label: string;
  /** What the search finds it by. */
  field: string;
  shape: FieldShape;
  value: unknown;
  onTurn: (value: unknown) => void;
  onEnd: () => void;
  onError: (sentence: string | null) => void;
}) {
  const control = controlOf(shape);
  if (control === 'switch') return null;
  const Control = controls[control];
  return (
    <div className="flex min-w-0 items-center" role="cell" data-field={field}>
      <Control
        label={label}
        shape={shape}
        value={value}
        values={{}}
        onTurn={(next) => onTurn(typeof next === 'string' ? next.trim() : next)}
        onEnd={onEnd}
        onError={onError}
      />
    </div>
  );
}
