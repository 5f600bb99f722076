import { toBytes } from '../values/colour.ts';
import { roles, type Half } from '../values/roles.ts';
import type { Colours } from './colours.ts';
import { fileNameOf } from './names.ts';

/** Colours as other programs read them. Reading is apart: it needs parsers that writing does not. */

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

export function writePaletteFile({ name, roles: halves }: Colours): string {
  const line = (hex: string, title: string) =>
    `${toBytes(hex)
      .map((value) => String(value).padStart(3))
      .join(' ')}\t${title}`;
  const lines = (['light', 'dark'] as const).flatMap((half) =>
    roles.map((role) => line(halves[half][role], `${half} ${fileNameOf(role)}`)),
  );
  return `GIMP Palette\nName: ${name.replace(/[\r\n]/g, ' ')}\nColumns: ${roles.length}\n#\n${lines.join('\n')}\n`;
}

/** A token as the W3C community group has them. */
function token(hex: string) {
  const components = toBytes(hex).map((byte) => Math.round((byte / 255) * 10_000) / 10_000);
  return { $value: { colorSpace: 'srgb', components, hex } };
}

export function writeTokens({ name, roles: halves, terminal }: Colours): string {
  const group = (half: Half) => ({
    $type: 'color',
    ...Object.fromEntries(roles.map((role) => [fileNameOf(role), token(halves[half][role])])),
    terminal: Object.fromEntries(
      terminal[half].colours.map((colour, index) => [`ansi-${index}`, token(colour)]),
    ),
  });
  return `${JSON.stringify({ $description: name, light: group('light'), dark: group('dark') }, null, 2)}\n`;
}

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
