import { anyColour } from './any-colour.ts';
import type { ReadColours } from './colours.ts';
import { addUnread, emptyRead } from './names.ts';

/** X resources: the colours of terminals, for every program that asks. */

/** One line: components with how each is bound to what stands before it, and a value. */
interface Entry {
  parts: { binding: '.' | '*'; name: string }[];
  value: string;
}

const MOST_LINES = 20_000;
/** Signs of a line, and of the name before its colon. */
const MOST_LINE = 1000;
const MOST_NAME = 200;
const MOST_PARTS = 10;
const MOST_STEPS = 20;

const wanted = ['background', 'foreground', ...Array.from({ length: 16 }, (_, index) => `color${index}`)];
const classOf = (name: string) => (name[0] ?? '').toUpperCase() + name.slice(1);

export function readResources(text: string): ReadColours | null {
  const { entries, macros } = parseLines(text);
  const client = clientOf(entries);
  const read = emptyRead();
  const found = new Map<string, string>();
  for (const name of wanted) {
    const value = lookUpResource(entries, client, name);
    if (value === null) continue;
    const colour = colourOf(expand(value, macros));
    if (colour) {
      found.set(name, colour);
      read.swatches.push({ name, colour });
    } else addUnread(read, name, value);
  }
  if (found.size === 0) return null;
  const colours = Array.from({ length: 16 }, (_, index) => found.get(`color${index}`));
  const ground = found.get('background') ?? colours[0];
  const ink = found.get('foreground') ?? colours[7];
  if (ground && ink && colours.every((colour) => colour !== undefined))
    read.terminal = { ground, ink, colours };
  return read;
}

function parseLines(text: string): { entries: Entry[]; macros: Map<string, string> } {
  const entries: Entry[] = [];
  const macros = new Map<string, string>();
  // A line goes on where it ends in a backslash.
  const lines = text.replace(/\\\r?\n/g, '').split(/\r?\n/, MOST_LINES);
  for (const whole of lines) {
    const line = whole.slice(0, MOST_LINE).trim();
    const macro = /^#\s*define\s+(\w+)\s+(\S+)/.exec(line);
    if (macro) macros.set(macro[1] ?? '', macro[2] ?? '');
    const resource = /^([\w*.?-]+)\s*:(.*)$/.exec(line);
    if (!resource || (resource[1]?.length ?? 0) > MOST_NAME) continue;
    const parts = [...(resource[1] ?? '').matchAll(/([*.]*)([\w?-]+)/g)].map(
      ([, binding = '', name = '']): Entry['parts'][number] => ({
        binding: binding.includes('*') ? '*' : '.',
        name,
      }),
    );
    if (parts.length > 0 && parts.length <= MOST_PARTS)
      entries.push({ parts, value: (resource[2] ?? '').trim() });
  }
  return { entries, macros };
}

/** The program whose colours are meant: the one that most is said of. Null when all is said of all. */
function clientOf(entries: readonly Entry[]): string | null {
  const counts = new Map<string, number>();
  for (const { parts } of entries) {
    const [first] = parts;
    const last = parts.at(-1)?.name ?? '';
    if (!first || first.binding === '*' || first.name === '?' || parts.length < 2) continue;
    if (wanted.includes(last) || wanted.some((name) => classOf(name) === last))
      counts.set(first.name, (counts.get(first.name) ?? 0) + 1);
  }
  const most = Math.max(0, ...counts.values());
  return [...counts].find(([, count]) => count === most)?.[0] ?? null;
}

/**
 * The value of a resource by the rules of the X resource manager: level by level from the left, one that names the
 * level goes before one that leaves it out, a name before a class before `?`, and a tight binding before a loose one; of
 * two alike the later.
 */
function lookUpResource(entries: readonly Entry[], client: string | null, name: string): string | null {
  let best: { rank: number[]; value: string } | null = null;
  const levels = [
    { name: client ?? '', class: client ?? '' },
    { name: 'vt100', class: 'VT100' },
    { name, class: classOf(name) },
  ];
  for (const { parts, value } of entries) {
    // Some terminals have no level in between.
    const rank = rankOf(parts, levels) ?? withoutMiddle(rankOf(parts, [levels[0], levels[2]] as Level[]));
    if (rank && (!best || !isBelow(rank, best.rank))) best = { rank, value };
  }
  return best?.value ?? null;
}

interface Level {
  name: string;
  class: string;
}

function rankOf(parts: Entry['parts'], levels: readonly Level[]): number[] | null {
  const [part, ...rest] = parts;
  const [level, ...below] = levels;
  if (!part || !level) return part || level ? null : [];
  const named = part.name === level.name ? 3 : part.name === level.class ? 2 : part.name === '?' ? 1 : 0;
  const here = named > 0 ? rankOf(rest, below) : null;
  if (here) return [named * 2 + (part.binding === '.' ? 1 : 0), ...here];
  if (part.binding !== '*') return null;
  const skipped = rankOf(parts, below);
  return skipped && [0, ...skipped];
}

function withoutMiddle(rank: number[] | null): number[] | null {
  return rank && [rank[0] ?? 0, 0, rank[1] ?? 0];
}

function isBelow(a: readonly number[], b: readonly number[]): boolean {
  const differs = a.findIndex((rank, level) => rank !== b[level]);
  return differs >= 0 && (a[differs] ?? 0) < (b[differs] ?? 0);
}

function expand(value: string, macros: ReadonlyMap<string, string>): string {
  let text = value;
  for (let step = 0; step < MOST_STEPS && macros.has(text); step++) text = macros.get(text) ?? text;
  return text;
}

/** Digits (3, 6, 9 or 12), rgb:rr/gg/bb, rgba:rr/gg/bb/aa, rgbi:r/g/b, or a name, as #rrggbb; null for anything else. */
function colourOf(text: string): string | null {
  const hex = (shares: number[]) =>
    `#${shares
      .map((share) =>
        Math.round(Math.max(0, Math.min(1, share)) * 255)
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')}`;
  const parts = /^rgba?:([0-9a-f]{1,4})\/([0-9a-f]{1,4})\/([0-9a-f]{1,4})(?:\/[0-9a-f]{1,4})?$/i
    .exec(text)
    ?.slice(1);
  if (parts) return hex(parts.map((part) => parseInt(part, 16) / (16 ** part.length - 1)));
  const shares = /^rgbi:([\d.]+)\/([\d.]+)\/([\d.]+)$/i.exec(text)?.slice(1).map(Number);
  if (shares) return shares.every(Number.isFinite) ? hex(shares) : null;
  const digits = /^#((?:[0-9a-f]{3}){1,4})$/i.exec(text)?.[1];
  if (digits) {
    const each = digits.length / 3;
    const first = [0, 1, 2].map((index) => digits.slice(index * each, (index + 1) * each));
    // X takes the leading digits; three of them stand for the upper halves, as CSS doubles them.
    return anyColour(`#${first.map((part) => (each === 1 ? part + part : part.slice(0, 2))).join('')}`);
  }
  const grey = /^gr[ae]y(\d{1,3})$/i.exec(text)?.[1];
  if (grey !== undefined)
    return Number(grey) > 100 ? null : hex(Array.from({ length: 3 }, () => Number(grey) / 100));
  return /^[a-z]/i.test(text) ? anyColour(text) : null;
}
