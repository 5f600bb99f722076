import { SquareMenu } from 'lucide-react';
import { openedMenus } from '../../../../core/menus/openers.ts';
import { later } from '../../../later.ts';
import { deskActions } from '../../../session/actions.ts';
import { useView } from '../../../stores/view.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';

export const menus: Chapter = {
  id: 'menus',
  title: 'Menus',
  icon: SquareMenu,
  also: 'launcher search applications',
  pages,
  Root: later(() => import('./menus.tsx')),
  inside(desk, { page, spot }) {
    const application = page === 'applications' && desk.applications.find(({ id }) => id === spot);
    return application
      ? {
          title: application.Name,
          crumbs: [
            { title: 'Applications', go: () => useView.getState().goToChapter('menus', 'applications') },
          ],
        }
      : null;
  },
  commands: openedMenus.map(({ opener: { act, does } }) => ({
    id: `open-${act}`,
    title: does,
    also: 'menu start applications launcher',
    group: 'Stage' as const,
    run: () => {
      useView.getState().setMode('try');
      deskActions.perform(act);
    },
  })),
};
