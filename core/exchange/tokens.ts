import { hexOf, isColourString } from '../colour/convert.ts';
import { roles, type Half } from '../desk/values.ts';
import type { Colours, ReadColours } from './exchange.ts';
import { addColour, emptyRead, fileNameOf } from './names.ts';

/** Design Tokens as the W3C community group has them: groups of tokens with `$type` and `$value`. */

function token(hex: string) {
  const value = parseInt(hex.slice(1), 16);
  const components = [16, 8, 0].map(
    (shift) => Math.round((((value >> shift) & 255) / 255) * 10_000) / 10_000,
  );
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

const MOST_DEPTH = 12;

export function readTokens(text: string): ReadColours | null {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return null;
  }
  if (!isRecord(json)) return null;
  const read = emptyRead();
  walk(json, [], null, read);
  return read;
}

function walk(node: Record<string, unknown>, path: string[], type: unknown, read: ReadColours): void {
  if (path.length > MOST_DEPTH) return;
  const ownType = node['$type'] ?? type;
  if ('$value' in node) {
    const colour = colourOf(node['$value']);
    if (colour && (ownType === 'color' || ownType === undefined)) {
      const half = path.find((step): step is Half => step === 'light' || step === 'dark') ?? null;
      addColour(read, path.at(-1) ?? '', colour, half);
    }
    return;
  }
  for (const [key, value] of Object.entries(node)) {
    if (!key.startsWith('$') && isRecord(value)) walk(value, [...path, key], ownType, read);
  }
}

/** A colour as #rrggbb, from the form with components or the older one with a hex string. */
function colourOf(value: unknown): string | null {
  if (typeof value === 'string') return isColourString(value.slice(0, 7)) ? hexOf(value.slice(0, 7)) : null;
  if (!isRecord(value)) return null;
  if (typeof value['hex'] === 'string' && isColourString(value['hex'])) return hexOf(value['hex']);
  const components = value['components'];
  if (
    !Array.isArray(components) ||
    components.length < 3 ||
    components.some((one) => typeof one !== 'number')
  )
    return null;
  const [a, b, c] = components as [number, number, number];
  if (value['colorSpace'] === 'oklch') return hexOf(`oklch(${a} ${b} ${c})`);
  if (value['colorSpace'] !== 'srgb') return null;
  const byte = (v: number) =>
    Math.round(Math.max(0, Math.min(1, v)) * 255)
      .toString(16)
      .padStart(2, '0');
  return `#${byte(a)}${byte(b)}${byte(c)}`;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
