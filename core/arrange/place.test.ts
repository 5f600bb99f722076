import { expect } from 'chai';
import fc from 'fast-check';
import { alignments, points } from '../values/place.ts';
import { sides } from '../values/geometry.ts';
import {
  hangFromNeighbour,
  hangFromPoint,
  nearestPoint,
  offsetFromNeighbour,
  offsetFromPoint,
} from './place.ts';

const frame = { x: 0, y: 40, width: 1000, height: 500 };
const size = { width: 200, height: 100 };

describe('hanging from a point', () => {
  it('measures offsets inward from a corner', () => {
    expect(hangFromPoint('top-left', frame, size, { x: 10, y: 20 })).to.include({ x: 10, y: 60 });
    expect(hangFromPoint('bottom-right', frame, size, { x: 10, y: 20 })).to.include({ x: 790, y: 420 });
  });

  it('measures from the middle rightward and downward', () => {
    expect(hangFromPoint('centre', frame, size, { x: 0, y: 0 })).to.include({ x: 400, y: 240 });
    expect(hangFromPoint('top', frame, size, { x: 30, y: 5 })).to.include({ x: 430, y: 45 });
  });

  it('gives the offsets back from where a part stands, for every point', () => {
    const number = fc.integer({ min: -2000, max: 2000 });
    fc.assert(
      fc.property(fc.constantFrom(...points), number, number, (point, x, y) => {
        const offset = offsetFromPoint(point, frame, hangFromPoint(point, frame, size, { x, y }));
        expect(offset.x).to.be.closeTo(x, 1e-9);
        expect(offset.y).to.be.closeTo(y, 1e-9);
      }),
    );
  });

  it('finds the nearest point by thirds', () => {
    expect(nearestPoint({ x: 780, y: 60, ...size }, frame)).to.equal('top-right');
    expect(nearestPoint({ x: 400, y: 240, ...size }, frame)).to.equal('centre');
  });
});

describe('hanging from a neighbour', () => {
  const neighbour = { x: 300, y: 200, width: 100, height: 60 };

  it('stands away from a side, level with it', () => {
    expect(hangFromNeighbour('right', 'start', neighbour, size, { x: 16, y: 4 })).to.include({
      x: 416,
      y: 204,
    });
    expect(hangFromNeighbour('top', 'end', neighbour, size, { x: 0, y: 12 })).to.include({ x: 200, y: 88 });
    expect(hangFromNeighbour('left', 'centre', neighbour, size, { x: 10, y: 0 })).to.include({
      x: 90,
      y: 180,
    });
    expect(hangFromNeighbour('bottom', 'centre', neighbour, size, { x: 0, y: 10 })).to.include({
      x: 250,
      y: 270,
    });
  });

  it('gives the offsets back, for every side and level', () => {
    const number = fc.integer({ min: -2000, max: 2000 });
    fc.assert(
      fc.property(
        fc.constantFrom(...sides),
        fc.constantFrom(...alignments),
        number,
        number,
        (side, align, x, y) => {
          const rect = hangFromNeighbour(side, align, neighbour, size, { x, y });
          const offset = offsetFromNeighbour(side, align, neighbour, rect);
          expect(offset.x).to.be.closeTo(x, 1e-9);
          expect(offset.y).to.be.closeTo(y, 1e-9);
        },
      ),
    );
  });
});
