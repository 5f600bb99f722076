import { expect } from 'chai';
import fc from 'fast-check';
import { sides, type Rect } from '../values/geometry.ts';
import { layEdge, type EdgeShape } from './edges.ts';
import { thicknessAfter, withEndMoved } from './spans.ts';

const frame: Rect = { x: 0, y: 0, width: 1000, height: 600 };
const shape: EdgeShape = {
  side: 'bottom',
  thickness: 40,
  length: { by: 'fixed', px: 300 },
  align: 'centre',
  offset: 0,
  margin: 20,
  padding: 0,
  spacing: 0,
  keepsWindowsOff: false,
};

describe('an edge dragged by its ends', () => {
  it('keeps the other end where it is, however it is aligned and on whatever side', () => {
    const edges = fc.record({
      side: fc.constantFrom(...sides),
      align: fc.constantFrom('start' as const, 'centre' as const, 'end' as const),
      offset: fc.integer({ min: -300, max: 300 }),
      margin: fc.integer({ min: 0, max: 60 }),
    });
    fc.assert(
      fc.property(
        edges,
        fc.constantFrom('start' as const, 'end' as const),
        fc.integer({ min: -400, max: 400 }),
        (change, end, by) => {
          const edge = { ...shape, ...change };
          const { rect } = layEdge(edge, [], frame);
          const after = layEdge(
            { ...edge, ...withEndMoved({ ...edge, rect, frame }, end, by) },
            [],
            frame,
          ).rect;
          const at = edge.side === 'top' || edge.side === 'bottom' ? 'x' : 'y';
          const long = at === 'x' ? 'width' : 'height';
          const kept =
            end === 'start' ? rect[at] + rect[long] - after[at] - after[long] : rect[at] - after[at];
          expect(Math.abs(kept)).to.be.at.most(1);
          expect(after[long]).to.be.at.least(16);
        },
      ),
      { seed: 9 },
    );
  });

  it('moves the end that is dragged as far as the pointer goes, and no farther than its side', () => {
    const { rect } = layEdge(shape, [], frame);
    const at = (by: number) => {
      const { x, width } = layEdge(
        { ...shape, ...withEndMoved({ ...shape, rect, frame }, 'end', by) },
        [],
        frame,
      ).rect;
      return [x, width];
    };
    expect(at(50)).to.deep.equal([350, 350]);
    expect(at(-900)).to.deep.equal([350, 16]);
    expect(at(5000)).to.deep.equal([350, 630]);
  });

  it('becomes thicker away from its side, within what the document takes', () => {
    expect(thicknessAfter(40, 'bottom', { x: 0, y: -12 })).to.equal(52);
    expect(thicknessAfter(40, 'left', { x: 12, y: 0 })).to.equal(52);
    expect(thicknessAfter(40, 'top', { x: 0, y: -400 })).to.equal(16);
    expect(thicknessAfter(40, 'right', { x: -400, y: 0 })).to.equal(240);
  });
});
