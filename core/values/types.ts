import type { z } from 'zod';

/** A type without the index signatures that loose objects bring: code names the fields that it knows. */
type Closed<T> = T extends (infer U)[]
  ? Closed<U>[]
  : T extends object
    ? { [K in keyof T as string extends K ? never : number extends K ? never : K]: Closed<T[K]> }
    : T;
export type TypeOf<S extends z.ZodType> = Closed<z.infer<S>>;

/** A list that is known to have something in it. Throws where it has not. */
export function atLeastOne<T>([first, ...rest]: readonly T[]): [T, ...T[]] {
  if (first === undefined) throw new Error('An empty list');
  return [first, ...rest];
}
