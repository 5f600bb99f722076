import type { ContentKind } from './trial.ts';

/** What the menus of trial applications are called. What stands on them is in menus.ts, in the same order. */
const own: Record<ContentKind, readonly string[]> = {
  sheet: ['Sheet', 'Count', 'Look up'],
  files: ['Folder', 'Look'],
  terminal: ['Session', 'Text'],
  picture: ['Picture', 'Look'],
  letter: ['Letter', 'Write'],
  settings: ['Settings'],
  player: ['Play', 'List'],
};

/** The last is the same for all. */
export function menuNamesOf(kind: ContentKind): readonly string[] {
  return [...own[kind], 'Window'];
}
