import { z } from 'zod';
import type { WindowFacts } from '../kinds/kind.ts';
import { Id } from '../values/id.ts';
import type { Size } from '../values/geometry.ts';
import type { TypeOf } from '../values/types.ts';

/** Windows that a desk is judged and used by. They are conditions, not part of a desk. */

const px = z.number().min(-20000).max(20000);
const share = z.number().min(0).max(1);

/** A part of the free area, in shares of its width and height. */
export const Slot = z.object({ x: share, y: share, width: share, height: share });
export type Slot = z.infer<typeof Slot>;

export const TrialWindow = z.object({
  id: Id,
  /** Id of the application that it belongs to. */
  application: z.string().max(64),
  /** Ids of the screen and the workspace that it is on. */
  screen: Id,
  workspace: Id,
  /** Where it is while it is neither filled nor in a slot; px of the screen. */
  rect: z.object({ x: px, y: px, width: px.min(1), height: px.min(1) }),
  slot: Slot.nullable(),
  isFilled: z.boolean(),
  isMinimised: z.boolean(),
  /** The row of its content that is chosen, and which of its switches were turned. */
  chosen: z.number().int().min(0).max(999),
  /** One more than that of any window that was open when it was opened. */
  order: z.number().int().min(0),
  turned: z.array(z.number().int().min(0).max(99)).max(40),
});
export type TrialWindow = TypeOf<typeof TrialWindow>;

/** How many may be open at once. */
export const MOST_WINDOWS = 60;

/** One after the other from the back to the front. */
export const TrialWindows = z.array(TrialWindow).max(MOST_WINDOWS);

/** No window is made smaller than this, px. */
export const LEAST: Size = { width: 200, height: 140 };

/** The front window: the last that is on the workspace in front and not minimised. */
export function frontOf(windows: readonly TrialWindow[], workspace: string): TrialWindow | null {
  return windows.findLast((one) => one.workspace === workspace && !one.isMinimised) ?? null;
}

export function factsOf(windows: readonly TrialWindow[], workspace: string): WindowFacts[] {
  const front = frontOf(windows, workspace)?.id;
  return windows.map(({ id, application, screen, workspace: on, isFilled, isMinimised, order }) => ({
    id,
    application,
    screen,
    workspace: on,
    isFront: id === front,
    isFilled,
    isMinimised,
    order,
  }));
}

/** Windows as they can be shown on a desk: those of screens and workspaces that are gone come to the first ones. */
export function onDesk(
  list: readonly TrialWindow[],
  screens: readonly { id: string }[],
  workspaces: readonly { id: string }[],
  applications: readonly { id: string }[],
): readonly TrialWindow[] {
  const known = {
    screens: new Set(screens.map(({ id }) => id)),
    workspaces: new Set(workspaces.map(({ id }) => id)),
    applications: new Set(applications.map(({ id }) => id)),
  };
  const isAtHome = (one: TrialWindow) =>
    known.screens.has(one.screen) &&
    known.workspaces.has(one.workspace) &&
    known.applications.has(one.application);
  if (list.every(isAtHome)) return list;
  return list
    .filter(({ application }) => known.applications.has(application))
    .map((one) => ({
      ...one,
      screen: known.screens.has(one.screen) ? one.screen : (screens[0]?.id ?? one.screen),
      workspace: known.workspaces.has(one.workspace) ? one.workspace : (workspaces[0]?.id ?? one.workspace),
    }));
}
