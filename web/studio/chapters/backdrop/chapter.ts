import { Image } from 'lucide-react';
import { Adjust } from '../../../../core/backdrop/schema.ts';
import { later } from '../../../later.ts';
import type { Chapter } from '../chapter.ts';
import { goToBackdrop, useBackdropView } from './view.ts';

export const backdrop: Chapter = {
  id: 'backdrop',
  title: 'Backdrop',
  icon: Image,
  also: 'wallpaper background image picture photo',
  settings: { adjust: Adjust },
  pages: { adjust: 'Adjust', export: 'Bake and export' },
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
