import { expect } from 'chai';
import fc from 'fast-check';
import {
  dropGesture,
  edit,
  endGesture,
  goTo,
  redo,
  startHistory,
  takeBack,
  turnGesture,
  undo,
} from './history.ts';

interface Doc {
  name: string;
  list: number[];
}

const start = () => startHistory<Doc>({ name: 'first', list: [1, 2] });

describe('history', () => {
  it('undoes and redoes edits one by one', () => {
    let history = edit(start(), 'Rename', (draft) => void (draft.name = 'second'));
    history = edit(history, 'Push', (draft) => void draft.list.push(3));
    expect(undo(history).present).to.deep.equal({ name: 'second', list: [1, 2] });
    expect(undo(undo(history)).present).to.deep.equal({ name: 'first', list: [1, 2] });
    expect(redo(undo(history)).present).to.deep.equal(history.present);
  });

  it('makes one step of a gesture, however many turns it took', () => {
    let history = start();
    for (let value = 0; value < 60; value++)
      history = turnGesture(history, 'Drag', (draft) => void (draft.list[0] = value));
    expect(history.past).to.have.length(0);
    history = endGesture(history);
    expect(history.past).to.have.length(1);
    expect(history.present.list[0]).to.equal(59);
    expect(undo(history).present).to.deep.equal(start().present);
  });

  it('drops a gesture without a trace', () => {
    const before = start();
    const history = dropGesture(turnGesture(before, 'Drag', (draft) => void (draft.name = 'moved')));
    expect(history.present).to.equal(before.present);
    expect(history.past).to.have.length(0);
  });

  it('drops what is only shown as soon as anything is done, and does what was a real gesture', () => {
    const rename = (name: string) => (draft: Doc) => void (draft.name = name);
    const push = (draft: Doc) => void draft.list.push(9);
    const shown = turnGesture(start(), 'Show', rename('shown'), true);
    expect(shown.present.name).to.equal('shown');
    expect(edit(shown, 'Push', push).present).to.deep.equal({ name: 'first', list: [1, 2, 9] });
    const turned = turnGesture(start(), 'Turn', rename('turned'));
    const done = edit(turned, 'Push', push);
    expect(done.present).to.deep.equal({ name: 'turned', list: [1, 2, 9] });
    expect(done.past.map(({ label }) => label)).to.deep.equal(['Turn', 'Push']);
    const undone = undo(turnGesture(edit(start(), 'Push', push), 'Show', rename('shown'), true));
    expect(undone.present).to.deep.equal(start().present);
  });

  it('keeps a gesture that something else is shown over, and drops what was shown under a gesture', () => {
    const rename = (name: string) => (draft: Doc) => void (draft.name = name);
    const shownOver = turnGesture(
      turnGesture(start(), 'Turn', rename('turned')),
      'Show',
      rename('shown'),
      true,
    );
    expect(dropGesture(shownOver).present.name).to.equal('turned');
    const turnedUnder = turnGesture(turnGesture(start(), 'Show', rename('shown'), true), 'Turn', (draft) => {
      draft.list.push(3);
    });
    expect(endGesture(turnedUnder).present).to.deep.equal({ name: 'first', list: [1, 2, 3] });
  });

  it('takes one step back and leaves what was done since', () => {
    const rename = (name: string) => (draft: Doc) => void (draft.name = name);
    let history = edit(start(), 'Rename', rename('second'));
    const [renamed] = history.past;
    history = edit(history, 'Push', (draft) => void draft.list.push(3));
    const back = takeBack(history, renamed?.id ?? NaN);
    expect(back.present).to.deep.equal({ name: 'first', list: [1, 2, 3] });
    expect(back.past.map(({ label }) => label)).to.deep.equal(['Rename', 'Push', 'Take back: Rename']);
    expect(undo(back).present).to.deep.equal(history.present);
    // The newest step is simply undone; one that is not done any more is left alone.
    const undone = takeBack(history, history.past.at(-1)?.id ?? NaN);
    expect(undone.future).to.have.length(1);
    expect(takeBack(undone, history.past.at(-1)?.id ?? NaN)).to.equal(undone);
  });

  it('goes to any step, back and forward', () => {
    let history = start();
    for (let value = 3; value < 8; value++)
      history = edit(history, 'Push', (draft) => void draft.list.push(value));
    const early = goTo(history, 2);
    expect(early.present.list).to.deep.equal([1, 2, 3, 4]);
    expect(goTo(early, 5).present).to.equal(history.present);
    expect(goTo(early, 99).present).to.equal(history.present);
  });

  it('takes no step for an edit or a gesture that changes nothing', () => {
    const before = start();
    expect(edit(before, 'Nothing', () => {})).to.equal(before);
    const gesture = turnGesture(
      turnGesture(before, 'Drag', (draft) => void (draft.name = 'away')),
      'Drag',
      (draft) => void (draft.name = 'first'),
    );
    expect(endGesture(gesture).past).to.have.length(0);
  });

  it('forgets what was undone once something else is done', () => {
    const history = edit(
      undo(edit(start(), 'One', (draft) => void (draft.name = 'one'))),
      'Two',
      (draft) => void (draft.name = 'two'),
    );
    expect(history.future).to.have.length(0);
    expect(undo(history).present.name).to.equal('first');
  });

  it('gives the first document back after any edits and as many undos', () => {
    const change = fc.oneof(
      fc.string().map((name) => ({ name })),
      fc.integer().map((push) => ({ push })),
      fc.nat(3).map((cut) => ({ cut })),
    );
    fc.assert(
      fc.property(fc.array(change, { maxLength: 30 }), fc.boolean(), (changes, asGestures) => {
        let history = start();
        for (const one of changes) {
          const recipe = (draft: Doc) => {
            if ('name' in one) draft.name = one.name;
            else if ('push' in one) draft.list.push(one.push);
            else draft.list.splice(one.cut, 1);
          };
          history = asGestures
            ? endGesture(turnGesture(history, 'Turn', recipe))
            : edit(history, 'Edit', recipe);
        }
        const last = history.present;
        const steps = history.past.length;
        for (let step = 0; step < steps; step++) history = undo(history);
        expect(history.present).to.deep.equal(start().present);
        for (let step = 0; step < steps; step++) history = redo(history);
        expect(history.present).to.deep.equal(last);
      }),
    );
  });
});
