import { TZDate } from '@date-fns/tz';
import { expect } from 'chai';
import { format } from 'date-fns/format';
import fc from 'fast-check';
import { DAWN, arbitraryMoment } from '../../tests/support/desks.ts';
import { halfAt } from '../timeline/half/half.ts';
import { byType } from '../kinds/kind.ts';
import { formatBytes, formatRate } from './machine/units.ts';
import { sources } from './list.ts';
import { read as readMachine } from './machine/simulate.ts';
import { createReadings } from './readings.ts';
import { dayOf, formatMoment, isDatePattern, wallClock } from './time/time.ts';

const place = { name: 'Marrow Point', latitude: 54.61, longitude: -1.04, zone: 'Europe/London' };
const HOUR = 3_600_000;

describe('time', () => {
  it('tells the wall clock of a zone', () => {
    expect(wallClock(DAWN, 'Europe/London')).to.include({
      year: 2026,
      month: 11,
      day: 24,
      hour: 7,
      minute: 12,
    });
    expect(wallClock(DAWN, 'Asia/Kathmandu')).to.include({ hour: 12, minute: 57 });
  });

  it('knows days that are an hour longer or shorter', () => {
    const hours = (moment: number) => {
      const { start, end } = dayOf(moment, 'Europe/London');
      return (end - start) / HOUR;
    };
    expect(hours(Date.UTC(2026, 10, 24, 12))).to.equal(24);
    expect(hours(Date.UTC(2026, 2, 29, 12))).to.equal(23);
    expect(hours(Date.UTC(2026, 9, 25, 12))).to.equal(25);
  });

  it('always finds the moment within its own day', () => {
    fc.assert(
      fc.property(
        arbitraryMoment,
        fc.constantFrom('Europe/London', 'Pacific/Auckland', 'America/St_Johns', 'UTC'),
        (moment, zone) => {
          const { start, end } = dayOf(moment, zone);
          expect(moment).to.be.within(start, end - 1);
        },
      ),
    );
  });

  it('sets every moment of a day by itself, however often the day was set before', () => {
    fc.assert(
      fc.property(
        arbitraryMoment,
        fc.array(fc.integer({ min: -90_000, max: 90_000 }), { minLength: 2, maxLength: 6 }),
        fc.constantFrom('Europe/London', 'Pacific/Auckland', 'America/St_Johns', 'UTC'),
        fc.constantFrom(
          'EEE d MMM',
          "y-MM-dd 'at' HH:mm",
          'do',
          'h aaa',
          'B',
          'xxx',
          'RRRR I',
          'zzz',
          'mm:ss',
        ),
        (moment, seconds, zone, pattern) => {
          for (const off of seconds) {
            const at = moment + off * 1000;
            expect(formatMoment(at, zone, pattern)).to.equal(format(new TZDate(at, zone), pattern));
          }
        },
      ),
    );
  });

  it('takes Unicode patterns and refuses others', () => {
    expect(formatMoment(DAWN, 'Europe/London', 'EEE d MMM')).to.equal('Tue 24 Nov');
    expect(isDatePattern("EEEE 'the' do")).to.equal(true);
    expect(isDatePattern('nonsense')).to.equal(false);
  });
});

describe('sun', () => {
  it('rises and sets at Marrow Point in late November when an almanac says so, within two minutes', () => {
    const { sunrise, sunset } = sources.sun.read({ seed: 0, place }, DAWN);
    expect(sunrise).to.be.closeTo(Date.UTC(2026, 10, 24, 7, 51), 2 * 60_000);
    expect(sunset).to.be.closeTo(Date.UTC(2026, 10, 24, 15, 50), 2 * 60_000);
  });

  it('is below the horizon before sunrise and above it after', () => {
    const { sunrise } = sources.sun.read({ seed: 0, place }, DAWN);
    const altitude = (moment: number) => sources.sun.read({ seed: 0, place }, moment).altitude;
    expect(altitude((sunrise ?? 0) - HOUR)).to.be.below(0);
    expect(altitude((sunrise ?? 0) + HOUR)).to.be.above(0);
  });

  /** Rise and set by the sunrise equation (hour angle from declination and equation of time), written anew. */
  function almanac(day: number, latitude: number, longitude: number): { rise: number; set: number } | null {
    const rad = Math.PI / 180;
    const at = (hours: number) => {
      const t = (day + hours * HOUR - Date.UTC(2000, 0, 1, 12)) / 86_400_000 / 36525;
      const l = (280.46646 + 36000.76983 * t) % 360;
      const m = (357.52911 + 35999.05029 * t) * rad;
      const c =
        (1.914602 - 0.004817 * t) * Math.sin(m) + 0.019993 * Math.sin(2 * m) + 0.000289 * Math.sin(3 * m);
      const omega = (125.04 - 1934.136 * t) * rad;
      const lambda = (l + c - 0.00569 - 0.00478 * Math.sin(omega)) * rad;
      const tilt = (23.439291 - 0.0130042 * t + 0.00256 * Math.cos(omega)) * rad;
      const declination = Math.asin(Math.sin(tilt) * Math.sin(lambda));
      const y = Math.tan(tilt / 2) ** 2;
      const e = 0.016708634 - 0.000042037 * t;
      const minutes =
        (4 / rad) *
        (y * Math.sin(2 * l * rad) -
          2 * e * Math.sin(m) +
          4 * e * y * Math.sin(m) * Math.cos(2 * l * rad) -
          0.5 * y * y * Math.sin(4 * l * rad) -
          1.25 * e * e * Math.sin(2 * m));
      const cosine =
        (Math.cos(90.8333 * rad) - Math.sin(latitude * rad) * Math.sin(declination)) /
        (Math.cos(latitude * rad) * Math.cos(declination));
      return { noon: 12 - longitude / 15 - minutes / 60, half: Math.acos(cosine) / rad / 15 };
    };
    const solve = (sign: number) => {
      let hours = 12;
      for (let turn = 0; turn < 6; turn++) {
        const { noon, half } = at(hours);
        hours = noon + sign * half;
      }
      return hours;
    };
    const [rise, set] = [solve(-1), solve(1)];
    return Number.isNaN(rise + set) ? null : { rise: day + rise * HOUR, set: day + set * HOUR };
  }

  it('agrees with an almanac over years and places: within a minute below 60°, within two beyond', () => {
    const places = fc.record({
      latitude: fc.double({ min: -65, max: 65, noNaN: true }),
      longitude: fc.double({ min: -179, max: 179, noNaN: true }),
    });
    fc.assert(
      fc.property(arbitraryMoment, places, (moment, { latitude, longitude }) => {
        const day = Math.floor(moment / 86_400_000) * 86_400_000;
        const expected = almanac(day, latitude, longitude);
        fc.pre(
          expected !== null &&
            expected.set - expected.rise < 23 * HOUR &&
            expected.set - expected.rise > HOUR,
        );
        // In a zone of the sun's own, so that noon stands in the middle of the day.
        const hours = Math.round(longitude / 15);
        const zone = hours === 0 ? 'UTC' : `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`;
        const there = { name: '', latitude, longitude, zone };
        const { sunrise, sunset } = sources.sun.read({ seed: 0, place: there }, expected!.rise + 60_000);
        const limit = Math.abs(latitude) < 60 ? 60_000 : 120_000;
        expect(Math.abs((sunrise ?? 0) - expected!.rise), 'rise').to.be.below(limit);
        const set = sources.sun.read({ seed: 0, place: there }, expected!.set - 60_000).sunset ?? sunset;
        expect(Math.abs((set ?? 0) - expected!.set), 'set').to.be.below(limit);
      }),
      { numRuns: 300 },
    );
  });

  it('turns the half at its own sunrise and sunset, to the second, at any place and in any zone', () => {
    const zones = [
      'UTC',
      'Europe/London',
      'Asia/Kathmandu',
      'Pacific/Auckland',
      'America/St_Johns',
      'Pacific/Kiritimati',
    ];
    fc.assert(
      fc.property(
        arbitraryMoment,
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.constantFrom(...zones),
        (moment, latitude, longitude, zone) => {
          const there = { name: '', latitude, longitude, zone };
          const { sunrise, sunset } = sources.sun.read({ seed: 0, place: there }, moment);
          const { start, end } = dayOf(moment, zone);
          for (const [at, before, after] of [
            [sunrise, 'dark', 'light'],
            [sunset, 'light', 'dark'],
          ] as const) {
            if (at === null) continue;
            expect(at).to.be.within(start, end - 1);
            expect(halfAt({ by: 'sun' }, at - 1500, there)).to.equal(before);
            expect(halfAt({ by: 'sun' }, at + 1500, there)).to.equal(after);
          }
          // Where neither is found, nothing changes all day.
          if (sunrise === null && sunset === null)
            for (let at = start; at < end; at += HOUR)
              expect(halfAt({ by: 'sun' }, at, there)).to.equal(halfAt({ by: 'sun' }, start, there));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('does not rise in a polar night', () => {
    const { sunrise, sunset } = sources.sun.read({ seed: 0, place: { ...place, latitude: 80 } }, DAWN);
    expect([sunrise, sunset]).to.deep.equal([null, null]);
  });
});

describe('the simulated machine', () => {
  const read = (moment: number, seed = 7) => readMachine({ seed, place }, moment);

  it('has programs that come to the whole, networks that together are the network, and disks within their bounds', () => {
    for (let step = 0; step < 48; step++) {
      const reading = readMachine({ seed: 3, place }, DAWN + step * 1_800_000);
      const total = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0);
      const { processes, networks, disks, network, processor, memory } = reading;
      expect(total((processes ?? []).map((one) => one.processor))).to.be.closeTo(processor ?? 0, 0.5);
      expect(total((processes ?? []).map((one) => one.memory))).to.be.closeTo(memory?.used ?? 0, 10);
      const busiest = (processes ?? []).map((one) => one.processor);
      expect(busiest).to.deep.equal(busiest.toSorted((a, b) => b - a));
      expect(total((networks ?? []).map(({ down }) => down))).to.be.closeTo(network?.down ?? 0, 2);
      for (const { used, total: all } of disks ?? []) expect(used).to.be.within(1, all);
      expect(reading.updates).to.be.within(0, 9);
    }
  });

  it('has cores that come to the whole, a battery that is used and charged, and heat that follows its work', () => {
    const day = Array.from({ length: 24 * 12 }, (_, index) => read(DAWN - 7 * HOUR + index * 300_000));
    for (const { processor, cores, load, temperatures, swap } of day) {
      const mean = (cores ?? []).reduce((sum, core) => sum + core, 0) / (cores?.length ?? NaN);
      // A core can't do more than all of its work.
      expect(mean).to.be.at.most((processor ?? NaN) + 0.2);
      if ((processor ?? 100) < 40) expect(mean).to.be.closeTo(processor ?? NaN, 1);
      expect(load?.every((value) => value > 0 && value <= 9)).to.equal(true);
      expect(temperatures?.every(({ celsius }) => celsius > 20 && celsius < 95)).to.equal(true);
      expect(swap?.used ?? NaN).to.be.at.most(swap?.total ?? NaN);
    }
    const charges = day.map(({ battery }) => battery?.charge ?? NaN);
    expect(Math.max(...charges)).to.be.greaterThan(0.97);
    expect(Math.min(...charges)).to.be.below(0.3);
    day.slice(1).forEach(({ battery }, index) => {
      const before = day[index]?.battery;
      // It goes up while it is charged, down while it is used, and says for how long it will.
      if (!battery || !before || battery.isCharging !== before.isCharging) return;
      const change = battery.charge - before.charge;
      if (Math.abs(change) > 0.001) expect(change > 0).to.equal(battery.isCharging);
      if (battery.left !== null && before.left !== null) expect(battery.left).to.be.below(before.left);
    });
    const heat = (moment: number) => read(moment).temperatures?.[0]?.celsius ?? NaN;
    const nights = [0, 1, 2, 3].map((index) => heat(DAWN - 4 * HOUR + index * 300_000));
    const noons = [0, 1, 2, 3].map((index) => heat(DAWN + 4 * HOUR + index * 300_000));
    expect(Math.max(...nights)).to.be.below(Math.max(...noons));
  });
  const day = Date.UTC(2026, 10, 24);
  const mean = (from: number, to: number) => {
    let sum = 0;
    let count = 0;
    for (let at = day + from * HOUR; at < day + to * HOUR; at += 60_000, count++)
      sum += read(at).processor ?? 0;
    return sum / count;
  };

  it('is calm at night and busy by day', () => {
    expect(mean(1, 5)).to.be.below(10);
    expect(mean(9, 12)).to.be.above(2 * mean(1, 5));
  });

  it('lets memory grow and frees it again', () => {
    const used = Array.from(
      { length: 24 * 12 },
      (_, index) => (read(day + index * 300_000).memory?.used ?? 0) / 2 ** 30,
    );
    const drops = used.filter((value, index) => index > 0 && value < (used[index - 1] ?? 0) - 0.7).length;
    expect(Math.max(...used) - Math.min(...used)).to.be.above(2);
    expect(drops).to.be.within(1, 24);
  });

  it('is a function of seed and moment, and stays within bounds', () => {
    fc.assert(
      fc.property(arbitraryMoment, fc.nat(), (moment, seed) => {
        const reading = read(moment, seed);
        expect(read(moment, seed)).to.deep.equal(reading);
        expect(reading.processor).to.be.within(0, 100);
        expect(reading.memory?.used).to.be.within(0, reading.memory?.total ?? 0);
        expect(reading.disk?.used).to.be.within(0, reading.disk?.total ?? 0);
        expect(reading.network?.down).to.be.at.least(0);
      }),
    );
    expect(read(DAWN, 1)).not.to.deep.equal(read(DAWN, 2));
  });
});

describe('readings', () => {
  it('gives what came from outside with its age, and null before the first', () => {
    const none = createReadings({ moment: DAWN, place, seed: 1 });
    expect(none.get('machine', 'this-machine')).to.equal(null);
    const reading = (processor: number) => ({ processor, memory: null, disk: null, network: null });
    const live = createReadings({
      moment: DAWN,
      place,
      seed: 1,
      feeds: [
        {
          source: 'machine',
          origin: 'this-machine',
          samples: [
            { moment: DAWN - 2000, reading: reading(12) },
            { moment: DAWN + 500, reading: reading(90) },
          ],
        },
      ],
    });
    expect(live.get('machine', 'this-machine')).to.deep.equal({
      value: reading(12),
      at: DAWN - 2000,
      age: 2000,
    });
    // Of a moment before all that is known, the newest stands in, and says that it is from later.
    expect(live.get('machine', 'this-machine', DAWN - 9000)?.age).to.equal(-500);
    expect(live.series('machine', 'this-machine', 3, 60_000)).to.deep.equal([null, reading(12), reading(90)]);
    expect(live.get('machine').age).to.equal(0);
  });

  it('moves a series on by whole steps', () => {
    const series = (moment: number) =>
      createReadings({ moment, place, seed: 1 }).series('machine', 'simulated', 5, 60_000);
    expect(series(DAWN + 59_000)).to.deep.equal(series(DAWN));
    expect(series(DAWN + 60_000).slice(0, 4)).to.deep.equal(series(DAWN).slice(1));
  });
});

describe('figures', () => {
  it('are short and carry their unit', () => {
    expect(formatBytes(0)).to.equal('0 B');
    expect(formatBytes(6.4 * 2 ** 30)).to.equal('6.4 GB');
    expect(formatBytes(512 * 2 ** 30)).to.equal('512 GB');
    expect(formatRate(1_234_000)).to.deep.equal({ figure: '1.2', unit: 'MB/s' });
    expect(formatRate(45_600)).to.deep.equal({ figure: '46', unit: 'kB/s' });
  });
});

describe('lists of kinds', () => {
  it('name the culprit when two share a type', () => {
    expect(() => byType('Widget type', [{ type: 'clock' }, { type: 'clock' }])).to.throw(
      'Widget type "clock" is defined twice',
    );
  });
});
