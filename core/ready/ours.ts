import type { DockLine, DockMark } from '../arrange/schema.ts';
import { plainAdjust, type Adjust } from '../backdrop/schema.ts';
import { resolveRoles } from '../colour/roles.ts';
import { terminalOf } from '../colour/terminal.ts';
import type { ReadyLook } from '../desk/ready/ready.ts';
import type { TopicKey, ValueOf } from '../desk/ready/topics.ts';
import { ourIcons, setTitles, type Icons } from '../icons/schema.ts';
import { ourKits } from '../kits/ours.ts';
import type { Pointer } from '../pointer/schema.ts';
import type { Finish } from '../values/finish.ts';
import { plainWindows } from '../windows/schema.ts';

/** Ready looks of ours, all made of roles: whatever the palette, they are fitted to it. */

type Named<Value> = readonly (readonly [name: string, value: Value])[];

const made = (
  kind: Finish['kind'],
  tint: Finish['tint'],
  radius: number,
  more: Partial<Finish> = {},
): Finish => ({ kind, tint, opacity: 80, blur: 18, radius, edgeLine: 0, shadow: 12, ...more });

const surfaces: Named<Finish> = [
  ['Slab', made('matte', 'surface', 4, { shadow: 40 })],
  ['Wet sand', made('matte', 'raised', 10)],
  ['Salt pane', made('sheer', 'surface', 12, { opacity: 78, edgeLine: 1, shadow: 0 })],
  ['Fog bank', made('frosted', 'surface', 20, { opacity: 72, blur: 30, shadow: 26 })],
  ['Ink block', made('matte', 'ink', 2, { shadow: 0 })],
  ['Tide pool', made('frosted', 'ground', 30, { opacity: 74, shadow: 24 })],
  ['Ruled', made('sheer', 'ground', 0, { opacity: 82, edgeLine: 1, shadow: 0 })],
  ['Heavy rule', made('sheer', 'ground', 8, { opacity: 86, edgeLine: 3, shadow: 0 })],
  ['Pebble', made('matte', 'raised', 44, { shadow: 30 })],
  ['Paper', made('matte', 'raised', 0, { edgeLine: 0.5, shadow: 10 })],
  ['Night glass', made('sheer', 'ground', 12, { opacity: 88 })],
  ['Mist', made('frosted', 'raised', 24, { opacity: 76, blur: 44, shadow: 0 })],
  ['Signal', made('matte', 'accent', 0, { shadow: 0 })],
  ['Lamp shade', made('matte', 'accent', 22, { edgeLine: 1, shadow: 30 })],
  ['Rust plate', made('matte', 'second', 6)],
  ['Buoy', made('matte', 'second', 80, { shadow: 34 })],
  ['Felt', made('matte', 'surface', 18, { edgeLine: 1.5, shadow: 0 })],
  ['Bare', made('bare', 'surface', 12, { shadow: 0 })],
];

const { title, lines, buttons, behind } = plainWindows;
type Frame = ValueOf<'frame'>;
const framed = (change: {
  title?: Partial<Frame['title']>;
  lines?: Partial<Frame['lines']>;
  buttons?: Partial<Frame['buttons']>;
  behind?: Partial<Frame['behind']>;
}): Frame => ({
  title: { ...title, ...change.title },
  lines: { ...lines, ...change.lines },
  buttons: { ...buttons, ...change.buttons },
  behind: { ...behind, ...change.behind },
});

const frames: Named<Frame> = [
  ['Plain sill', framed({})],
  [
    'Thin sill',
    framed({
      title: { height: 30, size: 14, font: 'text', back: 'none' },
      lines: { line: 1, reach: 0, glow: false },
      buttons: { size: 10, weight: 1, spacing: 14 },
    }),
  ],
  [
    'Hatch',
    framed({
      title: { height: 36, size: 16, align: 'centre', back: 'body' },
      lines: { line: 0, border: 2, glow: false },
      buttons: { shape: 'notches', side: 'left', size: 12 },
    }),
  ],
  [
    'No title',
    framed({
      title: { shown: 'never' },
      lines: { line: 4, reach: 0 },
      buttons: { list: [{ does: 'close' }] },
    }),
  ],
  [
    'Wide brim',
    framed({
      title: { height: 56, size: 26, back: 'veil' },
      lines: { line: 3, reach: 30 },
      buttons: { shape: 'drops', size: 16, spacing: 16 },
    }),
  ],
  [
    'Boxed',
    framed({
      title: { height: 40, size: 17, font: 'text', back: 'body' },
      lines: { line: 0, border: 6, borderFront: 'second', glow: false },
      buttons: { shape: 'strokes', weight: 3 },
    }),
  ],
];

const frameOfKit = ({ windows }: { windows: Frame }): Frame => ({
  title: windows.title,
  lines: windows.lines,
  buttons: windows.buttons,
  behind: windows.behind,
});

const dock = (line: DockLine, mark: DockMark, growth = { factor: 1.35, reach: 140 }): ValueOf<'dock'> => ({
  line,
  mark,
  growth,
});
const line = (kind: DockLine['kind'], width: number, colour: DockLine['colour'], glow = false): DockLine => ({
  kind,
  width,
  colour,
  glow,
});
const mark = (shape: DockMark['shape'], colour: DockMark['colour'] = 'accent'): DockMark => ({
  shape,
  colour,
});

const docks: Named<ValueOf<'dock'>> = [
  ['Lit sill', dock(line('whole', 3, 'accent', true), mark('stud'))],
  ['No line', dock(line('none', 3, 'accent'), mark('dot', 'ink'))],
  ['Hairline', dock(line('whole', 0.5, 'ink'), mark('wedge', 'ink'), { factor: 1, reach: 140 })],
  ['Rope', dock(line('dashes', 4, 'second', true), mark('stud', 'second'))],
  ['Beads', dock(line('dots', 5, 'ink'), mark('pair', 'accent'), { factor: 1.6, reach: 180 })],
  ['Quiet', dock(line('none', 3, 'softInk'), mark('none'), { factor: 1.2, reach: 120 })],
];

const pointers: Named<Pointer> = [
  ['Quill, ink', { set: 'quill', size: 28, colour: 'ink' }],
  ['Quill, accent', { set: 'quill', size: 34, colour: 'accent' }],
  ['Quill, large', { set: 'quill', size: 56, colour: 'second' }],
  ['Pebble, ink', { set: 'pebble', size: 28, colour: 'ink' }],
  ['Pebble, accent', { set: 'pebble', size: 36, colour: 'accent' }],
  ['Pebble, large', { set: 'pebble', size: 60, colour: 'raised' }],
  ['Ring, soft', { set: 'ring', size: 24, colour: 'softInk' }],
  ['Ring, accent', { set: 'ring', size: 34, colour: 'accent' }],
  ['Ring, large', { set: 'ring', size: 56, colour: 'alert' }],
];

const adjusted = (change: Partial<Adjust>): Adjust => ({ ...plainAdjust, ...change });
const adjustments: Named<Adjust> = [
  ['As it is', plainAdjust],
  ['Dimmed lamp', adjusted({ brightness: -45, contrast: -8 })],
  ['Held back', adjusted({ brightness: -22, saturation: -38, contrast: -12 })],
  ['Out of focus', adjusted({ blur: 22, grain: 12 })],
  ['Sea fret', adjusted({ brightness: 34, contrast: -38, saturation: -35, blur: 3 })],
  ['Low sun', adjusted({ temperature: 52, saturation: 14, darken: { toward: 'rim', strength: 38 } })],
  ['First frost', adjusted({ temperature: -48, saturation: -22, brightness: 6 })],
  ['Slate', adjusted({ saturation: -100, contrast: 10, brightness: -14 })],
  ['Two inks', adjusted({ twoTone: { dark: 'ground', light: 'accent', strength: 88 } })],
  ['In its colours', adjusted({ tint: { colour: 'ground', strength: 46 }, saturation: -20 })],
  ['Dark shore', adjusted({ darken: { toward: 'bottom', strength: 82 }, brightness: -8 })],
  ['Newsprint', adjusted({ saturation: -100, contrast: 55, grain: 60 })],
  ['Negative', adjusted({ negative: 100 })],
];

const tileTitles: Record<Icons['tile'], string> = {
  none: 'bare',
  circle: 'on circles',
  rounded: 'on rounded tiles',
  square: 'on squares',
  hexagon: 'on hexagons',
};
const styleTitles = { line: 'lines', filled: 'filled', duo: 'two-tone' } as const;
const iconStyles: readonly Icons[] = [
  ourIcons({ set: 'reed', style: 'line', tile: 'none', tileColour: 'raised' }),
  ourIcons({ set: 'reed', style: 'line', tile: 'circle', tileColour: 'raised' }),
  ourIcons({ set: 'reed', style: 'line', tile: 'hexagon', tileColour: 'accent' }),
  ourIcons({ set: 'reed', style: 'line', tile: 'rounded', tileColour: 'application' }),
  ourIcons({ set: 'slate', style: 'line', tile: 'none', tileColour: 'raised' }),
  ourIcons({ set: 'slate', style: 'filled', tile: 'none', tileColour: 'raised' }),
  ourIcons({ set: 'slate', style: 'filled', tile: 'square', tileColour: 'second' }),
  ourIcons({ set: 'slate', style: 'line', tile: 'rounded', tileColour: 'surface' }),
  ourIcons({ set: 'slate', style: 'filled', tile: 'circle', tileColour: 'application' }),
  ourIcons({ set: 'shell', style: 'line', tile: 'none', tileColour: 'raised' }),
  ourIcons({ set: 'shell', style: 'filled', tile: 'none', tileColour: 'raised' }),
  ourIcons({ set: 'shell', style: 'duo', tile: 'none', tileColour: 'raised' }),
  ourIcons({ set: 'shell', style: 'duo', tile: 'rounded', tileColour: 'raised' }),
  ourIcons({ set: 'shell', style: 'filled', tile: 'hexagon', tileColour: 'application' }),
  ourIcons({ set: 'shell', style: 'duo', tile: 'circle', tileColour: 'ink' }),
];

const looksOf = <Key extends TopicKey>(topic: Key, list: Named<ValueOf<Key>>): ReadyLook[] =>
  list.map(([name, value]) => ({
    id: `ours-${topic}-${name.toLowerCase().replace(/[^a-z]+/g, '-')}`,
    topic,
    name,
    value,
  }));

function make(): ReadyLook[] {
  const kits = ourKits();
  const ofKits = <Value>(pick: (kit: (typeof kits)[number]['desk']) => Value | undefined) =>
    kits.flatMap(({ name, desk }) => {
      const value = pick(desk);
      return value === undefined ? [] : [[name, value] as const];
    });
  return [
    ...looksOf('surface', [...surfaces, ...ofKits(({ look }) => look.finish)]),
    ...looksOf('frame', [...frames, ...ofKits(frameOfKit)]),
    ...looksOf('dock', [
      ...docks,
      ...ofKits(({ edges }) => {
        const one = edges.find(({ kind }) => kind === 'dock');
        return one && dock(one.line, one.mark, one.growth);
      }),
    ]),
    ...looksOf(
      'palette',
      ofKits(({ look }) => look.roles),
    ),
    ...looksOf('terminal', [
      ['As the palette', { light: null, dark: null }],
      ...ofKits(({ look: { roles } }) => ({
        light: terminalOf(resolveRoles(roles.light)),
        dark: terminalOf(resolveRoles(roles.dark)),
      })),
    ]),
    ...looksOf('pointer', pointers),
    ...looksOf('adjust', adjustments),
    ...looksOf(
      'icons',
      iconStyles.map(
        (icons) =>
          [`${setTitles[icons.set]} ${styleTitles[icons.style]}, ${tileTitles[icons.tile]}`, icons] as const,
      ),
    ),
  ];
}

let all: readonly ReadyLook[] | null = null;

/** The ready looks that come with the project. */
export function ourLooks(): readonly ReadyLook[] {
  all ??= make();
  return all;
}
