import { nanoid } from 'nanoid';
import { useEffect } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { edgesWithWay, hasWayToStart } from '../../../core/desk/ways.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { currentScreen } from '../../stores/screen.ts';
import { toast } from '../../ui/toast.ts';

/** Says at once that a change took away the last way to start an application, and offers one. */
export function useLastWay(): void {
  useEffect(
    () =>
      useDesk.subscribe(({ history }, before) => {
        const [now, then] = [history?.present, before.history?.present];
        if (!now || !then || now.id !== then.id || now === then || history?.gesture) return;
        // A gesture is judged at its end, by where it began.
        const from = before.history?.gesture?.base ?? then;
        if (hasWayToStart(now) || !hasWayToStart(from)) return;
        toast.warning('Nothing on the desk starts an application any more.', {
          id: 'last-way',
          duration: 12_000,
          action: { label: 'Put a button there', onClick: putButton },
        });
      }),
    [],
  );
}

function putButton(): void {
  const desk = presentDesk();
  const screen = currentScreen();
  if (desk && screen) useDesk.getState().edit(edits.setEdges(edgesWithWay(desk, screen.id, () => nanoid(8))));
}
