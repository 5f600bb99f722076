import { expect } from 'chai';
import fc from 'fast-check';
import { bottom, right, type Rect } from '../values/geometry.ts';
import { caught, grips, sized, slotAt, type Catches } from './catching.ts';
import { LEAST } from './trial.ts';

const free: Rect = { x: 0, y: 40, width: 1600, height: 860 };
const alone = (change: Partial<Catches> = {}): Catches => ({
  free,
  others: [],
  inner: 10,
  outer: 16,
  within: 12,
  ...change,
});
const rects = fc.record({
  x: fc.integer({ min: -200, max: 1500 }),
  y: fc.integer({ min: 0, max: 800 }),
  width: fc.integer({ min: LEAST.width, max: 900 }),
  height: fc.integer({ min: LEAST.height, max: 700 }),
});

describe('windows catch', () => {
  it('on the sides of the free area, and off them by the outer gap', () => {
    const at = (x: number) => ({ x, y: 300, width: 400, height: 300 });
    expect(caught(at(5), alone()).x).to.equal(-5);
    expect(caught(at(13), alone()).x).to.equal(3);
    expect(caught(at(1600 - 400 - 4), alone()).x).to.equal(4);
    expect(caught(at(600), alone()).x).to.equal(0);
    // A window behind the panel is no nearer than one in the free area.
    expect(caught({ ...at(600), y: 44 }, alone()).y).to.equal(-4);
  });

  it('beside one another with the inner gap between, and level with one another', () => {
    const other = { x: 500, y: 200, width: 400, height: 300 };
    const beside = { x: 916, y: 204, width: 300, height: 300 };
    expect(caught(beside, alone({ others: [other] }))).to.deep.equal({ x: -6, y: -4 });
    // One that is nowhere near it does not count.
    expect(caught({ ...beside, y: 560 }, alone({ others: [other] })).x).to.equal(0);
  });

  it('never by more than they may, and then stand where they caught', () => {
    fc.assert(
      fc.property(rects, fc.array(rects, { maxLength: 6 }), (rect, others) => {
        const catches = alone({ others });
        const by = caught(rect, catches);
        expect(Math.abs(by.x)).to.be.lessThan(catches.within);
        expect(Math.abs(by.y)).to.be.lessThan(catches.within);
        const moved = { ...rect, x: rect.x + by.x };
        if (by.x === 0) return;
        const sides = [moved.x, right(moved)];
        const lines = [
          ...[0, 16].flatMap((off) => [free.x + off, right(free) - off]),
          ...others.flatMap((other) => [other.x - 10, other.x, right(other), right(other) + 10]),
        ];
        expect(sides.some((side) => lines.some((line) => Math.abs(side - line) < 1e-9))).to.equal(true);
      }),
    );
  });

  it('on halves at the sides of a screen and on quarters in its corners', () => {
    const screen = { x: 0, y: 0, width: 1600, height: 900 };
    const at = (x: number, y: number) => slotAt({ x, y }, screen);
    expect(at(3, 450)).to.deep.equal({ x: 0, y: 0, width: 0.5, height: 1 });
    expect(at(1597, 450)).to.deep.equal({ x: 0.5, y: 0, width: 0.5, height: 1 });
    expect(at(800, 2)).to.deep.equal({ x: 0, y: 0, width: 1, height: 0.5 });
    expect(at(800, 899)).to.deep.equal({ x: 0, y: 0.5, width: 1, height: 0.5 });
    expect(at(2, 60)).to.deep.equal({ x: 0, y: 0, width: 0.5, height: 0.5 });
    expect(at(1540, 898)).to.deep.equal({ x: 0.5, y: 0.5, width: 0.5, height: 0.5 });
    expect(at(400, 400)).to.equal(null);
  });
});

describe('sizing a window', () => {
  it('moves the sides that are dragged and no others, from all eight', () => {
    expect(grips).to.have.length(8);
    fc.assert(
      fc.property(
        rects,
        fc.constantFrom(...grips),
        fc.integer({ min: -900, max: 900 }),
        fc.integer({ min: -900, max: 900 }),
        (rect, grip, x, y) => {
          const after = sized(rect, grip, { x, y });
          if (grip.x !== -1) expect(after.x).to.equal(rect.x);
          if (grip.x !== 1) expect(right(after)).to.equal(right(rect));
          if (grip.y !== -1) expect(after.y).to.equal(rect.y);
          if (grip.y !== 1) expect(bottom(after)).to.equal(bottom(rect));
          expect(after.width).to.be.at.least(LEAST.width);
          expect(after.height).to.be.at.least(LEAST.height);
          const wanted = grip.x === 1 ? rect.width + x : grip.x === -1 ? rect.width - x : rect.width;
          expect(after.width).to.equal(Math.max(LEAST.width, wanted));
        },
      ),
    );
  });
});
