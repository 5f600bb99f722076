import { expect } from 'chai';
import { compassPoint, lengthTold, pressureIn, temperatureIn, told, windIn } from './units.ts';

describe('units', () => {
  it('turn SI into what people read, by tables worked by hand', () => {
    const degrees = (celsius: number | null) => [
      told(temperatureIn('c', celsius)),
      told(temperatureIn('f', celsius)),
    ];
    expect(degrees(0)).to.deep.equal(['0°', '32°']);
    expect(degrees(-40)).to.deep.equal(['−40°', '−40°']);
    expect(degrees(21.4)).to.deep.equal(['21°', '71°']);
    // No minus before a zero.
    expect(degrees(-0.3)).to.deep.equal(['0°', '31°']);
    expect(degrees(null)).to.deep.equal(['–°', '–°']);
    const wind = (speed: number) =>
      (['ms', 'kmh', 'mph', 'kn', 'bft'] as const).map((unit) => told(windIn(unit, speed)));
    expect(wind(10)).to.deep.equal(['10 m/s', '36 km/h', '22 mph', '19 kn', '5 Bft']);
    expect(told(pressureIn('hpa', 1013.25))).to.equal('1013 hPa');
    expect(told(pressureIn('inhg', 1013.25))).to.equal('29.92 inHg');
  });

  it('tell lengths of time in hours and minutes, each rounded once', () => {
    expect([0, 29, 31, 3599, 3600, 86_399].map(lengthTold)).to.deep.equal([
      '0 min',
      '0 min',
      '1 min',
      '1 h 0 min',
      '1 h 0 min',
      '24 h 0 min',
    ]);
  });

  it('give each force of the Beaufort scale from its least speed on', () => {
    const least = [0, 0.3, 1.6, 3.4, 5.5, 8, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7];
    least.forEach((speed, force) => {
      expect(windIn('bft', speed).figure).to.equal(String(force));
      if (force > 0) expect(windIn('bft', speed - 0.01).figure).to.equal(String(force - 1));
    });
  });

  it('name sixteen points of the compass, each for what lies about it', () => {
    expect([0, 11, 12, 90, 225, 348, 349, 360].map(compassPoint)).to.deep.equal([
      'N',
      'N',
      'NNE',
      'E',
      'SW',
      'NNW',
      'N',
      'N',
    ]);
  });
});
