import { expect } from 'chai';
import type { EdgeShape, Flowing } from '../../arrange/edges.ts';
import { createDock, createItem, createPanel } from '../../desk/defaults.ts';
import type { Item } from '../../desk/shapes/edges.ts';
import type { Room } from '../../kinds/kind.ts';
import { overlaps, type Rect } from '../../values/geometry.ts';
import { DAWN, emptyDesk } from '../../../tests/support/desks.ts';
import { partsOn } from '../parts.ts';
import { solve } from '../solve.ts';
import { fitItems } from './fit-items.ts';

const frame: Rect = { x: 0, y: 0, width: 400, height: 300 };
const shape: EdgeShape = {
  side: 'top',
  thickness: 40,
  length: { by: 'side' },
  align: 'start',
  offset: 0,
  margin: 0,
  padding: 0,
  spacing: 10,
  keepsWindowsOff: true,
};
/** 60 px with a label, 40 where it stands close, 20 without the label. */
const lengths: Record<Room, number> = { full: 60, tight: 40, bare: 20 };
const flow = (length: number): Flowing => ({ length, before: 0, after: 0, weight: null, isBlank: false });
const look = (item: Item, room: Room) => ({ item, room, flowing: flow(lengths[room]) });
const many = (count: number, keeps: (index: number) => number = () => 3) =>
  Array.from({ length: count }, (_, index) => ({ ...createItem(`i${index}`, 'clock'), keeps: keeps(index) }));
const fit = (items: readonly Item[]) => fitItems(shape, items, frame, look, () => flow(30));
const rooms = (items: readonly Item[]) =>
  fit(items)
    .shown.map(({ room }) => room[0])
    .join('');

describe('items on an edge with too little room', () => {
  it('stand as they like while they fit, then closer, then lose labels from the last, then go', () => {
    expect(rooms(many(5))).to.equal('fffff');
    expect(rooms(many(7))).to.equal('ttttttt');
    // Ten at 40 px and nine blanks of 2 are 418: one label has to go.
    expect(rooms(many(10))).to.equal('tttttttttb');
    expect(rooms(many(18))).to.equal('b'.repeat(18));
    const { shown, hidden, laid } = fit(many(30));
    expect(shown).to.have.length(16);
    expect(hidden.map(({ id }) => id)).to.deep.equal(
      many(30)
        .slice(16)
        .map(({ id }) => id),
    );
    expect(laid.missing).to.equal(0);
    // One more place is for the button that opens the rest.
    expect(laid.items).to.have.length(17);
  });

  it('keep their places by how long they are to keep them', () => {
    const items = many(30, (index) => (index >= 28 ? 5 : index === 0 ? 1 : 3));
    const { shown, hidden } = fit(items);
    const ids = shown.map(({ item }) => item.id);
    expect(ids).to.include.members(['i28', 'i29']);
    expect(hidden.map(({ id }) => id)).to.include('i0');
  });

  it('never print over anything: forty items on 600 px, on every side', () => {
    const desk = emptyDesk();
    for (const side of ['top', 'right', 'bottom', 'left'] as const) {
      const items = Array.from({ length: 40 }, (_, index) =>
        createItem(`item-${index}`, 'application', { application: desk.applications[index % 8]?.id }, 'both'),
      );
      const edge = {
        ...createPanel('panel', 'main', side, items),
        length: { by: 'fixed' as const, px: 600 },
      };
      const [screen] = solve({ ...desk, edges: [edge] }, { moment: DAWN }).screens;
      const [solved] = screen?.edges ?? [];
      if (!screen || !solved?.more) throw new Error('no rest');
      expect(solved.missing).to.equal(0);
      const boxes = [...solved.items.map(({ rect }) => rect), solved.more.rect];
      boxes.forEach((box, index) => {
        for (const other of boxes.slice(index + 1))
          expect(overlaps(shrunk(box), shrunk(other))).to.equal(false);
      });
      for (const { rect, layout } of solved.items) {
        expect(layout.size.width).to.be.at.most(rect.width + 0.01);
        expect(layout.size.height).to.be.at.most(rect.height + 0.01);
      }
      expect(solved.items.length + solved.more.ids.length).to.equal(40);
    }
  });

  it('are all there beside the button once it is open, and their texts are judged', () => {
    const desk = emptyDesk();
    const items = Array.from({ length: 30 }, (_, index) =>
      createItem(`item-${index}`, 'application', { application: desk.applications[index % 8]?.id }, 'both'),
    );
    const edge = { ...createPanel('panel', 'main', 'top', items), length: { by: 'fixed' as const, px: 560 } };
    const conditions = { moment: DAWN, openMore: 'panel' };
    const [screen] = solve({ ...desk, edges: [edge] }, conditions).screens;
    const ids = screen?.edges[0]?.more?.ids ?? [];
    expect(ids.length).to.be.greaterThan(0);
    expect(screen?.rest?.items.map(({ id }) => id)).to.deep.equal(ids.slice(0, screen?.rest?.items.length));
    const part = screen && partsOn(screen).find(({ id }) => id === screen.rest?.id);
    expect(part?.texts().length).to.be.greaterThan(0);
  });

  it('do not go where there is room, whatever the dock', () => {
    const desk = emptyDesk();
    const dock = createDock('dock', 'main', 'bottom', desk.look.finish, [createItem('one', 'application')]);
    const [screen] = solve({ ...desk, edges: [dock] }, { moment: DAWN, openMore: 'dock' }).screens;
    expect(screen?.edges[0]?.more).to.equal(null);
    expect(screen?.rest).to.equal(null);
  });
});

function shrunk({ x, y, width, height }: Rect): Rect {
  return { x: x + 0.01, y: y + 0.01, width: width - 0.02, height: height - 0.02 };
}
