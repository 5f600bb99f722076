import { z } from 'zod';
import { defineItem } from '../../kinds/kind.ts';
import { field } from '../../values/field.ts';
import { layIcon } from '../text.ts';

/** What a session can be told to do. It is simulated: the desk says what would happen. */
export const sessionActs = {
  lock: { title: 'Lock', icon: 'system-lock-screen', would: 'The screen would be locked.' },
  sleep: { title: 'Sleep', icon: 'system-suspend', would: 'The machine would go to sleep.' },
  restart: { title: 'Restart', icon: 'system-reboot', would: 'The machine would start anew.' },
  leave: { title: 'Leave', icon: 'system-log-out', would: 'The session would end.' },
} as const;
export type SessionAct = keyof typeof sessionActs;

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
