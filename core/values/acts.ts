import { lookUp } from './look-up.ts';

/** What the session can be told to do. It is simulated: the desk says what would happen. */
export const sessionActs = {
  lock: { title: 'Lock', icon: 'system-lock-screen', would: 'The screen would be locked.' },
  sleep: { title: 'Sleep', icon: 'system-suspend', would: 'The machine would go to sleep.' },
  restart: { title: 'Restart', icon: 'system-reboot', would: 'The machine would start anew.' },
  leave: { title: 'Leave', icon: 'system-log-out', would: 'The session would end.' },
} as const;
export type SessionAct = keyof typeof sessionActs;

export function isSessionAct(act: string): act is SessionAct {
  return lookUp(sessionActs, act) !== undefined;
}
