import { toBytes } from '../colour/convert.ts';
import { roles } from '../desk/values.ts';
import type { Colours, ReadColours } from './exchange.ts';
import { addColour, emptyRead, fileNameOf } from './names.ts';

/** GPL palettes: a line for each colour, with red, green and blue as bytes, and its name. */

const HEAD = 'GIMP Palette';

export function writePaletteFile({ name, roles: halves }: Colours): string {
  const line = (hex: string, title: string) =>
    `${toBytes(hex)
      .map((value) => String(value).padStart(3))
      .join(' ')}\t${title}`;
  const lines = (['light', 'dark'] as const).flatMap((half) =>
    roles.map((role) => line(halves[half][role], `${half} ${fileNameOf(role)}`)),
  );
  return `${HEAD}\nName: ${name.replace(/[\r\n]/g, ' ')}\nColumns: ${roles.length}\n#\n${lines.join('\n')}\n`;
}

export function readPaletteFile(text: string): ReadColours | null {
  if (!text.trimStart().startsWith(HEAD)) return null;
  const read = emptyRead();
  for (const line of text.split(/\r?\n/)) {
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\s*(.*)$/.exec(line);
    if (!found) continue;
    const bytes = found.slice(1, 4).map(Number);
    if (bytes.some((value) => value > 255)) continue;
    const colour = `#${bytes.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
    const [, half, role] = /^(light|dark)\s+(.+)$/.exec(found[4] ?? '') ?? [];
    if (half === 'light' || half === 'dark') addColour(read, role ?? '', colour, half);
    else addColour(read, found[4] ?? '', colour, null);
  }
  return read;
}
