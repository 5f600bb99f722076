import {
  createBackdrop,
  createDock,
  createFonts,
  createPanel,
  createMotif,
  createWidget,
} from '../core/desk/defaults.ts';
import { bareFinish } from '../core/values/finish.ts';
import type { Desk } from '../core/desk/desk.ts';
import type { Screen } from '../core/desk/shapes/screens.ts';
import type { Widget } from '../core/desk/shapes/widgets.ts';
import { plainWindows } from '../core/windows/schema.ts';
import type { Finish } from '../core/values/finish.ts';
import { surface, wide, rolesFrom, at, items, starters, desk } from './sketch.ts';

export function nightWatch(): Desk {
  const finish: Finish = { ...surface, kind: 'matte', tint: 'ground', radius: 2, edgeLine: 1, shadow: 0 };
  const left: Screen = { ...wide, width: 2560, height: 1440, name: 'Watch' };
  const right: Screen = {
    id: 'side',
    name: 'Log',
    width: 1080,
    height: 1350,
    scaleFactor: 1,
    x: 2560,
    y: 40,
  };
  const panel = createPanel(
    'panel',
    'main',
    'bottom',
    items('panel', [
      'app-list',
      ['workspaces', {}, 'names'],
      'spring',
      ['clock', { seconds: true }],
      'spring',
      ['tray', {}, 'figures'],
      ['date', { pattern: 'yyyy-MM-dd' }],
    ]),
  );
  // The windows stand after the workspaces, the front one's title beside the clock.
  panel.items.splice(
    2,
    0,
    ...items('windows', ['divider', ['open-windows', { screens: 'here', width: 150 }, 'both']]),
  );
  const dock = createDock(
    'dock',
    'side',
    'bottom',
    finish,
    starters('dock', ['tallybook', 'almanac', 'terminal']),
  );
  return desk({
    id: 'night-watch',
    name: 'Night watch',
    seed: 2300,
    half: { by: 'choice', half: 'dark' },
    backdrops: [
      createBackdrop('backdrop', createMotif('night', 5, { follows: true }), { spans: true }),
      createBackdrop('by-day', createMotif('fog', 9, { controls: { fog: 100, ridges: 20 } }), {
        adjust: { brightness: 48 },
        where: { half: 'light' },
        spans: true,
      }),
    ],
    roles: rolesFrom(
      { '#05080f': 0.5, '#12263a': 0.3, '#24465a': 0.15, '#ffdf9e': 0.05 },
      { dark: { accent: '#8fdcd0', second: '#ffd58c' } },
    ),
    finish,
    fonts: createFonts('martian-mono', 'spline-sans-mono', 'martian-mono'),
    icons: { set: 'slate', style: 'line', tile: 'none', tileColour: 'accent' },
    pointer: { set: 'ring', size: 30, colour: 'second' },
    screens: [left, right],
    edges: [{ ...panel, length: { by: 'side' }, thickness: 36, iconSize: 18, padding: 16, finish }, dock],
    widgets: widgets(finish),
    workspaces: ['Watch', 'Log', 'Signals'],
    windows: {
      title: { shown: 'unfilled', height: 34, size: 15, font: 'text', align: 'left', back: 'body' },
      lines: {
        line: 2,
        reach: 0,
        front: 'accent',
        behind: 'raised',
        glow: false,
        border: 1,
        borderFront: 'accent',
        borderBehind: 'raised',
      },
      buttons: { ...plainWindows.buttons, shape: 'notches', size: 11, spacing: 14 },
      behind: { dims: 55, opacity: 100, shade: 20 },
      gaps: { outer: 12, inner: 12, catches: true, snap: 12 },
      workspaces: { arranged: 'row', columns: 3, corner: 'top-left' },
    },
  });
}

/** What whoever has the watch wants to know. */
const WATCH_LINE = [
  'Sky {weather.cloud.choose([20, 60, 90], ["clear", "with some cloud", "mostly covered", "covered"])}',
  'Moon {moon.lit.round()} % lit, sets {moon.set}',
  'Dew point {weather.dewPoint.degrees()}, {weather.temperature > 3.0 ? "no frost" : "frost likely"}',
].join('\n');

function widgets(finish: Finish): Widget[] {
  return [
    createWidget({
      id: 'clock',
      type: 'clock',
      face: 'stack',
      place: at('left', 150, -150),
      deskFinish: finish,
      options: { date: 'EEE d MMM', colour: 'accent' },
    }),
    createWidget({
      id: 'machine',
      type: 'machine',
      face: 'text',
      place: at('top-right', 96, 80),
      deskFinish: finish,
      options: { network: true },
    }),
    {
      ...createWidget({
        id: 'log-clock',
        type: 'clock',
        face: 'line',
        place: at('top', 0, 80, 'side'),
        deskFinish: finish,
        options: { zone: 'UTC', date: "'UTC'", seconds: true },
      }),
      finish: bareFinish(finish),
    },
    createWidget({
      id: 'log-load',
      type: 'machine',
      face: 'graph',
      place: at('centre', 0, -60, 'side'),
      deskFinish: finish,
      options: { span: 60, network: true },
    }),
    createWidget({
      id: 'moon',
      type: 'almanac',
      face: 'moon',
      place: { hangs: { from: 'part', part: 'machine', side: 'bottom', align: 'end' }, x: 0, y: 28 },
      deskFinish: finish,
    }),
    createWidget({
      id: 'heat',
      type: 'machine',
      face: 'heat',
      place: { hangs: { from: 'part', part: 'moon', side: 'bottom', align: 'end' }, x: 0, y: 28 },
      deskFinish: finish,
    }),
    createWidget({
      id: 'watch-line',
      type: 'readout',
      face: 'ruled',
      place: { hangs: { from: 'part', part: 'clock', side: 'bottom', align: 'start' }, x: 0, y: 56 },
      deskFinish: finish,
      options: { text: WATCH_LINE },
    }),
    createWidget({
      id: 'day',
      type: 'almanac',
      face: 'day',
      place: { hangs: { from: 'part', part: 'log-load', side: 'bottom', align: 'centre' }, x: 0, y: 28 },
      deskFinish: finish,
    }),
  ];
}
