import { Palette } from 'lucide-react';
import { roleTitles, roles } from '../../../../core/values/roles.ts';
import { later } from '../../../later.ts';
import type { Chapter } from '../chapter.ts';
import { pages } from './pages.tsx';
import { nextEyes, setEyes } from './view.ts';

export const palette: Chapter = {
  id: 'palette',
  title: 'Palette',
  icon: Palette,
  also: 'colours colors theme scheme',
  pages,
  fields: () => ['Automatic', 'Both halves', 'Starts from', ...roles.map((role) => roleTitles[role])],
  Root: later(() => import('./palette.tsx')),
  commands: [{ id: 'eyes', title: 'See the stage with the next kind of eyes', group: 'Desk', run: nextEyes }],
  reset: () => setEyes('usual'),
};
