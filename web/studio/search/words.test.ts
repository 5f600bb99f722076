import '../../../tests/support/page.ts';
import { expect } from 'chai';
import { demoDesks } from '../../../demo/desks.ts';
import { startHistory } from '../../../core/desk/history.ts';
import { useDesk } from '../../session/desk.ts';
import { useView } from '../../stores/view.ts';
import { entriesNow, type Entry } from './entries.ts';
import { nearest, ranked } from './rank.ts';
import { isSlip, otherWords } from './words.ts';

/** Words that people bring from elsewhere, and how what they must lead to begins, or what it is of. */
const words: Record<string, string> = {
  wallpaper: 'Backdrop',
  background: 'Backdrop',
  'desktop background': 'Backdrop',
  slideshow: 'Backdrop',
  transparency: 'Opacity',
  opacity: 'Opacity',
  'rounded corners': 'Corner radius',
  'corner radius': 'Corner radius',
  'drop shadow': 'Shadow',
  blur: 'Blur',
  'frosted glass': 'Blur',
  outline: 'Outline',
  cursor: 'Look: pointer',
  'mouse pointer': 'Look: pointer',
  'icon pack': 'Look: icons',
  'icon theme': 'Look: icons',
  font: 'Font|Look: type',
  fonts: 'Look: type',
  typography: 'Look: type',
  bold: 'Weight',
  'letter spacing': 'Letter spacing',
  colors: 'Palette',
  'colour scheme': 'Palette',
  'colors from wallpaper': 'Automatic',
  accent: 'Accent',
  'accent color': 'Accent',
  'highlight colour': 'Accent',
  'text color': 'Ink',
  foreground: 'Ink',
  'dark mode': 'Light and dark',
  'light mode': 'Light and dark',
  appearance: 'Light and dark|Look',
  'night light': 'Temperature',
  'color temperature': 'Temperature',
  'import colors': 'Palette: out and in',
  'colour blindness': 'Palette: other eyes',
  'terminal colors': 'Palette: terminal',
  contrast: 'Contrast|Look: legibility',
  readability: 'Look: legibility',
  problems: 'Look: findings',
  taskbar: 'Add panel',
  'menu bar': 'Add panel',
  'status bar': 'Add panel',
  launcher: 'Add dock',
  'auto-hide': 'Visibility',
  autohide: 'Visibility',
  'auto hide': 'Visibility',
  'reserve space': 'Reserves space',
  'always on top': 'Reserves space',
  margin: 'Margin|Floating distance',
  floating: 'Floating distance',
  padding: 'Padding',
  'icon spacing': 'Spacing',
  'panel height': 'Thickness',
  magnification: 'Grows to',
  magnify: 'Grows to',
  'hover zoom': 'Grows to',
  tooltips: 'Tooltips',
  'panel alignment': 'Alignment',
  'screen edge': 'Side',
  spacer: 'Add gap',
  'flexible space': 'Add spring',
  separator: 'Add divider',
  'system tray': 'Add tray',
  'notification area': 'Add tray',
  visualizer: 'Add spectrum',
  visualiser: 'Add spectrum',
  equaliser: 'Add spectrum',
  'system monitor': 'Add machine',
  cpu: 'Add machine',
  ram: 'Add machine',
  'now playing': 'Add player|Add now playing',
  'media player': 'Add player',
  'album art': 'Add player',
  forecast: 'Add weather',
  'analog clock': 'Add clock',
  agenda: 'Add calendar',
  appointments: 'Add calendar',
  'sticky note': 'Add note',
  'to-do list': 'Add note',
  checklist: 'Add note',
  'photo frame': 'Add picture',
  rectangle: 'Add shape',
  'speed dial': 'Add tiles',
  'custom text': 'Add readout',
  'battery level': 'Add battery',
  rss: 'Widgets: headlines',
  'news feed': 'Widgets: headlines',
  ics: 'Widgets: calendars',
  metar: 'Widgets: weather station|METAR',
  celsius: 'Widgets: units',
  '24 hour': 'Widgets: units',
  playlist: 'Widgets: sound',
  music: 'Widgets: sound',
  'widget size': 'Scale',
  'lock position': 'Locked',
  'ignore mouse': 'Passes clicks on',
  timezone: 'Time zone',
  'world clock': 'Time zone|Add clock, zones',
  'second hand': 'Seconds',
  'title bar': 'Windows: title',
  titlebar: 'Windows: title',
  'close button': 'Windows: buttons',
  'window border': 'Windows: line and border',
  'inactive windows': 'Windows: not in front',
  'snap windows': 'Windows: tiling',
  'split screen': 'Windows: tiling',
  gaps: 'Inner gap',
  'outer gaps': 'Outer gap',
  animations: 'Windows: moves',
  'app rules': 'Windows: habits',
  'virtual desktops': 'Windows: workspaces',
  hotkeys: 'Windows: shortcuts',
  'keyboard shortcuts': 'Windows: shortcuts|All shortcuts',
  'desktop shortcuts': 'Windows: desktop icons',
  'app menu': 'Menus: app list',
  'app grid': 'Menus: app wall',
  'run dialog': 'Menus: quick find',
  'context menu': 'Menus: desk menu',
  'right click menu': 'Menus: desk menu',
  'hot corner': 'Overview corner',
  'lock screen': 'Add session',
  'shut down': 'Add session',
  location: 'Place on earth',
  monitors: 'Screens',
  resolution: 'Screens',
  greyscale: 'Saturation',
  vignette: 'Darkening',
  duotone: 'Two tones',
  'film grain': 'Grain',
  'export wallpaper': 'Backdrop: bake and export',
  backup: 'Save as a file',
  versions: 'History of the desk',
  fullscreen: 'Go live',
};

/** Written otherwise than above: in full, in part, or with a letter amiss. */
const heldBack: Record<string, string> = {
  walpaper: 'Backdrop',
  wallpapers: 'Backdrop',
  transparancy: 'Opacity',
  'rounded corner': 'Corner radius',
  curser: 'Look: pointer',
  fnots: 'Look: type',
  'dark them': 'Light and dark',
  visualizr: 'Add spectrum',
  seperator: 'Add divider',
  'system montor': 'Add machine',
  magnificaton: 'Grows to',
  paddding: 'Padding',
  margn: 'Floating distance',
  hotkey: 'Windows: shortcuts',
  'virtual desktop': 'Windows: workspaces',
  animaton: 'Windows: moves',
  'frosted glas': 'Blur',
  equalizr: 'Add spectrum',
  agend: 'Add calendar',
  celcius: 'Widgets: units',
};

describe('words that people bring', () => {
  let entries: Entry[] = [];
  before(() => {
    const [desk] = demoDesks();
    if (!desk) throw new Error('The demo has no desk');
    useDesk.setState({ history: startHistory(desk) });
    entries = entriesNow();
  });
  after(() => useDesk.setState({ history: null }));

  const leadsTo = (word: string, goal: string) => {
    const [first] = ranked(entries, word);
    return goal.split('|').some((one) => first?.title.startsWith(one))
      ? null
      : `${word}: ${first?.title ?? 'nothing'}`;
  };
  const amiss = (list: Record<string, string>) =>
    Object.entries(list).flatMap(([word, goal]) => leadsTo(word, goal) ?? []);

  it('lead to the field, page or command that is meant', () => {
    expect(Object.keys(words).length).to.be.at.least(120);
    expect(amiss(words)).to.deep.equal([]);
  });

  it('do so nine times of ten when they are written otherwise', () => {
    expect(amiss(heldBack).length, amiss(heldBack).join('; ')).to.be.at.most(2);
  });

  it('name things that are there: every other word stands for something that is found by its own name', () => {
    for (const word of Object.keys(words))
      for (const name of otherWords(word))
        expect(
          ranked(entries, name)[0]?.title.toLowerCase().startsWith(name) ?? false,
          `${word} stands for ${name}`,
        ).to.equal(true);
  });

  it('forgive one slip, and no more', () => {
    for (const [one, other] of [
      ['blur', 'blurr'],
      ['shadow', 'shdow'],
      ['shadow', 'shadwo'],
      ['shadow', 'shadew'],
    ] as const)
      expect(isSlip(one, other), other).to.equal(true);
    for (const [one, other] of [
      ['dock', 'duke'],
      ['ram', 'rum'],
      ['shadow', 'sadwo'],
      ['shadow', 'shadowed'],
    ] as const)
      expect(isSlip(one, other), other).to.equal(false);
  });

  it('find every field of what stands on the desk, once for each kind of part, what is chosen first', () => {
    const of = (group: RegExp) =>
      entries.filter((entry) => group.test(entry.group)).map(({ title }) => title);
    expect(of(/^Clock/)).to.include.members(['Seconds', 'Time zone', 'Scale']);
    expect(of(/^Dock/)).to.include.members(['Grows to', 'Thickness', 'Floating distance']);
    const ids = entries.map(({ id }) => id);
    expect(ids.filter((id, at) => ids.indexOf(id) !== at)).to.deep.equal([]);
  });

  it('find every field of kinds that are not there yet, after those that are, and say that one is added', () => {
    const far = entries.filter(({ stands }) => stands === 'far');
    expect(far.map(({ group }) => group)).to.include.members(['adds spectrum', 'adds headlines']);
    const bands = ranked(entries, 'bands')[0];
    expect([bands?.title, bands?.group]).to.deep.equal(['Bands', 'adds spectrum']);
    expect(ranked(entries, 'time zone')[0]?.stands).to.equal(undefined);
  });

  it('find what is chosen before the same of others', () => {
    const clock = demoDesks()[0]?.widgets.find(({ type }) => type === 'clock');
    useView.setState({ selection: [clock?.id ?? ''] });
    const found = ranked(entriesNow(), 'colour')[0];
    useView.setState({ selection: [] });
    expect([found?.title, found?.group]).to.deep.equal(['Colour', 'Clock, chosen']);
  });

  it('find what stands in a sheet, in a list, and in each of the shapes that a value can have', () => {
    const groupsOf = (label: string) =>
      entries.filter(({ title }) => title === label).map(({ group }) => group);
    expect(groupsOf('Latitude')).to.include('Place');
    expect(groupsOf('Scale')).to.include('Screens');
    expect(groupsOf('Angle')).to.include('Backdrop: gradient');
    expect(groupsOf('Every')).to.include('Backdrop: rotation');
    expect(groupsOf('Position')).to.include('Backdrop: gradient');
  });

  it('say what lies nearest where nothing is found', () => {
    const query = 'radiuuuus';
    for (const nothing of ['xqzvw', query]) expect(ranked(entries, nothing)).to.deep.equal([]);
    expect(nearest(entries, query).map(({ title }) => title)).to.include('Corner radius');
  });
});
