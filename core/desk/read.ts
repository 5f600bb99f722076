import type { z } from 'zod';
import { findOutOfBounds } from './bounds.ts';
import { FORMAT, type Desk } from './desk.ts';
import { pathText, refuse, type Problem, type Result } from './problem.ts';
import { DeskSchema } from './schema.ts';
import { formatOf, upgrade } from './upgrade.ts';

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
