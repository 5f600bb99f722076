import { z } from 'zod';
import { unwrapped } from './field.ts';
import { lookUp } from './look-up.ts';

/** What a value holds by its schema: by key, or under null the value itself by what its schema wraps. */
export function partsOf(schema: z.ZodType, value: unknown): [string | number | null, z.ZodType, unknown][] {
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

/** The shape of several that a value is of, by the field that tells them apart. */
function variantOf({ options, def }: z.ZodDiscriminatedUnion, value: unknown): z.ZodType | undefined {
  return (options as z.ZodType[]).find((option) => isOfShape(option, def.discriminator, value));
}

function isOfShape(option: z.ZodType, discriminator: string, value: unknown): boolean {
  if (option instanceof z.ZodDiscriminatedUnion) return variantOf(option, value) !== undefined;
  if (!(option instanceof z.ZodObject) || !isRecord(value)) return false;
  const told = lookUp(option.shape, discriminator) as z.ZodType | undefined;
  return told?.safeParse(lookUp(value, discriminator)).success === true;
}
