import { lookUp } from '../values/look-up.ts';

/** One field that differs between two states of a desk: where, and what it is in each. Absent is undefined. */
export interface Difference {
  /** Things with an id are named by it, others by their place: ['widgets', 'clock', 'place', 'x']. */
  path: readonly (string | number)[];
  before: unknown;
  after: unknown;
}

/**
 * What differs between two states, as finely as it does: a move names two offsets, not a list of widgets. Things that
 * have an id are compared with their namesakes; where their order alone differs, the ids in both orders are given.
 */
export function differencesOf(before: unknown, after: unknown): Difference[] {
  const found: Difference[] = [];
  collect(before, after, [], found);
  return found;
}

type Path = Difference['path'];

function collect(before: unknown, after: unknown, path: Path, found: Difference[]): void {
  if (Object.is(before, after)) return;
  if (Array.isArray(before) && Array.isArray(after)) collectList(before, after, path, found);
  else if (isRecord(before) && isRecord(after)) collectFields(before, after, path, found);
  else found.push({ path, before, after });
}

function collectFields(
  before: Record<string, unknown>,
  after: Record<string, unknown>,
  path: Path,
  found: Difference[],
): void {
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)]))
    collect(lookUp(before, key), lookUp(after, key), [...path, key], found);
}

function collectList(before: unknown[], after: unknown[], path: Path, found: Difference[]): void {
  if (!before.every(isNamed) || !after.every(isNamed)) {
    for (let index = 0; index < Math.max(before.length, after.length); index++)
      collect(before[index], after[index], [...path, index], found);
    return;
  }
  const [old, now] = [namesIn(before), namesIn(after)];
  for (const id of new Set([...old.keys(), ...now.keys()]))
    collect(old.get(id), now.get(id), [...path, id], found);
  const stayed = (ids: Iterable<string>) => [...ids].filter((id) => old.has(id) && now.has(id));
  const [oldOrder, newOrder] = [stayed(old.keys()), stayed(now.keys())];
  if (oldOrder.some((id, index) => id !== newOrder[index]))
    found.push({ path, before: oldOrder, after: newOrder });
}

function namesIn(list: readonly { id: string }[]): Map<string, unknown> {
  return new Map(list.map((one) => [one.id, one]));
}

function isNamed(value: unknown): value is { id: string } {
  return isRecord(value) && typeof value['id'] === 'string';
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
