import { useMemo, useState, type ReactNode } from 'react';
import { z } from 'zod';
import { lookUp } from '../../../core/values/look-up.ts';
import { SwitchField } from '../../ui/choice.tsx';
import { Row, Section } from '../../ui/section.tsx';
import { controls, type ControlProps } from './controls.tsx';
import { controlOf, fieldsOf, type FieldShape } from './schema.ts';

type Values = Readonly<Record<string, unknown>>;

export interface FormProps {
  schema: z.ZodObject;
  values: Values;
  /** A turn of a change under way: the fields that change, and what it is called. */
  onTurn: (change: Record<string, unknown>, label: string) => void;
  onEnd: () => void;
  /** What the fields belong to, when that must be read out with their labels. */
  of?: string;
  /** The face of a widget. */
  face?: string | null;
  /** Some of the fields only. */
  only?: readonly string[];
}

/** The fields of a schema, one under the other: every form is made from its schema. */
export function Fields({ schema, values, onTurn, onEnd, of, face = null, only }: FormProps) {
  const fields = useMemo(() => fieldsOf(schema), [schema]);
  return fields
    .filter(([key, { facts }]) => (only?.includes(key) ?? true) && (facts.when?.(values, face) ?? true))
    .map(([key, shape]) => {
      const inner = shape.schema;
      const value = lookUp(values, key);
      if (inner instanceof z.ZodObject && isValues(value)) {
        // A group of fields within: each turn writes the whole of it.
        return (
          <Fields
            key={key}
            schema={inner}
            values={value}
            of={shape.facts.label}
            onTurn={(change) => onTurn({ [key]: { ...value, ...change } }, shape.facts.label)}
            onEnd={onEnd}
          />
        );
      }
      return (
        <Field
          key={key}
          shape={shape}
          of={of}
          values={values}
          value={value}
          onTurn={(next) => onTurn({ [key]: next }, shape.facts.label)}
          onEnd={onEnd}
        />
      );
    });
}

/** The fields of a schema under the names of their groups. */
export function GroupedFields({ notes = {}, ...props }: FormProps & { notes?: Record<string, ReactNode> }) {
  const groups = useMemo(() => groupsOf(props.schema), [props.schema]);
  return Array.from(groups, ([title, keys]) => (
    <Section key={title} title={title} note={lookUp(notes, title)}>
      <Fields {...props} only={keys} />
    </Section>
  ));
}

function groupsOf(schema: z.ZodObject): Map<string, string[]> {
  const groups = new Map<string, string[]>();
  for (const [key, { facts }] of fieldsOf(schema)) {
    const title = facts.group ?? facts.label;
    groups.set(title, [...(groups.get(title) ?? []), key]);
  }
  return groups;
}

/** One field: its label, its control, and what is wrong with what was asked for. */
export function Field({
  shape,
  of,
  values = {},
  ...rest
}: Omit<ControlProps, 'label' | 'onError'> & { of?: string; values?: Values }) {
  const [error, setError] = useState<string | null>(null);
  const { facts } = shape;
  const label = facts.labelFor?.(values) ?? facts.label;
  const spoken = of ? `${of}: ${label.toLowerCase()}` : label;
  const control = controlOf(shape);
  if (control === 'switch') {
    const take = (value: boolean) => {
      rest.onTurn(value);
      rest.onEnd();
    };
    return <SwitchField label={label} spoken={spoken} value={rest.value === true} onChange={take} />;
  }
  const Control = controls[control];
  const drawn = <Control {...rest} label={spoken} shape={shape} onError={setError} />;
  return facts.isWide ? (
    <div>
      {drawn}
      <Wrong sentence={error} />
    </div>
  ) : (
    <Row label={label} error={error}>
      {drawn}
    </Row>
  );
}

function Wrong({ sentence }: { sentence: string | null }) {
  return (
    sentence && (
      <p role="alert" className="pt-1 text-[12px] text-rust">
        {sentence}
      </p>
    )
  );
}

export type { FieldShape };

function isValues(value: unknown): value is Values {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
