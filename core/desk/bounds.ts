/** Bounds on whatever comes from outside as JSON, checked in one walk before anything else looks at it. */
export const BOUNDS = {
  /** Arrays and objects within one another. */
  depth: 32,
  /** Values in all: several times what the largest desk has. */
  values: 500_000,
  /** Entries of one array, and fields of one object. */
  entries: 5000,
  /** Characters of one text (the longest is a calendar), and of a field's name. */
  text: 260_000,
  key: 200,
};

/** Something wrong, by the keys and indices that lead to it. */
export interface OutOfBounds {
  path: PropertyKey[];
  message: string;
}

interface Level {
  keys: readonly string[] | null;
  values: readonly unknown[];
  at: number;
}

/**
 * The first thing in parsed JSON that is out of bounds; null when all is within. Numbers must be finite (`1e999` is
 * read as infinity), and no field may be called `__proto__`: such a field would change the object instead of lying in
 * it. Walks without recursion, however deep the JSON is.
 */
export function findOutOfBounds(json: unknown): OutOfBounds | null {
  const levels: Level[] = [{ keys: null, values: [json], at: 0 }];
  let seen = 0;
  const here = (message: string): OutOfBounds => ({
    path: levels.slice(1).map(({ keys, at }) => keys?.[at - 1] ?? at - 1),
    message,
  });
  for (let level = levels.at(-1); level; level = levels.at(-1)) {
    if (level.at === level.values.length) {
      levels.pop();
      continue;
    }
    const key = level.keys?.[level.at];
    const value = level.values[level.at++];
    if (++seen > BOUNDS.values) return { path: [], message: `has more than ${BOUNDS.values} values` };
    if (key === '__proto__') return here('is not a name that a field may have');
    if (key !== undefined && key.length > BOUNDS.key)
      return { path: [], message: `has a field whose name is longer than ${BOUNDS.key} characters` };
    if (typeof value === 'number' && !Number.isFinite(value)) return here('is not a finite number');
    if (typeof value === 'string' && value.length > BOUNDS.text)
      return here(`is longer than ${BOUNDS.text} characters`);
    if (typeof value !== 'object' || value === null) continue;
    if (levels.length > BOUNDS.depth) return here(`lies deeper than ${BOUNDS.depth} levels`);
    const keys = Array.isArray(value) ? null : Object.keys(value);
    const values: unknown[] = Array.isArray(value) ? value : Object.values(value);
    if (values.length > BOUNDS.entries) return here(`has more than ${BOUNDS.entries} entries`);
    levels.push({ keys, values, at: 0 });
  }
  return null;
}
