import { expect } from 'chai';
import fc from 'fast-check';
import { roles, type Role } from '../values/roles.ts';
import type { Colours } from './colours.ts';
import { exchanges } from './exchange.ts';
import { readColours } from './read.ts';

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
    expect(read?.swatches.map(({ name }) => name)).to.deep.equal(['sea', 'shore', 'glow', 'far', 'accent']);
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

  it('are read from CSS by class, attribute, importance, reference and pair, in any way of writing colours', () => {
    const read = readColours(`
      :root { --ground: hsl(210 20% 98%); --ink: rgb(20 30 40 / 90%); --accent: var(--sea, red) !important;
        --sea: light-dark(teal, color(display-p3 0.2 0.8 0.9)); --second: #f80; --raised: #fffc; --loop: var(--loop);
        --soft-ink: lab(40 10 -20); --alert: hwb(10 5% 10%); --odd: color-mix(in srgb, red, blue); --size: 12px }
      .theme-dark { --ground: #101418; --accent: blue }
      [data-theme='dark'] { --surface: oklab(0.3 0 0.02); --ink: lch(95 2 80) }
      @media print { .x { --surface: rebeccapurple } }`);
    const { light, dark } = read?.roles ?? {};
    expect([light?.ground, dark?.ground]).to.deep.equal(['#f9fafb', '#101418']);
    expect(light?.ink).to.equal('#141e28');
    // Marked as important, it holds in the dark half too, and follows what it refers to there.
    expect(light?.accent).to.equal('#008080');
    expect(dark?.accent).not.to.equal('#0000ff');
    expect([light?.second, light?.raised, light?.alert]).to.deep.equal(['#ff8800', '#ffffff', '#e5310d']);
    expect(light?.surface).to.equal('#663399');
    expect(dark?.surface).to.match(/^#/);
    expect(read?.unread.map(({ name }) => name)).to.have.members(['--loop', '--odd']);
  });

  it('are read from tokens with aliases, in every colour space of the specification, by half', () => {
    const space = (colorSpace: string, components: unknown[], more: object = {}) => ({
      $value: { colorSpace, components, ...more },
    });
    const read = readColours(
      JSON.stringify({
        base: {
          $type: 'color',
          sea: { $value: '#204060' },
          reed: { $value: '{base.sea}' },
          hsl: space('hsl', [120, 100, 25]),
          hwb: space('hwb', [0, 0, 0]),
          lab: space('lab', [50, 0, 0]),
          linear: space('srgb-linear', [1, 'none', 0]),
          wide: space('rec2020', [0.5, 0.5, 0.5]),
          xyz: space('xyz-d65', [0.9505, 1, 1.089]),
          eight: { $value: '#20406080' },
          gone: { $value: '{base.nowhere}' },
          round: { $value: '{base.round}' },
          strange: space('cmyk', [0, 0, 0]),
        },
        Dark: { $type: 'color', ground: { $value: '{base.sea}' } },
        light: { $type: 'color', ground: space('oklch', [0.97, 0.01, 90]) },
        size: { $type: 'dimension', $value: '{base.sea}' },
      }),
    );
    const byName = new Map(read?.swatches.map(({ name, colour }) => [name, colour]));
    expect(byName.get('reed')).to.equal('#204060');
    expect(byName.get('hsl')).to.equal('#008000');
    expect(byName.get('hwb')).to.equal('#ff0000');
    expect(byName.get('lab')).to.equal('#777777');
    expect(byName.get('linear')).to.equal('#ff0000');
    expect(byName.get('xyz')).to.equal('#ffffff');
    expect(byName.get('eight')).to.equal('#204060');
    expect(byName.get('wide')).to.match(/^#/);
    expect(read?.roles.dark?.ground).to.equal('#204060');
    expect(read?.roles.light?.ground).not.to.equal('#204060');
    expect(read?.unread.map(({ name }) => name)).to.have.members(['base.gone', 'base.round', 'base.strange']);
  });

  it('keep names apart that differ in a palette, and list its lines that say no colour', () => {
    const read = readColours(
      'GIMP Palette\nName: Reeds\n 1 1 1\tAccent\n 2 2 2\taccent\n 3 3 3\tSoft Ink\n300 0 0\tno\nnot a line\n',
    );
    expect(read?.swatches.map(({ name }) => name)).to.deep.equal(['Accent', 'accent', 'Soft Ink']);
    expect(read?.roles.dark).to.deep.equal({ accent: '#020202', softInk: '#030303' });
    expect(read?.unread.map(({ value }) => value)).to.deep.equal(['300 0 0\tno', 'not a line']);
  });

  it('are looked up in X resources by whole names, classes, bindings and order', () => {
    const found = (text: string) =>
      new Map(readColours(text)?.swatches.map(({ name, colour }) => [name, colour]));
    const other = found('*pointerColorBackground: #ff0000\n*cursorColor: #00ff00\n*.background: #101010');
    expect([...other]).to.deep.equal([['background', '#101010']]);
    // A name goes before a class, a tight binding before a loose one, and of two alike the later.
    expect(found('*background: #111111\n*Background: #222222').get('background')).to.equal('#111111');
    expect(found('term*background: #111111\n*background: #222222').get('background')).to.equal('#111111');
    expect(found('term.background: #111111\nterm*background: #222222').get('background')).to.equal('#111111');
    expect(found('*color1: #111111\n*color1: #222222').get('color1')).to.equal('#222222');
    expect(found('term.vt100.color1: #111111\nterm*color1: #222222').get('color1')).to.equal('#111111');
    expect(found('?.color1: #111111\n*color1: #222222').get('color1')).to.equal('#111111');
    // What is said of one program does not colour another.
    const two = found('one*color1: #111111\none*color2: #111111\ntwo*color1: #222222\n*foreground: #333333');
    expect([two.get('color1'), two.get('foreground')]).to.deep.equal(['#111111', '#333333']);
    expect(found('#define a b\n#define b rgbi:1/0.5/0\n*color1: a').get('color1')).to.equal('#ff8000');
    expect(found('*color1: dark \\\nslate blue').get('color1')).to.equal('#483d8b');
    expect(found('*color1: #abc\n! *color2: #ffffff').size).to.equal(1);
    expect(readColours('*color1: #abc\n*color2: no such colour')?.unread).to.deep.equal([
      { name: 'color2', value: 'no such colour' },
    ]);
  });

  it('are read from CSS whose values hold comments', () => {
    const read = readColours(
      ':root { --ground: /* at dusk */ #101010; --ink: var(/* here */ --sea /* there */); --sea: rgb(1 /* one */ 2 3) /* end }',
    );
    const dark = read?.roles.dark;
    expect([dark?.ground, dark?.ink]).to.deep.equal(['#101010', '#010203']);
  });

  it('are read from tokens with the root of a group and with references', () => {
    const read = readColours(
      JSON.stringify({
        base: {
          $type: 'color',
          sea: { $value: '#204060' },
          'a/b~c': { $value: '#0a0b0c' },
          half: { $value: 0.5 },
        },
        accent: { $type: 'color', $root: { $value: '#abcdef' }, pale: { $value: '{accent.$root}' } },
        softInk: { $type: 'color', $value: { $ref: '#/base/sea/$value' } },
        second: { $type: 'color', $ref: '#/base/sea' },
        alert: { $type: 'color', $value: { $ref: '#/base/a~1b~0c' } },
        mixed: {
          $type: 'color',
          $value: { colorSpace: 'srgb', components: [1, { $ref: '#/base/half/$value' }, 0] },
        },
        round: { $type: 'color', $value: { $ref: '#/round/$value' } },
        gone: { $type: 'color', $value: { $ref: '#/__proto__/constructor' } },
      }),
    );
    const dark = read?.roles.dark;
    expect([dark?.accent, dark?.softInk, dark?.second, dark?.alert]).to.deep.equal([
      '#abcdef',
      '#204060',
      '#204060',
      '#0a0b0c',
    ]);
    const byName = new Map(read?.swatches.map(({ name, colour }) => [name, colour]));
    expect(byName.get('pale')).to.equal('#abcdef');
    expect(byName.get('mixed')).to.equal('#ff8000');
    expect(read?.unread.map(({ name }) => name)).to.include.members(['round', 'gone']);
  });

  it('are read from palettes with a fourth channel, X colours with one, and names in several words', () => {
    const palette = readColours(
      'GIMP Palette\nName: Reeds\nChannels: RGBA\n#\n 16 32 48 255 Soft Ink\n 1 2 3 128 44 sedge\n',
    );
    expect(palette?.swatches).to.deep.equal([
      { name: 'Soft Ink', colour: '#102030' },
      { name: '44 sedge', colour: '#010203' },
    ]);
    const found = new Map(
      readColours(
        '*color1: rgba:2000/4000/6000/ffff\n*color2: light grey\n*color3: gray50\n*color4: Light Grey',
      )?.swatches.map(({ name, colour }) => [name, colour]),
    );
    expect(Object.fromEntries(found)).to.deep.equal({
      color1: '#204060',
      color2: '#d3d3d3',
      color3: '#808080',
      color4: '#d3d3d3',
    });
    expect(
      readColours('{"softInk": {"$type": "color", "$value": "light grey"}}')?.roles.dark?.softInk,
    ).to.equal('#d3d3d3');
  });

  it('take no longer for what is made to be slow', () => {
    const many = (text: string) => text.repeat(Math.ceil(400_000 / text.length));
    for (const text of [
      `*color1: #fff\n${many('*')}`,
      `*color1: #fff\n*color2:${many(' ')}x`,
      `*color1: #fff\n${many('*.')}:`,
      `#define ${many(' ')}`,
      `:root{--a:${many('/*')}}`,
      `:root{--a:${many('var(--b,')}}`,
      `:root{--a:${many('light-dark(')}}`,
      `GIMP Palette\n${many(' ')}x`,
      `GIMP Palette\n${many('1 ')}`,
      `{"a":{"$type":"color","$value":{"$ref":"#/${many('a/')}"}}}`,
    ]) {
      // What grows with the square of this takes minutes: the test then fails by its own limit.
      expect(() => readColours(text), text.slice(0, 40)).not.to.throw();
    }
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
