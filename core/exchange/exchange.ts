import type { Half } from '../values/roles.ts';
import type { Colours } from './colours.ts';
import { writeCss, writePaletteFile, writeResources, writeTokens } from './write.ts';

/** Characters of a file of colours. */
export const MOST_COLOUR_FILE = 2_000_000;

export interface Exchange {
  title: string;
  ending: string;
  type: string;
  write(colours: Colours, half: Half): string;
}

/** The open formats in which colours go out; each is read again by read.ts. */
export const exchanges = {
  tokens: { title: 'Design tokens', ending: '.tokens.json', type: 'application/json', write: writeTokens },
  css: { title: 'CSS properties', ending: '.css', type: 'text/css', write: writeCss },
  gpl: { title: 'GPL palette', ending: '.gpl', type: 'text/plain', write: writePaletteFile },
  resources: { title: 'X resources', ending: '.Xresources', type: 'text/plain', write: writeResources },
} as const satisfies Record<string, Exchange>;

export type ExchangeName = keyof typeof exchanges;
