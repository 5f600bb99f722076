import { lookUp } from './look-up.ts';

/** Arrays at least this long are compared once for all the places that hold them: many graphs show the same series. */
const LONG = 16;

/** Whether two values say the same: plain objects and arrays by what they hold. It ends at the first difference. */
export function isSame(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true;
  if (!isContainer(one) || !isContainer(other)) return false;
  if (Array.isArray(one)) {
    if (!Array.isArray(other) || one.length !== other.length) return false;
    for (let index = 0; index < one.length; index++) if (!isSame(one[index], other[index])) return false;
    return true;
  }
  // What is neither a plain object nor a list is only the same as itself.
  if (Array.isArray(other) || !isPlainObject(one) || !isPlainObject(other)) return false;
  const keys = Object.keys(one);
  if (keys.length !== Object.keys(other).length) return false;
  for (const key of keys) {
    // eslint-disable-next-line own/no-open-lookup -- a key that the object has itself, asked for with every tick
    if (!isSame(one[key], other[key]) || !Object.hasOwn(other, key)) return false;
  }
  return true;
}

function isPlainObject(value: object): value is Record<string, unknown> {
  return Object.getPrototypeOf(value) === Object.prototype;
}

type Compared = Map<object, { previous: object; shared: unknown }>;

/**
 * `next` with every part that equals its counterpart in `previous` replaced by that very object, so that
 * whoever compares by reference sees what changed and nothing else. Plain objects and arrays only.
 */
export function shareUnchanged<T>(previous: T | undefined, next: T): T {
  return share(previous, next, new Map());
}

function share<T>(previous: T | undefined, next: T, compared: Compared): T {
  if (previous === next || !isContainer(previous) || !isContainer(next))
    return Object.is(previous, next) ? (previous as T) : next;
  if (!Array.isArray(next)) return Array.isArray(previous) ? next : shareFields(previous, next, compared);
  if (!Array.isArray(previous)) return next;
  if (next.length < LONG) return shareFields(previous, next, compared) as T;
  const known = compared.get(next);
  if (known?.previous === previous) return known.shared as T;
  const shared = shareFields(previous, next, compared);
  compared.set(next, { previous, shared });
  return shared as T;
}

function shareFields<T extends object>(previous: object, next: T, compared: Compared): T {
  const before = previous as Record<string, unknown>;
  const after = next as Record<string, unknown>;
  const keys = Object.keys(after);
  let same = keys.length === Object.keys(before).length;
  // Filled only once something differs from `next`: most parts of a scene are small and all new or all old.
  let merged: Record<string, unknown> | null = null;
  for (const key of keys) {
    const old = lookUp(before, key);
    /* eslint-disable own/no-open-lookup -- a key that the object has itself, asked for with every tick */
    const shared = share(old, after[key], compared);
    if (shared !== old || !Object.hasOwn(before, key)) same = false;
    if (shared !== after[key]) {
      merged ??= (Array.isArray(after) ? [...after] : { ...after }) as Record<string, unknown>;
      merged[key] = shared;
    }
    /* eslint-enable own/no-open-lookup */
  }
  return (same ? previous : (merged ?? next)) as T;
}

function isContainer(value: unknown): value is object {
  return typeof value === 'object' && value !== null;
}
