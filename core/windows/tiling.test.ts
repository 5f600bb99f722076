import { expect } from 'chai';
import fc from 'fast-check';
import { bottom, isInside, overlaps, right, type Rect } from '../values/geometry.ts';
import { slotRect, slotsFor, tilings, type Gaps } from './tiling.ts';

const areas = fc.record({
  x: fc.integer({ min: 0, max: 400 }),
  y: fc.integer({ min: 0, max: 200 }),
  width: fc.integer({ min: 900, max: 4000 }),
  height: fc.integer({ min: 600, max: 2400 }),
});
const gaps = fc.record({ outer: fc.integer({ min: 0, max: 60 }), inner: fc.integer({ min: 0, max: 40 }) });

const tiled = (tiling: (typeof tilings)[number], count: number, free: Rect, by: Gaps) =>
  slotsFor(tiling, count).map((slot) => slotRect(slot, free, by));

describe('tiling windows', () => {
  for (const tiling of tilings) {
    it(`${tiling}: as many as there are, inside of the free area, none over another, gaps as wide as wanted`, () => {
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 12 }), areas, gaps, (count, free, by) => {
          const rects = tiled(tiling, count, free, by);
          expect(rects).to.have.length(count);
          const inner = {
            x: free.x + by.outer,
            y: free.y + by.outer,
            width: free.width - 2 * by.outer,
            height: free.height - 2 * by.outer,
          };
          rects.forEach((rect, index) => {
            expect(isInside(rect, inner, 1e-6)).to.equal(true);
            for (const other of rects.slice(index + 1)) {
              const near = {
                x: other.x + 1e-6,
                y: other.y + 1e-6,
                width: other.width - 2e-6,
                height: other.height - 2e-6,
              };
              expect(overlaps(rect, near)).to.equal(false);
            }
          });
          // Together they reach all four sides of what the outer gap leaves.
          expect(Math.min(...rects.map(({ x }) => x))).to.be.closeTo(inner.x, 1e-6);
          expect(Math.min(...rects.map(({ y }) => y))).to.be.closeTo(inner.y, 1e-6);
          expect(Math.max(...rects.map(right))).to.be.closeTo(right(inner), 1e-6);
          expect(Math.max(...rects.map(bottom))).to.be.closeTo(bottom(inner), 1e-6);
        }),
      );
    });

    it(`${tiling}: windows and gaps are all of the area, counted a second way`, () => {
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 9 }), areas, gaps, (count, free, by) => {
          // With half a gap more on every side, windows are an area without a seam.
          const half = by.inner / 2;
          const sum = tiled(tiling, count, free, by).reduce(
            (all, { width, height }) => all + (width + 2 * half) * (height + 2 * half),
            0,
          );
          const whole = (free.width - 2 * by.outer + by.inner) * (free.height - 2 * by.outer + by.inner);
          expect(sum / whole).to.be.closeTo(1, 1e-9);
        }),
      );
    });
  }

  it('makes columns equally wide, worked by hand', () => {
    const free = { x: 0, y: 40, width: 1920, height: 1040 };
    const by = { outer: 20, inner: 10 };
    // (1920 − 40 − 2 · 10) / 3 = 620
    expect(tiled('columns', 3, free, by)).to.deep.equal([
      { x: 20, y: 60, width: 620, height: 1000 },
      { x: 650, y: 60, width: 620, height: 1000 },
      { x: 1280, y: 60, width: 620, height: 1000 },
    ]);
  });

  it('puts the front window on the larger side of a stack, and the first two of halves abreast', () => {
    const [first, ...stack] = slotsFor('stack', 4);
    expect(first).to.deep.equal({ x: 0, y: 0, width: 0.6, height: 1 });
    expect(stack.map(({ x }) => x)).to.deep.equal([0.6, 0.6, 0.6]);
    expect(slotsFor('halves', 3).map(({ x, height }) => [x, height])).to.deep.equal([
      [0, 0.5],
      [0.5, 1],
      [0, 0.5],
    ]);
  });

  it('lets gaps give way on an area that is too small for them', () => {
    for (const tiling of tilings) {
      for (const rect of tiled(
        tiling,
        6,
        { x: 0, y: 0, width: 120, height: 90 },
        { outer: 200, inner: 200 },
      )) {
        expect(rect.width).to.be.greaterThan(0);
        expect(rect.height).to.be.greaterThan(0);
        expect(isInside(rect, { x: 0, y: 0, width: 120, height: 90 }, 1)).to.equal(true);
      }
    }
  });

  it('leaves each of many abreast a place within the area, however large the gaps', () => {
    const free = { x: 10, y: 20, width: 1280, height: 700 };
    for (const tiling of tilings)
      for (const count of [13, 20, 40])
        for (const inner of [0, 24, 120]) {
          const rects = slotsFor(tiling, count).map((slot) => slotRect(slot, free, { outer: 60, inner }));
          for (const { x, y, width, height } of rects) {
            const label = `${tiling}, ${count}, ${inner}`;
            expect(Math.min(width, height), label).to.be.greaterThan(4);
            expect(x + width, label).to.be.at.most(free.x + free.width + 1e-6);
            expect(y + height, label).to.be.at.most(free.y + free.height + 1e-6);
          }
          for (const [index, one] of rects.entries())
            for (const two of rects.slice(index + 1))
              expect(
                one.x + one.width <= two.x + 1e-6 ||
                  two.x + two.width <= one.x + 1e-6 ||
                  one.y + one.height <= two.y + 1e-6 ||
                  two.y + two.height <= one.y + 1e-6,
              ).to.equal(true);
        }
  });
});
