import { expect } from 'chai';
import fc from 'fast-check';
import { overlaps, type Rect } from '../values/geometry.ts';
import { placeScreen } from './screens.ts';

const wide = { width: 1920, height: 1080 };
const left: Rect = { x: 0, y: 0, ...wide };

describe('placing a screen beside others', () => {
  it('pulls its sides and its middle to theirs, and leaves what is out of reach', () => {
    expect(placeScreen(wide, { x: 1900, y: 30 }, [left], 60)).to.deep.equal({ x: 1920, y: 0 });
    expect(placeScreen(wide, { x: 30, y: -1100 }, [left], 60)).to.deep.equal({ x: 0, y: -1080 });
    const small = { width: 1280, height: 800 };
    expect(placeScreen(small, { x: 1925, y: 150 }, [left], 60)).to.deep.equal({ x: 1920, y: 140 });
    expect(placeScreen(small, { x: 1925, y: 270 }, [left], 60)).to.deep.equal({ x: 1920, y: 280 });
    expect(placeScreen(small, { x: 2100, y: 500 }, [left], 60)).to.deep.equal({ x: 2100, y: 500 });
  });

  it('is pushed off another one to the side that is nearest', () => {
    expect(placeScreen(wide, { x: 1500, y: 200 }, [left], 0)).to.deep.equal({ x: 1920, y: 200 });
    expect(placeScreen(wide, { x: 200, y: -700 }, [left], 0)).to.deep.equal({ x: 200, y: -1080 });
  });

  it('never lies over another one, wherever it is let go', () => {
    const place = fc.integer({ min: -9000, max: 9000 });
    const size = fc.integer({ min: 240, max: 4000 });
    const rect = fc.record({ x: place, y: place, width: size, height: size });
    fc.assert(
      fc.property(
        rect,
        fc.array(rect, { maxLength: 7 }),
        fc.integer({ min: 0, max: 500 }),
        (own, others, pull) => {
          const spot = placeScreen(own, own, others, pull);
          for (const other of others) expect(overlaps({ ...own, ...spot }, other)).to.equal(false);
          expect(Number.isInteger(spot.x) && Number.isInteger(spot.y)).to.equal(true);
        },
      ),
      { seed: 7 },
    );
  });
});
