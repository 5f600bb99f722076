import { expect } from 'chai';
import fc from 'fast-check';
import { isInside, overlaps, type Rect } from '../values/geometry.ts';
import { MARGIN, freeSpot } from './free-spot.ts';

const free: Rect = { x: 0, y: 40, width: 1920, height: 1000 };

describe('room for what is added', () => {
  it('fills columns from the top right, a margin apart', () => {
    const size = { width: 300, height: 280 };
    const taken: Rect[] = [];
    for (let count = 0; count < 4; count++) taken.push(freeSpot(size, free, taken));
    expect(taken.map(({ x, y }) => [x, y])).to.deep.equal([
      [1596, 64],
      [1596, 368],
      [1596, 672],
      [1272, 64],
    ]);
  });

  it('goes to the middle where nothing is free or nothing fits', () => {
    expect(freeSpot({ width: 400, height: 200 }, free, [free])).to.include({ x: 760, y: 440 });
    expect(freeSpot({ width: 3000, height: 200 }, free, [])).to.include({ x: -540 });
  });

  it('is inside the margins and a margin off everything, unless it is the middle', () => {
    const rect = fc.record({
      x: fc.double({ min: 0, max: 1700, noNaN: true }),
      y: fc.double({ min: 40, max: 900, noNaN: true }),
      width: fc.double({ min: 20, max: 500, noNaN: true }),
      height: fc.double({ min: 20, max: 300, noNaN: true }),
    });
    fc.assert(
      fc.property(rect, fc.array(rect, { maxLength: 12 }), (size, taken) => {
        const spot = freeSpot(size, free, taken);
        if (Math.abs(spot.x + spot.width / 2 - 960) < 1e-6) return;
        expect(isInside(spot, free)).to.equal(true);
        for (const one of taken) {
          const grown = {
            x: one.x - MARGIN + 0.1,
            y: one.y - MARGIN + 0.1,
            width: one.width + 2 * MARGIN - 0.2,
            height: one.height + 2 * MARGIN - 0.2,
          };
          expect(overlaps(spot, grown)).to.equal(false);
        }
      }),
      { seed: 11 },
    );
  });
});
