import type { Terminal } from '../desk/look-schema.ts';
import type { Half } from '../desk/values.ts';
import type { Roles } from '../colour/roles.ts';
import { readCss, writeCss } from './css.ts';
import { readPaletteFile, writePaletteFile } from './gpl.ts';
import { readTokens, writeTokens } from './tokens.ts';
import { readResources, writeResources } from './x-resources.ts';

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
}

export interface Exchange {
  title: string;
  ending: string;
  type: string;
  write(colours: Colours, half: Half): string;
  /** Null when the text is not of this kind. */
  read(text: string): ReadColours | null;
}

/** The open formats in which colours go out and come in. */
export const exchanges = {
  tokens: {
    title: 'Design tokens',
    ending: '.tokens.json',
    type: 'application/json',
    write: writeTokens,
    read: readTokens,
  },
  css: { title: 'CSS properties', ending: '.css', type: 'text/css', write: writeCss, read: readCss },
  gpl: {
    title: 'GPL palette',
    ending: '.gpl',
    type: 'text/plain',
    write: writePaletteFile,
    read: readPaletteFile,
  },
  resources: {
    title: 'X resources',
    ending: '.Xresources',
    type: 'text/plain',
    write: writeResources,
    read: readResources,
  },
} as const satisfies Record<string, Exchange>;

export type ExchangeName = keyof typeof exchanges;

const MOST_CHARACTERS = 2_000_000;

/** The colours of a text, whichever of the formats it is in; null when it is none of them or holds no colour. */
export function readColours(text: string): ReadColours | null {
  if (text.length > MOST_CHARACTERS) return null;
  for (const { read } of Object.values(exchanges)) {
    const found = read(text);
    if (found && found.swatches.length > 0) return found;
  }
  return null;
}
