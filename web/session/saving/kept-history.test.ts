import { expect } from 'chai';
import { edits } from '../../../core/desk/edits/edits.ts';
import { edit, redo, startHistory, undo, type History } from '../../../core/desk/history.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import { dawnCount } from '../../../tests/support/desks.ts';
import { keepHistory, readHistory } from './kept-history.ts';

function tab() {
  const kept = new Map<string, string>();
  return {
    kept,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  };
}

const done = (history: History<Desk>, ...names: string[]) =>
  names.reduce((before, name) => edit(before, `To ${name}`, edits.rename(name).apply), history);

describe('the steps that a tab keeps', () => {
  it('come back on the same desk, undone and done, whatever the order of its fields', () => {
    const keep = tab();
    const history = undo(done(startHistory(dawnCount()), 'One', 'Two', 'Three'));
    keepHistory(keep, history);
    const { name, ...rest } = history.present;
    const back = readHistory(keep, { ...rest, name });
    if (!back) throw new Error('nothing came back');
    expect(back.past.map(({ label }) => label)).to.deep.equal(['To One', 'To Two']);
    expect(redo(back).present.name).to.equal('Three');
    expect(undo(undo(back)).present).to.deep.equal(dawnCount());
  });

  it('mean nothing on a desk that was changed elsewhere, nor where nothing was done', () => {
    const keep = tab();
    keepHistory(keep, done(startHistory(dawnCount()), 'One'));
    expect(readHistory(keep, { ...dawnCount(), name: 'Elsewhere' })).to.equal(null);
    keepHistory(keep, startHistory(dawnCount()));
    expect(keep.kept.size).to.equal(0);
  });

  it('end where a step would lead to a desk that can’t be saved, and are none where they can’t be read', () => {
    const keep = tab();
    keepHistory(keep, done(startHistory(dawnCount()), 'One', 'Two'));
    const [key, text] = [...keep.kept][0] ?? ['', ''];
    keep.setItem(key, text.replace('"after":"One"', '"after":5'));
    const now = { ...dawnCount(), name: 'Two' };
    expect(readHistory(keep, now)?.past).to.have.length(0);
    keep.setItem(key, text.slice(0, 40));
    expect(readHistory(keep, now)).to.equal(null);
  });
});
