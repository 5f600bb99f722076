import type { ReadColours } from './colours.ts';
import { addColour, addUnread, emptyRead } from './names.ts';

/** GPL palettes: a line for each colour, with red, green and blue as bytes, and its name. */

const GPL_HEAD = 'GIMP Palette';
const RGB = /^(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/;
/** Newer palettes may say how far each colour lets through what lies beneath; that is left away. */
const RGBA = /^(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\s+\d{1,3}(?:\s+(.*))?$/;

export function readPaletteFile(text: string): ReadColours | null {
  const [head = '', ...lines] = text.trimStart().split(/\r?\n/);
  if (!head.startsWith(GPL_HEAD)) return null;
  const read = emptyRead();
  let hasAlpha = false;
  for (const whole of lines) {
    const line = whole.trim();
    if (/^Channels\s*:\s*RGBA$/i.test(line)) hasAlpha = true;
    if (/^(#|$)|^(Name|Columns|Channels)\s*:/i.test(line)) continue;
    const found = (hasAlpha ? RGBA : RGB).exec(line);
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
