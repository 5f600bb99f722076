import { ownLibrary, Subject, type Library } from '../values/library.ts';
import { readerOf } from '../sources/learn.ts';
import type { Need } from '../sources/readings.ts';
import type * as Evaluate from './evaluate.ts';

type Work = typeof Evaluate;
const expressions = new Subject((): { work: Work | null } => ({ work: null }));

/** How expressions are worked out; null until it was learned. */
export function expressionWork(library: Library): Work | null {
  return library.on(expressions).work;
}

/** Makes sure that expressions can be worked out: with the first desk that has one. */
export async function learnExpressions(library: Library = ownLibrary): Promise<void> {
  library.on(expressions).work ??= await import('./evaluate.ts');
}

/** Whether all that a part reads can be read. */
export function areLearned(needs: readonly Need[], library: Library): boolean {
  return needs.every(
    ({ source, byExpression }) =>
      readerOf(source, library) !== null && (!byExpression || expressionWork(library) !== null),
  );
}
