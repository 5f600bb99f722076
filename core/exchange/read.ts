import { readCss } from './css.ts';
import type { ReadColours } from './colours.ts';
import { MOST_COLOUR_FILE, type ExchangeName } from './exchange.ts';
import { readPaletteFile } from './gpl.ts';
import { readTokens } from './tokens.ts';
import { readResources } from './x-resources.ts';

/** How each format is read; null when a text is not of that kind. */
const readers: Record<ExchangeName, (text: string) => ReadColours | null> = {
  tokens: readTokens,
  gpl: readPaletteFile,
  resources: readResources,
  css: readCss,
};

/** The colours of a text, whichever of the formats it is in; null when it is none of them or holds no colour. */
export function readColours(text: string): ReadColours | null {
  if (text.length > MOST_COLOUR_FILE) return null;
  for (const read of Object.values(readers)) {
    const found = read(text);
    if (found && found.swatches.length > 0) return found;
  }
  return null;
}
