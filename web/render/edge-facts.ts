import type { Side } from '../../core/values/geometry.ts';

/** What a drawn item knows of its edge. */
export interface EdgeFacts {
  side: Side;
  isVertical: boolean;
  isDock: boolean;
  iconSize: number;
}

/** Px of a dock's lit line, and how far icons stand above it. */
export const LINE = { width: 3, stand: 12 };
