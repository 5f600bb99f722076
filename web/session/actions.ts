import type { DeskActions } from '../render/actions.ts';
import { toast } from '../ui/toast.ts';
import { presentDesk } from './desk.ts';
import { useScene } from './scene.ts';
import { useConditions } from './conditions.ts';

/** What pressing things does wherever the open desk is used: conditions change, the document does not. */
export const deskActions: DeskActions = {
  turnAppList: () => useConditions.getState().setAppList(!useConditions.getState().isAppListOpen),
  closeAppList: () => useConditions.getState().setAppList(false),
  turnMore: (edge) =>
    useConditions.getState().setMore(useConditions.getState().openMore === edge ? null : edge),
  start: (application) => useConditions.getState().toggleRunning(application),
  goTo: (workspace) => useConditions.getState().goTo(workspace),
  perform(act) {
    switch (act) {
      case 'app-list':
        return deskActions.turnAppList();
      case 'half':
        return lookAtOtherHalf();
      case 'next-workspace':
        return stepWorkspace(1);
      case 'previous-workspace':
        return stepWorkspace(-1);
    }
  },
  say: (sentence) => void toast(sentence),
};

function stepWorkspace(by: 1 | -1): void {
  const count = presentDesk()?.workspaces.length ?? 1;
  const { workspace, goTo } = useConditions.getState();
  goTo((workspace + by + count) % count);
}

function lookAtOtherHalf(): void {
  const now = useScene.getState().scene?.half;
  if (now) useConditions.getState().lookAt(now === 'light' ? 'dark' : 'light');
}
