import { drawRoles } from '../core/colour/scheme.ts';
import {
  bareFinish,
  createBackdrop,
  createDock,
  createFonts,
  createItem,
  createPanel,
  createScene,
  createWidget,
} from '../core/desk/defaults.ts';
import type { Application, Backdrop, Desk, Edge, Item, Look, Screen, Widget } from '../core/desk/schema.ts';
import type { Finish, GeoPlace, Half, NinePoint, Place } from '../core/desk/values.ts';
import type { ItemType } from '../core/items/list.ts';
import type { RoleValues } from '../core/colour/roles.ts';

/** The desks of Marrow Point, a made-up bird observatory on a made-up coast. */
const marrowPoint: GeoPlace = {
  name: 'Marrow Point',
  latitude: 54.61,
  longitude: -1.04,
  zone: 'Europe/London',
};

const applications: Application[] = [
  {
    id: 'tallybook',
    Name: 'Tallybook',
    Comment: 'Count what passes',
    Icon: 'x-office-document',
    Categories: ['Science'],
  },
  {
    id: 'chart-table',
    Name: 'Chart Table',
    Comment: 'Charts of the bay',
    Icon: 'applications-maps',
    Categories: ['Science'],
  },
  {
    id: 'wavebox',
    Name: 'Wavebox',
    Comment: 'Listen to the marsh',
    Icon: 'audio-x-generic',
    Categories: ['AudioVideo'],
  },
  {
    id: 'postbag',
    Name: 'Postbag',
    Comment: 'Letters and bulletins',
    Icon: 'internet-mail',
    Categories: ['Network'],
  },
  {
    id: 'field-camera',
    Name: 'Field Camera',
    Comment: 'Pictures from the hide',
    Icon: 'camera-photo',
    Categories: ['Graphics'],
  },
  {
    id: 'files',
    Name: 'Files',
    Comment: 'What is kept',
    Icon: 'system-file-manager',
    Categories: ['Utility'],
  },
  {
    id: 'terminal',
    Name: 'Terminal',
    Comment: 'Commands',
    Icon: 'utilities-terminal',
    Categories: ['System'],
  },
  {
    id: 'almanac',
    Name: 'Almanac',
    Comment: 'Tides, sun and moon',
    Icon: 'office-calendar',
    Categories: ['Science'],
  },
];

const surface: Finish = {
  kind: 'sheer',
  tint: 'surface',
  sheerness: 34,
  blur: 18,
  radius: 16,
  edgeLine: 0,
  shadow: 20,
};

const wide: Screen = { id: 'main', name: 'Main', width: 1920, height: 1080, scaleFactor: 1, x: 0, y: 0 };

/** Roles drawn from a few colours of a scene, then tuned by hand. */
function rolesFrom(
  colours: Record<string, number>,
  tuned: Partial<Record<Half, Partial<RoleValues>>> = {},
): Look['roles'] {
  const drawn = drawRoles(Object.entries(colours).map(([colour, share]) => ({ colour, share })));
  return { light: { ...drawn.light, ...tuned.light }, dark: { ...drawn.dark, ...tuned.dark } };
}

function at(point: NinePoint, x: number, y: number, screen = wide.id): Place {
  return { hangs: { from: 'free', screen, point }, x, y };
}

function items(prefix: string, list: (ItemType | [ItemType, Record<string, unknown>])[]): Item[] {
  return list.map((entry, index) => {
    const [type, options] = typeof entry === 'string' ? [entry, {}] : entry;
    return createItem(`${prefix}-${index + 1}`, type, options);
  });
}

const starters = (prefix: string, ids: string[]) =>
  items(
    prefix,
    ids.map((application): [ItemType, Record<string, unknown>] => ['application', { application }]),
  );

interface Sketch {
  id: string;
  name: string;
  seed: number;
  half: Look['half'];
  backdrops: Backdrop[];
  roles: Look['roles'];
  finish?: Finish;
  finishes?: Look['finishes'];
  fonts: Look['fonts'];
  icons: Look['icons'];
  pointer: Look['pointer'];
  screens?: Screen[];
  edges: Edge[];
  widgets: Widget[];
  workspaces: string[];
}

function desk({
  half,
  roles,
  finish = surface,
  finishes = [],
  fonts,
  icons,
  pointer,
  screens = [wide],
  workspaces,
  ...rest
}: Sketch): Desk {
  return {
    format: 2,
    place: marrowPoint,
    screens,
    look: {
      half,
      roles,
      held: [],
      terminal: { light: null, dark: null },
      fonts,
      ownFonts: [],
      icons,
      pointer,
      finish,
      finishes,
    },
    applications,
    workspaces: workspaces.map((name, index) => ({ id: `workspace-${index + 1}`, name })),
    ...rest,
  };
}

function dawnCount(): Desk {
  const panel = createPanel(
    'panel',
    'main',
    'top',
    items('panel', [
      ['application', { application: 'tallybook', label: true }],
      'divider',
      'workspaces',
      'divider',
      'tray',
      ['date', { pattern: 'EEE d MMM' }],
    ]),
  );
  const dock = createDock(
    'dock',
    'main',
    'bottom',
    surface,
    starters('dock', ['files', 'tallybook', 'chart-table', 'wavebox', 'postbag', 'field-camera', 'terminal']),
  );
  return desk({
    id: 'dawn-count',
    name: 'Dawn count',
    seed: 1107,
    half: { by: 'choice', half: 'dark' },
    // A backdrop for each watch of the day, all of one mood.
    backdrops: [
      createBackdrop('backdrop', {
        kind: 'rotation',
        entries: [
          { id: 'first-light', source: createScene('headland', 7) },
          { id: 'charts', source: createScene('contours', 7, { colours: 'palette' }) },
          {
            id: 'dusk',
            source: createScene('bay', 7, { colours: 'palette', controls: { hour: 26, cloud: 60 } }),
          },
          {
            id: 'night-fall',
            source: createScene('night', 21, { colours: 'palette', controls: { moon: 30 } }),
          },
        ],
        change: { by: 'times', times: ['05:30', '10:00', '15:30', '21:00'] },
        shuffled: false,
        fade: 90,
      }),
      createBackdrop('by-light', createScene('strata', 18), { where: { half: 'light' } }),
    ],
    fonts: createFonts('fraunces', 'figtree', 'fraunces'),
    icons: { set: 'reed', style: 'line', tile: 'none', tileColour: 'accent' },
    pointer: { set: 'quill', size: 34, colour: 'ink' },
    finishes: [
      { id: 'pane', name: 'Clear pane', finish: { ...surface, sheerness: 70, edgeLine: 1, shadow: 0 } },
      { id: 'slab', name: 'Slab', finish: { ...surface, kind: 'matte', radius: 4, shadow: 40 } },
    ],
    roles: rolesFrom(
      { '#33213f': 0.3, '#54406f': 0.25, '#8a5b87': 0.15, '#c67c84': 0.12, '#eda57f': 0.1, '#fbd09a': 0.08 },
      {
        dark: {
          surface: '#2d2139',
          raised: { from: 'surface', lighter: 7, more: 0, warmer: 0 },
          accent: '#fbd09a',
          second: '#dd8f88',
        },
      },
    ),
    edges: [
      { ...panel, margin: 0, padding: 18, align: 'end' },
      { ...dock, align: 'start', margin: 28, padding: 10, spacing: 16, thickness: 72, iconSize: 38 },
    ],
    widgets: [
      createWidget({
        id: 'clock',
        type: 'clock',
        face: 'serif',
        place: at('top-left', 96, 72),
        deskFinish: surface,
        options: { date: 'EEEE d MMMM' },
      }),
      createWidget({
        id: 'machine',
        type: 'machine',
        face: 'rings',
        place: at('left', 96, 120),
        deskFinish: surface,
      }),
      {
        ...createWidget({
          id: 'load',
          type: 'machine',
          face: 'graph',
          place: at('top-right', 96, 92),
          deskFinish: surface,
          options: { span: 30, disk: false, network: true },
        }),
      },
      createWidget({
        id: 'elsewhere',
        type: 'clock',
        face: 'line',
        place: { hangs: { from: 'part', part: 'load', side: 'bottom', align: 'end' }, x: 0, y: 32 },
        deskFinish: surface,
        options: { zone: 'UTC', date: "'ship time'" },
      }),
    ],
    workspaces: ['Count', 'Charts', 'Letters'],
  });
}

function soundRoom(): Desk {
  const finish: Finish = {
    ...surface,
    kind: 'frosted',
    sheerness: 34,
    blur: 22,
    radius: 6,
    edgeLine: 1,
    shadow: 12,
  };
  const panel = createPanel(
    'panel',
    'main',
    'left',
    items('panel', ['app-list', 'divider', ['workspaces', { style: 'numbers' }], 'spring', 'tray', 'clock']),
  );
  const dock = createDock(
    'dock',
    'main',
    'right',
    finish,
    starters('dock', ['wavebox', 'files', 'postbag', 'almanac']),
  );
  return desk({
    id: 'sound-room',
    name: 'Sound room',
    seed: 311,
    half: { by: 'choice', half: 'light' },
    backdrops: [
      createBackdrop('backdrop', createScene('marsh', 12)),
      createBackdrop('after-dark', createScene('fog', 4, { follows: true }), {
        where: { half: 'dark' },
        adjust: { brightness: -54, saturation: 20, darken: { toward: 'rim', strength: 40 } },
      }),
    ],
    roles: rolesFrom(
      { '#76a096': 0.3, '#4f8079': 0.25, '#173f45': 0.2, '#f3e3b6': 0.2, '#d9a441': 0.03 },
      { light: { accent: '#0f6a6c', surface: '#f2efdc' } },
    ),
    finish,
    fonts: createFonts('bricolage-grotesque', 'hanken-grotesk', 'bricolage-grotesque'),
    icons: { set: 'shell', style: 'duo', tile: 'circle', tileColour: 'raised' },
    pointer: { set: 'pebble', size: 30, colour: 'accent' },
    edges: [
      { ...panel, thickness: 56, iconSize: 24, length: 'fill', margin: 16, padding: 12, finish },
      { ...dock, iconSize: 40, thickness: 76, margin: 20, spacing: 14 },
    ],
    widgets: [
      createWidget({
        id: 'clock',
        type: 'clock',
        face: 'hands',
        place: at('top-right', 150, 110),
        deskFinish: finish,
        options: { date: 'EEEE d MMMM', seconds: true },
      }),
      createWidget({
        id: 'machine',
        type: 'machine',
        face: 'bars',
        place: { hangs: { from: 'part', part: 'clock', side: 'left', align: 'start' }, x: 72, y: 0 },
        deskFinish: finish,
      }),
    ],
    workspaces: ['Listen', 'Cut', 'File'],
  });
}

function nightWatch(): Desk {
  const finish: Finish = { ...surface, kind: 'matte', tint: 'ground', radius: 2, edgeLine: 1, shadow: 0 };
  const left: Screen = { ...wide, width: 2560, height: 1440, name: 'Watch' };
  const right: Screen = {
    id: 'side',
    name: 'Log',
    width: 1080,
    height: 1350,
    scaleFactor: 1,
    x: 2560,
    y: 40,
  };
  const panel = createPanel(
    'panel',
    'main',
    'bottom',
    items('panel', [
      'app-list',
      ['workspaces', { style: 'names' }],
      'spring',
      ['clock', { seconds: true }],
      'spring',
      'tray',
      ['date', { pattern: 'yyyy-MM-dd' }],
    ]),
  );
  const dock = createDock(
    'dock',
    'side',
    'bottom',
    finish,
    starters('dock', ['tallybook', 'almanac', 'terminal']),
  );
  return desk({
    id: 'night-watch',
    name: 'Night watch',
    seed: 2300,
    half: { by: 'choice', half: 'dark' },
    backdrops: [
      createBackdrop('backdrop', createScene('night', 5, { follows: true }), { spans: true }),
      createBackdrop('by-day', createScene('fog', 9, { controls: { fog: 100, ridges: 20 } }), {
        adjust: { brightness: 48 },
        where: { half: 'light' },
        spans: true,
      }),
    ],
    roles: rolesFrom(
      { '#05080f': 0.5, '#12263a': 0.3, '#24465a': 0.15, '#ffdf9e': 0.05 },
      { dark: { accent: '#8fdcd0', second: '#ffd58c' } },
    ),
    finish,
    fonts: createFonts('martian-mono', 'spline-sans-mono', 'martian-mono'),
    icons: { set: 'slate', style: 'line', tile: 'none', tileColour: 'accent' },
    pointer: { set: 'ring', size: 30, colour: 'second' },
    screens: [left, right],
    edges: [{ ...panel, length: 'fill', thickness: 36, iconSize: 18, padding: 16, finish }, dock],
    widgets: [
      createWidget({
        id: 'clock',
        type: 'clock',
        face: 'stack',
        place: at('left', 150, -150),
        deskFinish: finish,
        options: { date: 'EEE d MMM', colour: 'accent' },
      }),
      createWidget({
        id: 'machine',
        type: 'machine',
        face: 'text',
        place: at('top-right', 96, 96),
        deskFinish: finish,
        options: { network: true },
      }),
      {
        ...createWidget({
          id: 'log-clock',
          type: 'clock',
          face: 'line',
          place: at('top', 0, 80, 'side'),
          deskFinish: finish,
          options: { zone: 'UTC', date: "'UTC'", seconds: true },
        }),
        finish: bareFinish(finish),
      },
      createWidget({
        id: 'log-load',
        type: 'machine',
        face: 'graph',
        place: at('centre', 0, -60, 'side'),
        deskFinish: finish,
        options: { span: 60, network: true },
      }),
    ],
    workspaces: ['Watch', 'Log', 'Signals'],
  });
}

/** What a new desk starts from. */
export function bareDesk(): Desk {
  return desk({
    id: 'bare-desk',
    name: 'Bare desk',
    seed: 1,
    half: { by: 'choice', half: 'light' },
    backdrops: [createBackdrop('backdrop', createScene('tide', 3))],
    fonts: createFonts('newsreader', 'commissioner', 'newsreader'),
    icons: { set: 'slate', style: 'filled', tile: 'none', tileColour: 'accent' },
    pointer: { set: 'quill', size: 32, colour: 'ink' },
    roles: rolesFrom({ '#efe4d6': 0.5, '#cfb2a3': 0.3, '#94746d': 0.18, '#4f7c86': 0.02 }),
    edges: [],
    widgets: [],
    workspaces: ['One', 'Two'],
  });
}

export function demoDesks(): Desk[] {
  return [dawnCount(), soundRoom(), nightWatch(), bareDesk()];
}
