import { AppWindow } from 'lucide-react';
import { deskActs, type DeskAct } from '../../../../core/menus/acts.ts';
import { later } from '../../../later.ts';
import { deskActions } from '../../../session/actions.ts';
import { useConditions } from '../../../session/conditions.ts';
import { useView } from '../../../stores/view.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';

/** What is done with the windows on the stage by a command of the studio. */
const acts: readonly DeskAct[] = [
  'tile-columns',
  'tile-halves',
  'tile-grid',
  'tile-stack',
  'clear-view',
  'overview',
];

export const windows: Chapter = {
  id: 'windows',
  title: 'Windows',
  icon: AppWindow,
  also: 'frame title buttons tiling gaps border inactive workspaces overview desktop icons',
  pages,
  Root: later(() => import('./windows.tsx')),
  commands: [
    ...acts.map((act) => ({
      id: act,
      title: deskActs[act].title,
      group: 'Stage' as const,
      run: () => {
        useView.getState().setMode('try');
        deskActions.perform(act);
      },
    })),
    {
      id: 'close-windows',
      title: 'Close all windows',
      group: 'Stage',
      isAvailable: () => useConditions.getState().windows.length > 0,
      run: () => useConditions.getState().setWindows([]),
    },
  ],
};
