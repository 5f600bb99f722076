/**
 * `next` with every part that equals its counterpart in `previous` replaced by that very object, so that
 * whoever compares by reference sees what changed and nothing else. Plain objects and arrays only.
 */
export function shareUnchanged<T>(previous: T | undefined, next: T): T {
  if (previous === next || !isContainer(previous) || !isContainer(next))
    return Object.is(previous, next) ? (previous as T) : next;
  if (Array.isArray(previous) !== Array.isArray(next)) return next;
  const before = previous as Record<string, unknown>;
  const after = next as Record<string, unknown>;
  const keys = Object.keys(after);
  let same = keys.length === Object.keys(before).length;
  // Filled only once something differs from `next`: most parts of a scene are small and all new or all old.
  let merged: Record<string, unknown> | null = null;
  for (const key of keys) {
    const shared = shareUnchanged(before[key], after[key]);
    if (shared !== before[key] || !(key in before)) same = false;
    if (shared !== after[key]) {
      merged ??= (Array.isArray(after) ? [...after] : { ...after }) as Record<string, unknown>;
      merged[key] = shared;
    }
  }
  return same ? previous : ((merged ?? next) as T);
}

function isContainer(value: unknown): value is object {
  return typeof value === 'object' && value !== null;
}
