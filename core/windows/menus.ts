import type { DeskAct } from '../values/acts.ts';
import { menuNamesOf } from './menu-names.ts';
import type { ContentKind } from './trial.ts';

/** The menus of trial applications. What is no matter of windows is only said. */

export type FrontEntry =
  { by: 'act'; name: string; act: DeskAct } | { by: 'say'; name: string; would: string } | { by: 'line' };

export interface FrontMenu {
  name: string;
  entries: readonly FrontEntry[];
}

const say = (name: string, would: string): FrontEntry => ({ by: 'say', name, would });
const line: FrontEntry = { by: 'line' };

/** What every window can be told. */
const windowMenu: readonly FrontEntry[] = [
  { by: 'act', name: 'Fill, or not any more', act: 'front-fill' },
  { by: 'act', name: 'To the left half', act: 'front-left' },
  { by: 'act', name: 'To the right half', act: 'front-right' },
  { by: 'act', name: 'Move by arrows', act: 'front-move' },
  { by: 'act', name: 'Size by arrows', act: 'front-size' },
  line,
  { by: 'act', name: 'To the next workspace', act: 'carry-on' },
  { by: 'act', name: 'Minimise', act: 'front-minimise' },
  { by: 'act', name: 'Close', act: 'front-close' },
];

const own: Record<ContentKind, readonly (readonly FrontEntry[])[]> = {
  sheet: [
    [
      say('New tally', 'A new tally would begin.'),
      say('Open…', 'A tally would be chosen.'),
      line,
      say('Print', 'The sheet would be printed.'),
    ],
    [
      say('Add a species', 'A row would be added.'),
      say('By hundreds', 'Counts would go by hundreds.'),
      say('Close the day', 'The day’s count would be closed.'),
    ],
    [
      say('Same week last year', 'Last year’s week would stand beside it.'),
      say('The tide at the time', 'The tide would stand beside each count.'),
    ],
  ],
  files: [
    [say('New folder', 'A folder would be made.'), say('Go up', 'The folder above would be shown.')],
    [
      say('By name', 'Files would stand by name.'),
      say('By size', 'Files would stand by size.'),
      say('By day', 'Files would stand by day.'),
    ],
  ],
  terminal: [
    [say('New session', 'A session would begin.'), say('Clear', 'What was written would be cleared.')],
    [say('Larger', 'Letters would be larger.'), say('Smaller', 'Letters would be smaller.')],
  ],
  picture: [
    [
      say('Next', 'The next picture would be shown.'),
      say('Turn', 'The picture would be turned.'),
      line,
      say('As the backdrop', 'The picture would become the backdrop.'),
    ],
    [say('Fit', 'All of it would be shown.'), say('1 : 1', 'It would be shown px for px.')],
  ],
  letter: [
    [
      say('New letter', 'A letter would begin.'),
      say('Answer', 'An answer would begin.'),
      line,
      say('Put away', 'The letter would be put away.'),
    ],
    [say('Bold', 'Words would be bold.'), say('List', 'Lines would be a list.')],
  ],
  settings: [[say('As they were', 'All would be as it was at first.')]],
  player: [
    [
      { by: 'act', name: 'Play or pause', act: 'sound' },
      { by: 'act', name: 'Next piece', act: 'next-piece' },
    ],
    [say('Add…', 'Pieces would be added.'), say('By length', 'Pieces would stand by length.')],
  ],
};

/** The menus of an application's windows; the last is the same for all. */
export function frontMenusOf(kind: ContentKind): readonly FrontMenu[] {
  const entries = [...own[kind], windowMenu];
  return menuNamesOf(kind).map((name, index) => ({ name, entries: entries[index] ?? [] }));
}
