import { expect } from 'chai';
import { hash } from '../sources/noise.ts';
import { overlaps, type Rect } from '../values/geometry.ts';
import { isInTheWay, type Standing } from './in-the-way.ts';
import { asked, changesAt, presenceAt, type Delays, type Presence } from './presence.ts';

const dock: Rect = { x: 400, y: 960, width: 800, height: 100 };
const at = (x: number, y: number, change: Partial<Standing> = {}): Standing => ({
  rect: { x, y, width: 600, height: 400 },
  isFront: true,
  ...change,
});
const delays: Delays = { in: 150, out: 250 };
const there: Presence = { isThere: true, isAsked: true, since: -Infinity };

describe('an edge that steps aside', () => {
  it('goes for the front window only, or for any', () => {
    const behind = at(500, 800, { isFront: false });
    expect(isInTheWay(dock, [behind], 'any', true)).to.equal(true);
    expect(isInTheWay(dock, [behind], 'front', true)).to.equal(false);
    expect(isInTheWay(dock, [at(500, 800)], 'front', true)).to.equal(true);
    expect(isInTheWay(dock, [], 'any', false)).to.equal(false);
    expect(isInTheWay(dock, [at(500, 100)], 'any', true)).to.equal(false);
  });

  it('comes back only once the window is well off its place', () => {
    // The window ends at 955: five px above the dock.
    expect(isInTheWay(dock, [at(500, 555)], 'any', true)).to.equal(false);
    expect(isInTheWay(dock, [at(500, 555)], 'any', false)).to.equal(true);
    expect(isInTheWay(dock, [at(500, 540)], 'any', false)).to.equal(false);
  });

  /** What the page does with a window that moves, or with nothing but time. */
  function run(moments: readonly { moment: number; windows: readonly Standing[] }[]) {
    let state = there;
    const changes: number[] = [];
    const states: boolean[] = [];
    for (const { moment, windows } of moments) {
      const before = presenceAt(state, moment, delays);
      state = asked(before, !isInTheWay(dock, windows, 'any', before.isThere), moment, delays);
      const now = presenceAt(state, moment, delays);
      if (states.length > 0 && now.isThere !== states.at(-1)) changes.push(moment);
      states.push(now.isThere);
      state = now;
    }
    return { changes, states, state };
  }

  it('does not flicker while a window is dragged along its border', () => {
    // Ten seconds at sixty frames each, trembling two px over and off the border.
    const moments = Array.from({ length: 600 }, (_, frame) => ({
      moment: frame * 16.7,
      windows: [at(300 + frame, 560 + (frame % 2 === 0 ? 2 : -2))],
    }));
    const { changes } = run(moments);
    expect(changes.length).to.be.at.most(1);
  });

  it('follows hours of windows that open, move and close: never away for long without one, never there under one', () => {
    const events: { moment: number; windows: readonly Standing[] }[] = [];
    let moment = 0;
    for (let index = 0; index < 5000; index++) {
      moment += 40 + hash(11, index) * 4000;
      const count = Math.floor(hash(12, index) * 4);
      events.push({
        moment,
        windows: Array.from({ length: count }, (_, one) =>
          at(hash(13 + one, index) * 1400, hash(17 + one, index) * 900, { isFront: one === count - 1 }),
        ),
      });
    }
    let state = there;
    let shown: readonly Standing[] = [];
    for (const { moment: now, windows } of events) {
      // What holds until just before the next event: long enough, it agrees with what stands there.
      const before = presenceAt(state, now, delays);
      const settled = changesAt(before, delays) === null;
      if (settled && !before.isThere)
        expect(isInTheWay(dock, shown, 'any', false), `away at ${now}`).to.equal(true);
      if (settled && before.isThere)
        expect(
          shown.some(({ rect }) => overlaps(rect, dock)),
          `there at ${now}`,
        ).to.equal(false);
      state = asked(before, !isInTheWay(dock, windows, 'any', before.isThere), now, delays);
      shown = windows;
    }
  });
});
