import { named } from '../../../core/desk/edits/edit.ts';
import { distancesAround, snap, type Written } from '../../../core/arrange/snap.ts';
import {
  boundsOf,
  clamp,
  isHorizontal,
  overlaps,
  type Point,
  type Rect,
} from '../../../core/values/geometry.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { linesOf } from '../../../core/scene/parts.ts';
import type { SceneScreen } from '../../../core/scene/scene.ts';
import { toast } from '../../ui/toast.ts';
import { useDesk } from '../../session/desk.ts';
import { currentScreen } from '../../stores/screen.ts';
import { groundOf } from '../../session/scene.ts';
import { useView } from '../../stores/view.ts';
import { movableRects, nearestSide } from '../acts.ts';

/** Distance that parts like to keep from the free area's sides, px of the desk. */
export const SNAP_MARGIN = 24;
/** How near a line must be to catch, px of the stage. */
const SNAP_REACH = 7;

/** What a pointer does on the stage: px of the desk since it went down. */
export interface Turn {
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
  if (!bounds) {
    toast('Locked: press L to unlock it first.', { id: 'locked' });
    return null;
  }
  const ground = groundOf(screen);
  const lines = new Map(screen.widgets.map((widget) => [widget.id, linesOf(widget)]));
  const others = [...ground.rects]
    .filter(([id]) => !start.has(id))
    .map(([id, rect]): Written => ({ ...rect, lines: lines.get(id) }));
  const [only] = start.size === 1 ? start.keys() : [];
  const own = (only !== undefined && lines.get(only)) || [];
  return {
    turn({ by, passSnaps, keepAxis, scale }) {
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
            margin: SNAP_MARGIN,
            tolerance: SNAP_REACH / scale,
            along,
          });
      const shift = { x: rest.x - bounds.x, y: rest.y - bounds.y };
      const moved = new Map(
        [...start].map(([id, rect]) => [id, { ...rect, x: rect.x + shift.x, y: rect.y + shift.y }]),
      );
      useDesk.getState().turn(edits.moveWidgets(moved, ground));
      useView.getState().setHints({
        guides: rest.guides,
        distances: distancesAround({ ...bounds, x: rest.x, y: rest.y }, others, screen.rect),
      });
    },
    end() {
      clearHints();
      useDesk.getState().endGesture();
    },
  };
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

/** Moves an edge to the side that the pointer is nearest to. */
export function dragEdge(id: string): Drag | null {
  const screen = currentScreen();
  if (!screen) return null;
  return {
    turn({ at }) {
      const side = nearestSide(at, screen.rect);
      useDesk.getState().turn(edits.moveEdge(id, side));
    },
    end: () => useDesk.getState().endGesture(),
  };
}

/** Moves an item along its edge to where the pointer is. */
export function dragItem(edgeId: string, itemId: string): Drag | null {
  const edge = currentScreen()?.edges.find((candidate) => candidate.id === edgeId);
  if (!edge) return null;
  const axis = isHorizontal(edge.side) ? 'x' : 'y';
  const length = axis === 'x' ? 'width' : 'height';
  const others = edge.items.filter((item) => item.id !== itemId);
  return {
    turn({ at }) {
      const index = others.filter(({ rect }) => rect[axis] + rect[length] / 2 < at[axis]).length;
      useDesk.getState().turn(edits.moveItem(itemId, edgeId, index));
    },
    end: () => useDesk.getState().endGesture(),
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
