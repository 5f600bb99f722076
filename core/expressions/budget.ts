import { isCelList, isCelMap } from '@bufbuild/cel';

/** Steps that one expression may take: what it walks over and what it makes, told in the same coin. */
const MOST_STEPS = 20_000;
/** Signs of a text on the way. */
const MOST_SIGNS = 4000;
/** Signs that cost one step. */
const SIGNS_A_STEP = 64;

/** An expression has come to the end of its budget. */
class Spent extends Error {}

let left = 0;
let isSpent = false;

/** A new budget, for one expression. */
export function startBudget(): void {
  left = MOST_STEPS;
  isSpent = false;
}

/** Whether it was ever not enough: whatever became of it afterwards counts for nothing. */
export const isBudgetSpent = () => isSpent;

/** Pays for work before it is done. Throws Spent. */
export function spend(steps: number): void {
  left -= steps;
  if (left >= 0) return;
  isSpent = true;
  throw new Spent();
}

/** Pays for a text of so many signs, and refuses one that nothing could show. Throws Spent. */
export function spendSigns(signs: number): void {
  spend(signs > MOST_SIGNS ? Infinity : 1 + signs / SIGNS_A_STEP);
}

/**
 * Pays for walking over all of a value: what stands in it several times counts as often, since whoever compares or
 * shows it walks so. Throws Spent.
 */
export function spendAll(value: unknown): void {
  spend(1);
  if (typeof value === 'string') spendSigns(value.length);
  else if (isCelList(value)) for (const one of value) spendAll(one);
  else if (isCelMap(value)) for (const one of value.values()) spendAll(one);
}
