import { tests } from '@bufbuild/cel-spec/testdata/conformance.js';
import { isCelList, isCelMap, isCelUint } from '@bufbuild/cel';
import { expect } from 'chai';
import { bareDesk, DAWN } from '../../tests/support/desks.ts';
import { learnSources } from '../sources/learn.ts';
import { createReadings } from '../sources/readings.ts';
import { plainUnits } from '../sources/units.ts';
import type { Telling } from './catalogue.ts';
import { evaluate } from './evaluate.ts';

/** The specification's own cases, of the language itself and as far as they need nothing but an expression. */

interface Case {
  path: string;
  expr: string;
  /** As text; null where it must fail. */
  wanted: string | null;
}

/** Of the rest of the specification nothing is here: what others add to the language, and messages. */
const suites = new Set([
  'basic',
  'comparisons',
  'conversions',
  'fields',
  'fp_math',
  'integer_math',
  'lists',
  'logic',
  'macros',
  'parse',
  'plumbing',
  'string',
  'timestamps',
]);

/** What is not here, on purpose, or is otherwise; by what stands in an expression or by the name of a case. */
const otherwise: readonly (readonly [reason: string, words: RegExp])[] = [
  ['messages', /google\.protobuf|TestAllTypes/],
  ['bytes', /\bbytes\(|\bb['"]/],
  ['patterns, which may take for ever', /\.matches\(/],
  ['names in backquotes', /`/],
  ['names that are not known: they are told before anything is worked out', / \|\| true$/],
  ['moments to less than a millisecond', /999999999|00000000\d/],
  [
    'what the library takes that the specification refuses',
    /^(int\(-9223372036854775808\.0\)|\{0: 1, 0u: 2\}\[0\.0\]|timestamp\('0000-01-01T00:00:00Z'\))$/,
  ],
];

type Value = Record<string, unknown>;

interface Suite {
  name: string;
  suites?: readonly Suite[];
  tests?: readonly { original: Value }[];
}

const KNOWN = new Set(['name', 'description', 'expr', 'value', 'evalError', 'disableCheck', 'disableMacros']);

function* casesIn(suite: Suite, path: string): Generator<Case> {
  for (const { original } of suite.tests ?? []) {
    const { name, expr, value, evalError } = original;
    // One that needs more than itself, or comes to what can't be written here.
    if (Object.keys(original).some((key) => !KNOWN.has(key))) continue;
    const wanted = evalError ? null : told(value as Value | undefined);
    if (wanted !== undefined) yield { path: `${path}/${String(name)}`, expr: String(expr), wanted };
  }
  for (const inner of suite.suites ?? []) yield* casesIn(inner, `${path}/${inner.name}`);
}

/** A value of the specification as text; undefined for bytes, messages and types. */
function told(value: Value | undefined): string | undefined {
  if (!value) return 'true';
  const [[kind, of] = ['', null]] = Object.entries(value);
  const inner = (list: unknown) => ((list as Value[] | undefined) ?? []).map((one) => told(one));
  switch (kind) {
    case 'int64Value':
    case 'uint64Value':
      return `${String(of)}n`;
    case 'doubleValue':
      return `f${Number(of)}`;
    case 'boolValue':
    case 'stringValue':
      return JSON.stringify(of);
    case 'nullValue':
      return 'null';
    case 'listValue':
      return `[${inner((of as Value)['values']).join()}]`;
    case 'mapValue': {
      const entries = ((of as Value)['entries'] as { key: Value; value: Value }[] | undefined) ?? [];
      return `{${entries
        .map((entry) => `${told(entry.key)}:${told(entry.value)}`)
        .sort()
        .join()}}`;
    }
    default:
      return undefined;
  }
}

/** The same of what an expression came to. */
function shown(value: unknown): string {
  if (isCelUint(value)) return `${value.value}n`;
  if (isCelList(value)) return `[${Array.from(value, shown).join()}]`;
  if (isCelMap(value))
    return `{${Array.from(value.entries(), ([key, one]) => `${shown(key)}:${shown(one)}`)
      .sort()
      .join()}}`;
  if (typeof value === 'bigint') return `${value}n`;
  if (typeof value === 'number') return `f${value}`;
  return typeof value === 'object' ? 'a moment' : JSON.stringify(value);
}

describe('expressions', () => {
  let circumstances: Telling;
  before(async () => {
    await learnSources();
    circumstances = {
      readings: createReadings({ moment: DAWN, place: bareDesk().place, seed: 7 }),
      facts: { units: plainUnits, half: 'dark', workspaces: [], workspace: 0, running: new Set() },
      origins: {},
      at: DAWN,
    };
  });

  const all = (tests.suites as readonly Suite[])
    .filter(({ name }) => suites.has(name))
    .map((suite) => ({ name: suite.name, cases: [...casesIn(suite, suite.name)] }));

  const comesTo = ({ expr }: Case): string | null => {
    const outcome = evaluate(expr, circumstances);
    if (outcome.kind === 'mistake') return null;
    return outcome.kind === 'unknown' ? 'null' : shown(outcome.value);
  };

  for (const { name, cases } of all)
    it(`come to what the specification says: ${name.replaceAll('_', ' ')}`, () => {
      const here = cases.filter(({ expr }) => !otherwise.some(([, words]) => words.test(expr)));
      expect(here).not.to.be.empty;
      const wrong = here.filter((one) => comesTo(one) !== one.wanted);
      expect(wrong.map((one) => ({ ...one, came: comesTo(one) }))).to.deep.equal([]);
    });

  it('are held to most of its cases, and differ where it is said', () => {
    const cases = all.flatMap((suite) => suite.cases);
    const counted = otherwise.map(([reason, words]) => {
      const those = cases.filter(({ expr }) => words.test(expr));
      // None is left out that comes right in any case: what is said of it would be wrong.
      expect(
        those.some((one) => comesTo(one) !== one.wanted),
        reason,
      ).to.equal(true);
      return those.length;
    });
    expect(counted.reduce((sum, count) => sum + count, 0)).to.be.below(cases.length / 6);
    expect(cases.length).to.be.above(900);
  });
});
