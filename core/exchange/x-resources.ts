import { hexOf, isColourString } from '../colour/convert.ts';
import type { Half } from '../desk/values.ts';
import type { Colours, ReadColours } from './exchange.ts';
import { emptyRead } from './names.ts';

/** X resources: the colours of terminals, for every program that asks. */

export function writeResources({ name, terminal }: Colours, half: Half): string {
  const { ground, ink, colours } = terminal[half];
  return [
    `! ${name.replace(/[\r\n]/g, ' ')}, ${half}`,
    `*.background: ${ground}`,
    `*.foreground: ${ink}`,
    ...colours.map((colour, index) => `*.color${index}: ${colour}`),
    '',
  ].join('\n');
}

/** Six or twelve digits, or rgb:rr/gg/bb, as #rrggbb; null for names and anything else. */
function colourOf(text: string): string | null {
  const parts = /^rgb:([0-9a-f]{1,4})\/([0-9a-f]{1,4})\/([0-9a-f]{1,4})$/i.exec(text)?.slice(1);
  if (parts) {
    const byte = (part: string) =>
      Math.round((parseInt(part, 16) / (16 ** part.length - 1)) * 255)
        .toString(16)
        .padStart(2, '0');
    return `#${parts.map(byte).join('')}`;
  }
  const long = /^#([0-9a-f]{2})[0-9a-f]{2}([0-9a-f]{2})[0-9a-f]{2}([0-9a-f]{2})[0-9a-f]{2}$/i
    .exec(text)
    ?.slice(1);
  if (long) return `#${long.join('').toLowerCase()}`;
  return isColourString(text) ? hexOf(text) : null;
}

export function readResources(text: string): ReadColours | null {
  const found = new Map<string, string>();
  const macros = new Map<string, string>();
  for (const line of text.split(/\r?\n/)) {
    const macro = /^\s*#\s*define\s+(\w+)\s+(\S+)/.exec(line);
    if (macro) macros.set(macro[1] ?? '', macro[2] ?? '');
    const resource = /^\s*[\w*.-]*?[*.]?(background|foreground|color(?:1[0-5]|\d))\s*:\s*(\S+)\s*$/i.exec(
      line,
    );
    if (!resource) continue;
    const value = resource[2] ?? '';
    const colour = colourOf(macros.get(value) ?? value);
    if (colour) found.set((resource[1] ?? '').toLowerCase(), colour);
  }
  if (found.size === 0) return null;
  const read = emptyRead();
  read.swatches = [...found].map(([name, colour]) => ({ name, colour }));
  const colours = Array.from({ length: 16 }, (_, index) => found.get(`color${index}`));
  const ground = found.get('background') ?? colours[0];
  const ink = found.get('foreground') ?? colours[7];
  if (ground && ink && colours.every((colour) => colour !== undefined))
    read.terminal = { ground, ink, colours };
  return read;
}
