import { expect } from 'chai';
import { windowOf } from '../../tests/support/windows.ts';
import { done, performed, signPressed } from './doing.ts';
import type { WindowsNow } from './now.ts';
import type { TrialWindow } from './trial.ts';

const screens = ['main', 'side'].map((id) => ({
  id,
  rect: { x: 0, y: 0, width: 1600, height: 900 },
  free: { x: 0, y: 40, width: 1600, height: 860 },
}));
const [a, b, away] = [
  windowOf('a', { id: 'a' }),
  windowOf('b', { id: 'b' }),
  windowOf('c', { id: 'away', workspace: 'workspace-2' }),
] as const;

const nowWith = (windows: readonly TrialWindow[], change: Partial<WindowsNow> = {}): WindowsNow => ({
  windows,
  workspace: 'workspace-1',
  workspaces: [{ id: 'workspace-1' }, { id: 'workspace-2' }, { id: 'workspace-3' }],
  screens,
  gaps: { outer: 16, inner: 10, catches: true, snap: 12 },
  cleared: [],
  handled: null,
  ...change,
});
const ids = (windows: readonly TrialWindow[] | undefined) => windows?.map(({ id }) => id);
const find = (windows: readonly TrialWindow[] | undefined, id: string) =>
  windows?.find((one) => one.id === id);

describe('what is done with windows', () => {
  it('is nothing where the window is gone', () => {
    for (const does of ['front', 'minimise', 'fill', 'close', 'show', 'go'] as const)
      expect(done(nowWith([a]), { does, window: 'gone' })).to.deep.equal({});
  });

  it('goes to a window wherever it is, and minimises it where it is in front', () => {
    const now = nowWith([away, a, b]);
    expect(done(now, { does: 'show', window: 'away' })).to.include({ workspace: 'workspace-2' });
    const gone = done(now, { does: 'go', window: 'away' });
    expect(gone.workspace).to.equal('workspace-2');
    expect(ids(gone.windows)).to.deep.equal(['a', 'b', 'away']);
    const front = done(now, { does: 'go', window: 'b' });
    expect(front.workspace).to.equal(undefined);
    expect(find(front.windows, 'b')?.isMinimised).to.equal(true);
  });

  it('chooses rows and turns switches of the window meant, on and off again; what sounds changes no window', () => {
    const content = (by: TrialWindow, does: Parameters<typeof done>[1] & { does: 'content' }) =>
      done(nowWith([by, b]), does).windows;
    const chosen = content(a, { does: 'content', window: 'a', content: { by: 'choose', row: 3 } });
    expect(chosen?.map((one) => one.chosen)).to.deep.equal([3, 0]);
    const turn = { does: 'content', window: 'a', content: { by: 'turn', index: 2 } } as const;
    const on = find(content(a, turn), 'a') ?? a;
    expect(on.turned).to.deep.equal([2]);
    expect(find(content(on, turn), 'a')?.turned).to.deep.equal([]);
    const sound = { does: 'content', window: 'a', content: { by: 'sound', act: 'turn' } } as const;
    expect(done(nowWith([a]), sound)).to.deep.equal({});
  });

  it('brings the windows of an application whose sign is pressed, on whatever workspace', () => {
    expect(signPressed(nowWith([away, a]), 'c').workspace).to.equal('workspace-2');
    const pressed = signPressed(nowWith([away, a]), 'a');
    expect(find(pressed.windows, 'a')?.isMinimised).to.equal(true);
    expect(pressed.workspace).to.equal(undefined);
  });

  it('says so where no window is open, but tiles and clears what there is', () => {
    expect(performed(nowWith([away]), 'front-close', null)).to.deep.equal({
      say: 'No window is open on this workspace.',
    });
    const tiled = performed(nowWith([a, b]), 'tile-columns', 'main').windows;
    expect(tiled?.map(({ slot }) => slot?.x)).to.deep.equal([0.5, 0]);
    const cleared = performed(nowWith([a, b]), 'clear-view', null);
    expect(cleared.windows?.every(({ isMinimised }) => isMinimised)).to.equal(true);
    const back = performed(
      nowWith(cleared.windows ?? [], { cleared: cleared.cleared ?? [] }),
      'clear-view',
      null,
    );
    expect(back.windows?.some(({ isMinimised }) => isMinimised)).to.equal(false);
    expect(back.cleared).to.deep.equal([]);
  });

  it('puts the front window into each half', () => {
    const slots = (['front-left', 'front-right', 'front-top', 'front-bottom'] as const).map(
      (act) => find(performed(nowWith([a, b]), act, null).windows, 'b')?.slot,
    );
    expect(slots).to.deep.equal([
      { x: 0, y: 0, width: 0.5, height: 1 },
      { x: 0.5, y: 0, width: 0.5, height: 1 },
      { x: 0, y: 0, width: 1, height: 0.5 },
      { x: 0, y: 0.5, width: 1, height: 0.5 },
    ]);
  });

  it('carries the front window to workspaces on both sides, round the end, and goes along', () => {
    const on = performed(nowWith([b, a]), 'carry-on', null);
    expect(on.workspace).to.equal('workspace-2');
    expect(find(on.windows, 'a')?.workspace).to.equal('workspace-2');
    expect(performed(nowWith([a]), 'carry-before', null).workspace).to.equal('workspace-3');
  });

  it('carries it to the next screen, in reach there, and says where there is none', () => {
    expect(find(performed(nowWith([a]), 'carry-screen', null).windows, 'a')?.screen).to.equal('side');
    const one = nowWith([a], { screens: screens.slice(0, 1) });
    expect(performed(one, 'carry-screen', null)).to.deep.equal({ say: 'The desk has one screen only.' });
  });
});
