import type { ContentKind } from '../trial.ts';
import type { Content, ContentContext } from './content.ts';
import { layFiles } from './files.ts';
import { layLetter } from './letter.ts';
import { layPicture } from './picture.ts';
import { layPlayer } from './player.ts';
import { laySettings } from './settings.ts';
import { laySheet } from './sheet.ts';
import { layTerminal } from './terminal.ts';

/** What stands in the windows of each kind of trial application. */
export const contents: Record<ContentKind, (context: ContentContext) => Content> = {
  sheet: laySheet,
  files: layFiles,
  terminal: layTerminal,
  picture: layPicture,
  letter: layLetter,
  settings: laySettings,
  player: layPlayer,
};
