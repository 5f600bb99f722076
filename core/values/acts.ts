import { lookUp } from './look-up.ts';

/** What the session can be told to do. It is simulated: the desk says what would happen. */
export const sessionActs = {
  lock: { title: 'Lock', icon: 'system-lock-screen', would: 'The screen would be locked.' },
  sleep: { title: 'Sleep', icon: 'system-suspend', would: 'The machine would go to sleep.' },
  restart: { title: 'Restart', icon: 'system-reboot', would: 'The machine would start anew.' },
  leave: { title: 'Leave', icon: 'system-log-out', would: 'The session would end.' },
} as const;
export type SessionAct = keyof typeof sessionActs;

/** What can be done on a desk in use, besides starting applications: by a press, in a menu, or found by its name. */
export const deskActs = {
  'app-list': { title: 'Open the app list', icon: 'view-app-grid' },
  'app-wall': { title: 'Open the app wall', icon: 'view-app-grid' },
  'quick-find': { title: 'Open quick find', icon: 'system-search' },
  'next-workspace': { title: 'Next workspace', icon: 'computer' },
  'previous-workspace': { title: 'Previous workspace', icon: 'computer' },
  'next-backdrop': { title: 'Next backdrop', icon: 'image-x-generic' },
  effects: { title: 'Effects off or on', icon: 'applications-graphics' },
  quiet: { title: 'Quiet: no sound, no motion', icon: 'weather-clear-night' },
  sound: { title: 'Play or pause', icon: 'multimedia-player' },
  'next-piece': { title: 'Next piece', icon: 'audio-x-generic' },
  half: { title: 'Look at the other half', icon: 'weather-clear-night' },
  arrange: { title: 'Arrange this desk', icon: 'applications-graphics' },
  ...sessionActs,
} as const;
export type DeskAct = keyof typeof deskActs;

/** Their names, as choices. */
export const deskActTitles = Object.fromEntries(
  Object.entries(deskActs).map(([act, { title }]) => [act, title]),
) as Record<DeskAct, string>;

export const deskActNames = Object.keys(deskActs) as [DeskAct, ...DeskAct[]];

export function isSessionAct(act: string): act is SessionAct {
  return lookUp(sessionActs, act) !== undefined;
}
