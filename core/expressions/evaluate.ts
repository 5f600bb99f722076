import { Environment, type ParseResult } from '@marcbachmann/cel-js';
import { clockPattern } from '../kinds/options.ts';
import { formatBytes, formatRate } from '../sources/machine/units.ts';
import { formatMoment } from '../sources/time/time.ts';
import { lengthTold, pressureIn, temperatureIn, told, windIn } from '../sources/units.ts';
import { isZone } from '../values/earth.ts';
import { Moment, roots, valuesOf, type Telling } from './catalogue.ts';
import { MOST_EXPRESSION, piecesOf } from './text.ts';

/** Something wrong with an expression, and where it stands in it. */
export interface Mistake {
  sentence: string;
  start: number;
  end: number;
}

/** What an expression comes to; unknown where a reading is missing that it needs. */
export type Outcome =
  { kind: 'value'; value: unknown } | { kind: 'unknown' } | { kind: 'mistake'; mistake: Mistake };

/** Turns of lists that an expression may take; one that takes more is stopped. */
const MOST_TURNS = 20_000;
/** Signs that a text may come to. */
const MOST_SIGNS = 2000;
const UNKNOWN = '–';

class Stopped extends Error {}

/** The circumstances of the expression that is worked out just now: helpers are told the desk's units by it. */
let now: Telling | null = null;
let turns = 0;

function spend(): void {
  if (++turns > MOST_TURNS) throw new Stopped();
}

const telling = (): Telling => {
  if (!now) throw new Error('No expression is worked out');
  return now;
};

const digits = (value: number, many: number) => {
  const places = Math.max(0, Math.min(6, many));
  return (Math.round(value * 10 ** places) / 10 ** places).toFixed(places).replace('-', '−');
};

/** CEL's numbers. */
const numbers = ['int', 'double'] as const;

/** CEL with the desk's names and some helpers; source: the CEL specification, cel.dev. */
function environment(): Environment {
  const env = new Environment({
    homogeneousAggregateLiterals: false,
    limits: { maxAstNodes: 250, maxDepth: 40, maxListElements: 100, maxMapEntries: 40, maxCallArguments: 8 },
  });
  env.registerType('Moment', Moment);
  for (const root of roots) env.registerVariable(root, 'dyn');
  // Readings are fractions; people write whole numbers beside them.
  for (const [sign, work] of [
    ['+', (a: number, b: number) => a + b],
    ['-', (a: number, b: number) => a - b],
    ['*', (a: number, b: number) => a * b],
    ['/', (a: number, b: number) => a / b],
  ] as const) {
    env.registerOperator(`double ${sign} int`, (a: number, b: bigint) => work(a, Number(b)));
    env.registerOperator(`int ${sign} double`, (a: bigint, b: number) => work(Number(a), b));
  }
  env.registerOperator('Moment - Moment', (a: Moment, b: Moment) => (a.ms - b.ms) / 1000);
  env.registerOperator('Moment < Moment', (a: Moment, b: Moment) => a.ms < b.ms);
  env.registerOperator('Moment > Moment', (a: Moment, b: Moment) => a.ms > b.ms);
  for (const type of numbers) {
    const on = (signature: string, work: (value: number, ...more: never[]) => unknown) =>
      env.registerFunction(`${type}.${signature}`, (value: number | bigint, ...more: never[]) =>
        work(Number(value), ...more),
      );
    on('round(): int', (value) => whole(Math.round(value)));
    on('round(int): string', (value, many: bigint) => digits(value, Number(many)));
    on('floor(): int', (value) => whole(Math.floor(value)));
    on('ceil(): int', (value) => whole(Math.ceil(value)));
    on('abs(): double', (value) => Math.abs(value));
    on('bytes(): string', (value) => formatBytes(Math.max(0, value)));
    on('rate(): string', (value) => told(formatRate(Math.max(0, value))));
    on('length(): string', (value) => lengthOf(value));
    on('degrees(): string', (value) => told(temperatureIn(telling().facts.units.temperature, value)));
    on('speed(): string', (value) => told(windIn(telling().facts.units.wind, value)));
    on('pressure(): string', (value) => told(pressureIn(telling().facts.units.pressure, value)));
    on('choose(list, list): dyn', chooseFrom as never);
  }
  env.registerFunction('Moment.format(string): string', (moment: Moment, pattern: string) =>
    formatted(moment, pattern, telling().readings.place.zone),
  );
  env.registerFunction(
    'Moment.format(string, string): string',
    (moment: Moment, pattern: string, zone: string) => {
      if (!isZone(zone)) throw new Error(`“${zone.slice(0, 40)}” is not a time zone`);
      return formatted(moment, pattern, zone);
    },
  );
  env.registerFunction('until(Moment): double', (moment: Moment) => (moment.ms - telling().at) / 1000);
  env.registerFunction('since(Moment): double', (moment: Moment) => (telling().at - moment.ms) / 1000);
  env.registerFunction('string.upper(): string', (text: string) => text.toUpperCase());
  env.registerFunction('string.lower(): string', (text: string) => text.toLowerCase());
  for (const a of numbers)
    for (const b of numbers) {
      env.registerFunction(`min(${a}, ${b}): double`, (x: number, y: number) =>
        Math.min(Number(x), Number(y)),
      );
      env.registerFunction(`max(${a}, ${b}): double`, (x: number, y: number) =>
        Math.max(Number(x), Number(y)),
      );
    }
  return env;
}

/** The helpers, as an editor offers them. */
export const helpers: readonly { label: string; told: string }[] = [
  { label: 'round()', told: 'Whole number; round(1) with a digit behind the point' },
  { label: 'floor()', told: 'The whole number below' },
  { label: 'ceil()', told: 'The whole number above' },
  { label: 'abs()', told: 'Without its sign' },
  { label: 'bytes()', told: 'Bytes as 6.4 GB' },
  { label: 'rate()', told: 'Bytes a second as 3.2 MB/s' },
  { label: 'length()', told: 'Seconds as 3 h 12 min' },
  { label: 'degrees()', told: '°C in the desk’s unit' },
  { label: 'speed()', told: 'm/s in the desk’s unit' },
  { label: 'pressure()', told: 'hPa in the desk’s unit' },
  { label: 'choose([20, 80], ["low", "fair", "high"])', told: 'Below 20, below 80, or from there on' },
  { label: 'format("HH:mm")', told: 'A moment as text' },
  { label: 'upper()', told: 'In capitals' },
  { label: 'lower()', told: 'In small letters' },
];

const whole = (value: number) => BigInt(Number.isFinite(value) ? value : 0);

function lengthOf(seconds: number): string {
  const days = Math.floor(seconds / 86_400);
  return days > 0 ? `${days} d ${Math.floor((seconds % 86_400) / 3600)} h` : lengthTold(Math.max(0, seconds));
}

/** The word for the stretch between limits that a number falls in. */
function chooseFrom(value: number, limits: readonly unknown[], words: readonly unknown[]): unknown {
  const at = limits.findIndex((limit) => value < Number(limit));
  const word = words[at === -1 ? limits.length : at];
  if (word === undefined) throw new Error('choose() needs one word more than limits');
  return word;
}

function formatted(moment: Moment, pattern: string, zone: string): string {
  try {
    return formatMoment(moment.ms, zone, pattern.slice(0, 60));
  } catch {
    throw new Error(`“${pattern.slice(0, 40)}” is not a date pattern, such as HH:mm`);
  }
}

let env: Environment | null = null;
const MOST_PARSED = 500;
const parsed = new Map<string, ParseResult | Mistake>();

/** A node of a parsed expression, as far as it is looked into here. */
interface Node {
  op?: string;
  args?: unknown;
  meta?: { alternate?: Node };
  evaluate?: unknown;
}

/** What is refused although CEL has it: a pattern can take for ever, and a bound value can grow without end. */
const refused = new Map([
  ['matches', 'matches is not known here; contains, startsWith and endsWith are'],
  ['cel', 'cel is not known here'],
]);

/** Walks all of an expression: refuses what could run away, and has each turn of a list counted. */
function guard(node: unknown, depth = 0): string | null {
  if (typeof node !== 'object' || node === null || depth > 200) return null;
  if (Array.isArray(node)) {
    for (const one of node) {
      const wrong = guard(one, depth + 1);
      if (wrong) return wrong;
    }
    return null;
  }
  const { op, args, meta } = node as Node;
  if (op === 'comprehension') countTurns((args as { step?: Node }).step);
  const called = op === 'id' ? args : op === 'rcall' || op === 'call' ? (args as unknown[])[0] : null;
  const why = typeof called === 'string' ? refused.get(called) : undefined;
  if (why) return why;
  if (args !== null && typeof args === 'object') {
    const inner = guard(Array.isArray(args) ? args : Object.values(args).filter(isNode), depth + 1);
    if (inner) return inner;
  }
  return meta?.alternate ? guard(meta.alternate, depth + 1) : null;
}

const isNode = (value: unknown) => typeof value === 'object' && value !== null && 'op' in value;

/** A node chooses how it is evaluated when that is first done; whatever it chooses is counted. */
function countTurns(step: Node | undefined): void {
  if (!step || Object.hasOwn(step, 'evaluate')) return;
  type Evaluate = (...all: unknown[]) => unknown;
  let chosen = step.evaluate as Evaluate;
  const counted: Evaluate = (...all) => {
    spend();
    return chosen.apply(step, all);
  };
  Object.defineProperty(step, 'evaluate', {
    get: () => counted,
    set: (next: Evaluate) => void (chosen = next),
  });
}

function parse(source: string): ParseResult | Mistake {
  const before = parsed.get(source);
  if (before) return before;
  const result = parseAnew(source);
  if (parsed.size >= MOST_PARSED) parsed.clear();
  parsed.set(source, result);
  return result;
}

function parseAnew(source: string): ParseResult | Mistake {
  const all = { start: 0, end: source.length };
  if (source.trim() === '') return { sentence: 'There is nothing between the braces', ...all };
  if (source.length > MOST_EXPRESSION)
    return { sentence: `An expression may have ${MOST_EXPRESSION} signs`, ...all };
  env ??= environment();
  try {
    const result = env.parse(source);
    const why = guard(result.ast);
    if (why) return { sentence: why, ...all };
    const { valid, error } = result.check();
    return valid || !error ? result : mistakeOf(error, source);
  } catch (error) {
    return mistakeOf(error, source);
  }
}

/** What went wrong, in a person's words, and where. */
function mistakeOf(error: unknown, source: string): Mistake {
  if (error instanceof Stopped)
    return { sentence: 'This takes too long and was stopped', start: 0, end: source.length };
  const { summary, message, code, range } = error as Partial<{
    summary: string;
    message: string;
    code: string;
    range: { start: number; end: number };
  }>;
  const { start, end } = range ?? { start: 0, end: source.length };
  const said = (summary ?? message ?? 'This can’t be worked out').split('\n')[0] ?? '';
  const at = Math.min(start, Math.max(0, source.length - 1));
  return {
    sentence: sentenceOf(code ?? '', said, source.slice(start, end)),
    start: at,
    end: Math.max(end, at + 1),
  };
}

function sentenceOf(code: string, said: string, there: string): string {
  const name = there.slice(0, 40);
  switch (code) {
    case 'no_such_key':
      return `There is no “${name}” here`;
    case 'unknown_variable':
      return `“${name}” is not known`;
    case 'unexpected_token':
      return said.includes('EOF') ? 'Something is missing at the end' : `“${name}” is not expected here`;
    case 'division_by_zero':
      return 'This divides by zero';
    case 'limit_exceeded':
      return 'This is too long or too deep';
    case 'no_such_overload':
    case 'no_matching_overload':
      return /no such overload|no matching overload/.test(said)
        ? `These don’t go together: ${said
            .replace(/^.*overload(?::| for)\s*/, '')
            .replaceAll('dyn', '')
            .replaceAll(/[<>']/g, '')}`
        : said;
    default:
      return said.charAt(0).toUpperCase() + said.slice(1);
  }
}

/** Works an expression out. Pure: what stands in it and the circumstances decide it. */
export function evaluate(source: string, circumstances: Telling): Outcome {
  const result = parse(source);
  if (typeof result !== 'function') return { kind: 'mistake', mistake: result };
  let isMissing = false;
  const values = valuesOf(circumstances, () => (isMissing = true));
  const before = now;
  now = circumstances;
  turns = 0;
  try {
    const value: unknown = result(values as Record<string, unknown>);
    return value === null || value === undefined ? { kind: 'unknown' } : { kind: 'value', value };
  } catch (error) {
    // With a reading missing, all that is worked out from it is missing too.
    if (isMissing && !(error instanceof Stopped)) return { kind: 'unknown' };
    return { kind: 'mistake', mistake: mistakeOf(error, source) };
  } finally {
    now = before;
  }
}

/** A value as a text shows it. */
export function shown(value: unknown, { facts, readings }: Telling): string {
  if (value === null || value === undefined) return UNKNOWN;
  if (typeof value === 'string') return value.slice(0, MOST_SIGNS);
  if (typeof value === 'bigint') return String(value).replace('-', '−');
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) return UNKNOWN;
    return String(Math.round(value * 100) / 100).replace('-', '−');
  }
  if (value instanceof Moment)
    return formatMoment(value.ms, readings.place.zone, clockPattern(facts.units.hours));
  if (Array.isArray(value))
    return value
      .slice(0, 50)
      .map((one) => shown(one, { facts, readings } as Telling))
      .join(', ');
  return '…';
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

/** An expression as a number; null where it is none, or can't be known. */
export function numberOf(source: string, circumstances: Telling): number | null {
  const outcome = evaluate(source, circumstances);
  if (outcome.kind !== 'value') return null;
  const { value } = outcome;
  return typeof value === 'number' || typeof value === 'bigint' ? Number(value) : null;
}
