import { shareUnchanged } from '../../../core/values/share.ts';

/** The fields of which not all have the value that the first has. */
export function differingIn<T extends object>(values: readonly T[]): ReadonlySet<string> {
  const [first, ...others] = values;
  if (!first || others.length === 0) return new Set();
  const fields = others.map((other) => new Map<string, unknown>(Object.entries(other)));
  const isSame = (a: unknown, b: unknown) => Object.is(shareUnchanged(a, b), a);
  return new Set(
    Object.entries(first)
      .filter(([key, value]) => !fields.every((other) => isSame(value, other.get(key))))
      .map(([key]) => key),
  );
}
