import { ownLibrary, Subject, type Library } from '../../values/library.ts';
import { learnSources } from '../../sources/learn.ts';
import type { solvers } from './solvers.ts';

const menus = new Subject((): { solvers: typeof solvers | null } => ({ solvers: null }));

/** How menus are worked out; null until it was learned. */
export function menuSolvers(library: Library): typeof solvers | null {
  return library.on(menus).solvers;
}

/** Makes sure that menus can be worked out: before the first one opens. */
export async function learnMenus(library: Library = ownLibrary): Promise<void> {
  // What they find tells readings of the machine.
  const [solving] = await Promise.all([import('./solvers.ts'), learnSources(['machine'], library)]);
  library.on(menus).solvers ??= solving.solvers;
}
