import patch, { type Operation } from 'fast-json-patch';
import { z } from 'zod';
import { findOutOfBounds } from '../../core/desk/bounds.ts';
import { pathText } from '../../core/desk/problem.ts';
import { HttpProblem, refusal } from '../http/problem.ts';

/** What changes a desk may be told by, instead of by the whole of it: JSON Patch (RFC 6902), as far as a page needs it. */

const Path = z.string().max(400);
/** Nothing is copied: a short text could grow without end. */
const Changes = z.array(
  z.discriminatedUnion('op', [
    z.strictObject({ op: z.enum(['add', 'replace']), path: Path, value: z.unknown() }),
    z.strictObject({ op: z.literal('remove'), path: Path }),
  ]),
);

/**
 * The text of a desk's JSON with changes that were made to it. What comes of it is not checked yet.
 * Throws HttpProblem where the changes are none, or do not fit this desk.
 */
export function changed(text: string, changes: string): string {
  let json: unknown;
  try {
    json = JSON.parse(changes);
  } catch {
    throw new HttpProblem(400, 'Not JSON', 'The request is not JSON.');
  }
  // As deep, as long and as large as what a desk is read from, before anything walks through it.
  const beyond = findOutOfBounds(json);
  if (beyond) throw refusal('Not changes', [{ path: pathText(beyond.path), message: beyond.message }]);
  const parsed = Changes.safeParse(json);
  if (!parsed.success)
    throw new HttpProblem(422, 'Not changes', 'A desk is changed by steps that add, replace or remove.');
  try {
    const { newDocument } = patch.applyPatch(JSON.parse(text), parsed.data as Operation[], true, true);
    return JSON.stringify(newDocument);
  } catch {
    throw new HttpProblem(422, 'Not of this desk', 'The changes do not fit the desk that they are made to.');
  }
}
