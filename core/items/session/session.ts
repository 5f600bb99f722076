import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { sessionActs } from '../../values/acts.ts';
import { field } from '../../values/field.ts';
import { layIcon } from '../text.ts';

export const session = defineItem({
  type: 'session',
  title: 'Session',
  summary: 'Lock, sleep, restart or leave; it says what it would do',
  options: z.looseObject({
    act: field(z.enum(['lock', 'sleep', 'restart', 'leave']).default('lock'), {
      label: 'Does',
      choices: { lock: 'Lock', sleep: 'Sleep', restart: 'Restart', leave: 'Leave' },
    }),
    label: field(z.boolean().default(false), { label: 'Name beside the icon' }),
  }),
  view({ act, label }, { isVertical, room }) {
    const { title, icon } = sessionActs[act];
    return { act, title, icon, label: label && !isVertical && room !== 'bare' ? title : null };
  },
  layout: ({ label }, context) => layIcon(label, context),
});
