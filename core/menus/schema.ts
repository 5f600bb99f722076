import { z } from 'zod';
import { OwnFinish } from '../arrange/schema.ts';
import { deskActNames, deskActTitles } from '../values/acts.ts';
import { field } from '../values/field.ts';
import { Id } from '../values/id.ts';
import { Name } from '../values/name.ts';
import { points } from '../values/place.ts';
import type { TypeOf } from '../values/types.ts';
import { mainCategories } from './categories.ts';

/** Where applications are started and the desk is told what to do: the menus of a desk, one of each kind. */

/** Keys that open a menu: with Ctrl or Alt, so that they are never part of what somebody types; none when empty. */
export const Shortcut = z
  .string()
  .max(40)
  .regex(
    /^$|^(?=.*(Ctrl|Alt)\+)(Ctrl\+)?(Alt\+)?(Shift\+)?([A-Z0-9]|Space|Enter|F([1-9]|1[0-2])|Arrow(Up|Down|Left|Right))$/,
    'is not taken: keys are written as Ctrl+Alt+A, with Ctrl or Alt',
  )
  .meta({ description: 'Keys that open it; none when empty' });

const shortcut = () =>
  field(Shortcut.clone(), { label: 'Shortcut', control: 'shortcut', placeholder: 'none' });

const pixels = (min: number, max: number, label: string) =>
  field(z.number().min(min).max(max).meta({ description: 'px' }), { label, unit: 'px', control: 'slider' });

const count = (min: number, max: number, label: string) =>
  field(z.number().int().min(min).max(max), { label, control: 'slider' });

const offset = (label: string, unit: string) =>
  field(z.number().min(-16384).max(16384).meta({ description: 'px from that point' }), { label, unit });

/** Where a menu opens. */
export const MenuPlace = z.discriminatedUnion('by', [
  z.looseObject({ by: z.literal('button') }).meta({ description: 'Beside the button that opens it' }),
  z.looseObject({
    by: z.literal('point'),
    point: field(z.enum(points).meta({ description: 'Of the free area' }), {
      label: 'Point',
      control: 'point',
    }),
    x: offset('Offset across', 'x'),
    y: offset('Offset down', 'y'),
  }),
]);
export type MenuPlace = TypeOf<typeof MenuPlace>;

const place = () =>
  field(MenuPlace.clone(), {
    label: 'Opens',
    isWide: true,
    variants: {
      button: { label: 'Beside its button', start: {} },
      point: { label: 'At a point', start: { point: 'top', x: 0, y: 120 } },
    },
  });

const grouping = () =>
  field(z.enum(['categories', 'none']), {
    label: 'Groups',
    choices: { categories: 'By category', none: 'None' },
  });

const through = (label: string, description: string) =>
  field(z.boolean().meta({ description }), { label, group: 'The search looks through' });

/** A compact list. */
export const AppList = z.looseObject({
  shortcut: shortcut(),
  place: place(),
  width: pixels(160, 1600, 'Width'),
  rows: count(3, 40, 'Rows at most'),
  columns: count(1, 8, 'Columns'),
  iconSize: pixels(12, 128, 'Icons'),
  labels: field(z.boolean(), { label: 'Names' }),
  words: field(z.boolean(), { label: 'What each is for', when: ({ labels }) => labels === true }),
  groups: grouping(),
  favourites: z.array(Id).max(60).meta({ description: 'Ids of applications that stand first' }),
  recent: count(0, 12, 'Lately used'),
  search: field(z.boolean(), { label: 'Search field' }),
  searchesWords: field(z.boolean(), {
    label: 'Search what each is for',
    when: ({ search }) => search === true,
  }),
  finish: OwnFinish,
});
export type AppList = TypeOf<typeof AppList>;

/** Some applications behind one. */
export const Folder = z.looseObject({
  id: Id,
  name: Name,
  applications: z.array(Id).max(200),
});
export type Folder = TypeOf<typeof Folder>;

/** A full screen of shelves. */
export const AppWall = z.looseObject({
  shortcut: shortcut(),
  way: field(z.enum(['scroll', 'pages']), {
    label: 'Goes on',
    choices: { scroll: 'By scrolling', pages: 'In pages' },
  }),
  columns: count(2, 16, 'On a shelf'),
  iconSize: pixels(24, 200, 'Icons'),
  labels: field(z.boolean(), { label: 'Names' }),
  groups: grouping(),
  search: field(z.boolean(), { label: 'Search field' }),
  searchesWords: field(z.boolean(), {
    label: 'Search what each is for',
    when: ({ search }) => search === true,
  }),
  folders: z.array(Folder).max(40),
  finish: OwnFinish,
});
export type AppWall = TypeOf<typeof AppWall>;

/** One line that finds. */
export const QuickFind = z.looseObject({
  shortcut: shortcut(),
  place: field(
    z.looseObject({
      point: field(z.enum(points).meta({ description: 'Of the free area' }), {
        label: 'Point',
        control: 'point',
      }),
      x: offset('Offset across', 'x'),
      y: offset('Offset down', 'y'),
    }),
    { label: 'Opens' },
  ),
  width: pixels(240, 1600, 'Width'),
  answers: count(1, 20, 'Answers at most'),
  iconSize: pixels(12, 96, 'Icons'),
  labels: field(z.boolean(), { label: 'Say what each is' }),
  applications: through('Applications', 'Looks through applications'),
  commands: through('Commands', 'Looks through what can be done on the desk'),
  readings: through('Readings', 'Looks through the readings of sources'),
  sums: through('Sums', 'Works out what is typed, with units'),
  finish: OwnFinish,
});
export type QuickFind = TypeOf<typeof QuickFind>;

const entryId = { id: Id };

/** A line of the desk menu. */
export const DeskEntry = z.discriminatedUnion('by', [
  z.looseObject({
    ...entryId,
    by: z.literal('act'),
    act: field(z.enum(deskActNames), { label: 'Does', choices: deskActTitles }),
  }),
  z.looseObject({
    ...entryId,
    by: z.literal('start'),
    application: field(z.string().max(64), { label: 'Application', control: 'application' }),
  }),
  z.looseObject({ ...entryId, by: z.literal('line') }).meta({ description: 'A line between two groups' }),
]);
export type DeskEntry = TypeOf<typeof DeskEntry>;

/** On the bare desk. */
export const DeskMenu = z.looseObject({
  shortcut: shortcut(),
  width: pixels(140, 800, 'Width'),
  iconSize: pixels(12, 64, 'Icons'),
  icons: field(z.boolean(), { label: 'Icons before the names' }),
  title: field(z.boolean(), { label: 'The desk’s name above' }),
  entries: z.array(DeskEntry).max(40),
  finish: OwnFinish,
});
export type DeskMenu = TypeOf<typeof DeskMenu>;

/** What a category is called on this desk. */
export const CategoryName = z.looseObject({
  category: field(z.enum(mainCategories), { label: 'Category' }),
  name: field(Name.clone(), { label: 'Called' }),
});

export const Menus = z.looseObject({
  appList: AppList,
  appWall: AppWall,
  quickFind: QuickFind,
  deskMenu: DeskMenu,
  categories: z
    .array(CategoryName)
    .max(40)
    .meta({ description: 'Categories that come first, in this order, under names of their own' }),
});
export type Menus = TypeOf<typeof Menus>;

export const menuKeys = ['appList', 'appWall', 'quickFind', 'deskMenu'] as const;
export type MenuKey = (typeof menuKeys)[number];

/** The schema of each menu, for forms. */
export const menuSchemas: Record<MenuKey, z.ZodObject> = {
  appList: AppList,
  appWall: AppWall,
  quickFind: QuickFind,
  deskMenu: DeskMenu,
};

export const menuTitles: Record<MenuKey, string> = {
  appList: 'App list',
  appWall: 'App wall',
  quickFind: 'Quick find',
  deskMenu: 'Desk menu',
};

/** The menus of a desk that nobody has changed yet. */
export const plainMenus: Menus = {
  appList: {
    shortcut: 'Ctrl+Alt+L',
    place: { by: 'button' },
    width: 380,
    rows: 10,
    columns: 1,
    iconSize: 30,
    labels: true,
    words: true,
    groups: 'none',
    favourites: [],
    recent: 0,
    search: true,
    searchesWords: true,
    finish: null,
  },
  appWall: {
    shortcut: 'Ctrl+Alt+W',
    way: 'scroll',
    columns: 6,
    iconSize: 56,
    labels: true,
    groups: 'categories',
    search: true,
    searchesWords: true,
    folders: [],
    finish: null,
  },
  quickFind: {
    shortcut: 'Ctrl+Space',
    place: { point: 'top', x: 0, y: 160 },
    width: 680,
    answers: 6,
    iconSize: 26,
    labels: true,
    applications: true,
    commands: true,
    readings: true,
    sums: true,
    finish: null,
  },
  deskMenu: {
    shortcut: '',
    width: 320,
    iconSize: 22,
    icons: true,
    title: true,
    entries: [
      { id: 'menu-wall', by: 'act', act: 'app-wall' },
      { id: 'menu-find', by: 'act', act: 'quick-find' },
      { id: 'menu-line', by: 'line' },
      { id: 'menu-half', by: 'act', act: 'half' },
      { id: 'menu-arrange', by: 'act', act: 'arrange' },
    ],
    finish: null,
  },
  categories: [],
};
