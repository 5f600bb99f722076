import { expect } from 'chai';
import fc from 'fast-check';
import { DAWN } from '../../../tests/support/desks.ts';
import { isThereInRehearsal, visitsAround } from './visits.ts';

const HOUR = 3_600_000;
const delays = { in: 150, out: 500 };

/** Every visit of an hour, from the slots that it touches. */
function visitsOf(seed: number, edge: string, from: number) {
  const found = new Map<number, { from: number; to: number }>();
  for (let moment = from; moment <= from + HOUR; moment += 60_000)
    for (const visit of visitsAround(seed, edge, moment)) found.set(visit.from, visit);
  return [...found.values()].sort((a, b) => a.from - b.from);
}

describe('an edge that slips away, on a rehearsed day', () => {
  it('is there from its delay after a visit begins until the other after it ends, and at no other time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.string({ minLength: 1, maxLength: 12 }),
        (seed, edge) => {
          const visits = visitsOf(seed, edge, DAWN);
          for (let moment = DAWN; moment < DAWN + HOUR; moment += 1777) {
            const wanted = visits.some(
              ({ from, to }) => moment >= from + delays.in && moment < to + delays.out,
            );
            expect(isThereInRehearsal(seed, edge, moment, delays), String(moment - DAWN)).to.equal(wanted);
          }
        },
      ),
      { numRuns: 20 },
    );
  });

  it('goes by the seed and the edge: the same twice, another for another', () => {
    const visits = visitsOf(7, 'rail', DAWN);
    expect(visitsOf(7, 'rail', DAWN)).to.deep.equal(visits);
    expect(visitsOf(8, 'rail', DAWN)).not.to.deep.equal(visits);
    expect(visitsOf(7, 'dock', DAWN)).not.to.deep.equal(visits);
    // Some times an hour, and never two at once.
    expect(visits.length).to.be.within(4, 13);
    visits.forEach(({ to }, index) => expect(to).to.be.below(visits[index + 1]?.from ?? Infinity));
  });
});
