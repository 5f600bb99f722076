import type { Edit } from '../../core/desk/edits/edit.ts';
import { useDesk } from './desk.ts';
import { toast } from '../ui/toast.ts';

/** Does something and says so, with a way back that undoes just that, whatever came since. False when it was not taken. */
export function editAndSay(edit: Edit, sentence: string): boolean {
  const before = useDesk.getState().history?.count;
  if (!useDesk.getState().edit(edit)) return false;
  const step = useDesk.getState().history?.past.at(-1)?.id;
  if (step === undefined || step === before) return true;
  toast(sentence, {
    id: `step-${step}`,
    action: { label: 'Undo', onClick: () => void useDesk.getState().takeBack(step) },
  });
  return true;
}
