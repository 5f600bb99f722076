import { expect } from 'chai';
import fc from 'fast-check';
import { DAWN, dawnCount, emptyDesk } from '../../../tests/support/desks.ts';
import { createApplication, createItem, createPanel } from '../../desk/defaults.ts';
import type { Desk } from '../../desk/desk.ts';
import { mainCategories } from '../../menus/categories.ts';
import { menuKeys, plainMenus, type MenuKey, type Menus } from '../../menus/schema.ts';
import { isInside, overlaps, type Rect } from '../../values/geometry.ts';
import { points } from '../../values/place.ts';
import type { OpenMenu } from '../conditions.ts';
import type { SceneMenu } from '../scene.ts';
import { solve } from '../solve.ts';
import { keyOfApplication } from './entries.ts';
import { walk } from './walk.ts';
import { learnMenus } from './learn.ts';

// Some of what is tested is worked out before the tests begin.
await learnMenus();

function opened(desk: Desk, menu: MenuKey, open: Partial<OpenMenu> = {}, lately: string[] = []): SceneMenu {
  const scene = solve(desk, { moment: DAWN, lately, open: { menu, screen: 'main', ...open } });
  const solved = scene.screens[0]?.menu;
  if (!solved) throw new Error(`no ${menu}`);
  return solved;
}

function withMenus(
  desk: Desk,
  change: { [Key in MenuKey]?: Partial<Menus[Key]> } & { categories?: [] },
): Desk {
  const { menus } = desk;
  return {
    ...desk,
    menus: {
      appList: { ...menus.appList, ...change.appList },
      appWall: { ...menus.appWall, ...change.appWall },
      quickFind: { ...menus.quickFind, ...change.quickFind },
      deskMenu: { ...menus.deskMenu, ...change.deskMenu },
      categories: change.categories ?? menus.categories,
    },
  };
}

const named = (count: number) =>
  Array.from({ length: count }, (_, index) =>
    createApplication(`app-${index}`, `Ringing ledger of the ${index}th week, with all its corrections`, {
      Comment: index % 2 === 0 ? 'What was caught, weighed and let go' : '',
      Categories: [mainCategories[index % mainCategories.length] ?? 'Other'],
    }),
  );

const names = ({ entries }: SceneMenu) => entries.map(({ name }) => name);
const textOf = ({ heads }: SceneMenu) => heads.map(({ text }) => text);

describe('a menu that is open', () => {
  const arbitraryMenus = fc.record({
    count: fc.constantFrom(0, 1, 7, 40, 400),
    iconSize: fc.integer({ min: 24, max: 64 }),
    columns: fc.integer({ min: 2, max: 8 }),
    width: fc.integer({ min: 240, max: 1600 }),
    labels: fc.boolean(),
    groups: fc.constantFrom('categories', 'none'),
    way: fc.constantFrom('scroll', 'pages'),
    point: fc.constantFrom(...points),
    x: fc.integer({ min: -3000, max: 3000 }),
    menu: fc.constantFrom(...menuKeys),
    chosen: fc.integer({ min: -3, max: 500 }),
    found: fc.option(fc.array(fc.integer({ min: 0, max: 420 }), { maxLength: 30 })),
  });

  it('stands inside its screen, its entries apart and their texts inside them, whatever is asked of it', () => {
    fc.assert(
      fc.property(arbitraryMenus, ({ count, menu, point, x, chosen, found, ...how }) => {
        const { iconSize, columns, width, labels, groups, way } = how as never as Menus['appList'] & {
          way: Menus['appWall']['way'];
        };
        const desk = withMenus(
          { ...emptyDesk(), applications: named(count) },
          {
            appList: { iconSize, columns, width, labels, groups, place: { by: 'point', point, x, y: 5 } },
            appWall: { iconSize, columns, labels, groups, way },
            quickFind: { iconSize, width, place: { point, x, y: -40 }, answers: 20 },
            deskMenu: { iconSize, width: Math.min(800, width) },
          },
        );
        const keys = found && found.map((index) => keyOfApplication(`app-${index}`));
        const solved = opened(desk, menu, { found: keys && [...new Set(keys)], chosen, sum: '12.5 m' });
        expect(isInside(solved.rect, { x: 0, y: 0, width: 1000, height: 600 })).to.equal(true);
        const view = { ...solved.view, x: 0, y: 0 };
        expect(solved.view.y + solved.view.height).to.be.at.most(solved.rect.height + 1e-6);
        expect(solved.content.width).to.be.at.most(view.width + 1e-6);
        const all: Rect = { x: 0, y: 0, ...solved.content };
        solved.entries.forEach(({ rect, runs, name }, index) => {
          expect(isInside(rect, all), `${name} inside`).to.equal(true);
          const next = solved.entries[index + 1];
          if (next) expect(overlaps(rect, next.rect), name).to.equal(false);
          for (const { ink, text } of runs) {
            expect(ink.x, text).to.be.at.least(-0.01);
            expect(ink.x + ink.width, text).to.be.at.most(rect.width + 0.01);
            expect(ink.y, text).to.be.at.least(-0.01);
            expect(ink.y + ink.height, text).to.be.at.most(rect.height + 0.01);
          }
          for (const one of runs)
            for (const other of runs) if (one !== other) expect(overlaps(one.ink, other.ink)).to.equal(false);
        });
        if (solved.entries.length === 0) expect(solved.none?.text).to.match(/^No/);
        else expect(solved.entries[solved.chosen]).not.to.equal(undefined);
      }),
      {
        numRuns: 150,
        // Cells of a width that no float holds met with a sliver over each other.
        examples: [
          [
            {
              count: 400,
              iconSize: 31,
              columns: 5,
              width: 240,
              labels: false,
              groups: 'categories',
              way: 'scroll',
              point: 'top-left',
              x: 0,
              menu: 'appWall',
              chosen: 0,
              found: null,
            },
          ],
        ],
      },
    );
  });

  it('lists what is at hand and what was used lately before the rest, group by group', () => {
    const desk = withMenus(dawnCount(), {
      appList: { favourites: ['files', 'gone'], recent: 2, groups: 'categories' },
    });
    const list = opened(desk, 'appList', {}, ['wavebox', 'gone', 'postbag', 'terminal']);
    expect(textOf(list)).to.deep.equal([
      'At hand',
      'Lately used',
      'Counting',
      'Listening',
      'Finding the way',
      'The house',
    ]);
    expect(names(list).slice(0, 5)).to.deep.equal([
      'Files',
      'Wavebox',
      'Postbag',
      'Tallybook',
      'Field Camera',
    ]);
    expect(list.entries).to.have.length(3 + desk.applications.length);
  });

  it('is as high as its rows by hand: 10 of 400, of 58 px each, beneath a head of 60', () => {
    const desk = { ...emptyDesk(), applications: named(400) };
    const tall = withMenus(
      { ...desk, screens: desk.screens.map((screen) => ({ ...screen, height: 2000 })) },
      { appList: { iconSize: 30, rows: 10, groups: 'none' } },
    );
    const list = opened(tall, 'appList');
    const row = list.entries[1]?.rect.y ?? 0;
    // A name of 20 px and its line of words: 44, and 16 around.
    expect(row).to.equal(60);
    expect(list.rect.height).to.equal(60 + 8 + 10 * row + 8);
    expect(list.content.height).to.equal(400 * row);
  });

  it('hangs from the button that was pressed, or the first of its kind', () => {
    const items = [createItem('one', 'app-list'), createItem('two', 'app-list')];
    const desk: Desk = {
      ...emptyDesk(),
      edges: [{ ...createPanel('panel', 'main', 'top', items), align: 'start' }],
    };
    const edge = solve(desk, { moment: DAWN }).screens[0]?.edges[0];
    const x = (id: string) => edge?.items.find((item) => item.id === id)?.rect.x;
    const list = opened(desk, 'appList').rect;
    expect(list).to.include({ x: x('one'), y: (edge?.rect.height ?? 0) + 10 });
    // What is too long for the room off the edge scrolls.
    expect(list.y + list.height).to.equal(590);
    expect(opened(desk, 'appList', { item: 'two' }).rect.x).to.equal(x('two'));
  });

  it('lights the shelf on which what is chosen stands, and lifts that alone', () => {
    const wall = opened(dawnCount(), 'appWall', { chosen: 3 });
    expect(wall.entries[3]?.name).to.equal('Chart Table');
    expect(wall.shelves.map(({ isLit }) => isLit)).to.deep.equal([false, false, true, false]);
    const sizes = wall.entries.map(({ icon }) => icon?.rect.width ?? 0);
    expect(sizes.filter((size) => size > 56)).to.have.length(1);
    expect(sizes[3]).to.be.above(60);
    // They stand on one line, whatever their size.
    const feet = wall.entries
      .slice(3, 5)
      .map(({ rect, icon }) => rect.y + (icon ? icon.rect.y + icon.rect.height : 0));
    expect(feet[0]).to.be.closeTo(feet[1] ?? 0, 1e-6);
  });

  it('shows every application on one of its pages, once', () => {
    const desk = withMenus({ ...emptyDesk(), applications: named(90) }, { appWall: { way: 'pages' } });
    const { pages } = opened(desk, 'appWall');
    const shown = Array.from({ length: pages?.count ?? 0 }, (_, page) => opened(desk, 'appWall', { page }));
    expect(pages?.count).to.be.above(3);
    for (const wall of shown) expect(wall.content.height).to.be.at.most(wall.view.height + 1e-6);
    const keys = shown.flatMap(({ entries }) => entries.map(({ key }) => key));
    expect(new Set(keys).size).to.equal(90);
    expect(keys).to.have.length(90);
  });

  it('keeps what is in a folder off the shelves, shows it when that is open, and leads back', () => {
    const folders = [{ id: 'kit', name: 'Kit', applications: ['terminal', 'files'] }];
    const desk = withMenus(dawnCount(), { appWall: { folders } });
    const wall = opened(desk, 'appWall');
    expect(names(wall)).not.to.include('Terminal');
    expect(names(wall).at(-1)).to.equal('Kit');
    const inside = opened(desk, 'appWall', { folder: 'kit' });
    expect(names(inside)).to.deep.equal(['Back', 'Terminal', 'Files']);
    expect(inside.entries[0]?.does).to.deep.equal({ by: 'folder', folder: null });
    // A search looks into folders too.
    expect(names(opened(desk, 'appWall', { found: [keyOfApplication('files')] }))).to.deep.equal(['Files']);
  });

  it('answers with what a sum comes to first, then what was found, no more than was asked for', () => {
    const desk = withMenus(dawnCount(), { quickFind: { answers: 3 } });
    const found = ['start tallybook week', 'do half', 'reading moon', 'start files', 'nonsense'];
    const answer = opened(desk, 'quickFind', { sum: '3.6576 m', found });
    expect(names(answer)).to.deep.equal(['3.6576 m', 'Tallybook: This week', 'Look at the other half']);
    expect(answer.entries[0]?.does).to.deep.equal({ by: 'take', text: '3.6576 m' });
    expect(names(opened(desk, 'quickFind', {}, ['terminal']))).to.deep.equal([
      'Terminal',
      'Tallybook',
      'Chart Table',
    ]);
    const quiet = withMenus(dawnCount(), { quickFind: { sums: false, commands: false } });
    expect(names(opened(quiet, 'quickFind', { sum: '1 m', found }))).not.to.include('1 m');
  });

  it('opens on the bare desk where it was asked for, and stays on the screen', () => {
    const desk = emptyDesk();
    expect(opened(desk, 'deskMenu', { at: { x: 120, y: 90 } }).rect).to.include({ x: 120, y: 90 });
    const { rect } = opened(desk, 'deskMenu', { at: { x: 990, y: 590 } });
    expect(rect.x + rect.width).to.equal(1000);
    expect(rect.y + rect.height).to.equal(600);
    const menu = withMenus(desk, {
      deskMenu: {
        entries: [
          { id: 'a', by: 'start', application: 'files' },
          { id: 'b', by: 'line' },
          { id: 'c', by: 'start', application: 'gone' },
          { id: 'd', by: 'act', act: 'lock' },
        ],
      },
    });
    const shown = opened(menu, 'deskMenu');
    expect(names(shown)).to.deep.equal(['Files', 'Lock']);
    expect(shown.shelves).to.have.length(1);
  });

  it('is on its own screen alone, and there is none where none is open', () => {
    const scene = solve(dawnCount(), { moment: DAWN, open: { menu: 'appWall', screen: 'elsewhere' } });
    expect(scene.screens.map(({ menu }) => menu)).to.deep.equal([null]);
    expect(solve(dawnCount(), { moment: DAWN }).screens[0]?.menu).to.equal(null);
  });
});

describe('walking through a menu', () => {
  const desk = { ...emptyDesk(), applications: named(23), menus: plainMenus };
  const wall = opened(desk, 'appWall');

  it('goes through all of them to the side, and comes round', () => {
    let chosen = 0;
    const seen: number[] = [];
    for (const _ of wall.entries) {
      seen.push(chosen);
      chosen = walk({ ...wall, chosen }, 'ArrowRight');
    }
    expect(new Set(seen).size).to.equal(23);
    expect(chosen).to.equal(0);
    expect(walk({ ...wall, chosen: 0 }, 'ArrowLeft')).to.equal(22);
  });

  it('goes down to the next shelf, to what stands nearest, and back up', () => {
    for (let chosen = 0; chosen < wall.entries.length; chosen++) {
      const down = walk({ ...wall, chosen }, 'ArrowDown');
      const [from, to] = [wall.entries[chosen], wall.entries[down]];
      const shelves = [...new Set(wall.entries.map(({ rect }) => rect.y))];
      const next = shelves[(shelves.indexOf(from?.rect.y ?? 0) + 1) % shelves.length];
      expect(to?.rect.y).to.equal(next);
      const there = wall.entries.filter(({ rect }) => rect.y === next);
      const off = (x = 0) => Math.abs(x - (from?.rect.x ?? 0));
      expect(off(to?.rect.x)).to.equal(Math.min(...there.map(({ rect }) => off(rect.x))));
    }
  });

  it('knows its ends, and stays where there is nothing', () => {
    expect(walk({ ...wall, chosen: 4 }, 'Home')).to.equal(0);
    expect(walk({ ...wall, chosen: 4 }, 'End')).to.equal(22);
    expect(walk({ ...wall, chosen: 4 }, 'PageDown')).to.be.above(15);
    expect(walk({ entries: [], chosen: -1 }, 'ArrowDown')).to.equal(-1);
  });
});
