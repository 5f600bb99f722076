import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { laySign } from '../text.ts';

export const clearView = defineItem({
  type: 'clear-view',
  title: 'Clear the view',
  summary: 'Minimises all windows, and brings them back',
  faces: signFaces,
  options: z.looseObject({}),
  view(_, face, context) {
    const here = context.workspaces[context.workspace]?.id;
    const those = context.windows.filter(({ workspace }) => workspace === here);
    const isClear = those.length > 0 && those.every(({ isMinimised }) => isMinimised);
    const title = isClear ? 'Bring windows back' : 'Clear the view';
    return {
      isClear,
      title,
      icon: 'computer',
      label: wordsOf(isClear ? 'Bring back' : 'Clear', face, context),
    };
  },
  layout: ({ label }, face, context) => laySign(label, face, context),
});
