import { expect } from 'chai';
import { produce } from 'immer';
import { DAWN, clockAt, dawnCount, emptyDesk, fromCorner } from '../../tests/support/desks.ts';
import type { Rect } from '../values/geometry.ts';
import { points } from '../values/place.ts';
import { rectsOn } from '../scene/parts.ts';
import { solve } from '../scene/solve.ts';
import { resolveRoles } from '../colour/roles.ts';
import { drawRoles } from '../colour/scheme.ts';
import { toHex, toLch } from '../values/colour.ts';
import { createBackdrop, createMotif } from './defaults.ts';
import { edits } from './edits/edits.ts';
import { strayParts } from './edits/parts.ts';
import type { Whereabouts } from './whereabouts.ts';
import type { Desk } from './desk.ts';
import { readParts, writeParts } from './parts-text.ts';
import { readDesk } from './read.ts';
import { keysFor } from '../menus/keys.ts';

function whereaboutsOf(desk: Desk): Whereabouts {
  const [screen] = solve(desk, { moment: DAWN }).screens;
  if (!screen) throw new Error('no screen');
  return {
    screen: { id: screen.id, rect: screen.rect },
    free: screen.free,
    rects: rectsOn(screen),
  };
}

const rectOf = (desk: Desk, id: string): Rect =>
  whereaboutsOf(desk).rects.get(id) ?? { x: NaN, y: NaN, width: NaN, height: NaN };

describe('edits', () => {
  it('moves a widget to where it was put, whatever it hangs from', () => {
    for (const point of points) {
      const desk = {
        ...emptyDesk(),
        widgets: [clockAt('clock', { hangs: { from: 'free', screen: 'main', point }, x: 5, y: 5 })],
      };
      const whereabouts = whereaboutsOf(desk);
      const wanted = { ...rectOf(desk, 'clock'), x: 321, y: 123 };
      const moved = produce(desk, (draft) =>
        edits.moveWidgets(new Map([['clock', wanted]]), whereabouts).apply(draft),
      );
      expect(rectOf(moved, 'clock').x, point).to.be.closeTo(321, 0.5);
      expect(rectOf(moved, 'clock').y, point).to.be.closeTo(123, 0.5);
      expect(moved.widgets[0]?.place.hangs).to.deep.equal({ from: 'free', screen: 'main', point });
    }
  });

  it('does not move what is locked', () => {
    const desk = { ...emptyDesk(), widgets: [{ ...clockAt('clock', fromCorner(10, 10)), locked: true }] };
    const whereabouts = whereaboutsOf(desk);
    const moved = produce(desk, (draft) =>
      edits.moveWidgets(new Map([['clock', { ...rectOf(desk, 'clock'), x: 99 }]]), whereabouts).apply(draft),
    );
    expect(moved).to.equal(desk);
  });

  it('keeps a guest at its distance when it is moved together with its host', () => {
    const desk = dawnCount();
    const whereabouts = whereaboutsOf(desk);
    const both = new Map(
      ['load', 'elsewhere'].map((id) => [id, { ...rectOf(desk, id), x: rectOf(desk, id).x - 200 }]),
    );
    const moved = produce(desk, (draft) => edits.moveWidgets(both, whereabouts).apply(draft));
    expect(moved.widgets.find(({ id }) => id === 'elsewhere')?.place).to.deep.equal(
      desk.widgets.find(({ id }) => id === 'elsewhere')?.place,
    );
    expect(rectOf(moved, 'elsewhere').x).to.equal(rectOf(desk, 'elsewhere').x - 200);
  });

  it('hangs a widget from something else without moving it, and refuses a circle', () => {
    const desk = {
      ...emptyDesk(),
      widgets: [clockAt('host', fromCorner(100, 100)), clockAt('guest', fromCorner(400, 300))],
    };
    const before = rectOf(desk, 'guest');
    const hung = produce(desk, (draft) =>
      edits
        .hangWidget('guest', { from: 'part', part: 'host', side: 'right', align: 'end' }, whereaboutsOf(desk))
        .apply(draft),
    );
    expect(rectOf(hung, 'guest')).to.deep.equal(before);
    const circle = produce(hung, (draft) =>
      edits
        .hangWidget('host', { from: 'part', part: 'guest', side: 'right', align: 'end' }, whereaboutsOf(hung))
        .apply(draft),
    );
    expect(circle.widgets[0]?.place).to.deep.equal(hung.widgets[0]?.place);
  });

  it('leaves what hung from a removed part where it stands', () => {
    const desk = dawnCount();
    const before = rectOf(desk, 'elsewhere');
    const after = produce(desk, (draft) => edits.remove(['load'], whereaboutsOf(desk)).apply(draft));
    expect(after.widgets.map(({ id }) => id)).not.to.include('load');
    expect(rectOf(after, 'elsewhere').x).to.be.closeTo(before.x, 0.5);
    expect(rectOf(after, 'elsewhere').y).to.be.closeTo(before.y, 0.5);
    expect(readDesk(JSON.parse(JSON.stringify(after))).ok).to.equal(true);
  });

  it('removes items and edges', () => {
    const desk = dawnCount();
    const after = produce(desk, (draft) =>
      edits.remove(['dock', 'panel-2'], whereaboutsOf(desk)).apply(draft),
    );
    expect(after.edges.map(({ id }) => id)).to.deep.equal(['panel']);
    expect(after.edges[0]?.items.map(({ id }) => id)).to.deep.equal([
      'panel-1',
      'panel-3',
      'panel-4',
      'panel-5',
      'panel-6',
    ]);
  });

  it('moves an item along its edge and to another one', () => {
    const order = (desk: Desk, index: number) => desk.edges[index]?.items.map(({ id }) => id);
    const desk = dawnCount();
    const along = produce(desk, (draft) => edits.moveItem('dock-1', 'dock', 2).apply(draft));
    expect(order(along, 1)?.slice(0, 3)).to.deep.equal(['dock-2', 'dock-3', 'dock-1']);
    const across = produce(desk, (draft) => edits.moveItem('dock-1', 'panel', 0).apply(draft));
    expect(order(across, 0)?.[0]).to.equal('dock-1');
    expect(order(across, 1)).not.to.include('dock-1');
  });

  it('duplicates with new ids, unlocked, a step away; copies of guests hang from copies', () => {
    const desk = dawnCount();
    const copies = new Map([
      ['load', 'load-2'],
      ['elsewhere', 'elsewhere-2'],
    ]);
    const after = produce(desk, (draft) => edits.duplicateWidgets(copies, () => 'new').apply(draft));
    const guest = after.widgets.find(({ id }) => id === 'elsewhere-2');
    expect(guest?.place.hangs).to.include({ from: 'part', part: 'load-2' });
    expect(after.widgets).to.have.length(desk.widgets.length + 2);
    expect(readDesk(JSON.parse(JSON.stringify(after))).ok).to.equal(true);
  });

  it('makes a group of the copies of a whole group, duplicated or carried, and of no part of one', () => {
    const ids = ['a', 'b', 'c'];
    const bare = { ...emptyDesk(), widgets: ids.map((id) => clockAt(id, fromCorner(10, 10))) };
    const desk = { ...bare, groups: [{ id: 'pair', name: 'Pair', widgets: ['a', 'b'] }] };
    const copied = (...some: string[]) =>
      produce(desk, (draft) =>
        edits.duplicateWidgets(new Map(some.map((id) => [id, `${id}2`])), () => 'new').apply(draft),
      ).groups;
    expect(copied('a', 'b', 'c')[1]).to.deep.equal({ id: 'new', name: 'Pair 2', widgets: ['a2', 'b2'] });
    expect(copied('a', 'c')).to.deep.equal(desk.groups);

    const carried = readParts(writeParts(desk, ['a', 'b', 'c'], whereaboutsOf(desk)));
    if (!carried || 'problem' in carried) throw new Error('it can’t be read');
    let count = 0;
    const landing = { screen: 'main', edge: null, off: 0, newId: () => `n${count++}` };
    const after = produce(desk, (draft) => edits.paste(carried, landing).apply(draft));
    expect(after.groups[1]?.widgets).to.deep.equal(after.widgets.slice(3, 5).map(({ id }) => id));
    // Where its name is free, it keeps it.
    expect(after.groups[1]?.name).to.equal('Pair 2');
    const elsewhere = produce(emptyDesk(), (draft) => edits.paste(carried, landing).apply(draft));
    expect(elsewhere.groups.map(({ name }) => name)).to.deep.equal(['Pair']);
    expect(readDesk(JSON.parse(JSON.stringify(after))).ok).to.equal(true);
  });

  it('changes the order of what stands above what', () => {
    const desk = { ...emptyDesk(), widgets: ['a', 'b', 'c', 'd'].map((id) => clockAt(id, fromCorner(0, 0))) };
    const order = (to: 'front' | 'forward' | 'back' | 'behind', ids: string[]) =>
      produce(desk, (draft) => edits.orderWidgets(ids, to).apply(draft))
        .widgets.map(({ id }) => id)
        .join('');
    expect(order('front', ['a'])).to.equal('bcda');
    expect(order('back', ['c', 'd'])).to.equal('cdab');
    expect(order('forward', ['a', 'b'])).to.equal('cabd');
    expect(order('behind', ['a'])).to.equal('abcd');
    expect(order('behind', ['c'])).to.equal('acbd');
  });

  it('renames, adds and removes workspaces, but keeps the last one', () => {
    const names = (change: (draft: Desk) => void) =>
      produce(emptyDesk(), change).workspaces.map(({ name }) => name);
    expect(names((draft) => edits.renameWorkspace('workspace-2', 'Letters').apply(draft))).to.deep.equal([
      'One',
      'Letters',
    ]);
    expect(names((draft) => edits.addWorkspace('third', 'Three').apply(draft))).to.deep.equal([
      'One',
      'Two',
      'Three',
    ]);
    const left = names((draft) => {
      edits.remove(['workspace-1']).apply(draft);
      edits.remove(['workspace-2']).apply(draft);
    });
    expect(left).to.deep.equal(['Two']);
  });

  it('keeps the last screen', () => {
    const desk = emptyDesk();
    expect(produce(desk, (draft) => edits.remove(['main']).apply(draft))).to.equal(desk);
  });
});

describe('edits of looks and backdrops', () => {
  const after = (desk: Desk, recipe: (draft: Desk) => void): Desk => {
    const changed = produce(desk, (draft) => recipe(draft as Desk));
    const read = readDesk(JSON.parse(JSON.stringify(changed)));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return changed;
  };
  const drawn = drawRoles([{ colour: '#3c6e71', share: 1 }], 'vivid');

  it('draw a palette anew, but not over what is held or is a step', () => {
    const held = after(dawnCount(), (desk) => {
      edits.hold('accent', true).apply(desk);
      edits.drawPalette(drawn).apply(desk);
    });
    const { dark } = held.look.roles;
    expect(dark.accent).to.equal(dawnCount().look.roles.dark.accent);
    expect(dark.ground).to.equal(drawn.dark.ground);
    expect(dark.raised).to.deep.equal(dawnCount().look.roles.dark.raised);
    const free = after(held, (desk) => {
      edits.hold('accent', false).apply(desk);
      edits.drawPalette(drawn).apply(desk);
    });
    expect(free.look.roles.dark.accent).to.equal(drawn.dark.accent);
  });

  it('change a role of both halves by the same step, and of one alone where the halves are parted', () => {
    const lch = (desk: Desk, half: 'light' | 'dark') => toLch(resolveRoles(desk.look.roles[half]).accent);
    const start = dawnCount();
    const own = toHex({ l: 0.7, c: 0.1, h: 200 });
    const both = after(start, (draft) => edits.setRole('dark', 'accent', own).apply(draft));
    expect(both.look.roles.dark.accent).to.equal(own);
    const moved = (half: 'light' | 'dark') => {
      const [from, to] = [lch(start, half), lch(both, half)];
      return [to.l - from.l, to.c - from.c, (to.h - from.h + 720) % 360];
    };
    moved('light').forEach((by, index) =>
      expect(by).to.be.closeTo(moved('dark')[index] ?? NaN, index === 2 ? 3 : 0.05),
    );
    // A grey has no hue to turn: the other takes the hue that came of it.
    const grey = after(start, (draft) => {
      edits.partHalves(true).apply(draft);
      edits.setRole('light', 'accent', '#777777').apply(draft);
      edits.partHalves(false).apply(draft);
      edits.setRole('dark', 'accent', own).apply(draft);
    });
    expect(lch(grey, 'light').h).to.be.closeTo(200, 4);
    const parted = after(start, (draft) => {
      edits.partHalves(true).apply(draft);
      edits.setRole('dark', 'accent', own).apply(draft);
    });
    expect(parted.look.roles.light).to.deep.equal(start.look.roles.light);
    // A step goes to both, but not where it would lead in a circle there.
    const step = { from: 'surface' as const, lighter: 3, more: 0, warmer: 0 };
    const stepped = after(start, (draft) => edits.setRole('dark', 'second', step).apply(draft));
    expect(stepped.look.roles.light.second).to.deep.equal(step);
    const circle = after(start, (draft) => {
      edits.partHalves(true).apply(draft);
      edits.setRole('light', 'ground', { ...step, from: 'second' }).apply(draft);
      edits.setRole('light', 'surface', { ...step, from: 'ground' }).apply(draft);
      edits.partHalves(false).apply(draft);
      edits.setRole('dark', 'second', step).apply(draft);
    });
    expect(circle.look.roles.light.second).to.equal(start.look.roles.light.second);
    expect(circle.look.roles.dark.second).to.deep.equal(step);
  });

  it('let go of a workspace that is taken away, also on widgets that are shown there only', () => {
    const desk = after(dawnCount(), (draft) => {
      const [first, second] = draft.workspaces;
      edits.setWidgets(['clock'], { workspaces: [second?.id ?? ''] }).apply(draft);
      edits.setWidgets(['machine'], { workspaces: [first?.id ?? '', second?.id ?? ''] }).apply(draft);
    });
    const [first, second] = desk.workspaces;
    const left = after(desk, (draft) => edits.remove([second?.id ?? '']).apply(draft));
    const on = (id: string) => left.widgets.find((widget) => widget.id === id)?.workspaces;
    expect(on('clock')).to.deep.equal([]);
    expect(on('machine')).to.deep.equal([first?.id]);
  });

  it('dress widgets as another, with what their kinds understand and nothing that they would not take', () => {
    const { finish } = dawnCount().look;
    const desk = after(dawnCount(), (draft) =>
      edits
        .dress(['clock', 'machine', 'gone'], {
          finish: { ...finish, radius: 3 },
          face: 'line',
          scale: 3,
          place: { x: 0, y: 0 },
          options: { colour: 'second', hours: '12', span: 'no span', zone: 'UTC' },
        })
        .apply(draft),
    );
    const find = (id: string) => desk.widgets.find((widget) => widget.id === id);
    expect(find('clock')).to.deep.include({ face: 'line', finish: { ...finish, radius: 3 } });
    expect(find('clock')?.options).to.include({ colour: 'second', hours: 'desk' });
    expect(find('machine')?.face).to.equal('rings');
    expect(find('machine')?.options).to.include({ colour: 'second', span: 20 });
    expect(find('machine')?.options).not.to.have.property('hours');
    // What it shows and where it stands is no dress.
    const before = dawnCount().widgets.find(({ id }) => id === 'clock');
    expect(find('clock')).to.deep.include({ scale: before?.scale, place: before?.place });
    expect(find('clock')?.options['zone']).to.equal(before?.options['zone']);
  });

  it('give one thing other keys in place of its own, or none at all, whatever else stands in the list', () => {
    const keys = [
      { act: 'app-list' as const, shortcut: '' },
      { act: 'overview' as const, shortcut: 'Ctrl+Alt+O' },
      { act: 'app-list' as const, shortcut: 'Ctrl+Alt+L' },
      { act: 'app-list' as const, shortcut: 'Ctrl+Alt+K' },
    ];
    const desk = after(dawnCount(), (draft) => edits.setKeys(keys).apply(draft));
    const set = (act: 'app-list' | 'desk-menu', shortcut: string) =>
      after(desk, (draft) => edits.setKeysFor(act, shortcut).apply(draft)).keys;
    expect(keysFor(desk.keys, 'app-list')).to.equal('Ctrl+Alt+L');
    expect(keysFor(set('app-list', 'Ctrl+Alt+J'), 'app-list')).to.equal('Ctrl+Alt+J');
    expect(keysFor(set('app-list', ''), 'app-list')).to.equal('');
    expect(set('app-list', '')[1]).to.deep.equal(keys[1]);
    expect(set('desk-menu', 'Ctrl+Alt+B').at(-1)).to.deep.equal({ act: 'desk-menu', shortcut: 'Ctrl+Alt+B' });
    expect(set('desk-menu', '')).to.deep.equal(keys);
  });

  it('make all follow: own finishes and one-off colours go, what is bare stays bare', () => {
    const desk = after(dawnCount(), (draft) => {
      edits.setFinish(['machine'], { ...draft.look.finish, tint: '#123456', radius: 3 }).apply(draft);
      edits.setWidgetOptions('clock', { colour: '#ff00ff' }).apply(draft);
      edits.setFinish(['panel'], { ...draft.look.finish, kind: 'matte' }).apply(draft);
    });
    expect(strayParts(desk)).to.have.members(['machine', 'clock', 'panel']);
    const one = after(desk, (draft) => edits.followAll().apply(draft));
    expect(strayParts(one)).to.deep.equal([]);
    expect(one.widgets.find(({ id }) => id === 'machine')?.finish).to.equal(null);
    expect(one.widgets.find(({ id }) => id === 'clock')?.finish?.kind).to.equal('bare');
    expect(one.widgets.find(({ id }) => id === 'clock')?.options['colour']).to.equal('ink');
  });

  it('never leave a desk without the backdrop that lies everywhere, nor one for what is gone', () => {
    const desk = after(dawnCount(), (draft) => {
      const [first] = draft.workspaces;
      edits
        .addBackdrop(createBackdrop('own', createMotif('fog', 1), { where: { workspace: first?.id ?? '' } }))
        .apply(draft);
    });
    expect(desk.backdrops.map(({ id }) => id)).to.include('own');
    const without = after(desk, (draft) => {
      edits.remove([draft.backdrops[0]?.id ?? '']).apply(draft);
      edits.remove([draft.workspaces[0]?.id ?? '']).apply(draft);
    });
    expect(without.backdrops.map(({ id }) => id)).to.deep.equal(dawnCount().backdrops.map(({ id }) => id));
  });
});
