import { z } from 'zod';
import { fieldOf, mostLetters, unwrapped, type FieldFacts } from '../../../core/values/field.ts';
import { lookUp } from '../../../core/values/look-up.ts';
import { isSame } from '../../../core/values/share.ts';

/** What a form reads off a field's schema: ranges and choices stand nowhere else. */
export interface FieldShape {
  schema: z.ZodType;
  facts: FieldFacts;
  min?: number;
  max?: number;
  isWhole: boolean;
  /** Of a text. */
  maxLength?: number;
  choices: { value: string; label: string }[];
}

/** What a form shows of a field: one control, or the fields within. */
export type Inner =
  | { kind: 'value' }
  /** Some fields that belong together. */
  | { kind: 'group'; schema: z.ZodObject }
  /** One of several groups of fields, told apart by a key. */
  | { kind: 'variant'; by: string; options: readonly z.ZodObject[] }
  /** Groups of fields one after another. */
  | { kind: 'list'; schema: z.ZodObject; least: number; most: number };

export function innerOf({ schema }: FieldShape): Inner {
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodObject) return { kind: 'group', schema: inner };
  if (inner instanceof z.ZodDiscriminatedUnion)
    return {
      kind: 'variant',
      by: inner.def.discriminator,
      options: inner.options as readonly z.ZodObject[],
    };
  if (inner instanceof z.ZodArray && inner.element instanceof z.ZodObject) {
    return { kind: 'list', schema: inner.element, ...lengthsOf(inner) };
  }
  return { kind: 'value' };
}

/** The fields that a value of several shapes has in the shape that it is in; null when it is in none. */
export function variantOf(
  by: string,
  options: readonly z.ZodObject[],
  value: Readonly<Record<string, unknown>>,
): z.ZodObject | null {
  return options.find((option) => lookUp(option.shape, by)?.safeParse(lookUp(value, by)).success) ?? null;
}

/** The fields of a schema that forms show, by key, in the schema's order. */
export function fieldsOf(schema: z.ZodObject): [string, FieldShape][] {
  return Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([key, inner]) => {
    const facts = fieldOf(inner);
    return facts ? [[key, shapeOf(inner, facts)] as [string, FieldShape]] : [];
  });
}

/** The values of a form's fields. */
export type Values = Readonly<Record<string, unknown>>;

export function isValues(value: unknown): value is Values {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

export function shapeOf(schema: z.ZodType, facts: FieldFacts): FieldShape {
  const inner = unwrapped(schema);
  const isNumber = inner instanceof z.ZodNumber;
  return {
    schema,
    facts,
    isWhole: isNumber && inner.format === 'safeint',
    maxLength: mostLetters(inner),
    ...(isNumber ? { min: finite(inner.minValue), max: finite(inner.maxValue) } : {}),
    choices:
      inner instanceof z.ZodEnum
        ? inner.options.map((value) => ({
            value: String(value),
            label: new Map(Object.entries(facts.choices ?? {})).get(String(value)) ?? String(value),
          }))
        : [],
  };
}

/** Whether a field is as it is as long as nobody has set it; so it is where nothing says what that would be. */
export function isUsual({ schema, facts }: FieldShape, value: unknown): boolean {
  const usual =
    facts.usual ?? (schema instanceof z.ZodDefault ? (schema.parse(undefined) as unknown) : undefined);
  return usual === undefined || isSame(usual, value);
}

/** The choices that there are beside the other values. */
export function choicesBeside({ choices, facts }: FieldShape, values: Readonly<Record<string, unknown>>) {
  const kept = facts.choicesFor?.(values);
  return kept ? choices.filter(({ value }) => kept.includes(value)) : choices;
}

/** How few and how many entries a list's schema takes. */
export function lengthsOf({ def }: z.ZodArray): { least: number; most: number } {
  const lengths = { least: 0, most: Infinity };
  for (const check of def.checks ?? []) {
    const said = check._zod.def as { check: string; minimum?: number; maximum?: number };
    if (said.check === 'min_length') lengths.least = said.minimum ?? 0;
    if (said.check === 'max_length') lengths.most = said.maximum ?? Infinity;
  }
  return lengths;
}

/** Why a value can't be taken; null when it can. */
export function sentenceFor({ schema }: FieldShape, value: unknown): string | null {
  const read = schema.safeParse(value);
  if (read.success) return null;
  const [wrong] = read.error.issues;
  const place = wrong?.path[0];
  // Of a list, the entry that is wrong.
  const said = Array.isArray(value) && typeof place === 'number' ? value[place] : value;
  return `Not taken: “${String(said).slice(0, 24)}” ${wrong?.message ?? 'was not taken'}.`;
}

/** Which control a field asks for. */
export function controlOf({ schema, facts, choices }: FieldShape): NonNullable<FieldFacts['control']> {
  if (facts.control) return facts.control;
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodBoolean) return 'switch';
  if (inner instanceof z.ZodNumber) return 'figure';
  return choices.length > 0 ? 'choice' : 'text';
}

function finite(value: number | null): number | undefined {
  return value !== null && Number.isFinite(value) ? value : undefined;
}
