import type { Keep } from '../../core/desk/keep.ts';
import { api } from '../api/client.ts';
import { useDesk } from './desk.ts';

/** Waits until the server has what is shown; gives back its revision. Rejects where that can't be. */
function untilSaved(id: string): Promise<number> {
  useDesk.getState().endGesture();
  useDesk.getState().wake();
  return new Promise((resolve, reject) => {
    const look = ({ saving, history }: ReturnType<typeof useDesk.getState>) => {
      if (history?.present.id !== id) reject(new Error('Another desk is open.'));
      else if (saving.state === 'kept') resolve(saving.revision);
      else if (saving.state !== 'changed' && saving.state !== 'saving')
        reject(new Error('The server does not have what is shown here yet; keep it once it has.'));
      else return false;
      return true;
    };
    if (look(useDesk.getState())) return;
    const stop = useDesk.subscribe((state) => {
      if (look(state)) stop();
    });
  });
}

/** Keeps the desk as it is now, for good; what is not saved yet is saved first. */
export async function keepNow(id: string, keep: Keep): Promise<void> {
  const revision = await untilSaved(id);
  const before = (await api.revisions(id)).find(({ number }) => number === revision)?.keptAs;
  // Nothing loses its name in silence.
  if (typeof before === 'string') throw new Error(`This very state is kept already: ${before}.`);
  await api.keepRevision(id, revision, keep);
}
