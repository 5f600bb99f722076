/**
 * The value that an object holds under a key of its own; undefined where it has none. A key from outside may be
 * `constructor` or `__proto__`, which every plain object seems to have. (The one place where that is looked up.)
 */
export function lookUp<T>(record: Readonly<Record<string, T>>, key: string): T | undefined {
  // eslint-disable-next-line own/no-open-lookup -- asked only for keys that the object itself has
  return Object.hasOwn(record, key) ? record[key] : undefined;
}
