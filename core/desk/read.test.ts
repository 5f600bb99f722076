import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import fc from 'fast-check';
import { arbitraryDesk, dawnCount } from '../../tests/support/desks.ts';
import { demoDesks } from '../../demo/desks.ts';
import { itemKindOf, type ItemType } from '../items/list.ts';
import { plainSound } from '../sources/sound/schema.ts';
import { plainKeys } from '../menus/keys.ts';
import type { Desk } from './desk.ts';
import { plainMenus } from '../menus/schema.ts';
import type { Edge } from './shapes/edges.ts';
import { createItem } from './defaults.ts';
import { readDesk } from './read.ts';
import { problemText } from './problem.ts';
import { plainWindows } from '../windows/schema.ts';
import { FORMAT } from './desk.ts';
import { deskJsonSchema } from './schema.ts';
import { steps } from './upgrade.ts';

const json = () => JSON.parse(JSON.stringify(dawnCount()));

function firstProblem(value: unknown): string {
  const result = readDesk(value);
  const [problem] = result.ok ? [] : result.problems;
  return problem ? problemText(problem) : 'fine';
}

describe('readDesk', () => {
  it('reads what was written, whatever the desk', () => {
    fc.assert(
      fc.property(arbitraryDesk, (desk) => {
        const result = readDesk(JSON.parse(JSON.stringify(desk)));
        expect(result.ok && result.value).to.deep.equal(desk);
      }),
      { numRuns: 60 },
    );
  });

  it('reads every demo desk', () => {
    for (const desk of demoDesks())
      expect(firstProblem(JSON.parse(JSON.stringify(desk))), desk.name).to.equal('fine');
  });

  it('keeps fields that it does not know, at every depth', () => {
    const desk = json();
    desk.mood = 'calm';
    desk.widgets[0].options.glow = 3;
    desk.edges[0].note = { by: 'warden' };
    const result = readDesk(desk);
    expect(result.ok && JSON.parse(JSON.stringify(result.value))).to.deep.equal(desk);
  });

  it('names the path of what is wrong', () => {
    const wrong: [(desk: ReturnType<typeof json>) => void, RegExp][] = [
      [(desk) => (desk.widgets[3].scale = 'big'), /^widgets\[3\]\.scale: .*number/],
      [(desk) => (desk.widgets[0].type = 'fridge'), /^widgets\[0\]\.type: /],
      [
        (desk) => (desk.widgets[0].options.zone = 'Nowhere/Town'),
        /^widgets\[0\]\.options\.zone: is not a time zone/,
      ],
      [
        (desk) => (desk.widgets[0].options.date = 'YYYY'),
        /^widgets\[0\]\.options\.date: is not a date pattern/,
      ],
      [(desk) => (desk.look.roles.dark.ink = 'reddish'), /^look\.roles\.dark\.ink: is not a colour/],
      [(desk) => (desk.edges[0].screen = 'attic'), /^edges\[0\]\.screen: names a screen that is not there/],
      [(desk) => (desk.edges[1].items[2].id = 'panel-1'), /^edges\[1\]\.items\[2\]\.id: is used twice/],
      [
        (desk) => (desk.widgets[3].place.hangs.part = 'nobody'),
        /^widgets\[3\]\.place\.hangs\.part: names a part that is not there/,
      ],
      [
        (desk) =>
          (desk.widgets[2].place.hangs = { from: 'part', part: 'elsewhere', side: 'top', align: 'start' }),
        /circle/,
      ],
      [(desk) => (desk.screens = []), /^screens: /],
    ];
    for (const [spoil, message] of wrong) {
      const desk = json();
      spoil(desk);
      expect(firstProblem(desk)).to.match(message);
    }
  });

  it('refuses what is no desk, and a format that it does not know', () => {
    expect(firstProblem([])).to.match(/^format: is missing/);
    expect(firstProblem({ ...json(), format: FORMAT + 1 })).to.match(/newer than/);
  });
});

describe('looks and backdrops', () => {
  const refused = (change: (desk: ReturnType<typeof json>) => void) => {
    const desk = json();
    change(desk);
    const result = readDesk(desk);
    return result.ok ? 'fine' : result.problems.map(problemText).join('; ');
  };

  it('are refused with the path of what is wrong', () => {
    expect(refused((desk) => (desk.backdrops[0].for.half = 'dark'))).to.match(
      /^backdrops\[0\]\.for: must lie everywhere/,
    );
    expect(refused((desk) => (desk.backdrops[1].for.screen = 'gone'))).to.match(
      /^backdrops\[1\]\.for\.screen: names a screen/,
    );
    expect(refused((desk) => (desk.backdrops[1].for.workspace = 'gone'))).to.match(
      /for\.workspace: names a workspace/,
    );
    expect(refused((desk) => (desk.backdrops[1].id = desk.backdrops[0].id))).to.match(/is used twice/);
    expect(refused((desk) => (desk.backdrops[0].source.change.times = ['25:00']))).to.match(
      /times\[0\]: is not a time of day/,
    );
    expect(refused((desk) => (desk.backdrops[0].adjust.blur = 4000))).to.match(/adjust\.blur/);
    expect(
      refused((desk) => (desk.look.roles.dark.surface = { from: 'raised', lighter: 1, more: 0, warmer: 0 })),
    ).to.match(/^look\.roles\.dark\.\w+: is a step, in a circle, from itself/);
    expect(refused((desk) => (desk.look.fonts.text.family = `own:${'a'.repeat(64)}`))).to.match(
      /font of one’s own that is not there/,
    );
    expect(refused((desk) => (desk.look.fonts.text.family = 'comic'))).to.match(/look\.fonts\.text\.family/);
    expect(
      refused((desk) => (desk.look.terminal.dark = { ground: '#000', ink: '#fff', colours: [] })),
    ).to.match(/terminal\.dark\.colours/);
    expect(refused(() => {})).to.equal('fine');
  });
});

describe('upgrading', () => {
  it('has a step from every older format, each of which is tested here', () => {
    expect(Object.keys(steps).map(Number)).to.deep.equal(
      Array.from({ length: FORMAT }, (_, format) => format),
    );
  });

  it('comes out of each step as it always did, whatever a new desk begins with today', () => {
    const fixture = (format: number) =>
      JSON.parse(
        readFileSync(new URL(`./upgrade-fixtures/format-${format}.json`, import.meta.url), 'utf8'),
      ) as Record<string, unknown>;
    for (let format = 0; format < FORMAT; format++) {
      const made: unknown = JSON.parse(JSON.stringify(steps[format]?.(fixture(format))));
      expect(made, `from ${format}`).to.deep.equal(fixture(format + 1));
    }
    const newest = readDesk(fixture(0));
    if (!newest.ok) throw new Error(newest.problems.map(problemText).join('; '));
    expect(newest.value).to.deep.include({
      id: 'fixture',
      name: 'As it was',
      note: 'unknown fields are kept',
    });
    // Nothing comes in from elsewhere: a step's values stand beside it.
    const imports = readFileSync(new URL('./upgrade.ts', import.meta.url), 'utf8').match(/from '.*';/g);
    expect(imports).to.have.members([
      "from './upgrade-values.ts';",
      "from './desk.ts';",
      "from '../values/link.ts';",
    ]);
  });

  it('brings format 8, whose tiles opened any address, to the present one', () => {
    const [first] = dawnCount().widgets;
    const cells = [
      ['javascript:alert(1)', ''],
      ['data:text/html,x', ''],
      ['file:///etc/hosts', ''],
      ['marrow.example/tides', 'https://marrow.example/tides'],
      ['http://marrow.example', 'http://marrow.example'],
      ['nothing', ''],
    ].map(([link]) => ({ link }));
    const tiles = { ...first, id: 'cells', type: 'tiles', face: 'squares', options: { cells } };
    const read = readDesk({
      ...inFormat9(dawnCount()),
      format: 8,
      widgets: [...dawnCount().widgets, tiles],
      groups: [],
    });
    if (!read.ok) throw new Error(read.problems.map(problemText).join('; '));
    const options = read.value.widgets.at(-1)?.options as { cells: { link: string }[] };
    expect(options.cells.map(({ link }) => link)).to.deep.equal([
      '',
      '',
      '',
      'https://marrow.example/tides',
      'http://marrow.example',
      '',
    ]);
    // From then on no other is taken.
    const bad = { ...tiles, options: { cells: [{ link: 'javascript:alert(1)' }] } };
    expect(firstProblem({ ...json(), groups: [], widgets: [...json().widgets, bad] })).to.match(
      /link: is no web address/,
    );
  });

  /** The looks and backdrops of formats 0 and 1. */
  function inFormat1(backdrop: object = { kind: 'scene', scene: 'night', seed: 4 }) {
    const { backdrops: _backdrops, look, ...rest } = json();
    const { roles, finish } = look;
    const fonts = { display: 'fraunces', text: 'figtree', figures: 'spline-sans-mono' };
    const bare = { ...finish, kind: 'bare', shadow: 20 };
    return {
      ...rest,
      format: 1,
      backdrop,
      widgets: rest.widgets.map((widget: object) => ({ ...widget, finish: bare })),
      look: { half: 'light', roles, fonts, icons: 'duo', finish },
    };
  }

  const without = (record: object, keys: readonly string[]) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key)));

  /** With keys where format 9 had them. */
  function inFormat9(desk: Desk) {
    const of = (act: string) => desk.keys.find((key) => key.act === act)?.shortcut ?? '';
    const { appList, appWall, quickFind, deskMenu, categories } = desk.menus;
    const menus: Record<string, object> = {
      appList: { ...appList, shortcut: of('app-list') },
      appWall: { ...appWall, shortcut: of('app-wall') },
      quickFind: { ...quickFind, shortcut: of('quick-find') },
      deskMenu: { ...deskMenu, shortcut: of('desk-menu') },
      categories,
    };
    const isMenu = ({ act }: { act: string }) => /^(app-list|app-wall|quick-find|desk-menu)$/.test(act);
    const windows = {
      ...desk.windows,
      shortcuts: desk.keys.filter((key) => !isMenu(key)),
      icons: without(desk.desktopIcons, ['screens']),
    };
    return { ...without(desk, ['keys', 'desktopIcons']), format: 9, menus, windows };
  }

  it('brings format 9, which had keys in two places, to the present one', () => {
    const desk = {
      ...dawnCount(),
      keys: [...dawnCount().keys, { act: 'quiet', shortcut: 'Ctrl+Alt+Q' } as const],
    };
    const read = readDesk(inFormat9(desk));
    expect(read.ok && read.value).to.deep.equal(desk);
    const bare = inFormat9({ ...desk, keys: [{ act: 'desk-menu', shortcut: 'Ctrl+Alt+B' }] });
    const found = readDesk(bare);
    expect(found.ok && found.value.keys).to.deep.equal([{ act: 'desk-menu', shortcut: 'Ctrl+Alt+B' }]);
  });

  it('brings format 7, which knew no windows, to the present one; keys that menus have stay theirs', () => {
    const desk = dawnCount();
    const { menus } = inFormat9(desk);
    const old = {
      ...without(desk, ['windows', 'keys', 'desktopIcons']),
      format: 7,
      menus: { ...menus, appList: { ...menus['appList'], shortcut: 'Ctrl+Alt+O' } },
      edges: desk.edges.map((edge) => without(edge, ['besideFilled'])),
    };
    const read = readDesk(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.windows).to.deep.equal(plainWindows);
    expect(read.value.keys).to.deep.equal([
      { act: 'app-list', shortcut: 'Ctrl+Alt+O' },
      ...plainKeys.filter(({ act }) => act !== 'app-list' && act !== 'overview'),
    ]);
    expect(read.value.edges.map(({ besideFilled }) => besideFilled)).to.deep.equal(
      desk.edges.map(() => null),
    );
  });

  it('refuses two habits of one application, and keys that are taken', () => {
    const desk = dawnCount();
    const habit = {
      id: 'habit',
      application: 'tallybook',
      workspace: 0,
      place: 'free' as const,
      width: null,
      height: null,
      frame: 'desk' as const,
      opacity: 100,
    };
    const cases: [Partial<typeof desk.windows>, string, RegExp][] = [
      [{ habits: [habit, { ...habit, id: 'other' }] }, 'windows.habits[1].application', /another habit/],
      [{ habits: [{ ...habit, id: 'clock' }] }, 'windows.habits[0].id', /used twice/],
    ];
    for (const [change, path, message] of cases) {
      const read = readDesk({ ...desk, windows: { ...desk.windows, ...change } });
      const [problem] = read.ok ? [] : read.problems;
      expect(problem?.message).to.match(message);
      expect([path, path.replace('[0]', '[1]')]).to.include(problem?.path);
    }
    const twice = [
      { act: 'overview', shortcut: 'Ctrl+Alt+Y' },
      { act: 'clear-view', shortcut: '' },
      { act: 'quick-find', shortcut: 'Ctrl+Alt+Y' },
      { act: 'app-wall', shortcut: '' },
    ];
    expect(firstProblem({ ...desk, keys: twice })).to.match(
      /^keys\[2\]\.shortcut: is taken already: Overview/,
    );
  });

  it('brings format 6, which played nothing and knew no groups, to the present one', () => {
    const desk = dawnCount();
    const { units, tide, outside } = desk.sources;
    const old = {
      ...without(desk, ['groups']),
      format: 6,
      sources: { units, tide, outside, note: 'kept' },
      widgets: desk.widgets.map((widget) => without(widget, ['followsWidth'])),
    };
    const read = readDesk(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.groups).to.deep.equal([]);
    expect(read.value.sources).to.deep.equal({ units, tide, outside, note: 'kept', sound: plainSound });
    expect(read.value.widgets).to.deep.equal(desk.widgets);
  });

  it('refuses groups that name what is not there, or one widget twice, and a list with one id twice', () => {
    const desk = dawnCount();
    const [first, second] = desk.widgets;
    const group = (id: string, ...widgets: (string | undefined)[]) => ({ id, name: id, widgets });
    const [track] = plainSound.tracks;
    const cases: [object, string, RegExp][] = [
      [{ groups: [group('g', first?.id, 'gone')] }, 'groups[0].widgets[1]', /not there: "gone"/],
      [
        { groups: [group('g', first?.id, second?.id), group('h', first?.id, 'gone')] },
        'groups[1].widgets[0]',
        /stands in two groups/,
      ],
      [{ groups: [group(first?.id ?? '', first?.id, second?.id)] }, 'groups[0].id', /used twice/],
      [{ groups: [group('g', first?.id)] }, 'groups[0].widgets', />=2/],
      [
        { sources: { ...desk.sources, sound: { ...plainSound, tracks: [track, track] } } },
        'sources.sound.tracks[1].id',
        /used twice/,
      ],
    ];
    for (const [change, path, message] of cases) {
      const read = readDesk({ ...desk, ...change });
      const [problem] = read.ok ? [] : read.problems;
      expect(problem?.path).to.equal(path);
      expect(problem?.message).to.match(message);
    }
  });

  it('brings format 5, with looks among the options of items, to the present one', () => {
    const desk = dawnCount();
    const [edge] = desk.edges;
    if (!edge) throw new Error('no edge');
    const made = (id: string, type: ItemType, options: Record<string, unknown>) => {
      const { face: _, ...item } = createItem(id, type);
      return { ...item, options };
    };
    const items = [
      made('a', 'workspaces', { style: 'names', note: 'kept' }),
      made('b', 'reading', { ...itemKindOf('reading').options.parse({}), face: 'ring' }),
      made('c', 'app-list', { icon: 'start-here', label: 'Tools' }),
      made('d', 'app-wall', { icon: 'start-here', label: '' }),
      made('e', 'application', { application: 'wavebox', label: true }),
      made('f', 'half', { label: false }),
      made('g', 'daylight', { shows: 'next', hours: '24' }),
      made('h', 'clock', { hours: '24', seconds: true, zone: '' }),
      made('i', 'spring', { weight: 2 }),
      made('j', 'tray', { ...itemKindOf('tray').options.parse({}) }),
    ];
    const read = readDesk({ ...desk, format: 5, edges: [{ ...edge, items }] });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const found = read.value.edges[0]?.items ?? [];
    expect(found.map(({ face }) => face)).to.deep.equal([
      'names',
      'ring',
      'both',
      'sign',
      'both',
      'sign',
      'both',
      'line',
      'blank',
      'row',
    ]);
    expect(found[0]?.options).to.deep.equal({ note: 'kept' });
    expect(found[2]?.options).to.deep.equal({ icon: 'start-here', label: 'Tools' });
    expect(found[7]?.options).to.include({ seconds: true, pattern: 'EEE d MMM', hours: 'desk' });
    expect(read.value.sources.units).to.include({ temperature: 'c', hours: '24' });
    expect(read.value.sources.tide.constituents.length).to.be.greaterThan(3);
  });

  it('brings format 4, whose applications were little more than a name, to the present one', () => {
    const desk = dawnCount();
    const [first] = desk.applications;
    const bare = desk.applications.map((one) => without(one, ['Keywords', 'URL', 'Exec', 'Actions']));
    const old = {
      ...without(desk, ['menus']),
      format: 4,
      applications: [...bare, { ...bare[0], Name: 'Twice' }],
    };
    const read = readDesk(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.menus).to.deep.equal(plainMenus);
    expect(read.value.applications).to.have.length(bare.length);
    expect(read.value.applications[0]).to.deep.equal({
      ...first,
      Keywords: [],
      URL: '',
      Exec: '',
      Actions: [],
    });
  });

  it('brings format 3, with two lengths of an edge and switches for the signs of a tray, to the present one', () => {
    const desk = dawnCount();
    const old = {
      ...desk,
      format: 3,
      edges: desk.edges.map((edge, index) => ({
        ...without(edge, ['offset', 'backing', 'growth', 'labels', 'shows', 'locked']),
        length: index === 0 ? 'fill' : 'items',
        items: edge.items.map(({ id, type, options }) => ({
          id,
          type,
          options: type === 'tray' ? { from: 'simulated', network: true, processor: false } : options,
        })),
      })),
    };
    const read = readDesk(old);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const [first, second] = read.value.edges;
    expect([first?.length, second?.length]).to.deep.equal([{ by: 'side' }, { by: 'items' }]);
    expect(first).to.deep.include({ shows: { by: 'always' }, locked: false, offset: 0, backing: 'strip' });
    expect(second?.growth.factor).to.equal(1);
    expect(first?.items.find(({ type }) => type === 'tray')?.options['signs']).to.deep.equal([
      { sign: 'network', shows: 'always' },
      { sign: 'processor', shows: 'never' },
      { sign: 'daylight', shows: 'always' },
    ]);
    expect(first?.items.every(({ keeps, presses }) => keeps === 3 && presses.left === 'own')).to.equal(true);
  });

  it('brings format 2, whose motifs were called scenes, to the present one', () => {
    const inFormat2 = (source: Record<string, unknown>): Record<string, unknown> => {
      const { motif, entries, ...rest } = source;
      if (rest['kind'] === 'motif') return { ...rest, kind: 'scene', scene: motif };
      return entries
        ? {
            ...rest,
            entries: (entries as { source: Record<string, unknown> }[]).map((entry) => ({
              ...entry,
              source: inFormat2(entry.source),
            })),
          }
        : source;
    };
    const desk = json();
    // Faces came later.
    const edges = desk.edges.map((edge: Edge) => ({ ...edge, items: [] }));
    const old = {
      ...desk,
      format: 2,
      edges,
      backdrops: desk.backdrops.map((backdrop: { source: Record<string, unknown> }) => ({
        ...backdrop,
        source: inFormat2(backdrop.source),
      })),
    };
    expect(JSON.stringify(old)).to.contain('"scene":"headland"');
    const read = readDesk(old);
    expect(read.ok && read.value).to.deep.equal({ ...desk, edges, menus: plainMenus });
  });

  it('brings format 1, with one backdrop and a plain look, to the present one', () => {
    const read = readDesk(inFormat1());
    if (!read.ok) throw new Error(read.problems.map(problemText).join('; '));
    const { backdrops, look, widgets } = read.value;
    expect(backdrops).to.have.length(1);
    expect(backdrops[0]?.source).to.deep.include({ kind: 'motif', motif: 'night', seed: 4, colours: 'own' });
    expect(look.half).to.deep.equal({ by: 'choice', half: 'light' });
    expect(look.fonts.figures).to.deep.equal({
      family: 'spline-sans-mono',
      size: 100,
      weight: 0,
      spacing: 0,
    });
    expect(look.icons).to.deep.include({ set: 'shell', style: 'duo', tile: 'none' });
    // What a bare part looked like it still looks like: its kept shadow does not become a shade.
    expect(widgets.every(({ finish }) => finish?.kind === 'bare' && finish.shadow === 0)).to.equal(true);
    const picture = { kind: 'picture', picture: 'a'.repeat(64), name: 'hide.png', focal: { x: 0.2, y: 0.8 } };
    const second = readDesk(inFormat1(picture));
    expect(second.ok && second.value.backdrops[0]?.source).to.deep.equal({
      ...picture,
      fit: 'cover',
      turn: 0,
      mirror: false,
    });
  });

  it('brings format 0, with one screen and absolute positions, to the present one', () => {
    const { screens: _screens, edges, widgets, ...rest } = inFormat1();
    const old = {
      ...rest,
      format: 0,
      screen: { width: 1280, height: 720 },
      edges: edges.map(({ screen: _screen, ...edge }: { screen: string }) => edge),
      widgets: widgets.slice(0, 2).map(({ place: _place, ...widget }: { place: object }, index: number) => ({
        ...widget,
        x: 40 + index,
        y: 60,
      })),
    };
    const result = readDesk(old);
    if (!result.ok) throw new Error(result.problems.map(problemText).join('; '));
    expect(result.value.format).to.equal(FORMAT);
    expect(result.value.screens).to.deep.equal([
      { id: 'screen', name: 'Screen', scaleFactor: 1, x: 0, y: 0, width: 1280, height: 720 },
    ]);
    expect(result.value.widgets[1]?.place).to.deep.equal({
      hangs: { from: 'screen', screen: 'screen', point: 'top-left' },
      x: 41,
      y: 60,
    });
    expect(result.value.edges.every(({ screen }) => screen === 'screen')).to.equal(true);
  });
});

describe('the JSON Schema in docs/', () => {
  it('is that of the code', () => {
    const written = JSON.parse(readFileSync(new URL('../../docs/desk.schema.json', import.meta.url), 'utf8'));
    expect(written, 'run: npm run docs').to.deep.equal(JSON.parse(JSON.stringify(deskJsonSchema())));
  });
});
