import { z } from 'zod';

export const MOST_NAME = 120;

/** What a person calls something. */
export const Name = z.string().trim().min(1).max(MOST_NAME);
