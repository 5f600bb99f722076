import { z } from 'zod';
import { content } from '../values/dress.ts';
import { field } from '../values/field.ts';
import type { TypeOf } from '../values/types.ts';
import { deskActNames, deskActTitles, type DeskAct } from './acts.ts';

/** Keys that do something while a desk is in use: with Ctrl or Alt, so that they are never part of what somebody types; none when empty. */
export const Shortcut = z
  .string()
  .max(40)
  .regex(
    /^$|^(?=.*(Ctrl|Alt)\+)(Ctrl\+)?(Alt\+)?(Shift\+)?([A-Z0-9]|Space|Enter|F([1-9]|1[0-2])|Arrow(Up|Down|Left|Right))$/,
    'is not taken: keys are written as Ctrl+Alt+A, with Ctrl or Alt',
  )
  .meta({ description: 'Keys that do it; none when empty' });

export const DeskKey = z.looseObject({
  act: field(z.enum(deskActNames), { label: 'Does', choices: deskActTitles }),
  shortcut: field(Shortcut.clone(), { label: 'Shortcut', control: 'shortcut', placeholder: 'none' }),
});
export type DeskKey = TypeOf<typeof DeskKey>;

/** What is done by which keys, menus among it. */
export const DeskKeys = content(z.array(DeskKey).max(80));

/** The keys that do something on a desk; empty where none do. */
export function keysFor(keys: readonly DeskKey[], act: DeskAct): string {
  return keys.find((one) => one.act === act && one.shortcut !== '')?.shortcut ?? '';
}

/** The keys of a desk that nobody has changed yet. */
export const plainKeys: DeskKey[] = [
  { act: 'app-list', shortcut: 'Ctrl+Alt+L' },
  { act: 'app-wall', shortcut: 'Ctrl+Alt+W' },
  { act: 'quick-find', shortcut: 'Ctrl+Space' },
  { act: 'overview', shortcut: 'Ctrl+Alt+O' },
  { act: 'clear-view', shortcut: 'Ctrl+Alt+D' },
  { act: 'next-window', shortcut: 'Ctrl+Alt+N' },
  { act: 'front-fill', shortcut: 'Ctrl+Alt+F' },
  { act: 'front-minimise', shortcut: 'Ctrl+Alt+M' },
  { act: 'front-close', shortcut: 'Ctrl+Alt+X' },
  { act: 'front-left', shortcut: 'Ctrl+Alt+Shift+ArrowLeft' },
  { act: 'front-right', shortcut: 'Ctrl+Alt+Shift+ArrowRight' },
  { act: 'front-top', shortcut: 'Ctrl+Alt+Shift+ArrowUp' },
  { act: 'front-bottom', shortcut: 'Ctrl+Alt+Shift+ArrowDown' },
  { act: 'tile-columns', shortcut: 'Ctrl+Alt+1' },
  { act: 'tile-halves', shortcut: 'Ctrl+Alt+2' },
  { act: 'tile-grid', shortcut: 'Ctrl+Alt+3' },
  { act: 'tile-stack', shortcut: 'Ctrl+Alt+4' },
  { act: 'previous-workspace', shortcut: 'Ctrl+Alt+ArrowLeft' },
  { act: 'next-workspace', shortcut: 'Ctrl+Alt+ArrowRight' },
  { act: 'carry-before', shortcut: 'Ctrl+Alt+ArrowUp' },
  { act: 'carry-on', shortcut: 'Ctrl+Alt+ArrowDown' },
  { act: 'carry-screen', shortcut: 'Ctrl+Alt+Shift+S' },
  { act: 'front-move', shortcut: 'Ctrl+Alt+G' },
  { act: 'front-size', shortcut: 'Ctrl+Alt+S' },
  { act: 'front-menus', shortcut: 'Ctrl+Alt+U' },
];
