import { z } from 'zod';
import { fieldOf, unwrapped, type Aspect } from './field.ts';
import { lookUp } from './look-up.ts';
import { isRecord, heldIn } from './walk.ts';

const declared = z.registry<{ aspect: Aspect }>();

/** Says of what stands in a value, but for what says otherwise within, that it is how things look. */
export const dress = declares('dress');
/** … what there is, what it shows and what it does. */
export const content = declares('content');
/** … where things stand, and how large they are there. */
export const place = declares('place');

function declares(aspect: Aspect) {
  return <S extends z.ZodType>(schema: S): S => {
    declared.add(schema, { aspect });
    return schema;
  };
}

/** What a schema says of itself; null where what it stands in says it. */
export function aspectOf(schema: z.ZodType): Aspect | null {
  return declared.get(schema)?.aspect ?? fieldOf(schema)?.is ?? null;
}

/**
 * How a value looks: of objects those fields that are dress, of all else the whole; undefined where nothing is. What is in a
 * list is dressed one by one, unless the list as such is dress.
 */
export function dressOf(schema: z.ZodType, value: unknown, around: Aspect = 'content'): unknown {
  const aspect = aspectOf(schema) ?? around;
  const inner = unwrapped(schema);
  if (inner !== schema && value !== null) return dressOf(inner, value, aspect);
  if (!(inner instanceof z.ZodObject) || !isRecord(value)) {
    if (aspect === 'dress') return value;
    const [variant] = inner instanceof z.ZodDiscriminatedUnion ? heldIn(inner, value) : [];
    return variant && dressOf(variant[1], value, aspect);
  }
  const found = heldIn(inner, value).flatMap(([key, part, held]) => {
    const worn = dressOf(part, held, aspect);
    return worn === undefined ? [] : [[key, worn] as const];
  });
  return found.length === 0 ? undefined : Object.fromEntries(found);
}

/** A value that looks like another: what of that dress it can wear, laid over its own. Nothing that it holds is changed. */
export function dressedIn<T>(schema: z.ZodType, value: T, worn: unknown, around: Aspect = 'content'): T {
  return wear(schema, value, worn, around) as T;
}

function wear(schema: z.ZodType, value: unknown, worn: unknown, around: Aspect): unknown {
  if (worn === undefined) return value;
  const aspect = aspectOf(schema) ?? around;
  const inner = unwrapped(schema);
  const isParted = isRecord(value) && isRecord(worn);
  if (isParted && inner !== schema) return wear(inner, value, worn, aspect);
  if (isParted && inner instanceof z.ZodObject) {
    const parts = heldIn(inner, value).flatMap(([key, part, held]) => {
      const over = lookUp(worn, String(key));
      return over === undefined ? [] : [[key, wear(part, held, over, aspect)] as const];
    });
    return { ...value, ...(Object.fromEntries(parts) as object) };
  }
  if (aspect === 'dress') return schema.safeParse(worn).success ? structuredClone(worn) : value;
  const [variant] = inner instanceof z.ZodDiscriminatedUnion ? heldIn(inner, value) : [];
  return variant ? wear(variant[1], value, worn, aspect) : value;
}
