import { isCelError, isCelList, isCelUint, type CelError } from '@bufbuild/cel';
import { isBudgetSpent, startBudget } from './budget.ts';
import type { Telling } from './catalogue.ts';
import { lengthShown, momentShown, Told, withTelling } from './functions.ts';
import { placed, positionOf, readExpression, type Mistake, type Planned } from './parse.ts';
import { piecesOf } from './text.ts';
import { momentOf, secondsOf, valuesOf } from './values.ts';

export { helpers } from './functions.ts';
export type { Mistake } from './parse.ts';

/** What an expression comes to; unknown where a reading is missing that it needs. */
export type Outcome =
  { kind: 'value'; value: unknown } | { kind: 'unknown' } | { kind: 'mistake'; mistake: Mistake };

/** Signs that a text may come to. */
const MOST_SIGNS = 2000;
const UNKNOWN = '–';

const MOST_READ = 500;
const read = new Map<string, Planned | Mistake>();

function reading(source: string): Planned | Mistake {
  const before = read.get(source);
  if (before) return before;
  const result = readExpression(source);
  if (read.size >= MOST_READ) read.clear();
  read.set(source, result);
  return result;
}

/** Works an expression out. Pure: what stands in it and the circumstances decide it. */
export function evaluate(source: string, circumstances: Telling): Outcome {
  const planned = reading(source);
  if ('sentence' in planned) return { kind: 'mistake', mistake: planned };
  let isMissing = false;
  const values = valuesOf(circumstances, () => (isMissing = true));
  startBudget();
  const value: unknown = withTelling(circumstances, () => planned.work(values));
  // Whatever was made of it after it was stopped.
  if (isBudgetSpent())
    return { kind: 'mistake', mistake: placed('This takes too long and was stopped', null, source) };
  if (!isCelError(value))
    return value === null || value === undefined ? { kind: 'unknown' } : { kind: 'value', value };
  // With a reading missing, all that is worked out from it is missing too.
  return isMissing ? { kind: 'unknown' } : { kind: 'mistake', mistake: mistakeOf(value, planned, source) };
}

/** What went wrong while an expression was worked out, in a person's words, and where. */
function mistakeOf(error: CelError, { at }: Planned, source: string): Mistake {
  const position = error.exprId === undefined ? null : positionOf(at, error.exprId);
  if (error.cause instanceof Told) return placed(error.cause.message, position, source);
  const missing = /^field not found: (.*)$/.exec(error.message)?.[1];
  if (missing !== undefined) {
    const name = missing.slice(0, 40);
    const start = source.indexOf(missing, position ?? 0);
    const sentence = `There is no “${name}” here`;
    return start < 0 ? placed(sentence, position, source) : { sentence, start, end: start + missing.length };
  }
  return placed(sentenceOf(error.message), position, source);
}

/** By what the library says, which is for programmers. */
const sentences: readonly (readonly [RegExp, (match: RegExpExecArray) => string])[] = [
  [/divide by zero|modulus by zero/, () => 'This divides by zero'],
  [/overflow/, () => 'This is too large for a whole number'],
  [/^index (-?\d+) out of bounds/, ([, index]) => `There is no entry ${index} in this list`],
  [
    /^found no matching overload for '?(\S+?)'? applied to '(?:\S+\.)?\((.*)\)'/,
    ([, name = '', types = '']) => {
      const sign = name.replaceAll(/[_@]/g, '');
      const parts = types.split(', ').map((type) => plainTypes.get(type.replace(/\(.*$/, '')) ?? 'something');
      const isSign = /^\W+$|^in$/.test(sign) && parts.length === 2;
      if (sign === '?:') return 'Only yes or no can stand before a question mark';
      return isSign
        ? `These don’t go together: ${parts.join(` ${sign} `)}`
        : `${sign || name}() doesn’t take ${parts.join(', ') || 'nothing'}`;
    },
  ],
  [/^type mismatch: expected bool/, () => 'Only yes or no can stand here'],
  [/^type mismatch: iterable/, () => 'Only a list has entries to go through'],
  [/no such key|unresolved|unknown/i, () => 'There is nothing of that name here'],
  [/key/, () => 'A key is a text, a whole number, or true or false'],
];

const plainTypes = new Map([
  ['string', 'text'],
  ['int', 'whole number'],
  ['uint', 'whole number'],
  ['double', 'number'],
  ['bool', 'yes or no'],
  ['list', 'list'],
  ['map', 'moment or map'],
  ['null_type', 'nothing'],
  ['google.protobuf.Timestamp', 'moment'],
  ['google.protobuf.Duration', 'length of time'],
]);

function sentenceOf(said: string): string {
  for (const [pattern, tell] of sentences) {
    const match = pattern.exec(said);
    if (match) return tell(match);
  }
  return 'This can’t be worked out';
}

/** Signs that lists within lists come to before they are cut short. */
const LONG_ENOUGH = MOST_SIGNS * 2;

/** A value as a text shows it. */
export function shown(value: unknown, telling: Telling): string {
  let room = LONG_ENOUGH;
  const told = (one: unknown): string => {
    if (!isCelList(one)) {
      const text = shownOne(one, telling);
      room -= text.length + 2;
      return text;
    }
    const parts: string[] = [];
    for (const inner of one) {
      if (room <= 0 || parts.length >= 50) break;
      // An empty list within takes room too: there may be any number of them.
      room--;
      parts.push(told(inner));
    }
    return parts.join(', ');
  };
  return told(value).slice(0, MOST_SIGNS);
}

function shownOne(value: unknown, telling: Telling): string {
  if (value === null || value === undefined) return UNKNOWN;
  if (typeof value === 'string') return value.slice(0, MOST_SIGNS);
  if (typeof value === 'bigint') return String(value).replace('-', '−');
  if (isCelUint(value)) return String(value.value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) return UNKNOWN;
    return String(Math.round(value * 100) / 100).replace('-', '−');
  }
  const moment = momentOf(value);
  if (moment !== null) return momentShown(moment, telling);
  const seconds = secondsOf(value);
  return seconds === null ? '…' : lengthShown(seconds);
}

/** A text with its expressions worked out, and what is wrong with them, by place in the text. */
export interface Said {
  text: string;
  mistakes: Mistake[];
}

export function say(text: string, circumstances: Telling): Said {
  const mistakes: Mistake[] = [];
  let said = '';
  for (const piece of piecesOf(text)) {
    if (piece.kind === 'plain') said += piece.text;
    else if (piece.kind === 'open') {
      mistakes.push({ sentence: 'This brace is never closed', start: piece.at, end: piece.at + 1 });
    } else {
      const outcome = evaluate(piece.source, circumstances);
      if (outcome.kind === 'value') said += shown(outcome.value, circumstances);
      else said += UNKNOWN;
      if (outcome.kind === 'mistake') {
        const { sentence, start, end } = outcome.mistake;
        mistakes.push({ sentence, start: piece.at + start, end: piece.at + end });
      }
    }
  }
  return { text: said.slice(0, MOST_SIGNS), mistakes };
}

/** Whether a condition holds; null where it can't be told. */
export function holds(source: string, circumstances: Telling): boolean | null {
  const outcome = evaluate(source, circumstances);
  return outcome.kind === 'value' && typeof outcome.value === 'boolean' ? outcome.value : null;
}

/** An expression as a number, a length of time in seconds; null where it is none, or can't be known. */
export function numberOf(source: string, circumstances: Telling): number | null {
  const outcome = evaluate(source, circumstances);
  if (outcome.kind !== 'value') return null;
  const { value } = outcome;
  return typeof value === 'number' || typeof value === 'bigint' ? Number(value) : secondsOf(value);
}
