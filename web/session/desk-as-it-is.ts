import type { Desk } from '../../core/desk/desk.ts';
import { useDesk } from './desk.ts';

/** The desk as it is, whatever is only shown. */
export function useDeskAsItIs(): Desk | null {
  return useDesk(({ history }) =>
    history?.gesture?.isOnlyShown ? history.gesture.base : (history?.present ?? null),
  );
}
