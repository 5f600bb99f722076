import { expect } from 'chai';
import { plainWindows } from '../windows/schema.ts';
import { DAWN, dawnCount } from '../../tests/support/desks.ts';
import { fontsOf } from '../scene/look.ts';
import type { WidgetContext } from '../kinds/kind.ts';
import type { Expanded } from '../sources/calendar/calendar.ts';
import type { Feed } from '../sources/feeds.ts';
import { originAt, plainOutside, standIns, type Outside } from '../sources/outside.ts';
import { createReadings } from '../sources/readings.ts';
import { troublesOf, troubleTold } from '../sources/trouble.ts';
import { learnSources } from '../sources/learn.ts';
import { calendar, type CalendarFace } from './calendar/calendar.ts';
import * as calendarWork from './calendar/work.ts';
import { clock } from './clock/clock.ts';
import * as clockWork from './clock/work.ts';
import { headlines, type HeadlinesFace } from './headlines/headlines.ts';
import * as headlinesWork from './headlines/work.ts';
import { readout } from './readout/readout.ts';
import * as readoutWork from './readout/work.ts';
import { weather } from './weather/weather.ts';
import * as weatherWork from './weather/work.ts';

const HOUR = 3_600_000;
const outside: Outside = {
  ...plainOutside,
  calendars: [
    { id: 'own', title: 'Own', colour: 'second', from: { by: 'file', text: 'BEGIN:VCALENDAR' } },
    {
      id: 'far',
      title: 'Far',
      colour: 'accent',
      from: { by: 'address', address: standIns.calendar, every: 60 },
    },
  ],
  headlines: [
    { id: 'one', title: 'One', from: { by: 'address', address: 'https://marrow.example/one', every: 60 } },
  ],
};

function contextAt(
  moment: number,
  feeds: readonly Feed[],
  week: 'monday' | 'sunday' | 'saturday' = 'monday',
): WidgetContext {
  const desk = dawnCount();
  return {
    applications: desk.applications,
    workspaces: desk.workspaces,
    folders: [],
    windows: [],
    windowButtons: plainWindows.buttons,
    running: new Set(),
    workspace: 0,
    half: 'dark',
    fonts: fontsOf(desk.look),
    units: { ...desk.sources.units, week },
    readings: createReadings({ moment, place: desk.place, seed: desk.seed, outside, feeds }),
    textColour: (colour) => `#${colour}`,
    plainColour: () => '#203040',
    inkOn: () => '#f0f0f0',
    isPlain: false,
    isQuiet: false,
  };
}

const expanded = (id: string, more: Partial<Expanded>): Feed => ({
  source: 'calendar',
  origin: id,
  samples: [
    { moment: DAWN, reading: { from: 0, to: Infinity, events: [], tasks: [], problems: [], ...more } },
  ],
});

const at = (title: string, start: number, hours: number, isWholeDay = false) => ({
  title,
  place: 'Hide',
  start,
  end: start + hours * HOUR,
  isWholeDay,
});

const MIDNIGHT = Date.UTC(2026, 10, 24);
const feeds = [
  expanded('own', {
    events: [
      at('Watch', MIDNIGHT + 22 * HOUR, 6),
      at('Talk', MIDNIGHT + 18 * HOUR, 1),
      at('Count', MIDNIGHT + 6 * HOUR, 3),
      at('Great count', MIDNIGHT + 3 * 24 * HOUR, 48, true),
    ],
    tasks: [
      { uid: 'b', title: 'Later', due: MIDNIGHT + 30 * HOUR, isDone: false },
      { uid: 'c', title: 'Done', due: null, isDone: true },
      { uid: 'a', title: 'Now', due: MIDNIGHT + 12 * HOUR, isDone: false },
    ],
  }),
  expanded('far', { events: [at('Boat', MIDNIGHT + 26 * HOUR, 1)] }),
];

describe('the calendar', () => {
  before(() => learnSources());
  const view = (
    face: CalendarFace,
    options: object = {},
    moment = DAWN,
    week?: 'sunday' | 'saturday',
    read: readonly Feed[] = feeds,
  ) => calendarWork.view(calendar.options.parse(options), face, contextAt(moment, read, week));

  it('has the month in weeks that begin as wanted, numbered by their Thursdays', () => {
    const month = view('month', { weekNumbers: true });
    expect(month.title).to.equal('November 2026');
    expect(month.weekdays[0]).to.equal('Mo');
    expect(month.weeks.map(({ number }) => number)).to.deep.equal(['44', '45', '46', '47', '48', '49']);
    // By hand: 1 November 2026 is a Sunday.
    expect(month.weeks[0]?.days.map(({ figure, isIn }) => (isIn ? figure : '-')).join(' ')).to.equal(
      '- - - - - - 1',
    );
    const sunday = view('month', {}, DAWN, 'sunday');
    expect(sunday.weekdays[0]).to.equal('Su');
    expect(sunday.weeks).to.have.length(5);
    expect(sunday.weeks[0]?.days[0]).to.include({ figure: '1', isIn: true });
    expect(view('month', { weekStarts: 'saturday' }, DAWN, 'sunday').weekdays[0]).to.equal('Sa');
    // The last week of 2026 is its 53rd; 1 January 2027 is a Friday.
    const january = view('month', { weekNumbers: true }, Date.UTC(2027, 0, 5, 12));
    expect(january.weeks[0]?.number).to.equal('53');
    expect(
      month.weeks
        .flatMap(({ days }) => days)
        .filter(({ isToday }) => isToday)
        .map(({ figure }) => figure),
    ).to.deep.equal(['24']);
  });

  it('marks each day that an event touches, in the colour of its calendar', () => {
    const days = view('month')
      .weeks.flatMap((week) => week.days)
      .filter(({ isIn }) => isIn);
    const marks = (day: number) => days[day - 1]?.marks;
    expect(marks(24)).to.deep.equal(['#second']);
    // The watch goes on into the 25th, when the boat comes.
    expect(marks(25)).to.deep.equal(['#second', '#accent']);
    expect([27, 28, 29].map(marks)).to.deep.equal([['#second'], ['#second'], []]);
    expect(
      view('month', { only: 'far' })
        .weeks.flatMap(({ days: all }) => all)
        .filter(({ marks: some }) => some.length > 0),
    ).to.have.length(1);
    expect(
      view('month', { marks: false })
        .weeks.flatMap(({ days: all }) => all)
        .every(({ marks: some }) => some.length === 0),
    ).to.equal(true);
  });

  it('lists what comes, each day named once, and what goes on', () => {
    const { rows } = view('agenda');
    expect(rows.map(({ day, time, title, isNow }) => [day, time, title, isNow])).to.deep.equal([
      ['Today', '06:00', 'Count', true],
      [null, '18:00', 'Talk', false],
      [null, '22:00', 'Watch', false],
      ['Tomorrow', '02:00', 'Boat', false],
      ['Fri 27 Nov', 'all day', 'Great count', false],
    ]);
    expect(view('agenda', { rows: 2 }).rows).to.have.length(2);
    expect(view('agenda', { hours: '12' }).rows[1]?.time).to.equal('6:00 pm');
  });

  it('says what goes on, what comes next and how long until then', () => {
    expect(view('day').day?.told).to.equal('Count until 09:00');
    expect(view('day', {}, MIDNIGHT + 10 * HOUR).day?.told).to.equal('Talk at 18:00');
    expect(view('day', { only: 'far' }).day?.told).to.equal('Nothing more today');
    expect(view('day').day?.now).to.be.closeTo(0.3, 0.001);
    expect(view('next').next).to.include({
      title: 'Talk',
      until: 'in 10 h 48 min',
      told: 'Today 18:00, Hide',
    });
    expect(view('next', { only: 'far' }, MIDNIGHT).next?.until).to.equal('in 1 day 2 h');
    expect(view('next', {}, MIDNIGHT + 100 * HOUR).next).to.equal(null);
  });

  it('has tasks, those to do first and by when; only those of the desk can be ticked', () => {
    expect(view('tasks').tasks.map(({ title, due, isOwn }) => [title, due, isOwn])).to.deep.equal([
      ['Now', 'Today', true],
      ['Later', 'Tomorrow', true],
      ['Done', null, true],
    ]);
    expect(view('tasks', { done: false }).tasks).to.have.length(2);
    // Before a calendar was read, nobody can say that there is nothing to do.
    const said = (some: readonly Feed[]) => {
      const context = contextAt(DAWN, some);
      return calendarWork
        .layout(calendarWork.view(calendar.options.parse({}), 'tasks', context), 'tasks', context)
        .runs.map(({ text }) => text);
    };
    expect(said([])).to.deep.equal(['Being read…']);
    // One that stands in the desk takes a moment: nothing is said meanwhile.
    expect(said([expanded('far', {})])).to.deep.equal([]);
    expect(view('day', {}, MIDNIGHT + 10 * HOUR, undefined, [expanded('far', {})]).day?.told).to.equal('');
    expect(said([expanded('own', {}), expanded('far', {})])).to.deep.equal(['Nothing to do']);
  });
});

describe('headlines', () => {
  before(() => learnSources());
  const item = (title: string, hours: number, link = '') => ({
    title,
    text: '',
    link,
    moment: DAWN - hours * HOUR,
  });
  const fed: Feed[] = [
    {
      source: 'headlines',
      origin: originAt({ address: 'https://marrow.example/one', every: 60 }),
      samples: [
        {
          moment: DAWN,
          reading: {
            title: 'Theirs',
            items: [item('Old', 50), item('New', 0.1, 'https://marrow.example/new'), item('To come', -5)],
          },
        },
      ],
    },
  ];
  const shown = (face: HeadlinesFace, options: object = {}, moment = DAWN) => {
    const context = contextAt(moment, fed);
    const view = headlinesWork.view(headlines.options.parse(options), face, context);
    return { view, ...headlinesWork.layout(view, face, context) };
  };

  it('are the newest first, with their source and age; what is dated later is not said yet', () => {
    expect(shown('list').view.items.map(({ title, told }) => [title, told])).to.deep.equal([
      ['New', 'One, 6 min ago'],
      ['Old', 'One, 2 days ago'],
    ]);
    expect(shown('list').links.map(({ link }) => link)).to.deep.equal(['https://marrow.example/new']);
    expect(shown('list', {}, DAWN + 6 * HOUR).view.items[0]?.title).to.equal('To come');
  });

  it('come one at a time, each in its turn', () => {
    const titles = [0, 1, 2, 3].map(
      (minute) => shown('one', {}, DAWN + minute * 60_000).view.items[0]?.title,
    );
    expect(new Set(titles).size).to.equal(2);
    expect(titles[0]).to.equal(titles[2]);
    expect(titles[0]).to.not.equal(titles[1]);
  });

  it('pass where they are longer than their line, and take no more room for it', () => {
    const narrow = shown('passing', { width: 200, among: 1 });
    expect(narrow.size.width).to.equal(200);
    expect(narrow.passes?.beyond).to.be.greaterThan(0);
    expect(narrow.runs[0]?.ink.width).to.be.at.most(200);
    expect(shown('passing', { width: 2000, among: 1 }).passes).to.equal(null);
  });
});

describe('the readout', () => {
  before(() => learnSources());
  const shown = (options: object, moment = DAWN) => {
    const context = contextAt(moment, []);
    return readoutWork.view(readout.options.parse(options), 'plain', context);
  };

  it('says its text, line by line, and turns its colour while a condition holds', () => {
    expect(shown({ text: 'It is {time.hour}\n{place.name}' }).lines).to.deep.equal([
      'It is 7',
      'Marrow Point',
    ]);
    expect(shown({ text: 'x', turns: 'time.hour > 6' }).colour).to.equal('#alert');
    expect(shown({ text: 'x', turns: 'time.hour > 7', turned: 'second' }).colour).to.equal('#ink');
    expect(shown({ text: 'x', turns: 'time.hour' }).colour).to.equal('#ink');
    expect(shown({ text: '{{braces}}' }).lines).to.deep.equal(['{braces}']);
  });

  it('is as wide as it is told to be', () => {
    const context = contextAt(DAWN, []);
    const text = 'a word and another one, and more of them than there is room for in one line';
    const view = readoutWork.view(readout.options.parse({ text, width: 240 }), 'plain', context);
    const { runs, size } = readoutWork.layout(view, 'plain', context);
    expect(runs.length).to.be.greaterThan(2);
    expect(size.width).to.be.closeTo(240, 1);
    expect(runs.map((run) => run.text).join(' ')).to.equal(text);
  });
});

describe('the timer', () => {
  const figure = (options: object, moment = DAWN) =>
    clockWork.view(clock.options.parse(options), 'timer', contextAt(moment, [])).timer;

  it('waits, runs down, and counts on once it is over', () => {
    expect(figure({})).to.deep.equal({ figure: '25:00', share: 1, isRunning: false, isOver: false });
    expect(figure({ startedAt: DAWN - 60_000 })).to.include({ figure: '24:00', isRunning: true });
    expect(figure({ startedAt: DAWN - 60_000 })?.share).to.be.closeTo(0.96, 0.001);
    expect(figure({ startedAt: DAWN - 26 * 60_000 })).to.include({ figure: '1:00', share: 0, isOver: true });
    expect(figure({ minutes: 90, startedAt: DAWN })?.figure).to.equal('1:30:00');
    // A moment before it was started, on the ledge.
    expect(figure({ startedAt: DAWN + HOUR })?.figure).to.equal('25:00');
  });
});

describe('what can’t be read', () => {
  before(() => learnSources());

  it('is said with why, how old what is shown is, and when it is tried again', () => {
    const problem = { sentence: 'nobody answers there', since: DAWN - HOUR, again: DAWN + 300_000 };
    const origin = originAt({ address: standIns.calendar, every: 60 });
    const failing: Feed[] = [
      { source: 'text', origin, samples: [{ moment: DAWN - 2 * HOUR, reading: '' }], problem },
    ];
    const [first, ...others] = troublesOf('calendar', outside, failing);
    if (!first) throw new Error('No trouble');
    expect(others).to.deep.equal([]);
    expect(troubleTold(first, DAWN)).to.equal(
      'Not read: nobody answers there. What is shown is 2 h 0 min old. It is tried again in 5 min.',
    );
    expect(troublesOf('headlines', outside, failing)).to.deep.equal([]);
    expect(troubleTold({ ...first, good: null, problem: { ...problem, again: null } }, DAWN)).to.equal(
      'Not read: nobody answers there. Nothing was read yet.',
    );
  });

  it('leaves a weather of which nothing is known, on every face', () => {
    const context = contextAt(DAWN, []);
    for (const { id } of weather.faces) {
      const view = weatherWork.view(weather.options.parse({ from: 'station' }), id, context);
      expect(view.title, id).to.equal('No report yet');
      const { size, runs } = weatherWork.layout(view, id, context);
      expect(size.width * size.height, id).to.be.greaterThan(0);
      for (const { x, text } of runs) expect(x, `${id} ${text}`).to.satisfy(Number.isFinite);
    }
  });
});
