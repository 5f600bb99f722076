import { expect } from 'chai';
import fc from 'fast-check';
import { windowOf } from '../../tests/support/windows.ts';
import { createAgreement, type ToAgree } from './agreement.ts';

const start: ToAgree = { moment: 1000, isNow: true, half: null, windows: [], workspace: 0 };

/** Pages that hear one another, as windows of one browser do: what is said arrives later, and in order. */
function createPages(count: number) {
  const queue: { from: number; data: unknown }[] = [];
  let said = 0;
  const pages = Array.from({ length: count }, (_, index) => ({
    state: start,
    agreement: createAgreement(`page ${index}`, start),
  }));
  function post(from: number, data: unknown): void {
    said++;
    queue.push({ from, data: structuredClone(data) });
  }
  function set(index: number, change: Partial<ToAgree>): void {
    const page = pages[index];
    if (!page) return;
    page.state = { ...page.state, ...change };
    const told = page.agreement.tell(page.state);
    if (told) post(index, told);
  }
  function deliver(): void {
    for (let message = queue.shift(); message; message = queue.shift()) {
      const { from, data } = message;
      pages.forEach((page, index) => {
        if (index === from) return;
        const heard = page.agreement.hear(data, page.state);
        if (heard && 'answer' in heard) post(index, heard.answer);
        // As a store does it: whoever watches it is told of what was taken on, too.
        else if (heard) set(index, heard.take);
      });
    }
  }
  return { pages, post, set, deliver, said: () => said };
}

describe('windows that show screens of one desk', () => {
  it('come to agree, whoever changes what, without telling on what they heard', () => {
    const change = fc.oneof(
      fc.record({ workspace: fc.integer({ min: 0, max: 3 }) }),
      fc.record({ half: fc.constantFrom(null, 'light' as const, 'dark' as const) }),
      fc.record({ windows: fc.constantFrom([], [windowOf('a')], [windowOf('a'), windowOf('b')]) }),
      fc.record({ isNow: fc.constant(false), moment: fc.integer({ min: 0, max: 9 }) }),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(2), change, fc.boolean()), { maxLength: 12 }), (changes) => {
        const { pages, set, deliver, said } = createPages(3);
        for (const [page, what, isSlow] of changes) {
          set(page, what);
          // Two may change something before either hears of the other.
          if (!isSlow) deliver();
        }
        deliver();
        const [first] = pages;
        // Of the moment only while one is held: otherwise each has its clock.
        const agreed = (state?: ToAgree) => state && { ...state, moment: state.isNow ? null : state.moment };
        for (const { state } of pages) expect(agreed(state)).to.deep.equal(agreed(first?.state));
        expect(said()).to.be.at.most(changes.length);
      }),
    );
  });

  it('leave the clock to each other’s own, but follow a moment that is held', () => {
    const { pages, set, deliver, said } = createPages(2);
    set(0, { moment: 2000 });
    deliver();
    expect(said()).to.equal(0);
    set(0, { moment: 500, isNow: false });
    deliver();
    expect(pages[1]?.state).to.include({ moment: 500, isNow: false });
    set(1, { moment: 3000, isNow: true });
    deliver();
    // It is now again everywhere; which moment that is each page knows.
    expect(pages[0]?.state).to.include({ moment: 500, isNow: true });
  });

  it('tell one that has just come how things are', () => {
    const { pages, post, set, deliver } = createPages(2);
    const [old, late] = pages;
    set(0, { workspace: 2, windows: [windowOf('a')] });
    // Before it came it heard nothing.
    if (late) Object.assign(late, { state: start, agreement: createAgreement('late', start) });
    post(1, late?.agreement.hello);
    deliver();
    expect(late?.state).to.deep.equal(old?.state);
  });

  it('take nothing that is no state of theirs', () => {
    const agreement = createAgreement('page', start);
    const told = (state: object, more: object = {}) => ({
      state: { ...start, ...state },
      turn: 1,
      page: 'a',
      ...more,
    });
    for (const data of [
      null,
      'hallo',
      { workspace: 1 },
      told({ workspace: -1 }),
      told({ moment: '0' }),
      told({ windows: [{ id: 'a' }] }),
      told({ windows: Array.from({ length: 5000 }, () => windowOf('a')) }),
      told({ workspace: 2 }, { turn: Infinity }),
    ])
      expect(agreement.hear(data, start)).to.equal(null);
    expect(agreement.hear(told({ workspace: 2 }), start)).to.deep.include({
      take: { isNow: true, half: null, windows: [], workspace: 2 },
    });
  });
});
