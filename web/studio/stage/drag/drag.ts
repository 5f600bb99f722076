import { named } from '../../../../core/desk/edits/edit.ts';
import { distancesAround, snap, type Written } from '../../../../core/arrange/snap.ts';
import {
  boundsOf,
  clamp,
  isHorizontal,
  moveInside,
  overlaps,
  type Point,
  type Rect,
} from '../../../../core/values/geometry.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { thicknessAfter, withEndMoved } from '../../../../core/arrange/spans.ts';
import type { Edge } from '../../../../core/desk/shapes/edges.ts';
import { whereaboutsOf, linesOf } from '../../../../core/scene/parts.ts';
import type { SceneScreen } from '../../../../core/scene/scene.ts';
import { toast } from '../../../ui/toast.ts';
import { presentDesk, useDesk } from '../../../session/desk.ts';
import { currentScreen } from '../../../stores/screen.ts';
import { useScene } from '../../../session/scene.ts';
import { useStage } from '../../../stores/stage.ts';
import { useView } from '../../../stores/view.ts';
import { MARGIN } from '../../../../core/arrange/free-spot.ts';
import { slotAt } from './slot.ts';
import { movableRects, nameOfParts, nearestSide, removeParts } from '../../parts/acts.ts';

/** How near a line must be to catch, px of the stage. */
const SNAP_REACH = 7;

/** What a pointer does on the stage: px of the desk since it went down. */
interface Turn {
  by: Point;
  /** Where the pointer is, px of the screen. */
  at: Point;
  passSnaps: boolean;
  keepAxis: boolean;
  /** Stage px for each px of the desk. */
  scale: number;
}

export interface Drag {
  turn(turn: Turn): void;
  end(): void;
}

function clearHints(): void {
  useView.getState().setHints({});
}

/** Moves the selected widgets; they catch on what stands around them. */
export function dragWidgets(): Drag | null {
  const screen = currentScreen();
  const start = movableRects();
  const bounds = boundsOf([...start.values()]);
  if (!screen) return null;
  if (!bounds) return sayLocked();
  const whereabouts = whereaboutsOf(screen);
  const lines = new Map(screen.widgets.map((widget) => [widget.id, linesOf(widget)]));
  const others = [...whereabouts.rects]
    .filter(([id]) => !start.has(id))
    .map(([id, rect]): Written => ({ ...rect, lines: lines.get(id) }));
  const [only] = start.size === 1 ? start.keys() : [];
  const own = (only !== undefined && lines.get(only)) || [];
  let target: SceneScreen | null = null;
  let wanted: ReadonlyMap<string, Rect> = start;
  const label = `Move ${nameOfParts([...start.keys()])}`;
  return {
    turn({ by, at, passSnaps, keepAxis, scale }) {
      const across = Math.abs(by.x) >= Math.abs(by.y);
      const along = { x: !keepAxis || across, y: !keepAxis || !across };
      const down = along.y ? by.y : 0;
      const moving: Written = {
        ...bounds,
        x: bounds.x + (along.x ? by.x : 0),
        y: bounds.y + down,
        lines: own.map((line) => line + down),
      };
      const rest = passSnaps
        ? { x: moving.x, y: moving.y, guides: [] }
        : snap({
            moving,
            others,
            screen: screen.rect,
            free: screen.free,
            margin: MARGIN,
            tolerance: SNAP_REACH / scale,
            along,
          });
      // What is shown is what is kept: the parts are held inside their screen.
      const inside = moveInside({ ...bounds, x: rest.x, y: rest.y }, screen.rect);
      const isPushed = inside.x !== rest.x || inside.y !== rest.y;
      const shift = { x: inside.x - bounds.x, y: inside.y - bounds.y };
      const moved = new Map(
        [...start].map(([id, rect]) => [id, { ...rect, x: rect.x + shift.x, y: rect.y + shift.y }]),
      );
      useDesk.getState().turn(named(label, edits.moveWidgets(moved, whereabouts)));
      target = otherScreenAt(at, screen);
      wanted = new Map([...start].map(([id, rect]) => [id, { ...rect, x: rect.x + by.x, y: rect.y + by.y }]));
      useView.getState().setHints({
        guides: isPushed ? [] : rest.guides,
        distances: distancesAround(inside, others, screen.rect),
        target: target?.id ?? null,
      });
    },
    end() {
      clearHints();
      // It goes over once it is let go: until then what it was taken by stays under the pointer.
      if (target) takeWidgetsTo(target, wanted, screen);
      else useDesk.getState().endGesture();
    },
  };
}

/** The other screen that a point of one lies on while they are side by side. */
function otherScreenAt(at: Point, { id, at: origin }: SceneScreen): SceneScreen | null {
  if (!useStage.getState().isTogether) return null;
  const x = at.x + origin.x;
  const y = at.y + origin.y;
  const screens = useScene.getState().scene?.screens ?? [];
  const isOn = ({ at: corner, rect }: SceneScreen) =>
    x >= corner.x && y >= corner.y && x < corner.x + rect.width && y < corner.y + rect.height;
  return screens.find((screen) => screen.id !== id && isOn(screen)) ?? null;
}

/** A point of a screen as one of another. */
function onOther(point: Point, from: SceneScreen, to: SceneScreen): Point {
  return { x: point.x + from.at.x - to.at.x, y: point.y + from.at.y - to.at.y };
}

/** Takes widgets to a screen, to where they lie over it. */
function takeWidgetsTo(target: SceneScreen, rects: ReadonlyMap<string, Rect>, from: SceneScreen): void {
  useDesk.getState().dropGesture();
  const there = [...rects].map(
    ([id, rect]) => [id, moveInside({ ...rect, ...onOther(rect, from, target) }, target.rect)] as const,
  );
  if (useDesk.getState().edit(edits.moveToScreen(new Map(there), whereaboutsOf(target))))
    followTo(target, [...rects.keys()]);
}

function followTo(target: SceneScreen, ids: readonly string[]): void {
  useView.getState().showScreen(target.id);
  useView.getState().select(ids);
}

/** Scales one widget by a corner; it stays where it hangs. */
export function dragScale(id: string, corner: Point): Drag | null {
  const widget = useDesk.getState().history?.present.widgets.find((candidate) => candidate.id === id);
  const rect = currentScreen()?.widgets.find((candidate) => candidate.id === id)?.rect;
  if (!widget || !rect || widget.locked) return null;
  return {
    turn({ by, passSnaps }) {
      // The corner's way outward, as a share of the part's size.
      const grown = Math.max((by.x * corner.x) / rect.width, (by.y * corner.y) / rect.height);
      const wanted = widget.scale * (1 + grown);
      const scale = clamp(passSnaps ? Math.round(wanted * 100) / 100 : Math.round(wanted * 20) / 20, 0.25, 4);
      useDesk.getState().turn(named('Scale', edits.setWidgets([id], { scale })));
    },
    end: () => useDesk.getState().endGesture(),
  };
}

/** Scales all that is selected as one, with the room between, from the corner across. */
export function dragTogether(corner: Point): Drag | null {
  const screen = currentScreen();
  const start = movableRects();
  const bounds = boundsOf([...start.values()]);
  if (!screen) return null;
  if (!bounds) return sayLocked();
  const whereabouts = whereaboutsOf(screen);
  return {
    turn({ by, passSnaps }) {
      const grown = Math.max((by.x * corner.x) / bounds.width, (by.y * corner.y) / bounds.height);
      const factor = clamp(passSnaps ? 1 + grown : Math.round((1 + grown) * 20) / 20, 0.25, 4);
      useDesk.getState().turn(edits.scaleTogether(factor, start, corner, whereabouts));
    },
    end: () => useDesk.getState().endGesture(),
  };
}

function edgeOf(id: string): Edge | undefined {
  return presentDesk()?.edges.find((edge) => edge.id === id);
}

function sayLocked(): null {
  toast('Locked: press L to unlock it first.', { id: 'locked' });
  return null;
}

/** Moves an edge to the side that the pointer is nearest to. */
export function dragEdge(id: string): Drag | null {
  const screen = currentScreen();
  if (!screen) return null;
  if (edgeOf(id)?.locked) return sayLocked();
  let target: SceneScreen | null = null;
  let side = screen.edges.find((edge) => edge.id === id)?.side ?? 'top';
  return {
    turn({ at }) {
      target = otherScreenAt(at, screen);
      const { rect } = target ?? screen;
      side = nearestSide(target ? onOther(at, screen, target) : at, rect);
      if (target) useDesk.getState().dropGesture();
      else useDesk.getState().turn(edits.moveEdge(id, side));
      useView.getState().setHints({ target: target?.id ?? null });
    },
    end() {
      clearHints();
      if (!target) useDesk.getState().endGesture();
      else if (useDesk.getState().edit(edits.moveEdge(id, side, target.id))) followTo(target, [id]);
    },
  };
}

/** Drags one end of an edge, or its inner side. */
export function dragSpan(id: string, what: 'start' | 'end' | 'inner'): Drag | null {
  const solved = currentScreen()?.edges.find((edge) => edge.id === id);
  const edge = edgeOf(id);
  if (!solved || !edge) return null;
  if (edge.locked) return sayLocked();
  return {
    turn({ by }) {
      const change =
        what === 'inner'
          ? { thickness: thicknessAfter(edge.thickness, edge.side, by) }
          : withEndMoved(
              { ...solved, align: edge.align, margin: edge.margin },
              what,
              isHorizontal(edge.side) ? by.x : by.y,
            );
      useDesk.getState().turn(named(what === 'inner' ? 'Thickness' : 'Length', edits.setEdge(id, change)));
    },
    end: () => useDesk.getState().endGesture(),
  };
}

/** Moves an item along its edge, onto another one, or off: it goes where the pointer is. */
export function dragItem(itemId: string): Drag | null {
  const from = presentDesk()?.edges.find(({ items }) => items.some(({ id }) => id === itemId));
  if (!from) return null;
  if (from.locked) return sayLocked();
  const title = nameOfParts([itemId]);
  let isOff = false;
  return {
    turn({ at, scale }) {
      const slot = slotAt(currentScreen(), at, scale, itemId);
      isOff = !slot;
      useView.getState().setHints({ off: slot ? null : { at, title } });
      if (!slot) return;
      useDesk.getState().turn(edits.moveItem(itemId, slot.edge, slot.index));
    },
    end() {
      clearHints();
      if (!isOff) {
        useDesk.getState().endGesture();
        return;
      }
      useDesk.getState().dropGesture();
      removeParts([itemId]);
    },
  };
}

/** Selects the widgets that a drawn rectangle touches. */
export function dragMarquee(from: Point, keep: readonly string[]): Drag | null {
  const screen: SceneScreen | null = currentScreen();
  if (!screen) return null;
  return {
    turn({ by }) {
      const marquee: Rect = {
        x: from.x + Math.min(0, by.x),
        y: from.y + Math.min(0, by.y),
        width: Math.abs(by.x),
        height: Math.abs(by.y),
      };
      const touched = screen.widgets.filter(({ rect }) => overlaps(rect, marquee)).map(({ id }) => id);
      useView.getState().setHints({ marquee });
      useView.getState().select([...new Set([...keep, ...touched])], 'widgets');
    },
    end: clearHints,
  };
}

/** Gives a drag up: everything is as before it. */
export function abandonDrag(): void {
  clearHints();
  useDesk.getState().dropGesture();
}
