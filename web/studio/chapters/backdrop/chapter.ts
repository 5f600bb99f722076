import { Image } from 'lucide-react';
import { factsOf } from '../../../../core/backdrop/names.ts';
import {
  Backdrop,
  Gradient,
  Motif,
  Picture,
  Rotation,
  type Source,
} from '../../../../core/backdrop/schema.ts';
import type { Desk } from '../../../../core/desk/desk.ts';
import { later } from '../../../later.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';
import { KIND_OF_BACKDROP, goToBackdrop, useBackdropView } from './view.ts';

export const backdrop: Chapter = {
  id: 'backdrop',
  title: 'Backdrop',
  icon: Image,
  also: 'wallpaper background image picture photo',
  pages,
  fields: ({ backdrops }) => [KIND_OF_BACKDROP, ...backdrops.flatMap(({ source }) => controlsOf(source))],
  forms: [
    { title: 'Where it lies', schema: Backdrop, unless: KIND_OF_BACKDROP },
    ...[
      { kind: 'motif', title: 'Motif', schema: Motif },
      { kind: 'picture', title: 'Picture', schema: Picture },
      { kind: 'gradient', title: 'Gradient', schema: Gradient },
      { kind: 'rotation', title: 'Rotation', schema: Rotation },
    ].map(({ kind, title, schema }) => ({
      title,
      schema,
      unless: KIND_OF_BACKDROP,
      isThere: ({ backdrops }: Desk) => backdrops.some(({ source }) => source.kind === kind),
    })),
  ],
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

/** What the controls of a motif are called. */
function controlsOf(source: Source): string[] {
  return source.kind === 'motif' ? factsOf(source.motif).controls.map(({ title }) => title) : [];
}
