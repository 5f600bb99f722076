import { learnSources } from '../../sources/learn.ts';
import type { solvers } from './solvers.ts';

/** How menus are worked out, once that was fetched: before the first one opens. */
let known: typeof solvers | null = null;

/** Null until it was learned. */
export function menuSolvers(): typeof solvers | null {
  return known;
}

export async function learnMenus(): Promise<void> {
  // What they find tells readings of the machine.
  const [solving] = await Promise.all([import('./solvers.ts'), learnSources(['machine'])]);
  known ??= solving.solvers;
}
