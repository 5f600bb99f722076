import { expect } from 'chai';
import fc from 'fast-check';
import { freeAfter, layEdge, type EdgeShape, type Flowing } from './edges.ts';
import type { EdgeLength } from './schema.ts';
import { isInside, sides, type Rect } from '../values/geometry.ts';

const screen: Rect = { x: 0, y: 0, width: 1000, height: 600 };
const shape: EdgeShape = {
  side: 'top',
  thickness: 40,
  length: { by: 'side' },
  align: 'start',
  offset: 0,
  margin: 0,
  padding: 10,
  spacing: 6,
  keepsWindowsOff: true,
};
const own = { before: 0, after: 0 };
const solid = (length: number): Flowing => ({ ...own, length, weight: null, isBlank: false });
const gap = (length: number): Flowing => ({ ...own, length, weight: null, isBlank: true });
const spring = (weight = 1): Flowing => ({ ...own, length: 0, weight, isBlank: true });

describe('layEdge', () => {
  it('lets items flow from the start, with padding outside and spacing between', () => {
    const { rect, items } = layEdge(shape, [solid(100), solid(50)], screen);
    expect(rect).to.deep.equal({ x: 0, y: 0, width: 1000, height: 40 });
    expect(items.map(({ x, width }) => [x, width])).to.deep.equal([
      [10, 100],
      [116, 50],
    ]);
  });

  it('gives springs what is left by their weights, and adds no spacing beside blanks', () => {
    // 1000 - 2 * 10 padding - 180 solid = 800, shared 1 to 3.
    const { items } = layEdge(shape, [solid(100), spring(1), solid(40), spring(3), solid(40)], screen);
    expect(items.map(({ width }) => width)).to.deep.equal([100, 200, 40, 600, 40]);
    expect(items.at(-1)?.x).to.equal(950);
  });

  it('keeps a gap exactly as long as it says', () => {
    const { items } = layEdge(shape, [solid(100), gap(24), solid(50)], screen);
    expect(items[2]?.x).to.equal(10 + 100 + 24);
  });

  it('is as long as its items and stands where it is aligned', () => {
    const floating = { ...shape, side: 'bottom', length: { by: 'items' }, margin: 20 } as const;
    const at = (align: EdgeShape['align']) => layEdge({ ...floating, align }, [solid(100)], screen).rect;
    expect(at('start')).to.deep.equal({ x: 20, y: 540, width: 120, height: 40 });
    expect(at('centre').x).to.equal(440);
    expect(at('end').x).to.equal(860);
  });

  it('is as long as it is told to be, moved along its side, and never beyond it', () => {
    const at = (change: Partial<EdgeShape>) => {
      const { x, width } = layEdge({ ...shape, align: 'centre', ...change }, [solid(100)], screen).rect;
      return [x, width];
    };
    expect(at({ length: { by: 'fixed', px: 400 } })).to.deep.equal([300, 400]);
    expect(at({ length: { by: 'fixed', px: 4000 } })).to.deep.equal([0, 1000]);
    expect(at({ length: { by: 'share', percent: 25 } })).to.deep.equal([375, 250]);
    expect(at({ length: { by: 'share', percent: 25 }, offset: 40 })).to.deep.equal([415, 250]);
    expect(at({ length: { by: 'share', percent: 25 }, offset: -900 })).to.deep.equal([0, 250]);
    expect(at({ length: { by: 'share', percent: 25 }, offset: 900 })).to.deep.equal([750, 250]);
  });

  it('keeps what items keep outside of them, before and after', () => {
    const wide = { ...solid(50), before: 30, after: 12 };
    const { items } = layEdge({ ...shape, spacing: 0 }, [solid(100), wide, solid(40)], screen);
    expect(items.map(({ x }) => x)).to.deep.equal([10, 140, 202]);
  });

  it('lies upright on a left side', () => {
    const { rect, items } = layEdge({ ...shape, side: 'left' }, [solid(100), spring(), solid(50)], screen);
    expect(rect).to.deep.equal({ x: 0, y: 0, width: 40, height: 600 });
    expect(items.at(-1)).to.deep.equal({ x: 0, y: 540, width: 40, height: 50 });
  });

  it('draws items closer when they do not fit, and says how much is missing', () => {
    const { items, missing } = layEdge({ ...shape, spacing: 0 }, [solid(900), spring(), solid(260)], screen);
    expect(missing).to.equal(180);
    expect(items.map(({ width }) => Math.round(width))).to.deep.equal([760, 0, 220]);
  });

  it('stays inside its frame and fills it exactly by springs, whatever the sizes', () => {
    const flowing = fc.oneof(
      fc.integer({ min: 0, max: 400 }).map(solid),
      fc.integer({ min: 0, max: 200 }).map(gap),
      fc.double({ min: 0.1, max: 20, noNaN: true }).map(spring),
    );
    const edge = fc.record({
      side: fc.constantFrom(...sides),
      thickness: fc.integer({ min: 16, max: 240 }),
      length: fc.constantFrom<EdgeLength>(
        { by: 'side' },
        { by: 'items' },
        { by: 'fixed', px: 420 },
        { by: 'share', percent: 40 },
      ),
      align: fc.constantFrom('start' as const, 'centre' as const, 'end' as const),
      offset: fc.integer({ min: -3000, max: 3000 }),
      margin: fc.integer({ min: 0, max: 200 }),
      padding: fc.integer({ min: 0, max: 200 }),
      spacing: fc.integer({ min: 0, max: 100 }),
      keepsWindowsOff: fc.boolean(),
    });
    const frame = fc.record({
      x: fc.integer({ min: 0, max: 300 }),
      y: fc.integer({ min: 0, max: 300 }),
      width: fc.integer({ min: 1, max: 4000 }),
      height: fc.integer({ min: 1, max: 3000 }),
    });
    fc.assert(
      fc.property(edge, fc.array(flowing, { maxLength: 20 }), frame, (shape, items, within) => {
        const laid = layEdge(shape, items, within);
        expect(isInside(laid.rect, within), 'edge inside').to.equal(true);
        for (const rect of laid.items) expect(isInside(rect, laid.rect, 1e-4), 'item inside').to.equal(true);
        const last = laid.items.at(-1);
        if (!items.some(({ weight }) => weight !== null) || !last || laid.missing > 0) return;
        const isUpright = shape.side === 'left' || shape.side === 'right';
        const padding = Math.min(shape.padding, (isUpright ? laid.rect.height : laid.rect.width) / 2);
        const end = isUpright
          ? laid.rect.y + laid.rect.height - last.y - last.height
          : laid.rect.x + laid.rect.width - last.x - last.width;
        expect(end).to.be.closeTo(padding, 1e-4);
      }),
    );
  });

  it('leaves a free area beyond its strip, or all of it when windows may go under', () => {
    expect(freeAfter({ ...shape, margin: 8 }, screen)).to.deep.equal({
      x: 0,
      y: 48,
      width: 1000,
      height: 552,
    });
    expect(freeAfter({ ...shape, keepsWindowsOff: false }, screen)).to.deep.equal(screen);
  });
});
