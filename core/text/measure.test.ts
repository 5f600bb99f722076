import { expect } from 'chai';
import fc from 'fast-check';
import { plainUse } from '../desk/look-schema.ts';
import { families, type Family } from '../desk/values.ts';
import { textWidth, type DeskFont } from './measure.ts';

describe('measuring text', () => {
  const font = (family: Family): DeskFont => ({ ...plainUse(family), metrics: null });
  const style = { font: font('figtree'), size: 20, weight: 400 };

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

  it('counts all figures as wide as each other', () => {
    for (const family of families) {
      const widths = [...'0123456789'].map((figure) => textWidth(figure, { ...style, font: font(family) }));
      expect(new Set(widths).size, family).to.equal(1);
    }
  });

  it('adds up: the whole is the sum of its parts', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.string(),
        fc.constantFrom(...families),
        fc.integer({ min: 100, max: 900 }),
        (a, b, family, weight) => {
          const width = (text: string) => textWidth(text, { font: font(family), size: 16, weight });
          expect(width(a + b)).to.be.closeTo(width(a) + width(b), 1e-6);
          expect(width(a)).to.be.at.least(0);
        },
      ),
    );
  });

  it('leaves room for letters that it does not know', () => {
    expect(textWidth('ж', style)).to.equal(textWidth('m', style));
  });
});
