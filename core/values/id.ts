import { z } from 'zod';

/** Names a part for as long as its desk lives. */
export const Id = z.string().min(1).max(64);
