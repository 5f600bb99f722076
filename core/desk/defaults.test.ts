import { expect } from 'chai';
import { bareDesk } from '../../demo/bare-desk.ts';
import { fromCorner } from '../../tests/support/desks.ts';
import { itemKinds } from '../items/list.ts';
import { widgetKinds } from '../widgets/list.ts';
import { createDock, createItem, createPanel, createWidget } from './defaults.ts';
import { readDesk } from './read.ts';
import { hangingFrom, widgetsInCircles, type Widget } from './shapes/widgets.ts';

const { finish } = bareDesk().look;

describe('new parts', () => {
  it('of every kind and face make a desk that can be read', () => {
    const desk = bareDesk();
    desk.edges = [
      createPanel(
        'panel',
        'main',
        'top',
        itemKinds.map((kind) => createItem(`item-${kind.type}`, kind.type)),
      ),
      createDock('dock', 'main', 'bottom', finish, []),
    ];
    desk.widgets = widgetKinds.flatMap((kind) =>
      kind.faces.map((face) =>
        createWidget({
          id: `${kind.type}-${face.id}`,
          type: kind.type,
          face: face.id,
          place: fromCorner(0, 0),
          deskFinish: finish,
        }),
      ),
    );
    const read = readDesk(JSON.parse(JSON.stringify(desk)));
    expect(read.ok ? [] : read.problems).to.deep.equal([]);
  });

  it('follow the desk’s finish, or stand bare with its tint', () => {
    const make = (type: 'clock' | 'machine', face: string) =>
      createWidget({ id: 'a', type, face, place: fromCorner(0, 0), deskFinish: finish });
    expect(make('machine', 'rings').finish).to.equal(null);
    expect(make('clock', 'serif').finish).to.deep.equal({ ...finish, kind: 'bare', shadow: 0 });
  });

  it('have no part of an unknown kind', () => {
    expect(() => createItem('a', 'fridge' as never)).to.throw('No item type "fridge"');
  });
});

describe('hanging', () => {
  const hung = (id: string, part: string): Widget => ({
    ...createWidget({ id, type: 'clock', place: fromCorner(0, 0), deskFinish: finish }),
    place: { hangs: { from: 'part', part, side: 'right', align: 'start' }, x: 0, y: 0 },
  });

  it('leads from a part to whatever hangs from it, in any number of steps', () => {
    const chain = [hung('a', 'b'), hung('b', 'c'), hung('c', 'dock')];
    expect([...hangingFrom('c', chain)]).to.have.members(['c', 'b', 'a']);
    expect([...hangingFrom('dock', chain)]).to.have.members(['dock', 'c', 'b', 'a']);
    expect([...hangingFrom('a', chain)]).to.deep.equal(['a']);
    expect([...widgetsInCircles(chain)]).to.deep.equal([]);
  });

  it('is found out when it goes in a circle, and never hangs itself up', () => {
    const circle = [hung('a', 'b'), hung('b', 'c'), hung('c', 'b')];
    expect([...widgetsInCircles(circle)]).to.have.members(['b', 'c']);
    expect([...hangingFrom('b', circle)]).to.have.members(['b', 'a', 'c']);
  });
});
