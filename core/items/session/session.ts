import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { sessionActs } from '../../values/acts.ts';
import { field } from '../../values/field.ts';
import { signFaces, wordsOf } from '../faces.ts';
import { laySign } from '../text.ts';

export const session = defineItem({
  type: 'session',
  title: 'Session',
  summary: 'Lock, sleep, restart or leave; it says what it would do',
  faces: signFaces,
  options: z.looseObject({
    act: field(z.enum(['lock', 'sleep', 'restart', 'leave']).default('lock'), {
      label: 'Does',
      is: 'content',
      choices: { lock: 'Lock', sleep: 'Sleep', restart: 'Restart', leave: 'Leave' },
    }),
  }),
  view({ act }, face, context) {
    const { title, icon } = sessionActs[act];
    return { act, title, icon, label: wordsOf(title, face, context) };
  },
  layout: ({ label }, face, context) => laySign(label, face, context),
});
