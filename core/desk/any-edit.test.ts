import { expect } from 'chai';
import fc from 'fast-check';
import { DAWN, arbitraryDesk } from '../../tests/support/desks.ts';
import { demoDesks } from '../../demo/desks.ts';
import { sides } from '../values/geometry.ts';
import { schemeNames } from '../colour/schema.ts';
import { drawRoles } from '../colour/scheme.ts';
import { motifNames } from '../backdrop/names.ts';
import { itemKinds } from '../items/list.ts';
import { rectsOn } from '../scene/parts.ts';
import { solve } from '../scene/solve.ts';
import { widgetKinds } from '../widgets/list.ts';
import {
  createApplication,
  createBackdrop,
  createItem,
  createPanel,
  createMotif,
  createWidget,
} from './defaults.ts';
import { edgesWithWay } from './ways.ts';
import { together, type Edit } from './edits/edit.ts';
import { dressOfEdge, dressOfItem, dressOfWidget, type Dress } from './edits/dress.ts';
import { edits } from './edits/edits.ts';
import { sharedFields } from './edits/shared.ts';
import type { Whereabouts } from './whereabouts.ts';
import { kitKinds } from './kits/kit.ts';
import { kitOf } from './kits/mannequin.ts';
import { edit, redo, startHistory, undo } from './history.ts';
import { fits, towards } from '../backdrop/schema.ts';
import { iconSets, stylesOf, tileShapes } from '../icons/schema.ts';
import { pointerSets } from '../pointer/schema.ts';
import { uses } from '../text/schema.ts';
import { wrongChange } from './gate.ts';
import { readParts, writeParts } from './parts-text.ts';
import { readDesk } from './read.ts';
import type { Desk } from './desk.ts';
import { alignments, points, type Hanging } from '../values/place.ts';
import type { Rect } from '../values/geometry.ts';
import { families } from '../values/family.ts';
import { finishKinds } from '../values/finish.ts';
import { roles } from '../values/roles.ts';
import { habitPlaces } from '../windows/schema.ts';

/** Picks, one after another, what an edit is done to: from a list, or a whole number up to a limit. */
interface Choices {
  of: <T>(list: readonly T[]) => T;
  upTo: (most: number) => number;
  newId: (prefix: string) => string;
}

function choices(picks: readonly number[], step: number): Choices {
  let at = 0;
  const next = () => picks[at++ % picks.length] ?? 0;
  return {
    of: <T>(list: readonly T[]) => list[next() % list.length] as T,
    upTo: (most) => next() % (most + 1),
    newId: (prefix) => `new-${prefix}-${step}`,
  };
}

/** Where everything stands on one of the screens. */
function whereaboutsOf(desk: Desk, { of }: Choices): Whereabouts & { widgets: string[] } {
  const screen = of(solve(desk, { moment: DAWN }).screens);
  return {
    screen: { id: screen.id, rect: screen.rect },
    free: screen.free,
    rects: rectsOn(screen),
    widgets: screen.widgets.map(({ id }) => id),
  };
}

const halves = ['light', 'dark'] as const;
const idsOf = (parts: readonly { id: string }[]) => parts.map(({ id }) => id);
/** Also one that is nowhere: an edit of what is not there changes nothing. */
const orGone = (parts: readonly { id: string }[]) => [...idsOf(parts), 'gone'];

const itemsOf = (desk: Desk) => desk.edges.flatMap(({ items }) => items);
const itemIds = (desk: Desk) => idsOf(itemsOf(desk));
const frameFor = (choose: Choices) => ({
  keeps: 1 + choose.upTo(4),
  iconSize: choose.of([null, 8, 40]),
  before: choose.upTo(60),
});

/** Every edit by its name, done to parts that are picked; the type checker asks for all of them. */
const ways: Record<keyof typeof edits, (desk: Desk, choose: Choices) => Edit> = {
  rename: (_, choose) => edits.rename(choose.of(['Gull room', 'Ångström', '潮', 'x'])),
  setPlaceOnEarth: (desk, choose) =>
    edits.setPlaceOnEarth({ ...desk.place, latitude: choose.upTo(180) - 90 }),
  setBackdrop: (desk, choose) =>
    edits.setBackdrop(choose.of([...orGone(desk.backdrops), null]), {
      spans: choose.of([true, false]),
    }),
  setSource(desk, choose) {
    const motif = (seed: number) => createMotif(choose.of(motifNames), seed);
    const source = choose.of([
      motif(choose.upTo(99)),
      {
        kind: 'gradient' as const,
        shape: choose.of(['linear', 'radial'] as const),
        angle: choose.upTo(360),
        centre: { x: 0.5, y: choose.upTo(1) },
        points: [
          { at: 0, colour: choose.of(roles) },
          { at: 1, colour: '#203040' as const },
        ],
      },
      {
        kind: 'picture' as const,
        picture: 'a'.repeat(64),
        name: 'mudflat',
        fit: choose.of(fits),
        focal: { x: choose.upTo(1), y: 0.25 },
        turn: choose.of([0, 90, 180, 270] as const),
        mirror: choose.of([true, false]),
      },
      {
        kind: 'rotation' as const,
        entries: ['one', 'two', 'three'].map((id, seed) => ({ id, source: motif(seed) })),
        change: { by: 'every' as const, minutes: 1 + choose.upTo(600) },
        shuffled: choose.of([true, false]),
        fade: choose.upTo(600),
      },
    ]);
    return edits.setSource(choose.of([...orGone(desk.backdrops), null]), source);
  },
  setAdjust: (desk, choose) =>
    edits.setAdjust(choose.of(orGone(desk.backdrops)), {
      blur: choose.upTo(80),
      contrast: choose.upTo(200) - 100,
      tint: { colour: choose.of(roles), strength: choose.upTo(100) },
      darken: { toward: choose.of(towards), strength: choose.upTo(100) },
    }),
  resetAdjust: (desk, choose) => edits.resetAdjust(choose.of(orGone(desk.backdrops))),
  addBackdrop: (desk, choose) =>
    edits.addBackdrop(
      createBackdrop(choose.newId('backdrop'), createMotif(choose.of(motifNames), 3), {
        where: {
          screen: choose.of([null, ...idsOf(desk.screens)]),
          workspace: choose.of([null, ...idsOf(desk.workspaces)]),
          half: choose.of([null, ...halves]),
        },
      }),
    ),
  setHalf: (_, choose) =>
    edits.setHalf(
      choose.of([
        { by: 'choice' as const, half: choose.of(halves) },
        { by: 'sun' as const },
        { by: 'hours' as const, light: '06:30', dark: '23:00' },
      ]),
    ),
  setRole: (_, choose) =>
    edits.setRole(choose.of(halves), choose.of(roles), choose.of(['#7f3344', '#eeeeee', '#000000'])),
  partHalves: (desk) => edits.partHalves(!desk.look.parted),
  setRoles: (_, choose) => edits.setRoles({ [choose.of(halves)]: { [choose.of(roles)]: '#446688' } }),
  drawPalette: (_, choose) =>
    edits.drawPalette(drawRoles([{ colour: '#3c6e71', share: 1 }], choose.of(schemeNames))),
  followBackdrop: ({ look }, choose) =>
    edits.followBackdrop(choose.of([null, ...schemeNames]), choose.of([null, look.roles])),
  hold: (_, choose) => edits.hold(choose.of(roles), choose.of([true, false])),
  setTerminal: (_, choose) =>
    edits.setTerminal(
      choose.of(halves),
      choose.of([null, { ground: '#101418', ink: '#d8dee4', colours: Array<string>(16).fill('#7799aa') }]),
    ),
  setLook(desk, choose) {
    const { look } = desk;
    const set = choose.of(iconSets);
    const use = choose.of(uses);
    return edits.setLook({
      fonts: { ...look.fonts, [use]: { ...look.fonts[use], family: choose.of(families) } },
      icons: { ...look.icons, set, style: choose.of(stylesOf[set]), tile: choose.of(tileShapes) },
      pointer: { set: choose.of(pointerSets), size: 16 + choose.upTo(80), colour: choose.of(roles) },
      finish: { ...look.finish, kind: choose.of(finishKinds), opacity: choose.upTo(100) },
    });
  },
  addFont: (_, choose) =>
    edits.addFont({
      id: `own:${choose.of(['1', '2']).repeat(64)}`,
      name: 'Marrow Hand',
      metrics: { weights: [400], advances: { a: [0.5] } },
    }),
  setApplication: (desk, choose) =>
    edits.setApplication(choose.of(orGone(desk.applications)), {
      Icon: choose.of(['folder', 'x-none']),
    }),
  setItems: (desk, choose) =>
    edits.setItems([choose.of([...itemIds(desk), 'gone']), choose.of([...itemIds(desk), 'gone'])], {
      seen: choose.upTo(9),
    }),
  setMenu: (_, choose) =>
    choose.of([
      edits.setMenu('appList', { columns: 1 + choose.upTo(7), groups: choose.of(['categories', 'none']) }),
      edits.setMenu('appWall', { iconSize: 24 + choose.upTo(100) }),
      edits.setMenu('quickFind', { answers: 1 + choose.upTo(19) }),
      edits.setMenu('deskMenu', { entries: [] }),
    ]),
  setWindows: (_, choose) =>
    choose.of([
      edits.setWindows('title', {
        height: 20 + choose.upTo(52),
        shown: choose.of(['always', 'unfilled', 'never']),
      }),
      edits.setWindows('lines', { line: choose.upTo(8), front: choose.of(roles), border: choose.upTo(12) }),
      edits.setWindows('buttons', { list: choose.of([[], [{ does: 'close' }]]), size: 8 + choose.upTo(20) }),
      edits.setWindows('gaps', { outer: choose.upTo(200), inner: choose.upTo(200) }),
    ]),
  keepArrangement: (desk, choose) =>
    edits.keepArrangement({
      id: choose.newId('arrangement'),
      name: choose.of(['By day', 'At the scope', 'Ångström']),
      holds: choose.of([
        { by: 'choice' },
        { by: 'half', half: choose.of(halves) },
        { by: 'hours', from: '18:00', to: '07:00' },
        { by: 'workspace', workspace: choose.of(idsOf(desk.workspaces)) },
      ]),
      widgets: choose.of([[], null]),
      edges: choose.of([[], null]),
      windows: null,
    }),
  chooseArrangement: (desk, choose) => edits.chooseArrangement(choose.of(orGone(desk.arrangements.list))),
  setArrangement: (desk, choose) =>
    edits.setArrangement(choose.of(orGone(desk.arrangements.list)), {
      name: choose.of(['Elsewhere', 'At home']),
      holds: choose.of([{ by: 'choice' }, { by: 'half', half: 'dark' }]),
    }),
  moveArrangement: (desk, choose) =>
    edits.moveArrangement(choose.of(orGone(desk.arrangements.list)), choose.upTo(3)),
  removeArrangement: (desk, choose) => edits.removeArrangement(choose.of(orGone(desk.arrangements.list))),
  setWindowFinish: (desk, choose) => edits.setWindowFinish(choose.of([null, desk.look.finish])),
  setDesktopIcons: (desk, choose) =>
    edits.setDesktopIcons({
      shown: choose.of(['none', 'some', 'all']),
      size: 24 + choose.upTo(104),
      screens: choose.of([[], idsOf(desk.screens)]),
    }),
  setHabits: (desk, choose) =>
    edits.setHabits(
      choose.of([
        [],
        [
          {
            id: choose.newId('habit'),
            application: choose.of(orGone(desk.applications)),
            workspace: choose.upTo(32),
            place: choose.of(habitPlaces),
            width: choose.of([null, 400]),
            height: null,
            frame: 'line',
            opacity: 20 + choose.upTo(80),
          },
        ],
      ]),
    ),
  setKeys: (_, choose) => edits.setKeys(choose.of([[], [{ act: 'overview', shortcut: 'Ctrl+Alt+Y' }]])),
  setKeysFor: (_, choose) => edits.setKeysFor('desk-menu', choose.of(['', 'Ctrl+Alt+J'])),
  setCategories: (_, choose) =>
    edits.setCategories(choose.of([[], [{ category: 'Office' as const, name: 'Ringing' }]])),
  addApplications: (_, choose) =>
    edits.addApplications([createApplication(choose.newId('application'), 'Ring Ledger')]),
  orderApplications: (desk, choose) =>
    edits.orderApplications(choose.of([[], orGone(desk.applications).toReversed()])),
  removeApplications: (desk, choose) => edits.removeApplications([choose.of(orGone(desk.applications))]),
  changeFinish: (desk, choose) =>
    edits.changeFinish([choose.of(orGone([...desk.widgets, ...desk.edges]))], {
      kind: choose.of(finishKinds),
    }),
  follow: (desk, choose) =>
    edits.follow([choose.of(orGone([...desk.widgets, ...desk.edges])), choose.of(orGone(desk.widgets))]),
  followAll: () => edits.followAll(),
  setScreen: (desk, choose) =>
    edits.setScreen(choose.of(orGone(desk.screens)), {
      width: 320 + choose.upTo(4000),
      scaleFactor: choose.of([0.5, 1, 1.25, 4]),
    }),
  addScreen: (_, choose) =>
    edits.addScreen({
      id: choose.newId('screen'),
      name: 'Side',
      width: 640,
      height: 480 + choose.upTo(900),
      scaleFactor: 1,
      x: 5000,
      y: 0,
    }),
  addWorkspace: (_, choose) => edits.addWorkspace(choose.newId('workspace'), 'Rings'),
  renameWorkspace: (desk, choose) => edits.renameWorkspace(choose.of(orGone(desk.workspaces)), 'Moult'),
  addEdge: (desk, choose) =>
    edits.addEdge(
      createPanel(choose.newId('edge'), choose.of(idsOf(desk.screens)), choose.of(sides), [
        createItem(choose.newId('first'), choose.of(itemKinds).type),
      ]),
    ),
  setEdge: (desk, choose) =>
    edits.setEdge(choose.of(orGone(desk.edges)), {
      thickness: 16 + choose.upTo(200),
      margin: choose.upTo(200),
      align: choose.of(alignments),
    }),
  moveEdge: (desk, choose) =>
    edits.moveEdge(choose.of(orGone(desk.edges)), choose.of(sides), choose.of(desk.screens).id),
  moveToScreen(desk, choose) {
    const whereabouts = whereaboutsOf(desk, choose);
    const rect = { x: choose.upTo(900), y: choose.upTo(500), width: 120, height: 60 };
    return edits.moveToScreen(new Map([[choose.of(orGone(desk.widgets)), rect]]), whereabouts);
  },
  paste(desk, choose) {
    const whereabouts = whereaboutsOf(desk, choose);
    const text = writeParts(
      desk,
      [choose.of(orGone(desk.widgets)), choose.of(orGone(desk.edges))],
      whereabouts,
    );
    const carried = readParts(text);
    if (!carried || 'problem' in carried) throw new Error('what was written can’t be read');
    let count = 0;
    return edits.paste(carried, {
      screen: choose.of(desk.screens).id,
      edge: choose.of([...orGone(desk.edges), null]),
      off: choose.upTo(24),
      newId: () => choose.newId(`carried-${count++}`),
    });
  },
  addItem: (desk, choose) =>
    edits.addItem(
      choose.of(orGone(desk.edges)),
      createItem(choose.newId('item'), choose.of(itemKinds).type),
      choose.upTo(9),
    ),
  setItem(desk, choose) {
    const edge = choose.of([...desk.edges, null]);
    return edits.setItem(edge?.id ?? 'gone', choose.of(orGone(edge?.items ?? [])), {
      note: choose.upTo(9),
    });
  },
  setEdges(desk, choose) {
    let made = 0;
    return edits.setEdges(
      edgesWithWay(desk, choose.of(desk.screens).id, () => choose.newId(`way-${made++}`)),
    );
  },
  setShared(desk, choose) {
    const ids = [
      choose.of(orGone(desk.widgets)),
      choose.of(orGone(desk.widgets)),
      choose.of(orGone(desk.edges)),
      choose.of(orGone(itemsOf(desk))),
    ];
    const { is } = choose.of([{ is: 'gone number ' }, ...sharedFields(desk, ids)]);
    return edits.setShared(ids, is, choose.of<unknown>(['accent', '12', '', 'none', 40, 9000, true, null]));
  },
  wearKit(_, choose) {
    const other = choose.of(demoDesks());
    const facts = {
      id: 'kit',
      name: 'Any',
      version: 1,
      by: '',
      notes: '',
      kinds: kitKinds.map(({ key }) => key),
    };
    return edits.wearKit(kitOf(other, facts), facts.kinds.slice(choose.upTo(facts.kinds.length)));
  },
  dress: (desk, choose) =>
    edits.dress(
      [choose.of(orGone(desk.widgets)), choose.of(orGone(desk.edges)), choose.of(orGone(itemsOf(desk)))],
      choose.of<Dress>([
        {
          finish: choose.of([null, desk.look.finish, { kind: 'bare' }]),
          face: choose.of(['line', 'gone']),
          options: { colour: choose.of(['accent', '#123456', 'no colour']), hours: '12', seconds: 9 },
          thickness: choose.of([30, 9000]),
          besideFilled: choose.of([null, desk.look.finish]),
        },
        ...desk.widgets.map(dressOfWidget),
        ...desk.edges.map(dressOfEdge),
        ...itemsOf(desk).map(dressOfItem),
      ]),
    ),
  setUnits: (_, choose) =>
    edits.setUnits({
      temperature: choose.of(['c', 'f'] as const),
      wind: choose.of(['kn', 'bft', 'mph'] as const),
      hours: choose.of(['12', '24'] as const),
    }),
  setOutside: (_, choose) =>
    edits.setOutside({
      report: choose.of([
        { by: 'typed', text: 'XXXX 240650Z 24008KT' },
        { by: 'address', address: 'https://marrow.example/station', every: 10 },
      ]),
      calendars: [
        { id: 'one', title: 'One', colour: 'accent', from: { by: 'file', text: '' } },
        { id: 'two', title: 'Two', colour: '#123456', from: { by: 'observatory' } },
      ],
    }),
  removeOutside: (desk, choose) => {
    const list = choose.of(['calendars', 'headlines'] as const);
    return edits.removeOutside(list, choose.of([...idsOf(desk.sources.outside[list]), 'gone']));
  },
  setCalendarText: (desk) =>
    edits.setCalendarText(
      desk.sources.outside.calendars.find(({ from }) => from.by === 'file')?.id ?? 'gone',
      'BEGIN',
    ),
  group: (desk, choose) => edits.group(idsOf(desk.widgets).slice(choose.upTo(2)), 'group', 'The set'),
  ungroup: (desk, choose) => edits.ungroup(choose.of([...idsOf(desk.groups), 'gone'])),
  nameGroup: (desk, choose) =>
    edits.nameGroup(choose.of([...idsOf(desk.groups), 'gone']), choose.of(['Column', 'Säule'])),
  scaleTogether(desk, choose) {
    const whereabouts = whereaboutsOf(desk, choose);
    const rects = new Map(
      whereabouts.widgets.flatMap((id) =>
        whereabouts.rects.has(id) ? [[id, whereabouts.rects.get(id) as Rect] as const] : [],
      ),
    );
    return edits.scaleTogether(0.5 + choose.upTo(2), rects, { x: choose.of([-1, 1]), y: 1 }, whereabouts);
  },
  setSound: (desk, choose) =>
    edits.setSound({
      order: choose.of(['list', 'shuffle'] as const),
      tracks: desk.sources.sound.tracks.slice(choose.upTo(4)),
    }),
  setTide: (_, choose) =>
    edits.setTide({
      mean: choose.upTo(9),
      constituents: [{ name: 'M2', amplitude: choose.upTo(5), phase: choose.upTo(300) }],
    }),
  setItemFaces: (desk, choose) =>
    edits.setItemFaces(
      [choose.of(['gone', ...itemIds(desk)]), choose.of(['gone', ...itemIds(desk)])],
      choose.of(['sign', 'both', 'dial', 'gone']),
    ),
  setItemFrame: (desk, choose) => edits.setItemFrame(choose.of(['gone', ...itemIds(desk)]), frameFor(choose)),
  setItemFrames: (desk, choose) =>
    edits.setItemFrames(
      [choose.of(['gone', ...itemIds(desk)]), choose.of(['gone', ...itemIds(desk)])],
      frameFor(choose),
    ),
  orderEdge: (desk, choose) => edits.orderEdge(choose.of(orGone(desk.edges)), choose.upTo(5)),
  swapItem: (desk, choose) =>
    edits.swapItem(
      choose.of(['gone', ...itemIds(desk)]),
      createItem(choose.newId('swapped'), choose.of(itemKinds).type),
    ),
  moveItem: (desk, choose) =>
    edits.moveItem(
      choose.of(orGone(desk.edges.flatMap(({ items }) => items))),
      choose.of(orGone(desk.edges)),
      choose.upTo(9),
    ),
  addWidget(desk, choose) {
    const kind = choose.of(widgetKinds);
    const hangs: Hanging = {
      from: choose.of(['free', 'screen'] as const),
      screen: choose.of(idsOf(desk.screens)),
      point: choose.of(points),
    };
    const widget = createWidget({
      id: choose.newId('widget'),
      type: kind.type,
      face: choose.of<{ id: string }>(kind.faces).id,
      place: { hangs, x: choose.upTo(900) - 450, y: choose.upTo(900) - 450 },
      deskFinish: desk.look.finish,
    });
    return edits.addWidget(widget);
  },
  setWidgets: (desk, choose) =>
    edits.setWidgets([choose.of(orGone(desk.widgets)), choose.of(orGone(desk.widgets))], {
      scale: 0.1 + choose.upTo(90) / 10,
      locked: choose.of([true, false]),
      clicksThrough: choose.of([true, false]),
    }),
  setWidgetOptions: (desk, choose) =>
    edits.setWidgetOptions(choose.of(orGone(desk.widgets)), {
      colour: choose.of([...roles, '#a0b0c0']),
    }),
  moveWidgets(desk, choose) {
    const whereabouts = whereaboutsOf(desk, choose);
    const moved = whereabouts.widgets
      .filter(() => choose.upTo(1) === 1)
      .map((id) => {
        const rect = whereabouts.rects.get(id) ?? { x: 0, y: 0, width: 1, height: 1 };
        return [id, { ...rect, x: rect.x + choose.upTo(400) - 200 }] as const;
      });
    return edits.moveWidgets(new Map(moved), whereabouts);
  },
  placeWidget: (desk, choose) =>
    edits.placeWidget(choose.of(orGone(desk.widgets)), {
      hangs: { from: 'free', screen: choose.of(idsOf(desk.screens)), point: choose.of(points) },
      x: choose.upTo(80),
      y: choose.upTo(80),
    }),
  hangWidget(desk, choose) {
    const whereabouts = whereaboutsOf(desk, choose);
    const parts = [...whereabouts.rects.keys()];
    const hangs: Hanging =
      parts.length > 0 && choose.upTo(1) === 1
        ? { from: 'part', part: choose.of(parts), side: choose.of(sides), align: choose.of(alignments) }
        : { from: 'free', screen: whereabouts.screen.id, point: choose.of(points) };
    return edits.hangWidget(choose.of([...whereabouts.widgets, 'gone']), hangs, whereabouts);
  },
  remove(desk, choose) {
    const whereabouts = whereaboutsOf(desk, choose);
    const items = desk.edges
      .filter(({ id }) => whereabouts.rects.has(id))
      .flatMap((edge) => idsOf(edge.items));
    const parts = [...whereabouts.rects.keys(), ...items].filter(() => choose.upTo(3) === 0);
    const others = [...desk.backdrops, ...desk.workspaces].filter(() => choose.upTo(7) === 0);
    const whole = choose.upTo(9) === 0 ? [whereabouts.screen.id, ...whereabouts.widgets] : [];
    return edits.remove([...parts, ...idsOf(others), ...whole], choose.of([whereabouts, null]));
  },
  addEntry: (desk, choose) =>
    edits.addEntry(choose.of(orGone(desk.backdrops)), {
      id: choose.newId('entry'),
      source: createMotif(choose.of(motifNames), 5),
    }),
  duplicateWidgets(desk, choose) {
    const copied = desk.widgets.filter(() => choose.upTo(2) === 0);
    const copies = new Map(copied.map(({ id }, index) => [id, choose.newId(`copy${index}`)]));
    let count = 0;
    return edits.duplicateWidgets(copies, () => choose.newId(`group${count++}`));
  },
  orderWidgets: (desk, choose) =>
    edits.orderWidgets(
      [choose.of(orGone(desk.widgets)), choose.of(orGone(desk.widgets))],
      choose.of(['front', 'forward', 'back', 'behind'] as const),
    ),
  setFinish: (desk, choose) =>
    edits.setFinish(
      [choose.of(orGone(desk.widgets)), choose.of(orGone(desk.edges))],
      choose.of([null, { ...desk.look.finish, kind: choose.of(finishKinds), radius: choose.upTo(80) }]),
    ),
  replace: (_, choose) => edits.replace(choose.of(demoDesks())),
};

const names = Object.keys(ways) as (keyof typeof edits)[];
/** Those on which others depend come more often: what names a part must not outlive it. */
const bearing = ['addBackdrop', 'addScreen', 'addWorkspace', 'hangWidget', 'remove', 'remove'] as const;
const steps = fc.array(
  fc.record({
    name: fc.constantFrom(...names, ...bearing, ...bearing, ...bearing),
    picks: fc.array(fc.nat(9999), { minLength: 12, maxLength: 12 }),
  }),
  { minLength: 1, maxLength: 20 },
);

describe('any edits, one after another', () => {
  it('always leave a desk that can be read and drawn, and undo and redo lead through all of its states', function () {
    this.timeout(60_000);
    const desks = fc.oneof(arbitraryDesk, fc.constantFrom(...demoDesks()));
    fc.assert(
      fc.property(desks, steps, (desk, done) => {
        let history = startHistory(desk);
        const states = [desk];
        done.forEach(({ name, picks }, step) => {
          const before = history.present;
          const after = edit(history, name, ways[name](before, choices(picks, step)).apply);
          // Some change nothing: they take no step.
          if (after !== history) states.push(after.present);
          history = after;
          const read = readDesk(JSON.parse(JSON.stringify(history.present)));
          expect(read.ok ? [] : read.problems, name).to.deep.equal([]);
          expect(wrongChange(before, history.present), name).to.equal(null);
          expect(JSON.stringify(solve(history.present, { moment: DAWN })), name).not.to.match(
            /"(x|y|width|height)":null/,
          );
        });
        expect(history.past).to.have.length(states.length - 1);
        for (const state of states.slice(0, -1).reverse()) {
          history = undo(history);
          expect(history.present).to.deep.equal(state);
        }
        for (const state of states.slice(1)) {
          history = redo(history);
          expect(history.present).to.deep.equal(state);
        }
      }),
      { numRuns: 200 },
    );
  });

  it('do something, each of them, to some desk', () => {
    const idle = new Set<string>(names);
    fc.assert(
      fc.property(fc.constantFrom(...demoDesks()), steps, (desk, done) => {
        // With a group and two arrangements there is something for each.
        const grouped = together('Grouped', [
          edits.group(idsOf(desk.widgets).slice(0, 2), 'set', 'The set'),
          ...['by day', 'by night'].map((id) =>
            edits.keepArrangement({
              ...{ id, name: id, holds: { by: 'choice' } },
              ...{ widgets: [], edges: [], windows: null },
            }),
          ),
        ]).apply;
        for (const { name, picks } of done) {
          const history = edit(startHistory(desk), 'Group', grouped);
          const way = ways[name](history.present, choices(picks, 0));
          if (edit(history, name, way.apply) !== history) idle.delete(name);
        }
      }),
      { numRuns: 1500, seed: 11 },
    );
    expect([...idle]).to.deep.equal([]);
  });
});
