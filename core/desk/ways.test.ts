import { expect } from 'chai';
import { closedMenus, emptyDesk } from '../../tests/support/desks.ts';
import type { DeskAct } from '../menus/acts.ts';
import { plainMenus } from '../menus/schema.ts';
import { plainPresses } from '../menus/presses.ts';
import { createItem, createPanel } from './defaults.ts';
import { edgesWithWay, hasWayToStart } from './ways.ts';

const newId = () => 'new';

describe('ways to start applications', () => {
  const closed = closedMenus();
  const with_ = (...items: Parameters<typeof createPanel>[3]) => ({
    ...emptyDesk(),
    ...closed,
    edges: [createPanel('panel', 'main', 'top', items)],
  });

  it('are an application, its list, and whatever is given to open that', () => {
    expect(hasWayToStart({ ...emptyDesk(), ...closed })).to.equal(false);
    expect(hasWayToStart(with_(createItem('c', 'clock')))).to.equal(false);
    expect(hasWayToStart(with_(createItem('a', 'app-list')))).to.equal(true);
    expect(hasWayToStart(with_(createItem('a', 'application')))).to.equal(true);
    const clock = { ...createItem('c', 'clock'), presses: { ...plainPresses, right: 'app-list' as const } };
    expect(hasWayToStart(with_(clock))).to.equal(true);
  });

  it('are keys for a menu on which something can be started, and lines of the desk menu', () => {
    const bare = { ...emptyDesk(), ...closed };
    const byKeys = (act: DeskAct, menus = closed.menus) =>
      hasWayToStart({ ...bare, menus, keys: [{ act, shortcut: 'Ctrl+Alt+Y' }] });
    expect(hasWayToStart(bare)).to.equal(false);
    expect(byKeys('app-wall')).to.equal(true);
    expect(byKeys('overview')).to.equal(false);
    expect(byKeys('quick-find')).to.equal(true);
    const quickFind = { ...plainMenus.quickFind, applications: false };
    expect(byKeys('quick-find', { ...closed.menus, quickFind })).to.equal(false);
    expect(hasWayToStart({ ...bare, keys: [{ act: 'app-wall', shortcut: '' }] })).to.equal(false);
    const { deskMenu } = plainMenus;
    expect(hasWayToStart({ ...bare, menus: { ...closed.menus, deskMenu } })).to.equal(true);
    const entries = [{ id: 'one', by: 'start' as const, application: 'files' }];
    expect(
      hasWayToStart({ ...bare, menus: { ...closed.menus, deskMenu: { ...deskMenu, entries } } }),
    ).to.equal(true);
  });

  it('are icons on the bare desk, where some are shown', () => {
    const bare = emptyDesk();
    const having = (shown: 'none' | 'some' | 'all', applications: string[]) =>
      hasWayToStart({
        ...bare,
        ...closed,
        desktopIcons: { ...bare.desktopIcons, shown, applications },
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
    const bare = { ...emptyDesk(), ...closed };
    expect(hasWayToStart({ ...bare, edges: edgesWithWay(bare, 'main', newId) })).to.equal(true);
  });
});
