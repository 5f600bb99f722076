import { persist } from '../../later.ts';

/** Lets edges slip away for as long as a desk is in use; gives back what stops it. Its code comes with the first use. */
export function letSlip(): () => void {
  let stop: (() => void) | null = null;
  let isOver = false;
  void persist(() => import('./presence.ts')).then(({ watchPresence }) => {
    if (!isOver) stop = watchPresence();
  });
  return () => {
    isOver = true;
    stop?.();
  };
}
