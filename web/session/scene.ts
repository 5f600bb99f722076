import { useMemo } from 'react';
import { create } from 'zustand';
import type { Look } from '../../core/look/schema.ts';
import { rolesNow } from '../../core/scene/look.ts';
import { halfAt } from '../../core/timeline/half/half.ts';
import { createSolver } from '../../core/scene/solver.ts';
import { sameFields } from '../../core/scene/memory.ts';
import { conditionsOf, type Conditions } from '../../core/scene/conditions.ts';
import type { Scene } from '../../core/scene/scene.ts';
import type { RoleValues } from '../../core/colour/roles.ts';
import type { Half } from '../../core/values/roles.ts';
import { ownLibrary } from '../../core/values/library.ts';
import { learnWindows, windowSolver } from '../../core/scene/windows/learn.ts';
import { persist } from '../later.ts';
import { followBehind } from './behind.ts';
import { useConditions } from './conditions.ts';
import { useDesk } from './desk.ts';
import { prepareChanged } from './drawing.ts';

/**
 * The desk being edited, solved under the conditions. Parts that did not change keep their identity from one
 * scene to the next, so that only what changed is drawn again.
 */
export const useScene = create<{ scene: Scene | null }>()(() => ({ scene: null }));

let solver = createSolver();
let solvedUnder: Conditions | null = null;

function refresh(): void {
  const desk = useDesk.getState().history?.present;
  if (!desk) {
    solver = createSolver();
    solvedUnder = null;
    useScene.setState({ scene: null });
    return;
  }
  // Measured with what is known already; once the rest is learned, again.
  void prepareChanged(desk)?.then(refresh);
  // The code that works windows out comes with the first of them.
  if (useConditions.getState().windows.length > 0 && !windowSolver(ownLibrary))
    void persist(learnWindows).then(refresh);
  solvedUnder = conditionsOf(useConditions.getState());
  const scene = solver(desk, solvedUnder);
  if (scene !== useScene.getState().scene) useScene.setState({ scene });
  followBehind(desk, scene);
}

useDesk.subscribe(({ history }, before) => {
  const isHeld = history?.gesture?.isOnlyShown === false;
  if (isHeld !== useConditions.getState().isHeld) useConditions.setState({ isHeld });
  else if (history?.present !== before.history?.present) refresh();
});
// What a person does with a menu or a key changes more than what a scene follows from.
useConditions.subscribe((state) => {
  if (!solvedUnder || sameFields(solvedUnder, conditionsOf(state)) !== solvedUnder) refresh();
});

/** The half of the desk in force. */
export function useHalf(): Half {
  return useScene(({ scene }) => scene?.half ?? 'dark');
}

/** The look of the desk with its roles as they are now: where they follow the backdrop, those that are drawn from it. */
export function useLookNow(): Look | undefined {
  const desk = useDesk((state) => state.history?.present);
  const tones = useConditions((state) => state.tones);
  const look = desk?.look;
  const roles = desk && rolesNow(desk, { tones });
  return useMemo(() => look && roles && (roles === look.roles ? look : { ...look, roles }), [look, roles]);
}

/** The roles of the half in force, as they are now. */
export function useHalfRoles(): RoleValues | undefined {
  const half = useHalf();
  return useLookNow()?.roles[half];
}

/** The half that the desk itself would show. */
function ownHalf(): Half | null {
  const desk = useDesk.getState().history?.present;
  const { moment, isDarkBehind } = useConditions.getState();
  return desk ? halfAt(desk.look.half, moment, desk.place, isDarkBehind) : null;
}

/** Looks at a half; at the desk's own, whichever that is from now on, when it is that one. */
export function lookAtHalf(half: Half): void {
  useConditions.getState().lookAt(half === ownHalf() ? null : half);
}
