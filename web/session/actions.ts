import type { DeskActions } from '../render/actions.ts';
import { useConditions } from './conditions.ts';

/** What pressing things does wherever the open desk is used: conditions change, the document does not. */
export const deskActions: DeskActions = {
  turnAppList: () => useConditions.getState().setAppList(!useConditions.getState().isAppListOpen),
  closeAppList: () => useConditions.getState().setAppList(false),
  turnMore: (edge) =>
    useConditions.getState().setMore(useConditions.getState().openMore === edge ? null : edge),
  start: (application) => useConditions.getState().toggleRunning(application),
  goTo: (workspace) => useConditions.getState().goTo(workspace),
};
