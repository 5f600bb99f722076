import { z } from 'zod';
import { unwrapped } from './field.ts';
import { lookUp } from './look-up.ts';

/** What a value holds by its schema: by key, or under null the value itself by what its schema wraps. */
export function heldIn(schema: z.ZodType, value: unknown): [string | number | null, z.ZodType, unknown][] {
  const inner = unwrapped(schema);
  if (inner !== schema) return [[null, inner, value]];
  if (inner instanceof z.ZodArray && Array.isArray(value))
    return value.map((one: unknown, index) => [index, inner.element as z.ZodType, one]);
  if (inner instanceof z.ZodDiscriminatedUnion) {
    const shape = variantOf(inner, value);
    return shape ? [[null, shape, value]] : [];
  }
  return inner instanceof z.ZodObject && isRecord(value)
    ? Object.entries(inner.shape).map(([key, part]) => [key, part as z.ZodType, lookUp(value, key)])
    : [];
}

/** What a schema is made of, one step in. */
export function schemasIn(schema: z.ZodType): z.ZodType[] {
  const inner = unwrapped(schema);
  if (inner !== schema) return [inner];
  if (inner instanceof z.ZodArray) return [inner.element as z.ZodType];
  if (inner instanceof z.ZodDiscriminatedUnion) return inner.options as z.ZodType[];
  return inner instanceof z.ZodObject ? (Object.values(inner.shape) as z.ZodType[]) : [];
}

export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** The shapes of a union by what tells them apart: a desk of thousands of parts is walked through with every save. */
const shapes = new WeakMap<z.ZodDiscriminatedUnion, ReadonlyMap<unknown, z.ZodType>>();

/** The shape of several that a value is of, by the field that tells them apart. */
function variantOf(union: z.ZodDiscriminatedUnion, value: unknown): z.ZodType | undefined {
  const key = union.def.discriminator;
  let known = shapes.get(union);
  if (!known) {
    const options = union.options as z.ZodType[];
    known = new Map(options.flatMap((option) => toldBy(option, key).map((told) => [told, option] as const)));
    shapes.set(union, known);
  }
  return isRecord(value) ? known.get(lookUp(value, key)) : undefined;
}

/** What a field says in values of a shape: one word, one of several, or what any of its own shapes says. */
function toldBy(shape: z.ZodType, key: string): unknown[] {
  if (shape instanceof z.ZodDiscriminatedUnion)
    return (shape.options as z.ZodType[]).flatMap((one) => toldBy(one, key));
  const told = shape instanceof z.ZodObject ? lookUp(shape.shape, key) : undefined;
  if (told instanceof z.ZodLiteral) return [...told.values];
  return told instanceof z.ZodEnum ? told.options : [];
}
