import { z } from 'zod';
import { lookUp } from './look-up.ts';
import { unwrapped } from './field.ts';

/** Things of a desk that others name by their id. */
export type ReferenceTo = 'application' | 'folder';

interface Reference {
  to: ReferenceTo;
  /** What goes with the thing: what holds the name, as one of a list, or the name alone. */
  goes: 'holder' | 'name';
}

const references = z.registry<Reference>();

/** Says that a text is the id of something. Call it last, on the finished schema. */
export function refers<S extends z.ZodType>(schema: S, to: ReferenceTo, goes: Reference['goes']): S {
  references.add(schema, { to, goes });
  return schema;
}

export function referenceOf(schema: z.ZodType): Reference | null {
  return references.get(schema) ?? null;
}

type Fate = 'stays' | Reference['goes'];

/**
 * Takes out of a value, in place, all that names something that is gone; says what becomes of the value itself. It must
 * have passed its schema.
 */
export function prune(schema: z.ZodType, value: unknown, to: ReferenceTo, gone: ReadonlySet<string>): Fate {
  if (!holds(schema, to)) return 'stays';
  const reference = referenceOf(schema);
  if (reference?.to === to && typeof value === 'string') return gone.has(value) ? reference.goes : 'stays';
  const inner = unwrapped(schema);
  if (inner !== schema) return prune(inner, value, to, gone);
  if (inner instanceof z.ZodArray && Array.isArray(value)) {
    const element = inner.element as z.ZodType;
    // From the end, so that what is left keeps its place while some are taken out.
    for (let at = value.length - 1; at >= 0; at--)
      if (prune(element, value[at], to, gone) !== 'stays') value.splice(at, 1);
    return 'stays';
  }
  if (inner instanceof z.ZodDiscriminatedUnion) {
    const shape = inner.options.find((option) =>
      isOfShape(option as z.ZodType, inner.def.discriminator, value),
    );
    return shape ? prune(shape as z.ZodType, value, to, gone) : 'stays';
  }
  return inner instanceof z.ZodObject && isRecord(value) ? pruneFields(inner, value, to, gone) : 'stays';
}

/** By what is named: which schemas have such a name in them, as far as that was asked. */
const holders: Record<ReferenceTo, WeakMap<z.ZodType, boolean>> = {
  application: new WeakMap(),
  folder: new WeakMap(),
};

/** Whether something may be named in a value: most have no place for it, and are not walked through. */
function holds(schema: z.ZodType, to: ReferenceTo): boolean {
  let found = holders[to].get(schema);
  if (found === undefined) {
    found = referenceOf(schema)?.to === to || partsOf(schema).some((part) => holds(part, to));
    holders[to].set(schema, found);
  }
  return found;
}

function partsOf(schema: z.ZodType): z.ZodType[] {
  const inner = unwrapped(schema);
  if (inner !== schema) return [inner];
  if (inner instanceof z.ZodArray) return [inner.element as z.ZodType];
  if (inner instanceof z.ZodDiscriminatedUnion) return inner.options as z.ZodType[];
  return inner instanceof z.ZodObject ? (Object.values(inner.shape) as z.ZodType[]) : [];
}

function pruneFields(
  { shape }: z.ZodObject,
  value: Record<string, unknown>,
  to: ReferenceTo,
  gone: ReadonlySet<string>,
): Fate {
  let fate: Fate = 'stays';
  for (const [key, schema] of Object.entries(shape)) {
    const of = prune(schema as z.ZodType, lookUp(value, key), to, gone);
    if (of === 'holder') fate = 'holder';
    if (of === 'name') Object.assign(value, { [key]: '' });
  }
  return fate;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Whether a value is of one shape of several, by the field that tells them apart. */
function isOfShape(option: z.ZodType, discriminator: string, value: unknown): boolean {
  if (!(option instanceof z.ZodObject) || !isRecord(value)) return false;
  const told = lookUp(option.shape, discriminator);
  return told instanceof z.ZodLiteral && told.values.has(lookUp(value, discriminator) as never);
}
