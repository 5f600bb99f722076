import { expect } from 'chai';
import { dawnCount } from '../../../tests/support/desks.ts';

// The client names its page when it is loaded; there is no page here.
import { ServerGone, ServerProblem } from '../../api/client.ts';
import { readUnsaved } from './unsaved-reading.ts';
import { createSaver, type SaverPorts, type SavingState } from './saver.ts';

function setUp() {
  const states: SavingState[] = [];
  const kept = new Map<string, string>();
  let waiting: (() => void) | null = null;
  let answer: () => Promise<{ revision: number; savedAt: number; isAsGiven?: boolean }> = () =>
    Promise.resolve({ revision: 2, savedAt: 5 });
  const sent: { name: string; basedOn: number }[] = [];
  const bases: (string | null)[] = [];
  const ports: SaverPorts = {
    async save(desk, basedOn, base) {
      sent.push({ name: desk.name, basedOn });
      bases.push(base && base.name);
      return { isAsGiven: true, ...(await answer()) };
    },
    storage: {
      getItem: (key) => kept.get(key) ?? null,
      setItem: (key, value) => void kept.set(key, value),
      removeItem: (key) => void kept.delete(key),
    },
    onState: (state) => void states.push(state),
    later(run) {
      waiting = run;
      return () => {
        if (waiting === run) waiting = null;
      };
    },
  };
  const desk = dawnCount();
  const saver = createSaver(ports, { desk, revision: 1, savedAt: 1 });
  return {
    saver,
    sent,
    bases,
    states,
    storage: ports.storage,
    desk,
    named: (name: string) => ({ ...desk, name }),
    answerWith: (next: typeof answer) => void (answer = next),
    /** Runs what waits for its time, and lets its promises settle. */
    async pass() {
      const run = waiting;
      waiting = null;
      run?.();
      await new Promise((resolve) => setImmediate(resolve));
    },
    isWaiting: () => waiting !== null,
    last: () => states.at(-1),
  };
}

describe('the saver', () => {
  it('tells what a save changes, unless the server put the one before otherwise', async () => {
    const { saver, named, pass, answerWith, bases, desk } = setUp();
    const save = async (name: string, revision: number, isAsGiven: boolean) => {
      answerWith(() => Promise.resolve({ revision, savedAt: 5, isAsGiven }));
      saver.change(named(name));
      await pass();
    };
    await save('One', 2, true);
    await save('Two', 3, false);
    await save('Three', 4, true);
    await save('Four', 5, true);
    expect(bases).to.deep.equal([desk.name, 'One', null, 'Three']);
  });

  it('says so where the browser refuses to keep what the server can’t be given', async () => {
    const { saver, named, pass, answerWith, last, storage, desk, isWaiting } = setUp();
    const set = storage.setItem;
    storage.setItem = () => {
      throw new DOMException('Full', 'QuotaExceededError');
    };
    answerWith(() => Promise.reject(new ServerGone()));
    saver.change(named('Later'));
    await pass();
    expect(last()).to.deep.equal({ state: 'gone', isKeptHere: false });
    storage.setItem = set;
    await pass();
    expect(last()).to.deep.equal({ state: 'gone', isKeptHere: true });
    expect(readUnsaved(storage, desk.id)?.desk.name).to.equal('Later');
    expect(isWaiting()).to.equal(true);
  });

  it('goes on by itself once a server without room has some', async () => {
    const { saver, named, pass, answerWith, last, storage, desk } = setUp();
    answerWith(() => Promise.reject(new ServerProblem(507, 'The disk is full.', {})));
    saver.change(named('Later'));
    await pass();
    expect(last()).to.deep.equal({ state: 'held', sentence: 'The disk is full.', isKeptHere: true });
    expect(readUnsaved(storage, desk.id)?.desk.name).to.equal('Later');
    answerWith(() => Promise.resolve({ revision: 2, savedAt: 9 }));
    await pass();
    expect(last()).to.deep.equal({ state: 'kept', at: 9, revision: 2 });
  });

  it('has nothing to send of what was undone before it was sent, and says so', async () => {
    const { saver, storage, desk, named, isWaiting, sent, last } = setUp();
    saver.change(named('Later'));
    saver.change(desk);
    expect(last()).to.deep.equal({ state: 'kept', at: 1, revision: 1 });
    expect(isWaiting()).to.equal(false);
    expect(readUnsaved(storage, desk.id)).to.equal(null);
    expect(sent).to.deep.equal([]);
  });

  it('keeps a change in the browser at once, and forgets it when the server has it', async () => {
    const { saver, storage, desk, named, pass, sent, last } = setUp();
    saver.change(named('Later'));
    expect(readUnsaved(storage, desk.id)).to.deep.include({ basedOn: 1 });
    expect(last()).to.deep.equal({ state: 'changed' });
    await pass();
    expect(sent).to.deep.equal([{ name: 'Later', basedOn: 1 }]);
    expect(last()).to.deep.equal({ state: 'kept', at: 5, revision: 2 });
    expect(readUnsaved(storage, desk.id)).to.equal(null);
  });

  it('sends once for many changes, and again for what changed meanwhile', async () => {
    const { saver, named, pass, sent, answerWith } = setUp();
    let finish = (_: { revision: number; savedAt: number }) => {};
    answerWith(() => new Promise((resolve) => (finish = resolve)));
    for (const name of ['a', 'b', 'c']) saver.change(named(name));
    await pass();
    saver.change(named('d'));
    await pass();
    expect(sent.map(({ name }) => name)).to.deep.equal(['c']);
    finish({ revision: 2, savedAt: 5 });
    await pass();
    await pass();
    expect(sent).to.deep.equal([
      { name: 'c', basedOn: 1 },
      { name: 'd', basedOn: 2 },
    ]);
  });

  it('keeps trying while the server is gone, and loses nothing', async () => {
    const { saver, storage, desk, named, pass, sent, answerWith, last } = setUp();
    answerWith(() => Promise.reject(new ServerGone()));
    saver.change(named('Kept'));
    await pass();
    await pass();
    expect(last()).to.deep.equal({ state: 'gone', isKeptHere: true });
    expect(readUnsaved(storage, desk.id)?.desk.name).to.equal('Kept');
    answerWith(() => Promise.resolve({ revision: 2, savedAt: 9 }));
    await pass();
    expect(sent).to.have.length(3);
    expect(last()).to.deep.equal({ state: 'kept', at: 9, revision: 2 });
  });

  it('stops at a conflict until somebody has chosen', async () => {
    const { saver, named, pass, sent, answerWith, last, isWaiting } = setUp();
    const theirs = { desk: named('Theirs'), revision: 4, savedAt: 8 };
    answerWith(() => Promise.reject(new ServerProblem(412, 'overtaken', { current: theirs })));
    saver.change(named('Mine'));
    await pass();
    expect(last()).to.deep.equal({ state: 'conflict', theirs });
    expect(isWaiting()).to.equal(false);
    // What is done meanwhile waits for the answer too.
    saver.change(named('Mine'));
    expect(isWaiting()).to.equal(false);
    expect(last()?.state).to.equal('conflict');
    answerWith(() => Promise.resolve({ revision: 5, savedAt: 9 }));
    saver.overrule(theirs);
    await pass();
    expect(sent.at(-1)).to.deep.equal({ name: 'Mine', basedOn: 4 });
  });

  it('knows its own save when the answer to it was lost', async () => {
    const { saver, named, pass, answerWith, last } = setUp();
    answerWith(() =>
      Promise.reject(
        new ServerProblem(412, 'overtaken', { current: { desk: named('Mine'), revision: 2, savedAt: 8 } }),
      ),
    );
    saver.change(named('Mine'));
    await pass();
    expect(last()).to.deep.equal({ state: 'kept', at: 8, revision: 2 });
    expect(saver.revision()).to.equal(2);
  });

  it('goes on from its own save whose answer was lost, though more was done since', async () => {
    const { saver, named, desk, pass, sent, answerWith, last, storage } = setUp();
    answerWith(() => Promise.reject(new ServerGone()));
    saver.change(named('One'));
    await pass();
    saver.change(named('Two'));
    await pass();
    expect(readUnsaved(storage, desk.id)?.unanswered?.map(({ name }) => name)).to.deep.equal(['One', 'Two']);
    const current = { desk: named('One'), revision: 2, savedAt: 8 };
    answerWith(() => Promise.reject(new ServerProblem(412, 'overtaken', { current })));
    saver.change(named('Three'));
    await pass();
    answerWith(() => Promise.resolve({ revision: 3, savedAt: 9 }));
    await pass();
    expect(sent.at(-1)).to.deep.equal({ name: 'Three', basedOn: 2 });
    expect(last()).to.deep.equal({ state: 'kept', at: 9, revision: 3 });
  });

  it('tells a page that comes after it what it was sending when more was done', async () => {
    const { saver, named, desk, storage, answerWith, pass } = setUp();
    let answer = () => {};
    answerWith(() => new Promise((resolve) => (answer = () => resolve({ revision: 2, savedAt: 9 }))));
    saver.change(named('Under way'));
    await pass();
    saver.change(named('Later'));
    const left = readUnsaved(storage, desk.id);
    expect(left?.desk.name).to.equal('Later');
    expect(left?.unanswered?.map(({ name }) => name)).to.deep.equal(['Under way']);
    answer();
    await new Promise((resolve) => setImmediate(resolve));
    expect(readUnsaved(storage, desk.id)?.unanswered).to.equal(undefined);
  });

  it('sends even what was undone, while a save has had no answer', async () => {
    const { saver, named, desk, pass, sent, answerWith } = setUp();
    answerWith(() => Promise.reject(new ServerGone()));
    saver.change(named('Perhaps there'));
    await pass();
    saver.change(desk);
    expect(saver.isUnsaved()).to.equal(true);
    answerWith(() => Promise.resolve({ revision: 2, savedAt: 9 }));
    await pass();
    expect(sent.at(-1)).to.deep.equal({ name: desk.name, basedOn: 1 });
    expect(saver.isUnsaved()).to.equal(false);
  });

  it('does not read unsaved work that is damaged', () => {
    const { storage, desk } = setUp();
    storage.setItem(`velvet-ledge:unsaved:${desk.id}`, '{"desk":{"format":1},"basedOn":1}');
    expect(readUnsaved(storage, desk.id)).to.equal(null);
    storage.setItem(`velvet-ledge:unsaved:${desk.id}`, 'nonsense');
    expect(readUnsaved(storage, desk.id)).to.equal(null);
  });
});
