import { expect } from 'chai';
import { plainWindows } from '../windows/schema.ts';
import { DAWN, dawnCount } from '../../tests/support/desks.ts';
import type { WidgetContext } from '../kinds/kind.ts';
import { unknownMachine, type MachineReading } from '../sources/machine/machine.ts';
import { fontsOf } from '../scene/look.ts';
import type { Feed } from '../sources/feeds.ts';
import { createReadings } from '../sources/readings.ts';
import { steadyWidth } from '../text/measure.ts';
import { clock, type ClockFace } from './clock/clock.ts';
import { timeInWords } from './clock/words.ts';
import * as clockWork from './clock/work.ts';
import { isInside, overlaps } from '../values/geometry.ts';
import { almanac, type AlmanacFace } from './almanac/almanac.ts';
import * as almanacWork from './almanac/work.ts';
import { battery } from './battery/battery.ts';
import * as batteryWork from './battery/work.ts';
import { weather, type WeatherFace } from './weather/weather.ts';
import * as weatherWork from './weather/work.ts';
import { widgetKinds } from './list.ts';
import { machine, type MachineFace } from './machine/machine.ts';
import * as machineWork from './machine/work.ts';

function contextAt(moment = DAWN, feeds?: readonly Feed[]): WidgetContext {
  const desk = dawnCount();
  return {
    applications: desk.applications,
    workspaces: desk.workspaces,
    folders: [],
    windows: [],
    windowButtons: plainWindows.buttons,
    running: new Set(),
    workspace: 0,
    half: 'dark' as const,
    fonts: fontsOf(desk.look),
    units: desk.sources.units,
    readings: createReadings({ moment, place: desk.place, seed: desk.seed, feeds }),
    textColour: (colour) => `#${colour}`,
    plainColour: () => '#203040',
    inkOn: () => '#f0f0f0',
    isPlain: false,
    isQuiet: false,
  };
}

describe('widgets', () => {
  it('all have a title, a summary, faces with names, and options with defaults', () => {
    for (const kind of widgetKinds) {
      expect(kind.title).to.match(/^[A-Z]/);
      expect(kind.faces.length, kind.type).to.be.greaterThan(1);
      expect(new Set(kind.faces.map(({ id }) => id)).size, kind.type).to.equal(kind.faces.length);
      expect(kind.options.safeParse({}).success, kind.type).to.equal(true);
    }
  });
});

describe('the clock', () => {
  const view = (options: object = {}, moment = DAWN) =>
    clockWork.view(clock.options.parse(options), 'serif', contextAt(moment));

  it('tells the time of the desk, or of another zone', () => {
    expect(view()).to.include({
      hours: '07',
      minutes: '12',
      seconds: null,
      period: null,
      date: 'Tuesday 24 November',
    });
    expect(view({ zone: 'America/New_York' })).to.include({ hours: '02', minutes: '12' });
    expect(view({ zone: 'Pacific/Auckland', date: 'EEE' })).to.include({ hours: '20', date: 'Tue' });
  });

  it('counts in twelve hours, with noon and midnight as twelve', () => {
    const at = (hour: number) => view({ hours: '12' }, Date.UTC(2026, 10, 24, hour, 5));
    expect([at(0), at(11), at(12), at(23)].map(({ hours, period }) => `${hours} ${period}`)).to.deep.equal([
      '12 am',
      '11 am',
      '12 pm',
      '11 pm',
    ]);
  });

  it('turns its hands', () => {
    expect(view({ seconds: true }, DAWN + 15_000).hands).to.deep.equal({
      hour: 7.2 * 30,
      minute: 72,
      second: 90,
    });
    expect(view().hands.second).to.equal(null);
  });

  it('goes through a night in which the clocks change', () => {
    const before = Date.UTC(2026, 9, 25, 0, 59);
    expect(view({}, before).hours).to.equal('01');
    expect(view({}, before + 60_000).hours).to.equal('01');
    expect(view({}, before + 61 * 60_000).hours).to.equal('02');
  });

  it('has room for all that it shows, on every face', () => {
    // The ring keeps its size, and the others show neither date nor seconds.
    for (const id of ['serif', 'stack', 'hands', 'line', 'words'] as const) {
      const size = (options: object) => {
        const shown = clockWork.view(clock.options.parse(options), id, contextAt());
        return clockWork.layout(shown, id, contextAt()).size;
      };
      const plain = size({ date: '' });
      const full = size({ seconds: true, hours: '12', date: "EEEE d MMMM yyyy 'at the point'" });
      expect(full.width, id).to.be.greaterThan(plain.width);
      expect(full.height, id).to.be.at.least(plain.height);
    }
    const { runs, size } = clockWork.layout(view({ date: '' }), 'serif', contextAt());
    const style = { font: contextAt().fonts.display, size: 168, weight: 200, spacing: -0.03 };
    // Whatever the time, without the little room that the font keeps at both ends.
    expect(size.width).to.be.within(steadyWidth('07:12', style) * 0.93, steadyWidth('07:12', style) * 1.02);
    expect(runs[0]?.ink.x).to.equal(0);
  });

  it('asks for its colour as text', () => {
    expect(view({ colour: 'accent' }).colour).to.equal('#accent');
  });
});

describe('the machine', () => {
  const live = (reading: Partial<MachineReading>): Feed[] => [
    {
      source: 'machine',
      origin: 'this-machine',
      samples: [{ moment: DAWN, reading: { ...unknownMachine, ...reading } }],
    },
  ];
  const view = (options: object, readings?: Feed[], face: 'rings' | 'graph' = 'rings') =>
    machineWork.view(machine.options.parse(options), face, contextAt(DAWN, readings));

  it('shows what is chosen, in order', () => {
    expect(view({ network: true, disk: false }).meters.map(({ id }) => id)).to.deep.equal([
      'processor',
      'memory',
      'network',
    ]);
    expect(view({ processor: false, memory: false, disk: false }).notice).to.equal('Nothing chosen to show');
  });

  it('reads this machine, with what is not available as such', () => {
    const GB = 2 ** 30;
    const { meters, notice } = view(
      { from: 'this-machine', network: true },
      live({ processor: 41.6, memory: { used: 4 * GB, total: 16 * GB } }),
    );
    expect(notice).to.equal(null);
    expect(meters.map(({ figure, unit }) => `${figure}${unit}`)).to.deep.equal(['42%', '25%', '–', '–']);
    expect(meters[1]?.detail).to.equal('4.0 GB of 16.0 GB');
    expect(meters[2]).to.include({ share: null, detail: 'not available' });
  });

  it('waits for the first reading', () => {
    expect(view({ from: 'this-machine' }).notice).to.equal('Waiting for this machine');
  });

  it('measures the network by tenfolds, from a kilobyte to ten megabytes a second', () => {
    const share = (down: number) =>
      view({ from: 'this-machine', network: true }, live({ network: { down, up: 0 } })).meters[3]?.share;
    expect([share(0), share(1000), share(100_000), share(10_000_000), share(1e12)]).to.deep.equal([
      0, 0, 0.5, 1, 1,
    ]);
  });

  it('draws its graph over the span that is asked for, with gaps where nothing is known', () => {
    const { series } = view({ span: 60, network: true }, undefined, 'graph');
    expect(series).to.have.length(4);
    expect(series?.[0]).to.have.length(60);
    expect(series?.flat().every((share) => share !== null && share >= 0 && share <= 1)).to.equal(true);
    const own = view({ from: 'this-machine', span: 60 }, live({ processor: 50 }), 'graph').series?.[0];
    expect(own?.at(-1)).to.equal(0.5);
    expect(own?.slice(0, -1).every((share) => share === null)).to.equal(true);
  });

  // The other two show parts of one meter.
  it('grows with what it shows', () => {
    for (const { id } of machine.faces.slice(0, 4)) {
      const size = (options: object) => {
        const shown = machineWork.view(machine.options.parse(options), id, contextAt());
        return machineWork.layout(shown, id, contextAt()).size;
      };
      const one = size({ memory: false, disk: false });
      const four = size({ network: true });
      expect(four.width * four.height, id).to.be.greaterThan(one.width * one.height);
    }
  });
});

describe('the machine in parts', () => {
  const feed = (reading: Partial<MachineReading>): Feed[] => [
    {
      source: 'machine',
      origin: 'this-machine',
      samples: [{ moment: DAWN, reading: { ...unknownMachine, ...reading } }],
    },
  ];
  const shown = (face: MachineFace, reading: Partial<MachineReading> | null, options: object = {}) => {
    const context = contextAt(DAWN, reading ? feed(reading) : undefined);
    const view = machineWork.view(machine.options.parse({ from: 'this-machine', ...options }), face, context);
    return { view, ...machineWork.layout(view, face, context) };
  };

  it('has a bar for each core, as many as there are', () => {
    for (const count of [1, 4, 8, 24]) {
      const { marks, size } = shown('cores', {
        processor: 20,
        cores: Array.from({ length: count }, () => 20),
      });
      expect(marks).to.have.length(count);
      for (const mark of marks) {
        expect(mark.x).to.be.at.least(0);
        expect(mark.x + mark.width).to.be.at.most(size.width + 0.01);
        expect(mark.y + mark.height).to.be.at.most(size.height + 0.01);
      }
      marks.forEach((mark, index) => {
        for (const other of marks.slice(index + 1)) expect(overlaps(mark, other)).to.equal(false);
      });
    }
  });

  it('tells temperatures in the units wanted, and what it can’t tell as such, never as 0', () => {
    const heat = { temperatures: [{ name: 'Processor', celsius: 50 }] };
    expect(shown('heat', heat).runs.map(({ text }) => text)).to.deep.equal(['Processor', '50°']);
    expect(shown('heat', heat, { temperatureIn: 'f' }).runs[1]?.text).to.equal('122°');
    for (const [face, said] of [
      ['heat', /temperatures/],
      ['cores', /cores/],
      ['disks', /disks/],
      ['links', /networks/],
      ['busiest', /what runs/],
    ] as const) {
      const { runs, marks } = shown(face, {});
      expect(runs.map(({ text }) => text).join(' ')).to.match(said);
      expect(marks).to.deep.equal([]);
    }
    const disks = [
      { mount: '/', used: 3 * 2 ** 30, total: 12 * 2 ** 30 },
      { mount: '/a/very/long/mount/of/a/ledger', used: 0, total: 2 ** 30 },
    ];
    expect(shown('disks', { disks }).view.rows).to.deep.equal([
      { name: '/', told: '3.0 GB of 12.0 GB', share: 0.25 },
      { name: '/a/very/long/moun…', told: '0 B of 1.0 GB', share: 0 },
    ]);
    expect(shown('disks', { disks }, { rows: 1 }).marks).to.have.length(1);
    // Those of one's own choice, in its order, however many rows there would be; one that is not there says so.
    const mounts = [{ name: disks[1]?.mount }, { name: '/gone' }, { name: '/' }];
    const chosen = shown('disks', { disks }, { rows: 1, mounts }).view.rows;
    expect(chosen.map(({ name, told }) => `${name} ${told}`)).to.deep.equal([
      '/a/very/long/moun… 0 B of 1.0 GB',
      '/gone not there',
      '/ 3.0 GB of 12.0 GB',
    ]);
    const processes = [{ name: 'tallybook', processor: 12.4, memory: 2 ** 20 }];
    expect(shown('busiest', { processes }).runs.map(({ text }) => text)).to.deep.equal([
      'tallybook',
      '12 %, 1.0 MB',
    ]);
    const networks = [{ name: 'cable', down: 1000, up: 0, received: 2 ** 30, sent: 0 }];
    expect(shown('links', { networks }).runs[1]?.text).to.equal('1.0 kB/s, 1.0 GB in all');
    const none = shown('links', { networks }, { interfaces: [{ name: 'radio' }] });
    expect(none.runs.map(({ text }) => text)).to.deep.equal(['radio', 'not there']);
    expect(shown('heat', null).view.notice).to.equal('Waiting for this machine');
  });
});

describe('the battery', () => {
  const shown = (value: MachineReading['battery'] | 'none', from = 'this-machine') => {
    const feeds: Feed[] = [
      {
        source: 'machine',
        origin: 'this-machine',
        samples: [{ moment: DAWN, reading: { ...unknownMachine, battery: value === 'none' ? null : value } }],
      },
    ];
    return batteryWork.view(battery.options.parse({ from }), 'cell', contextAt(DAWN, feeds));
  };

  it('says how full it is and for how long, and when it is nearly empty', () => {
    expect(shown({ charge: 0.72, isCharging: false, left: 11_400 })).to.include({
      figure: '72 %',
      told: '3 h 10 min left',
      isLow: false,
    });
    expect(shown({ charge: 0.4, isCharging: true, left: 2400 }).told).to.equal('Full in 40 min');
    expect(shown({ charge: 0.12, isCharging: false, left: null })).to.include({
      told: 'On battery',
      isLow: true,
    });
    expect(shown({ charge: 0.12, isCharging: true, left: null })).to.include({
      told: 'Charging',
      isLow: false,
    });
    expect(shown({ charge: 1, isCharging: false, left: null }).told).to.equal('Full');
  });

  it('says when there is none, and when nothing is known yet', () => {
    expect(shown('none')).to.include({ figure: '–', told: 'This machine has no battery', charge: null });
    const waiting = batteryWork.view(battery.options.parse({ from: 'this-machine' }), 'cell', contextAt());
    expect(waiting.told).to.equal('Waiting for this machine');
  });
});

describe('faces of the clock', () => {
  const view = (face: ClockFace, options: object = {}, moment = DAWN) =>
    clockWork.view(clock.options.parse(options), face, contextAt(moment));
  const at = (hour: number, minute: number) => timeInWords(hour, minute).join(' ');

  it('say the time as it is said, to the minute', () => {
    const said = [
      [7, 0],
      [7, 12],
      [7, 15],
      [7, 30],
      [7, 45],
      [7, 31],
      [7, 59],
      [12, 0],
      [0, 0],
      [23, 40],
      [11, 55],
      [0, 5],
      [13, 1],
    ] as const;
    expect(said.map(([hour, minute]) => at(hour, minute))).to.deep.equal([
      'seven o’clock',
      'twelve minutes past seven',
      'quarter past seven',
      'half past seven',
      'quarter to eight',
      'twenty-nine minutes to eight',
      'one minute to eight',
      'noon',
      'midnight',
      'twenty to midnight',
      'five to noon',
      'five past midnight',
      'one minute past one',
    ]);
    // No two minutes of half a day are said alike.
    const all = Array.from({ length: 720 }, (_, minute) => at(Math.floor(minute / 60), minute % 60));
    expect(new Set(all).size).to.equal(720);
  });

  it('list zones with how far they are from here, across midnight and with quarters of hours', () => {
    const zones = ['', 'UTC', 'Asia/Kathmandu', 'America/New_York', 'Pacific/Kiritimati'].map((zone) => ({
      zone,
      name: '',
    }));
    const late = Date.UTC(2026, 10, 24, 22, 30);
    expect(view('zones', { zones }, late).zones).to.deep.equal([
      { name: 'Marrow Point', time: '22:30', difference: 'the same' },
      { name: 'UTC', time: '22:30', difference: 'the same' },
      { name: 'Kathmandu', time: '04:15', difference: '+5 h 45, tomorrow' },
      { name: 'New York', time: '17:30', difference: '−5 h' },
      { name: 'Kiritimati', time: '12:30', difference: '+14 h, tomorrow' },
    ]);
    // In summer this place is an hour ahead of UTC.
    expect(view('zones', {}, Date.UTC(2026, 6, 1, 12)).zones[1]?.difference).to.equal('−1 h');
  });

  it('count to a day on the wall clock of the place, through a change of the clocks, and on after it', () => {
    const left = (until: string, moment: number) => {
      const { parts = [], what } = view('until', { until, what: 'the tide' }, moment).until ?? {};
      return `${parts.map(({ figure, unit }) => figure + unit).join(' ')} ${what ?? ''}`;
    };
    expect(left('2026-11-25 08:13', DAWN)).to.equal('1d 01h 01min until the tide');
    expect(left('2026-11-24 07:30', DAWN + 20_000)).to.equal('0h 18min until the tide');
    expect(left('2026-11-24 06:12', DAWN)).to.equal('1h 00min since the tide');
    // The clocks go forward in between: a day of 23 hours.
    expect(left('2027-03-28 12:00', Date.UTC(2027, 2, 27, 12))).to.equal('23h 00min until the tide');
    expect(clock.options.safeParse({ until: '2027-02-30 06:00' }).success).to.equal(false);
    expect(clock.options.safeParse({ until: 'tomorrow' }).success).to.equal(false);
  });

  it('have a ring with the day of the place on it, noon above', () => {
    const { day } = view('ring');
    expect(day?.now).to.be.closeTo(7.2 / 24, 0.001);
    expect(day?.up?.from).to.be.closeTo(7.85 / 24, 0.003);
    const { dial } = clockWork.layout(
      view('ring', { date: "EEEE d MMMM yyyy 'and a long word'" }),
      'ring',
      contextAt(),
    );
    expect(dial?.width).to.equal(248);
  });
});

describe('the weather', () => {
  const view = (options: object, face: WeatherFace, moment = DAWN) =>
    weatherWork.view(weather.options.parse(options), face, contextAt(moment));
  const layout = (options: object, face: WeatherFace) =>
    weatherWork.layout(view(options, face), face, contextAt());

  it('shows its readings in the units of the desk, or in its own', () => {
    const { now } = contextAt().readings.get('weather').value;
    const plain = view({}, 'rose');
    expect(plain.temperature).to.equal(`${Math.round(now.temperature ?? NaN)}°`.replace('-', '−'));
    expect(plain.wind).to.deep.equal({ figure: String(Math.round((now.wind ?? NaN) * 3.6)), unit: 'km/h' });
    const own = view({ temperatureIn: 'f', windIn: 'kn' }, 'rose');
    expect(own.temperature).to.equal(`${Math.round((now.temperature ?? NaN) * 1.8 + 32)}°`);
    expect(own.wind.unit).to.equal('kn');
    expect(plain.pressure).to.match(/^\d{3,4} hPa, (rising|steady|falling)$/);
    expect(view({ pressureIn: 'inhg' }, 'rose').pressure).to.match(/^\d\d\.\d\d inHg, /);
    const desk = contextAt();
    const knots = weatherWork.view(weather.options.parse({}), 'rose', {
      ...desk,
      units: { ...desk.units, wind: 'kn' },
    });
    expect(knots.wind).to.deep.equal(own.wind);
  });

  it('has a point of its curve for each hour, the warmest at the top, and names hours that do not run together', () => {
    for (const hours of [6, 24, 48]) {
      const { plot, runs, size } = layout({ hours }, 'hours');
      if (!plot) throw new Error('no curve');
      expect(plot.points).to.have.length(hours + 1);
      const seen = view({ hours }, 'hours').hours;
      const warmest = Math.max(...seen.map(({ temperature }) => temperature ?? -Infinity));
      const top = Math.min(...plot.points.map((point) => point?.y ?? Infinity));
      seen.forEach(({ temperature }, index) => {
        if (temperature === warmest) expect(plot.points[index]?.y).to.equal(top);
      });
      const labels = seen.flatMap(({ label }) => label ?? []);
      const written = runs.filter(
        ({ text, ink }) => labels.includes(text) && ink.y > plot.rect.y + plot.rect.height,
      );
      expect(written.length).to.be.within(2, 9);
      written.slice(1).forEach(({ ink }, index) => {
        const before = written[index]?.ink;
        expect(ink.x).to.be.greaterThan((before?.x ?? 0) + (before?.width ?? 0));
      });
      for (const rain of plot.rain) expect(rain.x + rain.width).to.be.at.most(size.width + 0.01);
    }
  });

  it('has a bar for each day, between the least and the most of all of them', () => {
    const { days } = layout({ days: 10 }, 'days');
    expect(days).to.have.length(10);
    const seen = view({ days: 10 }, 'days').days;
    expect(Math.min(...seen.map(({ from }) => from))).to.equal(0);
    expect(Math.max(...seen.map(({ to }) => to))).to.equal(1);
    for (const { bar, track } of days) {
      expect(bar.x).to.be.at.least(track.x - 0.01);
      expect(bar.x + bar.width).to.be.at.most(track.x + track.width + 0.01);
    }
    expect(seen[0]?.name).to.equal('Today');
    expect(seen[1]?.name).to.equal('Wed 25');
  });

  it('has a sky that follows the moment: the sun up by day, the moon by night', () => {
    expect(view({}, 'sky', DAWN + 5 * 3_600_000).sky?.altitude).to.be.greaterThan(5);
    const night = view({}, 'sky', DAWN - 5 * 3_600_000).sky;
    expect(night?.altitude).to.be.lessThan(-10);
    expect(night?.phase).to.be.closeTo(0.5, 0.05);
    expect(view({}, 'line', DAWN - 5 * 3_600_000).icon).to.match(/^weather-/);
  });
});

describe('the almanac', () => {
  const view = (face: AlmanacFace, options: object = {}, moment = DAWN) =>
    almanacWork.view(almanac.options.parse(options), face, contextAt(moment));
  const layout = (face: AlmanacFace, moment = DAWN) =>
    almanacWork.layout(view(face, {}, moment), face, contextAt(moment));

  it('says the same in words as its source does in figures', () => {
    const table = new Map(view('table').rows);
    expect(table.get('Sun')).to.equal('07:51 to 15:50');
    expect(table.get('Phase')).to.equal('Full moon');
    expect(table.get('Season')).to.equal('Autumn');
    expect(new Map(view('table', { hours: '12' }).rows).get('Sun')).to.equal('7:51 am to 3:50 pm');
    expect(view('day').gains).to.match(/^[23] min shorter than yesterday$/);
  });

  it('marks where the water stands on its curve, now and when it turns', () => {
    for (const hour of [-7, 0, 4, 11]) {
      const { tide, size } = layout('tide', DAWN + hour * 3_600_000);
      if (!tide) throw new Error('no curve');
      const { points, now, turns, rect } = tide;
      const next = points.findIndex(({ x }) => x >= now.x);
      const ys = [points[next - 1]?.y ?? now.y, points[next]?.y ?? now.y];
      expect(now.y).to.be.within(Math.min(...ys) - 0.01, Math.max(...ys) + 0.01);
      for (const { y } of turns) expect(y).to.be.within(rect.y - 1, rect.y + rect.height + 1);
      expect(size.width).to.equal(400);
    }
  });

  it('divides the day into night, twilight and light, the lighter within the darker', () => {
    const { day } = layout('day');
    const [nautical, civil, up] = day?.stretches ?? [];
    expect(nautical && civil && isInside(civil, nautical)).to.equal(true);
    expect(civil && up && isInside(up, civil)).to.equal(true);
    expect(day?.now).to.be.closeTo((400 * 7.2) / 24, 0.1);
  });
});
