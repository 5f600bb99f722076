import { whereaboutsOf } from '../../../core/scene/parts.ts';
import { named, together } from '../../../core/desk/edits/edit.ts';
import { nanoid } from 'nanoid';
import { toast } from '../../ui/toast.ts';
import { alignRects, distributeRects } from '../../../core/arrange/align.ts';
import { moveInside, type Axis, type Point, type Rect, type Side } from '../../../core/values/geometry.ts';
import { freeSpot } from '../../../core/arrange/free-spot.ts';
import { createDock, createItem, createPanel, createWidget } from '../../../core/desk/defaults.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { nameOfPart, titleOfEdge, titleOfWidget } from '../../../core/desk/part-names.ts';
import { partOf } from '../../../core/desk/parts.ts';
import { freePlace } from '../../../core/desk/whereabouts.ts';
import type { Strip } from '../../../core/desk/strips.ts';
import type { Edge, Item } from '../../../core/desk/shapes/edges.ts';
import type { Widget } from '../../../core/desk/shapes/widgets.ts';
import type { Alignment } from '../../../core/values/place.ts';
import { itemKindOf, type ItemType } from '../../../core/items/list.ts';
import { isKindKnown, learnKind } from '../../../core/scene/learn.ts';
import { solve } from '../../../core/scene/solve.ts';
import type { WidgetType } from '../../../core/widgets/list.ts';
import { persist } from '../../later.ts';
import { useConditions } from '../../session/conditions.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';
import { currentScreen } from '../../stores/screen.ts';
import { useScene } from '../../session/scene.ts';
import { useView } from '../../stores/view.ts';
import { editAndSay } from '../../session/said-undo.ts';

/** What a person can do to the desk, whether by key, menu, command or button. */

const newId = () => nanoid(8);

interface SelectedItem {
  item: Item;
  edge: Edge;
  index: number;
}

export interface Selected {
  widgets: Widget[];
  edges: Edge[];
  items: SelectedItem[];
  /** The first of each. */
  edge: Edge | null;
  item: SelectedItem | null;
}

/** The parts that are selected, as the document has them. */
export function selectedParts(desk = presentDesk(), selection = useView.getState().selection): Selected {
  const chosen = new Set(selection);
  if (!desk || chosen.size === 0) return { widgets: [], edges: [], items: [], edge: null, item: null };
  const widgets = desk.widgets.filter((widget) => chosen.has(widget.id));
  const edges = desk.edges.filter((edge) => chosen.has(edge.id));
  const items = desk.edges.flatMap((edge) =>
    edge.items.flatMap((item, index) => (chosen.has(item.id) ? [{ item, edge, index }] : [])),
  );
  return { widgets, edges, items, edge: edges[0] ?? null, item: items[0] ?? null };
}

/** How many things are selected. */
export const countOf = ({ widgets, edges, items }: Selected): number =>
  widgets.length + edges.length + items.length;

export function titleOfItem(item: Item): string {
  if (item.type === 'application') {
    const application = presentDesk()?.applications.find(({ id }) => id === item.options['application']);
    if (application) return application.Name;
  }
  return itemKindOf(item.type).title;
}

/** Adds a widget at a point of the screen (its middle), or where there is room. */
export function addWidget(type: WidgetType, face: string, at?: Point): void {
  // Its size is known once it can be solved.
  if (!isKindKnown(type)) {
    void persist(() => learnKind(type)).then(() => addWidget(type, face, at));
    return;
  }
  const desk = presentDesk();
  const screen = currentScreen();
  if (!desk || !screen) return;
  const id = newId();
  const start = { hangs: { from: 'free' as const, screen: screen.id, point: 'centre' as const }, x: 0, y: 0 };
  const widget = createWidget({ id, type, face, place: start, deskFinish: desk.look.finish });
  // Then it gets the place that it is to keep.
  const trial = solve({ ...desk, edges: [], widgets: [widget] }, { moment: useConditions.getState().moment });
  const size = trial.screens.find(({ id: known }) => known === screen.id)?.widgets[0]?.rect ?? {
    width: 200,
    height: 100,
  };
  const rect = at
    ? { x: at.x - size.width / 2, y: at.y - size.height / 2, width: size.width, height: size.height }
    : freeSpot(
        size,
        screen.free,
        screen.widgets.map((other) => other.rect),
      );
  widget.place = freePlace(rect, whereaboutsOf(screen));
  if (useDesk.getState().edit(named(`Add ${titleOfWidget(widget).toLowerCase()}`, edits.addWidget(widget))))
    useView.getState().select([id], 'widgets');
}

export function addEdge(kind: Edge['kind']): void {
  const desk = presentDesk();
  const screen = currentScreen();
  if (!desk || !screen) return;
  const taken = new Set(desk.edges.filter((edge) => edge.screen === screen.id).map((edge) => edge.side));
  const wanted: Side[] =
    kind === 'panel' ? ['top', 'left', 'right', 'bottom'] : ['bottom', 'left', 'right', 'top'];
  const side = wanted.find((candidate) => !taken.has(candidate)) ?? wanted[0] ?? 'top';
  const id = newId();
  const make = (type: ItemType, options = {}) => createItem(newId(), type, options);
  const edge =
    kind === 'panel'
      ? createPanel(id, screen.id, side, [
          make('app-list'),
          make('workspaces'),
          make('divider'),
          make('tray'),
          make('clock'),
        ])
      : createDock(
          id,
          screen.id,
          side,
          desk.look.finish,
          desk.applications.slice(0, 5).map(({ id: application }) => make('application', { application })),
        );
  if (useDesk.getState().edit(edits.addEdge(edge))) useView.getState().select([id], 'edges');
}

/** Puts a strip of ours on the screen in view. */
export function addStrip(strip: Strip): void {
  const desk = presentDesk();
  const screen = currentScreen();
  if (!desk || !screen) return;
  const landed: string[] = [];
  const parts = { edges: strip.make(desk, screen.id), widgets: [], items: [] };
  const landing = { screen: screen.id, edge: null, off: 0, newId };
  if (!useDesk.getState().edit(named(strip.title, edits.paste(parts, landing, landed)))) return;
  const [only] = landed.length === 1 ? landed : [];
  if (only) useView.getState().select([only], 'edges');
}

/** Makes an edge stand as a strip of ours does; what is on it stays. */
export function becomeStrip(edge: string, { frame, title }: Strip): void {
  if (frame) useDesk.getState().edit(named(`Become: ${title.toLowerCase()}`, edits.setEdge(edge, frame)));
}

/** Another kind of item in the place of one: the options that both have stay. */
export function swapItem(item: Item, type: ItemType): void {
  const fresh = createItem(item.id, type);
  const known = new Map(Object.entries(item.options));
  const kind = itemKindOf(type);
  const options = Object.fromEntries(
    Object.entries(fresh.options).map(([key, value]) => {
      const kept = known.get(key);
      const isTaken = known.has(key) && kind.options.safeParse({ ...fresh.options, [key]: kept }).success;
      return [key, isTaken ? kept : value];
    }),
  );
  const { keeps, iconSize, before, after, presses } = item;
  const face = kind.faces.some(({ id }) => id === item.face) ? item.face : fresh.face;
  useDesk
    .getState()
    .edit(edits.swapItem(item.id, { ...fresh, face, keeps, iconSize, before, after, presses, options }));
}

/** Adds an item to an edge: at a place of it, or after the item that is chosen there, or at its end. */
export function addItem(edgeId: string, type: ItemType, index?: number): void {
  const desk = presentDesk();
  const edge = desk?.edges.find(({ id }) => id === edgeId);
  if (!desk || !edge) return;
  const used = new Set(edge.items.map((item) => item.options['application']));
  const application = desk.applications.find(({ id }) => !used.has(id))?.id ?? desk.applications[0]?.id ?? '';
  const item = createItem(newId(), type, type === 'application' ? { application } : {});
  const { item: chosen } = selectedParts();
  const after = chosen?.edge.id === edgeId ? chosen.index + 1 : edge.items.length;
  const add = edits.addItem(edgeId, item, index ?? after);
  if (useDesk.getState().edit(named(`Add ${titleOfItem(item).toLowerCase()}`, add)))
    useView.getState().select([item.id], 'edges');
}

export function removeParts(ids: readonly string[]): void {
  const screen = currentScreen();
  if (!screen || ids.length === 0) return;
  const { item, edge } = selectedParts(presentDesk(), ids);
  const what = nameOfParts(ids);
  const removed = named(`Remove ${what}`, edits.remove(ids, whereaboutsOf(screen)));
  if (!editAndSay(removed, `Removed ${what}.`)) return;
  // After an item its edge is at hand; after anything else, nothing.
  useView.getState().select(item && !edge ? [item.edge.id] : []);
}

/** Some parts or items as a sentence names them: `the clock (light)`, `Tallybook from the dock`, `3 parts`. */
export function nameOfParts(ids: readonly string[]): string {
  const desk = presentDesk();
  const [only] = ids.length === 1 ? ids : [];
  if (!desk || only === undefined) return `${ids.length} parts`;
  const { item } = selectedParts(desk, [only]);
  if (item) return `${titleOfItem(item.item)} from the ${titleOfEdge(item.edge).toLowerCase()}`;
  const part = partOf(desk, only);
  return part ? nameOfPart(part) : 'one part';
}

export function removeSelection(): void {
  removeParts(useView.getState().selection);
}

export function duplicateSelection(): void {
  const { widgets, item } = selectedParts();
  if (item && widgets.length === 0) {
    const copy: Item = { ...item.item, id: newId(), options: { ...item.item.options } };
    if (useDesk.getState().edit(named('Duplicate', edits.addItem(item.edge.id, copy, item.index + 1))))
      useView.getState().select([copy.id]);
    return;
  }
  if (widgets.length === 0) return;
  const copies = new Map(widgets.map((widget) => [widget.id, newId()]));
  if (useDesk.getState().edit(edits.duplicateWidgets(copies, newId)))
    useView.getState().select([...copies.values()]);
}

/** Takes what is selected to the screen after this one, to where it stood on its own. */
export function moveToNextScreen(): void {
  const screens = useScene.getState().scene?.screens ?? [];
  const here = currentScreen();
  const next = here && screens[(screens.findIndex(({ id }) => id === here.id) + 1) % screens.length];
  if (!here || !next || next === here) return;
  const { widgets, edge } = selectedParts();
  const rects = movableRects();
  const there = [...rects].map(([id, rect]) => [id, moveInside(rect, next.rect)] as const);
  const moves = [
    ...(edge ? [edits.moveEdge(edge.id, edge.side, next.id)] : []),
    ...(there.length > 0 ? [edits.moveToScreen(new Map(there), whereaboutsOf(next))] : []),
  ];
  if (moves.length === 0) {
    if (widgets.length > 0) toast('Locked: press L to unlock it first.', { id: 'locked' });
    return;
  }
  const { selection } = useView.getState();
  if (!useDesk.getState().edit(named(`Move to ${next.name}`, together('Move', moves)))) return;
  useView.getState().showScreen(next.id);
  useView.getState().select(selection);
  toast(`Moved to ${next.name}.`);
}

/** Changes a switch of all selected widgets: on, unless it is on for all. */
export function toggleFlag(flag: 'locked' | 'clicksThrough'): void {
  const { widgets, edges } = selectedParts();
  const value =
    flag === 'locked'
      ? ![...widgets, ...edges].every(({ locked }) => locked)
      : !widgets.every(({ clicksThrough }) => clicksThrough);
  const label =
    flag === 'locked' ? (value ? 'Lock' : 'Unlock') : value ? 'Let clicks through' : 'Take clicks';
  useDesk.getState().edit(
    named(
      label,
      together(label, [
        edits.setWidgets(
          widgets.map(({ id }) => id),
          { [flag]: value },
        ),
        ...(flag === 'locked' ? edges.map(({ id }) => edits.setEdge(id, { locked: value })) : []),
      ]),
    ),
  );
}

export function orderSelection(to: 'front' | 'forward' | 'back' | 'behind'): void {
  const { widgets } = selectedParts();
  if (widgets.length > 0)
    useDesk.getState().edit(
      edits.orderWidgets(
        widgets.map(({ id }) => id),
        to,
      ),
    );
}

/** Rectangles of the selected widgets that may move. */
export function movableRects(): Map<string, Rect> {
  const screen = currentScreen();
  const movable = new Set(
    selectedParts()
      .widgets.filter((widget) => !widget.locked)
      .map(({ id }) => id),
  );
  return new Map(screen?.widgets.filter(({ id }) => movable.has(id)).map(({ id, rect }) => [id, rect]) ?? []);
}

export function alignSelection(axis: Axis, align: Alignment): void {
  arrange('Align', (rects) => alignRects(rects, axis, align));
}

export function distributeSelection(axis: Axis): void {
  arrange('Distribute', (rects) => distributeRects(rects, axis));
}

function arrange(label: string, make: (rects: Rect[]) => Rect[]): void {
  const screen = currentScreen();
  const rects = movableRects();
  if (!screen || rects.size < 2) return;
  const moved = make([...rects.values()]);
  const after = new Map([...rects.keys()].map((id, index) => [id, moved[index] as Rect]));
  useDesk.getState().edit(named(label, edits.moveWidgets(after, whereaboutsOf(screen))));
}

let nudge: { start: Map<string, Rect>; by: Point } | null = null;

/** Moves what is selected by keys. A row of presses is one step, until the key comes up. */
export function nudgeSelection(by: Point): void {
  const { item, edge, widgets } = selectedParts();
  const screen = currentScreen();
  if (!screen) return;
  if (item && widgets.length === 0) {
    const earlier = by.x < 0 || by.y < 0;
    const index = Math.max(0, Math.min(item.edge.items.length - 1, item.index + (earlier ? -1 : 1)));
    useDesk.getState().edit(edits.moveItem(item.item.id, item.edge.id, index));
    return;
  }
  if (edge && widgets.length === 0) {
    if (edge.locked) {
      toast('Locked: press L to unlock it first.', { id: 'locked' });
      return;
    }
    const side: Side = by.x < 0 ? 'left' : by.x > 0 ? 'right' : by.y < 0 ? 'top' : 'bottom';
    useDesk.getState().edit(edits.moveEdge(edge.id, side));
    return;
  }
  nudge ??= { start: movableRects(), by: { x: 0, y: 0 } };
  if (nudge.start.size === 0) {
    if (selectedParts().widgets.length > 0) toast('Locked: press L to unlock it first.', { id: 'locked' });
    nudge = null;
    return;
  }
  const total = { x: nudge.by.x + by.x, y: nudge.by.y + by.y };
  nudge.by = total;
  const moved = new Map(
    [...nudge.start].map(([id, rect]) => [id, { ...rect, x: rect.x + total.x, y: rect.y + total.y }]),
  );
  const whereabouts = whereaboutsOf(screen);
  const frozen = { ...whereabouts, rects: new Map([...whereabouts.rects, ...nudge.start]) };
  useDesk
    .getState()
    .turn(named(`Nudge ${nameOfParts([...nudge.start.keys()])}`, edits.moveWidgets(moved, frozen)));
}

export function endNudge(): void {
  if (!nudge) return;
  nudge = null;
  useDesk.getState().endGesture();
}

export function selectAllWidgets(): void {
  const screen = currentScreen();
  if (screen)
    useView.getState().select(
      screen.widgets.map(({ id }) => id),
      'widgets',
    );
}

/** Steps up: from an item to its edge, from anything else to nothing. */
export function leave(): void {
  const view = useView.getState();
  const { item } = selectedParts();
  const { open, setOpen } = useConditions.getState();
  if (view.mode === 'try' && open) setOpen(null);
  else if (view.mode === 'try') view.setMode('arrange');
  else view.select(item ? [item.edge.id] : []);
}

/** The side that a point of a screen is nearest to, relative to the screen's shape. */
export function nearestSide(point: Point, screen: Rect): Side {
  const x = point.x / screen.width - 0.5;
  const y = point.y / screen.height - 0.5;
  if (Math.abs(x) > Math.abs(y)) return x < 0 ? 'left' : 'right';
  return y < 0 ? 'top' : 'bottom';
}
