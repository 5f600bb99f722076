import { expect } from 'chai';
import fc from 'fast-check';
import { fadedTo, grown, grownLine, type Growth } from './growth.ts';

const growth: Growth = { factor: 1.8, reach: 140, share: 1 };

describe('a dock that grows under the pointer', () => {
  it('makes what is at the pointer nearly as large as it may become, and leaves what is far its size', () => {
    expect(grown(-20, 20, 0, growth).scale).to.be.within(1.75, 1.8);
    expect(grown(200, 240, 0, growth).scale).to.equal(1);
    expect(grown(-20, 20, 0, growth).shift).to.be.closeTo(0, 1e-9);
    expect(grown(-20, 20, 0, { ...growth, share: 0 })).to.deep.equal({ scale: 1, shift: 0 });
    expect(grown(-20, 20, 0, { ...growth, factor: 1 })).to.deep.equal({ scale: 1, shift: 0 });
  });

  it('grows by the area under its curve, summed in small steps', () => {
    const bump = (x: number) => (Math.abs(x) < 140 ? ((1 + Math.cos((Math.PI * x) / 140)) / 2) * 0.8 : 0);
    for (const [start, end, pointer] of [
      [0, 40, 10],
      [60, 100, 10],
      [-200, -100, 10],
    ] as const) {
      let area = 0;
      for (let at = start; at < end; at += 0.01) area += bump(at + 0.005 - pointer) * 0.01;
      expect(grown(start, end, pointer, growth).scale).to.be.closeTo(1 + area / (end - start), 1e-4);
    }
  });

  it('keeps neighbours side by side: none covers another, no blank opens between them', () => {
    const pointer = fc.double({ min: -300, max: 900, noNaN: true });
    const lengths = fc.array(fc.integer({ min: 8, max: 90 }), { minLength: 2, maxLength: 14 });
    fc.assert(
      fc.property(pointer, lengths, fc.double({ min: 1, max: 2.5, noNaN: true }), (at, sizes, factor) => {
        let start = 0;
        let before: number | null = null;
        for (const size of sizes) {
          const { scale, shift } = grown(start, start + size, at, { ...growth, factor });
          const middle = start + size / 2 + shift;
          const from = middle - (size * scale) / 2;
          if (before !== null) expect(from).to.be.closeTo(before, 1e-6);
          expect(scale).to.be.within(1 - 1e-9, factor + 1e-9);
          before = middle + (size * scale) / 2;
          start += size;
        }
      }),
      { seed: 3 },
    );
  });

  it('does not jump: a pointer that goes on by a pixel moves nothing by more than two', () => {
    for (let at = -200; at < 400; at++) {
      const before = grown(100, 140, at, growth);
      const after = grown(100, 140, at + 1, growth);
      expect(Math.abs(after.shift - before.shift)).to.be.below(2);
      expect(Math.abs(after.scale - before.scale)).to.be.below(0.03);
    }
  });

  it('comes and goes evenly, as long in many small steps as in one, and never beyond', () => {
    const elapsed = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { maxLength: 12 });
    fc.assert(
      fc.property(elapsed, fc.constantFrom(0 as const, 1 as const), (steps, wanted) => {
        const stepped = steps.reduce((share, ms) => fadedTo(wanted, share, ms), 1 - wanted);
        const whole = fadedTo(
          wanted,
          1 - wanted,
          steps.reduce((sum, ms) => sum + ms, 0),
        );
        expect(stepped).to.be.closeTo(whole, 1e-9);
        expect(stepped).to.be.within(0, 1);
      }),
    );
    expect(fadedTo(1, 0.2, Infinity)).to.equal(1);
    // A clock that stands still or goes back changes nothing.
    expect(fadedTo(1, 0.2, -50)).to.equal(0.2);
  });

  it('lets what lies beneath reach exactly as far as the first and the last item', () => {
    const parts = [0, 50, 100, 150].map((start) => ({ start, end: start + 50 }));
    const { items, beneath } = grownLine(parts, 200, 90, growth);
    const [first, last] = [items[0], items[3]];
    expect(beneath.shift).to.equal(first?.shift).and.to.be.below(0);
    expect(beneath.shift + 200 * beneath.scale).to.be.closeTo(200 + (last?.shift ?? NaN), 1e-9);
    const still = grownLine(parts, 200, 90, { ...growth, share: 0 });
    expect(still.beneath.shift).to.be.closeTo(0, 1e-9);
    expect(still.beneath.scale).to.equal(1);
    expect(grownLine([], 0, 0, growth).beneath).to.deep.equal({ shift: 0, scale: 1 });
  });
});
