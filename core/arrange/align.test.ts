import { expect } from 'chai';
import { alignRects, distributeRects } from './align.ts';

const rects = [
  { x: 10, y: 0, width: 100, height: 20 },
  { x: 300, y: 50, width: 50, height: 40 },
  { x: 150, y: 200, width: 30, height: 30 },
];

describe('aligning', () => {
  it('brings starts, centres and ends together at the outermost', () => {
    expect(alignRects(rects, 'x', 'start').map(({ x }) => x)).to.deep.equal([10, 10, 10]);
    expect(alignRects(rects, 'x', 'end').map(({ x, width }) => x + width)).to.deep.equal([350, 350, 350]);
    expect(alignRects(rects, 'x', 'centre').map(({ x, width }) => x + width / 2)).to.deep.equal([
      180, 180, 180,
    ]);
    expect(alignRects(rects, 'y', 'end').map(({ y, height }) => y + height)).to.deep.equal([230, 230, 230]);
  });

  it('leaves the other axis alone', () => {
    expect(alignRects(rects, 'x', 'end').map(({ y }) => y)).to.deep.equal([0, 50, 200]);
  });
});

describe('distributing', () => {
  it('makes the gaps equal, keeps the outer two and the order of the list', () => {
    const moved = distributeRects(rects, 'x');
    expect(moved.map(({ x }) => x)).to.deep.equal([10, 300, 190]);
    // 110 to 190 and 220 to 300.
    expect(190 - 110).to.equal(300 - 220);
  });

  it('changes nothing with two', () => {
    expect(distributeRects(rects.slice(0, 2), 'x')).to.deep.equal(rects.slice(0, 2));
  });
});
