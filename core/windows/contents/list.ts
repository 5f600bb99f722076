import { line, type ContentKind, type FrontMenu } from './content.ts';
import { files } from './files/files.ts';
import { letter } from './letter/letter.ts';
import { picture } from './picture/picture.ts';
import { player } from './player/player.ts';
import { settings } from './settings/settings.ts';
import { sheet } from './sheet/sheet.ts';
import { terminal } from './terminal/terminal.ts';

/** What may stand in windows. The first one that tells an application has its windows; the last one has all others. */
export const contents = [terminal, files, letter, player, picture, settings, sheet] as const;
export type ContentKey = (typeof contents)[number]['key'];

interface Told {
  Icon: string;
  Categories: readonly string[];
}

/** What stands in the windows of an application, by words of the freedesktop specifications for icons and menus. */
export function contentOf({ Icon, Categories }: Told): ContentKind<ContentKey> {
  const told = [Icon, ...Categories];
  return contents.find(({ tells }) => tells && told.some((word) => tells.test(word))) ?? sheet;
}

/** What is written over a window. */
export function titleOf(application: Told & { Name: string }): string {
  return contentOf(application).document ?? application.Name;
}

/** What every window can be told. */
const windowMenu: FrontMenu = {
  name: 'Window',
  entries: [
    { by: 'act', name: 'Fill, or not any more', act: 'front-fill' },
    { by: 'act', name: 'To the left half', act: 'front-left' },
    { by: 'act', name: 'To the right half', act: 'front-right' },
    { by: 'act', name: 'Move by arrows', act: 'front-move' },
    { by: 'act', name: 'Size by arrows', act: 'front-size' },
    line,
    { by: 'act', name: 'To the next workspace', act: 'carry-on' },
    { by: 'act', name: 'Minimise', act: 'front-minimise' },
    { by: 'act', name: 'Close', act: 'front-close' },
  ],
};

/** The menus of an application's windows; the last is the same for all. */
export function frontMenusOf(application: Told): readonly FrontMenu[] {
  return [...contentOf(application).menus, windowMenu];
}
