import { expect } from 'chai';
import fc from 'fast-check';
import { freeze } from 'immer';
import { DAWN, arbitraryDesk, clockAt, dawnCount, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import { windowOf } from '../../tests/support/windows.ts';
import { demoDesks } from '../../demo/desks.ts';
import { createItem, createPanel, createWidget } from '../desk/defaults.ts';
import type { Desk } from '../desk/desk.ts';
import type { Widget } from '../desk/shapes/widgets.ts';
import type { TrialWindow } from '../windows/trial.ts';
import { itemKinds } from '../items/list.ts';
import { Library } from '../values/library.ts';
import { widgetKinds } from '../widgets/list.ts';
import { learnDesk } from './learn.ts';
import { createMemory } from './memory.ts';
import { learnMenus } from './menus/learn.ts';
import type { Conditions } from './conditions.ts';
import type { Scene } from './scene.ts';
import { solve } from './solve.ts';
import { createSolver } from './solver.ts';
import { learnWindows } from './windows/learn.ts';

/** Nothing is known of it yet: no object in it was ever seen. */
const anew = (desk: Desk): Desk => freeze(structuredClone(desk), true);

/** A desk with every kind of item and widget, under every face. */
function everything(): Desk {
  const desk = dawnCount();
  const items = itemKinds.flatMap((kind) =>
    kind.faces.map((face, index) => ({ ...createItem(`${kind.type}-${index}`, kind.type), face: face.id })),
  );
  const edge = (id: string, side: 'top' | 'left', kind: 'panel' | 'dock') => ({
    ...createPanel(id, 'main', side, items),
    kind,
  });
  const screens = [{ id: 'main', name: 'Main', width: 9000, height: 6000, scaleFactor: 1, x: 0, y: 0 }];
  const widgets = widgetKinds.flatMap((kind) =>
    kind.faces.map((face, index) =>
      createWidget({
        id: `${kind.type}-${index}`,
        type: kind.type,
        face: face.id,
        place: fromCorner(index * 300, 200),
        deskFinish: desk.look.finish,
      }),
    ),
  );
  return freeze(
    { ...desk, screens, edges: [edge('across', 'top', 'panel'), edge('up', 'left', 'dock')], widgets },
    true,
  );
}

/** A main screen that is so dark or light (0 to 255) on its left and on its right. */
const lit = (left: number, right: number) =>
  new Map([['main', { columns: 2, rows: 1, cells: Uint8Array.of(left, left, left, right, right, right) }]]);

const widgetOf = (scene: Scene, id: string) => scene.screens[0]?.widgets.find((part) => part.id === id);

describe('a solver', () => {
  /** What changes from one look to the next: the moment, what is open, and what the desk says. */
  const change = fc.oneof(
    fc.record({ moment: fc.constantFrom(0, 1000, 30_000, 60_000, 3_600_000, 43_200_000) }),
    fc.record({ half: fc.constantFrom<'light' | 'dark'>('light', 'dark') }),
    fc.record({ workspace: fc.constantFrom(0, 1) }),
    fc.record({ isQuiet: fc.boolean() }),
    fc.record({
      windows: fc.constantFrom(
        [],
        [windowOf('terminal')],
        [windowOf('terminal'), windowOf('files', { isMinimised: true })],
        [windowOf('files'), windowOf('terminal', { isFilled: true })],
      ),
    }),
    fc.record({
      feeds: fc.constantFrom([], [{ source: 'machine', origin: 'this-machine', samples: [] }]),
    }),
    fc.record({ tones: fc.constantFrom(new Map(), lit(0, 255), lit(255, 40), lit(120, 130)) }),
    fc.record({ edit: fc.constantFrom('units', 'place', 'roles', 'fonts', 'application', 'finish', 'move') }),
  );

  function edited(desk: Desk, edit: string): Desk {
    const { look, sources, place, applications } = desk;
    switch (edit) {
      case 'units':
        return {
          ...desk,
          sources: { ...sources, units: { ...sources.units, temperature: 'f', hours: '12' } },
        };
      case 'place':
        return { ...desk, place: { ...place, latitude: -40, zone: 'Asia/Tokyo' } };
      case 'roles':
        return { ...desk, look: { ...look, roles: { light: look.roles.dark, dark: look.roles.light } } };
      case 'fonts':
        return {
          ...desk,
          look: { ...look, fonts: { ...look.fonts, text: { ...look.fonts.text, family: 'petrona' } } },
        };
      case 'application':
        return { ...desk, applications: applications.map((one) => ({ ...one, Name: `${one.Name}, too` })) };
      case 'finish':
        return { ...desk, look: { ...look, finish: { ...look.finish, tint: 'accent', kind: 'matte' } } };
      default: {
        const [first, ...others] = desk.widgets;
        return first ? { ...desk, widgets: [{ ...first, scale: first.scale * 1.1 }, ...others] } : desk;
      }
    }
  }

  it('gives the scene that would come of the desk if nothing had been known', function () {
    this.timeout(120_000);
    const desks = [everything(), ...demoDesks().map((desk) => freeze(desk, true))];
    fc.assert(
      fc.property(
        fc.nat(desks.length - 1),
        fc.array(change, { minLength: 3, maxLength: 7 }),
        (index, changes) => {
          const solver = createSolver();
          // Somebody else looks at the same desk, under something else.
          const other = createSolver();
          let desk = desks[index] ?? everything();
          let conditions: Conditions = { moment: DAWN };
          for (const one of changes) {
            const { edit, moment, ...others } = one as Partial<Conditions> & { edit?: string };
            conditions = { ...conditions, ...others, moment: DAWN + (moment ?? conditions.moment - DAWN) };
            if (edit) desk = freeze(edited(desk, edit), true);
            other(desk, { moment: DAWN + 90_000, isQuiet: true, windows: [windowOf('postbag')] });
            expect(solver(desk, conditions)).to.deep.equal(solve(anew(desk), conditions));
          }
        },
      ),
      { numRuns: 25 },
    );
    fc.assert(
      fc.property(arbitraryDesk, arbitraryDesk, (one, other) => {
        const solver = createSolver();
        for (const desk of [one, other, one])
          expect(solver(freeze(desk, true), { moment: DAWN })).to.deep.equal(
            solve(anew(desk), { moment: DAWN }),
          );
      }),
      { numRuns: 40 },
    );
  });

  it('gives back the very scene where nothing changed, and all but a widget that was moved', () => {
    const desk = everything();
    const solver = createSolver();
    const before = solver(desk, { moment: DAWN });
    expect(solver(desk, { moment: DAWN })).to.equal(before);
    const id = desk.widgets[0]?.id;
    const moved = {
      ...desk,
      widgets: desk.widgets.map((one) => (one.id === id ? { ...one, place: fromCorner(500, 500) } : one)),
    };
    const after = solver(freeze(moved, true), { moment: DAWN });
    expect(widgetOf(after, String(id))).not.to.equal(widgetOf(before, String(id)));
    expect(widgetOf(after, String(id))?.layout).to.equal(widgetOf(before, String(id))?.layout);
    const others = (scene: Scene) => scene.screens[0]?.widgets.slice(1) ?? [];
    for (const [index, widget] of others(after).entries()) expect(widget).to.equal(others(before)[index]);
    expect(after.screens[0]?.edges).to.equal(before.screens[0]?.edges);
  });

  it('looks again only at what reads what changed', () => {
    const note = createWidget({
      id: 'note',
      type: 'note',
      face: 'card',
      place: fromCorner(400, 20),
      deskFinish: emptyDesk().look.finish,
    });
    const seconds = clockAt('seconds', fromCorner(20, 20), { seconds: true });
    const minutes = clockAt('minutes', fromCorner(20, 200));
    const tiles = createWidget({
      id: 'tiles',
      type: 'tiles',
      face: widgetKinds.find(({ type }) => type === 'tiles')?.faces[0]?.id ?? '',
      place: fromCorner(400, 300),
      deskFinish: emptyDesk().look.finish,
    });
    // Whatever is looked at is asked for its options.
    const looks = new Set<string>();
    const watched = (widget: Widget): Widget => ({
      ...widget,
      options: new Proxy(Object.freeze({ ...widget.options }), {
        get: (options, key) => {
          looks.add(widget.id);
          return Reflect.get(options, key) as unknown;
        },
      }),
    });
    const desk = freeze({ ...emptyDesk(), widgets: [note, seconds, minutes, tiles].map(watched) }, true);
    const solver = createSolver();
    const looked = (conditions: Conditions) => {
      looks.clear();
      solver(desk, conditions);
      return [...looks].sort();
    };
    expect(looked({ moment: DAWN })).to.deep.equal(['minutes', 'note', 'seconds', 'tiles']);
    expect(looked({ moment: DAWN + 1000 })).to.deep.equal(['seconds']);
    expect(looked({ moment: DAWN + 60_000 })).to.deep.equal(['minutes', 'seconds']);
    // A window that opens says which application runs, which tiles tell; one that is moved says nothing.
    const window = windowOf(desk.applications[0]?.id ?? '');
    const open = { moment: DAWN + 60_000, windows: [window] };
    expect(looked(open)).to.deep.equal(['tiles']);
    expect(looked({ ...open, windows: [{ ...window, rect: { ...window.rect, x: 7 } }] })).to.deep.equal([]);
    expect(looked({ ...open, workspace: 1 })).to.deep.equal([]);
  });

  it('lays no list of windows anew when another of them is raised', () => {
    const panel = createPanel('panel', 'main', 'top', [
      createItem('open', 'open-windows'),
      createItem('clock', 'clock'),
    ]);
    const desk = freeze({ ...emptyDesk(), edges: [panel] }, true);
    const [terminal, files, more] = ['terminal', 'files', 'tallybook'].map((id, order) =>
      windowOf(id, { order }),
    ) as [TrialWindow, TrialWindow, TrialWindow];
    const solver = createSolver();
    const edge = (...windows: TrialWindow[]) =>
      solver(desk, { moment: DAWN, windows }).screens[0]?.edges[0]?.items ?? [];
    const [before, clock] = edge(terminal, files, more);
    const [raised, same] = edge(files, more, terminal);
    expect(same).to.equal(clock);
    expect(raised?.layout).to.equal(before?.layout);
    const front = (item: typeof before) =>
      (item?.view as unknown as { entries: { isFront: boolean }[] }).entries.map(({ isFront }) => isFront);
    expect([front(before), front(raised)]).to.deep.equal([
      [false, false, true],
      [true, false, false],
    ]);
    // One that goes takes its place with it.
    expect(edge(files, more)[0]?.layout).not.to.equal(before?.layout);
    expect(solver(desk, { moment: DAWN, windows: [files, more] })).to.deep.equal(
      solve(anew(desk), { moment: DAWN, windows: [files, more] }),
    );
  });

  it('knows what is in the library that it is given, and nothing else', async () => {
    const desk = everything();
    const conditions: Conditions = { moment: DAWN, feeds: [], windows: [windowOf('terminal')] };
    const library = new Library();
    const blank = solve(desk, conditions, createMemory(), library);
    const views = (scene: Scene) => scene.screens.flatMap(({ widgets }) => widgets.map(({ view }) => view));
    expect(views(blank).filter((view) => view !== null)).to.deep.equal([]);
    expect(blank.screens[0]?.windows.list).to.deep.equal([]);

    await Promise.all([learnDesk(desk, library), learnMenus(library), learnWindows(library)]);
    const scene = solve(desk, conditions, createMemory(), library);
    expect(scene).to.deep.equal(solve(desk, conditions));
    expect(views(scene).filter((view) => view === null)).to.deep.equal([]);
    // What another one has learned changes nothing here.
    expect(solve(desk, conditions, createMemory(), new Library())).to.deep.equal(blank);
  });
});
