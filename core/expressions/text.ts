import { sources, type OriginOf, type SourceId } from '../sources/list.ts';
import type { Tick } from '../sources/source.ts';
import type { Need } from '../sources/readings.ts';
import type { Described } from '../sources/source.ts';

/** What a text with expressions may come to. */
export const MOST_TEXT = 2000;
/** What one expression may come to. */
export const MOST_EXPRESSION = 500;

/** A stretch of a text: as it stands, or an expression between braces; `at` is where it begins in the text. */
export type Piece =
  | { kind: 'plain'; text: string }
  | { kind: 'expression'; source: string; at: number }
  | { kind: 'open'; at: number };

/** Takes a text apart. `{…}` holds an expression; `{{` and `}}` stand for the braces themselves. */
export function piecesOf(text: string): Piece[] {
  const pieces: Piece[] = [];
  let plain = '';
  const endPlain = () => {
    if (plain) pieces.push({ kind: 'plain', text: plain });
    plain = '';
  };
  for (let at = 0; at < text.length;) {
    const sign = text[at] ?? '';
    if ((sign === '{' || sign === '}') && text[at + 1] === sign) {
      plain += sign;
      at += 2;
    } else if (sign === '{') {
      endPlain();
      const end = endOf(text, at + 1);
      if (end === null) return [...pieces, { kind: 'open', at }];
      pieces.push({ kind: 'expression', source: text.slice(at + 1, end), at: at + 1 });
      at = end + 1;
    } else {
      plain += sign;
      at++;
    }
  }
  endPlain();
  return pieces;
}

/** Where the brace stands that ends an expression: not one in quotes, nor of a map within. Null where there is none. */
function endOf(text: string, from: number): number | null {
  let depth = 0;
  let quote = '';
  for (let at = from; at < text.length; at++) {
    const sign = text[at] ?? '';
    if (quote) {
      if (sign === '\\') at++;
      else if (sign === quote) quote = '';
    } else if (sign === '"' || sign === "'") quote = sign;
    else if (sign === '{') depth++;
    else if (sign === '}' && depth-- === 0) return at;
  }
  return null;
}

/** Names that come from no source, and how often what they tell is another. */
const plain: readonly (readonly [string, Tick])[] = [
  ['time', 'minute'],
  ['place', null],
  ['desk', 'minute'],
];

interface Known {
  sources: SourceId[];
  every: Tick;
}

/** Which sources each name is read from, and how often it changes. */
const known = new Map<string, Known>(plain.map(([name, every]) => [name, { sources: [], every }]));
for (const [id, { tells }] of Object.entries<Described<string, string>>(sources))
  for (const [name, every] of Object.entries(tells ?? {}))
    known.set(name, { sources: [...(known.get(name)?.sources ?? []), id as SourceId], every });

const NAME = new RegExp(`(?<![.\\w"'])(${[...known.keys()].join('|')})\\b`, 'g');
/** What asks for each second: the second itself, a pattern with it, and what is counted from now. */
const SECONDS = /\btime\.second\b|\bformat\(\s*["'][^"']*s/;

/** Where the readings of an expression come from, where not simulated. */
export interface Origins {
  readonly machine?: OriginOf<'machine'>;
  /** The weather as the desk's station reports it. */
  readonly weather?: 'station';
}

/** What expressions read, by the names that stand in them. */
export function needsOf(texts: readonly string[], origins: Origins): Need[] {
  const all = texts.join('\n');
  const isFast = SECONDS.test(all);
  if (all.trim() === '') return [];
  const found = new Set(Array.from(all.matchAll(NAME), ([name]) => name));
  const needs = [...found].flatMap((name): Need[] => {
    const { sources: read, every } = known.get(name) ?? { sources: [], every: null };
    const tick = isFast && every !== null ? 'second' : every;
    if (read.length === 0) return [{ source: 'time', every: tick }];
    return read.map((source): Need => {
      if (source === 'machine') return { source, origin: origins.machine, every: tick };
      if (source === 'weather' && origins.weather) return { source: origins.weather, every: tick };
      return { source, every: tick } as Need;
    });
  });
  // Where nothing is named, there is still something to be worked out.
  return (needs.length > 0 ? needs : [{ source: 'time', every: null } as Need]).map((need) => ({
    ...need,
    byExpression: true,
  }));
}

/** The expressions of a text, also one that is still being written. */
export function expressionsOf(text: string): string[] {
  return piecesOf(text).flatMap((piece) =>
    piece.kind === 'expression' ? [piece.source] : piece.kind === 'open' ? [text.slice(piece.at + 1)] : [],
  );
}
