import type { TrialWindow } from '../../core/windows/trial.ts';

/** A window of an application on the first screen and workspace of a demo desk. */
export function windowOf(application: string, change: Partial<TrialWindow> = {}): TrialWindow {
  return {
    id: `window-${application}`,
    application,
    screen: 'main',
    workspace: 'workspace-1',
    rect: { x: 200, y: 160, width: 620, height: 420 },
    slot: null,
    isFilled: false,
    isMinimised: false,
    chosen: 0,
    order: 1,
    turned: [],
    ...change,
  };
}
