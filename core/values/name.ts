import { z } from 'zod';

export const MOST_NAME = 120;

/** What a person calls something. */
export const Name = z
  .string()
  .trim()
  .min(1, { message: 'is no name: write at least one letter' })
  .max(MOST_NAME, { message: `is too long: a name has up to ${MOST_NAME} letters` });
