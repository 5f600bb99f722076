import type { Terminal } from '../colour/schema.ts';
import type { Half } from '../values/roles.ts';
import type { Roles } from '../colour/roles.ts';
import { writeCss, writePaletteFile, writeResources, writeTokens } from './write.ts';

/** Characters of a file of colours. */
export const MOST_COLOUR_FILE = 2_000_000;

/** All the colours of a desk, to be written to a file of another program. */
export interface Colours {
  name: string;
  roles: Record<Half, Roles>;
  terminal: Record<Half, Terminal>;
}

/** What could be read of such a file: colours by name, or those that have their place in a desk. */
export interface ReadColours {
  /** Whatever colours there are, in order. */
  swatches: { name: string; colour: string }[];
  roles: Partial<Record<Half, Partial<Roles>>>;
  terminal: Terminal | null;
  /** What stands there as a colour and can't be read as one, with what it says. */
  unread: { name: string; value: string }[];
}

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
