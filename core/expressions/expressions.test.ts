import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { learnSources } from '../sources/learn.ts';
import type { Feed } from '../sources/feeds.ts';
import { createReadings } from '../sources/readings.ts';
import { plainUnits } from '../sources/units.ts';
import { unknownMachine } from '../sources/machine/machine.ts';
import { bareDesk, DAWN } from '../../tests/support/desks.ts';
import { catalogue, roots, type Telling } from './catalogue.ts';
import { namesIn } from './names.ts';
import { evaluate, holds, numberOf, say } from './evaluate.ts';
import { MOST_EXPRESSION, expressionsOf, needsOf, piecesOf } from './text.ts';

/** Circumstances in which everything is simulated, or this machine says what a test wants. */
function telling(feeds: readonly Feed[] = [], more: Partial<Telling> = {}): Telling {
  return {
    readings: createReadings({ moment: DAWN, place: bareDesk().place, seed: 7, feeds }),
    facts: {
      units: plainUnits,
      half: 'dark',
      workspaces: [{ id: 'one', name: 'Sea watch' }],
      workspace: 0,
      running: new Set(['tally']),
    },
    origins: {},
    at: DAWN,
    ...more,
  };
}

const machine = (reading: object): Telling =>
  telling(
    [
      {
        source: 'machine',
        origin: 'this-machine',
        samples: [{ moment: DAWN, reading: { ...unknownMachine, ...reading } }],
      },
    ],
    { origins: { machine: 'this-machine' } },
  );

describe('texts with expressions', () => {
  before(() => learnSources());

  it('are taken apart at their braces, not at those in quotes or maps', () => {
    expect(piecesOf('a {b} c')).to.deep.equal([
      { kind: 'plain', text: 'a ' },
      { kind: 'expression', source: 'b', at: 3 },
      { kind: 'plain', text: ' c' },
    ]);
    expect(expressionsOf('{"}"} {{"a": 1}["a"]}')).to.deep.equal(['"}"']);
    expect(expressionsOf('{size({"a": 1})}')).to.deep.equal(['size({"a": 1})']);
    expect(piecesOf('{{no}}')).to.deep.equal([{ kind: 'plain', text: '{no}' }]);
    expect(piecesOf('a {b').at(-1)).to.deep.equal({ kind: 'open', at: 2 });
  });

  it('say the readings of the moment in words', () => {
    const here = machine({
      processor: 41.6,
      memory: { used: 6.4 * 2 ** 30, total: 16 * 2 ** 30 },
      uptime: 93_600,
    });
    expect(say('{machine.processor.round()} % at {time.format("HH:mm")}', here)).to.deep.equal({
      text: '42 % at 07:12',
      mistakes: [],
    });
    expect(say('{machine.memory.used.bytes()}, {machine.memory.share.round(1)} %', here).text).to.equal(
      '6.4 GB, 40.0 %',
    );
    expect(say('{machine.uptime.length()}', here).text).to.equal('1 d 2 h');
    expect(say('{desk.workspace.upper()} {desk.half} {desk.running}', here).text).to.equal(
      'SEA WATCH dark 1',
    );
    expect(say('{machine.processor > 20 ? "busy" : "calm"}', here).text).to.equal('busy');
    expect(say('{machine.processor.choose([20, 80], ["low", "fair", "high"])}', here).text).to.equal('fair');
    expect(say('{machine.processor * 2 + 1}', here).text).to.equal('84.2');
    expect(say('{max(machine.processor, 50)}', here).text).to.equal('50');
  });

  it('say what can’t be known as a dash, and what hangs on it too', () => {
    const here = machine({ processor: 3 });
    for (const source of [
      'machine.battery.charge',
      'machine.battery.charge.round()',
      'machine.battery.charge + 1',
      'machine.battery.left.length()',
      'machine.temperatures.map(t, t.celsius)',
    ])
      expect(say(`{${source}}`, here), source).to.deep.equal({ text: '–', mistakes: [] });
    expect(holds('machine.battery.charge < 20', here)).to.equal(null);
    // Nothing has come from the machine yet.
    expect(say('{machine.processor}', telling([], { origins: { machine: 'this-machine' } })).text).to.equal(
      '–',
    );
  });

  it('mark a mistake where it stands, with a sentence', () => {
    const wrong = (text: string) =>
      say(text, telling()).mistakes.map(({ start, end, sentence }) => [text.slice(start, end), sentence]);
    expect(wrong('now {machine.procesor} %')).to.deep.equal([['procesor', 'There is no “procesor” here']]);
    expect(wrong('{machin.load}')).to.deep.equal([['machin', '“machin” is not known']]);
    expect(wrong('{1 +} x')[0]?.[1]).to.equal('Something is missing at the end');
    expect(wrong('{ }')[0]?.[1]).to.equal('There is nothing between the braces');
    expect(wrong('a {b')).to.deep.equal([['{', 'This brace is never closed']]);
    expect(wrong('{"a" + 1}')[0]?.[1]).to.include('go together');
    expect(wrong('{time.format("QQQQQQQQQ%%n")}')[0]?.[1]).to.include('date pattern');
    expect(wrong('{4 / 0}')[0]?.[1]).to.equal('This divides by zero');
    expect(wrong(`{${'1+'.repeat(MOST_EXPRESSION)}1}`)[0]?.[1]).to.include('500');
  });

  it('stop what would run for ever, and refuse what could', () => {
    const list = `[${Array.from({ length: 60 }, (_, index) => index).join(',')}]`;
    const long = `${list}.all(a, ${'[1,2,3,4,5,6,7,8,9,10,11,12,13,14,15,16,17,18,19,20]'}.all(b, ${'[1,2,3,4,5,6,7,8,9,10,11,12,13,14,15,16,17,18,19,20]'}.all(c, c > 0)))`;
    expect(long.length).to.be.below(MOST_EXPRESSION);
    for (let turn = 0; turn < 2; turn++) {
      const outcome = evaluate(long, telling());
      expect(outcome.kind).to.equal('mistake');
      if (outcome.kind === 'mistake')
        expect(outcome.mistake.sentence).to.equal('This takes too long and was stopped');
    }
    for (const source of [
      '"aaaaaaaaaaaaaaaaaaaaaaaa!".matches("(a+)+$")',
      'cel.bind(x, [1], x + x)',
      '[1].map(x, "a".matches("b"))',
    ])
      expect(evaluate(source, telling()).kind, source).to.equal('mistake');
    // What is within bounds is worked out all the same afterwards.
    expect(evaluate(`${list}.all(a, a >= 0)`, telling())).to.deep.equal({ kind: 'value', value: true });
  });

  it('make nothing large either: one budget is for steps and for what is made', () => {
    const grows = (many: number) =>
      `[[1,2,3,4]]${`.map(a,${Array.from({ length: 9 }, () => 'a').join('+')})`.repeat(many)}`;
    const shares = (many: number, end: string) => `[[1]]${'.map(a,[a,a])'.repeat(many)}${end}`;
    const before = process.memoryUsage().heapUsed;
    for (const source of [
      grows(8),
      grows(9),
      grows(17),
      `[${'"0123456789"'}]${'.map(a,a+a+a+a+a+a+a+a+a)'.repeat(12)}`,
      shares(30, ' == [[2]]'),
      `${shares(15, '')} == ${shares(15, '')}`,
      `[[2]] in [${shares(30, '')}]`,
    ]) {
      expect(source.length, source).to.be.at.most(MOST_EXPRESSION);
      expect(evaluate(source, telling()), source).to.deep.include({ kind: 'mistake' });
      expect(say(`{${source}}`, telling()).mistakes[0]?.sentence, source).to.be.oneOf([
        'This takes too long and was stopped',
        'This is too long or too deep',
      ]);
    }
    // What holds itself many times is shown in a few signs.
    expect(say(`{${shares(30, '')}}`, telling()).text.length).to.be.at.most(2000);
    expect(process.memoryUsage().heapUsed - before).to.be.below(100 * 2 ** 20);
    // What was caught on the way counts for nothing.
    expect(evaluate(`true || ${grows(9)} == []`, telling())).to.deep.equal({ kind: 'value', value: true });
    expect(evaluate(`${grows(9)} == [] || true`, telling()).kind).to.equal('mistake');
  });

  it('find nothing that all objects have', () => {
    for (const source of [
      'time.__proto__',
      'machine.constructor',
      '__proto__',
      'toString',
      'time["__proto__"]',
    ])
      expect(evaluate(source, telling()).kind, source).to.equal('mistake');
    expect(evaluate('"__proto__" in machine', telling())).to.deep.equal({ kind: 'value', value: false });
  });

  it('work as the specification says', () => {
    const value = (source: string) => {
      const outcome = evaluate(source, telling());
      return outcome.kind === 'value' ? outcome.value : outcome.kind;
    };
    // Source: the language definition of CEL, cel.dev.
    for (const [source, expected] of [
      ['.5 + 1.5', 2],
      ['7 / 2', 3n],
      ['-7 / 2', -3n],
      ['-7 % 3', -1n],
      ['7.0 / 2.0', 3.5],
      ['1 == 1.0', true],
      ['[1, 2] == [1.0, 2.0]', true],
      ['1.0 in [1, 2]', true],
      ['1 < 1.5', true],
      ['9223372036854775807 + 1', 'mistake'],
      ['-9223372036854775808 - 1', 'mistake'],
      ['9223372036854775807 * 2', 'mistake'],
      ['-9223372036854775808', -9223372036854775808n],
      ['int(2.9)', 2n],
      ['int(-2.9)', -2n],
      ['int("42")', 42n],
      ['int("0x10")', 'mistake'],
      ['int("")', 'mistake'],
      ['int(1e30)', 'mistake'],
      ['double("1.5")', 1.5],
      ['double("")', 'mistake'],
      ['string(1.5)', '1.5'],
      ['string(12)', '12'],
      ['string(true)', 'true'],
      ['string(timestamp("2026-11-24T07:12:00Z"))', '2026-11-24T07:12:00Z'],
      ['int(timestamp("2026-11-24T07:12:00Z"))', 1795504320n],
      ['timestamp("2026-11-24T08:12:00+01:00") == timestamp("2026-11-24T07:12:00Z")', true],
      ['timestamp("2026-11-24") == timestamp("2026-11-24T00:00:00Z")', 'mistake'],
      ['duration("90s") + duration("1m") == duration("150s")', true],
      ['has({"a": 1}.a)', true],
      ['has({"a": 1}.b)', false],
      ['has(machine.processor)', true],
      ['{1: 2}[1.0]', 2n],
      ['{1.0: 2}', 'mistake'],
      ['{"a": 1}.a', 1n],
      ['[1, 2, 3].exists_one(v, v > 2)', true],
      ['[1, 2, 3].filter(v, v > 1).size()', 2n],
      ['size("é")', 1n],
      ['true || 1 / 0 > 1', true],
      ['1 / 0 > 1 || true', true],
      ['"abc".contains("b") && "abc".startsWith("a")', true],
      ['type(1) == int', true],
    ] as const)
      expect(value(source), source).to.deep.equal(expected);
  });

  it('hold counts as whole numbers, and compare moments', () => {
    const at = DAWN;
    expect(evaluate('time.hour % 2', telling())).to.deep.equal({ kind: 'value', value: 1n });
    expect(evaluate('desk.running + 1', telling())).to.deep.equal({ kind: 'value', value: 2n });
    for (const source of [
      'time <= sun.set',
      'time >= time',
      'sun.rise < sun.set',
      'time == time',
      'time <= timestamp("2090-01-01T00:00:00Z")',
      'timestamp("2020-01-01T00:00:00Z") <= time',
      `int(time) == ${at / 1000}`,
      `timestamp(time) == timestamp(${at / 1000})`,
      'string(time).startsWith("2026-11-24T07:12:00Z")',
    ])
      expect(holds(source, telling()), source).to.equal(true);
    expect(say('{timestamp(time)} {duration("3900s")}', telling()).text).to.equal('07:12 1 h 5 min');
  });

  it('say in our own words what is wrong', () => {
    const sentence = (source: string) => say(`{${source}}`, telling()).mistakes[0]?.sentence;
    for (const [source, said] of [
      ['"a" + 1', 'These don’t go together: text + whole number'],
      ['time + 1', 'These don’t go together: moment or map + whole number'],
      ['int("x")', '“x” is not a whole number'],
      ['timestamp("x")', '“x” is not a moment, such as 2026-11-24T07:12:00Z'],
      ['nothing(1)', '“nothing” is not known'],
      ['"a".size(1)', 'size() doesn’t take whole number'],
      ['[1, 2][5]', 'There is no entry 5 in this list'],
      ['"a" ? 1 : 2', 'Only yes or no can stand before a question mark'],
      ['1 && true', 'Only yes or no can stand here'],
      ['5.map(x, x)', 'Only a list has entries to go through'],
      ['2 9', '“9” is not expected here'],
      ['9223372036854775807 + 1', 'This is too large for a whole number'],
    ] as const)
      expect(sentence(source), source).to.equal(said);
  });

  it('never throw, whatever is typed', () => {
    const signs = [
      '+',
      '-',
      '*',
      '/',
      '%',
      '.',
      '(',
      ')',
      '[',
      ']',
      ',',
      '?',
      ':',
      '&&',
      '||',
      '!',
      '==',
      '<',
    ];
    const words = [
      '"a"',
      '1',
      '2.5',
      'null',
      'true',
      'round()',
      'map(x, x)',
      'x',
      '{',
      '}',
      '__proto__',
      'constructor',
    ];
    const parts = fc.constantFrom(...catalogue.map(({ path }) => path), ...roots, ...signs, ...words);
    const here = telling();
    fc.assert(
      fc.property(fc.array(parts, { minLength: 1, maxLength: 10 }), (some) => {
        const source = some.join('');
        const outcome = evaluate(source, here);
        if (outcome.kind !== 'mistake') return;
        expect(outcome.mistake.sentence, source).to.match(/\S/);
        expect(outcome.mistake.end, source).to.be.greaterThan(outcome.mistake.start);
      }),
      { numRuns: 3000, seed: 11 },
    );
  });

  it('know each name of the catalogue, and need the source that it is read from', () => {
    for (const { path } of catalogue) {
      const read: string[] = [];
      const here = telling();
      const spied: Telling = {
        ...here,
        readings: {
          ...here.readings,
          get: ((source: string, ...rest: []) => {
            read.push(source);
            return (here.readings.get as (...all: unknown[]) => unknown)(source, ...rest);
          }) as typeof here.readings.get,
        },
      };
      expect(evaluate(path, spied).kind, path).to.not.equal('mistake');
      const needed = needsOf([path], {}).map(({ source }) => source);
      for (const source of read) expect(needed, path).to.include(source);
    }
    for (const root of roots) expect(needsOf([root], {}), root).to.not.be.empty;
  });

  it('are told in the documentation as the catalogue tells them', () => {
    const page = readFileSync(new URL('../../docs/expressions.md', import.meta.url), 'utf8');
    expect(namesIn(page), 'run: npm run docs').to.equal(page);
    expect(page).to.contain('| `sound.position` |');
  });

  it('are looked at as often as what they name changes', () => {
    const every = (source: string) => needsOf([source], {}).map((need) => need.every);
    expect(every('time.hour')).to.deep.equal(['minute']);
    expect(every('time.format("HH:mm:ss")')).to.deep.equal(['second']);
    expect(every('machine.processor')).to.deep.equal(['second']);
    expect(every('place.name')).to.deep.equal([null]);
    expect(needsOf(['machine.load'], { machine: 'this-machine' })[0]?.origin).to.equal('this-machine');
  });

  it('follow the moment, and count from it', () => {
    const here = telling();
    const sunset = here.readings.get('sun').value.sunset ?? 0;
    expect(numberOf('until(sun.set)', here)).to.be.closeTo((sunset - DAWN) / 1000, 1);
    expect(numberOf('sun.set - time', here)).to.be.closeTo((sunset - DAWN) / 1000, 1);
    expect(holds('time < sun.set', here)).to.equal(true);
    expect(holds('time.hour', here)).to.equal(null);
    const later = { ...here, at: DAWN + 3_600_000 };
    expect(numberOf('time.hour', later)).to.equal((numberOf('time.hour', here) ?? 0) + 1);
  });

  it('show what is measured in the desk’s units', () => {
    const imperial = telling();
    imperial.facts = {
      ...imperial.facts,
      units: { temperature: 'f', wind: 'kn', pressure: 'inhg', hours: '12', week: 'monday' },
    };
    const { now } = imperial.readings.get('weather').value;
    expect(say('{weather.temperature.degrees()}', imperial).text).to.equal(
      `${Math.round((now.temperature ?? 0) * 1.8 + 32)}°`,
    );
    expect(say('{weather.wind.speed()}', imperial).text).to.equal(
      `${Math.round((now.wind ?? 0) * 1.943844)} kn`,
    );
    expect(say('{time}', imperial).text).to.match(/^7:12 am$/i);
  });
});
