import { useContext, type ReactNode } from 'react';
import { pressActs, type PressAct, type Presses } from '../../../core/menus/presses.ts';
import { Actions } from '../actions.ts';
import { Press } from '../kit/press.tsx';

/** An item on which the buttons of the pointer or the wheel do something of their own while the desk is in use. */
export function WithPresses({
  id,
  presses,
  children,
}: {
  /** Of the item. */
  id: string;
  presses: Presses;
  children: ReactNode;
}) {
  const actions = useContext(Actions);
  const { left, middle, right, wheel } = presses;
  if (!actions) return children;
  const perform = (act: PressAct) =>
    act === 'own' || act === 'none' ? undefined : actions.perform(act, { item: id });
  return (
    <div
      className="absolute inset-0"
      onAuxClick={(event) => {
        if (event.button === 1) perform(middle);
      }}
      onContextMenu={(event) => {
        if (right === 'none' || right === 'own') return;
        event.preventDefault();
        event.stopPropagation();
        perform(right);
      }}
      onWheel={(event) => {
        if (wheel === 'workspaces')
          actions.perform(event.deltaY + event.deltaX > 0 ? 'next-workspace' : 'previous-workspace');
      }}
    >
      {left === 'own' ? (
        children
      ) : (
        <>
          <div className="pointer-events-none absolute inset-0" inert>
            {children}
          </div>
          {left !== 'none' && (
            <Press
              label={pressActs[left]}
              onPress={(now) => now.perform(left, { item: id })}
              className="panel-press"
            >
              {null}
            </Press>
          )}
        </>
      )}
    </div>
  );
}
