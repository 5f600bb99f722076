import { createContext } from 'react';

/** Whose options a form shows: a part's, or those of an item on it; null where they are nobody's. */
export const OfPart = createContext<{ part: string; item: string | null } | null>(null);
