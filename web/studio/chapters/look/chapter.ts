import { Shapes } from 'lucide-react';
import { z } from 'zod';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { strayParts } from '../../../../core/desk/edits/parts.ts';
import { Look } from '../../../../core/look/schema.ts';
import { later } from '../../../later.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { lookAtHalf, useScene } from '../../../session/scene.ts';
import type { Chapter } from '../chapter.ts';
import { amongCompared, useView } from '../../../stores/view.ts';
import { HOLD_KEY, stopComparing, useComparing } from '../../compare/comparing.ts';
import { pages } from './pages.tsx';
import { showLegibility, useLegibilityShown } from './view.ts';

export const look: Chapter = {
  id: 'look',
  title: 'Look',
  icon: Shapes,
  also: 'theme style fonts appearance contrast check review problems',
  pages,
  forms: [
    { title: 'Light and dark', schema: z.looseObject({ half: Look.shape.half }), unless: 'Light and dark' },
  ],
  Root: later(() => import('./look.tsx')),
  commands: [
    {
      id: 'half',
      title: 'Look at the other half, light or dark',
      group: 'Moment',
      keys: ['Shift+D'],
      run: switchHalf,
    },
    {
      id: 'follow',
      title: 'Make all follow the desk',
      group: 'Desk',
      isAvailable: hasStrayParts,
      run: () => void useDesk.getState().edit(edits.followAll()),
    },
    {
      id: 'legibility',
      title: 'Show on the stage how texts can be read',
      group: 'Desk',
      keys: ['Shift+L'],
      run: () => showLegibility(!useLegibilityShown.getState().isShown),
    },
    {
      id: 'compare',
      title: 'Compare the desk with another state',
      also: 'difference diff before after split side by side versus',
      group: 'Desk',
      keys: ['Shift+C'],
      run: () => useView.getState().goToChapter('look', 'compare'),
    },
    {
      id: 'compare-held',
      title: 'While comparing: see the other for as long as the key is held',
      group: 'Stage',
      keys: [HOLD_KEY],
      isKeyOnly: true,
      isAvailable: () => amongCompared(useView.getState()) && useComparing.getState().with !== null,
      run: () => useComparing.setState({ isHeld: true }),
    },
  ],
  reset() {
    showLegibility(false);
    stopComparing();
  },
};

function switchHalf(): void {
  lookAtHalf(useScene.getState().scene?.half === 'dark' ? 'light' : 'dark');
}

function hasStrayParts(): boolean {
  const desk = presentDesk();
  return desk !== null && strayParts(desk).length > 0;
}
