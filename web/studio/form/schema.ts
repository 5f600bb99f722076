import { z } from 'zod';
import { fieldOf, type FieldFacts } from '../../../core/values/field.ts';

/** What a form reads off a field's schema: ranges and choices stand nowhere else. */
export interface FieldShape {
  schema: z.ZodType;
  facts: FieldFacts;
  min?: number;
  max?: number;
  isWhole: boolean;
  choices: { value: string; label: string }[];
}

/** The fields of a schema that forms show, by key, in the schema's order. */
export function fieldsOf(schema: z.ZodObject): [string, FieldShape][] {
  return Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([key, inner]) => {
    const facts = fieldOf(inner);
    return facts ? [[key, shapeOf(inner, facts)] as [string, FieldShape]] : [];
  });
}

export function shapeOf(schema: z.ZodType, facts: FieldFacts): FieldShape {
  const inner = unwrapped(schema);
  const isNumber = inner instanceof z.ZodNumber;
  return {
    schema,
    facts,
    isWhole: isNumber && inner.format === 'safeint',
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

/** Why a value can't be taken; null when it can. */
export function sentenceFor({ schema }: FieldShape, value: unknown): string | null {
  const read = schema.safeParse(value);
  if (read.success) return null;
  const message = read.error.issues[0]?.message ?? 'was not taken';
  return `Not taken: “${String(value).slice(0, 24)}” ${message}.`;
}

/** Which control a field asks for. */
export function controlOf({ schema, facts, choices }: FieldShape): NonNullable<FieldFacts['control']> {
  if (facts.control) return facts.control;
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodBoolean) return 'switch';
  if (inner instanceof z.ZodNumber) return 'figure';
  return choices.length > 0 ? 'choice' : 'text';
}

function unwrapped(schema: z.ZodType): z.ZodType {
  return schema instanceof z.ZodDefault || schema instanceof z.ZodNullable
    ? unwrapped(schema.unwrap() as z.ZodType)
    : schema;
}

function finite(value: number | null): number | undefined {
  return value !== null && Number.isFinite(value) ? value : undefined;
}
