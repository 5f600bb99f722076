import {
  createBackdrop,
  createDock,
  createFonts,
  createPanel,
  createMotif,
  createWidget,
} from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import { surface, rolesFrom, at, items, starters, desk } from './sketch.ts';

export function dawnCount(): Desk {
  return desk({
    id: 'dawn-count',
    name: 'Dawn count',
    seed: 1107,
    half: { by: 'choice', half: 'dark' },
    backdrops: backdrops(),
    fonts: createFonts('fraunces', 'figtree', 'fraunces'),
    icons: { set: 'reed', style: 'line', tile: 'none', tileColour: 'accent' },
    pointer: { set: 'quill', size: 34, colour: 'ink' },
    finish: { ...surface, opacity: 84 },
    finishes: [
      { id: 'pane', name: 'Clear pane', finish: { ...surface, opacity: 30, edgeLine: 1, shadow: 0 } },
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
    edges: edges(),
    widgets: widgets(),
    workspaces: ['Count', 'Charts', 'Letters'],
  });
}

/** One for each watch of the day, all of one mood. */
function backdrops(): Desk['backdrops'] {
  return [
    createBackdrop('backdrop', {
      kind: 'rotation',
      entries: [
        { id: 'first-light', source: createMotif('headland', 7) },
        { id: 'charts', source: createMotif('contours', 7, { colours: 'palette' }) },
        {
          id: 'dusk',
          source: createMotif('bay', 7, { colours: 'palette', controls: { hour: 26, cloud: 60 } }),
        },
        {
          id: 'night-fall',
          source: createMotif('night', 21, { colours: 'palette', controls: { moon: 30 } }),
        },
      ],
      change: { by: 'times', times: ['05:30', '10:00', '15:30', '21:00'] },
      shuffled: false,
      fade: 90,
    }),
    createBackdrop('by-light', createMotif('strata', 18), { where: { half: 'light' } }),
  ];
}

function edges(): Desk['edges'] {
  const panel = createPanel(
    'panel',
    'main',
    'top',
    items('panel', [
      ['application', { application: 'tallybook' }, 'both'],
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
  return [
    {
      ...panel,
      margin: 0,
      padding: 18,
      align: 'end',
      besideFilled: { ...surface, kind: 'matte', tint: 'ground', radius: 0, shadow: 0 },
    },
    {
      ...dock,
      shows: { by: 'steps', from: 'any', in: 150, out: 250 },
      align: 'start',
      margin: 28,
      padding: 10,
      spacing: 16,
      thickness: 72,
      iconSize: 38,
    },
  ];
}

function widgets(): Desk['widgets'] {
  return [
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
        place: at('top-right', 96, 40),
        deskFinish: surface,
        options: { span: 30, disk: false, network: true },
      }),
    },
    createWidget({
      id: 'elsewhere',
      type: 'clock',
      face: 'line',
      place: { hangs: { from: 'part', part: 'load', side: 'bottom', align: 'end' }, x: 0, y: 24 },
      deskFinish: surface,
      options: { zone: 'UTC', date: "'ship time'" },
    }),
    {
      ...createWidget({
        id: 'weather',
        type: 'weather',
        face: 'line',
        place: { hangs: { from: 'part', part: 'clock', side: 'bottom', align: 'start' }, x: 0, y: 30 },
        deskFinish: surface,
      }),
      scale: 1.1,
    },
    createWidget({
      id: 'tide',
      type: 'almanac',
      face: 'tide',
      place: at('bottom-right', 96, 48),
      deskFinish: surface,
    }),
  ];
}
