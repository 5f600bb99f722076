import type { Desk } from '../../../core/desk/desk.ts';
import { differencesOf, isSame, withDifferences, type Difference } from '../../../core/desk/differences.ts';
import { wrongChange } from '../../../core/desk/gate.ts';
import { startHistory, type History, type Step } from '../../../core/desk/history.ts';
import type { Keep } from '../../browser-keep.ts';

/** What was done to a desk outlives a look elsewhere and a reload: it is kept for as long as the window's tab. */

const keyOf = (id: string) => `velvet-ledge:history:${id}`;

/** Steps each way, and letters, that are kept at most. */
const MOST_STEPS = 200;
const MOST_LETTERS = 2_000_000;

/** A step as what leads to the state on its other side. */
interface KeptStep {
  label: string;
  to: Omit<Difference, 'before'>[];
}

interface Kept {
  /** The desk that the steps start from: they mean nothing on any other. */
  present: Desk;
  past: KeptStep[];
  future: KeptStep[];
}

export function keepHistory(keep: Keep, { present, past, future }: History<Desk>): void {
  const kept: Kept = {
    present,
    past: stepsFrom(present, past.toReversed()),
    future: stepsFrom(present, future),
  };
  const text = JSON.stringify(kept);
  if (past.length + future.length === 0 || text.length > MOST_LETTERS) {
    keep.removeItem(keyOf(present.id));
    return;
  }
  try {
    keep.setItem(keyOf(present.id), text);
  } catch {
    // A full storage loses the steps, never the work.
  }
}

function stepsFrom(present: Desk, steps: readonly Step<Desk>[]): KeptStep[] {
  let from = present;
  return steps.slice(0, MOST_STEPS).map(({ label, state }) => {
    const to = differencesOf(from, state).map(({ before: _, ...rest }) => rest);
    from = state;
    return { label, to };
  });
}

/** The history of a desk that is as it was when it was kept; null when there is none. */
export function readHistory(keep: Keep, desk: Desk): History<Desk> | null {
  const text = keep.getItem(keyOf(desk.id));
  if (text === null) return null;
  try {
    const { present, past, future } = JSON.parse(text) as Kept;
    if (!isSame(present, desk)) return null;
    const before = statesFrom(desk, past).toReversed();
    const after = statesFrom(desk, future);
    const steps = [...before, ...after].map((step, index) => ({ ...step, id: index + 1 }));
    return {
      ...startHistory(desk),
      past: steps.slice(0, before.length),
      future: steps.slice(before.length),
      count: steps.length,
    };
  } catch {
    return null;
  }
}

/** As far as each state is a desk that can be saved. */
function statesFrom(present: Desk, steps: readonly KeptStep[]): Omit<Step<Desk>, 'id'>[] {
  const states: Omit<Step<Desk>, 'id'>[] = [];
  let from = present;
  for (const { label, to } of steps) {
    const state = withDifferences(from, to as Difference[]);
    if (wrongChange(from, state)) break;
    states.push({ label: String(label), state });
    from = state;
  }
  return states;
}
