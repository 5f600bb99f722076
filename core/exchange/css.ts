import { generate, parse, walk, type CssNode, type WalkContext } from 'css-tree';
import { halves, type Half } from '../values/roles.ts';
import { anyColour } from './any-colour.ts';
import type { ReadColours } from './colours.ts';
import { addColour, addUnread, emptyRead } from './names.ts';

/** CSS custom properties, as they come out for a light and for a dark page. */

interface Declared {
  value: string;
  isImportant: boolean;
}
type Properties = Map<string, Declared>;

const MOST_PROPERTIES = 5000;
/** Faults beyond which a text is no CSS. The parser has been seen to find the same one again for ever. */
const MOST_FAULTS = 500;

export function readCss(text: string): ReadColours | null {
  const declared: Record<Half | 'both', Properties> = { both: new Map(), light: new Map(), dark: new Map() };
  let [count, faults] = [0, 0];
  const onParseError = () => {
    if (++faults > MOST_FAULTS) throw new Error('Too many faults');
  };
  try {
    collect(parse(text, { onParseError }), (half, name, value) => {
      if (++count > MOST_PROPERTIES) return;
      const before = declared[half].get(name);
      // The later one holds, unless the earlier was marked as more important.
      if (!before?.isImportant || value.isImportant) declared[half].set(name, value);
    });
  } catch {
    return null;
  }
  const read = emptyRead();
  const names = new Set([...declared.both.keys(), ...declared.light.keys(), ...declared.dark.keys()]);
  const inForce = {
    light: merged(declared.both, declared.light),
    dark: merged(declared.both, declared.dark),
  };
  for (const name of names) {
    const [light, dark] = (['light', 'dark'] as const).map((half) => colourIn(inForce[half], name, half));
    if (light && light === dark) addColour(read, name, light, null);
    else
      for (const half of halves) {
        const colour = half === 'light' ? light : dark;
        if (colour) addColour(read, name, colour, half);
      }
    const value = (inForce.light.get(name) ?? inForce.dark.get(name))?.value ?? '';
    if (!light && !dark && isMeantAsColour(value)) addUnread(read, `--${name}`, value);
  }
  return read;
}

/** What holds in one half: what is said of it, over what is said of both. */
function merged(both: Properties, own: Properties): Properties {
  const all = new Map(both);
  for (const [name, value] of own)
    if (value.isImportant || !both.get(name)?.isImportant) all.set(name, value);
  return all;
}

function collect(sheet: CssNode, take: (half: Half | 'both', name: string, value: Declared) => void): void {
  const media: (Half | null)[] = [];
  walk(sheet, {
    enter(this: WalkContext, node: CssNode) {
      if (node.type === 'Atrule') media.push(halfOfQuery(node.prelude ? generate(node.prelude) : ''));
      if (node.type !== 'Declaration' || !node.property.startsWith('--')) return;
      const selector = this.rule ? generate(this.rule.prelude) : '';
      const half = media.findLast((one) => one !== null) ?? halfOfSelector(selector) ?? 'both';
      take(half, node.property.slice(2), {
        value: withoutComments(generate(node.value)).trim(),
        isImportant: node.important !== false,
      });
    },
    leave(node: CssNode) {
      if (node.type === 'Atrule') media.pop();
    },
  });
}

/** Values of custom properties are kept as they were written, their comments too; one stands for a blank. */
function withoutComments(text: string): string {
  let bare = '';
  let at = 0;
  for (;;) {
    const start = text.indexOf('/*', at);
    if (start < 0) return bare + text.slice(at);
    bare += `${text.slice(at, start)} `;
    const end = text.indexOf('*/', start + 2);
    if (end < 0) return bare;
    at = end + 2;
  }
}

function halfOfQuery(query: string): Half | null {
  const found = /prefers-color-scheme\s*:\s*(light|dark)/i.exec(query)?.[1]?.toLowerCase();
  return found === 'light' || found === 'dark' ? found : null;
}

/** `.dark`, `.theme-dark`, `[data-theme="dark"]` and the like. */
function halfOfSelector(selector: string): Half | null {
  const found = /(?:[.#](?:[\w-]+-)?|\[[\w-]+[~|^$*]?=\s*["']?)(light|dark)\b/i
    .exec(selector)?.[1]
    ?.toLowerCase();
  return found === 'light' || found === 'dark' ? found : null;
}

const MOST_STEPS = 20;

function colourIn(properties: Properties, name: string, half: Half): string | null {
  const value = properties.get(name)?.value;
  return value === undefined ? null : resolve(value, properties, half, MOST_STEPS);
}

/** The colour of a value: of what it refers to, or of its own half. Circles end after some steps. */
function resolve(value: string, properties: Properties, half: Half, steps: number): string | null {
  const text = value.trim();
  if (steps === 0) return null;
  const reference = /^var\(\s*--([\w-]+)\s*(?:,([\s\S]*))?\)$/i.exec(text);
  if (reference) {
    const target = properties.get(reference[1] ?? '')?.value;
    const found = target === undefined ? null : resolve(target, properties, half, steps - 1);
    return found ?? (reference[2] ? resolve(reference[2], properties, half, steps - 1) : null);
  }
  const pair = /^light-dark\(([\s\S]*)\)$/i.exec(text)?.[1];
  if (pair !== undefined) {
    const [light, dark] = splitOutside(pair);
    const chosen = half === 'light' ? light : dark;
    return chosen === undefined ? null : resolve(chosen, properties, half, steps - 1);
  }
  return anyColour(text);
}

/** Parts between commas that stand in no brackets. */
function splitOutside(text: string): string[] {
  const parts = [''];
  let depth = 0;
  for (const sign of text) {
    if (sign === '(') depth++;
    if (sign === ')') depth--;
    if (sign === ',' && depth === 0) parts.push('');
    else parts[parts.length - 1] += sign;
  }
  return parts;
}

function isMeantAsColour(value: string): boolean {
  return /^(#|(rgba?|hsla?|hwb|(ok)?lab|(ok)?lch|color(-mix)?|light-dark|var|device-cmyk)\()/i.test(
    value.trim(),
  );
}
