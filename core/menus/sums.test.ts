import { expect } from 'chai';
import { sumOf } from './sums.ts';

describe('sums', () => {
  /** Worked by hand. */
  const table: [string, string][] = [
    ['12 ft in m', '3.6576 m'],
    ['3 * 4.5', '13.5'],
    ['2 + 3 * 4', '14'],
    ['(2 + 3) * 4', '20'],
    ['-7 + 2', '-5'],
    ['2^10', '1024'],
    ['17 mod 5', '2'],
    ['0.1 + 0.2', '0.3'],
    ['20 km + 300 m', '20.3 km'],
    ['20 degC to degF', '68 degF'],
    ['36 km/h to m/s', '10 m/s'],
    ['1 nmi in m', '1852 m'],
    ['10 knots to km/h', '18.52 km/h'],
    ['sqrt(1369)', '37'],
    ['max(3, 8, 5)', '8'],
    ['sin(90 deg)', '1'],
    ['2 * pi', '6.283185307'],
    ['2 pi', '6.283185307'],
    ['100 km / 2 h', '50 km/h'],
    ['20 m * 30 m', '600 m^2'],
    ['2 m * 50 cm', '1 m^2'],
    ['6 kW * 2 h', '12 kW h'],
    ['1 / (4 s)', '0.25 s^-1'],
    ['90 min in hours', '1.5 hours'],
    ['1 h + 30 min', '1.5 h'],
    ['min(3, 2)', '2'],
    ['30 mph in km/h', '48.28032 km/h'],
    ['29.92 inHg in hPa', '1013.207589 hPa'],
    ['100 Mbit/s in MB/s', '12.5 MB/s'],
    ['100 Mbit / 8 s', '12.5 Mb/s'],
    ['15% of 80', '12'],
    ['15 % of 80 km', '12 km'],
  ];
  for (const [text, result] of table) it(`${text} is ${result}`, () => expect(sumOf(text)).to.equal(result));

  it('come to the same whatever was typed before', () => {
    const once = sumOf('20 m * 30 m');
    for (const typed of ['3 acre in m^2', '5 knots to km/h', '2 hectare in m^2', '1 mi / 2 h', '3 J / 2 s'])
      sumOf(typed);
    expect(sumOf('20 m * 30 m')).to.equal(once);
    expect(sumOf('100 km / 2 h')).to.equal('50 km/h');
    expect(sumOf('12 N * 2 m')).to.equal('24 N m');
  });

  it('are not what is typed to find something, nor what says nothing new', () => {
    for (const text of ['', ' ', 'tallybook', 'week 12', '12', '12 ft', 'e', 'm', '5 5', 'tide 3 m'])
      expect(sumOf(text), text).to.equal(null);
  });

  it('end where there is no answer', () => {
    for (const text of ['1/0', '0/0', '9^9^9', 'log(0)', 'sqrt(-1)', '3 m + 2 s', '3 +', '(2']) {
      expect(sumOf(text), text).to.equal(null);
    }
  });

  it('give nothing a name, run nothing, and make nothing large', () => {
    const hostile = [
      'x = 5',
      'f(x) = x^2',
      'import({a: 1})',
      'createUnit("gull")',
      'evaluate("1 + 1")',
      'parse("1")',
      'config({number: "BigNumber"})',
      '1:1e9',
      '[1, 2, 3]',
      '{a: 1}.a',
      '"a".constructor',
      'cos.constructor("return 1")()',
      '5!',
      '170!',
      'zeros(1e5, 1e5)',
      'ones(1000000)',
      '1; 2',
      '2 > 1 ? 3 : 4',
      'toString()',
      '__proto__ + 1',
      'constructor(1)',
      `${'('.repeat(60)}1+1${')'.repeat(60)}`,
      `1${'+1'.repeat(59)}`,
      '1+'.repeat(500) + '1',
    ];
    for (const text of hostile) expect(sumOf(text), text).to.equal(null);
  });
});
