import { expect } from 'chai';
import fc from 'fast-check';
import { asked, away, changesAt, presenceAt, turned, type Presence } from './presence.ts';

const delays = { in: 200, out: 600 };

/** Plays events and gives when it came and went, asking every millisecond: a second way to the same answer. */
function playSlowly(events: readonly { at: number; isAsked: boolean }[], until: number): string[] {
  let isThere = false;
  let isAsked = false;
  let since = -Infinity;
  const found: string[] = [];
  for (let now = 0; now <= until; now++) {
    for (const event of events.filter(({ at }) => at === now)) {
      if (event.isAsked !== isAsked) {
        isAsked = event.isAsked;
        since = now;
      }
    }
    if (isAsked !== isThere && now - since >= (isAsked ? delays.in : delays.out)) {
      isThere = isAsked;
      found.push(`${isThere ? 'came' : 'went'} at ${now}`);
    }
  }
  return found;
}

function play(events: readonly { at: number; isAsked: boolean }[], until: number): string[] {
  let presence: Presence = away;
  const found: string[] = [];
  const passTo = (moment: number) => {
    const at = changesAt(presence, delays);
    if (at === null || at > moment) return;
    presence = presenceAt(presence, at, delays);
    found.push(`${presence.isThere ? 'came' : 'went'} at ${at}`);
  };
  for (const { at, isAsked } of events) {
    // What would change at this very moment is undone by who comes or goes just then.
    const due = changesAt(presence, delays);
    if (due !== null && due < at) passTo(at);
    else if (due === at && presence.isAsked === isAsked) passTo(at);
    presence =
      due === at && presence.isAsked !== isAsked
        ? { ...presence, isAsked, since: at }
        : asked(presence, isAsked, at, delays);
  }
  passTo(until);
  return found;
}

describe('an edge that slips away', () => {
  it('comes after its delay, stays while it is asked for, and goes after the other delay', () => {
    const events = [
      { at: 100, isAsked: true },
      { at: 2000, isAsked: false },
    ];
    expect(play(events, 5000)).to.deep.equal(['came at 300', 'went at 2600']);
  });

  it('does not come for a pointer that only passes, nor go for one that is back at once', () => {
    expect(
      play(
        [
          { at: 100, isAsked: true },
          { at: 250, isAsked: false },
        ],
        5000,
      ),
    ).to.deep.equal([]);
    expect(
      play(
        [
          { at: 0, isAsked: true },
          { at: 500, isAsked: false },
          { at: 900, isAsked: true },
          { at: 3000, isAsked: false },
        ],
        9000,
      ),
    ).to.deep.equal(['came at 200', 'went at 3600']);
  });

  it('does not flicker at the border: a pointer that trembles there changes nothing', () => {
    let presence = presenceAt(asked(away, true, 0, delays), 300, delays);
    expect(presence.isThere).to.equal(true);
    for (let at = 400; at < 8000; at += 17) presence = asked(presence, (at - 400) % 34 === 0, at, delays);
    expect(presence.isThere).to.equal(true);
  });

  it('is called and sent away at once by a key', () => {
    const called = turned(away, 1000);
    expect(called.isThere).to.equal(true);
    expect(changesAt(called, delays)).to.equal(null);
    expect(turned(called, 1100).isThere).to.equal(false);
  });

  it('comes and goes as one that is asked every millisecond would, whatever happens', () => {
    const steps = fc.array(fc.record({ after: fc.integer({ min: 1, max: 1200 }), isAsked: fc.boolean() }), {
      maxLength: 24,
    });
    fc.assert(
      fc.property(steps, (list) => {
        let at = 0;
        const events = list.map(({ after, isAsked }) => ({ at: (at += after), isAsked }));
        expect(play(events, at + 2000)).to.deep.equal(playSlowly(events, at + 2000));
      }),
      { seed: 5, numRuns: 60 },
    );
  });

  it('never changes sooner after a change of mind than its delay', () => {
    const steps = fc.array(fc.record({ after: fc.integer({ min: 1, max: 900 }), isAsked: fc.boolean() }));
    fc.assert(
      fc.property(steps, (list) => {
        let presence: Presence = away;
        let at = 0;
        for (const { after, isAsked } of list) {
          at += after;
          const before = presence;
          presence = asked(presence, isAsked, at, delays);
          if (presence.isThere !== before.isThere) {
            const waited = at - before.since;
            expect(waited).to.be.at.least(presence.isThere ? delays.in : delays.out);
          }
        }
      }),
      { seed: 6 },
    );
  });
});
