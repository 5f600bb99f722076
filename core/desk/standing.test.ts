import { expect } from 'chai';
import { produce } from 'immer';
import { demoDesks } from '../../demo/desks.ts';
import { clockAt, DAWN, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import { learnDesk } from '../scene/learn.ts';
import { solve } from '../scene/solve.ts';
import { arrangementAt } from '../timeline/arrangement/arrangement.ts';
import { createPanel } from './defaults.ts';
import type { Desk } from './desk.ts';
import type { Edit } from './edits/edit.ts';
import { edits } from './edits/edits.ts';
import { DeskSchema } from './schema.ts';
import type { Arrangement, Holds } from './shapes/arrangements.ts';
import { standingAs } from './standing.ts';

const after = (desk: Desk, ...done: Edit[]) =>
  done.reduce((now, { apply }) => produce(now, (draft) => void apply(draft)), desk);

const arrangement = (id: string, change: Partial<Arrangement> = {}): Arrangement => ({
  ...{ id, name: id, holds: { by: 'choice' } },
  ...{ widgets: [], edges: [], windows: null },
  ...change,
});
const kept = (id: string, change?: Partial<Arrangement>) => edits.keepArrangement(arrangement(id, change));
const holds = (by: Holds) => ({ holds: by });

const desk: Desk = {
  ...emptyDesk(),
  edges: [createPanel('panel', 'main', 'top', [])],
  widgets: [clockAt('one', fromCorner(100, 100)), clockAt('two', fromCorner(500, 100))],
};
const moved = (id: string, x: number) => edits.placeWidget(id, fromCorner(x, 100));
const xOf = (now: Desk, id: string) => now.widgets.find((widget) => widget.id === id)?.place.x;

/** The day of the desk is dark from sunset on. */
const at = (now: Desk, change: Partial<Parameters<typeof arrangementAt>[1]> = {}) =>
  arrangementAt(now, { moment: DAWN, workspace: 0, half: null, isDarkBehind: null, ...change });

describe('arrangements', () => {
  it('take what changes while they are on, each for itself', () => {
    const both = after(desk, kept('day'), moved('one', 200), kept('night'), moved('one', 900));
    expect(xOf(both, 'one')).to.equal(900);
    const day = after(both, edits.chooseArrangement('day'));
    expect([xOf(day, 'one'), xOf(day, 'two')]).to.deep.equal([200, 500]);
    const again = after(day, moved('two', 40), edits.chooseArrangement('night'));
    expect([xOf(again, 'one'), xOf(again, 'two')]).to.deep.equal([900, 500]);
    expect(xOf(after(again, edits.chooseArrangement('day')), 'two')).to.equal(40);
    expect(DeskSchema.safeParse(again).success).to.equal(true);
  });

  it('leave what they don’t arrange: widgets, or edges', () => {
    const side = (now: Desk) => now.edges[0]?.side;
    const below = edits.setEdge('panel', { side: 'bottom' });
    const made = after(
      desk,
      kept('all'),
      kept('widgets', { edges: null }),
      below,
      moved('one', 300),
      edits.chooseArrangement('all'),
    );
    // The panel was moved while the one was on that leaves edges: it stays there.
    expect([xOf(made, 'one'), side(made)]).to.deep.equal([100, 'top']);
    const back = after(made, below, edits.chooseArrangement('widgets'));
    expect([xOf(back, 'one'), side(back)]).to.deep.equal([300, 'bottom']);
  });

  it('know nothing of what came since, which stays where it is, and let go of what is gone', () => {
    const made = after(desk, kept('day'), kept('night'), edits.addWidget(clockAt('new', fromCorner(7, 7))));
    const day = after(made, edits.chooseArrangement('day'));
    expect(xOf(day, 'new')).to.equal(7);
    const gone = after(day, edits.remove(['one'], null));
    for (const { widgets } of gone.arrangements.list)
      expect(widgets?.some(({ id }) => id === 'one')).to.equal(false);
    expect(DeskSchema.safeParse(gone).success).to.equal(true);
    const left = after(gone, edits.removeArrangement('day'));
    expect(left.arrangements).to.deep.include({ chosen: 'night', standing: null });
    expect(DeskSchema.safeParse(left).success).to.equal(true);
  });

  it('never leave widgets hanging, in a circle, from themselves', () => {
    const from = (part: string) => ({
      hangs: { from: 'part' as const, part, side: 'bottom' as const, align: 'start' as const },
      x: 0,
      y: 8,
    });
    const made = after(
      desk,
      kept('day'),
      edits.placeWidget('two', from('one')),
      kept('night'),
      edits.placeWidget('two', fromCorner(1, 1)),
      edits.addWidget(clockAt('three', fromCorner(2, 2))),
      edits.placeWidget('one', from('three')),
      edits.placeWidget('three', from('two')),
      edits.chooseArrangement('day'),
    );
    for (const { id } of made.arrangements.list)
      expect(DeskSchema.safeParse(standingAs(made, id)).success, id).to.equal(true);
  });

  it('are on by workspace, by half and by hours; the first that holds, or else the one that was chosen', () => {
    const made = after(
      { ...desk, workspaces: [...desk.workspaces.slice(0, 1), { id: 'charts', name: 'Charts' }] },
      kept('charts', holds({ by: 'workspace', workspace: 'charts' })),
      kept('late', holds({ by: 'hours', from: '22:00', to: '04:00' })),
      kept('dark', holds({ by: 'half', half: 'dark' })),
      kept('usual'),
    );
    const light = { half: 'light' as const };
    expect(at(made, light)).to.equal('usual');
    expect(at(made, { half: 'dark' })).to.equal('dark');
    expect(at(made, { ...light, workspace: 1 })).to.equal('charts');
    const night = Date.UTC(2026, 10, 24, 23, 30);
    expect(at(made, { ...light, moment: night })).to.equal('late');
    expect(at(made, { ...light, moment: night + 4.4 * 3_600_000 })).to.equal('late');
    expect(at(made, { ...light, moment: night + 4.5 * 3_600_000 })).to.equal('usual');
  });

  it('are solved as they are, whichever the document stands in, and the document is not touched', async () => {
    for (const demo of demoDesks()) {
      await learnDesk(demo);
      const [first] = demo.widgets;
      if (!first) continue;
      const screen = demo.screens[0]?.id ?? '';
      const there = {
        ...fromCorner(33, 44),
        hangs: { from: 'screen' as const, screen, point: 'top-left' as const },
      };
      const made = after(
        demo,
        kept('as it is'),
        kept('night', holds({ by: 'half', half: 'dark' })),
        edits.placeWidget(first.id, there),
        edits.chooseArrangement('as it is'),
      );
      const solved = (half: 'light' | 'dark') => solve(made, { moment: DAWN, half });
      const placeOf = (half: 'light' | 'dark') =>
        solved(half)
          .screens.flatMap(({ widgets }) => widgets)
          .find(({ id }) => id === first.id)?.rect;
      expect(placeOf('dark'), demo.id).to.deep.include({ x: 33, y: 44 });
      const plain = solve(demo, { moment: DAWN, half: 'light' });
      expect(solved('light').screens, demo.id).to.deep.equal(plain.screens);
      expect(standingAs(made, 'as it is')).to.equal(made);
      expect(standingAs(made, 'night')).to.equal(standingAs(made, 'night'));
    }
  });
});
