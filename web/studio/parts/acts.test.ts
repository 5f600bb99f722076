import '../../../tests/support/page.ts';
import { expect } from 'chai';
import type { Desk } from '../../../core/desk/desk.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { isInside, overlaps, type Rect } from '../../../core/values/geometry.ts';
import { DAWN, dawnCount, emptyDesk } from '../../../tests/support/desks.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { currentScreen } from '../../stores/screen.ts';
import { useScene } from '../../session/scene.ts';
import { useView } from '../../stores/view.ts';
import { canPasteDress, copyDress, dressAlike, dressEdge, dressItems, pasteDress } from './dress.ts';
import {
  addEdge,
  addItem,
  addWidget,
  alignSelection,
  distributeSelection,
  duplicateSelection,
  endNudge,
  leave,
  nearestSide,
  nudgeSelection,
  orderSelection,
  removeSelection,
  selectAllWidgets,
  selectedParts,
  toggleFlag,
} from './acts.ts';

async function open(desk: Desk): Promise<void> {
  useConditions.setState({ moment: DAWN, isNow: false });
  useView.setState({
    selection: [],
    screen: null,
    chapter: 'widgets',
    mode: 'arrange',
  });
  // A server that has this one desk, and takes every save.
  let revision = 1;
  globalThis.fetch = async (_, init) => {
    if (init?.method === 'PUT') revision++;
    return new Response(JSON.stringify({ desk, revision, savedAt: revision }));
  };
  localStorage.removeItem(`velvet-ledge:unsaved:${desk.id}`);
  await useDesk.getState().open(desk.id);
}

const realFetch = globalThis.fetch;
/** Closes the desk after a group of tests, and gives back what they had replaced. */
function closeAfterwards(): void {
  after(() => {
    useDesk.getState().close();
    globalThis.fetch = realFetch;
  });
}

const desk = (): Desk => {
  const present = presentDesk();
  if (!present) throw new Error('No desk is open');
  return present;
};
const rectOf = (id: string): Rect => {
  const rect = [...(currentScreen()?.widgets ?? []), ...(currentScreen()?.edges ?? [])].find(
    (part) => part.id === id,
  )?.rect;
  if (!rect) throw new Error(`Nothing called ${id} on the screen`);
  return rect;
};
const select = (...ids: string[]) => useView.getState().select(ids, 'widgets');
const steps = () => useDesk.getState().history?.past.length ?? -1;
const undo = () => useDesk.getState().undo();

describe('adding', () => {
  closeAfterwards();
  beforeEach(() => open(emptyDesk()));

  it('puts a widget where it was let go, by its middle, and selects it', () => {
    addWidget('machine', 'bars', { x: 400, y: 300 });
    const [id] = useView.getState().selection;
    const rect = rectOf(id ?? '');
    expect(rect.x + rect.width / 2).to.be.closeTo(400, 0.5);
    expect(rect.y + rect.height / 2).to.be.closeTo(300, 0.5);
    expect(steps()).to.equal(1);
    undo();
    expect(desk().widgets).to.deep.equal([]);
  });

  it('hangs a new widget from the nearest point of the free area', () => {
    addWidget('clock', 'line', { x: 950, y: 30 });
    expect(desk().widgets[0]?.place.hangs).to.deep.equal({
      from: 'free',
      screen: 'main',
      point: 'top-right',
    });
  });

  it('finds room for a widget that is added by a press, as long as there is some', async () => {
    await open({
      ...emptyDesk(),
      screens: [{ id: 'main', name: 'Main', width: 1920, height: 1080, scaleFactor: 1, x: 0, y: 0 }],
    });
    for (let count = 0; count < 6; count++) addWidget('machine', 'bars');
    const rects = currentScreen()?.widgets.map(({ rect }) => rect) ?? [];
    // On the margins: the first at the top right, the others under it, then beside.
    expect(rects[0]?.y).to.equal(24);
    expect((rects[0]?.x ?? 0) + (rects[0]?.width ?? 0)).to.be.closeTo(1920 - 24, 1);
    rects.forEach((rect, index) => {
      for (const other of rects.slice(index + 1)) expect(overlaps(rect, other)).to.equal(false);
    });
  });

  it('gives edges sides of their own, with items of use', () => {
    addEdge('panel');
    addEdge('dock');
    addEdge('panel');
    expect(desk().edges.map(({ kind, side }) => `${kind} ${side}`)).to.deep.equal([
      'panel top',
      'dock bottom',
      'panel left',
    ]);
    expect(desk().edges[1]?.items.every(({ type }) => type === 'application')).to.equal(true);
    expect(useView.getState().chapter).to.equal('edges');
  });

  it('adds an application that is not on the edge yet', () => {
    addEdge('dock');
    const [edge] = desk().edges;
    addItem(edge?.id ?? '', 'application');
    const ids = desk().edges[0]?.items.map(({ options }) => options['application']) ?? [];
    expect(new Set(ids).size).to.equal(ids.length);
    expect(selectedParts().item?.index).to.equal(ids.length - 1);
  });

  it('adds an item after the one that is chosen, and at the end where none is', () => {
    addEdge('dock');
    const [edge] = desk().edges;
    const id = edge?.id ?? '';
    const [first] = edge?.items ?? [];
    select(first?.id ?? '');
    addItem(id, 'divider');
    expect(selectedParts().item?.index).to.equal(1);
    expect(desk().edges[0]?.items[1]?.type).to.equal('divider');
    select(id);
    addItem(id, 'spring');
    expect(desk().edges[0]?.items.at(-1)?.type).to.equal('spring');
  });
});

describe('changing what is selected', () => {
  closeAfterwards();
  beforeEach(() => open(dawnCount()));

  it('nudges in one step until the key comes up', () => {
    select('clock', 'machine');
    const before = rectOf('clock');
    for (let press = 0; press < 12; press++) nudgeSelection({ x: 1, y: 0 });
    nudgeSelection({ x: 0, y: 10 });
    endNudge();
    expect(rectOf('clock')).to.include({ x: before.x + 12, y: before.y + 10 });
    expect(steps()).to.equal(1);
    undo();
    expect(rectOf('clock')).to.deep.equal(before);
  });

  it('does not nudge what is locked', () => {
    select('clock');
    toggleFlag('locked');
    const before = rectOf('clock');
    nudgeSelection({ x: 5, y: 5 });
    endNudge();
    expect(rectOf('clock')).to.deep.equal(before);
    expect(steps()).to.equal(1);
  });

  it('moves an edge to the side of the arrow, and an item along its edge', () => {
    useView.getState().select(['panel'], 'edges');
    nudgeSelection({ x: -1, y: 0 });
    expect(desk().edges[0]?.side).to.equal('left');
    useView.getState().select(['panel-2'], 'edges');
    nudgeSelection({ x: 0, y: 1 });
    expect(
      desk()
        .edges[0]?.items.map(({ id }) => id)
        .slice(0, 3),
    ).to.deep.equal(['panel-1', 'panel-3', 'panel-2']);
    nudgeSelection({ x: 0, y: -1 });
    nudgeSelection({ x: 0, y: -1 });
    nudgeSelection({ x: 0, y: -1 });
    expect(desk().edges[0]?.items[0]?.id).to.equal('panel-2');
  });

  it('aligns and distributes, each as one step', () => {
    select('clock', 'machine', 'load');
    alignSelection('x', 'start');
    expect(new Set(['clock', 'machine', 'load'].map((id) => rectOf(id).x)).size).to.equal(1);
    distributeSelection('y');
    const rows = ['clock', 'load', 'machine'].map(rectOf).sort((a, b) => a.y - b.y);
    const gaps = rows
      .slice(1)
      .map((rect, index) => rect.y - (rows[index]?.y ?? 0) - (rows[index]?.height ?? 0));
    expect(gaps[0]).to.be.closeTo(gaps[1] ?? NaN, 1);
    expect(steps()).to.equal(2);
  });

  it('switches a flag on for all unless all have it', () => {
    select('clock');
    toggleFlag('locked');
    select('clock', 'machine');
    toggleFlag('locked');
    const locked = () =>
      desk()
        .widgets.filter((widget) => widget.locked)
        .map(({ id }) => id);
    expect(locked()).to.deep.equal(['clock', 'machine']);
    toggleFlag('locked');
    expect(locked()).to.deep.equal([]);
  });

  it('duplicates widgets and items, and selects the copies', () => {
    select('clock');
    duplicateSelection();
    expect(desk().widgets).to.have.length(dawnCount().widgets.length + 1);
    expect(useView.getState().selection).to.deep.equal([desk().widgets.at(-1)?.id]);
    useView.getState().select(['dock-1'], 'edges');
    duplicateSelection();
    const dock = desk().edges[1];
    expect(dock?.items[1]?.options).to.deep.equal(dock?.items[0]?.options);
    expect(dock?.items[1]?.id).not.to.equal('dock-1');
  });

  it('removes what is selected and comes to rest on what is left', () => {
    select('clock', 'machine');
    removeSelection();
    expect(useView.getState().selection).to.deep.equal([]);
    useView.getState().select(['panel-2'], 'edges');
    removeSelection();
    expect(useView.getState().selection).to.deep.equal(['panel']);
    undo();
    undo();
    expect(desk()).to.deep.equal(dawnCount());
  });

  it('orders, and selects all on the screen', () => {
    select('clock');
    orderSelection('front');
    expect(desk().widgets.at(-1)?.id).to.equal('clock');
    selectAllWidgets();
    expect(useView.getState().selection).to.have.length(dawnCount().widgets.length);
  });

  it('dresses all items of an edge alike, those of a kind in the same options, and an edge as another', () => {
    const edge = (id: string) => desk().edges.find((one) => one.id === id);
    const [panel, dock] = [edge('panel'), edge('dock')];
    const first = dock?.items[0];
    if (!panel || !dock || !first) throw new Error('no edges');
    useDesk.getState().edit(edits.setItemFrame(first.id, { iconSize: 50, before: 9, keeps: 5 }));
    useDesk.getState().edit(edits.setItemFaces([first.id], 'both'));
    const dressed = edge('dock')?.items[0];
    if (!dressed) throw new Error('gone');
    dressItems(dressed, dock.items);
    expect(
      edge('dock')?.items.every(
        ({ iconSize, before, keeps }) => iconSize === 50 && before === 9 && keeps === 5,
      ),
    ).to.equal(true);
    dressAlike(dressed, dock.items);
    expect(edge('dock')?.items.map(({ face }) => face)).to.deep.equal(dock.items.map(() => 'both'));
    expect(edge('dock')?.items.map(({ options }) => options['application'])).to.deep.equal(
      dock.items.map(({ options }) => options['application']),
    );
    dressEdge('panel', edge('dock') ?? dock);
    expect(edge('panel')).to.deep.include({
      thickness: dock.thickness,
      finish: dock.finish,
      side: panel.side,
    });
    expect(edge('panel')?.items).to.equal(panel.items);
  });

  it('dresses a widget as another without what it shows', async () => {
    addWidget('readout', 'plain', { x: 400, y: 400 });
    addWidget('readout', 'plate', { x: 400, y: 700 });
    const [first, second] = desk().widgets.slice(-2);
    if (!first || !second) throw new Error('Nothing was added');
    const { edit } = useDesk.getState();
    edit(edits.setWidgetOptions(first.id, { text: '{sun.isUp}', align: 'right', colour: 'accent' }));
    edit(edits.setWidgetOptions(second.id, { text: 'The net is open' }));
    useView.getState().select([first.id]);
    copyDress();
    useView.getState().select([second.id]);
    pasteDress();
    const worn = desk().widgets.find(({ id }) => id === second.id)?.options;
    expect(worn).to.deep.include({ text: 'The net is open', align: 'right', colour: 'accent' });
  });

  it('dresses an edge and an item as one whose dress was copied; what is of another sort is left alone', () => {
    const edge = (id: string) => desk().edges.find((one) => one.id === id);
    const dock = edge('dock');
    const [first, second] = dock?.items ?? [];
    if (!dock || !first || !second) throw new Error('no dock');
    useView.getState().select(['dock']);
    copyDress();
    useView.getState().select(['panel']);
    pasteDress();
    expect(edge('panel')).to.deep.include({ thickness: dock.thickness, side: 'top', kind: 'panel' });
    useView.getState().select(['clock']);
    const before = desk();
    expect(canPasteDress()).to.equal(false);
    pasteDress();
    expect(desk()).to.equal(before);
    useDesk.getState().edit(edits.setItemFrame(first.id, { iconSize: 50 }));
    useView.getState().select([first.id]);
    copyDress();
    useView.getState().select([second.id]);
    pasteDress();
    const worn = edge('dock')?.items.find(({ id }) => id === second.id);
    expect(worn).to.deep.include({ iconSize: 50, options: second.options });
  });

  it('leaves step by step: a menu, Try, the item, the edge', () => {
    useView.getState().select(['panel-2'], 'edges');
    leave();
    expect(useView.getState().selection).to.deep.equal(['panel']);
    leave();
    expect(useView.getState().selection).to.deep.equal([]);
    useView.getState().setMode('try');
    useConditions.getState().setOpen({ menu: 'appList', screen: 'main' });
    leave();
    expect(useView.getState().mode).to.equal('try');
    expect(useConditions.getState().open).to.equal(null);
    leave();
    expect(useView.getState().mode).to.equal('arrange');
  });
});

describe('the scene on the stage', () => {
  closeAfterwards();
  it('follows desk and moment, and keeps what did not change', async () => {
    await open(dawnCount());
    const before = useScene.getState().scene;
    select('machine');
    nudgeSelection({ x: 3, y: 0 });
    endNudge();
    const after = useScene.getState().scene;
    const part = (scene: typeof before, id: string) =>
      scene?.screens[0]?.widgets.find((widget) => widget.id === id);
    expect(part(after, 'clock')).to.equal(part(before, 'clock'));
    expect(part(after, 'machine')?.rect.x).to.equal((part(before, 'machine')?.rect.x ?? 0) + 3);
    useConditions.getState().hold(DAWN + 60_000);
    expect(part(useScene.getState().scene, 'clock')?.view).to.include({ minutes: '13' });
  });

  it('knows the side that a point is nearest to, whatever the screen’s shape', () => {
    const screen = { x: 0, y: 0, width: 2000, height: 1000 };
    expect(nearestSide({ x: 1000, y: 40 }, screen)).to.equal('top');
    expect(nearestSide({ x: 1000, y: 960 }, screen)).to.equal('bottom');
    expect(nearestSide({ x: 30, y: 500 }, screen)).to.equal('left');
    expect(nearestSide({ x: 1970, y: 500 }, screen)).to.equal('right');
  });

  it('has everything of the demo on its screens', async () => {
    await open(dawnCount());
    const screen = currentScreen();
    for (const part of [...(screen?.edges ?? []), ...(screen?.widgets ?? [])]) {
      expect(isInside(part.rect, screen?.rect ?? part.rect), part.id).to.equal(true);
    }
  });
});
