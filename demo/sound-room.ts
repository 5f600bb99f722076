import {
  createBackdrop,
  createDock,
  createFonts,
  createPanel,
  createMotif,
  createWidget,
} from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import type { Finish } from '../core/values/finish.ts';
import { surface, rolesFrom, at, items, starters, desk } from './sketch.ts';

/** A chain of diamonds, corner to corner. */
const cells = () =>
  (
    [
      ['wavebox', 0, 0],
      ['field-camera', 1, 0],
      ['tallybook', 2, 0],
      ['chart-table', 0, 1],
      ['postbag', 1, 1],
      ['almanac', 1, 2],
    ] as const
  ).map(([application, a, b]) => ({
    application,
    folder: '',
    link: '',
    name: '',
    icon: '',
    fills: false,
    a,
    b,
  }));

/** Beneath another part, in one column with it. */
const under = (part: string, y: number) => ({
  hangs: { from: 'part' as const, part, side: 'bottom' as const, align: 'centre' as const },
  x: 0,
  y,
});

export function soundRoom(): Desk {
  const finish: Finish = {
    ...surface,
    kind: 'frosted',
    opacity: 80,
    blur: 22,
    radius: 6,
    edgeLine: 1,
    shadow: 12,
  };
  const panel = createPanel(
    'panel',
    'main',
    'left',
    items('panel', ['app-list', 'divider', ['workspaces', {}, 'numbers'], 'spring', 'tray', 'clock']),
  );
  panel.items.splice(1, 0, ...items('windows', [['open-windows', {}, 'sign']]));
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
      createBackdrop('backdrop', createMotif('marsh', 12)),
      createBackdrop('after-dark', createMotif('fog', 4, { follows: true }), {
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
      { ...panel, thickness: 56, iconSize: 24, length: { by: 'side' }, margin: 16, padding: 12, finish },
      { ...dock, iconSize: 40, thickness: 76, margin: 20, spacing: 14 },
    ],
    widgets: widgets(finish),
    groups: [{ id: 'column', name: 'Column', widgets: ['clock', 'player', 'spectrum'] }],
    workspaces: ['Listen', 'Cut', 'File'],
  });
}

function widgets(finish: Finish): Desk['widgets'] {
  return [
    createWidget({
      id: 'clock',
      type: 'clock',
      face: 'hands',
      // The column stands in the middle of the height, whatever that is.
      place: at('right', 230, -194),
      deskFinish: finish,
      options: { date: 'EEEE d MMMM', seconds: true },
    }),
    createWidget({
      id: 'player',
      type: 'player',
      face: 'card',
      place: under('clock', 36),
      deskFinish: finish,
      options: { width: 380 },
    }),
    createWidget({
      id: 'spectrum',
      type: 'spectrum',
      face: 'reeds',
      place: under('player', 26),
      deskFinish: finish,
      options: { width: 424, height: 150, bands: 48 },
    }),
    createWidget({
      id: 'bulletin',
      type: 'headlines',
      face: 'one',
      place: at('bottom-left', 30, 48),
      deskFinish: finish,
      options: { width: 250 },
    }),
    createWidget({
      id: 'tiles',
      type: 'tiles',
      face: 'diamonds',
      place: at('top-left', 40, 48),
      deskFinish: finish,
      options: { cells: cells(), size: 104, gap: 10, cell: 'surface', opacity: 84 },
    }),
    createWidget({
      id: 'note',
      type: 'note',
      face: 'margin',
      place: {
        hangs: { from: 'part', part: 'bulletin', side: 'right', align: 'end' },
        x: 20,
        y: 0,
      },
      deskFinish: finish,
      options: {
        text: '# For the next tape\n- [x] Surf, an hour before high water\n- [ ] Bells, with the wind in the **north**\n- [ ] Ask who has the second recorder',
        width: 230,
      },
    }),
  ];
}
