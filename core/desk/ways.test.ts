import { expect } from 'chai';
import { emptyDesk } from '../../tests/support/desks.ts';
import { plainPresses } from '../values/presses.ts';
import { createItem, createPanel } from './defaults.ts';
import { edgesWithWay, hasWayToStart } from './ways.ts';

const newId = () => 'new';

describe('ways to start applications', () => {
  const with_ = (...items: Parameters<typeof createPanel>[3]) => ({
    ...emptyDesk(),
    edges: [createPanel('panel', 'main', 'top', items)],
  });

  it('are an application, its list, and whatever is given to open that', () => {
    expect(hasWayToStart(emptyDesk())).to.equal(false);
    expect(hasWayToStart(with_(createItem('c', 'clock')))).to.equal(false);
    expect(hasWayToStart(with_(createItem('a', 'app-list')))).to.equal(true);
    expect(hasWayToStart(with_(createItem('a', 'application')))).to.equal(true);
    const clock = { ...createItem('c', 'clock'), presses: { ...plainPresses, right: 'app-list' as const } };
    expect(hasWayToStart(with_(clock))).to.equal(true);
  });

  it('come back as a button on the first edge, or with a strip where there is none', () => {
    const desk = with_(createItem('c', 'clock'));
    const [edge] = edgesWithWay(desk, 'main', newId);
    expect(edge?.items.map(({ type }) => type)).to.deep.equal(['app-list', 'clock']);
    const bare = emptyDesk();
    expect(hasWayToStart({ edges: edgesWithWay(bare, 'main', newId) })).to.equal(true);
  });
});
