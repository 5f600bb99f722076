import { expect } from 'chai';
import fc from 'fast-check';
import {
  DAWN,
  arbitraryDesk,
  arbitraryMoment,
  clockAt,
  dawnCount,
  emptyDesk,
  fromCorner,
} from '../../tests/support/desks.ts';
import { demoDesks } from '../../demo/desks.ts';
import { isInside, type Rect } from '../values/geometry.ts';
import { contrast } from '../values/colour.ts';
import { createItem, createPanel } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { Scene } from './scene.ts';
import { edits } from '../desk/edits/edits.ts';
import { itemKinds } from '../items/list.ts';
import { widgetKinds } from '../widgets/list.ts';
import { shareUnchanged } from '../values/share.ts';
import { windowOf } from '../../tests/support/windows.ts';
import { solve } from './solve.ts';

describe('solve', () => {
  it('keeps everything inside its screen, without NaN, and answers twice the same', () => {
    fc.assert(
      fc.property(arbitraryDesk, arbitraryMoment, (desk, moment) => {
        const scene = solve(desk, { moment });
        for (const screen of scene.screens) {
          expect(isInside(screen.free, screen.rect), 'free area').to.equal(true);
          for (const part of [...screen.edges, ...screen.widgets]) {
            for (const value of Object.values(part.rect))
              expect(Number.isFinite(value), part.id).to.equal(true);
            expect(isInside(part.rect, screen.rect, 1e-3), part.id).to.equal(true);
          }
        }
        expect(solve(desk, { moment })).to.deep.equal(scene);
      }),
      { numRuns: 150 },
    );
  });

  it('is the same whatever was solved before: what holds for a minute is kept under the same circumstances only', () => {
    const desk = dawnCount();
    const at = (moment: number, change: Partial<Desk> = {}, workspace = 0) =>
      solve({ ...desk, ...change }, { moment, workspace });
    const texts = (scene: Scene) =>
      JSON.stringify(scene.screens.map(({ widgets, edges }) => [widgets, edges]));
    const first = texts(at(DAWN));
    // Other seconds, minutes, places, looks, units and workspaces in between.
    const { look, place, sources } = desk;
    at(DAWN + 5000);
    at(DAWN + 60_000);
    at(DAWN, { place: { ...place, zone: 'Asia/Tokyo' } });
    at(DAWN, { look: { ...look, half: { by: 'choice', half: 'light' } } });
    at(DAWN, { sources: { ...sources, units: { ...sources.units, temperature: 'f' } } });
    at(DAWN, {}, 1);
    expect(texts(at(DAWN))).to.equal(first);
    // And each of them shows itself.
    expect(texts(at(DAWN + 60_000))).to.contain('"13"');
    expect(texts(at(DAWN, { place: { ...place, zone: 'Asia/Tokyo' } }))).to.contain('"16:12"');
    const warm = texts(at(DAWN, { sources: { ...sources, units: { ...sources.units, temperature: 'f' } } }));
    expect(warm).not.to.equal(first);
    expect(texts(at(DAWN, {}, 1))).not.to.equal(first);
  });

  it('shows a widget on its own workspaces only, and what hangs from it where it would hang', () => {
    const desk = emptyDesk();
    desk.workspaces = [
      { id: 'one', name: 'One' },
      { id: 'two', name: 'Two' },
    ];
    const host = clockAt('host', fromCorner(40, 60));
    const guest = clockAt('guest', {
      hangs: { from: 'part', part: 'host', side: 'bottom', align: 'start' },
      x: 0,
      y: 10,
    });
    desk.widgets = [{ ...host, workspaces: ['two'] }, guest];
    const on = (workspace: number) => solve(desk, { moment: DAWN, workspace }).screens[0]?.widgets ?? [];
    expect(on(0).map(({ id }) => id)).to.deep.equal(['guest']);
    expect(on(1).map(({ id }) => id)).to.deep.equal(['host', 'guest']);
    expect(on(0)[0]?.rect).to.deep.equal(on(1)[1]?.rect);
  });

  it('cuts the strips of edges off the free area, in the order of the document', () => {
    const desk = emptyDesk();
    desk.edges = [
      { ...createPanel('first', 'main', 'top', []), length: { by: 'side' }, thickness: 40 },
      { ...createPanel('second', 'main', 'left', []), length: { by: 'side' }, thickness: 50 },
    ];
    const [screen] = solve(desk, { moment: DAWN }).screens;
    expect(screen?.edges.map(({ rect }) => rect)).to.deep.equal([
      { x: 0, y: 0, width: 1000, height: 40 },
      { x: 0, y: 40, width: 50, height: 560 },
    ]);
    expect(screen?.free).to.deep.equal({ x: 50, y: 40, width: 950, height: 560 });
  });

  it('moves what hangs from the free area when a panel moves, and what hangs from a neighbour when that moves', () => {
    const desk = emptyDesk();
    desk.edges = [{ ...createPanel('panel', 'main', 'top', []), length: { by: 'side' }, thickness: 40 }];
    desk.widgets = [
      clockAt('host', { hangs: { from: 'free', screen: 'main', point: 'top-left' }, x: 20, y: 20 }),
      clockAt('guest', {
        hangs: { from: 'part', part: 'host', side: 'bottom', align: 'start' },
        x: 0,
        y: 10,
      }),
      clockAt('fixed', { hangs: { from: 'screen', screen: 'main', point: 'bottom-right' }, x: 20, y: 20 }),
    ];
    const before = rectsOf(desk);
    expect(before['host']).to.include({ x: 20, y: 60 });
    expect(before['guest']?.y).to.equal(60 + (before['host']?.height ?? 0) + 10);
    edits.moveEdge('panel', 'bottom').apply(desk);
    const after = rectsOf(desk);
    expect(after['host']?.y).to.equal(20);
    expect(after['guest']?.y).to.equal((before['guest']?.y ?? 0) - 40);
    expect(after['fixed']).to.deep.equal(before['fixed']);
  });

  it('finds a guest its place even when it stands before its host in the document', () => {
    const desk = emptyDesk();
    desk.widgets = [
      clockAt('guest', { hangs: { from: 'part', part: 'host', side: 'right', align: 'start' }, x: 8, y: 0 }),
      clockAt('host', fromCorner(100, 100)),
    ];
    const rects = rectsOf(desk);
    expect(rects['guest']?.x).to.equal(100 + (rects['host']?.width ?? 0) + 8);
  });

  it('follows the moment, forward and back', () => {
    const desk = { ...emptyDesk(), widgets: [clockAt('clock', fromCorner(10, 10))] };
    const time = (moment: number) => {
      const view = solve(desk, { moment }).screens[0]?.widgets[0]?.view as { hours: string; minutes: string };
      return `${view.hours}:${view.minutes}`;
    };
    expect(time(DAWN)).to.equal('07:12');
    expect(time(DAWN + 3_600_000)).to.equal('08:12');
    expect(time(DAWN - 86_400_000)).to.equal('07:12');
  });

  it('draws a widget smaller than asked for when it would not fit', () => {
    const desk = { ...emptyDesk(), widgets: [{ ...clockAt('clock', fromCorner(0, 0)), scale: 10 }] };
    const widget = solve(desk, { moment: DAWN }).screens[0]?.widgets[0];
    expect(widget?.rect.width).to.be.closeTo(1000, 1e-6);
    expect(widget?.scale).to.be.below(10);
  });

  it('makes every text readable on the surface that it stands on, in both halves of every demo desk', () => {
    for (const desk of demoDesks()) {
      for (const half of ['light', 'dark'] as const) {
        const scene = solve(desk, { moment: DAWN, half });
        for (const { surface, id } of scene.screens.flatMap(({ edges, widgets }) => [...edges, ...widgets])) {
          const beneath = surface.kind === 'bare' ? scene.roles.ground : surface.tint;
          expect(contrast(surface.ink, beneath), `${desk.name} ${half} ${id} ink`).to.be.at.least(4.5);
          expect(contrast(surface.softInk, beneath), `${desk.name} ${half} ${id} soft ink`).to.be.at.least(
            4.5,
          );
        }
      }
    }
  });

  it('asks for seconds only when something shows them', () => {
    const tick = (options: object) =>
      solve(
        { ...emptyDesk(), widgets: [clockAt('clock', fromCorner(0, 0), { ...options })] },
        { moment: DAWN },
      ).tick;
    expect(solve(emptyDesk(), { moment: DAWN }).tick).to.equal(null);
    expect(tick({})).to.equal('minute');
    expect(tick({ seconds: true })).to.equal('second');
  });

  it("marks what runs, and asks for this machine's readings only when they are shown", () => {
    const desk = dawnCount();
    const running = solve(desk, { moment: DAWN, windows: [windowOf('wavebox')] });
    const marked = running.screens[0]?.edges
      .flatMap(({ items }) => items)
      .filter(({ view }) => (view as { isRunning?: boolean }).isRunning);
    expect(marked?.map(({ view }) => (view as { name: string }).name)).to.deep.equal(['Wavebox']);
    expect(running.needs).to.deep.include({ source: 'machine', origin: 'simulated' });
    edits.setWidgetOptions('machine', { from: 'this-machine' }).apply(desk);
    expect(solve(desk, { moment: DAWN }).needs).to.deep.include({
      source: 'machine',
      origin: 'this-machine',
    });
  });
});

describe('every kind', () => {
  for (const kind of widgetKinds) {
    for (const face of kind.faces) {
      it(`widget ${kind.type}, ${face.id}, has a size and a view at any moment`, () => {
        fc.assert(
          fc.property(arbitraryMoment, (moment) => {
            const desk = emptyDesk();
            desk.widgets = [
              {
                ...clockAt('part', fromCorner(0, 0)),
                type: kind.type,
                face: face.id,
                options: kind.options.parse({}),
              },
            ];
            const [part] = solve(desk, { moment }).screens[0]?.widgets ?? [];
            expect(part?.rect.width).to.be.greaterThan(20);
            expect(part?.rect.height).to.be.greaterThan(20);
          }),
          { numRuns: 30 },
        );
      });
    }
  }
  for (const kind of itemKinds) {
    it(`item ${kind.type} has a length on a level and on an upright edge`, () => {
      for (const side of ['top', 'left'] as const) {
        const desk = emptyDesk();
        const item = createItem('part', kind.type);
        desk.edges = [{ ...createPanel('edge', 'main', side, [item]), length: { by: 'side' } }];
        const windows = [windowOf('tallybook', { workspace: desk.workspaces[0]?.id ?? '' })];
        const [part] = solve(desk, { moment: DAWN, windows }).screens[0]?.edges[0]?.items ?? [];
        const along = side === 'top' ? part?.rect.width : part?.rect.height;
        expect(along, side).to.be.greaterThan(0);
      }
    });
  }
});

describe('shareUnchanged', () => {
  it('keeps the identity of parts that did not change, and no others', () => {
    const desk = dawnCount();
    const before = solve(desk, { moment: DAWN });
    const moved = {
      ...desk,
      widgets: desk.widgets.map((widget) =>
        widget.id === 'machine' ? { ...widget, place: { ...widget.place, x: 200 } } : widget,
      ),
    };
    const after = shareUnchanged(before, solve(moved, { moment: DAWN }));
    const widget = (scene: typeof before, id: string) =>
      scene.screens[0]?.widgets.find((part) => part.id === id);
    expect(widget(after, 'clock')).to.equal(widget(before, 'clock'));
    expect(widget(after, 'machine')).not.to.equal(widget(before, 'machine'));
    expect(widget(after, 'machine')?.view).to.equal(widget(before, 'machine')?.view);
    expect(after.screens[0]?.edges).to.equal(before.screens[0]?.edges);
  });

  it('gives back the old object when all is equal, and always equals the new one', () => {
    const tree = fc.letrec((tie) => ({
      node: fc.oneof(
        { depthSize: 'small' },
        fc.integer({ min: 0, max: 2 }),
        fc.constantFrom('a', null, undefined),
        fc.array(tie('node'), { maxLength: 3 }),
        fc.dictionary(fc.constantFrom('x', 'y', 'z'), tie('node'), { noNullPrototype: true }),
      ),
    })).node;
    fc.assert(
      fc.property(tree, tree, (before, after) => {
        expect(shareUnchanged(before, after)).to.deep.equal(after);
        expect(shareUnchanged(before, structuredClone(before))).to.equal(before);
      }),
    );
  });
});

function rectsOf(desk: ReturnType<typeof emptyDesk>): Record<string, Rect> {
  const [screen] = solve(desk, { moment: DAWN }).screens;
  return Object.fromEntries(
    [...(screen?.edges ?? []), ...(screen?.widgets ?? [])].map(({ id, rect }) => [id, rect]),
  );
}
