import { lookUp } from '../values/look-up.ts';

/** One field that differs between two states of a desk: where, and what it is in each. Absent is undefined. */
export interface Difference {
  /** Things with an id are named by it, others by their place: ['widgets', 'clock', 'place', 'x']. */
  path: readonly (string | number)[];
  before: unknown;
  after: unknown;
  /** Of something with an id that came or went: its place among its neighbours. */
  at?: number;
  /** The ids of a list, as they stand before and after. */
  isOrder?: true;
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

/** Whether two states say the same, in whatever order their fields stand. */
export function isSame(before: unknown, after: unknown): boolean {
  return differencesOf(before, after).length === 0;
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
  for (const [at, [id, one]] of [...old].entries()) {
    if (now.has(id)) collect(one, now.get(id), [...path, id], found);
    else found.push({ path: [...path, id], before: one, after: undefined, at });
  }
  for (const [at, { id }] of after.entries())
    if (!old.has(id)) found.push({ path: [...path, id], before: undefined, after: now.get(id), at });
  const stayed = (ids: Iterable<string>) => [...ids].filter((id) => old.has(id) && now.has(id));
  const [oldOrder, newOrder] = [stayed(old.keys()), stayed(now.keys())];
  if (oldOrder.some((id, index) => id !== newOrder[index]))
    found.push({ path, before: oldOrder, after: newOrder, isOrder: true });
}

/** What leads back from the state that some differences lead to. */
export function backwards(differences: readonly Difference[]): Difference[] {
  return differences.map(({ before, after, ...rest }) => ({ ...rest, before: after, after: before }));
}

/**
 * A state with differences made on it: on the state that they start from it gives the one that they lead to; on another
 * one, what of them still has its place. What they don't name stays the same object.
 */
export function withDifferences<T>(state: T, differences: readonly Difference[]): T {
  return patched(state, differences) as T;
}

function patched(value: unknown, differences: readonly Difference[]): unknown {
  const [whole] = differences.filter(({ path, isOrder }) => path.length === 0 && !isOrder);
  if (whole) return whole.after;
  if (Array.isArray(value)) return patchedList(value, differences);
  if (!isRecord(value)) return value;
  const fields = new Map(Object.entries(value));
  for (const [key, within] of byHead(differences)) {
    const field = patched(fields.get(String(key)), within);
    if (field === undefined) fields.delete(String(key));
    else fields.set(String(key), field);
  }
  return Object.fromEntries(fields);
}

function patchedList(list: readonly unknown[], differences: readonly Difference[]): unknown[] {
  const heads = byHead(differences);
  const areNamed = [...heads.keys()].every((head) => typeof head === 'string');
  if (!areNamed || !list.every(isNamed)) {
    const next = [...list];
    for (const [head, within] of heads) next[Number(head)] = patched(list[Number(head)], within);
    while (next.length > 0 && next.at(-1) === undefined) next.pop();
    return next;
  }
  const ids = new Set(list.map(({ id }) => id));
  const order = differences.find(({ path, isOrder }) => isOrder && path.length === 0)?.after;
  const next: unknown[] = ordered(list, order as string[] | undefined)
    .map((one) => patched(one, heads.get(one.id) ?? []))
    .filter((one) => one !== undefined);
  const came = [...heads].flatMap(([id, [first]]) => (first && !ids.has(String(id)) ? [first] : []));
  came.sort((a, b) => (a.at ?? 0) - (b.at ?? 0));
  for (const { at, after } of came) if (at !== undefined) next.splice(at, 0, after);
  return next;
}

/** Those that an order names, in that order, in the places that they have among them; the others stay where they are. */
function ordered<T extends { id: string }>(list: readonly T[], order: readonly string[] = []): T[] {
  const byId = new Map(list.map((one) => [one.id, one]));
  const named = new Set(order);
  const inOrder = order.flatMap((id) => byId.get(id) ?? []).values();
  return list.map((one) => (named.has(one.id) ? (inOrder.next().value ?? one) : one));
}

/** By the first part of their paths, which is taken off. */
function byHead(differences: readonly Difference[]): Map<string | number, Difference[]> {
  const heads = new Map<string | number, Difference[]>();
  for (const difference of differences) {
    const [head, ...path] = difference.path;
    if (head === undefined) continue;
    const within = { ...difference, path };
    const others = heads.get(head);
    if (others) others.push(within);
    else heads.set(head, [within]);
  }
  return heads;
}

function namesIn(list: readonly { id: string }[]): Map<string, unknown> {
  return new Map(list.map((one) => [one.id, one]));
}

export function isNamed(value: unknown): value is { id: string } {
  return isRecord(value) && typeof value['id'] === 'string';
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
