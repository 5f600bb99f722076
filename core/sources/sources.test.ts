import { expect } from 'chai';
import fc from 'fast-check';
import { DAWN, arbitraryMoment } from '../../tests/support/desks.ts';
import { byType } from '../kinds.ts';
import { formatBytes, formatRate } from '../widgets/machine/units.ts';
import { sources } from './list.ts';
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

  it('does not rise in a polar night', () => {
    const { sunrise, sunset } = sources.sun.read({ seed: 0, place: { ...place, latitude: 80 } }, DAWN);
    expect([sunrise, sunset]).to.deep.equal([null, null]);
  });
});

describe('the simulated machine', () => {
  const read = (moment: number, seed = 7) => sources.machine.read({ seed, place }, moment);
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
  it("shows this machine's newest reading, and null before the first", () => {
    const none = createReadings({ moment: DAWN, place, seed: 1 });
    expect(none.machine('this-machine')).to.equal(null);
    const reading = { processor: 12, memory: null, disk: null, network: null };
    const live = createReadings({
      moment: DAWN,
      place,
      seed: 1,
      live: { machine: [{ moment: DAWN - 2000, reading }] },
    });
    expect(live.machine('this-machine')).to.equal(reading);
    expect(live.machineSeries('this-machine', 3, 60_000)).to.deep.equal([null, reading, null]);
  });

  it('moves a series on by whole steps', () => {
    const series = (moment: number) =>
      createReadings({ moment, place, seed: 1 }).machineSeries('simulated', 5, 60_000);
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
