import {
  adjust2,
  dock14,
  icons15,
  menus5,
  outside6,
  presses4,
  sound7,
  tide6,
  units6,
  windows8,
} from './upgrade-values.ts';
import { FORMAT } from './desk.ts';
import { isWebAddress } from '../values/link.ts';

/** A step takes the JSON of one format to the next. It may trust the format's number, nothing else. */
type Step = (desk: Record<string, unknown>) => Record<string, unknown>;

/** Keyed by the format that a step starts from. */
export const steps: Record<number, Step> = {
  /** Format 0 knew one `screen`, and widgets stood at `x`, `y` from its top left corner. */
  0: ({ screen, widgets, ...desk }) => {
    const only = { id: 'screen', name: 'Screen', scaleFactor: 1, x: 0, y: 0, ...asRecord(screen) };
    return {
      ...desk,
      format: 1,
      screens: [only],
      edges: asArray(desk['edges']).map((edge) => ({ screen: only.id, ...asRecord(edge) })),
      widgets: asArray(widgets).map((widget) => {
        const { x, y, ...rest } = asRecord(widget);
        return {
          ...rest,
          place: { hangs: { from: 'screen', screen: only.id, point: 'top-left' }, x, y },
        };
      }),
    };
  },

  /** Format 1 had one `backdrop`, bare finishes whose shadow meant nothing, a half in force, and families without size, weight and spacing. */
  1: ({ backdrop, look, ...desk }) => {
    const { half, fonts, icons, ...rest } = asRecord(look);
    return {
      ...desk,
      format: 2,
      edges: asArray(desk['edges']).map(withoutShade),
      widgets: asArray(desk['widgets']).map(withoutShade),
      backdrops: [
        {
          id: 'backdrop',
          for: { screen: null, workspace: null, half: null },
          spans: false,
          source: {
            ...(asRecord(backdrop)['kind'] === 'picture'
              ? { fit: 'cover', turn: 0, mirror: false }
              : { colours: 'own', controls: {}, follows: false }),
            ...asRecord(backdrop),
          },
          adjust: adjust2,
        },
      ],
      look: {
        ...rest,
        half: { by: 'choice', half },
        held: [],
        terminal: { light: null, dark: null },
        fonts: Object.fromEntries(
          Object.entries(asRecord(fonts)).map(([use, family]) => [
            use,
            { family, size: 100, weight: 0, spacing: 0 },
          ]),
        ),
        ownFonts: [],
        icons: {
          set: icons === 'duo' ? 'shell' : 'reed',
          style: icons === 'duo' ? 'duo' : 'line',
          tile: 'none',
          tileColour: 'accent',
        },
        pointer: { set: 'quill', size: 32, colour: 'ink' },
        finishes: [],
      },
    };
  },

  /** Format 2 called a motif a scene. */
  2: ({ backdrops, ...desk }) => ({
    ...desk,
    format: 3,
    backdrops: asArray(backdrops).map((backdrop) => {
      const { source, ...rest } = asRecord(backdrop);
      return { ...rest, source: withMotif(source) };
    }),
  }),

  /** Format 3 knew two lengths of an edge, always showed it, and its items had nothing but their options. */
  3: ({ edges, ...desk }) => ({
    ...desk,
    format: 4,
    edges: asArray(edges).map((edge) => {
      const { length, items, ...rest } = asRecord(edge);
      return {
        offset: 0,
        backing: 'strip',
        // Icons grew a little by themselves; a dock does so from now on where it is asked to.
        growth: { factor: 1, reach: 140 },
        labels: true,
        shows: { by: 'always' },
        locked: false,
        ...rest,
        length: length === 'fill' ? { by: 'side' } : length === 'items' ? { by: 'items' } : length,
        items: asArray(items).map((item) => ({
          keeps: 3,
          iconSize: null,
          before: 0,
          after: 0,
          presses: presses4,
          ...withSigns(asRecord(item)),
        })),
      };
    }),
  }),

  /** Format 4 had one list of applications that nobody could change, and applications were little more than a name. */
  4: ({ applications, ...desk }) => {
    const seen = new Set<unknown>();
    const each = asArray(applications).map(asRecord);
    return {
      ...desk,
      format: 5,
      menus: menus5,
      applications: each
        .filter(({ id }) => !seen.has(id) && seen.add(id))
        .map((application) => ({ Keywords: [], URL: '', Exec: '', Actions: [], ...application })),
    };
  },

  /**
   * Format 5 had what items look like among their options, and for some only one look; readings were shown in one unit,
   * and widgets always and on every workspace.
   */
  5: (desk) => ({
    ...desk,
    format: 6,
    sources: { units: units6, tide: tide6, outside: outside6 },
    widgets: asArray(desk['widgets']).map((widget) => ({
      workspaces: [],
      shows: { by: 'always' },
      ...withDeskHours(asRecord(widget)),
    })),
    edges: asArray(desk['edges']).map((edge) => {
      const { items, ...rest } = asRecord(edge);
      return { ...rest, items: asArray(items).map((item) => withDeskHours(withFace(asRecord(item)))) };
    }),
  }),

  /** Format 6 played nothing, and its widgets stood in no groups. */
  6: (desk) => ({
    ...desk,
    format: 7,
    groups: [],
    widgets: asArray(desk['widgets']).map((widget) => ({ followsWidth: false, ...asRecord(widget) })),
    sources: { ...asRecord(desk['sources']), sound: sound7 },
  }),

  /** Format 7 knew no windows, and edges that looked the same whatever stood beside them. */
  7: (desk) => ({
    ...desk,
    format: 8,
    windows: withFreeKeys(windows8, desk['menus']),
    edges: asArray(desk['edges']).map((edge) => ({ besideFilled: null, ...asRecord(edge) })),
  }),

  /** Format 8 took any address for what a tile opens, scripts among them. */
  8: (desk) => ({
    ...desk,
    format: 9,
    widgets: asArray(desk['widgets']).map((widget) => {
      const { options, ...rest } = asRecord(widget);
      if (rest['type'] !== 'tiles') return widget;
      const cells = asArray(asRecord(options)['cells']).map((cell) => ({
        ...asRecord(cell),
        link: webLink(asRecord(cell)['link']),
      }));
      return { ...rest, options: { ...asRecord(options), cells } };
    }),
  }),

  /** Format 9 had keys of menus among these, and all others among the windows, as it had the icons of the bare desk. */
  9: ({ menus, windows, ...desk }) => {
    const { shortcuts, icons, ...others } = asRecord(windows);
    const each = new Map(Object.entries(asRecord(menus)));
    const ofMenus = Object.entries(acts9).map(([menu, act]) => ({
      act,
      shortcut: asRecord(each.get(menu))['shortcut'],
    }));
    return {
      ...desk,
      format: 10,
      menus: Object.fromEntries([...each].map(([key, menu]) => [key, withoutKeys(menu)])),
      windows: others,
      desktopIcons: { ...asRecord(icons), screens: [] },
      keys: [...ofMenus.filter(({ shortcut }) => shortcut), ...asArray(shortcuts)],
    };
  },

  /** Format 10 changed a role in one half alone. Those that came to differ may have been meant to: what is there stays. */
  10: ({ look, ...desk }) => ({ ...desk, format: 11, look: { ...asRecord(look), parted: false } }),

  /**
   * Format 11 said how much shows through of a surface, a window and a tile; since then, how much of it there is. Its
   * palettes followed nothing.
   */
  11: ({ look, edges, widgets, menus, windows, ...desk }) => ({
    ...desk,
    format: 12,
    look: {
      ...withOpaqueFinish(look),
      follows: null,
      finishes: asArray(asRecord(look)['finishes']).map(withOpaqueFinish),
    },
    edges: asArray(edges).map(withOpaqueFinish),
    widgets: asArray(widgets).map((widget) => {
      const part = withOpaqueFinish(widget);
      return part['type'] === 'tiles' ? { ...part, options: withOpacity(part['options'], 'sheer') } : part;
    }),
    menus: Object.fromEntries(
      Object.entries(asRecord(menus)).map(([key, menu]) => [
        key,
        Array.isArray(menu) ? menu : withOpaqueFinish(menu),
      ]),
    ),
    windows: {
      ...withOpaqueFinish(windows),
      behind: withOpacity(asRecord(windows)['behind'], 'seeThrough'),
      habits: asArray(asRecord(windows)['habits']).map((habit) => withOpacity(habit, 'seeThrough')),
    },
  }),

  /** Format 13 remembers which kit was put on. */
  12: (desk) => ({ ...desk, format: 13, wears: null }),

  /** Format 13 drew every dock's line and marks alike, and a desk stood in one way. */
  13: (desk) => ({
    ...desk,
    format: 14,
    edges: asArray(desk['edges']).map((edge) => ({ ...dock14, ...asRecord(edge) })),
    arrangements: { list: [], chosen: null, standing: null },
  }),

  /** Format 14 drew icons of our sets alone, as they are, and knew no negatives. */
  14: ({ look, ...desk }) => {
    const { icons, ...rest } = asRecord(look);
    const backdrops = asArray(desk['backdrops']).map((backdrop) => {
      const { adjust, ...others } = asRecord(backdrop);
      return { ...others, adjust: { negative: 0, ...asRecord(adjust) } };
    });
    return { ...desk, format: 15, backdrops, look: { ...rest, icons: { ...icons15, ...asRecord(icons) } } };
  },
};

/** What has finishes, as format 12 says these. */
function withOpaqueFinish(part: unknown): Record<string, unknown> {
  const { finish, besideFilled, ...rest } = asRecord(part);
  const opaque = (one: unknown) => (one ? withOpacity(one, 'sheerness') : one);
  return {
    ...rest,
    ...(finish === undefined ? {} : { finish: opaque(finish) }),
    ...(besideFilled === undefined ? {} : { besideFilled: opaque(besideFilled) }),
  };
}

/** How much of something there is, in percent, from how much showed through. */
function withOpacity(value: unknown, before: string): Record<string, unknown> {
  const { [before]: through, ...rest } = asRecord(value);
  return typeof through === 'number' ? { ...rest, opacity: 100 - through } : rest;
}

/** What opens each of the menus of format 9 since. */
const acts9 = { appList: 'app-list', appWall: 'app-wall', quickFind: 'quick-find', deskMenu: 'desk-menu' };

/** A menu of format 9 without its keys; its categories are a list. */
function withoutKeys(menu: unknown): unknown {
  if (Array.isArray(menu)) return menu;
  const { shortcut: _, ...rest } = asRecord(menu);
  return rest;
}

/** A tile's link of format 8: of the web, which may have been typed without saying so, or none. */
function webLink(link: unknown): string {
  if (typeof link !== 'string') return '';
  const typed = link.trim();
  const whole = /^[\w-]+(\.[\w-]+)+(\/|$)/.test(typed) ? `https://${typed}` : typed;
  return isWebAddress(whole) && whole.length <= 300 ? whole : '';
}

/** Shortcuts that a desk's menus have taken stay theirs. */
function withFreeKeys(windows: typeof windows8, menus: unknown): typeof windows8 {
  const taken = new Set(Object.values(asRecord(menus)).map((menu) => asRecord(menu)['shortcut']));
  return {
    ...windows,
    shortcuts: windows.shortcuts.filter(({ shortcut }) => !taken.has(shortcut)),
  };
}

/** An item of format 5 with its face, and without the options that said it. */
function withFace({ options, ...item }: Record<string, unknown>): Record<string, unknown> {
  const { style, face, label, ...rest } = asRecord(options);
  switch (item['type']) {
    case 'workspaces':
      return { ...item, face: style ?? 'bars', options: rest };
    case 'reading':
      return { ...item, face: face ?? 'number', options: rest };
    case 'app-list':
    case 'app-wall':
    case 'quick-find':
      return { ...item, face: label ? 'both' : 'sign', options: { ...rest, label: label ?? '' } };
    case 'application':
    case 'half':
    case 'session':
      return { ...item, face: label === true ? 'both' : 'sign', options: rest };
    case 'daylight':
      return { ...item, face: label === false ? 'sign' : 'both', options: rest };
    default:
      return { ...item, face: firstFaces.get(String(item['type'])) ?? 'line', options };
  }
}

/** Hours are those of the desk since it says how it counts them, unless a part counts in its own way. */
function withDeskHours({ options, ...part }: Record<string, unknown>): Record<string, unknown> {
  const { hours, ...rest } = asRecord(options);
  return { ...part, options: hours === '24' ? { ...rest, hours: 'desk' } : options };
}

/** What the kinds looked like that had one look. */
const firstFaces = new Map([
  ['tray', 'row'],
  ['label', 'plain'],
  ['picture', 'bare'],
  ['gap', 'blank'],
  ['spring', 'blank'],
]);

/** A tray of format 3 had a switch for each sign. */
function withSigns(item: Record<string, unknown>): Record<string, unknown> {
  if (item['type'] !== 'tray') return item;
  const { network = true, processor = true, daylight = true, ...rest } = asRecord(item['options']);
  const signs = Object.entries({ network, processor, daylight }).map(([sign, isOn]) => ({
    sign,
    shows: isOn === false ? 'never' : 'always',
  }));
  return { ...item, options: { ...rest, signs } };
}

/** A source of format 2 with its scene as a motif, and those of a rotation's entries. */
function withMotif(source: unknown): unknown {
  const { scene, entries, ...rest } = asRecord(source);
  switch (rest['kind']) {
    case 'scene':
      return { ...rest, kind: 'motif', motif: scene };
    case 'rotation':
      return {
        ...rest,
        entries: asArray(entries).map((entry) => {
          const { source: inner, ...known } = asRecord(entry);
          return { ...known, source: withMotif(inner) };
        }),
      };
    default:
      return source;
  }
}

/** The desk's JSON brought to the present format; what is not a desk of an older one comes back as it is. */
export function upgrade(json: unknown): unknown {
  let desk = json;
  for (let format = formatOf(desk); format !== null && format < FORMAT; format = formatOf(desk)) {
    const step = steps[format];
    if (!step) return desk;
    desk = step(asRecord(desk));
  }
  return desk;
}

export function formatOf(json: unknown): number | null {
  const format = asRecord(json)['format'];
  return typeof format === 'number' && Number.isInteger(format) && format >= 0 ? format : null;
}

/** A bare part throws a shade since format 2; before, its shadow was only kept for when it has a surface again. */
function withoutShade(part: unknown): unknown {
  const finish = asRecord(asRecord(part)['finish']);
  return finish['kind'] === 'bare' ? { ...asRecord(part), finish: { ...finish, shadow: 0 } } : part;
}

function asRecord(value: unknown): Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? (value as Record<string, unknown>)
    : {};
}

function asArray(value: unknown): unknown[] {
  return Array.isArray(value) ? value : [];
}
