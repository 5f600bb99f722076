import { lookUp } from '../values/look-up.ts';
import type { Half } from '../values/roles.ts';
import { anyColour } from './any-colour.ts';
import type { ReadColours } from './colours.ts';
import { addColour, addUnread, emptyRead } from './names.ts';

/**
 * Design Tokens as the W3C community group has them (format module 2025.10): groups of tokens with `$type` and `$value`, a
 * group's own token under `$root`, aliases (`{group.token}`) and references (`$ref`, a JSON Pointer, RFC 6901).
 */

const MOST_DEPTH = 12;
const MOST_STEPS = 20;

interface Token {
  path: string[];
  type: unknown;
  value: unknown;
}

export function readTokens(text: string): ReadColours | null {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return null;
  }
  if (!isRecord(json)) return null;
  const tokens: Token[] = [];
  walk(json, [], null, tokens);
  const byPath = new Map(tokens.map((token) => [token.path.join('.'), token]));
  const pointed = (value: unknown) => dereferenced(value, json);
  const read = emptyRead();
  for (const token of tokens) {
    const { path } = token;
    const found = follow({ ...token, value: pointed(token.value) }, byPath, pointed);
    if (found && found.type !== 'color' && found.type !== null) continue;
    const half = path.find((step): step is Half => /^(light|dark)$/i.test(step))?.toLowerCase() as
      Half | undefined;
    const colour = found && colourOf(found.value);
    if (colour) addColour(read, path.findLast((step) => step !== ROOT) ?? '', colour, half ?? null);
    else if (token.type === 'color') addUnread(read, path.join('.'), valueText(token.value));
  }
  return read;
}

function walk(node: Record<string, unknown>, path: string[], type: unknown, tokens: Token[]): void {
  if (path.length > MOST_DEPTH) return;
  const ownType = lookUp(node, '$type') ?? type;
  if (Object.hasOwn(node, '$value')) {
    tokens.push({ path, type: ownType, value: lookUp(node, '$value') });
    return;
  }
  // A token that is another one's stands under a reference only.
  if (path.length > 0 && typeof lookUp(node, '$ref') === 'string')
    tokens.push({ path, type: ownType, value: { $ref: lookUp(node, '$ref') } });
  for (const [key, value] of Object.entries(node)) {
    if ((!key.startsWith('$') || key === ROOT) && isRecord(value))
      walk(value, [...path, key], ownType, tokens);
  }
}

/** What a group itself is stands under this name. */
const ROOT = '$root';

/** A value with what its references point to in their places; one that leads nowhere, or round in a circle, stays. */
function dereferenced(value: unknown, json: unknown, steps = MOST_STEPS): unknown {
  if (steps === 0) return value;
  if (Array.isArray(value))
    return value.length > 8 ? value : value.map((one) => dereferenced(one, json, steps - 1));
  if (!isRecord(value)) return value;
  const reference = lookUp(value, '$ref');
  if (typeof reference === 'string') {
    const there = atPointer(json, reference);
    const target = isRecord(there) && Object.hasOwn(there, '$value') ? lookUp(there, '$value') : there;
    return target === undefined ? value : dereferenced(target, json, steps - 1);
  }
  const { components } = value as { components?: unknown };
  return components === undefined
    ? value
    : { ...value, components: dereferenced(components, json, steps - 1) };
}

/** What lies under a JSON Pointer in a fragment (`#/a/b`); undefined where nothing does. */
function atPointer(json: unknown, reference: string): unknown {
  if (!reference.startsWith('#/') || reference.length > 1000) return undefined;
  let at = json;
  for (const step of reference.slice(2).split('/')) {
    const key = unescaped(step);
    if (Array.isArray(at)) at = /^\d{1,4}$/.test(key) ? (at as unknown[])[Number(key)] : undefined;
    else at = isRecord(at) ? lookUp(at, key) : undefined;
  }
  return at;
}

function unescaped(step: string): string {
  try {
    return decodeURIComponent(step).replaceAll('~1', '/').replaceAll('~0', '~');
  } catch {
    return step;
  }
}

/** The token that an alias (`{group.token}`) stands for in the end; null for one that leads nowhere. */
function follow(
  token: Token,
  byPath: ReadonlyMap<string, Token>,
  pointed: (value: unknown) => unknown,
): Token | null {
  let at: Token | undefined = token;
  for (let step = 0; at && step < MOST_STEPS; step++) {
    const alias = typeof at.value === 'string' ? /^\{([^{}]+)\}$/.exec(at.value.trim())?.[1] : undefined;
    if (alias === undefined) return { ...at, type: token.type ?? at.type };
    const next = byPath.get(alias.trim());
    at = next && { ...next, value: pointed(next.value) };
  }
  return null;
}

/** Colour spaces of the specification, as CSS writes colours in them; `%` marks what is a share of a hundred. */
const spaces = new Map([
  ['srgb', 'color(srgb @ @ @)'],
  ['srgb-linear', 'color(srgb-linear @ @ @)'],
  ['hsl', 'hsl(@ @% @%)'],
  ['hwb', 'hwb(@ @% @%)'],
  ['lab', 'lab(@ @ @)'],
  ['lch', 'lch(@ @ @)'],
  ['oklab', 'oklab(@ @ @)'],
  ['oklch', 'oklch(@ @ @)'],
  ['display-p3', 'color(display-p3 @ @ @)'],
  ['a98-rgb', 'color(a98-rgb @ @ @)'],
  ['prophoto-rgb', 'color(prophoto-rgb @ @ @)'],
  ['rec2020', 'color(rec2020 @ @ @)'],
  ['xyz-d65', 'color(xyz-d65 @ @ @)'],
  ['xyz-d50', 'color(xyz-d50 @ @ @)'],
]);

/** A colour as #rrggbb, from the form with components or the older one with a string. */
function colourOf(value: unknown): string | null {
  if (typeof value === 'string') return anyColour(value);
  if (!isRecord(value)) return null;
  const { colorSpace, components, hex, alpha } = value as Record<string, unknown>;
  if (alpha === 0) return null;
  const form = typeof colorSpace === 'string' ? spaces.get(colorSpace) : undefined;
  const isWhole =
    Array.isArray(components) &&
    components.length === 3 &&
    components.every((one) => (typeof one === 'number' && Number.isFinite(one)) || one === 'none');
  const written =
    form && isWhole
      ? anyColour(
          components.reduce<string>(
            (text, one) => text.replace('@', one === 'none' ? '0' : String(one)),
            form,
          ),
        )
      : null;
  // What the file itself gives for programs that don't know the space.
  return (typeof hex === 'string' && anyColour(hex)) || written;
}

function valueText(value: unknown): string {
  return typeof value === 'string' ? value : (JSON.stringify(value) ?? '');
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
