import type { ReadColours } from './exchange.ts';
import { addColour, addUnread, emptyRead } from './names.ts';

/** GPL palettes: a line for each colour, with red, green and blue as bytes, and its name. */

const GPL_HEAD = 'GIMP Palette';

export function readPaletteFile(text: string): ReadColours | null {
  const [head = '', ...lines] = text.trimStart().split(/\r?\n/);
  if (!head.startsWith(GPL_HEAD)) return null;
  const read = emptyRead();
  for (const line of lines) {
    if (/^\s*(#|$)|^(Name|Columns)\s*:/i.test(line)) continue;
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const bytes = found?.slice(1, 4).map(Number) ?? [];
    if (!found || bytes.some((value) => value > 255)) {
      addUnread(read, '', line);
      continue;
    }
    const colour = `#${bytes.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
    const name = (found[4] ?? '').trim();
    const [, half, role] = /^(light|dark)\s+(.+)$/.exec(name) ?? [];
    if (half === 'light' || half === 'dark') addColour(read, role ?? '', colour, half);
    else addColour(read, name, colour, null);
  }
  return read;
}
