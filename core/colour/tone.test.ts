import { expect } from 'chai';
import fc from 'fast-check';
import { contrast, toLch } from '../values/colour.ts';
import { contrastOver, greyOf, luminance, readableOver, wayOver, type Tone } from './tone.ts';

const hexOfGrey = (grey: number) => `#${Math.round(grey).toString(16).padStart(2, '0').repeat(3)}`;
const grey = fc.integer({ min: 0, max: 255 });
const tone: fc.Arbitrary<Tone> = fc
  .tuple(grey, grey)
  .map(([one, other]) => ({ dark: Math.min(one, other), light: Math.max(one, other) }));
const colour = fc
  .integer({ min: 0, max: 0xffffff })
  .map((value) => `#${value.toString(16).padStart(6, '0')}`);

describe('colours over a tone', () => {
  it('tell a luminance by its grey and back', () => {
    for (let value = 0; value < 256; value++)
      expect(greyOf(luminance(value, value, value))).to.be.closeTo(value, 1e-3);
    // WCAG 2.2: #777 on white is the well-known near miss.
    expect(contrastOver('#777777', { dark: 255, light: 255 })).to.be.closeTo(4.48, 0.01);
    expect(contrastOver('#ffffff', { dark: 0, light: 0 })).to.be.closeTo(21, 1e-6);
  });

  it('are judged by the nearer end of the tone, and not at all where they lie between', () => {
    fc.assert(
      fc.property(colour, tone, (hex, { dark, light }) => {
        const said = contrastOver(hex, { dark, light });
        const ends = [dark, light].map((value) => contrast(hex, hexOfGrey(value)));
        if (said === 1) return;
        expect(said).to.be.closeTo(Math.min(...ends), 0.01);
      }),
    );
    expect(contrastOver('#808080', { dark: 10, light: 250 })).to.equal(1);
  });

  it('reach what text needs wherever black or white does, with their hue, and stay where they do already', () => {
    fc.assert(
      fc.property(colour, tone, (hex, over) => {
        const way = wayOver(hex, over);
        const fitted = readableOver(hex, over, way);
        const best = Math.max(contrastOver('#ffffff', over), contrastOver('#000000', over));
        if (contrastOver(hex, over) >= 4.5) expect(fitted).to.equal(hex);
        else if (best >= 4.6) expect(contrastOver(fitted, over)).to.be.at.least(4.5);
        else if (best < 4.5) expect(['#000000', '#ffffff']).to.include(fitted);
      }),
    );
  });

  it('move no further than they must, and as strong as wished where they turn', () => {
    const over = { dark: 30, light: 40 };
    const near = readableOver('#707070', over, 'lighter');
    const strong = readableOver('#707070', over, 'lighter', { wished: 9 });
    expect(contrastOver(near, over)).to.be.within(4.5, 4.7);
    expect(contrastOver(strong, over)).to.be.within(9, 9.4);
    expect(toLch(strong).l).to.be.above(toLch(near).l);
  });

  it('go to where they are moved least, and the other way where nothing else reads', () => {
    // Black has 4.9:1 on this grey, white 4.3.
    expect(wayOver('#fafafa', { dark: 120, light: 120 })).to.equal('darker');
    expect(wayOver('#fafafa', { dark: 60, light: 60 })).to.equal('lighter');
    expect(wayOver('#202020', { dark: 200, light: 200 })).to.equal('darker');
  });
});
