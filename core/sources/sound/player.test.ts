import { expect } from 'chai';
import fc from 'fast-check';
import { trackAt } from './playing.ts';
import { afterEnd, inPiece, readingOf, stepFor, type PlayerNow } from './player.ts';
import { emptyDesk } from '../../../tests/support/desks.ts';

const { sound } = emptyDesk().sources;
const now: PlayerNow = {
  isOn: true,
  isPaused: false,
  n: 7,
  position: 1,
  seconds: 100,
  volume: 60,
  loudBefore: 80,
};
const off: PlayerNow = { ...now, isOn: false };
const step = (does: 'turn' | 'stop' | 'hush' | 'mute' | 'next' | 'before', how: PlayerNow) =>
  stepFor({ does }, how, null);

describe('what a player does next', () => {
  it('begins where nothing is on, and goes on from there', () => {
    expect(step('turn', off)).to.deep.equal({ by: 'begin' });
    expect(step('before', off)).to.deep.equal({ by: 'begin' });
    expect(step('next', off)).to.deep.equal({ by: 'begin', then: { by: 'on', add: 1 } });
    expect(stepFor({ does: 'seek', to: 30 }, off, null)).to.deep.equal({
      by: 'begin',
      then: { by: 'seek', to: 30 },
    });
  });

  it('turns between playing and pausing, and goes on and back in the list', () => {
    expect(step('turn', now)).to.deep.equal({ by: 'pause' });
    expect(step('turn', { ...now, isPaused: true })).to.deep.equal({ by: 'play' });
    expect(step('next', now)).to.deep.equal({ by: 'go', n: 8 });
    expect(step('before', now)).to.deep.equal({ by: 'go', n: 6 });
    // Well into a piece, its own start comes first.
    expect(step('before', { ...now, position: 12 })).to.deep.equal({ by: 'seek', to: 0 });
  });

  it('never leaves a piece by seeking, whatever is asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ noNaN: true }),
        fc.double({ min: 0, max: 9000, noNaN: true }),
        (to, seconds) => {
          expect(inPiece(to, seconds)).to.be.within(0, seconds);
        },
      ),
    );
    expect(stepFor({ does: 'seek', to: 1e9 }, now, null)).to.deep.equal({ by: 'seek', to: 99.95 });
  });

  it('mutes, and is as loud as before afterwards', () => {
    const muted = step('mute', now);
    expect(muted).to.deep.equal({ by: 'volume', to: 0, loudBefore: 60 });
    expect(step('mute', { ...now, volume: 0, loudBefore: 60 })).to.deep.include({ to: 60 });
    expect(stepFor({ does: 'volume', to: 140 }, now, null)).to.deep.include({ to: 100 });
    expect(stepFor({ does: 'volume', to: -3 }, now, null)).to.deep.include({ to: 0 });
  });

  it('finds a piece that is named wherever it stands in the order, also a mixed one', () => {
    for (const order of ['list', 'shuffle'] as const) {
      const list = { sound: { ...sound, order }, seed: 5 };
      for (const { id } of sound.tracks) {
        const found = stepFor({ does: 'play', track: id }, off, list);
        expect(found?.by).to.equal('go');
        if (found?.by === 'go') expect(trackAt(list.sound, list.seed, found.n)?.id).to.equal(id);
      }
      expect(stepFor({ does: 'play', track: 'gone' }, off, list)).to.equal(null);
    }
  });

  it('repeats as the desk says once a piece has come to its end', () => {
    const last = sound.tracks.length - 1;
    expect(afterEnd({ ...sound, repeat: 'one' }, 4)).to.equal(4);
    expect(afterEnd({ ...sound, repeat: 'all' }, last)).to.equal(last + 1);
    expect(afterEnd({ ...sound, repeat: 'off' }, last)).to.equal(null);
    expect(afterEnd({ ...sound, repeat: 'off' }, last - 1)).to.equal(last);
    // The list was emptied meanwhile: there is nothing that would go on.
    expect(afterEnd({ repeat: 'off', tracks: [] }, 3)).to.equal(null);
  });

  it('is read as what is on now, and as nothing while another moment is looked at', () => {
    const [track = null] = sound.tracks;
    const player = { track, n: 2, position: 12.5, isPlaying: true, volume: 40 };
    expect(readingOf(player, { isNow: true, now: 100_000 })).to.deep.equal({
      track,
      n: 2,
      began: 87_500,
      paused: null,
      isHeard: true,
      volume: 40,
    });
    expect(readingOf(player, { isNow: false, now: 100_000 }).track).to.equal(null);
    expect(readingOf({ ...player, isPlaying: false }, { isNow: true, now: 0 })).to.include({
      paused: 12.5,
      isHeard: false,
    });
  });
});
