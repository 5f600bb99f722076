import {
  createBackdrop,
  createFonts,
  createMotif,
  createPanel,
  createWidget,
} from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import type { Screen } from '../core/desk/shapes/screens.ts';
import { plainMenus } from '../core/menus/schema.ts';
import { bareFinish, type Finish } from '../core/values/finish.ts';
import { at, desk, items, rolesFrom, starters, surface, wide } from './sketch.ts';

/** Two screens, with a rail at each outer side that slips away: what is used all the time is found by typing. */
export function twoHides(): Desk {
  const finish: Finish = { ...surface, opacity: 88, radius: 18, shadow: 30 };
  const west: Screen = { ...wide, name: 'West hide' };
  const east: Screen = { ...wide, id: 'east', name: 'East hide', x: wide.width, y: 0 };
  const rail = createPanel('rail', 'main', 'left', [
    ...items('rail', ['quick-find', 'divider']),
    ...starters('rail-start', ['tallybook', 'wavebox', 'field-camera']),
    ...items('rail-end', ['divider', ['workspaces', {}, 'small'], 'clock']),
  ]);
  rail.items.splice(2, 0, ...items('rail-windows', ['overview']));
  const second = createPanel('second', 'east', 'right', [
    ...items('second', ['app-wall', 'divider']),
    ...starters('second-start', ['chart-table', 'postbag', 'terminal']),
    ...items('second-end', [['divider', { thick: 3 }, 'dots'], ['half', {}, 'switch'], 'tray']),
  ]);
  const slipping = {
    shows: { by: 'slips' as const, in: 120, out: 600 },
    keepsWindowsOff: false,
    align: 'centre' as const,
    thickness: 60,
    iconSize: 28,
    margin: 14,
    padding: 14,
    spacing: 8,
  };
  return desk({
    id: 'two-hides',
    name: 'Two hides',
    seed: 2204,
    half: { by: 'choice', half: 'dark' },
    backdrops: [
      createBackdrop('backdrop', createMotif('lamp', 3), { spans: true }),
      createBackdrop('by-light', createMotif('fog', 14, { controls: { fog: 100, ridges: 20 } }), {
        adjust: { brightness: 48 },
        where: { half: 'light' },
        spans: true,
      }),
    ],
    roles: rolesFrom(
      { '#1a1420': 0.45, '#3a2c3d': 0.25, '#6d4a4c': 0.15, '#d88a55': 0.08, '#f6d7a0': 0.05 },
      { dark: { accent: '#f0a868', surface: '#221a28', second: '#c9b2dc' } },
    ),
    finish,
    fonts: createFonts('petrona', 'figtree', 'spline-sans-mono'),
    icons: { set: 'slate', style: 'filled', tile: 'circle', tileColour: 'raised' },
    pointer: { set: 'pebble', size: 30, colour: 'accent' },
    screens: [west, east],
    edges: [
      { ...rail, ...slipping },
      { ...second, ...slipping },
    ],
    widgets: [
      {
        ...createWidget({
          id: 'clock',
          type: 'clock',
          face: 'stack',
          place: at('bottom-left', 160, 130),
          deskFinish: finish,
        }),
        finish: bareFinish(finish),
      },
      createWidget({
        id: 'load',
        type: 'machine',
        face: 'graph',
        place: at('top-left', 160, 120, 'east'),
        deskFinish: finish,
        options: { span: 60, network: true },
      }),
      createWidget({
        id: 'sky',
        type: 'weather',
        face: 'sky',
        place: { hangs: { from: 'part', part: 'load', side: 'bottom', align: 'start' }, x: 0, y: 36 },
        deskFinish: finish,
      }),
    ],
    menus: {
      quickFind: {
        ...plainMenus.quickFind,
        place: { point: 'centre', x: 0, y: -160 },
        width: 760,
        answers: 7,
      },
      appWall: { ...plainMenus.appWall, way: 'pages', iconSize: 64, groups: 'none', columns: 4 },
    },
    workspaces: ['Watch', 'Log', 'Rest'],
  });
}
