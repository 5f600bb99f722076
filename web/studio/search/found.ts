import type { z } from 'zod';
import { lookUp } from '../../../core/values/look-up.ts';
import { fieldsOf, innerOf, isValues, variantOf, type FieldShape, type Values } from '../form/schema.ts';

/** A field as it is found: by its label and other words, wherever in a form it stands. */
export interface FoundField {
  /** Keys on the way to it, joined by dots. */
  key: string;
  label: string;
  also: string;
  /** Labels of what to go to, the best first: itself, what decides whether it is there, what it stands in. */
  by: readonly string[];
  /** Whether the form shows it as things are. */
  isThere: boolean;
}

/** What a form shows at the moment; absent where all that it can show is meant. */
export interface FormNow {
  values: Values;
  /** Of a widget or an item. */
  face: string | null;
}

/** The field of the faces that a widget or an item can take on. */
const FACE = 'Face';

/** Every field of a form, each label once: also those within others, and those that have no effect at the moment. */
export function foundIn(schema: z.ZodObject, now: FormNow | null = null): FoundField[] {
  return once(allIn(schema, now));
}

/** The same of some forms together. */
export function foundInAll(schemas: readonly z.ZodObject[]): FoundField[] {
  return once(schemas.flatMap((schema) => allIn(schema, null)));
}

function once(all: readonly FoundField[]): FoundField[] {
  const byLabel = new Map<string, FoundField>();
  for (const found of all) if (!byLabel.has(found.label)) byLabel.set(found.label, found);
  return [...byLabel.values()];
}

function allIn(schema: z.ZodObject, now: FormNow | null): FoundField[] {
  const fields = fieldsOf(schema);
  return fields.flatMap(([key, shape]): FoundField[] => {
    const { facts } = shape;
    const label = (now && facts.labelFor?.(now.values)) ?? facts.label;
    const isThere = !now || (facts.when?.(now.values, now.face) ?? true);
    const by = [label, ...(isThere && now ? [] : decidersOf(shape, now, fields))];
    const within = withinOf(shape, now && lookUp(now.values, key), now?.face ?? null);
    return [
      { key, label, also: facts.also ?? '', by, isThere },
      ...within.map((one) => ({
        ...one,
        key: `${key}.${one.key}`,
        by: [...one.by, ...by],
        isThere: isThere && one.isThere,
      })),
    ];
  });
}

/** The fields within one: of a group, of each shape that a value can have, of a list's records. */
function withinOf(shape: FieldShape, value: unknown, face: string | null): FoundField[] {
  const inner = innerOf(shape);
  const now = isValues(value) ? { values: value, face } : null;
  switch (inner.kind) {
    case 'group':
      return allIn(inner.schema, now);
    case 'variant': {
      const present = now && variantOf(inner.by, inner.options, now.values);
      // The shape that it has comes first: a label that two have is gone to where it is.
      return [...inner.options]
        .sort((a, b) => Number(b === present) - Number(a === present))
        .flatMap((option) =>
          allIn(option, option === present ? now : null).map((one) => ({
            ...one,
            isThere: one.isThere && (!now || option === present),
          })),
        );
    }
    case 'list':
      return shape.facts.control ? [] : allIn(inner.schema, null);
    case 'value':
      return [];
  }
}

/** The labels of what decides whether a field has an effect. */
function decidersOf(
  { facts: { when } }: FieldShape,
  now: FormNow | null,
  fields: readonly [string, FieldShape][],
): string[] {
  if (!when) return [];
  const asked = new Set<string | symbol>();
  const watched = new Proxy(now?.values ?? {}, {
    get(own, key): unknown {
      asked.add(key);
      return Reflect.get(own, key);
    },
  });
  when(watched, now?.face ?? null);
  const labels = fields.flatMap(([key, { facts }]) => (asked.has(key) ? [facts.label] : []));
  return now?.face ? [...labels, FACE] : labels;
}
