import { useMemo, useState, type ReactNode } from 'react';
import type { z } from 'zod';
import type { FieldFacts } from '../../../core/values/field.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import { SwitchField } from '../../ui/choice.tsx';
import { More } from '../../ui/fold.tsx';
import { Row, Section } from '../../ui/section.tsx';
import type { ControlProps, Values } from './control.ts';
import { VariantControl, controls } from './controls.tsx';
import { RecordList } from './record-list.tsx';
import { toldOf } from './told.ts';
import {
  choicesBeside,
  controlOf,
  fieldsOf,
  innerOf,
  isUsual,
  isValues,
  variantOf,
  type FieldShape,
} from './schema.ts';

export interface FormProps {
  schema: z.ZodObject;
  values: Values;
  /** A turn of a change under way: the fields that change, and what it is called. */
  onTurn: (change: Record<string, unknown>, label: string) => void;
  onEnd: () => void;
  /** What the fields belong to, when that must be read out with their labels. */
  of?: string;
  /** The face of a widget or an item. */
  face?: string | null;
  /** Some of the fields only. */
  only?: readonly string[];
  /** Fields of which several things that are edited together have other values than the first, which `values` has. */
  differing?: ReadonlySet<string>;
  /** For lists of records, by their field: what is added to one, where that follows from more than stands in the document. */
  adders?: Readonly<Record<string, (entries: readonly Values[]) => Values | null>>;
}

/** The fields of a schema, one under the other: every form is made from its schema. What few set stands last, folded. */
export function Fields(props: FormProps) {
  const fields = useFields(props);
  const [often, seldom] = partition(fields, ([, { facts }]) => !facts.isSeldom);
  return (
    <>
      <Rows {...props} fields={often} />
      <Folded fields={seldom} values={props.values} isOpen={often.length === 0}>
        {() => <Rows {...props} fields={seldom} />}
      </Folded>
    </>
  );
}

type Keyed = [key: string, shape: FieldShape];

/** Those that a form shows beside the values that there are. */
function useFields({ schema, values, face = null, only }: FormProps): Keyed[] {
  const fields = useMemo(() => fieldsOf(schema), [schema]);
  return fields.filter(
    ([key, { facts }]) => (only?.includes(key) ?? true) && (facts.when?.(values, face) ?? true),
  );
}

function Rows({
  fields,
  values,
  face = null,
  differing,
  schema: _schema,
  only: _only,
  ...rest
}: FormProps & { fields: readonly Keyed[] }) {
  return fields.map(([key, shape]) => (
    <AnyField
      key={key}
      {...rest}
      name={key}
      shape={shape}
      values={values}
      value={lookUp(values, key)}
      face={face}
      isDiffering={differing?.has(key)}
    />
  ));
}

/** Seldom set fields under *More*; where a form has no others they stand open. */
function Folded({
  fields,
  values,
  isOpen,
  children,
}: {
  fields: readonly Keyed[];
  values: Values;
  isOpen: boolean;
  children: () => ReactNode;
}) {
  if (fields.length === 0) return null;
  if (isOpen) return children();
  return (
    <More
      holds={fields.flatMap(labelsOf)}
      isSet={fields.some(([key, shape]) => !isUsual(shape, lookUp(values, key)))}
    >
      {children}
    </More>
  );
}

/** A field's label, and those of the fields within. */
function labelsOf([, shape]: Keyed): string[] {
  const inner = innerOf(shape);
  return [shape.facts.label, ...(inner.kind === 'group' ? fieldsOf(inner.schema).flatMap(labelsOf) : [])];
}

/** A field of whatever shape: its control, or the fields within, each of whose turns writes the whole of it. */
function AnyField({
  name,
  shape,
  values,
  value,
  face,
  onTurn,
  ...rest
}: Pick<FormProps, 'onTurn' | 'onEnd' | 'of' | 'adders'> & {
  face: string | null;
  isDiffering?: boolean;
  name: string;
  shape: FieldShape;
  values: Values;
  value: unknown;
}) {
  const { facts } = shape;
  const inner = useMemo(() => innerOf(shape), [shape]);
  const turn = (next: unknown, beside?: Values) => onTurn({ ...beside, [name]: next }, facts.label);
  if (inner.kind === 'group' && isValues(value)) {
    const within = (change: Values) => turn({ ...value, ...change });
    return (
      <div data-field={facts.label} className="contents">
        <Fields schema={inner.schema} values={value} of={facts.label} onTurn={within} onEnd={rest.onEnd} />
      </div>
    );
  }
  if (inner.kind === 'variant' && isValues(value)) {
    const within = variantOf(inner.by, inner.options, value);
    return (
      <>
        <Field {...rest} shape={shape} values={values} value={value} onTurn={turn} />
        {within && (
          <Fields
            schema={within}
            values={value}
            of={rest.of}
            onTurn={(change) => turn({ ...value, ...change })}
            onEnd={rest.onEnd}
          />
        )}
      </>
    );
  }
  if (inner.kind === 'list' && Array.isArray(value) && !facts.control) {
    return (
      <RecordList
        label={facts.label}
        least={inner.least}
        most={inner.most}
        one={facts.one ?? facts.label}
        entries={value as Values[]}
        onTurn={turn}
        onEnd={rest.onEnd}
        add={
          lookUp(rest.adders ?? {}, name) ??
          (facts.starts && ((entries) => facts.starts?.(entries, { values, face }) ?? null))
        }
        told={fieldsOf(inner.schema).length > MOST_OPEN ? (entry) => toldOf(inner.schema, entry) : undefined}
        inside={(entry, title, onEntry) => (
          <Fields schema={inner.schema} values={entry} of={title} onTurn={onEntry} onEnd={rest.onEnd} />
        )}
      />
    );
  }
  return <Field {...rest} shape={shape} values={values} value={value} onTurn={turn} />;
}

/** Records of more fields are open one at a time. */
const MOST_OPEN = 3;

/** The fields of a schema under the names of their groups; those without one stand under `rest`, or their own label. */
export function GroupedFields({
  notes = {},
  rest,
  ...props
}: FormProps & { notes?: Record<string, ReactNode>; rest?: string }) {
  const [often, seldom] = partition(useFields(props), ([, { facts }]) => !facts.isSeldom);
  const sections = (fields: readonly Keyed[]) =>
    Array.from(groupsOf(fields, rest), ([title, keyed]) => (
      <Section key={title} title={title} note={lookUp(notes, title)}>
        <Rows {...props} fields={keyed} />
      </Section>
    ));
  return (
    <>
      {sections(often)}
      <Folded fields={seldom} values={props.values} isOpen={often.length === 0}>
        {() => sections(seldom)}
      </Folded>
    </>
  );
}

/** Fields by the title of their group. */
function groupsOf(fields: readonly Keyed[], rest: string | undefined): Map<string, Keyed[]> {
  const groups = new Map<string, Keyed[]>();
  for (const keyed of fields) {
    const { group, label } = keyed[1].facts;
    const title = group ?? rest ?? label;
    groups.set(title, [...(groups.get(title) ?? []), keyed]);
  }
  return groups;
}

function partition<T>(list: readonly T[], isFirst: (one: T) => boolean): [T[], T[]] {
  return [list.filter(isFirst), list.filter((one) => !isFirst(one))];
}

/** One field: its label, its control, and what is wrong with what was asked for. */
export function Field({
  shape,
  of,
  values = {},
  ...rest
}: Omit<ControlProps, 'label' | 'values' | 'onError'> & { of?: string; values?: Values }) {
  const [error, setError] = useState<string | null>(null);
  const { facts } = shape;
  const label = facts.labelFor?.(values) ?? facts.label;
  const spoken = of ? `${of}: ${label.toLowerCase()}` : label;
  const inner = innerOf(shape);
  const control = controlOf(shape);
  if (control === 'switch') {
    const take = (value: boolean) => {
      rest.onTurn(value);
      rest.onEnd();
    };
    return (
      <SwitchField
        label={label}
        hint={facts.hint}
        spoken={spoken}
        value={rest.value === true}
        isDiffering={rest.isDiffering}
        onChange={take}
      />
    );
  }
  const given = {
    ...rest,
    values,
    label: spoken,
    shape: { ...shape, choices: choicesBeside(shape, values) },
    onError: setError,
  };
  const Control = controls[control];
  const drawn =
    inner.kind === 'variant' && !facts.control ? (
      <VariantControl {...given} by={inner.by} />
    ) : (
      <Control {...given} />
    );
  const { instead } = facts;
  if (instead && rest.value === instead.word) return <Instead {...{ instead, of, ...rest }} isOn />;
  return facts.isWide ? (
    <div data-field={label}>
      {instead && <Instead {...{ instead, of, ...rest }} />}
      {inner.kind === 'variant' && <span className="mb-1 mt-1.5 block text-dust">{label}</span>}
      {drawn}
      <Wrong sentence={error} />
    </div>
  ) : (
    <>
      {instead && <Instead {...{ instead, of, ...rest }} />}
      <Row label={label} hint={facts.hint} error={error}>
        {drawn}
      </Row>
    </>
  );
}

/** Whether a field is the word that it can be instead of a value. */
function Instead({
  instead: { word, label, off },
  isOn = false,
  of,
  onTurn,
  onEnd,
}: Pick<ControlProps, 'onTurn' | 'onEnd'> & {
  instead: NonNullable<FieldFacts['instead']>;
  isOn?: boolean;
  of?: string;
}) {
  return (
    <SwitchField
      label={label}
      spoken={of ? `${of}: ${label.toLowerCase()}` : label}
      value={isOn}
      onChange={(next) => {
        onTurn(next ? word : off);
        onEnd();
      }}
    />
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
