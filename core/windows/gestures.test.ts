import { expect } from 'chai';
import fc from 'fast-check';
import { windowOf } from '../../tests/support/windows.ts';
import { grips } from './catching.ts';
import { handle, handleKey, move, size } from './gestures.ts';
import { rectNow, type MoveAct, type WindowsNow } from './now.ts';
import { LEAST, type TrialWindow } from './trial.ts';

const rect = { x: 200, y: 160, width: 620, height: 420 };
const screens = [
  {
    id: 'main',
    rect: { x: 0, y: 0, width: 1600, height: 900 },
    free: { x: 0, y: 40, width: 1600, height: 860 },
  },
  {
    id: 'side',
    rect: { x: 0, y: 0, width: 800, height: 600 },
    free: { x: 0, y: 0, width: 800, height: 560 },
  },
];

function nowWith(windows: readonly TrialWindow[], change: Partial<WindowsNow> = {}): WindowsNow {
  return {
    windows,
    workspace: 'workspace-1',
    workspaces: [{ id: 'workspace-1' }, { id: 'workspace-2' }],
    screens,
    gaps: { outer: 16, inner: 10, catches: true, snap: 12 },
    cleared: [],
    handled: null,
    ...change,
  };
}

/** A drag of a window by its title, taken 40 px in from its left and 12 from its top. */
function dragged(window: TrialWindow, by: { x: number; y: number }, change: Partial<MoveAct> = {}): MoveAct {
  const from = rectNow(nowWith([window]), window);
  const at = { x: from.x + 40 + by.x, y: from.y + 12 + by.y };
  return {
    does: 'move',
    window: window.id,
    from,
    by,
    at,
    beside: null,
    isFree: false,
    isLast: false,
    ...change,
  };
}
const window = windowOf('finder', { rect });
const first = (windows: readonly TrialWindow[] | undefined) => windows?.[0];

describe('a window that is dragged', () => {
  it('goes exactly as far as the pointer where nothing catches, and never out of reach', () => {
    const far = fc.integer({ min: -3000, max: 3000 });
    fc.assert(
      fc.property(far, far, (x, y) => {
        const { windows } = move(nowWith([window]), window, dragged(window, { x, y }, { isFree: true }));
        const moved = first(windows)?.rect;
        expect(moved).to.include({ width: 620, height: 420 });
        // Enough of it to take hold of again.
        expect(moved?.x).to.be.within(64 - 620, 1600 - 64);
        expect(moved?.y).to.be.within(0, 900 - 64);
        if (rect.x + x > 64 - 620 && rect.x + x < 1600 - 64) expect(moved?.x).to.equal(rect.x + x);
      }),
    );
  });

  it('catches on the window beside it a gap away, unless that is minimised or elsewhere', () => {
    const other = windowOf('plotter', { rect: { x: 1000, y: 300, width: 400, height: 300 } });
    const act = dragged(window, { x: 165, y: 0 });
    const xBeside = (beside: TrialWindow) =>
      first(move(nowWith([window, beside]), window, act).windows)?.rect.x;
    expect(xBeside(other)).to.equal(1000 - 10 - 620);
    for (const change of [{ isMinimised: true }, { workspace: 'workspace-2' }, { screen: 'side' }])
      expect(xBeside({ ...other, ...change })).to.equal(365);
  });

  it('stays as it is in its half for the first pixels, then comes loose as large as it was, under the pointer', () => {
    const held = { ...window, slot: { x: 0, y: 0, width: 0.5, height: 1 } };
    const now = nowWith([held]);
    expect(move(now, held, dragged(held, { x: 6, y: 6 }))).to.deep.equal({ hint: null });
    const act = dragged(held, { x: 300, y: 200 }, { isFree: true });
    const loose = first(move(now, held, act).windows);
    expect(loose?.slot).to.equal(null);
    expect(loose?.rect).to.include({ width: 620, height: 420 });
    const shareOf = (at: number, { x, width }: { x: number; width: number }) => (at - x) / width;
    expect(shareOf(act.at.x, loose?.rect ?? rect)).to.be.closeTo(shareOf(act.at.x - 300, act.from), 0.002);
  });

  it('shows the half that it would go into, goes there when let go, and keeps the size that it had', () => {
    const act = dragged(window, { x: -240, y: 100 }, { at: { x: 2, y: 400 } });
    const half = { x: 0, y: 0, width: 0.5, height: 1 };
    const held = move(nowWith([window]), window, act);
    expect(held.hint).to.deep.equal({ screen: 'main', slot: half });
    const put = first(held.windows) ?? window;
    const end = move(nowWith([put]), put, { ...act, isLast: true });
    expect(end.hint).to.equal(null);
    expect(first(end.windows)).to.deep.include({ slot: half, rect });
    // Where halves are off, or with the key that frees, it is put where it was let go.
    for (const [now, how] of [
      [nowWith([put], { gaps: { ...nowWith([]).gaps, catches: false } }), {}],
      [nowWith([put]), { isFree: true }],
    ] as const)
      expect(first(move(now, put, { ...act, ...how, isLast: true }).windows)?.slot).to.equal(null);
  });

  it('goes onto the screen that the pointer is over, where its place is shown first', () => {
    const beside = { screen: 'side', at: { x: 300, y: 112 } };
    const act = dragged(window, { x: 1500, y: 0 }, { beside });
    const there = { x: 260, y: 100, width: 620, height: 420 };
    const held = move(nowWith([window]), window, act);
    expect(held.hint).to.deep.equal({ screen: 'side', rect: there, slot: null });
    expect(first(held.windows)?.screen).to.equal('main');
    const end = first(move(nowWith([window]), window, { ...act, isLast: true }).windows);
    expect(end).to.deep.include({ screen: 'side', rect: there });
    const atSide = { ...act, beside: { screen: 'side', at: { x: 798, y: 300 } }, isLast: true };
    const right = first(move(nowWith([window]), window, atSide).windows);
    expect(right).to.deep.include({ screen: 'side', slot: { x: 0.5, y: 0, width: 0.5, height: 1 } });
    // A screen that went meanwhile is none.
    const gone = { ...act, beside: { screen: 'gone', at: { x: 0, y: 0 } } };
    expect(move(nowWith([window]), window, gone).hint?.screen).to.equal('main');
  });
});

describe('a window that is sized', () => {
  it('moves the side that is dragged, keeps the other where it is, and stays large enough', () => {
    const far = fc.integer({ min: -900, max: 900 });
    fc.assert(
      fc.property(fc.constantFrom(...grips), far, far, (grip, x, y) => {
        const act = {
          does: 'size',
          window: window.id,
          from: rect,
          grip,
          by: { x, y },
          isFree: true,
        } as const;
        const now = first(size(nowWith([window]), window, act).windows)?.rect ?? rect;
        expect(now.width).to.be.at.least(LEAST.width);
        expect(now.height).to.be.at.least(LEAST.height);
        if (grip.x <= 0) expect(now.x + now.width).to.equal(rect.x + rect.width);
        if (grip.x >= 0) expect(now.x).to.equal(rect.x);
        if (grip.y <= 0) expect(now.y + now.height).to.equal(rect.y + rect.height);
        if (grip.y >= 0) expect(now.y).to.equal(rect.y);
        if (grip.x === 1) expect(now.width).to.equal(Math.max(LEAST.width, rect.width + x));
      }),
    );
  });

  it('catches by the side that is dragged only', () => {
    const other = windowOf('plotter', { rect: { x: 1000, y: 170, width: 400, height: 300 } });
    const act = { does: 'size', window: window.id, from: rect, by: { x: 165, y: 0 }, isFree: false } as const;
    const sized = size(nowWith([window, other]), window, { ...act, grip: { x: 1, y: 0 } });
    expect(first(sized.windows)?.rect).to.deep.equal({ ...rect, width: 1000 - 10 - 200 });
  });
});

describe('a window that is moved by keys', () => {
  it('goes by steps, further with Shift, is left by Enter and put back by Escape', () => {
    const held = { ...window, slot: { x: 0, y: 0, width: 0.5, height: 1 } };
    for (const by of ['move', 'size'] as const) {
      const { handled = null, say } = handle(held, by);
      expect(say).to.match(by === 'move' ? /^Arrows move/ : /^Arrows size/);
      const start = rectNow(nowWith([held]), held);
      const stepped = first(
        handleKey(nowWith([held], { handled }), { key: 'ArrowRight', isFar: false }).windows,
      );
      expect(stepped?.rect).to.deep.equal(
        by === 'move' ? { ...start, x: start.x + 10 } : { ...start, width: start.width + 10 },
      );
      const now = nowWith(stepped ? [stepped] : [], { handled });
      const far = first(handleKey(now, { key: 'ArrowDown', isFar: true }).windows)?.rect;
      const at = stepped?.rect ?? start;
      expect(far).to.deep.equal(by === 'move' ? { ...at, y: at.y + 60 } : { ...at, height: at.height + 60 });
      expect(handleKey(now, { key: 'Enter', isFar: false })).to.deep.equal({ handled: null });
      const back = handleKey(now, { key: 'Escape', isFar: false });
      expect(back.handled).to.equal(null);
      expect(first(back.windows)).to.deep.equal(held);
      expect(handleKey(now, { key: 'x', isFar: false })).to.deep.equal({});
    }
  });

  it('is nobody’s any more once it is closed', () => {
    const { handled = null } = handle(window, 'move');
    expect(handleKey(nowWith([], { handled }), { key: 'ArrowLeft', isFar: false })).to.deep.equal({});
  });
});
