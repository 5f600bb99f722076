import type { Desk } from '../../core/desk/desk.ts';
import type { Edit } from '../../core/desk/edits/edit.ts';
import { edited, type History } from '../../core/desk/history.ts';
import { standAs, standingAs } from '../../core/desk/standing.ts';
import { arrangementAt } from '../../core/timeline/arrangement/arrangement.ts';
import { useConditions } from './conditions.ts';

/** Id of the arrangement that is on under the conditions of this page; null where a desk has none. */
export function arrangementNow(desk: Desk): string | null {
  return desk.arrangements.list.length === 0 ? null : arrangementAt(desk, useConditions.getState());
}

let last: { of: History<Desk>; on: string | null; arranged: History<Desk> } | null = null;

/** A history as this page sees it: its desk stands in the arrangement that is on, whichever it was saved in. */
export function asArranged(history: History<Desk>): History<Desk> {
  const { present, gesture } = history;
  const on = arrangementNow(present);
  const desk = standingAs(present, on);
  if (desk === present && (!gesture || standingAs(gesture.base, on) === gesture.base)) return history;
  if (last?.of === history && last.on === on) return last.arranged;
  const arranged = {
    ...history,
    present: desk,
    gesture: gesture && { ...gesture, base: standingAs(gesture.base, on) },
  };
  last = { of: history, on, arranged };
  return arranged;
}

/** What is changed while an arrangement is on goes to that one: the document stands in it from then on. */
export function whileArranged(desk: Desk, { label, apply }: Edit): Edit {
  const on = arrangementNow(desk);
  if (on === null || desk.arrangements.standing === on) return { label, apply };
  const arranged = standingAs(desk, on);
  // What changes nothing leaves the document where it stands.
  if (edited(arranged, apply) === arranged) return { label, apply: () => undefined };
  return {
    label,
    apply(draft) {
      standAs(draft, on);
      apply(draft);
    },
  };
}
