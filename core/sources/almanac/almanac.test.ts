import { getMoonPosition, getPosition } from 'suncalc';
import { expect } from 'chai';
import fc from 'fast-check';
import { DAWN, arbitraryMoment } from '../../../tests/support/desks.ts';
import { marrowTide, speeds, tideHeight, tideTurns, type Tide } from '../tide/tide.ts';
import { wallClock } from '../time/time.ts';
import { read } from './reckon.ts';

const HOUR = 3_600_000;
const MINUTE = 60_000;
const marrow = { name: 'Marrow Point', latitude: 54.61, longitude: -1.04, zone: 'Europe/London' };
const at = (latitude: number, longitude: number, zone: string) => ({
  name: 'Hide',
  latitude,
  longitude,
  zone,
});
const places = [
  marrow,
  at(-41, 174, 'Pacific/Auckland'),
  at(1, 103, 'Asia/Singapore'),
  at(78, 16, 'Arctic/Longyearbyen'),
];

describe('the tide', () => {
  const arbitraryTide = fc.record({
    mean: fc.double({ min: -3, max: 8, noNaN: true }),
    constituents: fc.array(
      fc.record({
        name: fc.constantFrom('M2' as const, 'S2' as const, 'N2' as const, 'K1' as const, 'O1' as const),
        amplitude: fc.double({ min: 0.05, max: 4, noNaN: true }),
        phase: fc.double({ min: 0, max: 360, noNaN: true }),
      }),
      { minLength: 1, maxLength: 6 },
    ),
  });

  it('is the sum of its waves, worked by hand', () => {
    const tide: Tide = {
      mean: 3,
      constituents: [
        { name: 'M2', amplitude: 2, phase: 0 },
        { name: 'S2', amplitude: 0.5, phase: 90 },
      ],
    };
    const start = Date.UTC(2026, 0, 1);
    expect(tideHeight(tide, start)).to.be.closeTo(3 + 2 + 0, 1e-9);
    // Three hours on: M2 has turned 86.95°, S2 90° and so is at its own summit.
    expect(tideHeight(tide, start + 3 * HOUR)).to.be.closeTo(
      3 + 2 * Math.cos((86.9523 * Math.PI) / 180) + 0.5,
      1e-3,
    );
    // Half a lunar day and a bit.
    expect(tideHeight(tide, start + (360 / speeds.M2) * HOUR) - 3).to.be.greaterThan(1.4);
  });

  it('turns where nothing nearby is higher or lower, high and low by turns', () => {
    fc.assert(
      fc.property(arbitraryTide, arbitraryMoment, (tide, from) => {
        const turns = tideTurns(tide, from, from + 48 * HOUR);
        turns.forEach((turn, index) => {
          const sign = turn.isHigh ? 1 : -1;
          for (const by of [-4, -2, 2, 4])
            expect(sign * (turn.height - tideHeight(tide, turn.at + by * MINUTE))).to.be.at.least(-1e-6);
          expect(turn.isHigh).not.to.equal(turns[index + 1]?.isHigh);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('has springs and neaps: the range of Marrow Point swings over a fortnight', () => {
    const ranges = Array.from({ length: 15 }, (_, day) => {
      const heights = tideTurns(marrowTide, DAWN + day * 24 * HOUR, DAWN + (day + 1.1) * 24 * HOUR).map(
        ({ height }) => height,
      );
      return Math.max(...heights) - Math.min(...heights);
    });
    expect(Math.max(...ranges)).to.be.greaterThan(1.5 * Math.min(...ranges));
    expect(tideTurns({ mean: 1, constituents: [] }, DAWN, DAWN + 24 * HOUR)).to.deep.equal([]);
  });
});

describe('the almanac', () => {
  it('has the sun pass its twilights in order, at the heights that they are named by', () => {
    const { dawns, dusks, sunrise, sunset, light } = read({ seed: 0, place: marrow }, DAWN);
    const order = [
      dawns.night,
      dawns.nautical,
      dawns.civil,
      sunrise,
      sunset,
      dusks.civil,
      dusks.nautical,
      dusks.night,
    ];
    const known = order.map((moment) => moment ?? NaN);
    expect(known).to.deep.equal([...known].sort((a, b) => a - b));
    // Another way: suncalc's own height, where the air bends no light.
    for (const [moment, height] of [
      [dawns.night, -18],
      [dusks.night, -18],
      [dawns.nautical, -12],
    ] as const)
      expect(getPosition(new Date(moment ?? 0), marrow.latitude, marrow.longitude).altitude).to.be.closeTo(
        height,
        0.7,
      );
    expect(light).to.equal((sunset ?? NaN) - (sunrise ?? NaN));
  });

  it('has its days grow until the solstice and shrink after it', () => {
    const gains = (month: number, day: number) =>
      read({ seed: 0, place: marrow }, Date.UTC(2026, month, day, 12)).gains;
    expect(gains(2, 20) / MINUTE).to.be.within(3.5, 5);
    expect(gains(8, 23) / MINUTE).to.be.within(-5, -3.5);
    expect(Math.abs(gains(5, 21)) / MINUTE).to.be.below(0.5);
  });

  it('knows days on which the sun stays up or down', () => {
    const north = places[3]!;
    expect(read({ seed: 0, place: north }, Date.UTC(2026, 5, 21)).light).to.equal(24 * HOUR);
    const winter = read({ seed: 0, place: north }, Date.UTC(2026, 11, 21));
    expect(winter).to.deep.include({ light: 0, sunrise: null, sunset: null });
    expect(winter.dawns.night).not.to.equal(null);
  });

  it('has the moon cross the horizon where it says it rises and sets, on the day of the wall clock', () => {
    for (const place of places.slice(0, 3)) {
      let found = 0;
      for (let day = 0; day < 29; day++) {
        const { moon, day: whole } = read({ seed: 0, place }, DAWN + day * 24 * HOUR);
        for (const [moment, sign] of [
          [moon.rises, 1],
          [moon.sets, -1],
        ] as const) {
          if (moment === null) continue;
          found++;
          expect(moment).to.be.within(whole.start, whole.end);
          const height = (by: number) =>
            getMoonPosition(new Date(moment + by * 20 * MINUTE), place.latitude, place.longitude).altitude;
          expect(sign * (height(1) - height(-1))).to.be.greaterThan(0);
          expect(Math.abs(height(0))).to.be.below(2);
        }
      }
      // A month has one rise and one set fewer than days.
      expect(found, place.zone).to.be.within(54, 58);
    }
  });

  it('names seasons by the sun, turned round in the south', () => {
    const season = (place: (typeof places)[number], month: number, day: number) =>
      read({ seed: 0, place }, Date.UTC(2026, month, day, 12)).season;
    expect(
      [
        [2, 18],
        [2, 22],
        [5, 23],
        [8, 25],
        [11, 23],
      ].map(([m = 0, d = 0]) => season(marrow, m, d)),
    ).to.deep.equal(['Winter', 'Spring', 'Summer', 'Autumn', 'Winter']);
    expect(season(places[1]!, 0, 10)).to.equal('Summer');
  });

  it('divides the tide by the wall clock, on days of 23 and 25 hours too', () => {
    for (const [month, day, steps] of [
      [2, 29, 46],
      [9, 25, 50],
      [5, 1, 48],
    ] as const) {
      const { tide, day: whole } = read({ seed: 0, place: marrow }, Date.UTC(2026, month, day, 12));
      expect(tide.curve).to.have.length(steps + 1);
      expect(tide.curve.at(-1)?.at).to.equal(whole.end);
      expect(wallClock(whole.start, marrow.zone)).to.include({ hour: 0, minute: 0, day });
    }
  });

  it('says whether the water rises, everywhere and always', () => {
    fc.assert(
      fc.property(arbitraryMoment, (moment) => {
        const { tide } = read({ seed: 0, place: marrow }, moment);
        const soon = tideHeight(marrowTide, moment + 1000);
        const isTurning = tide.turns.some(({ at: turn }) => Math.abs(turn - moment) < 5000);
        if (!isTurning) expect(soon > tide.height).to.equal(tide.isRising);
      }),
      { numRuns: 200 },
    );
  });
});
