import { expect } from 'chai';
import fc from 'fast-check';
import { demoDesks } from '../../demo/desks.ts';
import { paletteOf } from '../colour/look.ts';
import { terminalOf } from '../colour/terminal.ts';
import { roles } from '../values/roles.ts';
import type { Colours, ReadColours } from './colours.ts';
import { exchanges } from './exchange.ts';
import { readColours } from './read.ts';

function coloursOf(desk: ReturnType<typeof demoDesks>[number]): Colours {
  const both = { light: paletteOf(desk.look.roles.light).roles, dark: paletteOf(desk.look.roles.dark).roles };
  return {
    name: desk.name,
    roles: both,
    terminal: { light: terminalOf(both.light), dark: terminalOf(both.dark) },
  };
}

const files = demoDesks().flatMap((desk) =>
  Object.values(exchanges).map(({ write }) => write(coloursOf(desk), 'dark')),
);

/** Whatever was read, a desk can take it. */
function expectTakeable(read: ReadColours): void {
  const isHex = /^#[0-9a-f]{6}$/;
  for (const { colour, name } of read.swatches) {
    expect(colour).to.match(isHex);
    expect(name).to.be.a('string');
  }
  for (const half of Object.values(read.roles)) {
    for (const [role, colour] of Object.entries(half)) {
      expect(roles as readonly string[]).to.include(role);
      expect(colour).to.match(isHex);
    }
  }
  if (read.terminal) {
    expect(read.terminal.colours).to.have.length(16);
    for (const colour of [...read.terminal.colours, read.terminal.ground, read.terminal.ink])
      expect(colour).to.match(isHex);
  }
}

/** A place in a file, and what is done there. */
const damage = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  cut: fc.nat(40),
  put: fc.oneof(
    fc.constant(''),
    fc.string({ maxLength: 12 }),
    fc.constantFrom(
      '"',
      '}',
      '{',
      '\0',
      '\r',
      '#12',
      '#GGGGGG',
      '/*',
      '*/',
      ':root{',
      ';',
      '999',
      '-1',
      'NaN',
      '1e309',
    ),
  ),
});

describe('files of colours that somebody has damaged', () => {
  it('give only what a desk can take, or nothing, and never fail', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...files),
        fc.array(damage, { minLength: 1, maxLength: 8 }),
        (file, damages) => {
          const text = damages.reduce((left, { at, cut, put }) => {
            const start = Math.floor(at * left.length);
            return left.slice(0, start) + put + left.slice(start + cut);
          }, file);
          const read = readColours(text);
          if (read) expectTakeable(read);
        },
      ),
      { numRuns: 600 },
    );
  });

  it('lose no more than what was damaged: one bad line costs one colour', () => {
    for (const desk of demoDesks()) {
      const colours = coloursOf(desk);
      for (const [name, { write }] of Object.entries(exchanges)) {
        const whole = readColours(write(colours, 'dark'));
        const broken = readColours(write(colours, 'dark').replace(/#[0-9a-f]{6}|^ *\d+ +\d+ +\d+/m, '#zz'));
        const count = (read: ReadColours | null) => read?.swatches.length ?? 0;
        expect(count(whole) - count(broken), `${desk.name}, ${name}`).to.be.within(0, 1);
      }
    }
  });

  it('come to an end where the parser of CSS finds the same fault for ever', () => {
    // What it had read before was still among what it counted brackets by.
    readColours('('.repeat(60_000));
    expect(readColours('{}qQ&){ {')).to.equal(null);
  });

  it('may be as deep, as long or as strange as they like', () => {
    const deep = `${'{"a":'.repeat(20_000)}1${'}'.repeat(20_000)}`;
    const wide = JSON.stringify(
      Object.fromEntries(
        Array.from({ length: 50_000 }, (_, index) => [`c${index}`, { $type: 'color', $value: '#123456' }]),
      ),
    );
    const loop = ':root{--ground:var(--ground);--ink:var(--surface);--surface:var(--ink)}';
    const proto = '{"__proto__":{"$type":"color","$value":"#ff0000"},"constructor":{"$value":"#00ff00"}}';
    for (const text of [
      deep,
      wide,
      loop,
      proto,
      '',
      '\0'.repeat(1000),
      'GIMP Palette\n'.repeat(999),
      '!'.repeat(9999),
    ]) {
      const read = readColours(text);
      if (read) expectTakeable(read);
    }
    expect(({} as Record<string, unknown>)['$value']).to.equal(undefined);
  });
});
