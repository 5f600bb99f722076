import { ownLibrary, Subject, type Library } from '../../values/library.ts';
import { learnFamilies } from '../../text/families.ts';
import { learnContents } from '../../windows/contents/learn.ts';
import type { windowSolvers } from './window.ts';

const windows = new Subject((): { solvers: typeof windowSolvers | null } => ({ solvers: null }));

/** How windows are worked out; null until it was learned. */
export function windowSolver(library: Library): typeof windowSolvers | null {
  return library.on(windows).solvers;
}

/** Makes sure that windows can be worked out: before the first one opens. */
export async function learnWindows(library: Library = ownLibrary): Promise<void> {
  const [solving] = await Promise.all([
    import('./window.ts'),
    learnContents(library),
    // What is written in a terminal stands in columns, whatever the desk's type.
    learnFamilies(['spline-sans-mono'], library),
  ]);
  library.on(windows).solvers ??= solving.windowSolvers;
}
