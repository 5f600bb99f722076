import { expect } from 'chai';
import { expandCalendar, NoCalendar, tickTask } from './expand.ts';
import { observatoryCalendar } from './simulate.ts';
import { spanAround } from './span.ts';

const ZONE = 'Europe/London';
const from = Date.UTC(2026, 0, 1);
const to = Date.UTC(2027, 0, 1);

const calendar = (...parts: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...parts, 'END:VCALENDAR'].join('\r\n');
const event = (...lines: string[]) =>
  ['BEGIN:VEVENT', 'UID:one', 'SUMMARY:Count', ...lines, 'END:VEVENT'].join('\r\n');

function starts(text: string, zone = ZONE): string[] {
  return expandCalendar(text, zone, from, to).events.map(({ start }) =>
    new Date(start).toISOString().slice(0, 16),
  );
}

describe('a calendar', () => {
  it('repeats as its rules say: a table worked by hand', () => {
    const at = 'DTSTART:20260105T090000Z';
    const table: [string, string[]][] = [
      ['FREQ=DAILY;COUNT=3', ['2026-01-05', '2026-01-06', '2026-01-07']],
      [
        'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE;COUNT=4',
        ['2026-01-05', '2026-01-07', '2026-01-19', '2026-01-21'],
      ],
      ['FREQ=MONTHLY;BYDAY=1MO;COUNT=3', ['2026-01-05', '2026-02-02', '2026-03-02']],
      [
        'FREQ=MONTHLY;BYDAY=-1FR;UNTIL=20260401T000000Z',
        ['2026-01-05', '2026-01-30', '2026-02-27', '2026-03-27'],
      ],
      ['FREQ=MONTHLY;BYMONTHDAY=31;COUNT=3', ['2026-01-05', '2026-01-31', '2026-03-31', '2026-05-31']],
      ['FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU;COUNT=2', ['2026-01-05', '2026-03-29']],
    ];
    for (const [rule, days] of table) {
      const found = starts(calendar(event(at, `RRULE:${rule}`))).map((start) => start.slice(0, 10));
      // Whether a first time that its rule doesn't name counts is left open by RFC 5545.
      const named = days[0] === '2026-01-05' && !found.includes('2026-01-05') ? days.slice(1) : days;
      expect(found.slice(0, named.length), rule).to.deep.equal(named.slice(0, found.length));
      expect(found.length, rule).to.be.within(named.length - 1, named.length);
    }
  });

  it('keeps to the wall clock when the clocks change, in its own zone and the desk’s', () => {
    const weekly = 'RRULE:FREQ=WEEKLY;COUNT=2';
    // Clocks go forward on 29 March 2026 in both.
    expect(starts(calendar(event('DTSTART;TZID=Europe/Berlin:20260327T090000', weekly)))).to.deep.equal([
      '2026-03-27T08:00',
      '2026-04-03T07:00',
    ]);
    expect(starts(calendar(event('DTSTART:20260327T090000', weekly)))).to.deep.equal([
      '2026-03-27T09:00',
      '2026-04-03T08:00',
    ]);
    // A zone of the file's own.
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Marsh time',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+0530',
      'TZOFFSETTO:+0530',
      'END:STANDARD',
      'END:VTIMEZONE',
    ].join('\r\n');
    expect(starts(calendar(zone, event('DTSTART;TZID=Marsh time:20260327T090000')))).to.deep.equal([
      '2026-03-27T03:30',
    ]);
  });

  it('has whole days from midnight to midnight, also those that are shorter or longer', () => {
    const whole = (day: string) =>
      expandCalendar(calendar(event(`DTSTART;VALUE=DATE:${day}`)), ZONE, from, to).events[0];
    for (const [day, hours] of [
      ['20260328', 24],
      ['20260329', 23],
      ['20261025', 25],
    ] as const) {
      const found = whole(day);
      expect(found?.isWholeDay).to.equal(true);
      expect(((found?.end ?? 0) - (found?.start ?? 0)) / 3_600_000, day).to.equal(hours);
    }
  });

  it('leaves out what was taken out, and moves what was moved', () => {
    const text = calendar(
      event('DTSTART:20260105T090000Z', 'RRULE:FREQ=DAILY;COUNT=4', 'EXDATE:20260106T090000Z'),
      event('RECURRENCE-ID:20260107T090000Z', 'DTSTART:20260107T150000Z', 'SUMMARY:Later'),
      event('DTSTART:20260201T090000Z', 'STATUS:CANCELLED').replace('UID:one', 'UID:two'),
    );
    expect(starts(text)).to.deep.equal(['2026-01-05T09:00', '2026-01-07T15:00', '2026-01-08T09:00']);
  });

  it('bounds what repeats without end, and says so', () => {
    const often = expandCalendar(
      calendar(event('DTSTART:20200101T000000Z', 'RRULE:FREQ=SECONDLY')),
      ZONE,
      from,
      to,
    );
    expect(often.events).to.be.empty;
    expect(often.problems[0]).to.include('repeats so often');
    const many = expandCalendar(
      calendar(event('DTSTART:20260101T000000Z', 'RRULE:FREQ=MINUTELY')),
      ZONE,
      from,
      to,
    );
    expect(many.events).to.have.length(2000);
  });

  it('says what is no calendar, and goes on past what is wrong in one', () => {
    for (const text of ['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD', 'BEGIN:VCALENDAR', '<html></html>'])
      expect(() => expandCalendar(text, ZONE, from, to), text).to.throw(NoCalendar);
    const mixed = expandCalendar(
      calendar(event('DTSTART:garbage').replace('UID:one', 'UID:bad'), event('DTSTART:20260105T090000Z')),
      ZONE,
      from,
      to,
    );
    expect(mixed.events.map(({ title }) => title)).to.include('Count');
  });

  it('has tasks, which are ticked without touching anything else', () => {
    const text = calendar(
      event('DTSTART:20260105T090000Z', 'X-OWN:kept'),
      ['BEGIN:VTODO', 'UID:net', 'SUMMARY:Mend the net', 'DUE:20260110T120000Z', 'END:VTODO'].join('\r\n'),
    );
    const tasks = (of: string) => expandCalendar(of, ZONE, from, to).tasks;
    expect(tasks(text)).to.deep.equal([
      { uid: 'net', title: 'Mend the net', due: Date.UTC(2026, 0, 10, 12), isDone: false },
    ]);
    const ticked = tickTask(text, 'net', true, Date.UTC(2026, 0, 9));
    expect(tasks(ticked)[0]?.isDone).to.equal(true);
    expect(ticked).to.include('COMPLETED:20260109T000000Z').and.to.include('X-OWN:kept');
    expect(tasks(tickTask(ticked, 'net', false, 0))[0]?.isDone).to.equal(false);
    expect(starts(ticked)).to.deep.equal(starts(text));
  });

  it('of the observatory is the same for the same seed, on the wall clock all year', () => {
    const one = observatoryCalendar(7, ZONE, from, to);
    expect(observatoryCalendar(7, ZONE, from, to)).to.deep.equal(one);
    expect(observatoryCalendar(8, ZONE, from, to)).to.not.deep.equal(one);
    const talks = one.events.filter(({ title }) => title === 'Evening talk');
    expect(talks).to.have.length(53);
    for (const { start, end } of one.events) expect(end).to.be.greaterThan(start);
    // A stretch gives the same events as the part of a longer one.
    const march = spanAround(Date.UTC(2026, 2, 10), ZONE);
    expect(observatoryCalendar(7, ZONE, march.from, march.to).events).to.deep.equal(
      one.events.filter(({ start }) => start >= march.from && start < march.to),
    );
  });
});
