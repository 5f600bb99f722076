import { z } from 'zod';
import { Id } from '../../values/id.ts';
import { Name } from '../../values/name.ts';
import type { TypeOf } from '../../values/types.ts';

/** The kit that a desk wears: which, as of which version, and what of it. */
export const Worn = z.looseObject({
  kit: Id,
  name: Name,
  version: z.number().int().min(1).max(1_000_000_000),
  kinds: z.array(z.string().min(1).max(40)).min(1).max(40),
});
export type Worn = TypeOf<typeof Worn>;
