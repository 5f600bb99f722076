import type { MotifName } from '../backdrop/names.ts';
import { drawRoles } from '../colour/scheme.ts';
import type { SchemeName } from '../colour/schema.ts';
import {
  createBackdrop,
  createDock,
  createFonts,
  createItem,
  createMotif,
  createPanel,
  createWidget,
} from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { EdgeFrame } from '../arrange/schema.ts';
import type { Icons } from '../icons/schema.ts';
import { itemKinds, type ItemType } from '../items/list.ts';
import type { Pointer } from '../pointer/schema.ts';
import type { ShippedFamily } from '../values/family.ts';
import type { Finish } from '../values/finish.ts';
import type { Half } from '../values/roles.ts';
import { widgetKinds, type WidgetType } from '../widgets/list.ts';
import { plainWindows, type Windows } from '../windows/schema.ts';
import { kitKinds, type Kit } from '../desk/kits/kit.ts';
import { bareMannequin } from '../desk/kits/mannequin.ts';

/** A kit of ours, as it was thought of. */
interface Thought {
  id: string;
  name: string;
  notes: string;
  /** The half in which it was thought of; it has both. */
  half: Half;
  /** What its palette is drawn from, each with its share, and how. */
  colours: Readonly<Record<string, number>>;
  way?: SchemeName;
  finish: Finish;
  fonts: readonly [display: ShippedFamily, text: ShippedFamily, figures: ShippedFamily];
  /** Added to the weight, and to the spacing, of what is set in the display type. */
  letters?: { weight?: number; spacing?: number };
  icons: Icons;
  pointer: Pointer;
  windows: {
    title?: Partial<Windows['title']>;
    lines?: Partial<Windows['lines']>;
    buttons?: Partial<Windows['buttons']>;
    behind?: Partial<Windows['behind']>;
    gaps?: Partial<Windows['gaps']>;
  };
  panel: Partial<EdgeFrame>;
  dock: Partial<EdgeFrame>;
  /** Faces that aren’t the first. */
  faces: Partial<Record<WidgetType, string>>;
  itemFaces: Partial<Record<ItemType, string>>;
  /** Kinds of widgets that stand without a surface. */
  bare: readonly WidgetType[];
  motif: readonly [name: MotifName, seed: number];
}

/** The kit of a thought: on a desk with one of each kind. */
function made(thought: Thought): Kit {
  const { id, name, notes } = thought;
  const facts = { id, name, notes, version: 1, by: 'Velvet Ledge', kinds: kitKinds.map(({ key }) => key) };
  return { ...facts, desk: mannequinOf(thought) };
}

function mannequinOf(thought: Thought): Desk {
  const { half, colours, way, finish, icons, pointer, fonts, letters = {}, windows, motif } = thought;
  const swatches = Object.entries(colours).map(([colour, share]) => ({ colour, share }));
  const roles = drawRoles(swatches, way);
  const bare = bareMannequin(thought, { half: { by: 'choice', half }, finish, icons, pointer, roles });
  const { title, lines, buttons, behind, gaps } = plainWindows;
  const set = createFonts(...fonts);
  const place = { hangs: { from: 'free' as const, screen: 'main', point: 'centre' as const }, x: 0, y: 0 };
  const items = itemKinds.map(({ type }) => createItem(`item-${type}`, type, {}, thought.itemFaces[type]));
  return {
    ...bare,
    look: {
      ...bare.look,
      fonts: {
        ...set,
        display: { ...set.display, weight: letters.weight ?? 0, spacing: letters.spacing ?? 0 },
      },
    },
    backdrops: [createBackdrop('backdrop', createMotif(motif[0], motif[1], { colours: 'palette' }))],
    windows: {
      ...bare.windows,
      title: { ...title, ...windows.title },
      lines: { ...lines, ...windows.lines },
      buttons: { ...buttons, ...windows.buttons },
      behind: { ...behind, ...windows.behind },
      gaps: { ...gaps, ...windows.gaps },
    },
    edges: [
      {
        ...createPanel('panel', 'main', 'top', items),
        finish: stripFinish(finish, thought.panel),
        ...thought.panel,
      },
      {
        ...createDock('dock', 'main', 'bottom', finish, []),
        finish: stripFinish(finish, thought.dock),
        ...thought.dock,
      },
    ],
    widgets: [
      ...widgetKinds.map(({ type }) => ({ id: type, type, face: thought.faces[type] })),
      ...SMALL,
    ].map(({ id, type, face }) => {
      const widget = createWidget({ id, type, face, place, deskFinish: finish });
      const isBare = (thought.bare.includes(type) && id === type) || ALWAYS_BARE.includes(type);
      return {
        ...widget,
        finish: isBare ? { ...finish, kind: 'bare' as const, shadow: 0 } : null,
      };
    }),
  };
}

/** What further clocks and meters look like: the first is the large one. */
const SMALL: readonly { id: string; type: WidgetType; face: string }[] = [
  { id: 'small-clock', type: 'clock', face: 'line' },
  { id: 'small-machine', type: 'machine', face: 'graph' },
];

/** What an edge is made of: the desk’s finish where it has a surface, nothing where it has none. */
function stripFinish(finish: Finish, { backing }: Partial<EdgeFrame>): Finish | null {
  return backing === 'strip' || backing === 'side' ? null : { ...finish, kind: 'bare', shadow: 0 };
}

/** What brings its own surface, or is one. */
const ALWAYS_BARE: readonly WidgetType[] = ['shape', 'picture', 'spectrum', 'tiles', 'session'];

const surface = (kind: Finish['kind'], radius: number, more: Partial<Finish> = {}): Finish => ({
  kind,
  tint: 'surface',
  opacity: 78,
  blur: 20,
  radius,
  edgeLine: 0,
  shadow: 16,
  ...more,
});

const thoughts: readonly Thought[] = [
  {
    id: 'ours-reed-bed',
    name: 'Reed bed',
    notes: 'Light, green and thin: letters on the bare marsh.',
    half: 'light',
    colours: { '#e8efe0': 0.5, '#a9bd8d': 0.3, '#5d7a4c': 0.15, '#b5793c': 0.05 },
    finish: surface('sheer', 4, { opacity: 84, shadow: 0 }),
    fonts: ['newsreader', 'commissioner', 'newsreader'],
    letters: { weight: -100 },
    icons: { set: 'reed', style: 'line', tile: 'none', tileColour: 'raised' },
    pointer: { set: 'quill', size: 28, colour: 'ink' },
    windows: {
      title: { height: 34, size: 16, back: 'none' },
      lines: { line: 1, reach: 0, glow: false },
      buttons: { shape: 'strokes', size: 10, spacing: 14, weight: 1 },
    },
    panel: { backing: 'strip', spacing: 14, padding: 8 },
    dock: { backing: 'strip', spacing: 18, growth: { factor: 1.15, reach: 100 } },
    faces: {
      clock: 'line',
      machine: 'text',
      battery: 'line',
      player: 'line',
      note: 'plain',
      spectrum: 'line',
      readout: 'ruled',
      find: 'line',
    },
    itemFaces: { workspaces: 'dots', divider: 'dots', tray: 'row' },
    bare: ['clock', 'battery', 'player', 'note', 'readout', 'find'],
    motif: ['marsh', 12],
  },
  {
    id: 'ours-lamp-oil',
    name: 'Lamp oil',
    notes: 'Dark and warm, set in a heavy serif, with soft edges.',
    half: 'dark',
    colours: { '#2a1a10': 0.55, '#6b3d1e': 0.25, '#d08a3c': 0.15, '#f2cf8f': 0.05 },
    finish: surface('frosted', 18, { opacity: 82, shadow: 30 }),
    fonts: ['fraunces', 'figtree', 'fraunces'],
    letters: { weight: 200 },
    icons: { set: 'shell', style: 'duo', tile: 'none', tileColour: 'raised' },
    pointer: { set: 'pebble', size: 36, colour: 'accent' },
    windows: {
      title: { height: 50, size: 24, back: 'veil' },
      lines: { line: 3, reach: 14 },
      buttons: { shape: 'drops', size: 15, spacing: 14 },
    },
    panel: { backing: 'strip', spacing: 10, padding: 18 },
    dock: { backing: 'strip', growth: { factor: 1.5, reach: 160 } },
    faces: {
      clock: 'serif',
      machine: 'rings',
      battery: 'cell',
      player: 'wave',
      note: 'leaf',
      spectrum: 'reeds',
      readout: 'headline',
      picture: 'arch',
    },
    itemFaces: { clock: 'stack', workspaces: 'bars' },
    bare: ['clock', 'readout'],
    motif: ['lamp', 5],
  },
  {
    id: 'ours-slack-water',
    name: 'Slack water',
    notes: 'Cold and spare: nothing has a surface that can do without.',
    half: 'dark',
    colours: { '#0f1c22': 0.6, '#27424c': 0.25, '#7fb0b8': 0.12, '#d7e6e6': 0.03 },
    way: 'muted',
    finish: surface('sheer', 0, { opacity: 80, shadow: 0 }),
    fonts: ['outfit', 'outfit', 'outfit'],
    letters: { weight: -200, spacing: 2 },
    icons: { set: 'reed', style: 'line', tile: 'none', tileColour: 'raised' },
    pointer: { set: 'ring', size: 24, colour: 'softInk' },
    windows: {
      title: { height: 30, size: 14, align: 'centre', back: 'none' },
      lines: { line: 0.5, reach: 0, glow: false },
      buttons: { shape: 'notches', size: 9, spacing: 18, weight: 1 },
      behind: { dims: 70, shade: 20 },
    },
    panel: { backing: 'none', spacing: 20, padding: 4 },
    dock: { backing: 'strip', spacing: 26, growth: { factor: 1, reach: 140 } },
    faces: {
      clock: 'stack',
      machine: 'text',
      battery: 'line',
      player: 'only',
      note: 'plain',
      spectrum: 'ribbon',
      headlines: 'passing',
      find: 'sign',
    },
    itemFaces: { workspaces: 'numbers', divider: 'fade' },
    bare: ['clock', 'battery', 'player', 'note', 'readout', 'headlines', 'find'],
    motif: ['tide', 9],
  },
  {
    id: 'ours-tin-roof',
    name: 'Tin roof',
    notes: 'Square, matte and close together, in letters of one width.',
    half: 'dark',
    colours: { '#22262b': 0.6, '#4a525b': 0.28, '#c05a3a': 0.08, '#dfe3e6': 0.04 },
    finish: surface('matte', 0, { opacity: 100, edgeLine: 1, shadow: 0 }),
    fonts: ['spline-sans-mono', 'spline-sans-mono', 'spline-sans-mono'],
    letters: { weight: 100 },
    icons: { set: 'slate', style: 'line', tile: 'square', tileColour: 'raised' },
    pointer: { set: 'quill', size: 24, colour: 'accent' },
    windows: {
      title: { height: 28, size: 13, font: 'figures', back: 'body' },
      lines: { line: 0, border: 2, borderFront: 'accent', borderBehind: 'raised', glow: false },
      buttons: { shape: 'wedges', size: 10, spacing: 8 },
      gaps: { outer: 8, inner: 8 },
    },
    panel: { backing: 'strip', spacing: 4, padding: 6 },
    dock: { backing: 'strip', spacing: 4, padding: 4, growth: { factor: 1, reach: 140 } },
    faces: {
      clock: 'line',
      machine: 'bars',
      battery: 'cell',
      player: 'card',
      note: 'ruled',
      spectrum: 'blocks',
      readout: 'plate',
      picture: 'framed',
    },
    itemFaces: { workspaces: 'numbers', reading: 'bar', label: 'tag', tray: 'figures' },
    bare: [],
    motif: ['strata', 4],
  },
  {
    id: 'ours-chalk-line',
    name: 'Chalk line',
    notes: 'White on white, drawn with one thin line.',
    half: 'light',
    colours: { '#fbfaf7': 0.8, '#d9d4c8': 0.14, '#33312d': 0.05, '#c2452f': 0.01 },
    way: 'muted',
    finish: surface('sheer', 8, { tint: 'raised', opacity: 88, edgeLine: 1.5, shadow: 0 }),
    fonts: ['petrona', 'hanken-grotesk', 'hanken-grotesk'],
    icons: { set: 'reed', style: 'line', tile: 'circle', tileColour: 'raised' },
    pointer: { set: 'quill', size: 32, colour: 'ink' },
    windows: {
      title: { height: 38, size: 18, back: 'body' },
      lines: { line: 0, border: 1.5, borderFront: 'ink', borderBehind: 'softInk', glow: false },
      buttons: { shape: 'strokes', size: 12, weight: 1.5 },
    },
    panel: { backing: 'strip', spacing: 10, padding: 14 },
    dock: { backing: 'strip', spacing: 12, growth: { factor: 1.2, reach: 120 } },
    faces: {
      clock: 'hands',
      machine: 'graph',
      battery: 'ring',
      player: 'line',
      note: 'margin',
      spectrum: 'line',
      readout: 'ruled',
      picture: 'framed',
    },
    itemFaces: { clock: 'dial', date: 'leaf', workspaces: 'small' },
    bare: ['spectrum'],
    motif: ['contours', 7],
  },
  {
    id: 'ours-night-ferry',
    name: 'Night ferry',
    notes: 'Deep blue behind frosted, very round surfaces.',
    half: 'dark',
    colours: { '#101a3a': 0.55, '#2b3f7d': 0.28, '#6fa8dc': 0.12, '#f4c47a': 0.05 },
    way: 'vivid',
    finish: surface('frosted', 28, { opacity: 80, blur: 34, shadow: 24 }),
    fonts: ['outfit', 'figtree', 'outfit'],
    icons: { set: 'shell', style: 'filled', tile: 'circle', tileColour: 'accent' },
    pointer: { set: 'pebble', size: 32, colour: 'ink' },
    windows: {
      title: { height: 46, size: 18, align: 'centre' },
      lines: { line: 2, reach: 24 },
      buttons: { shape: 'drops', size: 14, side: 'left' },
    },
    panel: { backing: 'strip', spacing: 8, padding: 20 },
    dock: { backing: 'strip', padding: 14, growth: { factor: 1.6, reach: 180 } },
    faces: {
      clock: 'ring',
      machine: 'rings',
      battery: 'ring',
      player: 'card',
      note: 'leaf',
      spectrum: 'dots',
      readout: 'headline',
      picture: 'round',
    },
    itemFaces: { workspaces: 'dots', reading: 'ring', volume: 'slider' },
    bare: ['readout'],
    motif: ['night', 31],
  },
  {
    id: 'ours-saltmarsh',
    name: 'Saltmarsh',
    notes: 'Muted olive and mud, sheer as a wet sheet of paper.',
    half: 'light',
    colours: { '#d8d2bd': 0.45, '#9a9673': 0.3, '#6f6a4d': 0.2, '#8f4a3a': 0.05 },
    way: 'calm',
    finish: surface('sheer', 12, { opacity: 94, shadow: 10 }),
    fonts: ['bricolage-grotesque', 'hanken-grotesk', 'bricolage-grotesque'],
    icons: { set: 'slate', style: 'filled', tile: 'rounded', tileColour: 'raised' },
    pointer: { set: 'pebble', size: 30, colour: 'second' },
    windows: {
      title: { height: 40, size: 19, back: 'veil' },
      lines: { line: 2, reach: 0, front: 'second' },
      buttons: { shape: 'notches', size: 13 },
    },
    panel: { backing: 'strip', spacing: 8, padding: 12 },
    dock: { spacing: 12, growth: { factor: 1.3, reach: 130 } },
    faces: {
      clock: 'stack',
      machine: 'graph',
      battery: 'cell',
      player: 'wave',
      note: 'ruled',
      spectrum: 'ribbon',
      readout: 'plain',
    },
    itemFaces: { workspaces: 'bars', date: 'stack' },
    bare: ['clock'],
    motif: ['marsh', 40],
  },
  {
    id: 'ours-signal-flags',
    name: 'Signal flags',
    notes: 'Loud: large wide letters and flat colours that shout across the bay.',
    half: 'light',
    colours: { '#f6efe2': 0.4, '#1f4fa0': 0.25, '#e2382a': 0.2, '#f5c518': 0.15 },
    way: 'opposite',
    finish: surface('matte', 2, { tint: 'raised', opacity: 100, edgeLine: 3, shadow: 0 }),
    fonts: ['unbounded', 'commissioner', 'unbounded'],
    letters: { weight: 200 },
    icons: { set: 'slate', style: 'filled', tile: 'square', tileColour: 'application' },
    pointer: { set: 'quill', size: 44, colour: 'accent' },
    windows: {
      title: { height: 48, size: 20, back: 'body' },
      lines: {
        line: 6,
        reach: 0,
        front: 'accent',
        behind: 'second',
        glow: false,
        border: 3,
        borderFront: 'ink',
        borderBehind: 'ink',
      },
      buttons: { shape: 'wedges', size: 18, spacing: 10, weight: 3 },
    },
    panel: { backing: 'strip', spacing: 12, padding: 16 },
    dock: { backing: 'strip', spacing: 8, growth: { factor: 1.4, reach: 110 } },
    faces: {
      clock: 'stack',
      machine: 'bars',
      battery: 'cell',
      player: 'large',
      note: 'margin',
      spectrum: 'bars',
      readout: 'plate',
      picture: 'hexagon',
    },
    itemFaces: { workspaces: 'numbers', label: 'wide', half: 'switch' },
    bare: [],
    motif: ['strata', 27],
  },
  {
    id: 'ours-woolpack',
    name: 'Woolpack',
    notes: 'Soft and round, in pale colours, with room around everything.',
    half: 'light',
    colours: { '#f3ecef': 0.5, '#e0c9d3': 0.25, '#b7a3c4': 0.17, '#7d6b9a': 0.08 },
    way: 'calm',
    finish: surface('sheer', 34, { tint: 'raised', opacity: 95, shadow: 22 }),
    fonts: ['figtree', 'figtree', 'figtree'],
    letters: { weight: 100 },
    icons: { set: 'shell', style: 'filled', tile: 'rounded', tileColour: 'accent' },
    pointer: { set: 'pebble', size: 34, colour: 'accent' },
    windows: {
      title: { height: 52, size: 18, align: 'centre', font: 'text', back: 'body' },
      lines: { line: 0, border: 0, glow: false },
      buttons: { shape: 'drops', size: 16, spacing: 16 },
    },
    panel: { backing: 'strip', spacing: 12, padding: 24 },
    dock: { backing: 'strip', padding: 18, spacing: 14, growth: { factor: 1.25, reach: 140 } },
    faces: {
      clock: 'stack',
      machine: 'rings',
      battery: 'ring',
      player: 'card',
      note: 'leaf',
      spectrum: 'dots',
      readout: 'headline',
      picture: 'round',
    },
    itemFaces: { workspaces: 'dots', tray: 'well', reading: 'ring' },
    bare: [],
    motif: ['fog', 8],
  },
  {
    id: 'ours-iron-stair',
    name: 'Iron stair',
    notes: 'Black, heavy and square, with one red mark.',
    half: 'dark',
    colours: { '#0b0b0c': 0.7, '#2c2d30': 0.24, '#d6332b': 0.04, '#f0f0ee': 0.02 },
    way: 'muted',
    finish: surface('matte', 0, { tint: 'ground', opacity: 100, shadow: 40 }),
    fonts: ['unbounded', 'recursive', 'recursive'],
    letters: { weight: 300, spacing: -1 },
    icons: { set: 'slate', style: 'filled', tile: 'hexagon', tileColour: 'raised' },
    pointer: { set: 'ring', size: 32, colour: 'accent' },
    windows: {
      title: { height: 40, size: 17, back: 'body' },
      lines: { line: 4, reach: 0, glow: false },
      buttons: { shape: 'wedges', size: 14, weight: 3 },
      behind: { dims: 60, shade: 25 },
    },
    panel: { backing: 'strip', spacing: 6, padding: 10 },
    dock: { backing: 'side', spacing: 10, growth: { factor: 1.1, reach: 90 } },
    faces: {
      clock: 'hands',
      machine: 'bars',
      battery: 'cell',
      player: 'large',
      note: 'ruled',
      spectrum: 'blocks',
      readout: 'plate',
      picture: 'bare',
    },
    itemFaces: { workspaces: 'bars', clock: 'line', reading: 'bar' },
    bare: [],
    motif: ['headland', 16],
  },
  {
    id: 'ours-ringing-tape',
    name: 'Ringing tape',
    notes: 'Wrapping paper and orange tape, written in a notebook’s hand.',
    half: 'light',
    colours: { '#dcc7a1': 0.5, '#b58d57': 0.28, '#e0702a': 0.12, '#3e2c1c': 0.1 },
    way: 'single',
    finish: surface('matte', 6, { opacity: 100, edgeLine: 0.5, shadow: 26 }),
    fonts: ['recursive', 'recursive', 'martian-mono'],
    icons: { set: 'shell', style: 'duo', tile: 'rounded', tileColour: 'raised' },
    pointer: { set: 'quill', size: 36, colour: 'second' },
    windows: {
      title: { height: 36, size: 16, font: 'text', back: 'veil' },
      lines: { line: 3, reach: 6, glow: false, behind: 'raised' },
      buttons: { shape: 'notches', size: 12, side: 'left' },
    },
    panel: { backing: 'strip', spacing: 7, padding: 12 },
    dock: { backing: 'strip', spacing: 10, growth: { factor: 1.3, reach: 120 } },
    faces: {
      clock: 'words',
      machine: 'text',
      battery: 'line',
      player: 'line',
      note: 'margin',
      spectrum: 'bars',
      readout: 'ruled',
      picture: 'framed',
    },
    itemFaces: { label: 'tag', date: 'leaf', workspaces: 'names' },
    bare: ['clock'],
    motif: ['contours', 22],
  },
  {
    id: 'ours-first-frost',
    name: 'First frost',
    notes: 'Icy and light, thin letters under glassy, rounded surfaces.',
    half: 'light',
    colours: { '#eef4f8': 0.55, '#bcd3e0': 0.28, '#6f9db5': 0.13, '#b06fa0': 0.04 },
    way: 'two',
    finish: surface('frosted', 22, { tint: 'raised', opacity: 92, blur: 26, edgeLine: 1, shadow: 8 }),
    fonts: ['commissioner', 'commissioner', 'commissioner'],
    letters: { weight: -200, spacing: 1 },
    icons: { set: 'shell', style: 'line', tile: 'none', tileColour: 'raised' },
    pointer: { set: 'ring', size: 28, colour: 'accent' },
    windows: {
      title: { height: 42, size: 17, font: 'text', align: 'centre', back: 'veil' },
      lines: { line: 1, reach: 18 },
      buttons: { shape: 'strokes', size: 12, weight: 1 },
    },
    panel: { backing: 'strip', spacing: 10, padding: 18 },
    dock: { backing: 'strip', padding: 10, growth: { factor: 1.35, reach: 150 } },
    faces: {
      clock: 'line',
      machine: 'graph',
      battery: 'ring',
      player: 'card',
      note: 'leaf',
      spectrum: 'ribbon',
      readout: 'headline',
      picture: 'round',
    },
    itemFaces: { workspaces: 'dots', clock: 'stack', volume: 'both' },
    bare: ['clock', 'readout'],
    motif: ['fog', 21],
  },
];

/** Whether a kit is one of ours: it is there for all desks, and is never changed. */
export const isOurs = (id: string): boolean => thoughts.some((thought) => thought.id === id);

let all: readonly Kit[] | null = null;

/** The kits that come with the project. */
export function ourKits(): readonly Kit[] {
  all ??= thoughts.map(made);
  return all;
}
