import { useMemo, useState } from 'react';
import { z } from 'zod';
import type { RoleValues } from '../../../core/colour/roles.ts';
import type { Colour } from '../../../core/values/roles.ts';
import type { Application } from '../../../core/desk/sections/applications.ts';
import { formatMoment, isDatePattern } from '../../../core/sources/time/time.ts';
import { useConditions } from '../../session/conditions.ts';
import { useDesk } from '../../session/desk.ts';
import { ColourField } from '../../ui/colour-field.tsx';
import {
  NumberField,
  Row,
  Segmented,
  SelectField,
  SliderField,
  SwitchField,
  TextField,
} from '../../ui/controls.tsx';
import { lookUp } from '../../../core/values/look-up.ts';

/** What a kind's options schema says of one field, with the meta data that the schema carries. */
interface Field {
  type?: string;
  enum?: string[];
  minimum?: number;
  maximum?: number;
  label?: string;
  unit?: string;
  control?: 'colour' | 'zone' | 'pattern' | 'application' | 'slider';
  choices?: Record<string, string>;
  placeholder?: string;
  /** Faces that the field is for; all when absent. */
  faces?: string[];
}

function fieldsOf(schema: z.ZodObject): [string, Field][] {
  const { properties = {} } = z.toJSONSchema(schema, { io: 'input' }) as {
    properties?: Record<string, Field>;
  };
  return Object.entries(properties).filter(([, field]) => field.label !== undefined);
}

/** The form of a kind's options, made from its schema: a new kind needs none of its own. */
export function OptionsForm({
  schema,
  options,
  face,
  roles,
  onTurn,
  onEnd,
}: {
  schema: z.ZodObject;
  options: Record<string, unknown>;
  face?: string;
  roles: RoleValues;
  onTurn: (change: Record<string, unknown>) => void;
  onEnd: () => void;
}) {
  const fields = useMemo(() => fieldsOf(schema), [schema]);
  const applications = useDesk((state) => state.history?.present.applications) ?? [];
  return fields
    .filter(([, field]) => !field.faces || face === undefined || field.faces.includes(face))
    .map(([key, field]) => (
      <OptionField
        key={key}
        field={field}
        value={lookUp(options, key)}
        schema={lookUp(schema.shape, key) as z.ZodType}
        roles={roles}
        applications={applications}
        onTurn={(value) => onTurn({ [key]: value })}
        onEnd={onEnd}
      />
    ));
}

interface FieldProps {
  field: Field;
  value: unknown;
  schema: z.ZodType;
  roles: RoleValues;
  applications: readonly Application[];
  onTurn: (value: unknown) => void;
  onEnd: () => void;
}

function OptionField({ field, value, schema, roles, applications, onTurn, onEnd }: FieldProps) {
  const [error, setError] = useState<string | null>(null);
  const label = field.label ?? '';
  const take = (next: unknown) => {
    onTurn(next);
    onEnd();
  };
  if (field.type === 'boolean') return <SwitchField label={label} value={value === true} onChange={take} />;
  return (
    <Row label={label} error={error}>
      <Control
        field={field}
        label={label}
        value={value}
        schema={schema}
        roles={roles}
        applications={applications}
        onTurn={onTurn}
        onEnd={onEnd}
        onTake={take}
        onError={setError}
      />
    </Row>
  );
}

function Control({
  field,
  label,
  value,
  schema,
  roles,
  applications,
  onTurn,
  onEnd,
  onTake,
  onError,
}: FieldProps & {
  label: string;
  onTake: (value: unknown) => void;
  onError: (sentence: string | null) => void;
}) {
  const range = { min: field.minimum ?? 0, max: field.maximum ?? 100 };
  if (field.control === 'colour')
    return <ColourField label={label} value={value as Colour} roles={roles} onTurn={onTurn} onEnd={onEnd} />;
  if (field.control === 'application') {
    return (
      <SelectField
        label={label}
        value={String(value)}
        placeholder="Choose one"
        choices={applications.map(({ id, Name }) => ({ value: id, label: Name }))}
        onChange={onTake}
      />
    );
  }
  if (field.control === 'slider')
    return (
      <SliderField
        label={label}
        value={Number(value)}
        {...range}
        unit={field.unit}
        onTurn={onTurn}
        onEnd={onEnd}
      />
    );
  if (field.enum) {
    const choices = field.enum.map((choice) => ({
      value: choice,
      label: (field.choices && lookUp(field.choices, choice)) ?? choice,
    }));
    const Chooser = choices.length <= 3 ? Segmented : SelectField;
    return <Chooser label={label} value={String(value)} choices={choices} onChange={onTake} />;
  }
  if (field.type === 'number' || field.type === 'integer') {
    return (
      <NumberField
        label={label}
        value={Number(value)}
        {...range}
        step={range.max <= 20 ? 0.5 : 1}
        decimals={2}
        unit={field.unit}
        onChange={onTake}
        onError={onError}
      />
    );
  }
  const check = (text: string) => {
    const read = schema.safeParse(text);
    return read.success
      ? null
      : `“${text.slice(0, 24)}” ${read.error.issues[0]?.message ?? 'was not taken'}.`;
  };
  return (
    <div className="grid w-full gap-1">
      <TextField
        label={label}
        value={String(value ?? '')}
        placeholder={field.placeholder}
        check={check}
        list={field.control === 'zone' ? zones : undefined}
        onChange={onTake}
        onError={onError}
      />
      {field.control === 'pattern' && <PatternPreview pattern={String(value)} />}
    </div>
  );
}

const zones = Intl.supportedValuesOf('timeZone');

function PatternPreview({ pattern }: { pattern: string }) {
  const moment = useConditions((state) => state.moment);
  const zone = useDesk((state) => state.history?.present.place.zone ?? 'UTC');
  if (!pattern || !isDatePattern(pattern)) return null;
  return <span className="truncate text-[12px] text-dust">{formatMoment(moment, zone, pattern)}</span>;
}
