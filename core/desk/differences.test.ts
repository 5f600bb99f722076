import { expect } from 'chai';
import fc from 'fast-check';
import { produce } from 'immer';
import { DAWN, arbitraryDesk, dawnCount } from '../../tests/support/desks.ts';
import { rectsOn } from '../scene/parts.ts';
import { solve } from '../scene/solve.ts';
import type { Desk } from './desk.ts';
import { backwards, differencesOf, withDifferences } from './differences.ts';
import { edits } from './edits/edits.ts';
import { edit, endGesture, redo, startHistory, turnGesture, undo } from './history.ts';

/** One thing of a desk becomes another: it goes, comes, changes its place or a field. */
function stir(desk: Desk, what: number, which: number): void {
  const at = desk.widgets.length > 0 ? which % desk.widgets.length : 0;
  const [widget] = desk.widgets.splice(at, 1);
  if (widget && what % 4 > 0) desk.widgets.splice(what % (desk.widgets.length + 1), 0, widget);
  if (widget && what % 4 === 2) widget.scale = 1 + (which % 7) / 10;
  if (widget && what % 4 === 3) desk.widgets.unshift({ ...widget, id: `copy-${what}-${which}` });
  if (what % 5 === 0) desk.look.ownFonts = [];
  if (what % 5 === 1) desk.look.held = which % 2 ? ['ink', 'accent'] : [];
  if (what % 5 === 2) desk.look.terminal.dark = null;
  if (what % 3 === 0) desk.edges.reverse();
}

describe('differences', () => {
  const desk = dawnCount();
  const [screen] = solve(desk, { moment: DAWN }).screens;
  if (!screen) throw new Error('no screen');
  const whereabouts = {
    screen: { id: screen.id, rect: screen.rect },
    free: screen.free,
    rects: rectsOn(screen),
  };
  const moved = (by: number) => {
    const rect = whereabouts.rects.get('clock');
    if (!rect) throw new Error('no clock');
    return edits.moveWidgets(new Map([['clock', { ...rect, x: rect.x + by }]]), whereabouts);
  };

  it('of a drag name the offset that moved, however many turns it took', () => {
    let history = startHistory(desk);
    for (let by = 1; by <= 60; by++) history = turnGesture(history, 'Move', moved(by).apply);
    history = endGesture(history);
    const x = desk.widgets.find(({ id }) => id === 'clock')?.place.x ?? NaN;
    expect(differencesOf(desk, history.present)).to.deep.equal([
      { path: ['widgets', 'clock', 'place', 'x'], before: x, after: x + 60 },
    ]);
  });

  it('name what came, what went, and an order that is another one', () => {
    const gone = produce(desk, (draft) => void draft.widgets.shift());
    const [first] = desk.widgets;
    expect(differencesOf(desk, gone)).to.deep.equal([
      { path: ['widgets', first?.id], before: first, after: undefined, at: 0 },
    ]);
    expect(differencesOf(gone, desk)[0]).to.deep.include({ before: undefined, after: first });
    const turned = produce(desk, (draft) => void draft.widgets.reverse());
    const ids = desk.widgets.map(({ id }) => id);
    expect(differencesOf(desk, turned)).to.deep.equal([
      { path: ['widgets'], before: ids, after: [...ids].reverse(), isOrder: true },
    ]);
  });

  it('lead from either state to the other, whatever was done between them', () => {
    const numbers = fc.integer({ min: 0, max: 10_000 });
    fc.assert(
      fc.property(arbitraryDesk, fc.array(fc.tuple(numbers, numbers), { maxLength: 6 }), (before, picks) => {
        const after = produce(before, (draft) => {
          for (const [what, which] of picks) stir(draft as Desk, what, which);
        });
        expect(withDifferences(before, differencesOf(before, after))).to.deep.equal(after);
        expect(withDifferences(after, differencesOf(after, before))).to.deep.equal(before);
        expect(withDifferences(after, backwards(differencesOf(before, after)))).to.deep.equal(before);
      }),
    );
  });

  it('of a step that is taken back are none, and all else are the same objects', () => {
    const before = startHistory(desk);
    const after = edit(before, 'Move', moved(40).apply);
    const there = undo(after);
    expect(there.present).to.equal(desk);
    expect(redo(there).present).to.equal(after.present);
    for (const [index, widget] of after.present.widgets.entries())
      if (widget.id !== 'clock') expect(widget).to.equal(desk.widgets[index]);
    expect(after.present.edges).to.equal(desk.edges);
    expect(after.present.look).to.equal(desk.look);
  });
});
