import { expect } from 'chai';
import { bareDesk } from '../../../tests/support/desks.ts';
import { plainOutside, type Report } from '../outside.ts';
import type { WeatherReading } from '../weather/weather.ts';
import { read } from './read.ts';
import { readReports } from './reports.ts';

const { place } = bareDesk();
const NOON = Date.UTC(2026, 10, 24, 12);

function typed(text: string, moment = NOON): WeatherReading | null {
  const report: Report = { by: 'typed', text };
  return read({ seed: 1, place, outside: { ...plainOutside, report } }, moment);
}

describe('a weather station', () => {
  it('reports what its METAR says, in SI units', () => {
    const now = typed('METAR XXMP 241150Z 24008G18KT 4000 -RA BKN012 05/03 Q1009')?.now;
    expect(now).to.include({ temperature: 5, dewPoint: 3, pressure: 1009, direction: 240, visibility: 4000 });
    expect(now?.moment).to.equal(Date.UTC(2026, 10, 24, 11, 50));
    // 8 and 18 knots by hand.
    expect(now?.wind).to.be.closeTo(4.116, 0.001);
    expect(now?.gusts).to.be.closeTo(9.26, 0.001);
    expect(now?.code).to.equal(61);
    // By hand, from 6.1094 exp(17.625 t / (t + 243.04)): 7.571 over 8.722.
    expect(now?.humidity).to.be.closeTo(0.868, 0.002);
    expect(now?.rain).to.equal(null);
  });

  it('reads other units, calm air, and weather of every kind', () => {
    expect(typed('XXMP 241150Z 00000KT CAVOK M02/M03 A2992')?.now).to.include({
      temperature: -2,
      wind: 0,
      direction: null,
      cloud: 0,
      code: 0,
    });
    expect(typed('XXMP 241150Z 00000KT CAVOK M02/M03 A2992')?.now.pressure).to.be.closeTo(1013.2, 0.1);
    expect(typed('XXMP 241150Z 18005MPS 1 1/2SM BR OVC003 10/10 Q1000')?.now).to.include({
      wind: 5,
      code: 10,
    });
    for (const [said, code] of [
      ['TSRA', 95],
      ['+SN', 75],
      ['RASN', 68],
      ['SHRA', 80],
      ['DZ', 53],
      ['FZFG', 48],
      ['FG', 45],
      ['', 3],
    ] as const)
      expect(typed(`XXMP 241150Z 24008KT 9999 ${said} OVC010 02/01 Q1009`)?.now.code, said).to.equal(code);
  });

  it('reads what stations of other continents say, and what only some say', () => {
    const now = (said: string) => typed(`XXMP 241150Z ${said} 05/03 Q1009`)?.now;
    for (const clear of ['CLR', 'NCD', 'SKC', 'NSC'])
      expect(now(`24008KT 9999 ${clear}`), clear).to.include({ cloud: 0, code: 0 });
    expect(now('240100G120KT 9999 FEW020')?.wind).to.be.closeTo(51.44, 0.01);
    expect(now('240100G120KT 9999 FEW020')?.gusts).to.be.closeTo(61.73, 0.01);
    expect(now('24036KMH 9999 FEW020')?.wind).to.be.closeTo(10, 0.001);
    expect(now('VRB02KT 9999 FEW020')?.direction).to.equal(null);
    expect(typed('XXMP 241150Z 24008KT 9999 FEW020 05/// Q1009')?.now).to.include({
      temperature: 5,
      dewPoint: null,
    });
    expect(typed('XXMP 241150Z 24008KT 9999 FEW020 M05/M07 Q1009')?.now).to.include({
      temperature: -5,
      dewPoint: -7,
    });
    expect(now('24008KT 0200 FG VV001')).to.include({ cloud: 1, code: 45 });
    expect(now('24008KT 1 1/0SM FEW020')?.visibility).to.equal(null);
    expect(now('24008KT M1/4SM FG VV002')?.visibility).to.be.closeTo(402, 1);
    // What is over there, or lies low, is not what it is like here.
    for (const [said, code] of [
      ['9999 VCFG FEW020', 1],
      ['9999 MIFG FEW020', 1],
      ['0800 BCFG FEW020', 1],
      ['0800 FEW020', 45],
      ['0500 DS FEW020', 31],
      ['0800 FU FEW020', 4],
      ['3000 HZ FEW020', 5],
      ['3000 GR OVC020', 89],
      ['3000 SG OVC020', 77],
      ['3000 PL OVC020', 79],
      ['3000 SHSN OVC020', 85],
      ['3000 FZRA OVC020', 66],
      ['3000 TSGR OVC020', 96],
      ['9999 FEW020 TEMPO 4000 RA', 1],
    ] as const)
      expect(now(`24008KT ${said}`)?.code, said).to.equal(code);
  });

  it('is done with mist once all is well', () => {
    const reading = typed(`METAR XXMP 241150Z 24008KT 3000 BR OVC004 05/03 Q1009
TAF XXMP 241100Z 2412/2518 24008KT 3000 BR OVC004 BECMG 2414/2416 CAVOK`);
    expect(reading?.hours[1]).to.include({ code: 10, cloud: 1 });
    expect(reading?.hours[6]).to.include({ code: 0, cloud: 0, visibility: 10_000 });
  });

  it('takes the hours ahead from its TAF, a group after the other', () => {
    const reading = typed(`METAR XXMP 241150Z 24008KT 9999 BKN025 05/03 Q1009
TAF XXMP 241100Z 2412/2518 24008KT 9999 BKN025 TX07/2414Z TN02/2506Z
  TEMPO 2414/2416 4000 RA
  FM250600 30020KT CAVOK`);
    const at = (hour: number) => reading?.hours[hour];
    expect(at(0)).to.include({ direction: 240, code: 3 });
    expect(at(2)).to.include({ code: 63, chance: 0.5 });
    expect(at(5)?.chance).to.equal(0.05);
    expect(at(18)).to.include({ direction: 300, cloud: 0, code: 0 });
    // Beyond the forecast nothing is known.
    expect(at(40)?.code).to.equal(null);
    expect(reading?.days.map(({ low, high }) => [low, high])).to.deep.equal([
      [null, 7],
      [2, null],
    ]);
  });

  it('knows which month a day is of, and says what is no report', () => {
    // The 31st, read on the 1st, was yesterday.
    const { metar } = readReports('XXMP 302350Z 24008KT 9999 OVC010 02/01 Q1009', Date.UTC(2026, 11, 1, 1));
    expect(metar?.issued.toISOString()).to.equal('2026-11-30T23:50:00.000Z');
    const wrong = readReports('good morning', NOON);
    expect(wrong.metar).to.equal(null);
    expect(wrong.problems).to.have.length(1);
    expect(typed('')).to.equal(null);
    expect(readReports('A'.repeat(1_000_000), NOON).metar).to.equal(null);
  });
});
