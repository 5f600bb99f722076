import { z } from 'zod';
import { lookUp } from '../values/look-up.ts';
import type { Desk } from './desk.ts';
import { pathText, type Problem } from './problem.ts';
import { DeskShape, checkDesk } from './schema.ts';
import type { Path } from './sections/section.ts';

/**
 * The gate to the document: whoever brings a change (a form, a drag, a command, a file), it is taken only when what it
 * leaves is a desk that can be saved. Only what changed is looked at, so that it costs as little as the change.
 */

/** What is wrong with the values of a change; null when nothing is. For each turn of a gesture. */
export function wrongValue(before: Desk, after: Desk): Problem | null {
  return firstWrong(DeskShape, before, after, []);
}

/** The same, and whether everything that is named is still there. For whatever becomes a step. */
export function wrongChange(before: Desk, after: Desk): Problem | null {
  const value = wrongValue(before, after);
  if (value || before === after) return value;
  let found: Problem | null = null;
  checkDesk(after, (path, message) => (found ??= { path: pathText(path), message }));
  return found;
}

function firstWrong(schema: z.ZodType, before: unknown, after: unknown, path: Path): Problem | null {
  if (Object.is(before, after)) return null;
  // A schema with checks of its own is asked as a whole.
  if (schema instanceof z.ZodObject && isPlain(schema) && isRecord(before) && isRecord(after)) {
    for (const [key, inner] of Object.entries(schema.shape as Record<string, z.ZodType>)) {
      const wrong = firstWrong(inner, lookUp(before, key), lookUp(after, key), [...path, key]);
      if (wrong) return wrong;
    }
    return null;
  }
  if (schema instanceof z.ZodArray && Array.isArray(before) && Array.isArray(after))
    return firstWrongOf(schema, before, after, path);
  return wrongWhole(schema, after, path);
}

function firstWrongOf(
  schema: z.ZodArray,
  before: readonly unknown[],
  after: readonly unknown[],
  path: Path,
): Problem | null {
  const wrong = after.length === before.length ? null : wrongWhole(lengthOnly(schema), after, path);
  if (wrong) return wrong;
  // Most stand where they stood; the others may have moved.
  let known: Set<unknown> | null = null;
  for (const [index, element] of after.entries()) {
    if (element === before[index]) continue;
    known ??= new Set(before);
    if (known.has(element)) continue;
    const found = firstWrong(schema.element as z.ZodType, before[index], element, [...path, index]);
    if (found) return found;
  }
  return null;
}

const lengths = new WeakMap<z.ZodArray, z.ZodType>();

/** An array's schema that looks at nothing but how many there are. */
function lengthOnly(schema: z.ZodArray): z.ZodType {
  let only = lengths.get(schema);
  if (!only) lengths.set(schema, (only = z.core.clone(schema, { ...schema.def, element: z.unknown() })));
  return only;
}

function wrongWhole(schema: z.ZodType, value: unknown, path: Path): Problem | null {
  const read = schema.safeParse(value);
  if (read.success) return null;
  const [issue] = read.error.issues;
  return { path: pathText([...path, ...(issue?.path ?? [])]), message: issue?.message ?? 'was not taken' };
}

function isPlain(schema: z.ZodObject): boolean {
  return (schema.def.checks ?? []).length === 0;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
