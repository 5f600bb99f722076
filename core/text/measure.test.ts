import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { families } from '../values/family.ts';
import { plainFont } from '../../tests/support/fonts.ts';
import { steadyWidth, textWidth } from './measure.ts';
import type { ShippedMetrics } from './cuts.ts';
import { isUsual } from './families.ts';

describe('measuring text', () => {
  const style = { font: plainFont('figtree'), size: 20, weight: 400 };

  it('grows with the size, in proportion', () => {
    expect(textWidth('Tallybook', { ...style, size: 40 })).to.be.closeTo(
      2 * textWidth('Tallybook', style),
      1e-9,
    );
  });

  it('adds letter spacing to each letter', () => {
    expect(textWidth('abcd', { ...style, spacing: 0.1 }) - textWidth('abcd', style)).to.be.closeTo(
      4 * 0.1 * 20,
      1e-9,
    );
  });

  it('is wider in a heavier weight', () => {
    expect(textWidth('Wavebox', { ...style, weight: 700 })).to.be.greaterThan(
      textWidth('Wavebox', { ...style, weight: 300 }),
    );
  });

  it('sets figures side by side in one width where a family has such figures, and gives room for any in all', () => {
    for (const family of families) {
      const of = (text: string) => textWidth(text, { ...style, font: plainFont(family) });
      const widths = [...'0123456789'].map(of);
      if (family !== 'fraunces' && family !== 'commissioner')
        expect(new Set(widths).size, family).to.equal(1);
      const room = steadyWidth('0', { ...style, font: plainFont(family) });
      expect(room, family).to.equal(Math.max(...widths));
    }
  });

  it('changes with the size in families that do: small text is set wider', () => {
    for (const family of ['fraunces', 'newsreader', 'bricolage-grotesque'] as const) {
      const of = (size: number) =>
        textWidth('Thursday 26 November', { font: plainFont(family), size, weight: 400 }) / size;
      expect(of(11) / of(90), family).to.be.above(1.04);
    }
    const plain = (size: number) => textWidth('Thursday', { ...style, size }) / size;
    expect(plain(11)).to.be.closeTo(plain(90), 1e-9);
  });

  it('stands pairs closer as the font does', () => {
    const of = (text: string) => textWidth(text, style);
    expect(of('AV')).to.be.below(of('A') + of('V') - 0.5);
    expect(of('HH')).to.be.closeTo(2 * of('H'), 1e-9);
    expect(of('ÀV'), 'with an accent as without').to.be.closeTo(of('AV'), 0.3);
  });

  it('is never below nothing, and knows a letter with an accent however it is written', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'binary' }),
        fc.constantFrom(...families),
        fc.integer({ min: 1, max: 1000 }),
        (text, family, weight) => {
          const width = (of: string) => textWidth(of, { font: plainFont(family), size: 16, weight });
          expect(width(text)).to.be.at.least(0);
          expect(width(text.normalize('NFD'))).to.be.closeTo(width(text.normalize('NFC')), 0.2 * text.length);
        },
      ),
    );
    expect(textWidth('Łódź', style)).to.be.closeTo(textWidth('Lodz', style), 3);
  });

  it('asks for no more than a family where every family has the letters', () => {
    const folder = new URL('metrics/', import.meta.url);
    for (const family of families) {
      const { advances, lacks = '' } = JSON.parse(
        readFileSync(new URL(`${family}.json`, folder), 'utf8'),
      ) as ShippedMetrics;
      for (let code = 0x20; code < 0x2300; code++) {
        const letter = String.fromCodePoint(code);
        if (code === 0x7f || !isUsual(letter)) continue;
        const isThere =
          letter in advances || (letter.normalize('NFD')[0]! in advances && !lacks.includes(letter));
        expect(isThere, `${family}: ${letter}`).to.equal(true);
      }
    }
    for (const letter of ['ĉ', 'µ', 'ж', '→', '№']) expect(isUsual(letter), letter).to.equal(false);
  });

  it('takes other scripts and signs from what the page falls back to, and leaves room for the rest', () => {
    const commissioner = { ...style, font: plainFont('commissioner') };
    expect(textWidth('Прилив', style)).to.be.closeTo(textWidth('Прилив', commissioner), 1e-9);
    expect(textWidth('潮', style)).to.equal(20);
    expect(textWidth('é', style)).to.equal(textWidth('e\u0301', style));
    // A letter that nobody ships has the room of an m.
    expect(textWidth('ཀ', style)).to.equal(textWidth('m', style));
    for (const name of ['__proto__', 'constructor'])
      expect(textWidth(name, style), name).to.be.within(20, 200);
  });
});
