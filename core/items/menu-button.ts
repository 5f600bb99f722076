import { z } from 'zod';
import { defineItem } from '../kinds/kind.ts';
import { field } from '../values/field.ts';
import { signFaces, wordsOf } from './faces.ts';
import { laySign } from './text.ts';

type Mark = 'view-app-grid' | 'start-here' | 'system-search';

/** A button that opens a menu of the desk. */
export function menuButton<const Type extends string>(
  type: Type,
  title: string,
  summary: string,
  mark: Mark,
) {
  return defineItem({
    type,
    title: `${title} button`,
    summary,
    faces: signFaces,
    options: z.looseObject({
      icon: field(z.enum(['view-app-grid', 'start-here', 'system-search']).default(mark), {
        label: 'Sign',
        choices: { 'view-app-grid': 'Grid', 'start-here': 'Ledge', 'system-search': 'Lens' },
        when: (_, face) => face !== 'words',
      }),
      label: field(z.string().max(40).default(''), {
        label: 'Words',
        placeholder: title,
        when: (_, face) => face !== 'sign',
      }),
    }),
    view: ({ icon, label }, face, context) => ({ icon, label: wordsOf(label || title, face, context) }),
    layout: ({ label }, face, context) => laySign(label, face, context),
  });
}
