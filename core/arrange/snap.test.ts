import { expect } from 'chai';
import fc from 'fast-check';
import type { Rect } from '../values/geometry.ts';
import { distancesAround, snap, type SnapInput } from './snap.ts';

const screen: Rect = { x: 0, y: 0, width: 1000, height: 600 };
const free: Rect = { x: 0, y: 40, width: 1000, height: 560 };
const base = { screen, free, others: [] as Rect[], margin: 24, tolerance: 8 };
const moving = (x: number, y: number): Rect => ({ x, y, width: 100, height: 50 });
const at = (input: Partial<SnapInput> & { moving: Rect }) => snap({ ...base, ...input });

const rect = fc.record({
  x: fc.integer({ min: 0, max: 900 }),
  y: fc.integer({ min: 0, max: 500 }),
  width: fc.integer({ min: 1, max: 300 }),
  height: fc.integer({ min: 1, max: 200 }),
});

describe('snap', () => {
  it('leaves a part alone where nothing is near', () => {
    expect(at({ moving: moving(300, 200) })).to.deep.equal({ x: 300, y: 200, guides: [] });
  });

  it("catches on the screen's side, the free area's side and the margin", () => {
    expect(at({ moving: moving(4, 200) }).x).to.equal(0);
    expect(at({ moving: moving(300, 45) }).y).to.equal(40);
    expect(at({ moving: moving(20, 200) }).x).to.equal(24);
    expect(at({ moving: moving(872, 200) }).x).to.equal(1000 - 24 - 100);
  });

  it('catches on the middle of the screen', () => {
    const { x, guides } = at({ moving: moving(447, 200) });
    expect(x).to.equal(450);
    // The free area is as wide as the screen: its middle is the same line, said once.
    expect(guides.map(({ axis, at: line }) => [axis, line])).to.deep.equal([['x', 500]]);
  });

  it('lets the nearest line win on each axis', () => {
    const others = [{ x: 305, y: 400, width: 80, height: 50 }];
    expect(
      at({ moving: moving(302, 200), others: [...others, { x: 300, y: 500, width: 80, height: 50 }] }).x,
    ).to.equal(300);
    expect(
      at({ moving: moving(304, 200), others: [...others, { x: 300, y: 500, width: 80, height: 50 }] }).x,
    ).to.equal(305);
  });

  it('gives all lines that agree at the resting place', () => {
    const others = [
      { x: 300, y: 400, width: 100, height: 50 },
      { x: 300, y: 500, width: 60, height: 50 },
    ];
    const { x, guides } = at({ moving: moving(303, 200), others });
    expect(x).to.equal(300);
    // Start and end of the first (and its middle), start of the second.
    expect(guides.filter(({ axis, at: line }) => axis === 'x' && line === 300)).to.have.length(2);
    expect(guides.some(({ at: line }) => line === 400)).to.equal(true);
  });

  it('catches where the distances in a row become equal', () => {
    const others = [
      { x: 100, y: 200, width: 100, height: 50 },
      { x: 240, y: 200, width: 100, height: 50 },
    ];
    const { x, guides } = at({ moving: moving(383, 210), others });
    expect(x).to.equal(380);
    expect(guides.some(({ kind, from, to }) => kind === 'spacing' && to - from === 40)).to.equal(true);
  });

  it('repeats only gaps that can be seen: between parts that face each other, with nothing across', () => {
    const a = { x: 100, y: 200, width: 100, height: 50 };
    const b = { x: 240, y: 200, width: 100, height: 50 };
    // A long part lies under all of them and across the gap.
    const across = { x: 90, y: 220, width: 160, height: 100 };
    expect(at({ moving: moving(383, 185), others: [a, b] }).x).to.equal(380);
    expect(at({ moving: moving(383, 185), others: [a, b, across] }).guides).to.deep.equal([]);
    // The next by its start does not face the first; the one after it does.
    const high = { x: 210, y: 150, width: 10, height: 45 };
    expect(at({ moving: moving(383, 170), others: [a, high, b] }).x).to.equal(380);
  });

  it('keeps an axis that the move does not change', () => {
    expect(at({ moving: moving(4, 45), along: { x: true, y: false } })).to.include({ x: 0, y: 45 });
  });

  it('never moves a part further than it may, whatever stands around', () => {
    fc.assert(
      fc.property(rect, fc.array(rect, { maxLength: 30 }), (part, others) => {
        const rest = at({ moving: part, others });
        expect(Math.abs(rest.x - part.x)).to.be.at.most(base.tolerance);
        expect(Math.abs(rest.y - part.y)).to.be.at.most(base.tolerance);
        // A guide is never given for an axis that did not come to rest on it.
        for (const guide of rest.guides)
          if (guide.kind !== 'spacing')
            expect(linesOf(rest, part, guide.axis)).to.satisfy((lines: number[]) =>
              lines.some((line) => Math.abs(line - guide.at) < 0.02),
            );
      }),
    );
  });
});

function linesOf(rest: { x: number; y: number }, { width, height }: Rect, axis: 'x' | 'y'): number[] {
  const start = rest[axis];
  const length = axis === 'x' ? width : height;
  return [start, start + length / 2, start + length];
}

/** The plain way to find the nearest line on an axis: try every pair of lines that may agree. */
function plainSnap({ moving, others, screen, free, margin, tolerance }: SnapInput, axis: 'x' | 'y'): number {
  const length = axis === 'x' ? 'width' : 'height';
  const cross = axis === 'x' ? 'y' : 'x';
  const crossLength = axis === 'x' ? 'height' : 'width';
  const own = moving[length];
  const starts: number[] = [];
  for (const frame of [screen, free])
    starts.push(frame[axis], frame[axis] + frame[length] - own, frame[axis] + (frame[length] - own) / 2);
  starts.push(free[axis] + margin, free[axis] + free[length] - margin - own);
  for (const other of others) {
    for (const line of [other[axis], other[axis] + other[length]]) starts.push(line, line - own);
    starts.push(other[axis] + (other[length] - own) / 2);
  }
  const row = others
    .filter(
      (other) =>
        other[cross] < moving[cross] + moving[crossLength] &&
        moving[cross] < other[cross] + other[crossLength],
    )
    .sort((a, b) => a[axis] - b[axis]);
  const end = (part: Rect) => part[axis] + part[length];
  /** The gap from one part to a later one where they face each other, as a rectangle; null for none. */
  function gapBetween(a: Rect, b: Rect): { along: [number, number]; across: [number, number] } | null {
    const across: [number, number] = [
      Math.max(a[cross], b[cross]),
      Math.min(a[cross] + a[crossLength], b[cross] + b[crossLength]),
    ];
    return across[1] - across[0] > 0.01 ? { along: [end(a), b[axis]], across } : null;
  }
  const isClear = (a: Rect, b: Rect) => {
    const gap = gapBetween(a, b);
    return (
      gap !== null &&
      !others.some(
        (other) =>
          other !== a &&
          other !== b &&
          other[axis] < gap.along[1] - 0.01 &&
          end(other) > gap.along[0] + 0.01 &&
          other[cross] < gap.across[1] - 0.01 &&
          other[cross] + other[crossLength] > gap.across[0] + 0.01,
      )
    );
  };
  const putAt = (start: number): Rect => ({ ...moving, [axis]: start });
  for (const a of row) {
    for (const b of row) {
      const gap = b[axis] - end(a);
      if (a === b || gap <= 0.01) continue;
      if (isClear(a, b) && isClear(b, putAt(end(b) + gap))) starts.push(end(b) + gap);
      if (isClear(a, b) && isClear(putAt(a[axis] - gap - own), a)) starts.push(a[axis] - gap - own);
      const middle = end(a) + (gap - own) / 2;
      const isNext = !row.some((c) => c[axis] - end(a) > 0.01 && c[axis] < b[axis]);
      if (gap - own > 0.02 && isNext && isClear(a, putAt(middle)) && isClear(putAt(middle), b))
        starts.push(middle);
    }
  }
  const nearest = Math.min(...starts.map((start) => Math.abs(start - moving[axis])));
  return nearest <= tolerance ? nearest : 0;
}

describe('snap, compared with the plain way', () => {
  it('comes to rest as near, on both axes, whatever stands around', () => {
    fc.assert(
      fc.property(rect, fc.array(rect, { maxLength: 25 }), (part, others) => {
        const input = { ...base, moving: part, others };
        const rest = snap(input);
        expect(Math.abs(rest.x - part.x)).to.be.closeTo(plainSnap(input, 'x'), 0.011);
        expect(Math.abs(rest.y - part.y)).to.be.closeTo(plainSnap(input, 'y'), 0.011);
      }),
      { numRuns: 400 },
    );
  });
});

describe('distancesAround', () => {
  it('measures to the nearest part in the way, else to the frame', () => {
    const others = [
      { x: 500, y: 210, width: 50, height: 50 },
      { x: 700, y: 210, width: 50, height: 50 },
      { x: 300, y: 400, width: 50, height: 50 },
    ];
    const lengths = Object.fromEntries(
      distancesAround(moving(300, 200), others, screen).map(({ side, length }) => [side, length]),
    );
    expect(lengths).to.deep.equal({ top: 200, right: 100, bottom: 150, left: 300 });
  });

  it('catches on the line of writing of a neighbour, where that is nearer than its sides', () => {
    const rest = snap({
      moving: { x: 300, y: 118, width: 100, height: 40, lines: [150] },
      others: [{ x: 20, y: 40, width: 200, height: 130, lines: [152] }],
      screen,
      free: screen,
      margin: 24,
      tolerance: 6,
    });
    expect(rest.y).to.equal(120);
    expect(rest.guides.filter(({ axis }) => axis === 'y')).to.deep.include.members([
      { axis: 'y', at: 152, from: 20, to: 400, kind: 'writing' },
    ]);
  });
});
