import { expect } from 'chai';
import fc from 'fast-check';
import { arbitraryMoment, bareDesk } from '../../../tests/support/desks.ts';
import type { Change, Rotation } from '../../backdrop/schema.ts';
import { createMotif } from '../../desk/defaults.ts';
import { isSunUp } from '../../sources/sun/sun.ts';
import { wallClock } from '../../sources/time/time.ts';
import { changesBetween, entryOf, rotationAt, slotAt } from './rotation.ts';

const { place } = bareDesk();
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
/** The nights at Marrow Point on which the clocks are set: forward on 29 March, back on 25 October. */
const SPRING = Date.UTC(2026, 2, 29);
const AUTUMN = Date.UTC(2026, 9, 25);

const times = (...list: string[]): Change => ({ by: 'times', times: list });
const wallTimes = (moments: number[]) =>
  moments.map((moment) => {
    const { hour, minute } = wallClock(moment, place.zone);
    return `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;
  });

/** Minutes of a day in which the sun comes up or goes down, each looked at. */
function crossingsOn(day: number, there: typeof place): { at: number; isUp: boolean }[] {
  const found: { at: number; isUp: boolean }[] = [];
  let before = isSunUp(day, there);
  for (let at = day + MINUTE; at < day + DAY; at += MINUTE) {
    const isUp = isSunUp(at, there);
    if (isUp !== before) found.push({ at, isUp });
    before = isUp;
  }
  return found;
}

const arbitraryChange: fc.Arbitrary<Change> = fc.oneof(
  fc.integer({ min: 5, max: 4000 }).map((minutes): Change => ({ by: 'every', minutes })),
  fc.constantFrom<Change>({ by: 'every', minutes: 1440 }, { by: 'every', minutes: 2880 }, { by: 'sun' }),
  fc
    .array(
      fc
        .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
        .map(([h, m]) => `${String(h).padStart(2, '0')}:${String(m).padStart(2, '0')}`),
      { minLength: 1, maxLength: 6 },
    )
    .map((list): Change => ({ by: 'times', times: list })),
);

describe('when a rotation changes', () => {
  it('is at the set times of the wall clock, whatever the sun or the season', () => {
    const change = times('06:30', '12:00', '21:15');
    for (const day of [Date.UTC(2026, 0, 12), Date.UTC(2026, 6, 12)]) {
      const found = changesBetween(change, day + 12 * HOUR, day + 12 * HOUR + DAY, place);
      expect(wallTimes(found)).to.have.members(['06:30', '12:00', '21:15']);
    }
  });

  it('goes by the wall clock over the nights on which the clocks are set', () => {
    // In spring half past one does not exist: it has come as soon as the clock is set, from one to two.
    expect(
      wallTimes(changesBetween(times('00:30', '01:30', '04:00'), SPRING, SPRING + 12 * HOUR, place)),
    ).to.deep.equal(['00:30', '02:00', '04:00']);
    // In autumn it exists twice and counts once.
    const autumn = changesBetween(times('00:30', '01:30', '04:00'), AUTUMN - HOUR, AUTUMN + 12 * HOUR, place);
    expect(wallTimes(autumn)).to.deep.equal(['00:30', '01:30', '04:00']);
  });

  it('keeps to midnight when it changes by days, through both of those nights', () => {
    for (const night of [SPRING, AUTUMN]) {
      const found = changesBetween(
        { by: 'every', minutes: 1440 },
        night - 1.5 * DAY,
        night + 3.5 * DAY,
        place,
      );
      expect(found).to.have.length(5);
      expect(new Set(wallTimes(found))).to.deep.equal(new Set(['00:00']));
    }
  });

  it('is at sunrise and sunset, and still twice a day where the sun does not set', () => {
    const [rise, set] = changesBetween({ by: 'sun' }, Date.UTC(2026, 10, 24), Date.UTC(2026, 10, 25), place);
    expect(wallTimes([rise ?? 0, set ?? 0])).to.deep.equal(['07:51', '15:50']);
    const north = { ...place, latitude: 78, longitude: 15, zone: 'Europe/Oslo' };
    expect(changesBetween({ by: 'sun' }, Date.UTC(2026, 5, 20), Date.UTC(2026, 5, 22), north)).to.have.length(
      4,
    );
  });

  it('numbers its slots without a gap or a step back, and each begins where the last one ends', () => {
    fc.assert(
      fc.property(arbitraryChange, arbitraryMoment, (change, moment) => {
        let slot = slotAt(change, moment, place);
        expect(slot.since).to.be.at.most(moment);
        expect(slot.until).to.be.above(moment);
        for (let step = 0; step < 12; step++) {
          const next = slotAt(change, slot.until, place);
          expect(next.number - slot.number).to.be.at.least(1);
          expect(next.since).to.equal(slot.until);
          expect(slotAt(change, next.since - 1, place).number).to.equal(slot.number);
          slot = next;
        }
      }),
      { numRuns: 60 },
    );
  });

  it('changes at no moment that nobody named, where times fall together', () => {
    // At Marrow Point 01:00 to 02:00 is left out on 29 March.
    const change = times('01:15', '01:45', '02:15', '04:00');
    const found = changesBetween(change, SPRING, SPRING + 6 * HOUR, place);
    expect(wallTimes(found)).to.deep.equal(['02:00', '02:15', '04:00']);
    // What is shown is what belongs to the hour: the entry of 01:45, then that of 02:15.
    const [early, late] = found.map((at) => slotAt(change, at, place).number);
    expect((late ?? 0) - (early ?? 0)).to.equal(1);
    // At this island 02:00 to 02:30 is left out on 4 October.
    const island = { ...place, zone: 'Australia/Lord_Howe' };
    const day = Date.UTC(2026, 9, 3, 13, 30);
    const there = changesBetween(times('02:00', '02:30', '12:15'), day, day + DAY - HOUR, island);
    expect(
      there.map((at) => wallClock(at, island.zone)).map(({ hour, minute }) => [hour, minute]),
    ).to.deep.equal([
      [2, 30],
      [12, 15],
    ]);
  });

  it('by the hour has no turn of half an hour in spring', () => {
    for (const [zone, night] of [
      ['Europe/London', SPRING],
      ['Australia/Lord_Howe', Date.UTC(2026, 9, 3, 13, 30)],
      ['America/St_Johns', Date.UTC(2026, 2, 8, 3, 30)],
    ] as const) {
      const found = changesBetween({ by: 'every', minutes: 60 }, night, night + 8 * HOUR, { ...place, zone });
      for (const at of found) expect(wallClock(at, zone).minute, zone).to.equal(0);
      found.slice(1).forEach((at, index) => expect(at - found[index]!, zone).to.be.at.least(HOUR));
    }
  });

  it('by the sun changes at each sunrise and each sunset, also at two sunsets of one day', () => {
    // Where the night is short and late: the sun sets soon after midnight and, that very evening, soon before it.
    let twice = 0;
    for (let latitude = 64.6; latitude < 66; latitude += 0.2) {
      const there = { ...place, latitude, longitude: -20, zone: 'Atlantic/Reykjavik' };
      for (let day = Date.UTC(2026, 4, 25); day < Date.UTC(2026, 6, 25); day += 2 * DAY) {
        const crossings = crossingsOn(day, there);
        if (crossings.filter(({ isUp }) => !isUp).length > 1) twice++;
        const found = changesBetween({ by: 'sun' }, day, day + DAY, there);
        for (const { at, isUp } of crossings) {
          const near = found.find((one) => Math.abs(one - at) <= MINUTE);
          expect(near, `${latitude.toFixed(1)}° ${new Date(at).toISOString()}`).to.be.a('number');
          expect(Math.abs(slotAt({ by: 'sun' }, near!, there).number % 2)).to.equal(isUp ? 0 : 1);
        }
      }
    }
    expect(twice).to.be.above(0);
  });

  it('goes on at full hours of the wall clock, in zones that stand at a quarter or a half too', () => {
    for (const zone of ['Asia/Kathmandu', 'Australia/Lord_Howe', 'America/St_Johns', 'Europe/London']) {
      const there = { ...place, zone };
      for (const minutes of [60, 120, 30, 15]) {
        for (const day of [Date.UTC(2026, 0, 12), Date.UTC(2026, 6, 12)]) {
          const found = changesBetween({ by: 'every', minutes }, day, day + 12 * HOUR, there);
          expect(found).to.have.length(720 / minutes);
          for (const at of found) {
            const wall = wallClock(at, zone);
            expect((wall.hour * 60 + wall.minute) % minutes, zone).to.equal(0);
          }
        }
      }
    }
  });

  it('goes on by the sun near the poles and where zone and longitude disagree: every slot has a beginning and an end', () => {
    const anywhere = fc.record({
      latitude: fc.oneof(
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: 65, max: 69, noNaN: true }),
        fc.double({ min: -69, max: -65, noNaN: true }),
      ),
      longitude: fc.double({ min: -180, max: 180, noNaN: true }),
      zone: fc.constantFrom(
        'UTC',
        'Asia/Kathmandu',
        'Pacific/Kiritimati',
        'Pacific/Pago_Pago',
        'Europe/Oslo',
      ),
    });
    fc.assert(
      fc.property(arbitraryMoment, anywhere, (moment, where) => {
        const there = { ...place, ...where };
        let slot = slotAt({ by: 'sun' }, moment, there);
        for (let step = 0; step < 8; step++) {
          expect(slot.until).to.be.above(slot.since);
          const next = slotAt({ by: 'sun' }, slot.until, there);
          expect(next.since).to.equal(slot.until);
          expect(next.number).to.equal(slot.number + 1);
          slot = next;
        }
      }),
      { numRuns: 200 },
    );
  });

  it('never goes back or stands still over a night on which the clocks are set', () => {
    for (const night of [SPRING, AUTUMN]) {
      for (const change of [times('01:15', '01:45', '02:15'), { by: 'every', minutes: 30 } as Change]) {
        let before = -Infinity;
        for (let at = night - 3 * HOUR; at < night + 6 * HOUR; at += 60_000) {
          const { number } = slotAt(change, at, place);
          expect(number).to.be.at.least(before);
          before = number;
        }
      }
    }
  });
});

describe('what a rotation shows', () => {
  it('goes through its entries in order, round and round', () => {
    const shown = Array.from({ length: 7 }, (_, slot) => entryOf(slot - 2, 3, false, 1));
    expect(shown).to.deep.equal([1, 2, 0, 1, 2, 0, 1]);
  });

  it('shuffled, shows each entry once in a round and none twice running', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 12 }),
        fc.integer(),
        fc.integer({ min: -50, max: 50 }),
        (count, seed, round) => {
          const slots = Array.from({ length: 3 * count }, (_, index) => (round + 1) * count + index);
          const shown = slots.map((slot) => entryOf(slot, count, true, seed));
          for (let start = 0; start < shown.length; start += count)
            expect(new Set(shown.slice(start, start + count)).size).to.equal(count);
          shown.slice(1).forEach((entry, index) => expect(entry).not.to.equal(shown[index]));
        },
      ),
    );
  });

  it('passes from one entry into the next in as many seconds as it is given', () => {
    const rotation: Rotation = {
      kind: 'rotation',
      entries: [1, 2].map((seed) => ({ id: `e${seed}`, source: createMotif('tide', seed) })),
      change: times('06:00', '18:00'),
      shuffled: false,
      fade: 60,
    };
    const at = Date.UTC(2026, 10, 24, 18, 0, 0);
    const before = rotationAt(rotation, at - 1, place, 1);
    const half = rotationAt(rotation, at + 30_000, place, 1);
    expect(before.from).to.equal(null);
    expect(half.from).to.deep.equal({ entry: before.entry, share: 0.5 });
    expect(half.entry).not.to.equal(before.entry);
    expect(rotationAt(rotation, at + 60_000, place, 1).from).to.equal(null);
    expect(rotationAt({ ...rotation, fade: 0 }, at, place, 1).from).to.equal(null);
  });
});
