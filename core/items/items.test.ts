import { expect } from 'chai';
import { plainWindows } from '../windows/schema.ts';
import { DAWN, dawnCount } from '../../tests/support/desks.ts';
import type { AnyItemKind, ItemContext } from '../kinds/kind.ts';
import { fontsOf } from '../scene/look.ts';
import type { Feed } from '../sources/feeds.ts';
import { createReadings } from '../sources/readings.ts';
import { unknownMachine, type MachineReading } from '../sources/machine/machine.ts';
import { menuButtons } from './menu-button.ts';
import { application } from './application/application.ts';
import { clock } from './clock/clock.ts';
import { daylight } from './daylight/daylight.ts';
import { reading as reading_ } from './reading/reading.ts';
import { isInside, type Rect } from '../values/geometry.ts';
import { date } from './date/date.ts';
import { divider } from './divider/divider.ts';
import { gap } from './gap/gap.ts';
import { half } from './half/half.ts';
import { itemKinds } from './list.ts';
import { spring } from './spring/spring.ts';
import { tray } from './tray/tray.ts';
import { workspaces } from './workspaces/workspaces.ts';

const desk = dawnCount();
const fonts = fontsOf(desk.look);
/** Worked out once for all that is read. */
const simulated = createReadings({ moment: DAWN, place: desk.place, seed: desk.seed });

function contextOf(change: Partial<ItemContext> = {}, feeds?: readonly Feed[]): ItemContext {
  return {
    applications: desk.applications,
    workspaces: desk.workspaces,
    folders: [],
    windows: [],
    windowButtons: plainWindows.buttons,
    running: new Set(),
    workspace: 0,
    half: 'dark',
    fonts,
    units: desk.sources.units,
    readings: feeds ? createReadings({ moment: DAWN, place: desk.place, seed: desk.seed, feeds }) : simulated,
    textColour: () => '#ffffff',
    plainColour: () => '#203040',
    inkOn: () => '#f0f0f0',
    isPlain: false,
    isQuiet: false,
    screen: 'main',
    edge: 'panel',
    side: 'top',
    thickness: 40,
    iconSize: 20,
    isVertical: false,
    tellsAt: null,
    room: 'full',
    ...change,
  };
}

interface Kind<Face extends string, O, View, Laid> {
  faces: readonly { id: Face }[];
  view(options: O, face: Face, context: ItemContext): View;
  layout(view: View, face: Face, context: ItemContext): Laid;
}

/** What a kind shows under a face; the first where none is given. */
function viewOf<F extends string, O, V>(
  { faces, view }: Kind<F, O, V, unknown>,
  options: O,
  context: ItemContext,
  face = faces[0]?.id as NoInfer<F>,
): V {
  return view(options, face, context);
}

function layoutOf<F extends string, V, L>(
  { faces, layout }: Kind<F, never, V, L>,
  view: V,
  context: ItemContext,
  face = faces[0]?.id as NoInfer<F>,
): L {
  return layout(view, face, context);
}

const machineIs = (reading: Partial<MachineReading>): Feed[] => [
  {
    source: 'machine',
    origin: 'this-machine',
    samples: [{ moment: DAWN, reading: { ...unknownMachine, ...reading } }],
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
      expect(viewOf(clock, options, contextOf()).lines).to.deep.equal(['07:12:00']);
      expect(viewOf(clock, options, contextOf({ isVertical: true })).lines).to.deep.equal(['07', '12', '00']);
    });

    it('tells the time of another zone, in twelve hours', () => {
      const options = clock.options.parse({ hours: '12', zone: 'Asia/Tokyo' });
      expect(viewOf(clock, options, contextOf()).lines).to.deep.equal(['4:12 pm']);
    });

    it('keeps its length while its figures change', () => {
      const options = clock.options.parse({});
      const length = (moment: number) => {
        const context = contextOf();
        const at = { ...context, readings: createReadings({ moment, place: dawnCount().place, seed: 1 }) };
        return layoutOf(clock, viewOf(clock, options, at), at).size.width;
      };
      expect(length(DAWN)).to.equal(length(DAWN + 3_599_000));
    });
  });

  it('date follows its pattern, and shows the day when it has none', () => {
    expect(viewOf(date, date.options.parse({}), contextOf()).lines).to.deep.equal(['Tue 24 Nov']);
    expect(viewOf(date, date.options.parse({ pattern: '' }), contextOf()).lines).to.deep.equal(['24']);
    expect(viewOf(date, date.options.parse({}), contextOf({ isVertical: true })).lines).to.deep.equal([
      'Tue',
      '24',
      'Nov',
    ]);
  });

  describe('workspaces', () => {
    it('marks the one in front, whose bar is longer', () => {
      const view = viewOf(workspaces, workspaces.options.parse({}), contextOf({ workspace: 1 }));
      expect(view.marks.map(({ isCurrent }) => isCurrent)).to.deep.equal([false, true, false]);
      const { marks } = layoutOf(workspaces, view, contextOf());
      expect(marks[1]?.bar?.width).to.be.greaterThan(marks[0]?.bar?.width ?? 0);
    });

    it('is long enough for all of its marks', () => {
      for (const face of ['bars', 'numbers', 'names'] as const) {
        const context = contextOf();
        const view = viewOf(workspaces, workspaces.options.parse({}), context, face);
        const { marks, size } = layoutOf(workspaces, view, context, face);
        const pressed = marks.reduce((sum, { press }) => sum + press.width, 0);
        expect(size.width, face).to.be.greaterThan(pressed);
      }
    });

    it('shows numbers where names would not fit upright', () => {
      const { marks } = viewOf(
        workspaces,
        workspaces.options.parse({}),
        contextOf({ isVertical: true }),
        'names',
      );
      expect(marks.map(({ label }) => label)).to.deep.equal(['1', '2', '3']);
    });
  });

  describe('application', () => {
    it('shows its name and icon, and whether it runs', () => {
      const options = application.options.parse({ application: 'wavebox' });
      const view = viewOf(application, options, contextOf({ running: new Set(['wavebox']) }), 'both');
      expect(view).to.include({
        name: 'Wavebox',
        icon: 'audio-x-generic',
        label: 'Wavebox',
        isRunning: true,
      });
    });

    it('says so when the desk has no such application', () => {
      const view = viewOf(application, application.options.parse({ application: 'lost' }), contextOf());
      expect(view).to.include({ name: 'No application', icon: 'application-x-executable', isRunning: false });
    });

    it('is longer by its name, beside its sign or upright under it', () => {
      const length = (face: 'sign' | 'both' | 'words', change: Partial<ItemContext> = {}) => {
        const context = contextOf(change);
        const options = application.options.parse({ application: 'wavebox' });
        const laid = layoutOf(application, viewOf(application, options, context, face), context, face);
        return context.isVertical ? laid.size.height : laid.size.width;
      };
      expect(length('both')).to.be.greaterThan(length('words'));
      expect(length('words')).to.be.greaterThan(length('sign'));
      const upright = { isVertical: true, side: 'left' as const };
      expect(length('both', upright)).to.be.greaterThan(length('sign', upright));
      // Without room for words there is the sign, also where the face has none.
      expect(length('words', { room: 'bare' })).to.equal(length('sign', { room: 'bare' }));
    });

    it('on a dock tells its name off the edge, beyond what the icon may become, and only where it is not written', () => {
      for (const side of ['top', 'right', 'bottom', 'left'] as const) {
        const isVertical = side === 'left' || side === 'right';
        const context = contextOf({ edge: 'dock', side, isVertical, thickness: 68, tellsAt: 20 });
        const options = application.options.parse({ application: 'wavebox' });
        const { told, size } = layoutOf(application, viewOf(application, options, context), context);
        if (!told) throw new Error('says nothing');
        const { ink } = told;
        const off = {
          bottom: -ink.y - ink.height,
          top: ink.y - size.height,
          left: ink.x - size.width,
          right: -ink.x - ink.width,
        }[side];
        expect(off, side).to.be.closeTo(20, 0.01);
        const view = viewOf(application, options, context, 'both');
        expect(layoutOf(application, view, context, 'both').told).to.equal(null);
      }
    });
  });

  describe('tray', () => {
    const signs = (reading: Partial<MachineReading> | null, options: object = {}) =>
      viewOf(
        tray,
        tray.options.parse({ from: 'this-machine', ...options }),
        contextOf({}, reading ? machineIs(reading) : undefined),
      ).signs.map(({ icon }) => icon);

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
      const [network] = viewOf(tray, tray.options.parse({ from: 'this-machine' }), contextOf()).signs;
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
    expect(
      layoutOf(gap, viewOf(gap, gap.options.parse({ size: 33 }), contextOf()), contextOf()).size.width,
    ).to.equal(33);
    const laid = layoutOf(spring, viewOf(spring, spring.options.parse({}), contextOf()), contextOf());
    expect(laid.size.width).to.equal(0);
    expect(spring.weight?.(spring.options.parse({ weight: 3 }))).to.equal(3);
    const line = layoutOf(divider, viewOf(divider, divider.options.parse({}), contextOf()), contextOf());
    expect(line.size.width).to.be.within(1, 20);
  });

  it('a divider is a line as thick as it is told to be, down to a dot', () => {
    const line = (options: object) =>
      layoutOf(divider, viewOf(divider, divider.options.parse(options), contextOf()), contextOf()).line;
    expect(line({ thick: 4, reach: 50, room: 20 })).to.deep.equal({ x: 8, y: 10, width: 4, height: 20 });
    expect(line({ thick: 6, reach: 1, room: 20 })).to.deep.equal({ x: 7, y: 17, width: 6, height: 6 });
  });

  describe('sun and moon', () => {
    const seen = (options: object, change: Partial<ItemContext> = {}) =>
      viewOf(daylight, daylight.options.parse(options), contextOf(change), 'both');

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
      const view = viewOf(daylight, daylight.options.parse({}), upright, 'both');
      const { runs, icon } = layoutOf(daylight, view, upright, 'both');
      expect(runs[0]?.baseline).to.be.greaterThan((icon?.y ?? Infinity) + (icon?.height ?? 0));
      expect(seen({}, { room: 'bare' }).label).to.equal(null);
    });
  });

  describe('a machine reading', () => {
    const laid = (
      options: object,
      reading: Partial<MachineReading> | null,
      change: Partial<ItemContext> = {},
      face: (typeof reading_.faces)[number]['id'] = 'number',
    ) => {
      const context = contextOf(change, reading ? machineIs(reading) : undefined);
      const view = viewOf(
        reading_,
        reading_.options.parse({ from: 'this-machine', ...options }),
        context,
        face,
      );
      return { view, ...layoutOf(reading_, view, context, face) };
    };

    it('is as long for 3 % as for 100 %, so that what stands beside it keeps still', () => {
      const short = laid({}, { processor: 3 });
      expect(short.runs[0]?.text).to.equal('3 %');
      expect(short.size.width).to.equal(laid({}, { processor: 100 }).size.width);
    });

    it('stands as a bar, a ring or a graph within the edge, upright too', () => {
      for (const face of ['bar', 'ring', 'graph'] as const) {
        for (const isVertical of [false, true]) {
          const { mark, size } = laid(
            {},
            { processor: 40 },
            { isVertical, side: isVertical ? 'left' : 'top' },
            face,
          );
          expect(mark && isInside(mark, { x: 0, y: 0, ...size }), `${face} ${isVertical}`).to.equal(true);
        }
      }
      expect(laid({}, { processor: 40 }, {}, 'graph').view.series.at(-1)).to.equal(0.4);
    });

    it('says what can not be known', () => {
      expect(laid({}, null).runs[0]?.text).to.equal('–');
    });
  });

  it('workspaces stand as bars, dots, numbers, names and small pictures, all of which can be pressed', () => {
    for (const { id: face } of workspaces.faces) {
      for (const isVertical of [false, true]) {
        const context = contextOf({ isVertical, side: isVertical ? 'left' : 'top' });
        const { marks, size } = layoutOf(
          workspaces,
          viewOf(workspaces, workspaces.options.parse({}), context, face),
          context,
          face,
        );
        expect(marks).to.have.length(3);
        for (const { press, bar } of marks) {
          expect(isInside(press, { x: 0, y: 0, ...size })).to.equal(true);
          if (face !== 'names' && face !== 'numbers') expect(bar && isInside(bar, press)).to.equal(true);
        }
      }
    }
  });

  it('the app list button makes room for its words, which are its name where there are none of one’s own', () => {
    const [appList] = menuButtons;
    if (!appList) throw new Error('No button');
    const laid = (label: string, face: 'sign' | 'both') =>
      layoutOf(
        appList,
        viewOf(appList, appList.options.parse({ label }), contextOf(), face),
        contextOf(),
        face,
      );
    const length = (label: string, face: 'sign' | 'both') => laid(label, face).size.width;
    expect(length('Applications', 'both')).to.be.greaterThan(length('Applications', 'sign') + 40);
    expect(laid('', 'both').runs.map(({ text }) => text)).to.deep.equal(['App list']);
  });

  it('each kind holds all that it draws within its box, under every face, flat and upright, in every room', function () {
    this.timeout(120_000);
    for (const kind of itemKinds as readonly AnyItemKind[]) {
      for (const { id: face } of kind.faces) {
        for (const isVertical of [false, true]) {
          for (const thickness of [24, 40, 96]) {
            for (const room of ['full', 'tight', 'bare'] as const) {
              const iconSize = Math.min(20, thickness);
              const side = isVertical ? ('left' as const) : ('top' as const);
              const context = contextOf({ isVertical, side, thickness, iconSize, room });
              const { size, runs, ...boxes } = kind.layout(
                kind.view(kind.options.parse({}), face, context),
                face,
                context,
              );
              const label = `${kind.type} ${face} ${side} ${thickness} ${room}`;
              expect(isVertical ? size.width : size.height, label).to.equal(thickness);
              const around = { x: -0.01, y: -0.01, width: size.width + 0.02, height: size.height + 0.02 };
              for (const { ink } of runs) expect(isInside(ink, around), `${label}: writing`).to.equal(true);
              for (const box of Object.values(boxes))
                if (isRect(box))
                  expect(isInside(box, around), `${label}: ${JSON.stringify(box)}`).to.equal(true);
            }
          }
        }
      }
    }
  });

  describe('faces of their own', () => {
    it('a clock stands over its date in smaller writing, or is a dial with its hands', () => {
      const context = contextOf();
      const view = viewOf(clock, clock.options.parse({}), context, 'stack');
      const { runs } = layoutOf(clock, view, context, 'stack');
      expect(runs.map(({ text }) => text)).to.deep.equal(['07:12', 'Tue 24 Nov']);
      expect(runs[0]?.size).to.be.greaterThan(runs[1]?.size ?? Infinity);
      const dial = viewOf(clock, clock.options.parse({}), context, 'dial');
      // 07:12: seven hours and a fifth of thirty degrees each; twelve minutes of six.
      expect(dial.hands.hour).to.be.closeTo(216, 1e-9);
      expect(dial.hands).to.include({ minute: 72, second: null });
      expect(layoutOf(clock, dial, context, 'dial').runs).to.deep.equal([]);
    });

    it('a date has a leaf with the day, or stands in two lines', () => {
      const texts = (face: 'leaf' | 'stack') => viewOf(date, date.options.parse({}), contextOf(), face).lines;
      expect(texts('leaf')).to.deep.equal(['24']);
      expect(texts('stack')).to.deep.equal(['Tue', '24 Nov']);
    });

    it('the sun stands on its way over the horizon, highest in the middle of its day', () => {
      const at = (hour: number) => {
        const moment = Date.UTC(2026, 10, 24, hour);
        const readings = createReadings({ moment, place: dawnCount().place, seed: 1 });
        const context = { ...contextOf(), readings };
        const view = viewOf(daylight, daylight.options.parse({}), context, 'arc');
        return layoutOf(daylight, view, context, 'arc').arc;
      };
      const [morning, noon, evening, night] = [9, 12, 15, 23].map(at);
      if (!morning || !noon || !evening || !night) throw new Error('no arc');
      expect(noon.sun.y).to.be.lessThan(morning.sun.y);
      expect(noon.sun.y).to.be.lessThan(evening.sun.y);
      expect(morning.sun.x).to.be.lessThan(noon.sun.x);
      expect(noon.sun.x).to.be.lessThan(evening.sun.x);
      expect(night.sun.y).to.be.greaterThan(night.box.y + night.radius);
    });

    it('the knob of a switch stands at the end of its half', () => {
      const knob = (now: 'light' | 'dark') => {
        const context = contextOf({ half: now });
        const view = viewOf(half, half.options.parse({}), context, 'switch');
        const { icon, groove } = layoutOf(half, view, context, 'switch');
        return (icon?.x ?? NaN) - (groove?.x ?? NaN);
      };
      expect(knob('light')).to.equal(3);
      expect(knob('dark')).to.be.greaterThan(10);
    });

    it('signs of a tray say their figures, in as much room whatever they say', () => {
      const laid = (processor: number) => {
        const context = contextOf({}, machineIs({ processor, network: { down: 1500, up: 0 } }));
        const view = viewOf(tray, tray.options.parse({ from: 'this-machine' }), context, 'figures');
        return layoutOf(tray, view, context, 'figures');
      };
      expect(laid(7).runs.map(({ text }) => text)).to.deep.equal(['1.5 kB', '7 %', '-6°']);
      expect(laid(7).size).to.deep.equal(laid(100).size);
    });
  });
});

function isRect(value: unknown): value is Rect {
  return typeof value === 'object' && value !== null && 'width' in value && 'x' in value;
}
