import {
  createBackdrop,
  createFonts,
  createMotif,
  createPanel,
  createWidget,
} from '../core/desk/defaults.ts';
import type { Desk } from '../core/desk/desk.ts';
import { plainMenus } from '../core/menus/schema.ts';
import type { Finish } from '../core/values/finish.ts';
import { plainWindows, type Windows } from '../core/windows/schema.ts';
import { at, desk, items, rolesFrom, starters, surface } from './sketch.ts';
import type { DesktopIcons } from '../core/icons/desktop.ts';

/** A full strip below, its items in groups; applications in a list of two columns, by category. */
export function tideTable(): Desk {
  const finish: Finish = { ...surface, kind: 'frosted', opacity: 78, blur: 24, radius: 8, shadow: 24 };
  const strip = createPanel('strip', 'main', 'bottom', [
    ...items('menu', [['app-list', { icon: 'start-here', label: 'Charts and tools' }, 'both'], 'divider']),
    ...starters('start', ['chart-table', 'almanac', 'tallybook', 'terminal']),
    ...items('strip', [
      'spring',
      ['reading', {}, 'graph'],
      ['daylight', {}, 'both'],
      'tray',
      'divider',
      'quick-find',
      ['clock', { seconds: true }, 'stack'],
    ]),
  ]);
  strip.items.splice(6, 0, ...items('windows', ['divider', ['front-title', { shown: 'filled' }]]));
  return desk({
    id: 'tide-table',
    name: 'Tide table',
    seed: 92,
    half: { by: 'choice', half: 'dark' },
    backdrops: [
      createBackdrop('backdrop', createMotif('tide', 8), {
        adjust: { brightness: -62, tint: { colour: '#0d5563', strength: 62 } },
      }),
      createBackdrop('by-light', createMotif('tide', 8), {
        where: { half: 'light' },
      }),
    ],
    roles: rolesFrom(
      { '#0b2a33': 0.4, '#17505a': 0.25, '#3f8a86': 0.18, '#bcd9c6': 0.1, '#f0b45a': 0.05 },
      { dark: { accent: '#f3c06c', surface: '#0d2b33', second: '#8fd6c4' } },
    ),
    finish,
    fonts: createFonts('outfit', 'hanken-grotesk', 'recursive'),
    icons: { set: 'reed', style: 'line', tile: 'none', tileColour: 'accent' },
    pointer: { set: 'ring', size: 32, colour: 'accent' },
    edges: [{ ...strip, length: { by: 'side' }, thickness: 52, iconSize: 26, padding: 18, spacing: 8 }],
    widgets: [
      createWidget({
        id: 'clock',
        type: 'clock',
        face: 'hands',
        place: at('right', 120, -40),
        deskFinish: finish,
        options: { seconds: true, date: 'd MMMM' },
      }),
      createWidget({
        id: 'load',
        type: 'machine',
        face: 'text',
        place: at('top-left', 110, 110),
        deskFinish: finish,
        options: { network: true },
      }),
      createWidget({
        id: 'water',
        type: 'almanac',
        face: 'tide',
        place: { hangs: { from: 'part', part: 'load', side: 'bottom', align: 'start' }, x: 0, y: 32 },
        deskFinish: finish,
      }),
      createWidget({
        id: 'wind',
        type: 'weather',
        face: 'rose',
        place: { hangs: { from: 'part', part: 'water', side: 'right', align: 'start' }, x: 32, y: 0 },
        deskFinish: finish,
        options: { windIn: 'kn' },
      }),
      createWidget({
        id: 'days',
        type: 'weather',
        face: 'days',
        place: { hangs: { from: 'part', part: 'load', side: 'right', align: 'start' }, x: 32, y: 0 },
        deskFinish: finish,
        options: { days: 3 },
      }),
    ],
    menus: {
      appList: {
        ...plainMenus.appList,
        width: 600,
        columns: 2,
        words: false,
        groups: 'categories',
        favourites: ['chart-table', 'almanac'],
        recent: 4,
        rows: 12,
      },
    },
    workspaces: ['Ebb', 'Flood'],
    windows,
    desktopIcons,
  });
}

/** Titles that go where a window fills the screen. */
const windows: Partial<Windows> = {
  title: { shown: 'unfilled', height: 42, size: 19, font: 'display', align: 'right', back: 'veil' },
  buttons: { ...plainWindows.buttons, side: 'left', shape: 'wedges', size: 11, spacing: 14 },
};

/** Some applications lie on the bare desk. */
const desktopIcons: Partial<DesktopIcons> = {
  shown: 'some',
  applications: ['files', 'postbag', 'field-camera', 'wavebox'],
  size: 52,
  from: 'bottom-right',
};
