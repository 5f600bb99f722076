import { expect } from 'chai';
import { produce } from 'immer';
import { demoDesks } from '../../../demo/desks.ts';
import { dawnCount } from '../../../demo/dawn-count.ts';
import type { Desk, DeskDraft } from '../desk.ts';
import { differencesOf, isSame } from '../differences.ts';
import { wrongChange } from '../gate.ts';
import { edit, startHistory } from '../history.ts';
import { compare, takeCompared, type Compared } from './compare.ts';

const entriesOf = (base: Desk, now: Desk, other: Desk) =>
  compare(base, now, other).flatMap(({ entries }) => entries);
const take = (desk: Desk, entries: readonly Compared[]) => {
  const { label, apply } = takeCompared('Take', entries);
  return edit(startHistory(desk), label, apply).present;
};
/** Changed as somebody would who works on it for a while. */
const worked = (desk: Desk, change: (draft: DeskDraft) => void) => produce(desk, change);

const changed = worked(dawnCount(), (desk) => {
  const [clock, second] = desk.widgets;
  if (clock) clock.place.x += 12;
  if (second) second.face = 'text';
  desk.widgets.pop();
  desk.edges[0]?.items.reverse();
  desk.look.finish.radius = 3;
  desk.look.roles.dark.accent = '#aabbcc';
  desk.look.half = { by: 'hours', light: '06:00', dark: '20:00' };
  desk.name = 'Dusk count';
});

/** What is said of a state: group, what, here, there. */
const told = (desk: Desk, other: Desk) =>
  compare(desk, desk, other).flatMap(({ title, entries }) =>
    entries.map((entry) => [title, entry.title, entry.here.text, entry.there.text].join(' | ')),
  );

describe('what two states of a desk have differently', () => {
  it('is told in the words of forms, by part', () => {
    const desk = dawnCount();
    expect(told(desk, changed)).to.include.members([
      'The clock (serif) | Place | 96, 72 px from the top left | 108, 72 px from the top left',
      'The machine (rings) | Face | Rings | Text',
      'The almanac (tide) | Stands on the desk | there | not there',
      'The panel at the top | Order | Tallybook, Divider, Workspaces, Divider, Tray, Date | Date, Tray, Divider, Workspaces, Divider, Tallybook',
      'Look | Accent | #fbd09a | #aabbcc',
      'The desk | Name | Dawn count | Dusk count',
    ]);
    expect(told(desk, desk)).to.deep.equal([]);
  });

  it('is told of every pair of our desks without a word of code', () => {
    for (const desk of demoDesks())
      for (const other of demoDesks())
        for (const group of compare(desk, desk, { ...other, id: desk.id }))
          for (const { title, within, here, there } of group.entries) {
            for (const text of [group.title, title, here.text, there.text])
              expect(text, `${group.title} ${title}`).to.match(/\S/);
            expect([title, within, here.text, there.text].join(' ')).to.not.match(
              /undefined|\[object|[0-9a-f]{64}/,
            );
          }
  });

  it('is taken piece by piece until nothing is left, each piece once', () => {
    let desk = dawnCount();
    let left = entriesOf(desk, desk, changed);
    const count = left.length;
    for (let done = 0; done < count; done++) {
      const [first] = left;
      if (!first) break;
      desk = take(desk, [first]);
      expect(wrongChange(dawnCount(), desk), first.title).to.equal(null);
      left = entriesOf(desk, desk, changed);
      expect(left, first.title).to.have.length(count - done - 1);
    }
    expect(isSame(desk, changed)).to.equal(true);
  });

  it('is given back piece by piece, in whatever order', () => {
    const base = dawnCount();
    for (const isReversed of [false, true]) {
      let now = take(base, entriesOf(base, base, changed));
      expect(isSame(now, changed)).to.equal(true);
      const taken = entriesOf(base, now, changed);
      expect(taken.every(({ isTaken }) => isTaken)).to.equal(true);
      for (const entry of isReversed ? taken.reverse() : taken) now = take(now, [entry]);
      expect(differencesOf(base, now)).to.deep.equal([]);
    }
  });

  it('keeps what was changed since, and tells of it as it is now', () => {
    const base = dawnCount();
    const accent = entriesOf(base, base, changed).find(({ title }) => title === 'Accent');
    const took = take(base, accent ? [accent] : []);
    const now = worked(took, (desk) => void (desk.look.roles.dark.accent = '#123456'));
    const [entry, ...more] = entriesOf(base, now, changed).filter(({ title }) => title === 'Accent');
    expect(more).to.deep.equal([]);
    expect(entry).to.include({ isTaken: false });
    expect(entry?.here).to.deep.equal({ text: '#123456', colour: '#123456' });
  });

  it('takes all of another desk that fits, each group by itself, without breaking a desk', () => {
    for (const desk of demoDesks())
      for (const other of demoDesks()) {
        const state = { ...other, id: desk.id };
        const all = entriesOf(desk, desk, state);
        const whole = take(desk, all);
        expect(wrongChange(desk, whole)).to.equal(null);
        expect(entriesOf(whole, whole, state), `${desk.id} ${other.id}`).to.deep.equal([]);
        const back = take(whole, entriesOf(desk, whole, state));
        expect(differencesOf(back, desk), `${desk.id} ${other.id}`).to.deep.equal([]);
      }
  });
});
