import { sessionActs } from '../values/acts.ts';
import { openedMenus, type OpenerAct } from './openers.ts';

const openers = Object.fromEntries(
  openedMenus.map(({ opener: { act, does, sign } }) => [act, { title: does, icon: sign }]),
) as Record<OpenerAct, { title: string; icon: string }>;

/** What can be done on a desk in use, besides starting applications: by a press, in a menu, or found by its name. */
export const deskActs = {
  ...openers,
  'desk-menu': { title: 'Open the desk menu', icon: 'computer' },
  'next-workspace': { title: 'Next workspace', icon: 'computer' },
  'previous-workspace': { title: 'Previous workspace', icon: 'computer' },
  'front-menus': { title: 'Open the front window’s menus', icon: 'application-x-executable' },
  overview: { title: 'Overview of all workspaces', icon: 'view-app-grid' },
  'clear-view': { title: 'Clear the view, or bring it back', icon: 'computer' },
  'next-window': { title: 'Next window', icon: 'application-x-executable' },
  'previous-window': { title: 'Window before', icon: 'application-x-executable' },
  'front-fill': { title: 'Fill the screen, or not any more', icon: 'application-x-executable' },
  'front-minimise': { title: 'Minimise the front window', icon: 'application-x-executable' },
  'front-close': { title: 'Close the front window', icon: 'application-x-executable' },
  'front-left': { title: 'Front window to the left half', icon: 'application-x-executable' },
  'front-right': { title: 'Front window to the right half', icon: 'application-x-executable' },
  'front-top': { title: 'Front window to the upper half', icon: 'application-x-executable' },
  'front-bottom': { title: 'Front window to the lower half', icon: 'application-x-executable' },
  'front-move': { title: 'Move the front window by arrows', icon: 'application-x-executable' },
  'front-size': { title: 'Size the front window by arrows', icon: 'application-x-executable' },
  'carry-on': { title: 'Carry the front window to the next workspace', icon: 'application-x-executable' },
  'carry-before': {
    title: 'Carry the front window to the workspace before',
    icon: 'application-x-executable',
  },
  'carry-screen': { title: 'Carry the front window to the next screen', icon: 'application-x-executable' },
  'tile-columns': { title: 'Tile windows in columns', icon: 'application-x-executable' },
  'tile-halves': { title: 'Tile windows in halves', icon: 'application-x-executable' },
  'tile-grid': { title: 'Tile windows in a grid', icon: 'application-x-executable' },
  'tile-stack': { title: 'Tile windows, one beside a stack', icon: 'application-x-executable' },
  'next-arrangement': { title: 'Next arrangement', icon: 'computer' },
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

/** What is done with windows. */
const windowActs = [
  'overview',
  'clear-view',
  'next-window',
  'previous-window',
  'front-fill',
  'front-minimise',
  'front-close',
  'front-left',
  'front-right',
  'front-top',
  'front-bottom',
  'front-move',
  'front-size',
  'carry-on',
  'carry-before',
  'carry-screen',
  'tile-columns',
  'tile-halves',
  'tile-grid',
  'tile-stack',
] as const satisfies readonly DeskAct[];
export type WindowAct = (typeof windowActs)[number];

export function isWindowAct(act: DeskAct): act is WindowAct {
  return (windowActs as readonly DeskAct[]).includes(act);
}

/** Their names, as choices. */
export const deskActTitles = Object.fromEntries(
  Object.entries(deskActs).map(([act, { title }]) => [act, title]),
) as Record<DeskAct, string>;

export const deskActNames = Object.keys(deskActs) as [DeskAct, ...DeskAct[]];
