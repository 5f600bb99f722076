import { expect } from 'chai';
import { windowOf } from '../../../tests/support/windows.ts';
import { createKeeping } from './keeping.ts';

function setUp() {
  const kept = new Map<string, string>();
  let waiting: (() => void) | null = null;
  let writes = 0;
  const keeping = createKeeping('desk', {
    keep: {
      getItem: (key) => kept.get(key) ?? null,
      removeItem: (key) => void kept.delete(key),
      tryItem(key, value) {
        writes++;
        kept.set(key, value);
        return true;
      },
    },
    later(run) {
      waiting = run;
      return () => {
        if (waiting === run) waiting = null;
      };
    },
  });
  const pass = () => {
    const run = waiting;
    waiting = null;
    run?.();
  };
  return { keeping, kept, pass, writes: () => writes };
}
const one = { windows: [windowOf('a')], workspace: 1 };

describe('what is open on a desk', () => {
  it('is kept a while after the last change, once, and found again', () => {
    const { keeping, pass, writes } = setUp();
    keeping.changed({ ...one, workspace: 0 });
    keeping.changed(one);
    expect(keeping.read()).to.equal(null);
    pass();
    expect(keeping.read()).to.deep.equal(one);
    expect(writes()).to.equal(1);
    pass();
    keeping.end();
    expect(writes()).to.equal(1);
  });

  it('is not written amid a gesture, but once it is let go', () => {
    const { keeping, pass } = setUp();
    keeping.taken();
    keeping.changed(one);
    pass();
    expect(keeping.read()).to.equal(null);
    keeping.letGo();
    pass();
    expect(keeping.read()).to.deep.equal(one);
  });

  it('is kept at the latest as the page goes, also amid a gesture', () => {
    const { keeping } = setUp();
    keeping.taken();
    keeping.changed(one);
    keeping.end();
    expect(keeping.read()).to.deep.equal(one);
  });

  it('leaves nothing behind where nothing is open, and is nothing where it can’t be read', () => {
    const { keeping, kept } = setUp();
    keeping.changed(one);
    keeping.end();
    const [key = ''] = kept.keys();
    for (const text of [
      '{',
      '[]',
      '{"windows":[{}],"workspace":0}',
      JSON.stringify({ ...one, workspace: 99 }),
    ]) {
      kept.set(key, text);
      expect(keeping.read(), text).to.equal(null);
    }
    keeping.changed({ windows: [], workspace: 0 });
    keeping.end();
    expect(kept.size).to.equal(0);
  });
});
