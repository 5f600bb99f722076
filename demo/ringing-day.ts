import {
  createBackdrop,
  createDock,
  createFonts,
  createMotif,
  createPanel,
  createWidget,
} from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import type { Widget } from '../core/desk/shapes/widgets.ts';
import { plainMenus } from '../core/menus/schema.ts';
import type { Finish } from '../core/values/finish.ts';
import { plainOutside } from '../core/sources/outside.ts';
import { netsCalendar } from './nets-calendar.ts';
import { plainWindows } from '../core/windows/schema.ts';
import { at, desk, items, rolesFrom, starters, surface } from './sketch.ts';

/** A slim strip above, a floating dock below; applications stand on a wall of large icons. */
export function ringingDay(): Desk {
  const finish: Finish = { ...surface, kind: 'matte', radius: 12, edgeLine: 1, shadow: 14 };
  const strip = createPanel(
    'strip',
    'main',
    'top',
    items('strip', [
      ['app-wall', { label: 'Applications' }, 'both'],
      ['workspaces', {}, 'names'],
      'spring',
      ['date', { pattern: 'EEEE d MMMM' }],
      'clock',
      'spring',
      ['daylight', {}, 'arc'],
      'tray',
      'session',
    ]),
  );
  strip.items.splice(2, 0, ...items('windows', ['divider', 'front-menus', ['clear-view', {}, 'sign']]));
  const dock = createDock(
    'dock',
    'main',
    'bottom',
    finish,
    starters('dock', ['tallybook', 'field-camera', 'chart-table', 'almanac', 'postbag', 'files']),
  );
  return desk({
    id: 'ringing-day',
    name: 'Ringing day',
    seed: 415,
    half: { by: 'choice', half: 'light' },
    backdrops: [
      createBackdrop('backdrop', createMotif('strata', 44, { colours: 'palette' })),
      createBackdrop('after-dark', createMotif('contours', 31, { colours: 'palette' }), {
        where: { half: 'dark' },
      }),
    ],
    roles: rolesFrom(
      { '#e8dcc6': 0.4, '#c9b391': 0.25, '#8f9f82': 0.15, '#3d5347': 0.12, '#b4512c': 0.06 },
      { light: { accent: '#9c3f1e', surface: '#f4ecdc' } },
    ),
    finish,
    fonts: createFonts('newsreader', 'commissioner', 'spline-sans-mono'),
    icons: { set: 'shell', style: 'filled', tile: 'rounded', tileColour: 'raised' },
    pointer: { set: 'quill', size: 32, colour: 'accent' },
    edges: [
      { ...strip, length: { by: 'side' }, thickness: 38, iconSize: 19, padding: 16, finish },
      {
        ...dock,
        thickness: 84,
        iconSize: 48,
        spacing: 14,
        padding: 14,
        margin: 16,
        finish,
        growth: { factor: 1.3, reach: 160 },
      },
    ],
    widgets: widgets(finish),
    outside: {
      ...plainOutside,
      calendars: [
        { id: 'nets', title: 'Nets', colour: 'accent', from: { by: 'file', text: netsCalendar } },
        ...plainOutside.calendars.map((one) => ({ ...one, colour: 'second' as const })),
      ],
    },
    menus: {
      appWall: { ...plainMenus.appWall, iconSize: 80, columns: 5 },
      deskMenu: {
        ...plainMenus.deskMenu,
        entries: [
          { id: 'tally', by: 'start', application: 'tallybook' },
          { id: 'camera', by: 'start', application: 'field-camera' },
          { id: 'first-line', by: 'line' },
          ...plainMenus.deskMenu.entries,
        ],
      },
    },
    workspaces: ['Nets', 'Rings', 'Letters'],
    windows: {
      title: { shown: 'always', height: 40, size: 18, font: 'display', align: 'centre', back: 'body' },
      buttons: { ...plainWindows.buttons, shape: 'drops', size: 12, spacing: 12 },
    },
  });
}

function widgets(finish: Finish): Widget[] {
  return [
    createWidget({
      id: 'clock',
      type: 'clock',
      face: 'serif',
      place: at('top-left', 120, 34),
      deskFinish: finish,
      options: { date: "'ringing day,' d MMMM" },
    }),
    createWidget({
      id: 'machine',
      type: 'machine',
      face: 'bars',
      place: at('top-right', 110, 34),
      deskFinish: finish,
    }),
    createWidget({
      id: 'to-do',
      type: 'calendar',
      face: 'tasks',
      place: { hangs: { from: 'part', part: 'clock', side: 'bottom', align: 'start' }, x: 0, y: 44 },
      deskFinish: finish,
      options: { only: 'nets' },
    }),
    createWidget({
      id: 'weather',
      type: 'weather',
      face: 'hours',
      place: { hangs: { from: 'part', part: 'machine', side: 'bottom', align: 'end' }, x: 0, y: 20 },
      deskFinish: finish,
    }),
  ];
}
