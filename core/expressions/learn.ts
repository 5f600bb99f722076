import { readerOf } from '../sources/learn.ts';
import type { Need } from '../sources/readings.ts';
import type * as Evaluate from './evaluate.ts';

/** How expressions are worked out, once that was fetched: with the first desk that has one. */
type Work = typeof Evaluate;

let work: Work | null = null;

/** Null until it was learned. */
export function expressionWork(): Work | null {
  return work;
}

export async function learnExpressions(): Promise<void> {
  work ??= await import('./evaluate.ts');
}

/** Whether all that a part reads can be read. */
export function areLearned(needs: readonly Need[]): boolean {
  return needs.every(
    ({ source, byExpression }) => readerOf(source) !== null && (!byExpression || work !== null),
  );
}
