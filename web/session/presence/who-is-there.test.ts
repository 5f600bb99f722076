import { expect } from 'chai';
import { clockAt, DAWN, emptyDesk, fromCorner } from '../../../tests/support/desks.ts';
import { windowOf } from '../../../tests/support/windows.ts';
import { createDock, createItem } from '../../../core/desk/defaults.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import type { Edge } from '../../../core/desk/shapes/edges.ts';
import type { Conditions } from '../../../core/scene/conditions.ts';
import { solve } from '../../../core/scene/solve.ts';
import { isThereInRehearsal } from '../../../core/timeline/visits/visits.ts';
import { calledAt, hasMovers, isInCorner, presentAt, type Asking, type States } from './who-is-there.ts';

const base = emptyDesk();
const slips = { by: 'slips', in: 100, out: 300 } as const;

function deskWith(shows: Edge['shows'], change: Partial<Desk> = {}): Desk {
  const items = [createItem('first', 'application', { application: 'files' })];
  return {
    ...base,
    edges: [{ ...createDock('dock', 'main', 'bottom', base.look.finish, items), shows }],
    ...change,
  };
}

/** What is asked of a desk as it is solved; nobody is near. */
function askingOf(desk: Desk, change: Partial<Asking> = {}, conditions: Partial<Conditions> = {}): Asking {
  const { screens } = solve(desk, { moment: DAWN, ...conditions });
  return {
    desk,
    screens,
    pointer: null,
    focused: null,
    open: null,
    openMore: null,
    moment: DAWN,
    isNow: true,
    ...change,
  };
}
const nobody: States = new Map();
const at = (x: number, y: number) => ({ pointer: { screen: 'main', at: { x, y } } });

describe('who is there on a desk in use', () => {
  const desk = deskWith(slips);
  const asking = askingOf(desk);
  const [screen] = asking.screens;
  const rect = screen?.edges[0]?.rect ?? { x: NaN, y: NaN, width: NaN, height: NaN };
  const height = screen?.rect.height ?? NaN;
  const atSide = { ...asking, ...at(rect.x + 20, height - 1) };
  const onIt = { ...asking, ...at(rect.x + 20, rect.y + 10) };

  it('is nobody that slips away, until the pointer has been at its side for long enough', () => {
    expect(presentAt(nobody, asking, 0)).to.deep.include({ out: [], next: Infinity });
    // Where it stood is not where it is asked for.
    expect(presentAt(nobody, onIt, 0)).to.deep.include({ out: [], next: Infinity });
    const soon = presentAt(nobody, atSide, 0);
    expect(soon).to.deep.include({ out: [], next: 100 });
    expect(presentAt(soon.states, atSide, 99).out).to.deep.equal([]);
    const there = presentAt(soon.states, atSide, 100);
    expect(there).to.deep.include({ out: ['dock'], next: Infinity });
    // Whoever passes by has not asked.
    const passed = presentAt(soon.states, asking, 50);
    expect(presentAt(passed.states, asking, 400).out).to.deep.equal([]);
    // Once there, all of it holds it, and what lies around it a little.
    expect(presentAt(there.states, onIt, 5000).out).to.deep.equal(['dock']);
    expect(presentAt(there.states, { ...asking, ...at(rect.x + 20, rect.y - 13) }, 5000).next).to.equal(
      Infinity,
    );
    expect(presentAt(there.states, { ...asking, ...at(rect.x + 20, rect.y - 15) }, 5000).next).to.equal(5300);
    expect(
      presentAt(there.states, { ...onIt, pointer: { screen: 'other', at: onIt.pointer.at } }, 5000).next,
    ).to.equal(5300);
  });

  it('is whoever holds the focus, an open menu of its items, or the rest of it', () => {
    for (const change of [
      { focused: 'dock' },
      { openMore: 'dock' },
      { open: { menu: 'appList', screen: 'main', item: 'first', at: null } as const },
    ])
      expect(presentAt(nobody, { ...asking, ...change }, 0).next).to.equal(100);
    for (const change of [
      { focused: 'other' },
      { openMore: 'other' },
      { open: { menu: 'appList', screen: 'main', item: 'other', at: null } as const },
      { open: { menu: 'appList', screen: 'main', item: null, at: null } as const },
    ])
      expect(presentAt(nobody, { ...asking, ...change }, 0).next).to.equal(Infinity);
  });

  it('is whoever was called by a key, until it was asked for and left, and not who was sent off', () => {
    const called = calledAt(nobody, desk, 0);
    expect(called.out).to.deep.equal(['dock']);
    expect(calledAt(called.states, desk, 10).out).to.deep.equal([]);
  });

  it('steps aside for a window in its place, and comes back only where that is well off', () => {
    const steps = deskWith({ by: 'steps', from: 'any', in: 100, out: 300 });
    const { edges } = askingOf(steps).screens[0] ?? {};
    const place = edges?.[0]?.rect ?? rect;
    const over = (off: number) =>
      askingOf(
        steps,
        {},
        {
          windows: [
            windowOf('files', {
              rect: { x: place.x, y: place.y - 200 - off, width: place.width, height: 200 },
            }),
          ],
        },
      );
    const free = presentAt(nobody, askingOf(steps), 0);
    expect(free).to.deep.include({ out: ['dock'], next: Infinity });
    const covered = presentAt(free.states, over(-10), 0);
    expect(covered.next).to.equal(300);
    const gone = presentAt(covered.states, over(-10), 300);
    expect(gone.out).to.deep.equal([]);
    // Right at its border nothing flickers.
    expect(presentAt(gone.states, over(8), 400)).to.deep.include({ out: [], next: Infinity });
    expect(presentAt(gone.states, over(20), 400).next).to.equal(500);
  });

  it('is a widget while the pointer is as near to it as it wants, and for a moment longer', () => {
    const shy = { ...clockAt('shy', fromCorner(400, 200)), shows: { by: 'near' as const, reach: 50 } };
    const near = askingOf({ ...base, edges: [], widgets: [shy] });
    const [{ widgets } = { widgets: [] }] = near.screens;
    const box = widgets[0]?.rect ?? rect;
    const there = presentAt(nobody, { ...near, ...at(box.x - 49, box.y) }, 0);
    expect(there.out).to.deep.equal(['shy']);
    expect(presentAt(nobody, { ...near, ...at(box.x - 51, box.y) }, 0).out).to.deep.equal([]);
    const left = presentAt(there.states, near, 1000);
    expect(left).to.deep.include({ out: ['shy'], next: 1300 });
    expect(presentAt(left.states, near, 1300).out).to.deep.equal([]);
  });

  it('is as rehearsed while another moment is looked at', () => {
    const moments = Array.from({ length: 60 }, (_, minute) => DAWN + minute * 60_000);
    const isThere = (moment: number) => isThereInRehearsal(desk.seed, 'dock', moment, slips);
    expect(new Set(moments.map(isThere)).size).to.equal(2);
    for (const moment of moments)
      expect(presentAt(nobody, { ...asking, isNow: false, moment }, 0).out).to.deep.equal(
        isThere(moment) ? ['dock'] : [],
      );
  });

  it('is looked for only where anything comes and goes, or a corner opens the overview', () => {
    expect(hasMovers(desk)).to.equal(true);
    const still = deskWith({ by: 'always' });
    expect(hasMovers(still)).to.equal(false);
    const { windows } = base;
    const workspaces = { ...windows.workspaces, corner: 'top-left' as const };
    const cornered = { ...still, windows: { ...windows, workspaces } };
    expect(hasMovers(cornered)).to.equal(true);
    const inCorner = (x: number, y: number) => isInCorner({ ...askingOf(cornered), ...at(x, y) });
    expect([inCorner(0, 0), inCorner(3, 3), inCorner(4, 0), inCorner(0, height - 1)]).to.deep.equal([
      true,
      true,
      false,
      false,
    ]);
    expect(isInCorner({ ...asking, ...at(0, 0) })).to.equal(false);
  });
});
