import { z } from 'zod';
import { Name } from '../values/name.ts';
import type { TypeOf } from '../values/types.ts';

/** How many states of a desk can be kept, and what is said where there is no room for one more. */
export const MOST_KEEPS = 100;
export const keepsFull = {
  path: '',
  message: `There is room for ${MOST_KEEPS} keeps of a desk: let go of one first.`,
};

/** What a state of a desk is kept under for good. */
export const Keep = z.object({ name: Name, note: z.string().max(2000).default('') });
export type Keep = TypeOf<typeof Keep>;
