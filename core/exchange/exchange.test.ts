import { expect } from 'chai';
import fc from 'fast-check';
import { roles, type Role } from '../desk/values.ts';
import { exchanges, readColours, type Colours } from './exchange.ts';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const half = fc.record(Object.fromEntries(roles.map((role) => [role, hex])) as Record<Role, typeof hex>);
const terminal = fc.record({
  ground: hex,
  ink: hex,
  colours: fc.array(hex, { minLength: 16, maxLength: 16 }),
});
const arbitraryColours: fc.Arbitrary<Colours> = fc.record({
  name: fc.constantFrom('Dawn count', 'Night */ watch', 'A name\nin two lines'),
  roles: fc.record({ light: half, dark: half }),
  terminal: fc.record({ light: terminal, dark: terminal }),
});

describe('colours going out and coming in', () => {
  for (const [name, { title, write }] of Object.entries(exchanges)) {
    it(`come back from ${title} as they went out`, () => {
      fc.assert(
        fc.property(
          arbitraryColours,
          fc.constantFrom('light' as const, 'dark' as const),
          (colours, which) => {
            const read = readColours(write(colours, which));
            if (!read) throw new Error('nothing was read');
            if (name === 'resources') expect(read.terminal).to.deep.equal(colours.terminal[which]);
            else {
              expect(read.roles.light).to.deep.equal(colours.roles.light);
              expect(read.roles.dark).to.deep.equal(colours.roles.dark);
            }
          },
        ),
        { numRuns: 40 },
      );
    });
  }

  it('are read from files of other hands: tokens in the older form, nested, of other colour spaces', () => {
    const read = readColours(
      JSON.stringify({
        brand: {
          $type: 'color',
          sea: { $value: '#204060' },
          deep: { shore: { $value: { colorSpace: 'oklch', components: [0.7, 0.1, 200] } } },
          glow: { $value: { colorSpace: 'srgb', components: [1, 0.5, 0] } },
          far: { $value: { colorSpace: 'display-p3', components: [1, 0, 0] } },
        },
        space: { small: { $type: 'dimension', $value: { value: 4, unit: 'px' } } },
        accent: { $type: 'color', $value: '#ABCDEF' },
      }),
    );
    expect(read?.swatches.map(({ name }) => name)).to.deep.equal(['sea', 'shore', 'glow', 'accent']);
    expect(read?.swatches[2]?.colour).to.equal('#ff8000');
    expect(read?.roles.dark?.accent).to.equal('#abcdef');
    expect(read?.roles.light?.accent).to.equal('#abcdef');
  });

  it('are read from CSS with both halves, comments and values that are no colours', () => {
    const read = readColours(`
      /* --ground: #ffffff; */
      :root { --ground: #101010; --soft-ink: oklch(70% 0.02 300); --gap: 12px; --font: serif }
      @media (prefers-color-scheme: light) { :root { --ground: #fafafa; } }`);
    expect(read?.roles.dark?.ground).to.equal('#101010');
    expect(read?.roles.light?.ground).to.equal('#fafafa');
    expect(read?.roles.dark?.softInk).to.match(/^#/);
    expect(read?.swatches).to.have.length(3);
  });

  it('are read from palettes with names, without them, and with nonsense between', () => {
    const read = readColours(
      'GIMP Palette\nName: Reeds\n#\n 16  32 48\tsedge\n300 0 0\tno\n  1 2 3\nnot a line\n',
    );
    expect(read?.swatches).to.deep.equal([
      { name: 'sedge', colour: '#102030' },
      { name: '', colour: '#010203' },
    ]);
  });

  it('are read from X resources in any of their forms, by name or by class', () => {
    const sixteen = Array.from(
      { length: 16 },
      (_, index) => `*color${index}: rgb:${index.toString(16)}0/80/ff`,
    );
    const read = readColours(
      `! comment\n#define sea #204060\nterm.background: sea\n*.foreground: #ffffeeeedddd\n${sixteen.join('\n')}`,
    );
    expect(read?.terminal?.ground).to.equal('#204060');
    expect(read?.terminal?.ink).to.equal('#ffeedd');
    expect(read?.terminal?.colours[15]).to.equal('#f080ff');
    expect(readColours('*.color1: #ff0000')?.terminal).to.equal(null);
  });

  it('are not made up where there are none', () => {
    for (const text of [
      '',
      'hello',
      '{}',
      '[1,2]',
      '{"a":{"$value":3}}',
      '<svg/>',
      'GIMP Palette\n',
      '\0\0\0',
    ])
      expect(readColours(text), text).to.equal(null);
    fc.assert(fc.property(fc.string(), (text) => void readColours(text)));
    let deep = '{"$value":"#112233"}';
    for (let level = 0; level < 500; level++) deep = `{"a":${deep}}`;
    expect(readColours(deep)).to.equal(null);
  });
});
