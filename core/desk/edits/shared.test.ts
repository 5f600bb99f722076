import { expect } from 'chai';
import { emptyDesk } from '../../../tests/support/desks.ts';
import { createDock, createItem, createPanel, createWidget } from '../defaults.ts';
import type { Desk } from '../desk.ts';
import { startHistory, edit, undo } from '../history.ts';
import { edits } from './edits.ts';
import { sharedFields } from './shared.ts';

function desk(): Desk {
  const empty = emptyDesk();
  const screen = empty.screens[0]?.id ?? '';
  const { finish } = empty.look;
  const widget = (id: string, type: Parameters<typeof createWidget>[0]['type'], face: string, options = {}) =>
    createWidget({
      id,
      type,
      face,
      options,
      place: { hangs: { from: 'screen', screen, point: 'top-left' }, x: 40, y: 40 },
      deskFinish: finish,
    });
  return {
    ...empty,
    widgets: [
      widget('clock', 'clock', 'line', { colour: 'ink' }),
      widget('player', 'player', 'card', { colour: 'accent', width: 420 }),
      widget('note', 'note', 'card', { width: 300 }),
    ],
    edges: [
      createPanel('panel', screen, 'top', [createItem('date', 'date'), createItem('line', 'divider')]),
      createDock('dock', screen, 'bottom', finish, [createItem('time', 'clock')]),
    ],
  };
}

const shared = (ids: readonly string[], of = desk()) =>
  new Map(sharedFields(of, ids).map((field) => [field.is.split(' ')[0], field]));

describe('fields that several parts share', () => {
  it('are those that two or more of them have, with the value of each', () => {
    expect(shared(['clock', 'player']).get('colour')?.values).to.deep.equal(['ink', 'accent']);
    expect(shared(['player', 'note']).get('width')?.values).to.deep.equal([420, 300]);
    expect([...shared(['clock', 'player']).keys()]).to.include.members(['colour', 'scale', 'locked']);
    expect([...shared(['clock', 'player']).keys()]).to.not.include('width');
    // What an edge is told by and what is on it: its items’ own sizes follow the edge and stay.
    const mixed = shared(['clock', 'dock']);
    expect([...mixed.keys()]).to.include.members(['locked', 'hours', 'seconds']);
    expect(mixed.get('locked')?.values).to.have.length(2);
    expect(mixed.has('iconSize')).to.equal(false);
    expect(shared(['dock', 'panel']).get('thickness')?.values).to.have.length(2);
    expect(shared(['date', 'time']).get('iconSize')?.values).to.deep.equal([null, null]);
  });

  it('are none of one part, and none that has no effect where a part is now', () => {
    expect(sharedFields(desk(), ['note'])).to.deep.equal([]);
    expect(sharedFields(desk(), ['gone'])).to.deep.equal([]);
    const fixed = desk();
    const names = (of: Desk) => [...shared(['player', 'note'], of).keys()];
    expect(names(fixed)).to.include('width');
    // Growth and tooltips are of docks: a panel has no use for them.
    expect(shared(['dock', 'panel']).has('labels')).to.equal(false);
  });

  it('take one value in all that have them, in one step, and what can’t take it stays', () => {
    const ids = ['clock', 'player', 'note', 'dock', 'date'];
    const is = shared(ids).get('colour')?.is ?? '';
    const before = startHistory(desk());
    const after = edit(before, 'Colour', (draft) => edits.setShared(ids, is, '#e0d8c0').apply(draft));
    const colours = (of: Desk) =>
      Object.fromEntries(of.widgets.map(({ id, options }) => [id, options['colour']]));
    expect(colours(after.present)).to.include({ clock: '#e0d8c0', player: '#e0d8c0' });
    expect(undo(after).present).to.deep.equal(before.present);
    const refused = edit(before, 'Colour', (draft) => edits.setShared(ids, is, 'no colour').apply(draft));
    expect(refused.present).to.deep.equal(before.present);
    const seconds = shared(ids).get('seconds')?.is ?? '';
    const told = edit(before, 'Seconds', (draft) => edits.setShared(ids, seconds, true).apply(draft)).present;
    expect(told.widgets[0]?.options['seconds']).to.equal(true);
    expect(told.edges[1]?.items[0]?.options['seconds']).to.equal(true);
    // The item of a panel that was not chosen.
    expect(told.edges[0]).to.deep.equal(before.present.edges[0]);
  });
});
