import { expect } from 'chai';
import fc from 'fast-check';
import { isZone } from '../values/earth.ts';
import { readCoordinates, writeCoordinates } from './coordinates.ts';
import { land } from './land.ts';
import { places, placesLike } from './places.ts';
import { zoneAt } from './zone.ts';

describe('coordinates', () => {
  it('are read as people write them', () => {
    const ways = [
      '54.61, -1.04',
      '54.61 -1.04',
      '54.61,-1.04',
      ' 54.61 ;  −1.04 ',
      '54,61; -1,04',
      '54,61 -1,04',
      '54.61 N 1.04 W',
      '54.61°N, 1.04°W',
      'N54.61 W1.04',
      'n 54.61, w 1.04',
      '1.04 W 54.61 N',
      '54°36.6′N 1°2.4′W',
      '54° 36\' 36" N, 1° 2\' 24" W',
      '54 36 36 N, 1 2 24 W',
      '54 36 36, -1 2 24',
      '54d36m36s N 1d2m24s W',
      'geo:54.61,-1.04',
      'geo:54.61,-1.04;u=35',
      'GEO:54.61,-1.04,12?z=9',
      '+54.61-001.04/',
    ];
    for (const way of ways)
      expect(readCoordinates(way), way).to.deep.equal({ ok: true, latitude: 54.61, longitude: -1.04 });
    expect(readCoordinates('43 S 172.6 E')).to.deep.equal({ ok: true, latitude: -43, longitude: 172.6 });
    expect(readCoordinates('52.5 N, 13.4 O')).to.deep.equal({ ok: true, latitude: 52.5, longitude: 13.4 });
    expect(readCoordinates('-0.5, 0')).to.deep.equal({ ok: true, latitude: -0.5, longitude: 0 });
  });

  it('say what was understood where it is no place', () => {
    const why = (text: string) => {
      const read = readCoordinates(text);
      return read.ok ? '' : read.sentence;
    };
    expect(why('54.61')).to.match(/Understood 54.61: a place needs a latitude and a longitude/);
    expect(why('95, 12')).to.match(/Understood 95 and 12: a latitude is from −90 to 90/);
    expect(why('12, 200')).to.match(/a longitude is from −180 to 180/);
    expect(why('54 72 N 1 W')).to.match(/minutes and seconds are less than 60/);
    expect(why('54 N 1 N')).to.match(/two angles of the same kind/);
    expect(why('the marsh')).to.match(/was not understood/i);
    expect(why('')).to.match(/Nothing/);
    expect(why('9'.repeat(4000))).to.match(/too long/);
    expect(why('1 2 3 4 5')).to.match(/a place needs/);
  });

  it('come back as they were written, everywhere', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9_000_000, max: 9_000_000 }),
        fc.integer({ min: -18_000_000, max: 18_000_000 }),
        (north, east) => {
          const here = { latitude: north / 1e5 + 0, longitude: east / 1e5 + 0 };
          expect(readCoordinates(writeCoordinates(here))).to.deep.equal({ ok: true, ...here });
          expect(readCoordinates(`${here.latitude} ${here.longitude}`)).to.deep.equal({ ok: true, ...here });
        },
      ),
    );
  });

  it('never throw, whatever is typed', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[NSEW0-9 .,°'"+-]{0,30}$/)), (text) => {
        const read = readCoordinates(text);
        if (read.ok) {
          expect(Math.abs(read.latitude)).to.be.at.most(90);
          expect(Math.abs(read.longitude)).to.be.at.most(180);
        } else expect(read.sentence.length).to.be.greaterThan(5);
      }),
    );
  });
});

describe('places', () => {
  it('have a time zone each, found by where they are', () => {
    expect(zoneAt(places[0]!)).to.equal('Europe/London');
    expect(zoneAt({ latitude: -43.2, longitude: 172.7 })).to.equal('Pacific/Auckland');
    for (const place of places) expect(isZone(zoneAt(place)), place.name).to.equal(true);
    // At sea and at the poles there is one too.
    for (const [latitude, longitude] of [
      [0, -140],
      [90, 0],
      [-90, 180],
      [12, -180],
    ] as const)
      expect(isZone(zoneAt({ latitude, longitude }))).to.equal(true);
  });

  it('are found by a part of their name, what begins so first', () => {
    expect(placesLike('mar').map(({ name }) => name)).to.deep.equal(['Marrow Point']);
    expect(placesLike('s')[0]?.name).to.match(/^S/);
    expect(placesLike('')).to.have.length(places.length);
    expect(placesLike('nowhere at all')).to.deep.equal([]);
  });

  it('stand on the land that is drawn, or near it', () => {
    const corners = land.flat();
    for (const [longitude, latitude] of corners) {
      expect(Math.abs(longitude)).to.be.at.most(180);
      expect(Math.abs(latitude)).to.be.at.most(90);
    }
    for (const { name, latitude, longitude } of places) {
      const isOn = land.some((ring) => isInside(ring, longitude, latitude));
      const nearest = Math.min(
        ...corners.map(([x, y]) =>
          Math.hypot((x - longitude) * Math.cos((latitude * Math.PI) / 180), y - latitude),
        ),
      );
      expect(isOn || nearest < 13, `${name}: ${nearest}`).to.equal(true);
    }
  });
});

function isInside(ring: (typeof land)[number], x: number, y: number): boolean {
  let isIn = false;
  ring.forEach(([x1, y1], index) => {
    const [x2, y2] = ring[(index + 1) % ring.length] ?? [0, 0];
    if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) isIn = !isIn;
  });
  return isIn;
}
