import type { Desk } from '../../../../core/desk/desk.ts';
import type { Application } from '../../../../core/desk/shapes/applications.ts';
import { contentOf } from '../../../../core/windows/contents/list.ts';
import { deskActions } from '../../../session/actions.ts';
import { useConditions } from '../../../session/conditions.ts';
import { presentDesk } from '../../../session/desk.ts';

/** Applications that open a window rather than an address. */
export function startable({ applications }: Desk): Application[] {
  return applications.filter(({ URL }) => URL === '');
}

/** Opens three windows of different kinds, the last in front. */
export function openSome(desk: Desk | null = presentDesk()): void {
  if (!desk) return;
  const kinds = new Set<string>();
  const some = startable(desk).filter((application) => {
    const kind = contentOf(application).key;
    return !kinds.has(kind) && kinds.add(kind);
  });
  for (const { id } of some.slice(0, 3).reverse()) deskActions.open(id);
}

/** Opens some where none is open: what frames windows is looked at on windows. */
export function openSomeIfNone(): void {
  if (useConditions.getState().windows.length === 0) openSome();
}
