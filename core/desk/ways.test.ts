import { expect } from 'chai';
import { closedMenus, emptyDesk } from '../../tests/support/desks.ts';
import { plainMenus, type Menus } from '../menus/schema.ts';
import { plainPresses } from '../menus/presses.ts';
import { createItem, createPanel } from './defaults.ts';
import { edgesWithWay, hasWayToStart } from './ways.ts';

const newId = () => 'new';

describe('ways to start applications', () => {
  const { appWall, quickFind, deskMenu } = plainMenus;
  const closed = closedMenus();
  const with_ = (...items: Parameters<typeof createPanel>[3]) => ({
    ...emptyDesk(),
    menus: closed,
    edges: [createPanel('panel', 'main', 'top', items)],
  });

  it('are an application, its list, and whatever is given to open that', () => {
    expect(hasWayToStart({ ...emptyDesk(), menus: closed })).to.equal(false);
    expect(hasWayToStart(with_(createItem('c', 'clock')))).to.equal(false);
    expect(hasWayToStart(with_(createItem('a', 'app-list')))).to.equal(true);
    expect(hasWayToStart(with_(createItem('a', 'application')))).to.equal(true);
    const clock = { ...createItem('c', 'clock'), presses: { ...plainPresses, right: 'app-list' as const } };
    expect(hasWayToStart(with_(clock))).to.equal(true);
  });

  it('are keys for a menu, and lines of the desk menu', () => {
    const bare = emptyDesk();
    const having = (menus: Partial<Menus>) => hasWayToStart({ ...bare, menus: { ...closed, ...menus } });
    expect(having({})).to.equal(false);
    expect(having({ appWall })).to.equal(true);
    expect(having({ quickFind })).to.equal(true);
    expect(having({ quickFind: { ...quickFind, applications: false } })).to.equal(false);
    expect(having({ deskMenu })).to.equal(true);
    const starts = [{ id: 'one', by: 'start' as const, application: 'files' }];
    expect(having({ deskMenu: { ...deskMenu, entries: starts } })).to.equal(true);
  });

  it('are icons on the bare desk, where some are shown', () => {
    const bare = emptyDesk();
    const having = (shown: 'none' | 'some' | 'all', applications: string[]) =>
      hasWayToStart({
        ...bare,
        menus: closed,
        windows: { ...bare.windows, icons: { ...bare.windows.icons, shown, applications } },
      });
    expect(having('none', ['files'])).to.equal(false);
    expect(having('some', [])).to.equal(false);
    expect(having('some', ['files'])).to.equal(true);
    expect(having('all', [])).to.equal(true);
  });

  it('come back as a button on the first edge, or with a strip where there is none', () => {
    const desk = with_(createItem('c', 'clock'));
    const [edge] = edgesWithWay(desk, 'main', newId);
    expect(edge?.items.map(({ type }) => type)).to.deep.equal(['app-list', 'clock']);
    const bare = { ...emptyDesk(), menus: closed };
    expect(hasWayToStart({ ...bare, edges: edgesWithWay(bare, 'main', newId) })).to.equal(true);
  });
});
