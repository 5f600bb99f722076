import type { solvers } from './solvers.ts';

/** How menus are worked out, once that was fetched: before the first one opens. */
let known: typeof solvers | null = null;

/** Null until it was learned. */
export function menuSolvers(): typeof solvers | null {
  return known;
}

export async function learnMenus(): Promise<void> {
  known ??= (await import('./solvers.ts')).solvers;
}
