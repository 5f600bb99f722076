import { expect } from 'chai';
import fc from 'fast-check';
import { emptyDesk } from '../../tests/support/desks.ts';
import { fontsOf } from '../scene/look.ts';
import { cutLine, fitLine, setLine, type LineStyle } from './layout.ts';

describe('a line that must fit', () => {
  const fonts = fontsOf(emptyDesk().look);
  const style: LineStyle = { font: 'text', size: 24, weight: 500 };
  const texts = fc.string({ unit: fc.constantFrom(...'Marrow Pointing '), minLength: 1, maxLength: 40 });

  it('is set as asked where it does, then smaller, and cut last; it is never wider than it may be', () => {
    fc.assert(
      fc.property(
        texts,
        fc.integer({ min: 40, max: 700 }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (text, width, least) => {
          const whole = setLine(text, style, fonts);
          const line = fitLine(text, style, fonts, width, least);
          expect(line.width).to.be.at.most(Math.max(width, setLine('…', style, fonts).width));
          expect(line.run.size).to.be.within(24 * least - 0.001, 24);
          if (whole.width <= width) expect(line.run).to.include({ text, size: 24 });
          // Nothing is cut that a size still allowed would have held.
          const smallest = setLine(text, { ...style, size: 24 * least }, fonts);
          if (smallest.width <= width * 0.95) expect(line.run.text).to.equal(text);
          // Where it is cut, it holds more than it would have at the size asked for.
          else if (line.run.text !== text)
            expect(line.run.text.length).to.be.at.least(cutLine(text, style, fonts, width).run.text.length);
        },
      ),
    );
  });
});
