import { expect } from 'chai';
import fc from 'fast-check';
import { isColourString } from '../values/colour.ts';
import { writtenColour } from './any-colour.ts';

/** What people write, beside what it is. */
const written: readonly (readonly [string, string])[] = [
  ['#efe2c0', '#efe2c0'],
  ['#EFE2C0', '#efe2c0'],
  ['efe2c0', '#efe2c0'],
  ['#fa0', '#ffaa00'],
  ['fa0', '#ffaa00'],
  ['#fa08', '#ffaa00'],
  ['#efe2c080', '#efe2c0'],
  ['efe2c080', '#efe2c0'],
  ['239, 226, 192', '#efe2c0'],
  ['239 226 192', '#efe2c0'],
  ['239,226,192', '#efe2c0'],
  ['rgb(239, 226, 192)', '#efe2c0'],
  ['rgb(239 226 192)', '#efe2c0'],
  ['rgb(239 226 192 / 50%)', '#efe2c0'],
  ['rgba(239, 226, 192, 0.5)', '#efe2c0'],
  ['rgb(100% 50% 0%)', '#ff8000'],
  ['hsl(0, 100%, 50%)', '#ff0000'],
  ['hsl(120deg 100% 25%)', '#008000'],
  ['hwb(0 0% 0%)', '#ff0000'],
  ['lab(0 0 0)', '#000000'],
  ['oklch(1 0 0)', '#ffffff'],
  ['color(srgb 1 0 0)', '#ff0000'],
  ['tomato', '#ff6347'],
  ['Light Sea Green', '#20b2aa'],
  ['accent: #efe2c0;', '#efe2c0'],
  ['--accent: rgb(239 226 192);', '#efe2c0'],
  ['"accent": "#efe2c0",', '#efe2c0'],
  ['color = efe2c0', '#efe2c0'],
  ['border: 1px solid #efe2c0;', '#efe2c0'],
  ['  #efe2c0 !important;', '#efe2c0'],
  ['Sedge #efe2c0', '#efe2c0'],
  ["'#efe2c0'", '#efe2c0'],
];

describe('a colour however it is written', () => {
  it('is read, with a name before it and what ends a line after it', () => {
    for (const [text, colour] of written) expect(writtenColour(text)?.hex, text).to.equal(colour);
  });

  it('is read with how much of it there is', () => {
    for (const [text, hex, opacity] of [
      ['#10203080', '#102030', 128 / 255],
      ['1238', '#112233', 136 / 255],
      ['rgb(16 32 48 / 25%)', '#102030', 0.25],
      ['tint: hsla(0, 100%, 50%, 0.4);', '#ff0000', 0.4],
    ] as const) {
      const read = writtenColour(text);
      expect(read?.hex, text).to.equal(hex);
      expect(read?.opacity, text).to.be.closeTo(opacity, 1e-6);
    }
  });

  it('is none where there is none, where there are two, or where figures are beyond what a colour has', () => {
    for (const text of [
      '',
      '#',
      '#12345',
      '12345',
      '300, 0, 0',
      '1, 2',
      '1 2 3 4 5',
      'reddish',
      'transparent',
      'rgb(1 2)',
      'from #102030 to #405060',
      'url(#abcdefg)',
      'x'.repeat(5000),
    ])
      expect(writtenColour(text), text.slice(0, 40)).to.equal(null);
  });

  it('reads back what any sRGB colour is written as, in each way, to within a step of a channel', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(byte, byte, byte, (r, g, b) => {
        const hex = `#${[r, g, b].map((value) => value.toString(16).padStart(2, '0')).join('')}`;
        for (const text of [hex, hex.slice(1), `${r}, ${g}, ${b}`, `rgb(${r} ${g} ${b})`, `ink: ${hex};`])
          expect(writtenColour(text), text).to.deep.equal({ hex, opacity: 1 });
      }),
    );
  });

  it('takes any text at all, and gives nothing but a colour', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ maxLength: 300 }), fc.stringMatching(/^[#a-f0-9(), ;:=%."'/-]{0,120}$/)),
        (text) => {
          const read = writtenColour(text);
          expect(
            read === null ||
              (isColourString(read.hex) &&
                /^#[0-9a-f]{6}$/.test(read.hex) &&
                read.opacity > 0 &&
                read.opacity <= 1),
          ).to.equal(true);
        },
      ),
    );
  });
});
