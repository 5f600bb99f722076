import { Image } from 'lucide-react';
import { later } from '../../../later.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';
import { goToBackdrop, useBackdropView } from './view.ts';

export const backdrop: Chapter = {
  id: 'backdrop',
  title: 'Backdrop',
  icon: Image,
  also: 'wallpaper background image picture photo',
  pages,
  Root: later(() => import('./backdrop.tsx')),
  inside: (_, { page, spot }) =>
    page === null && spot !== null
      ? {
          title: 'One of the rotation',
          crumbs: [{ title: 'Rotation', go: () => goToBackdrop(useBackdropView.getState().backdrop) }],
        }
      : null,
  reset: () => useBackdropView.setState({ backdrop: null, isBefore: false }),
};
