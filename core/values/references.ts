import { z } from 'zod';
import { heldIn, schemasIn } from './walk.ts';

/** Things of a desk that others name by their id, and files that lie beside it, named by the SHA-256 of their bytes. */
const referredTo = [
  'application',
  'folder',
  'calendar',
  'headlines',
  'picture',
  'font',
  'sound',
  'icon-set',
] as const;
export type ReferenceTo = (typeof referredTo)[number];

interface Reference {
  to: ReferenceTo;
  /** What goes with the thing: what holds the name, as one of a list, or the name alone; null where nothing does. */
  goes: 'holder' | 'name' | null;
}

const references = z.registry<Reference>();

/** Says that a text is the id of something. Call it last, on the finished schema. */
export function refers<S extends z.ZodType>(schema: S, to: ReferenceTo, goes: Reference['goes'] = null): S {
  references.add(schema, { to, goes });
  return schema;
}

export function referenceOf(schema: z.ZodType): Reference | null {
  return references.get(schema) ?? null;
}

/** A name of something where it stands. */
export interface Naming {
  path: readonly (string | number)[];
  name: string;
}

/** Where a value names such things, in the order in which it holds them. It must have passed its schema. */
export function namingsIn(schema: z.ZodType, value: unknown, to: ReferenceTo): Naming[] {
  const found: Naming[] = [];
  function look(at: z.ZodType, held: unknown, path: Naming['path']): void {
    if (!holds(at, to)) return;
    if (referenceOf(at)?.to === to && typeof held === 'string') found.push({ path, name: held });
    else
      for (const [key, part, inner] of heldIn(at, held))
        look(part, inner, key === null ? path : [...path, key]);
  }
  look(schema, value, []);
  return found;
}

/** What becomes of a value that names something that is gone. */
type Fate = 'stays' | 'holder' | 'name';

/**
 * Takes out of a value, in place, all that names something that is gone; says what becomes of the value itself. It must
 * have passed its schema.
 */
export function prune(schema: z.ZodType, value: unknown, to: ReferenceTo, gone: ReadonlySet<string>): Fate {
  if (!holds(schema, to)) return 'stays';
  const reference = referenceOf(schema);
  if (reference?.to === to && typeof value === 'string')
    return gone.has(value) ? (reference.goes ?? 'stays') : 'stays';
  let fate: Fate = 'stays';
  // From the end, so that what is left keeps its place while some are taken out.
  for (const [key, part, held] of heldIn(schema, value).reverse()) {
    const of = prune(part, held, to, gone);
    if (of === 'stays') continue;
    if (key === null) fate = of;
    else if (Array.isArray(value)) value.splice(Number(key), 1);
    else if (of === 'holder') fate = of;
    else Object.assign(value as object, { [key]: '' });
  }
  return fate;
}

/** By what is named: which schemas have such a name in them, as far as that was asked. */
const holders = new Map(referredTo.map((to) => [to, new WeakMap<z.ZodType, boolean>()]));

/** Whether something may be named in a value: most have no place for it, and are not walked through. */
function holds(schema: z.ZodType, to: ReferenceTo): boolean {
  let found = holders.get(to)?.get(schema);
  if (found === undefined) {
    found = referenceOf(schema)?.to === to || schemasIn(schema).some((part) => holds(part, to));
    holders.get(to)?.set(schema, found);
  }
  return found;
}
