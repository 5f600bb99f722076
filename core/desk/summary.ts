import { z } from 'zod';
import type { Desk } from './desk.ts';

/** What a list of desks says of each besides its name: enough to keep its place, without reading it. */
export const Summary = z.object({
  screens: z.array(z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() })),
  edges: z.number(),
  widgets: z.number(),
});
export type Summary = z.infer<typeof Summary>;

/** A line of the list of desks. */
export interface ListedDesk {
  id: string;
  name: string;
  revision: number;
  savedAt: number;
  /** Null where the desk can't be read. */
  summary: Summary | null;
}

export function summaryOf({ screens, edges, widgets }: Desk): Summary {
  return {
    screens: screens.map(({ x, y, width, height }) => ({ x, y, width, height })),
    edges: edges.length,
    widgets: widgets.length,
  };
}
