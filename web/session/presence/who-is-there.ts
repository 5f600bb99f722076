import { openedMenus } from '../../../core/menus/openers.ts';
import { isInTheWay } from '../../../core/presence/in-the-way.ts';
import {
  asked,
  away,
  changesAt,
  presenceAt,
  turned,
  type Delays,
  type Presence,
} from '../../../core/presence/presence.ts';
import { isThereInRehearsal } from '../../../core/timeline/visits/visits.ts';
import type { Desk } from '../../../core/desk/desk.ts';
import type { Widget } from '../../../core/desk/shapes/widgets.ts';
import type { Edge } from '../../../core/desk/shapes/edges.ts';
import type { OpenMenu } from '../../../core/scene/conditions.ts';
import type { SceneEdge, SceneScreen } from '../../../core/scene/scene.ts';
import { isHorizontal, isWithin, type Rect } from '../../../core/values/geometry.ts';
import type { PointOnScreen } from '../../render/screen/on-screen.ts';

/** Which of a desk's edges and widgets are there while it is in use. Pure: what is asked comes in, who is there comes out. */

/** How near a side the pointer asks for what slipped away there, and how far off an edge it still holds it, px. */
const AT_SIDE = 5;
const AROUND = 14;

/** A widget comes at once, and stays for a moment. */
const NEAR_DELAYS: Delays = { in: 0, out: 300 };

/** So near to a corner the pointer is in it, px. */
const IN_CORNER = 3;

/** An edge that is not always there: it slips away, or steps aside for windows. */
type Slipping = Edge & { shows: Exclude<Edge['shows'], { by: 'always' }> };
/** A widget that is there while the pointer is near it. */
type Near = Widget & { shows: { by: 'near'; reach: number } };

type Movers = Pick<Desk, 'edges' | 'widgets' | 'windows' | 'seed'>;

/** What somebody asks with, just now. */
export interface Asking {
  desk: Movers;
  /** As the scene has them: where edges, widgets and windows stand. */
  screens: readonly SceneScreen[];
  pointer: PointOnScreen | null;
  /** Id of the edge that holds the focus where it is seen. */
  focused: string | null;
  /** The menu that is open, and the edge of which the rest is. */
  open: OpenMenu | null;
  openMore: string | null;
  /** Epoch ms of the moment that is shown, and whether that is now. */
  moment: number;
  isNow: boolean;
}

export type States = ReadonlyMap<string, Presence>;

export interface Present {
  states: States;
  /** Ids of those that are there. */
  out: readonly string[];
  /** When somebody comes or goes by itself, on the clock of `now`; Infinity where nobody does. */
  next: number;
}

const slippingOf = ({ edges }: Movers) =>
  edges.filter((edge): edge is Slipping => edge.shows.by !== 'always');
const nearOf = ({ widgets }: Movers) =>
  widgets.filter((widget): widget is Near => widget.shows.by === 'near');

/** Whether anything of a desk comes and goes, or opens from a corner: a pointer over one where all stays costs nothing. */
export function hasMovers(desk: Movers): boolean {
  return desk.windows.workspaces.corner !== 'none' || slippingOf(desk).length + nearOf(desk).length > 0;
}

/** Who is there at `now`, ms on a clock that never goes back, after what was before. */
export function presentAt(before: States, asking: Asking, now: number): Present {
  const states = new Map<string, Presence>();
  const out: string[] = [];
  let next = Infinity;
  function take(id: string, was: Presence, isAsked: boolean, delays: Delays, isToo = false): void {
    const state = asked(presenceAt(was, now, delays), isAsked, now, delays);
    const current = presenceAt(state, now, delays);
    states.set(id, current);
    if (current.isThere || isToo) out.push(id);
    next = Math.min(next, changesAt(state, delays) ?? Infinity);
  }
  for (const edge of slippingOf(asking.desk)) {
    const { id, shows } = edge;
    const state = before.get(id) ?? null;
    const isAsked = isAskedFor(edge, state?.isThere ?? null, asking);
    take(id, state ?? firstOf(edge), isAsked, shows, isRehearsed(edge, asking));
  }
  for (const widget of nearOf(asking.desk))
    take(widget.id, before.get(widget.id) ?? away, isNear(widget, asking), NEAR_DELAYS);
  return { states, out, next };
}

/** All come that are away, and all go that are there: a key does that, and what came stays until it was asked for and left. */
export function calledAt(before: States, desk: Movers, now: number): Pick<Present, 'states' | 'out'> {
  const all = [...slippingOf(desk), ...nearOf(desk)].map(
    ({ id }) => [id, turned(before.get(id) ?? away, now)] as const,
  );
  return { states: new Map(all), out: all.filter(([, { isThere }]) => isThere).map(([id]) => id) };
}

/** Whether the pointer is in the corner of a screen that the desk has for its overview. */
export function isInCorner({
  desk,
  screens,
  pointer,
}: Pick<Asking, 'desk' | 'screens' | 'pointer'>): boolean {
  const { corner } = desk.windows.workspaces;
  const screen = screens.find(({ id }) => id === pointer?.screen);
  if (corner === 'none' || !pointer || !screen) return false;
  const { width, height } = screen.rect;
  const { x, y } = pointer.at;
  const isAcross = corner.endsWith('left') ? x <= IN_CORNER : x >= width - IN_CORNER;
  const isDown = corner.startsWith('top') ? y <= IN_CORNER : y >= height - IN_CORNER;
  return isAcross && isDown;
}

/** While the ledge holds or plays another moment, somebody made up comes and goes in its time. */
function isRehearsed({ id, shows }: Slipping, { desk, moment, isNow }: Asking): boolean {
  if (shows.by !== 'slips') return false;
  return !isNow && isThereInRehearsal(desk.seed, id, moment, { in: shows.in, out: shows.out });
}

/** What steps aside is there until a window needs its place; what slips away comes when it is asked for. */
function firstOf({ shows }: Slipping): Presence {
  return shows.by === 'steps' ? { isThere: true, isAsked: true, since: -Infinity } : away;
}

/** Which kind of item a menu hangs from where it was opened by keys. */
const hangFrom = new Map<string, string>([
  ...openedMenus.flatMap((menu) => ('hangs' in menu.opener ? [[menu.key, menu.opener.act] as const] : [])),
  ['frontMenu', 'front-menus'],
]);

/** Whether somebody asks for an edge; `isThere` is null before it was ever looked at. */
function isAskedFor(slipping: Slipping, isThere: boolean | null, asking: Asking): boolean {
  const { id, shows } = slipping;
  const screen = asking.screens.find((one) => one.id === slipping.screen);
  const edge = screen?.edges.find((one) => one.id === id);
  // Before anything is solved nothing is in its way.
  if (!screen || !edge) return shows.by === 'steps';
  if (shows.by === 'steps' && !isInTheWay(edge.rect, screen.windows.list, shows.from, isThere ?? true))
    return true;
  if (asking.openMore === id || holdsMenu(edge, asking.open) || asking.focused === id) return true;
  if (asking.pointer?.screen !== screen.id) return false;
  return isWithin(asking.pointer.at, isThere ? whole(edge, screen.rect) : side(edge, screen.rect));
}

/** Whatever hangs from one of its items holds an edge. */
function holdsMenu({ items }: SceneEdge, open: OpenMenu | null): boolean {
  if (!open) return false;
  return items.some(({ id, type }) => (open.item ? id === open.item : type === hangFrom.get(open.menu)));
}

/** Whether the pointer is as near to a widget as it wants it. */
function isNear({ id, shows: { reach } }: Near, { screens, pointer }: Asking): boolean {
  const screen = screens.find((one) => one.id === pointer?.screen);
  const widget = screen?.widgets.find((one) => one.id === id);
  if (!widget || !pointer) return false;
  return isWithin(pointer.at, around(widget.rect, reach));
}

function around({ x, y, width, height }: Rect, by: number): Rect {
  return { x: x - by, y: y - by, width: width + 2 * by, height: height + 2 * by };
}

/** The line along the screen's side on which the pointer asks for an edge. */
function side({ side: at, rect }: SceneEdge, screen: Rect): Rect {
  const along = isHorizontal(at)
    ? { x: rect.x - AROUND, width: rect.width + 2 * AROUND }
    : { y: rect.y - AROUND, height: rect.height + 2 * AROUND };
  switch (at) {
    case 'top':
      return { ...screen, ...along, height: AT_SIDE };
    case 'bottom':
      return { ...screen, ...along, y: screen.height - AT_SIDE, height: AT_SIDE };
    case 'left':
      return { ...screen, ...along, width: AT_SIDE };
    case 'right':
      return { ...screen, ...along, x: screen.width - AT_SIDE, width: AT_SIDE };
  }
}

/** An edge with what lies between it and the side, and a little around it. */
function whole({ side: at, rect }: SceneEdge, screen: Rect): Rect {
  const grown = around(rect, AROUND);
  switch (at) {
    case 'top':
      return { ...grown, y: 0, height: grown.y + grown.height };
    case 'bottom':
      return { ...grown, height: screen.height - grown.y };
    case 'left':
      return { ...grown, x: 0, width: grown.x + grown.width };
    case 'right':
      return { ...grown, width: screen.width - grown.x };
  }
}
