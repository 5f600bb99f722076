import { noArrangements } from '../core/desk/shapes/arrangements.ts';
import { drawRoles } from '../core/colour/scheme.ts';
import { createApplication, createItem } from '../core/desk/defaults.ts';
import { plainOutside, type Outside } from '../core/sources/outside.ts';
import { marrowTide } from '../core/sources/tide/tide.ts';
import { plainUnits } from '../core/sources/units.ts';
import { plainSound, type Sound } from '../core/sources/sound/schema.ts';
import type { Group } from '../core/desk/shapes/groups.ts';
import { ourIcons } from '../core/icons/schema.ts';
import { plainDesktopIcons, type DesktopIcons } from '../core/icons/desktop.ts';
import { plainKeys, type DeskKey } from '../core/menus/keys.ts';
import { plainMenus, type Menus } from '../core/menus/schema.ts';
import type { Application } from '../core/desk/shapes/applications.ts';
import type { Backdrop } from '../core/backdrop/schema.ts';
import { FORMAT, type Desk } from '../core/desk/desk.ts';
import type { Edge, Item } from '../core/desk/shapes/edges.ts';
import type { Look } from '../core/look/schema.ts';
import { plainWindows, type Windows } from '../core/windows/schema.ts';
import type { Screen } from '../core/desk/shapes/screens.ts';
import type { Widget } from '../core/desk/shapes/widgets.ts';
import type { Finish } from '../core/values/finish.ts';
import type { GeoPlace } from '../core/values/earth.ts';
import type { Half } from '../core/values/roles.ts';
import type { NinePoint, Place } from '../core/values/place.ts';
import type { ItemType } from '../core/items/list.ts';
import type { RoleValues } from '../core/colour/roles.ts';

/** What the demo’s desks share. */
const marrowPoint: GeoPlace = {
  name: 'Marrow Point',
  latitude: 54.61,
  longitude: -1.04,
  zone: 'Europe/London',
};

const applications: Application[] = [
  createApplication('tallybook', 'Tallybook', {
    Comment: 'Count what passes',
    Icon: 'x-office-document',
    Categories: ['Science'],
    Keywords: ['tally', 'birds'],
    Actions: [
      { id: 'new', Name: 'New tally' },
      { id: 'week', Name: 'This week' },
    ],
  }),
  createApplication('chart-table', 'Chart Table', {
    Comment: 'Charts of the bay',
    Icon: 'applications-maps',
    Categories: ['Education'],
    Keywords: ['map'],
    Actions: [{ id: 'channel', Name: 'Main channel' }],
  }),
  createApplication('wavebox', 'Wavebox', {
    Comment: 'Listen to the marsh',
    Icon: 'audio-x-generic',
    Categories: ['AudioVideo'],
    Keywords: ['recordings'],
  }),
  createApplication('postbag', 'Postbag', {
    Comment: 'Letters and bulletins',
    Icon: 'internet-mail',
    Categories: ['Utility'],
    Keywords: ['mail'],
    Actions: [{ id: 'write', Name: 'New letter' }],
  }),
  createApplication('field-camera', 'Field Camera', {
    Comment: 'Pictures from the hide',
    Icon: 'camera-photo',
    Categories: ['Science'],
  }),
  createApplication('files', 'Files', {
    Comment: 'What is kept',
    Icon: 'system-file-manager',
    Categories: ['Utility'],
  }),
  createApplication('terminal', 'Terminal', {
    Comment: 'Commands',
    Icon: 'utilities-terminal',
    Categories: ['Utility'],
  }),
  createApplication('lamp-room', 'Lamp Room', {
    Comment: 'The lamp and the hides',
    Icon: 'applications-system',
    Categories: ['Utility'],
    Keywords: ['settings', 'light'],
  }),
  createApplication('almanac', 'Almanac', {
    Comment: 'Tides, sun and moon',
    Icon: 'office-calendar',
    Categories: ['Education'],
  }),
];

/** What the observatory calls its kinds of work. */
const categories: Menus['categories'] = [
  { category: 'Science', name: 'Counting' },
  { category: 'AudioVideo', name: 'Listening' },
  { category: 'Education', name: 'Finding the way' },
  { category: 'Utility', name: 'The house' },
];

export const surface: Finish = {
  kind: 'sheer',
  tint: 'surface',
  opacity: 66,
  blur: 18,
  radius: 16,
  edgeLine: 0,
  shadow: 20,
};

export const wide: Screen = {
  id: 'main',
  name: 'Main',
  width: 1920,
  height: 1080,
  scaleFactor: 1,
  x: 0,
  y: 0,
};

/** Roles drawn from a few colours of a scene, then tuned by hand. */
export function rolesFrom(
  colours: Record<string, number>,
  tuned: Partial<Record<Half, Partial<RoleValues>>> = {},
): Look['roles'] {
  const drawn = drawRoles(Object.entries(colours).map(([colour, share]) => ({ colour, share })));
  return { light: { ...drawn.light, ...tuned.light }, dark: { ...drawn.dark, ...tuned.dark } };
}

export function at(point: NinePoint, x: number, y: number, screen = wide.id): Place {
  return { hangs: { from: 'free', screen, point }, x, y };
}

export function items(
  prefix: string,
  list: (ItemType | [ItemType, Record<string, unknown>, string?])[],
): Item[] {
  return list.map((entry, index) => {
    const [type, options, face] = typeof entry === 'string' ? [entry, {}] : entry;
    return createItem(`${prefix}-${index + 1}`, type, options, face);
  });
}

export const starters = (prefix: string, ids: string[]) =>
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
  icons: Parameters<typeof ourIcons>[0];
  pointer: Look['pointer'];
  screens?: Screen[];
  edges: Edge[];
  widgets: Widget[];
  menus?: Partial<Menus>;
  keys?: DeskKey[];
  outside?: Outside;
  sound?: Sound;
  groups?: Group[];
  windows?: Partial<Windows>;
  desktopIcons?: Partial<DesktopIcons>;
  workspaces: string[];
}

export function desk({
  half,
  roles,
  finish = surface,
  finishes = [],
  outside = plainOutside,
  sound = plainSound,
  groups = [],
  fonts,
  icons,
  pointer,
  screens = [wide],
  workspaces,
  menus = {},
  keys = plainKeys,
  windows = {},
  desktopIcons = {},
  ...rest
}: Sketch): Desk {
  return {
    format: FORMAT,
    wears: null,
    arrangements: noArrangements,
    place: marrowPoint,
    screens,
    look: {
      half,
      parted: false,
      follows: null,
      roles,
      held: [],
      terminal: { light: null, dark: null },
      fonts,
      ownFonts: [],
      icons: ourIcons(icons),
      pointer,
      finish,
      finishes,
    },
    menus: { ...plainMenus, categories, ...menus },
    keys,
    sources: { units: plainUnits, tide: marrowTide, outside, sound },
    groups,
    windows: { ...plainWindows, ...windows },
    desktopIcons: { ...plainDesktopIcons, ...desktopIcons },
    applications,
    workspaces: workspaces.map((name, index) => ({ id: `workspace-${index + 1}`, name })),
    ...rest,
  };
}
