import { expect } from 'chai';
import fc from 'fast-check';
import { MOST_REVISIONS, revisionsToForget } from './thin.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const now = Date.UTC(2026, 10, 25, 12);

function kept(ages: number[]): number[] {
  const revisions = ages.map((age, index) => ({ number: index + 1, savedAt: now - age }));
  const gone = new Set(revisionsToForget(revisions, now));
  return revisions.filter(({ number }) => !gone.has(number)).map(({ number }) => number);
}

describe('thinning revisions', () => {
  it('keeps all of the last ten minutes', () => {
    expect(kept([9 * MINUTE, 6 * MINUTE, 5 * MINUTE, 1000, 500])).to.deep.equal([1, 2, 3, 4, 5]);
  });

  it('keeps the newest of each older slot', () => {
    // Three saves within one minute, half an hour ago, and one now.
    expect(kept([30 * MINUTE, 30 * MINUTE - 10_000, 30 * MINUTE - 20_000, 0])).to.deep.equal([3, 4]);
  });

  it('keeps the newest, however old, and never more than a hundred', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(90 * 24 * HOUR), { minLength: 1, maxLength: 400 }), (ages) => {
        const sorted = ages.toSorted((a, b) => b - a);
        const left = kept(sorted);
        expect(left.at(-1)).to.equal(sorted.length);
        expect(left.length).to.be.at.most(MOST_REVISIONS);
      }),
    );
    expect(kept(Array.from({ length: 300 }, (_, index) => 300 - index))).to.have.length(MOST_REVISIONS);
  });
});
