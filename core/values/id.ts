import { z } from 'zod';
import { content } from './dress.ts';

/** Names a part for as long as its desk lives. */
export const Id = content(z.string().min(1).max(64));
