import { expect } from 'chai';
import fc from 'fast-check';
import { arbitraryMoment } from '../../../tests/support/desks.ts';
import { iconNames } from '../../icons/names.ts';
import type { GeoPlace } from '../../values/earth.ts';
import { wallClock } from '../time/time.ts';
import { dewPointOf, feltTemperature, humidityOf } from './air.ts';
import { conditionCodes, conditionOf } from './codes.ts';
import { read } from './simulate.ts';
import type { WeatherAt } from './weather.ts';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const FIRST = Date.UTC(2026, 0, 1);

const at = (latitude: number, longitude: number, zone: string): GeoPlace => ({
  name: 'Hide',
  latitude,
  longitude,
  zone,
});
const marrow = at(54.61, -1.04, 'Europe/London');
const north = [marrow, at(47.2, 60.5, 'UTC'), at(61.8, -120.25, 'UTC')];
const south = [at(-41.3, 174.8, 'Pacific/Auckland'), at(-52.5, -70, 'UTC'), at(-38, 20, 'UTC')];
const tropics = [at(1.3, 103.5, 'UTC'), at(-9, -40, 'UTC')];
const poles = [at(88, 0, 'UTC'), at(-86, 100, 'UTC')];

type Known = { [Key in keyof WeatherAt]: number };

/** The hours of a year; a simulated one knows all of each but the direction of calm air. */
function yearAt(place: GeoPlace, seed: number): Known[] {
  const found: WeatherAt[] = [];
  for (let from = FIRST; from < FIRST + 365 * DAY; from += 48 * HOUR)
    found.push(...read({ seed, place }, from).hours.slice(0, 48));
  return found as Known[];
}

const years = new Map<string, Known[]>();
function year(place: GeoPlace, seed = 4108): Known[] {
  const key = JSON.stringify([place, seed]);
  let hours = years.get(key);
  if (!hours) years.set(key, (hours = yearAt(place, seed)));
  return hours;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** What share of a list something holds of. */
const shareOf = <T>(list: readonly T[], holds: (one: T) => boolean) =>
  list.filter(holds).length / list.length;

describe('moist air', () => {
  it('agrees with a table worked by hand', () => {
    // Saturation 23.37 hPa at 20 °C and 12.27 hPa at 10 °C.
    expect(humidityOf(20, 10)).to.be.closeTo(0.525, 0.002);
    expect(humidityOf(7, 7)).to.equal(1);
    // 0.33 × 0.6 × 42.4 hPa - 0.7 × 2 - 4 on top of 30 °C.
    expect(feltTemperature(30, 0.6, 2)).to.be.closeTo(33, 0.1);
    expect(feltTemperature(2, 0.8, 9)).to.be.lessThan(-6);
  });

  it('has a dew point for every humidity, and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 45, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        (t, h) => {
          expect(humidityOf(t, dewPointOf(t, h))).to.be.closeTo(h, 1e-6);
        },
      ),
    );
  });
});

describe('the simulated weather', () => {
  it('is the same for the same seed, place and moment, and moves on without jumps', () => {
    fc.assert(
      fc.property(
        arbitraryMoment,
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (moment, latitude, longitude) => {
          const context = { seed: 12, place: at(latitude, longitude, 'UTC') };
          const { now, hours, days } = read(context, moment);
          expect(read(context, moment).now).to.deep.equal(now);
          expect(hours).to.have.length(49);
          expect(days).to.have.length(10);
          const next = read(context, moment + 300_000).now as Known;
          expect(Math.abs(next.temperature - (now.temperature ?? NaN))).to.be.below(0.6);
          expect(Math.abs(next.pressure - (now.pressure ?? NaN))).to.be.below(0.8);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('stays within what the Earth has, everywhere, all year', () => {
    const bounds = {
      temperature: [-75, 52],
      pressure: [930, 1065],
      humidity: [0.05, 1],
      wind: [0, 45],
      cloud: [0, 1],
      rain: [0, 60],
      chance: [0, 1],
      visibility: [50, 60_000],
    } as const;
    const codes = new Set<number>(conditionCodes);
    // So many hours are gone through plainly, and only what is wrong is told.
    const isWrong = (hour: ReturnType<typeof year>[number]) =>
      Object.entries(bounds).some(([name, [least, most]]) => {
        const value = hour[name as keyof typeof bounds];
        return !(value >= least && value <= most);
      }) ||
      !(hour.dewPoint <= hour.temperature) ||
      !(hour.gusts >= hour.wind) ||
      !codes.has(hour.code);
    for (const place of [...north, ...south, ...tropics, ...poles])
      expect(year(place).filter(isWrong), JSON.stringify(place)).to.deep.equal([]);
  });

  it('has its pressure fall before rain', () => {
    for (const place of [...north, ...south]) {
      const hours = year(place);
      const onsets = hours.flatMap((hour, index) => {
        const before = hours.slice(Math.max(0, index - 8), index);
        return before.length === 8 && hour.rain > 0.1 && before.every(({ rain }) => rain <= 0.1)
          ? [index]
          : [];
      });
      expect(onsets.length).to.be.greaterThan(20);
      const fell = shareOf(
        onsets,
        (index) => (hours[index - 6]?.pressure ?? 0) > (hours[index]?.pressure ?? 0),
      );
      expect(fell, JSON.stringify(place)).to.be.greaterThan(0.85);
    }
  });

  it('has its wind veer as a trough passes in the north, and back in the south', () => {
    for (const [places, sign] of [
      [north, 1],
      [south, -1],
    ] as const) {
      for (const place of places) {
        const hours = year(place);
        const pressures = hours.map(({ pressure }) => pressure);
        const troughs = hours.flatMap((_, index) => {
          const around = pressures.slice(Math.max(0, index - 14), index + 15);
          const isLowest = around.length === 29 && pressures[index] === Math.min(...around);
          return isLowest &&
            (around[0] ?? 0) > (pressures[index] ?? 0) + 5 &&
            (around[28] ?? 0) > (pressures[index] ?? 0) + 5
            ? [index]
            : [];
        });
        expect(troughs.length, JSON.stringify(place)).to.be.greaterThan(10);
        const turned = shareOf(troughs, (index) => {
          const [before, after] = [hours[index - 9]?.direction ?? NaN, hours[index + 9]?.direction ?? NaN];
          return sign * (((after - before + 540) % 360) - 180) > 0;
        });
        expect(turned, JSON.stringify(place)).to.be.greaterThan(0.85);
      }
    }
  });

  it('has fog only in calm air near its dew point', () => {
    let fogs = 0;
    for (const place of [...north, ...south, ...tropics]) {
      for (const { code, temperature, dewPoint, wind, rain } of year(place)) {
        if (code !== 45 && code !== 48) continue;
        fogs++;
        expect(temperature - dewPoint).to.be.below(1.2);
        expect(wind).to.be.below(3.5);
        expect(rain).to.be.at.most(0.1);
      }
    }
    expect(fogs).to.be.greaterThan(50);
  });

  it('is warmest some hours after the sun was highest', () => {
    for (const place of [...north.slice(0, 2), ...south, ...tropics]) {
      const byHour = Array.from({ length: 24 }, (_, hour) =>
        mean(
          year(place)
            .filter(
              ({ moment }) => Math.floor((((moment / HOUR + place.longitude / 15) % 24) + 24) % 24) === hour,
            )
            .map(({ temperature }) => temperature),
        ),
      );
      const warmest = byHour.indexOf(Math.max(...byHour));
      expect(warmest, JSON.stringify(place)).to.be.within(13, 16);
    }
  });

  it('has its summer weeks after the longest day, in both halves of the Earth, and is colder toward the poles', () => {
    const monthly = (place: GeoPlace) =>
      Array.from({ length: 12 }, (_, month) =>
        mean(
          year(place)
            .filter(({ moment }) => new Date(moment).getUTCMonth() === month)
            .map(({ temperature }) => temperature),
        ),
      );
    for (const place of north) {
      const months = monthly(place);
      expect([6, 7], JSON.stringify(place)).to.include(months.indexOf(Math.max(...months)));
      expect([0, 1, 2]).to.include(months.indexOf(Math.min(...months)));
    }
    for (const place of south) {
      const months = monthly(place);
      expect([0, 1, 2], JSON.stringify(place)).to.include(months.indexOf(Math.max(...months)));
    }
    const yearly = [tropics[0], marrow, poles[0]].map((place) => mean(monthly(place as GeoPlace)));
    expect(yearly).to.deep.equal([...yearly].sort((a, b) => b - a));
    expect(Math.max(...monthly(poles[1] as GeoPlace))).to.be.below(5);
  });

  it('is right about how likely rain is: of the hours with three in ten it rains in three of ten', () => {
    const bins = new Map<number, { hours: number; wet: number; said: number }>();
    for (const place of [marrow, ...north, ...south, ...tropics])
      for (const hour of year(place)) {
        const bin = Math.min(4, Math.floor(hour.chance * 5));
        const found = bins.get(bin) ?? { hours: 0, wet: 0, said: 0 };
        bins.set(bin, {
          hours: found.hours + 1,
          wet: found.wet + (hour.rain > 0 ? 1 : 0),
          said: found.said + hour.chance,
        });
      }
    expect(bins.size).to.equal(5);
    for (const { hours, wet, said } of bins.values()) expect(wet / hours).to.be.closeTo(said / hours, 0.12);
  });

  it('tells by how much the pressure shown differs from that of three hours before', () => {
    for (let day = 0; day < 60; day++) {
      const moment = FIRST + day * 31 * HOUR;
      const at = (when: number) => read({ seed: 4108, place: marrow }, when);
      const shown = (at(moment).now.pressure ?? 0) - (at(moment - 3 * HOUR).now.pressure ?? 0);
      expect(at(moment).trend).to.be.closeTo(shown, 0.051);
    }
  });

  it('calls rain certain when it falls, covers the sky with it, and lets it snow where it freezes', () => {
    for (const hour of [...year(marrow), ...year(poles[0] as GeoPlace)]) {
      if (hour.rain <= 0.1) continue;
      expect(hour.cloud).to.be.at.least(0.75);
      if (hour.temperature < 0.3) expect([71, 73, 75]).to.include(hour.code);
      if (hour.temperature > 3) expect([71, 73, 75]).not.to.include(hour.code);
    }
  });

  it('needs no forecast for what falls already', () => {
    for (let hour = 0; hour < 500; hour++) {
      const { now } = read({ seed: 4108, place: marrow }, FIRST + hour * HOUR);
      if ((now.rain ?? 0) > 0) expect(now.chance).to.equal(1);
    }
  });

  it('divides its days by the wall clock, also when that changes', () => {
    const { days } = read({ seed: 4108, place: marrow }, Date.UTC(2026, 9, 22, 15));
    for (const { start } of days) expect(wallClock(start, marrow.zone)).to.include({ hour: 0, minute: 0 });
    // The 25th has 25 hours.
    const lengths = days.slice(1).map(({ start }, index) => (start - (days[index]?.start ?? 0)) / HOUR);
    expect(lengths).to.deep.equal([24, 24, 24, 25, 24, 24, 24, 24, 24]);
    for (const { low, high } of days) expect(low ?? NaN).to.be.at.most(high ?? NaN);
  });

  it('differs from place to place and from seed to seed', () => {
    const first = (seed: number, place: GeoPlace) =>
      read({ seed, place }, FIRST).hours.map(({ pressure }) => pressure);
    expect(first(1, marrow)).not.to.deep.equal(first(2, marrow));
    expect(first(1, marrow)).not.to.deep.equal(first(1, at(50, 10, 'UTC')));
  });
});

describe('conditions', () => {
  it('each have a title and a picture that every icon set draws, by day and by night', () => {
    for (const code of conditionCodes) {
      const { title, day, night } = conditionOf(code);
      expect(title).to.match(/^[A-Z]/);
      expect(iconNames).to.include.members([day, night]);
    }
    expect(conditionOf(null).title).to.equal('Not known');
    expect(conditionOf(8).title).to.equal('Not known');
  });
});
