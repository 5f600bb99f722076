import { hexOf, isColourString } from '../colour/convert.ts';
import { roles, type Half } from '../desk/values.ts';
import type { Colours, ReadColours } from './exchange.ts';
import { addColour, emptyRead, fileNameOf } from './names.ts';

/** CSS custom properties: the half that is not in force follows the system's own preference. */

export function writeCss({ name, roles: halves }: Colours, half: Half): string {
  const other = half === 'light' ? 'dark' : 'light';
  const lines = (which: Half, indent: string) =>
    roles.map((role) => `${indent}--${fileNameOf(role)}: ${halves[which][role]};`).join('\n');
  const safe = name.replace(/\*\//g, '');
  return (
    `/* ${safe} */\n:root {\n  color-scheme: light dark;\n${lines(half, '  ')}\n}\n\n` +
    `@media (prefers-color-scheme: ${other}) {\n  :root {\n${lines(other, '    ')}\n  }\n}\n`
  );
}

export function readCss(text: string): ReadColours | null {
  const read = emptyRead();
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, '');
  // The half that a media query names holds from there to the next one; before the first it is the other half.
  const [before = '', ...after] = plain.split(/@media[^{]*prefers-color-scheme:\s*/);
  const named = after.map((part) => ({
    half: /^light/.test(part) ? ('light' as const) : ('dark' as const),
    part,
  }));
  const first: Half | null = named[0] ? (named[0].half === 'light' ? 'dark' : 'light') : null;
  for (const { half, part } of [{ half: first, part: before }, ...named]) {
    for (const [, name = '', value = ''] of part.matchAll(/--([\w-]+)\s*:\s*([^;}]+)/g)) {
      const colour = value.trim();
      if (isColourString(colour)) addColour(read, name, hexOf(colour), half);
    }
  }
  return read;
}
