import type { z } from 'zod';

/** What a browser keeps for a page, as text under keys. */
export type Keep = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/**
 * A storage of the browser that may be forbidden or full: then nothing is found in it, and `setItem` throws. (A browser
 * that forbids it throws already where it is named.)
 */
function keepOf(storage: () => Storage) {
  const keep: Keep = {
    getItem(key) {
      try {
        return storage().getItem(key);
      } catch {
        return null;
      }
    },
    setItem: (key, value) => storage().setItem(key, value),
    removeItem(key) {
      try {
        storage().removeItem(key);
      } catch {
        // Nothing was kept there.
      }
    },
  };
  return {
    ...keep,
    /** Keeps something that nobody misses much; false where the browser refused. */
    tryItem(key: string, value: string): boolean {
      try {
        keep.setItem(key, value);
        return true;
      } catch {
        return false;
      }
    },
  };
}

/** What was kept as JSON, where it is what a schema says; null where nothing was kept, or something else. */
export function readKept<Schema extends z.ZodType>(
  keep: Pick<Keep, 'getItem'>,
  key: string,
  schema: Schema,
): z.output<Schema> | null {
  const text = keep.getItem(key);
  if (text === null) return null;
  try {
    return schema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}

/** Kept for good. */
export const browserKeep = keepOf(() => localStorage);
/** Kept for as long as the window's tab. */
export const tabKeep = keepOf(() => sessionStorage);
