import type { z } from 'zod';
import { findOutOfBounds } from './bounds.ts';
import { DeskSchema, FORMAT, type Desk } from './schema.ts';
import { formatOf, upgrade } from './upgrade.ts';

/** Something wrong in what a person gave us: where, and a sentence. */
export interface Problem {
  /** Such as `widgets[3].scale`; empty for the whole. */
  path: string;
  message: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

export function refuse(path: string, message: string): { ok: false; problems: Problem[] } {
  return { ok: false, problems: [{ path, message }] };
}

/** A desk from parsed JSON, of this format or an older one. */
export function readDesk(json: unknown): Result<Desk> {
  const beyond = findOutOfBounds(json);
  if (beyond) return refuse(pathText(beyond.path), beyond.message);
  const format = formatOf(json);
  if (format === null) return refuse('format', 'is missing: this is not a desk');
  if (format > FORMAT) {
    return refuse('format', `is ${format}, newer than the ${FORMAT} that this version reads`);
  }
  const parsed = DeskSchema.safeParse(upgrade(json));
  if (parsed.success) return { ok: true, value: parsed.data };
  return { ok: false, problems: parsed.error.issues.slice(0, 20).map(toProblem) };
}

function toProblem(issue: z.core.$ZodIssue): Problem {
  return { path: pathText(issue.path), message: issue.message };
}

/** `['widgets', 3, 'scale']` as `widgets[3].scale`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, step) =>
      typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${String(step)}` : String(step),
    '',
  );
}

/** One sentence for a person, with the path when there is one. */
export function problemText({ path, message }: Problem): string {
  return path ? `${path}: ${message}` : message;
}
