import { named } from '../../core/desk/edits/edit.ts';
import { edits } from '../../core/desk/edits/edits.ts';
import { arrangementNow } from './arranged.ts';
import { useConditions } from './conditions.ts';
import { presentDesk } from './desk.ts';
import { toast } from '../ui/toast.ts';
import { editAndSay } from './said-undo.ts';

/** Lets the desk stand as an arrangement says, with its windows; says so where another one is on by itself. */
export function chooseArrangement(id: string): void {
  const desk = presentDesk();
  const one = desk?.arrangements.list.find((other) => other.id === id);
  if (!desk || !one) return;
  editAndSay(named(`Arrangement: ${one.name}`, edits.chooseArrangement(id)), `${one.name} is on.`);
  if (one.windows) useConditions.getState().setWindows(one.windows);
  const now = presentDesk();
  const on = now && arrangementNow(now);
  const other = now?.arrangements.list.find((held) => held.id === on);
  if (other && other.id !== id) toast(`${one.name} is chosen; ${other.name} is on while it holds.`);
}

/** The one after that which is on, or the first; nothing where a desk has none. */
export function chooseNextArrangement(): void {
  const desk = presentDesk();
  const list = desk?.arrangements.list ?? [];
  const at = list.findIndex(({ id }) => desk && id === arrangementNow(desk));
  const next = list[(at + 1) % list.length];
  if (next) chooseArrangement(next.id);
  else toast('This desk has no arrangements yet.');
}
