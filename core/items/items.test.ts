import { expect } from 'chai';
import { DAWN, dawnCount } from '../../tests/support/desks.ts';
import type { ItemContext } from '../kinds/kind.ts';
import { fontsOf } from '../scene/look.ts';
import { createReadings, type Feed } from '../sources/readings.ts';
import type { MachineReading } from '../sources/machine/machine.ts';
import { appList } from './app-list/app-list.ts';
import { application } from './application/application.ts';
import { clock } from './clock/clock.ts';
import { daylight } from './daylight/daylight.ts';
import { reading as reading_ } from './reading/reading.ts';
import { isInside } from '../values/geometry.ts';
import { date } from './date/date.ts';
import { divider } from './divider/divider.ts';
import { gap } from './gap/gap.ts';
import { itemKinds } from './list.ts';
import { spring } from './spring/spring.ts';
import { tray } from './tray/tray.ts';
import { workspaces } from './workspaces/workspaces.ts';

function contextOf(change: Partial<ItemContext> = {}, feeds?: readonly Feed[]): ItemContext {
  const desk = dawnCount();
  return {
    applications: desk.applications,
    workspaces: desk.workspaces,
    running: new Set(),
    workspace: 0,
    half: 'dark',
    fonts: fontsOf(desk.look),
    readings: createReadings({ moment: DAWN, place: desk.place, seed: desk.seed, feeds }),
    textColour: () => '#ffffff',
    edge: 'panel',
    side: 'top',
    thickness: 40,
    iconSize: 20,
    isVertical: false,
    room: 'full',
    ...change,
  };
}

const machineIs = (reading: Partial<MachineReading>): Feed[] => [
  {
    source: 'machine',
    origin: 'this-machine',
    samples: [
      { moment: DAWN, reading: { processor: null, memory: null, disk: null, network: null, ...reading } },
    ],
  },
];

describe('items', () => {
  it('all have a title, a summary and options with defaults', () => {
    for (const kind of itemKinds) {
      expect(kind.title, kind.type).to.match(/^[A-Z]/);
      expect(kind.summary, kind.type).to.have.length.greaterThan(8);
      expect(kind.options.safeParse({}).success, kind.type).to.equal(true);
    }
  });

  describe('clock', () => {
    it('shows one line on a level edge, and stacks its parts on an upright one', () => {
      const options = clock.options.parse({ seconds: true });
      expect(clock.view(options, contextOf()).lines).to.deep.equal(['07:12:00']);
      expect(clock.view(options, contextOf({ isVertical: true })).lines).to.deep.equal(['07', '12', '00']);
    });

    it('tells the time of another zone, in twelve hours', () => {
      const options = clock.options.parse({ hours: '12', zone: 'Asia/Tokyo' });
      expect(clock.view(options, contextOf()).lines).to.deep.equal(['4:12 pm']);
    });

    it('keeps its length while its figures change', () => {
      const options = clock.options.parse({});
      const length = (moment: number) => {
        const context = contextOf();
        const at = { ...context, readings: createReadings({ moment, place: dawnCount().place, seed: 1 }) };
        return clock.layout(clock.view(options, at), at).size.width;
      };
      expect(length(DAWN)).to.equal(length(DAWN + 3_599_000));
    });
  });

  it('date follows its pattern, and shows the day when it has none', () => {
    expect(date.view(date.options.parse({}), contextOf()).lines).to.deep.equal(['Tue 24 Nov']);
    expect(date.view(date.options.parse({ pattern: '' }), contextOf()).lines).to.deep.equal(['24']);
    expect(date.view(date.options.parse({}), contextOf({ isVertical: true })).lines).to.deep.equal([
      'Tue',
      '24',
      'Nov',
    ]);
  });

  describe('workspaces', () => {
    it('marks the one in front, whose bar is longer', () => {
      const view = workspaces.view(workspaces.options.parse({}), contextOf({ workspace: 1 }));
      expect(view.marks.map(({ isCurrent }) => isCurrent)).to.deep.equal([false, true, false]);
      const { marks } = workspaces.layout(view, contextOf());
      expect(marks[1]?.bar?.width).to.be.greaterThan(marks[0]?.bar?.width ?? 0);
    });

    it('is long enough for all of its marks', () => {
      for (const style of ['bars', 'numbers', 'names'] as const) {
        const context = contextOf();
        const view = workspaces.view(workspaces.options.parse({ style }), context);
        const { marks, size } = workspaces.layout(view, context);
        const pressed = marks.reduce((sum, { press }) => sum + press.width, 0);
        expect(size.width, style).to.be.greaterThan(pressed);
      }
    });

    it('shows numbers where names would not fit upright', () => {
      const { marks } = workspaces.view(
        workspaces.options.parse({ style: 'names' }),
        contextOf({ isVertical: true }),
      );
      expect(marks.map(({ label }) => label)).to.deep.equal(['1', '2', '3']);
    });
  });

  describe('application', () => {
    it('shows its name and icon, and whether it runs', () => {
      const options = application.options.parse({ application: 'wavebox', label: true });
      const view = application.view(options, contextOf({ running: new Set(['wavebox']) }));
      expect(view).to.include({
        name: 'Wavebox',
        icon: 'audio-x-generic',
        label: 'Wavebox',
        isRunning: true,
      });
    });

    it('says so when the desk has no such application', () => {
      const view = application.view(application.options.parse({ application: 'lost' }), contextOf());
      expect(view).to.include({ name: 'No application', icon: 'application-x-executable', isRunning: false });
    });

    it('is longer by its label, except upright', () => {
      const length = (label: boolean, change: Partial<ItemContext> = {}) => {
        const context = contextOf(change);
        const options = application.options.parse({ application: 'wavebox', label });
        const { size } = application.layout(application.view(options, context), context);
        return context.isVertical ? size.height : size.width;
      };
      expect(length(true)).to.be.greaterThan(length(false));
      expect(length(true, { isVertical: true })).to.equal(length(false, { isVertical: true }));
      // A dock shows the name when it is pointed at: no room is kept for it.
      expect(length(true, { edge: 'dock' })).to.equal(length(false, { edge: 'dock' }));
    });
  });

  describe('tray', () => {
    const signs = (reading: Partial<MachineReading> | null, options: object = {}) =>
      tray
        .view(
          tray.options.parse({ from: 'this-machine', ...options }),
          contextOf({}, reading ? machineIs(reading) : undefined),
        )
        .signs.map(({ icon }) => icon);

    it('shows how busy network and processor are', () => {
      expect(signs({ network: { down: 5_000_000, up: 0 }, processor: 80 }).slice(0, 2)).to.deep.equal([
        'network-transmit-receive',
        'speedometer-high',
      ]);
      expect(signs({ network: { down: 10, up: 0 }, processor: 3 }).slice(0, 2)).to.deep.equal([
        'network-idle',
        'speedometer-low',
      ]);
    });

    it('shows what is not available as such', () => {
      expect(signs(null).slice(0, 2)).to.deep.equal(['network-offline', 'speedometer-low']);
      const [network] = tray.view(tray.options.parse({ from: 'this-machine' }), contextOf()).signs;
      expect(network?.title).to.equal('Network not available');
    });

    it('shows only what is asked for; at 07:12 in November it is night still', () => {
      const only = [
        { sign: 'daylight', shows: 'always' },
        { sign: 'network', shows: 'never' },
      ];
      expect(signs({}, { signs: only })).to.deep.equal(['weather-clear-night']);
    });

    it('shows signs in the order that they are given, and some only when they have something to say', () => {
      const order = [
        { sign: 'processor', shows: 'busy' },
        { sign: 'daylight', shows: 'always' },
        { sign: 'network', shows: 'busy' },
      ];
      expect(signs({ processor: 90, network: { down: 10, up: 0 } }, { signs: order })).to.deep.equal([
        'speedometer-high',
        'weather-clear-night',
      ]);
      expect(signs({ processor: 5, network: { down: 900_000, up: 0 } }, { signs: order })).to.deep.equal([
        'weather-clear-night',
        'network-transmit-receive',
      ]);
    });
  });

  it('blanks are as long as they say: a gap its size, a spring nothing of its own', () => {
    const { layout: layGap } = gap;
    expect(layGap(gap.view(gap.options.parse({ size: 33 }), contextOf()), contextOf()).size.width).to.equal(
      33,
    );
    const laid = spring.layout(spring.view(spring.options.parse({}), contextOf()), contextOf());
    expect(laid.size.width).to.equal(0);
    expect(spring.weight?.(spring.options.parse({ weight: 3 }))).to.equal(3);
    const line = divider.layout(divider.view(divider.options.parse({}), contextOf()), contextOf());
    expect(line.size.width).to.be.within(1, 20);
  });

  it('a divider is a line as thick as it is told to be, down to a dot', () => {
    const line = (options: object) =>
      divider.layout(divider.view(divider.options.parse(options), contextOf()), contextOf()).line;
    expect(line({ thick: 4, reach: 50, room: 20 })).to.deep.equal({ x: 8, y: 10, width: 4, height: 20 });
    expect(line({ thick: 6, reach: 1, room: 20 })).to.deep.equal({ x: 7, y: 17, width: 6, height: 6 });
  });

  describe('sun and moon', () => {
    const seen = (options: object, change: Partial<ItemContext> = {}) =>
      daylight.view(daylight.options.parse(options), contextOf(change));

    it('say what comes next: at 07:12 the sun has yet to rise', () => {
      const { label, title, icon } = seen({});
      expect(icon).to.equal('weather-clear-night');
      // The sun's own tests hold the moment itself.
      expect(label).to.match(/^07:(49|5[0-3])$/);
      expect(title).to.equal(`Sunrise ${label}`);
      expect(seen({ shows: 'height' }).label).to.match(/^-[5-7]°$/);
    });

    it('say how much of the moon is lit: full on that day of November', () => {
      const { phase, title } = seen({ shows: 'moon' });
      expect(phase).to.be.closeTo(0.5, 0.03);
      expect(title).to.match(/^Full moon, (99|100) % lit$/);
    });

    it('stand under the icon on an upright edge, and go where there is too little room', () => {
      const upright = contextOf({ isVertical: true, side: 'left' });
      const view = daylight.view(daylight.options.parse({}), upright);
      const { runs, icon } = daylight.layout(view, upright);
      expect(runs[0]?.baseline).to.be.greaterThan(icon.y + icon.height);
      expect(seen({}, { room: 'bare' }).label).to.equal(null);
    });
  });

  describe('a machine reading', () => {
    const laid = (
      options: object,
      reading: Partial<MachineReading> | null,
      change: Partial<ItemContext> = {},
    ) => {
      const context = contextOf(change, reading ? machineIs(reading) : undefined);
      const view = reading_.view(reading_.options.parse({ from: 'this-machine', ...options }), context);
      return { view, ...reading_.layout(view, context) };
    };

    it('is as long for 3 % as for 100 %, so that what stands beside it keeps still', () => {
      const short = laid({}, { processor: 3 });
      expect(short.runs[0]?.text).to.equal('3 %');
      expect(short.size.width).to.equal(laid({}, { processor: 100 }).size.width);
    });

    it('stands as a bar, a ring or a graph within the edge, upright too', () => {
      for (const face of ['bar', 'ring', 'graph']) {
        for (const isVertical of [false, true]) {
          const { mark, size } = laid(
            { face },
            { processor: 40 },
            { isVertical, side: isVertical ? 'left' : 'top' },
          );
          expect(mark && isInside(mark, { x: 0, y: 0, ...size }), `${face} ${isVertical}`).to.equal(true);
        }
      }
      expect(laid({ face: 'graph' }, { processor: 40 }).view.series.at(-1)).to.equal(0.4);
    });

    it('says what can not be known', () => {
      expect(laid({}, null).runs[0]?.text).to.equal('–');
    });
  });

  it('workspaces stand as bars, dots, numbers, names and small pictures, all of which can be pressed', () => {
    for (const style of ['bars', 'dots', 'numbers', 'names', 'small']) {
      for (const isVertical of [false, true]) {
        const context = contextOf({ isVertical, side: isVertical ? 'left' : 'top' });
        const { marks, size } = workspaces.layout(
          workspaces.view(workspaces.options.parse({ style }), context),
          context,
        );
        expect(marks).to.have.length(3);
        for (const { press, bar } of marks) {
          expect(isInside(press, { x: 0, y: 0, ...size })).to.equal(true);
          if (style !== 'names' && style !== 'numbers') expect(bar && isInside(bar, press)).to.equal(true);
        }
      }
    }
  });

  it('the app list button makes room for its label', () => {
    const length = (label: string) =>
      appList.layout(appList.view(appList.options.parse({ label }), contextOf()), contextOf()).size.width;
    expect(length('Applications')).to.be.greaterThan(length('') + 40);
  });
});
