import { ourIcons } from '../core/icons/schema.ts';
import { createBackdrop, createFonts, createMotif } from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import { rolesFrom, desk } from './sketch.ts';

/** A desk with nothing on it. */
export function bareDesk(): Desk {
  return desk({
    id: 'bare-desk',
    name: 'Bare desk',
    seed: 1,
    half: { by: 'choice', half: 'light' },
    backdrops: [createBackdrop('backdrop', createMotif('tide', 3))],
    fonts: createFonts('newsreader', 'commissioner', 'newsreader'),
    icons: ourIcons({ set: 'slate', style: 'filled', tile: 'none', tileColour: 'accent' }),
    pointer: { set: 'quill', size: 32, colour: 'ink' },
    roles: rolesFrom({ '#efe4d6': 0.5, '#cfb2a3': 0.3, '#94746d': 0.18, '#4f7c86': 0.02 }),
    edges: [],
    widgets: [],
    workspaces: ['One', 'Two'],
  });
}
