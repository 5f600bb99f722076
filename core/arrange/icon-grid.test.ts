import { expect } from 'chai';
import fc from 'fast-check';
import { isInside, overlaps, type Rect } from '../values/geometry.ts';
import { iconCells, type IconGrid } from './icon-grid.ts';

const area: Rect = { x: 0, y: 40, width: 1000, height: 560 };
const grid = (change: Partial<IconGrid> = {}): IconGrid => ({
  cell: { width: 90, height: 80 },
  spacing: 10,
  margin: 20,
  from: 'top-left',
  flow: 'columns',
  ...change,
});
const rects = fc.record({
  x: fc.integer({ min: -100, max: 1000 }),
  y: fc.integer({ min: -100, max: 600 }),
  width: fc.integer({ min: 1, max: 500 }),
  height: fc.integer({ min: 1, max: 300 }),
});

describe('icons on the desk', () => {
  it('stand in columns or rows from any corner, worked by hand', () => {
    expect(iconCells(7, area, grid(), []).map(({ x, y }) => [x, y])).to.deep.equal([
      [20, 60],
      [20, 150],
      [20, 240],
      [20, 330],
      [20, 420],
      // (560 − 40 + 10) / 90 is five to a column.
      [120, 60],
      [120, 150],
    ]);
    expect(iconCells(2, area, grid({ from: 'bottom-right', flow: 'rows' }), [])).to.deep.equal([
      { x: 890, y: 500, width: 90, height: 80 },
      { x: 790, y: 500, width: 90, height: 80 },
    ]);
  });

  it('never stand on one another or on what is there, nor out of the area; as many as have room', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 80 }),
        fc.array(rects, { maxLength: 8 }),
        fc.constantFrom<IconGrid['from']>('top-left', 'top-right', 'bottom-left', 'bottom-right'),
        fc.constantFrom<IconGrid['flow']>('columns', 'rows'),
        (count, standing, from, flow) => {
          const cells = iconCells(count, area, grid({ from, flow }), standing);
          cells.forEach((cell, index) => {
            expect(isInside(cell, area)).to.equal(true);
            for (const other of [...standing, ...cells.slice(index + 1)])
              expect(overlaps(cell, other)).to.equal(false);
          });
          // Every cell of the grid that is free is taken before one is left out.
          const free = iconCells(1000, area, grid({ from, flow }), standing).length;
          expect(cells).to.have.length(Math.min(count, free));
        },
      ),
    );
  });

  it('come back to their cells once what stood there is gone', () => {
    const widget = { x: 0, y: 0, width: 200, height: 200 };
    const before = iconCells(4, area, grid(), []);
    const given = iconCells(4, area, grid(), [widget]);
    expect(given[0]).to.deep.equal(before[2]);
    expect(iconCells(4, area, grid(), [])).to.deep.equal(before);
  });
});
