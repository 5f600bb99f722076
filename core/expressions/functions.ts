import { celEnv, celFunc, celList, CelScalar, celMethod, listType, mapType } from '@bufbuild/cel';
import type { CelFunc, CelList, CelType, CelValue } from '@bufbuild/cel';
import { timestampFromMs } from '@bufbuild/protobuf/wkt';
import { clockPattern } from '../kinds/options.ts';
import { formatBytes, formatRate } from '../sources/machine/units.ts';
import { formatMoment } from '../sources/time/time.ts';
import { lengthTold, pressureIn, temperatureIn, told, windIn } from '../sources/units.ts';
import { isZone } from '../values/earth.ts';
import { spend, spendAll, spendSigns } from './budget.ts';
import type { Telling } from './catalogue.ts';
import { momentOf, secondsOf } from './values.ts';

/** CEL with the desk's helpers; source: the CEL specification, cel.dev. */

/** Something wrong, in words for a person. */
export class Told extends Error {}

/** The circumstances of the expression that is worked out just now: helpers are told the desk's units by it. */
let now: Telling | null = null;

export function withTelling<T>(telling: Telling, work: () => T): T {
  const before = now;
  now = telling;
  try {
    return work();
  } finally {
    now = before;
  }
}

const telling = (): Telling => {
  if (!now) throw new Error('No expression is worked out');
  return now;
};

const { BOOL, BYTES, DOUBLE, DYN, INT, STRING } = CelScalar;
const LIST = listType(DYN);
const MAP = mapType(DYN, DYN);

/** What counts the turns of a list; no name that anybody can write. */
export const TURN = '@turn';

const digits = (value: number, many: number) => {
  const places = Math.max(0, Math.min(6, many));
  return (Math.round(value * 10 ** places) / 10 ** places).toFixed(places).replace('-', '−');
};

const whole = (value: number) => BigInt(Number.isFinite(value) ? value : 0);

function lengthOf(seconds: number): string {
  const days = Math.floor(seconds / 86_400);
  return days > 0 ? `${days} d ${Math.floor((seconds % 86_400) / 3600)} h` : lengthTold(Math.max(0, seconds));
}

/** The word for the stretch between limits that a number falls in. */
function chooseFrom(value: number, limits: CelList, words: CelList): CelValue {
  const at = [...limits].findIndex((limit) => value < Number(limit));
  const word = [...words][at === -1 ? limits.size : at];
  if (word === undefined) throw new Told('choose() needs one word more than limits');
  return word;
}

function formatted(moment: number, pattern: string, zone: string): string {
  if (!isZone(zone)) throw new Told(`“${zone.slice(0, 40)}” is not a time zone`);
  try {
    return formatMoment(moment, zone, pattern.slice(0, 60));
  } catch {
    throw new Told(`“${pattern.slice(0, 40)}” is not a date pattern, such as HH:mm`);
  }
}

/** The moment that something is. Throws Told. */
function momentIn(value: CelValue): number {
  const moment = momentOf(value);
  if (moment === null) throw new Told('This is not a moment');
  return moment;
}

/** A function of CEL's own that is paid for first. */
function paid(name: string, args: readonly CelType[], pay: (...values: CelValue[]) => void): CelFunc {
  const own = celEnv().funcs.find(name);
  if (!own) throw new Error(`CEL has no function "${name}"`);
  return celFunc(name, args, DYN, (...values) => {
    pay(...values);
    // An error of its own goes on as what it gives.
    return own.call(0, undefined, values) as CelValue;
  });
}

/** What makes or walks over something large is paid for before it is done. */
const bounded: CelFunc[] = [
  celFunc('_+_', [STRING, STRING], STRING, (a, b) => {
    spendSigns(a.length + b.length);
    return a + b;
  }),
  celFunc('_+_', [LIST, LIST], LIST, (a, b) => {
    spend(1 + a.size + b.size);
    return celList([...a, ...b]);
  }),
  paid('_==_', [DYN, DYN], (a, b) => (spendAll(a), spendAll(b))),
  paid('_!=_', [DYN, DYN], (a, b) => (spendAll(a), spendAll(b))),
  paid('@in', [DYN, LIST], (one, list) => {
    spendAll(list);
    for (let turn = 0; turn < (list as CelList).size; turn++) spendAll(one);
  }),
  celFunc(TURN, [BOOL, INT], BOOL, (goesOn, steps) => {
    spend(Number(steps));
    return goesOn;
  }),
];

/** Conversions as the specification has them, where the library takes more or says it in its own words. */
const conversions: CelFunc[] = [
  celFunc('int', [STRING], INT, (text) => {
    if (!/^[+-]?\d{1,19}$/.test(text)) throw new Told(`“${text.slice(0, 40)}” is not a whole number`);
    return inRange(BigInt(text));
  }),
  celFunc('int', [DOUBLE], INT, (value) => {
    if (!Number.isFinite(value)) throw new Told('This is too large for a whole number');
    return inRange(BigInt(Math.trunc(value)));
  }),
  celFunc('double', [STRING], DOUBLE, (text) => {
    const value = Number(text);
    const isNumber = /^\s*$/.test(text) ? false : !Number.isNaN(value) && !/[xob]/i.test(text);
    if (!isNumber && text !== 'NaN') throw new Told(`“${text.slice(0, 40)}” is not a number`);
    return value;
  }),
  celFunc('int', [MAP], INT, (moment) => BigInt(Math.floor(momentIn(moment) / 1000))),
  celFunc('string', [MAP], STRING, (moment) =>
    new Date(momentIn(moment)).toISOString().replace('.000Z', 'Z'),
  ),
  celFunc('timestamp', [MAP], DYN, (moment) => timestampFromMs(momentIn(moment))),
  celFunc('timestamp', [STRING], DYN, (text) => {
    const ms = /^\d{4}-\d\d-\d\d[Tt]\d\d:\d\d:\d\d(\.\d{1,9})?([Zz]|[+-]\d\d:\d\d)$/.test(text)
      ? Date.parse(text)
      : NaN;
    if (Number.isNaN(ms))
      throw new Told(`“${text.slice(0, 40)}” is not a moment, such as 2026-11-24T07:12:00Z`);
    return timestampFromMs(ms);
  }),
  celFunc('timestamp', [INT], DYN, (seconds) => {
    const ms = Number(seconds) * 1000;
    if (Math.abs(ms) > 8.64e15) throw new Told('This is too far away for a moment');
    return timestampFromMs(ms);
  }),
];

function inRange(value: bigint): bigint {
  if (BigInt.asIntN(64, value) !== value) throw new Told('This is too large for a whole number');
  return value;
}

/** Readings are fractions; people write whole numbers beside them. */
const mixed: CelFunc[] = (
  [
    ['_+_', (a, b) => a + b],
    ['_-_', (a, b) => a - b],
    ['_*_', (a, b) => a * b],
    ['_/_', (a, b) => a / b],
  ] as [string, (a: number, b: number) => number][]
).flatMap(([sign, work]) => [
  celFunc(sign, [DOUBLE, INT], DOUBLE, (a, b) => work(a, Number(b))),
  celFunc(sign, [INT, DOUBLE], DOUBLE, (a, b) => work(Number(a), b)),
]);

/** Moments stand before, beside and after one another; what lies between is in seconds. */
const ofMoments: CelFunc[] = [
  ...(
    [
      ['_<_', (a, b) => a < b],
      ['_<=_', (a, b) => a <= b],
      ['_>_', (a, b) => a > b],
      ['_>=_', (a, b) => a >= b],
    ] as [string, (a: number, b: number) => boolean][]
  ).flatMap(([sign, holds]) =>
    (
      [
        [MAP, DYN],
        [DYN, MAP],
      ] as [CelType, CelType][]
    ).map((args) => celFunc(sign, args, BOOL, (a, b) => holds(momentIn(a), momentIn(b)))),
  ),
  celFunc('_-_', [MAP, MAP], DOUBLE, (a, b) => (momentIn(a) - momentIn(b)) / 1000),
  celMethod('format', DYN, [STRING], STRING, function (pattern) {
    return formatted(momentIn(this), pattern, telling().readings.place.zone);
  }),
  celMethod('format', DYN, [STRING, STRING], STRING, function (pattern, zone) {
    return formatted(momentIn(this), pattern, zone);
  }),
  celFunc('until', [DYN], DOUBLE, (moment) => (momentIn(moment) - telling().at) / 1000),
  celFunc('since', [DYN], DOUBLE, (moment) => (telling().at - momentIn(moment)) / 1000),
  celMethod('length', DYN, [], STRING, function () {
    const seconds = secondsOf(this);
    if (seconds === null) throw new Told('length() tells a number of seconds');
    return lengthOf(seconds);
  }),
];

/** CEL's numbers. */
const numbers = [INT, DOUBLE] as const;

const ofNumbers: CelFunc[] = numbers.flatMap((type) => {
  const on = (
    name: string,
    args: readonly CelType[],
    result: CelType,
    work: (value: number, ...more: CelValue[]) => CelValue,
  ) =>
    celMethod(name, type, args, result, function (...more) {
      return work(Number(this), ...more);
    });
  return [
    on('round', [], INT, (value) => whole(Math.round(value))),
    on('round', [INT], STRING, (value, many) => digits(value, Number(many))),
    on('floor', [], INT, (value) => whole(Math.floor(value))),
    on('ceil', [], INT, (value) => whole(Math.ceil(value))),
    on('abs', [], DOUBLE, (value) => Math.abs(value)),
    on('bytes', [], STRING, (value) => formatBytes(Math.max(0, value))),
    on('rate', [], STRING, (value) => told(formatRate(Math.max(0, value)))),
    on('length', [], STRING, (value) => lengthOf(value)),
    on('degrees', [], STRING, (value) => told(temperatureIn(telling().facts.units.temperature, value))),
    on('speed', [], STRING, (value) => told(windIn(telling().facts.units.wind, value))),
    on('pressure', [], STRING, (value) => told(pressureIn(telling().facts.units.pressure, value))),
    celMethod('choose', type, [LIST, LIST], DYN, function (limits, words) {
      return chooseFrom(Number(this), limits, words);
    }),
    ...numbers.flatMap((other) => [
      celFunc('min', [type, other], DOUBLE, (a, b) => Math.min(Number(a), Number(b))),
      celFunc('max', [type, other], DOUBLE, (a, b) => Math.max(Number(a), Number(b))),
    ]),
  ];
});

const ofTexts: CelFunc[] = [
  celMethod('upper', STRING, [], STRING, function () {
    return this.toUpperCase();
  }),
  celMethod('lower', STRING, [], STRING, function () {
    return this.toLowerCase();
  }),
];

/** What is not known although CEL has it: a pattern can take for ever, and nothing shows bytes. */
const refused = [
  celMethod('matches', STRING, [STRING], BOOL, () => {
    throw new Told('matches is not known here; contains, startsWith and endsWith are');
  }),
  celFunc('bytes', [STRING], BYTES, () => {
    throw new Told('bytes() tells a number of bytes');
  }),
];

export const environment = celEnv({
  funcs: [...bounded, ...conversions, ...mixed, ...ofNumbers, ...ofMoments, ...ofTexts, ...refused],
});

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

/** A moment as a text shows it. */
export const momentShown = (ms: number, { facts, readings }: Telling): string =>
  formatMoment(ms, readings.place.zone, clockPattern(facts.units.hours));

/** A length of time (s) as a text shows it. */
export const lengthShown = lengthOf;
