import { named } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { arrangementNow } from '../../session/arranged.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk } from '../../session/desk.ts';
import { toast } from '../../ui/toast.ts';
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
