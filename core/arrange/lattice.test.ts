import { expect } from 'chai';
import fc from 'fast-check';
import type { Point } from '../values/geometry.ts';
import {
  cornersOf,
  lattices,
  middleOf,
  nearestFree,
  neighboursOf,
  nextSlot,
  type Lattice,
  type Slot,
} from './lattice.ts';

const shape = (slot: Slot, size: { lattice: Lattice; radius: number; gap: number }): Point[] => {
  const { x, y } = middleOf(slot, size);
  return cornersOf(slot, size).map((corner) => ({ x: corner.x + x, y: corner.y + y }));
};

/** How far apart two convex shapes are along the best of their sides' normals; below 0 they overlap. */
function apart(one: readonly Point[], other: readonly Point[]): number {
  let most = -Infinity;
  for (const [from, to] of [
    [one, other],
    [other, one],
  ] as const)
    from.forEach((corner, index) => {
      const next = from[(index + 1) % from.length] ?? corner;
      const length = Math.hypot(next.x - corner.x, next.y - corner.y);
      // Corners run clockwise on the screen: the normal outward.
      const normal = { x: (next.y - corner.y) / length, y: -(next.x - corner.x) / length };
      const far = (point: Point) => (point.x - corner.x) * normal.x + (point.y - corner.y) * normal.y;
      most = Math.max(most, Math.min(...to.map(far)));
    });
  return most;
}

const slots = fc.record({ a: fc.integer({ min: -9, max: 9 }), b: fc.integer({ min: -9, max: 9 }) });
const sizes = fc.record({
  lattice: fc.constantFrom(...lattices),
  radius: fc.double({ min: 8, max: 90, noNaN: true }),
  gap: fc.double({ min: 0, max: 30, noNaN: true }),
});
const isSame = (one: Slot, other: Slot) => one.a === other.a && one.b === other.b;

describe('cells in a lattice', () => {
  it('are as far from their neighbours as the gap says, to a tenth of a px', () => {
    fc.assert(
      fc.property(sizes, slots, (size, slot) => {
        for (const neighbour of neighboursOf(slot, size.lattice)) {
          // A circle has no sides: its 48 stand a little within it.
          const slack = size.lattice === 'circles' ? size.radius * 0.005 : 0;
          expect(apart(shape(slot, size), shape(neighbour, size))).to.be.closeTo(size.gap, 0.1 + slack);
          expect(neighboursOf(neighbour, size.lattice).some((back) => isSame(back, slot))).to.equal(true);
        }
      }),
      { numRuns: 300, seed: 11 },
    );
  });

  it('never overlap, any two of them', () => {
    fc.assert(
      fc.property(sizes, slots, slots, (size, one, other) => {
        if (isSame(one, other)) return;
        expect(apart(shape(one, size), shape(other, size))).to.be.greaterThan(-0.01);
      }),
      { numRuns: 1000, seed: 12 },
    );
  });

  it('catch on the nearest free slot', () => {
    fc.assert(
      fc.property(sizes, slots, fc.array(slots, { maxLength: 30 }), (size, slot, others) => {
        const taken = others.filter((one) => !isSame(one, slot));
        const at = middleOf(slot, size);
        const off = { x: at.x + size.radius * 0.3, y: at.y - size.radius * 0.2 };
        expect(nearestFree(off, size, taken)).to.deep.equal(slot);
        const beside = nearestFree(at, size, [slot, ...taken]);
        expect([slot, ...taken].some((one) => isSame(one, beside))).to.equal(false);
      }),
      { numRuns: 300, seed: 13 },
    );
  });

  it('grow into a field that hangs together, each beside another', () => {
    for (const lattice of lattices) {
      const taken: Slot[] = [];
      for (let count = 0; count < 60; count++) taken.push(nextSlot(taken, { lattice, radius: 30, gap: 6 }));
      expect(new Set(taken.map(({ a, b }) => `${a} ${b}`)).size).to.equal(60);
      taken
        .slice(1)
        .forEach((slot, index) =>
          expect(
            neighboursOf(slot, lattice).some((one) =>
              taken.slice(0, index + 1).some((other) => isSame(one, other)),
            ),
          ).to.equal(true),
        );
      const xs = taken.map((slot) => middleOf(slot, { lattice, radius: 30, gap: 6 }).x);
      expect(Math.max(...xs) - Math.min(...xs)).to.be.below(800);
    }
  });
});
