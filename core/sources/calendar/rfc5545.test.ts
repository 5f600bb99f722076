import { expect } from 'chai';
import { expandCalendar } from './expand.ts';

/**
 * The examples of RFC 5545 (section 3.8.5.3), each with the times that stand beside it there: as the wall clock in New
 * York shows them. A list that goes on in the text is compared as far as it goes there.
 */
const ZONE = 'America/New_York';
const NINE = 'T0900';

/** Days of one month: `days('1997-09', 2, 3)`. */
const days = (month: string, ...list: number[]) =>
  list.map((day) => `${month}-${String(day).padStart(2, '0')}${NINE}`);
const run = (month: string, from: number, to: number) =>
  days(month, ...Array.from({ length: to - from + 1 }, (_, index) => from + index));
const each = (years: readonly number[], ...monthDays: string[]) =>
  years.flatMap((year) => monthDays.map((day) => `${year}-${day}${NINE}`));

interface Example {
  rule: string;
  times: string[];
  /** Another beginning than 2 September 1997. */
  start?: string;
  more?: string[];
  goesOn?: true;
}

const januaries = [1998, 1999, 2000].flatMap((year) => run(`${year}-01`, 1, 31));
const daily97 = [
  ...run('1997-09', 2, 30),
  ...run('1997-10', 1, 31),
  ...run('1997-11', 1, 30),
  ...run('1997-12', 1, 23),
];

const examples: Example[] = [
  { rule: 'FREQ=DAILY;COUNT=10', times: run('1997-09', 2, 11) },
  { rule: 'FREQ=DAILY;UNTIL=19971224T000000Z', times: daily97 },
  {
    rule: 'FREQ=DAILY;INTERVAL=2',
    times: [
      ...days('1997-09', 2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30),
      ...days('1997-10', 2, 4, 6),
    ],
    goesOn: true,
  },
  {
    rule: 'FREQ=DAILY;INTERVAL=10;COUNT=5',
    times: [...days('1997-09', 2, 12, 22), ...days('1997-10', 2, 12)],
  },
  {
    start: '19980101T090000',
    rule: 'FREQ=YEARLY;UNTIL=20000131T140000Z;BYMONTH=1;BYDAY=SU,MO,TU,WE,TH,FR,SA',
    times: januaries,
  },
  { start: '19980101T090000', rule: 'FREQ=DAILY;UNTIL=20000131T140000Z;BYMONTH=1', times: januaries },
  {
    rule: 'FREQ=WEEKLY;COUNT=10',
    times: [...days('1997-09', 2, 9, 16, 23, 30), ...days('1997-10', 7, 14, 21, 28), ...days('1997-11', 4)],
  },
  {
    rule: 'FREQ=WEEKLY;UNTIL=19971224T000000Z',
    times: [
      ...days('1997-09', 2, 9, 16, 23, 30),
      ...days('1997-10', 7, 14, 21, 28),
      ...days('1997-11', 4, 11, 18, 25),
      ...days('1997-12', 2, 9, 16, 23),
    ],
  },
  {
    rule: 'FREQ=WEEKLY;INTERVAL=2;WKST=SU',
    times: [
      ...days('1997-09', 2, 16, 30),
      ...days('1997-10', 14, 28),
      ...days('1997-11', 11, 25),
      ...days('1997-12', 9, 23),
      ...days('1998-01', 6, 20),
      ...days('1998-02', 3, 17),
    ],
    goesOn: true,
  },
  {
    rule: 'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
    times: [...days('1997-09', 2, 4, 9, 11, 16, 18, 23, 25, 30), ...days('1997-10', 2)],
  },
  {
    rule: 'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
    times: [...days('1997-09', 2, 4, 9, 11, 16, 18, 23, 25, 30), ...days('1997-10', 2)],
  },
  {
    start: '19970901T090000',
    rule: 'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR',
    times: [
      ...days('1997-09', 1, 3, 5, 15, 17, 19, 29),
      ...days('1997-10', 1, 3, 13, 15, 17, 27, 29, 31),
      ...days('1997-11', 10, 12, 14, 24, 26, 28),
      ...days('1997-12', 8, 10, 12, 22),
    ],
  },
  {
    rule: 'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
    times: [...days('1997-09', 2, 4, 16, 18, 30), ...days('1997-10', 2, 14, 16)],
  },
  {
    start: '19970905T090000',
    rule: 'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
    times: [
      ...each([1997], '09-05', '10-03', '11-07', '12-05'),
      ...each([1998], '01-02', '02-06', '03-06', '04-03', '05-01', '06-05'),
    ],
  },
  {
    start: '19970905T090000',
    rule: 'FREQ=MONTHLY;UNTIL=19971224T000000Z;BYDAY=1FR',
    times: each([1997], '09-05', '10-03', '11-07', '12-05'),
  },
  {
    start: '19970907T090000',
    rule: 'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU',
    times: [
      ...each([1997], '09-07', '09-28', '11-02', '11-30'),
      ...each([1998], '01-04', '01-25', '03-01', '03-29', '05-03', '05-31'),
    ],
  },
  {
    start: '19970922T090000',
    rule: 'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
    times: [...each([1997], '09-22', '10-20', '11-17', '12-22'), ...each([1998], '01-19', '02-16')],
  },
  {
    start: '19970928T090000',
    rule: 'FREQ=MONTHLY;BYMONTHDAY=-3',
    times: [...each([1997], '09-28', '10-29', '11-28', '12-29'), ...each([1998], '01-29', '02-26')],
    goesOn: true,
  },
  {
    rule: 'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15',
    times: [
      ...each([1997], '09-02', '09-15', '10-02', '10-15', '11-02', '11-15', '12-02', '12-15'),
      ...each([1998], '01-02', '01-15'),
    ],
  },
  {
    start: '19970930T090000',
    rule: 'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1',
    times: [
      ...each([1997], '09-30', '10-01', '10-31', '11-01', '11-30', '12-01', '12-31'),
      ...each([1998], '01-01', '01-31', '02-01'),
    ],
  },
  {
    start: '19970910T090000',
    rule: 'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15',
    times: [...run('1997-09', 10, 15), ...run('1999-03', 10, 13)],
  },
  {
    rule: 'FREQ=MONTHLY;INTERVAL=2;BYDAY=TU',
    times: [
      ...days('1997-09', 2, 9, 16, 23, 30),
      ...days('1997-11', 4, 11, 18, 25),
      ...days('1998-01', 6, 13, 20, 27),
      ...days('1998-03', 3, 10, 17, 24, 31),
    ],
    goesOn: true,
  },
  {
    start: '19970610T090000',
    rule: 'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
    times: each([1997, 1998, 1999, 2000, 2001], '06-10', '07-10'),
  },
  {
    start: '19970310T090000',
    rule: 'FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3',
    times: [...each([1997], '03-10'), ...each([1999, 2001, 2003], '01-10', '02-10', '03-10')],
  },
  {
    start: '19970101T090000',
    rule: 'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
    times: [
      ...each([1997], '01-01', '04-10', '07-19'),
      ...each([2000], '01-01', '04-09', '07-18'),
      ...each([2003], '01-01', '04-10', '07-19'),
      ...each([2006], '01-01'),
    ],
  },
  {
    start: '19970519T090000',
    rule: 'FREQ=YEARLY;BYDAY=20MO',
    times: each([1997], '05-19').concat(each([1998], '05-18'), each([1999], '05-17')),
    goesOn: true,
  },
  {
    start: '19970512T090000',
    rule: 'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO',
    times: each([1997], '05-12').concat(each([1998], '05-11'), each([1999], '05-17')),
    goesOn: true,
  },
  {
    start: '19970313T090000',
    rule: 'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
    times: [
      ...days('1997-03', 13, 20, 27),
      ...days('1998-03', 5, 12, 19, 26),
      ...days('1999-03', 4, 11, 18, 25),
    ],
    goesOn: true,
  },
  {
    start: '19970605T090000',
    rule: 'FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8',
    times: [
      ...days('1997-06', 5, 12, 19, 26),
      ...days('1997-07', 3, 10, 17, 24, 31),
      ...days('1997-08', 7, 14, 21, 28),
      ...days('1998-06', 4, 11, 18, 25),
      ...days('1998-07', 2, 9, 16, 23, 30),
      ...days('1998-08', 6, 13, 20, 27),
      ...days('1999-06', 3, 10, 17, 24),
      ...days('1999-07', 1, 8, 15, 22, 29),
      ...days('1999-08', 5, 12, 19, 26),
    ],
    goesOn: true,
  },
  {
    rule: 'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
    more: ['EXDATE;TZID=America/New_York:19970902T090000'],
    times: each([1998], '02-13', '03-13', '11-13').concat(each([1999], '08-13'), each([2000], '10-13')),
    goesOn: true,
  },
  {
    start: '19970913T090000',
    rule: 'FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13',
    times: [
      ...each([1997], '09-13', '10-11', '11-08', '12-13'),
      ...each([1998], '01-10', '02-07', '03-07', '04-11', '05-09', '06-13'),
    ],
    goesOn: true,
  },
  {
    start: '19961105T090000',
    rule: 'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
    times: each([1996], '11-05').concat(each([2000], '11-07'), each([2004], '11-02')),
    goesOn: true,
  },
  {
    start: '19970904T090000',
    rule: 'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3',
    times: each([1997], '09-04', '10-07', '11-06'),
  },
  {
    start: '19970929T090000',
    rule: 'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
    times: [...each([1997], '09-29', '10-30', '11-27', '12-30'), ...each([1998], '01-29', '02-26', '03-30')],
    goesOn: true,
  },
  {
    rule: 'FREQ=HOURLY;INTERVAL=3;UNTIL=19970902T210000Z',
    // As its erratum has it: the end is 17:00 in New York.
    times: ['1997-09-02T0900', '1997-09-02T1200', '1997-09-02T1500'],
  },
  {
    rule: 'FREQ=MINUTELY;INTERVAL=15;COUNT=6',
    times: ['0900', '0915', '0930', '0945', '1000', '1015'].map((time) => `1997-09-02T${time}`),
  },
  {
    rule: 'FREQ=MINUTELY;INTERVAL=90;COUNT=4',
    times: ['0900', '1030', '1200', '1330'].map((time) => `1997-09-02T${time}`),
  },
  ...[
    'FREQ=DAILY;BYHOUR=9,10,11,12,13,14,15,16;BYMINUTE=0,20,40',
    'FREQ=MINUTELY;INTERVAL=20;BYHOUR=9,10,11,12,13,14,15,16',
  ].map((rule): Example => ({
    rule,
    times: [2, 3].flatMap((day) =>
      Array.from({ length: 24 }, (_, index) => {
        const [hour, minute] = [9 + Math.floor(index / 3), (index % 3) * 20];
        return `1997-09-0${day}T${String(hour).padStart(2, '0')}${String(minute).padStart(2, '0')}`;
      }),
    ),
    goesOn: true,
  })),
  {
    start: '19970805T090000',
    rule: 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO',
    times: days('1997-08', 5, 10, 19, 24),
  },
  {
    start: '19970805T090000',
    rule: 'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU',
    times: days('1997-08', 5, 17, 19, 31),
  },
  {
    start: '20070115T090000',
    rule: 'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
    times: each([2007], '01-15', '01-30', '02-15', '03-15', '03-30'),
  },
];

describe('the examples of RFC 5545', () => {
  const wall = new Intl.DateTimeFormat('sv-SE', {
    timeZone: ZONE,
    dateStyle: 'short',
    timeStyle: 'short',
  });
  const shown = (moment: number) => wall.format(moment).replace(' ', 'T').replace(':', '');
  const found = ({ rule, start = '19970902T090000', more = [] }: Example, from: number, to: number) =>
    expandCalendar(
      [
        'BEGIN:VCALENDAR',
        'BEGIN:VEVENT',
        'UID:example',
        `DTSTART;TZID=${ZONE}:${start}`,
        `RRULE:${rule}`,
        ...more,
        'END:VEVENT',
        'END:VCALENDAR',
      ].join('\r\n'),
      'Europe/London',
      from,
      to,
    );

  it('are all there', () => expect(examples).to.have.length(42));

  for (const example of examples)
    it(example.rule, () => {
      const { events, problems } = found(example, Date.UTC(1996, 0, 1), Date.UTC(2009, 0, 1));
      const times = events.map(({ start }) => shown(start));
      expect(problems.filter((problem) => !problem.includes('left out'))).to.be.empty;
      expect(example.goesOn ? times.slice(0, example.times.length) : times).to.deep.equal(example.times);
      if (example.goesOn) expect(times.length).to.be.greaterThan(example.times.length);
    });

  it('come out of a later stretch as they do out of the whole', () => {
    for (const example of examples) {
      const whole = found(example, Date.UTC(1996, 0, 1), Date.UTC(2009, 0, 1)).events;
      for (const year of [1997, 1998, 2000, 2003]) {
        const [from, to] = [Date.UTC(year, 8, 5), Date.UTC(year, 9, 20)];
        const part = found(example, from, to).events.filter(({ start }) => start >= from);
        const expected = whole.filter(({ start }) => start >= from && start < to);
        // What is cut at so many events is no measure.
        if (whole.length < 2000) expect(part, `${example.rule} in ${year}`).to.deep.equal(expected);
      }
    }
  });
});
