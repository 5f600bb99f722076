import patch, { type Operation } from 'fast-json-patch';
import type { Desk } from '../../../core/desk/desk.ts';

/** Steps beyond which a desk is sent whole: as after one thing went out of the midst of many. */
const MOST = 500;

/** What makes one state of a desk of another, as JSON Patch (RFC 6902); null where that is better sent whole. */
export function changesBetween(before: Desk, after: Desk): Operation[] | null {
  // What both have in common is the very same object in both, and not gone into.
  const changes = patch.compare(before, after);
  return changes.length > MOST ? null : changes;
}
