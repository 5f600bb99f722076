import type { EdgeFrame } from '../arrange/schema.ts';
import type { Rect } from '../values/geometry.ts';
import type { NinePoint, Place } from '../values/place.ts';
import { createDock, createPanel, createWidget } from './defaults.ts';
import { items, starters } from './strips.ts';
import type { Desk } from './desk.ts';
import type { CarriedParts } from './parts-text.ts';
import type { Widget } from './shapes/widgets.ts';

/** Parts that go well together, to start a bare desk from. */
export interface Composition {
  id: string;
  title: string;
  make(desk: Desk, screen: { id: string; rect: Rect }): CarriedParts;
}

const MARGIN = 48;
/** How many applications a composition starts with. */
const STARTERS = 6;
/** The screen that compositions were drawn for: on a smaller one their widgets are smaller. */
const DRAWN_FOR = { width: 1920, height: 1080 };

/** Puts widgets on a screen as large as it has room for. */
function setting(desk: Desk, { id: screen, rect }: { id: string; rect: Rect }) {
  const fit = Math.min(1, rect.width / DRAWN_FOR.width, rect.height / DRAWN_FOR.height);
  const put = (
    of: Pick<Widget, 'id' | 'type' | 'face'> & { options?: Record<string, unknown>; scale?: number },
    place: Place,
  ): Widget => {
    const { scale = 1, ...rest } = of;
    const widget = createWidget({ ...rest, place, deskFinish: desk.look.finish });
    return { ...widget, scale: Math.round(scale * fit * 100) / 100 };
  };
  return {
    put,
    /** From a point of the free area. */
    at: (point: NinePoint, x: number, y: number): Place => ({
      hangs: { from: 'free', screen, point },
      x: Math.round(x * fit),
      y: Math.round(y * fit),
    }),
    /** Beneath another widget. */
    under: (part: string, align: 'start' | 'centre' | 'end', y: number): Place => ({
      hangs: { from: 'part', part, side: 'bottom', align },
      x: 0,
      y: Math.round(y * fit),
    }),
  };
}

/** Px that an island stands off the sides of the screen. */
const ISLAND_OFF = 14;

/** A short panel off the upper side of the screen, one of several in a row: the last of them keeps windows off. */
const island = (id: string, screen: string, align: EdgeFrame['align'], of: ReturnType<typeof items>) => ({
  ...createPanel(id, screen, 'top', of),
  align,
  // What stands at an end stands off it.
  offset: align === 'centre' ? 0 : align === 'start' ? ISLAND_OFF : -ISLAND_OFF,
  margin: ISLAND_OFF,
  keepsWindowsOff: align === 'end',
});

export const compositions: readonly Composition[] = [
  {
    id: 'watch',
    title: 'Strip and dock',
    make(desk, screen) {
      const { put, at, under } = setting(desk, screen);
      return {
        edges: [
          {
            ...createPanel(
              'strip',
              screen.id,
              'top',
              items('app-list', 'workspaces', 'spring', 'tray', 'date'),
            ),
            length: { by: 'side' },
          },
          createDock('dock', screen.id, 'bottom', desk.look.finish, starters(desk, STARTERS)),
        ],
        widgets: [
          put({ id: 'clock', type: 'clock', face: 'serif' }, at('top-left', MARGIN, MARGIN)),
          put({ id: 'weather', type: 'weather', face: 'line' }, under('clock', 'start', 22)),
        ],
        items: [],
      };
    },
  },
  {
    id: 'islands',
    title: 'Islands and a day',
    make(desk, screen) {
      const { put, at, under } = setting(desk, screen);
      return {
        edges: [
          island('places', screen.id, 'start', items('app-list', 'workspaces')),
          island('front', screen.id, 'centre', items('front-title', 'clock')),
          island('signs', screen.id, 'end', items('tray', 'session')),
        ],
        widgets: [
          put(
            {
              id: 'day',
              type: 'readout',
              face: 'headline',
              scale: 2.1,
              options: {
                text: '{time.format("EEEE")}\n{time.format("d MMMM")}  ·  {weather.temperature.degrees()}',
                align: 'centre',
                type: 'display',
              },
            },
            at('centre', 0, -60),
          ),
          put({ id: 'next', type: 'calendar', face: 'next', scale: 0.9 }, under('day', 'centre', 46)),
        ],
        items: [],
      };
    },
  },
  {
    id: 'sound',
    title: 'Over a spectrum',
    make(desk, screen) {
      const { put, at } = setting(desk, screen);
      return {
        edges: [
          {
            ...createPanel(
              'strip',
              screen.id,
              'top',
              items('app-list', 'workspaces', 'spring', 'tray', 'volume', 'clock'),
            ),
            length: { by: 'side' },
            thickness: 34,
            backing: 'none',
          },
        ],
        widgets: [
          put(
            {
              id: 'spectrum',
              type: 'spectrum',
              face: 'reeds',
              options: { width: 1760, height: 260, bands: 96, gap: 46 },
            },
            at('bottom', 0, 30),
          ),
          put(
            { id: 'player', type: 'player', face: 'large', scale: 1.25, options: { width: 640 } },
            at('left', 2.5 * MARGIN, -60),
          ),
        ],
        items: [],
      };
    },
  },
  {
    id: 'tiles',
    title: 'Tiles and words',
    make(desk, screen) {
      const { put, at } = setting(desk, screen);
      return {
        edges: [
          {
            ...createPanel(
              'strip',
              screen.id,
              'bottom',
              items('overview', 'spring', 'tray', 'date', 'clock'),
            ),
            length: { by: 'side' },
          },
        ],
        widgets: [
          put(
            {
              id: 'tiles',
              type: 'tiles',
              face: 'hexagons',
              options: { size: 128, gap: 12, cells: oneAndSix(desk) },
            },
            at('left', 3 * MARGIN, 0),
          ),
          put(
            { id: 'words', type: 'clock', face: 'words', scale: 1.2 },
            at('top-right', 2 * MARGIN, 2 * MARGIN),
          ),
          put({ id: 'days', type: 'weather', face: 'days' }, at('bottom-right', 2 * MARGIN, MARGIN)),
        ],
        items: [],
      };
    },
  },
  {
    id: 'rail',
    title: 'Rail at the side',
    make(desk, screen) {
      const { put, at } = setting(desk, screen);
      return {
        edges: [
          {
            ...createPanel('rail', screen.id, 'left', [
              ...items('app-list'),
              ...starters(desk, STARTERS),
              ...items('spring', 'tray', 'clock'),
            ]),
            length: { by: 'side' },
            thickness: 56,
            iconSize: 26,
          },
        ],
        widgets: [
          put({ id: 'clock', type: 'clock', face: 'stack', scale: 1.1 }, at('left', 3 * MARGIN, 0)),
          put({ id: 'month', type: 'calendar', face: 'month' }, at('bottom-right', MARGIN, MARGIN)),
        ],
        items: [],
      };
    },
  },
  {
    id: 'readings',
    title: 'Readings and dock',
    make(desk, screen) {
      const { put, at, under } = setting(desk, screen);
      return {
        edges: [createDock('dock', screen.id, 'bottom', desk.look.finish, starters(desk, STARTERS))],
        widgets: [
          put({ id: 'rings', type: 'machine', face: 'rings' }, at('top-right', MARGIN, MARGIN)),
          put({ id: 'graph', type: 'machine', face: 'graph' }, under('rings', 'end', 24)),
          put({ id: 'clock', type: 'clock', face: 'hands' }, at('bottom-left', MARGIN, MARGIN)),
        ],
        items: [],
      };
    },
  },
];

/** Seven of the desk's applications: one, and six around it. */
function oneAndSix({ applications }: Desk): object[] {
  const places = [
    [0, 0],
    [0, 1],
    [-1, 1],
    [-1, -1],
    [0, -1],
    [1, 0],
    [-1, 0],
  ] as const;
  return applications.slice(0, places.length).map(({ id }, index) => {
    const [a = 0, b = 0] = places[index] ?? [];
    return { application: id, a, b };
  });
}
