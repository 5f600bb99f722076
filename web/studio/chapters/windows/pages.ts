import type { WindowForm } from '../../../../core/windows/schema.ts';

/** The pages of the chapter that are one form each, by its key. */
export const formTitles: Readonly<Record<WindowForm, string>> = {
  title: 'Title',
  lines: 'Line and border',
  buttons: 'Buttons',
  behind: 'Not in front',
  gaps: 'Tiling',
  moves: 'Moves',
  workspaces: 'Workspaces',
  icons: 'Desktop icons',
};

export const windowPages: Readonly<Record<string, string>> = {
  ...formTitles,
  finish: 'Finish',
  habits: 'Habits',
  shortcuts: 'Shortcuts',
};
