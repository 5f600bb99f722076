import { learnFamilies } from '../../text/families.ts';
import type { windowSolvers } from './window.ts';

/** How windows are worked out, once that was fetched: before the first one opens. */
let known: typeof windowSolvers | null = null;

/** Null until it was learned. */
export function windowSolver(): typeof windowSolvers | null {
  return known;
}

export async function learnWindows(): Promise<void> {
  const [solving] = await Promise.all([
    import('./window.ts'),
    // What is written in a terminal stands in columns, whatever the desk's type.
    learnFamilies(['spline-sans-mono']),
  ]);
  known ??= solving.windowSolvers;
}
