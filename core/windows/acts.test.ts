import { expect } from 'chai';
import fc from 'fast-check';
import { windowOf } from '../../tests/support/windows.ts';
import { isInside } from '../values/geometry.ts';
import {
  clearView,
  close,
  intoHalf,
  minimise,
  nextWindow,
  open,
  pressed,
  put,
  tile,
  toFront,
  turnFill,
  type Opening,
} from './acts.ts';
import { rectOf, within } from './place.ts';
import { tilings } from './tiling.ts';
import { MOST_WINDOWS, TrialWindows, factsOf, frontOf, onDesk, type TrialWindow } from './trial.ts';

const screen = {
  id: 'main',
  rect: { x: 0, y: 0, width: 1600, height: 900 },
  free: { x: 0, y: 40, width: 1600, height: 860 },
};
const gaps = { outer: 16, inner: 10 };
const opening = (id: string, change: Partial<Opening> = {}): Opening => ({
  id,
  application: `of-${id}`,
  size: { width: 600, height: 400 },
  workspaces: [{ id: 'workspace-1' }, { id: 'workspace-2' }],
  workspace: 0,
  screen,
  gaps,
  habit: null,
  ...change,
});
const idsOf = (list: readonly TrialWindow[]) => list.map(({ id }) => id);
const three = ['a', 'b', 'c'].map((id) => windowOf(id, { id }));

describe('windows', () => {
  it('open in front, in the free area, and beside one another as long as there is room', () => {
    const list = ['a', 'b', 'c'].reduce<readonly TrialWindow[]>((all, id) => open(all, opening(id)), []);
    expect(idsOf(list)).to.deep.equal(['a', 'b', 'c']);
    for (const { rect } of list) expect(isInside(rect, screen.free)).to.equal(true);
    const [a, b] = list;
    expect(Math.abs((a?.rect.x ?? 0) - (b?.rect.x ?? 0))).to.be.greaterThan(400);
  });

  it('open by the habit of their application', () => {
    const habit = {
      id: 'habit',
      application: 'of-a',
      workspace: 2,
      place: 'left' as const,
      width: 5000,
      height: null,
      frame: 'line' as const,
      opacity: 100,
    };
    const [window] = open([], opening('a', { habit }));
    expect(window?.workspace).to.equal('workspace-2');
    expect(window && rectOf(window, screen.free, screen.rect, gaps)).to.deep.equal({
      x: 16,
      y: 56,
      width: 779,
      height: 828,
    });
    expect(open([], opening('a', { habit: { ...habit, place: 'filled' } }))[0]?.isFilled).to.equal(true);
    // A workspace that is not there is the last one.
    expect(open([], opening('a', { habit: { ...habit, workspace: 9 } }))[0]?.workspace).to.equal(
      'workspace-2',
    );
  });

  it('are no more than there may be', () => {
    let list: readonly TrialWindow[] = [];
    for (let index = 0; index < MOST_WINDOWS + 5; index++) list = open(list, opening(`w${index}`));
    expect(list).to.have.length(MOST_WINDOWS);
    expect(TrialWindows.safeParse(list).success).to.equal(true);
  });

  it('come to the front, go round, and come back from being minimised', () => {
    expect(idsOf(toFront(three, 'a'))).to.deep.equal(['b', 'c', 'a']);
    expect(toFront(three, 'c')).to.equal(three);
    expect(idsOf(nextWindow(three, 'workspace-1', 1))).to.deep.equal(['b', 'c', 'a']);
    expect(idsOf(nextWindow(three, 'workspace-1', -1))).to.deep.equal(['c', 'a', 'b']);
    const small = minimise(three, 'c');
    expect(frontOf(small, 'workspace-1')?.id).to.equal('b');
    expect(frontOf(toFront(small, 'c'), 'workspace-1')).to.include({ id: 'c', isMinimised: false });
    expect(idsOf(close(three, 'b'))).to.deep.equal(['a', 'c']);
  });

  it('go back to where they were after being filled or put into a half', () => {
    const [a] = three;
    const rect = a?.rect;
    const filled = turnFill(three, 'a');
    expect(filled[0] && rectOf(filled[0], screen.free, screen.rect, gaps)).to.deep.equal(screen.free);
    const back = turnFill(filled, 'a')[0];
    expect(back && rectOf(back, screen.free, screen.rect, gaps)).to.deep.equal(rect);
    const half = intoHalf(three, 'a', 'right');
    expect(half[0]?.slot).to.deep.equal({ x: 0.5, y: 0, width: 0.5, height: 1 });
    // The same once more takes it out.
    expect(intoHalf(half, 'a', 'right')[0]?.slot).to.equal(null);
    expect(intoHalf(half, 'a', 'left')[0]?.slot?.x).to.equal(0);
  });

  it('clear the view together and come back together', () => {
    const elsewhere = windowOf('d', { id: 'd', workspace: 'workspace-2' });
    const list = [...minimise(three, 'b'), elsewhere];
    const { list: clear, cleared } = clearView(list, 'workspace-1', []);
    expect(clear.filter(({ isMinimised }) => isMinimised).map(({ id }) => id)).to.deep.equal(['a', 'b', 'c']);
    expect(clearView(clear, 'workspace-1', cleared).list).to.deep.equal(list);
  });

  it('are gone to by the sign of their application, minimised by it where they are in front', () => {
    const list = [windowOf('x', { id: 'x1' }), windowOf('x', { id: 'x2' }), windowOf('y', { id: 'y' })];
    const once = pressed(list, 'x', 'workspace-1');
    expect(idsOf(once).at(-1)).to.equal('x2');
    expect(idsOf(pressed(once, 'x', 'workspace-1')).at(-1)).to.equal('x1');
    expect(frontOf(pressed(list, 'y', 'workspace-1'), 'workspace-1')?.id).to.equal('x2');
  });

  it('tile only those of one screen and workspace that are seen', () => {
    const list = [
      ...minimise(three, 'b'),
      windowOf('d', { id: 'd', screen: 'side' }),
      windowOf('e', { id: 'e', workspace: 'workspace-2' }),
    ];
    for (const tiling of tilings) {
      const slots = tile(list, tiling, 'workspace-1', 'main').map(({ id, slot }) => [id, slot !== null]);
      expect(Object.fromEntries(slots)).to.deep.equal({ a: true, b: false, c: true, d: false, e: false });
    }
    // The front one has the first slot.
    expect(tile(three, 'stack', 'workspace-1', 'main').at(-1)?.slot?.width).to.equal(0.6);
  });

  it('stay in reach, and as large as is needed, wherever they are put', () => {
    const numbers = fc.integer({ min: -9000, max: 9000 });
    fc.assert(
      fc.property(numbers, numbers, fc.integer({ min: 1, max: 4000 }), (x, y, size) => {
        const rect = within({ x, y, width: size, height: size }, screen.rect);
        expect(rect.y).to.be.within(0, 900 - 64);
        expect(rect.x + rect.width).to.be.at.least(64);
        expect(rect.x).to.be.at.most(1600 - 64);
        expect(rect.width).to.be.at.least(200);
        const [moved] = put(three, 'a', rect);
        expect(moved && rectOf(moved, screen.free, screen.rect, gaps)).to.deep.equal(rect);
      }),
    );
  });

  it('come to the first screen and workspace where theirs are gone, and go with their application', () => {
    const list = [
      windowOf('tallybook', { screen: 'gone' }),
      windowOf('files', { workspace: 'gone' }),
      windowOf('gone'),
    ];
    const known = onDesk(
      list,
      [{ id: 'main' }],
      [{ id: 'workspace-1' }],
      [{ id: 'tallybook' }, { id: 'files' }],
    );
    expect(known.map(({ application, screen: on, workspace }) => [application, on, workspace])).to.deep.equal(
      [
        ['tallybook', 'main', 'workspace-1'],
        ['files', 'main', 'workspace-1'],
      ],
    );
    expect(factsOf(known, 'workspace-1').filter(({ isFront }) => isFront)).to.have.length(1);
  });
});
