import {
  asked,
  away,
  changesAt,
  presenceAt,
  turned,
  type Delays,
  type Presence,
} from '../../../core/presence/presence.ts';
import { openedMenus } from '../../../core/menus/openers.ts';
import { isInTheWay } from '../../../core/presence/in-the-way.ts';
import { isThereInRehearsal } from '../../../core/timeline/visits/visits.ts';
import type { Widget } from '../../../core/desk/shapes/widgets.ts';
import type { Edge } from '../../../core/desk/shapes/edges.ts';
import type { Scene, SceneEdge, SceneScreen } from '../../../core/scene/scene.ts';
import { isHorizontal, isWithin, type Rect } from '../../../core/values/geometry.ts';
import { pointOnScreen, type PointOnScreen } from '../../render/screen/on-screen.ts';
import { deskActions } from '../actions.ts';
import { useConditions } from '../conditions.ts';
import { presentDesk, useDesk } from '../desk.ts';
import { useScene } from '../scene.ts';

/** How near a side the pointer asks for what slipped away there, and how far off an edge it still holds it, px. */
const AT_SIDE = 5;
const AROUND = 14;

/** The key that calls what slips away, and sends it off again. */
export const CALL_KEY = 'E';

/** An edge that is not always there: it slips away, or steps aside for windows. */
type Slipping = Edge & { shows: Exclude<Edge['shows'], { by: 'always' }> };

function slippingEdges(): Slipping[] {
  return (presentDesk()?.edges ?? []).filter((edge): edge is Slipping => edge.shows.by !== 'always');
}

/** Which kind of item a menu hangs from where it was opened by keys. */
const hangFrom = new Map<string, string>([
  ...openedMenus.flatMap((menu) => ('hangs' in menu.opener ? [[menu.key, menu.opener.act] as const] : [])),
  ['frontMenu', 'front-menus'],
]);

/** A widget comes at once, and stays for a moment. */
const NEAR_DELAYS: Delays = { in: 0, out: 300 };

type Near = Widget & { shows: { by: 'near'; reach: number } };

/** Widgets that are there while the pointer is near them. */
function nearWidgets(): Near[] {
  return (presentDesk()?.widgets ?? []).filter((widget): widget is Near => widget.shows.by === 'near');
}

/** While the ledge holds or plays another moment, somebody made up comes and goes in its time. */
function isRehearsed({ id, shows }: Slipping): boolean {
  const { isNow, moment } = useConditions.getState();
  if (shows.by !== 'slips') return false;
  return !isNow && isThereInRehearsal(presentDesk()?.seed ?? 0, id, moment, { in: shows.in, out: shows.out });
}

/**
 * Lets edges slip away while a desk is in use, and come when somebody asks for them: the pointer at their side, the
 * focus in them, a key. Gives back what stops it; then all are there.
 */
export function watchPresence(): () => void {
  let stop: (() => void) | null = null;
  // A pointer that goes over a desk on which everything stays costs nothing.
  function follow(): void {
    if (hasMovers() === (stop !== null)) return;
    stop?.();
    stop = stop ? null : watchMovers();
  }
  const stopDesk = useDesk.subscribe(({ history }, before) => {
    if (history?.present !== before.history?.present) follow();
  });
  follow();
  return () => {
    stopDesk();
    stop?.();
  };
}

/** Whether anything of the desk comes and goes, or opens from a corner. */
function hasMovers(): boolean {
  const corner = presentDesk()?.windows.workspaces.corner ?? 'none';
  return corner !== 'none' || slippingEdges().length + nearWidgets().length > 0;
}

function watchMovers(): () => void {
  const states = new Map<string, Presence>();
  const stopping = new AbortController();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let pointer: PointOnScreen | null = null;

  function isAskedFor(slipping: Slipping, screen: SceneScreen | undefined): boolean {
    const { id } = slipping;
    const edge = screen?.edges.find((one) => one.id === id);
    // Before anything is solved nothing is in its way.
    if (!screen || !edge) return slipping.shows.by === 'steps';
    const { openMore, open } = useConditions.getState();
    if (hasRoom(slipping, edge, screen, states.get(id)?.isThere ?? true)) return true;
    // Whatever hangs from one of its items holds it.
    const holdsMenu =
      open !== null &&
      edge.items.some(({ id: item, type }) =>
        open.item ? item === open.item : type === hangFrom.get(open.menu),
      );
    if (openMore === id || holdsMenu) return true;
    const focused = document.activeElement?.closest<HTMLElement>('[data-edge]');
    if (focused?.dataset['edge'] === id && document.activeElement?.matches(':focus-visible')) return true;
    if (pointer?.screen !== screen.id) return false;
    return isWithin(pointer.at, states.get(id)?.isThere ? whole(edge, screen.rect) : side(edge, screen.rect));
  }

  function look(): void {
    clearTimeout(timer);
    const now = performance.now();
    const screens = useScene.getState().scene?.screens ?? [];
    let next = Infinity;
    const out: string[] = [];
    for (const edge of slippingEdges()) {
      const delays = { in: edge.shows.in, out: edge.shows.out };
      const screen = screens.find(({ id }) => id === edge.screen);
      const state = asked(
        presenceAt(states.get(edge.id) ?? firstOf(edge), now, delays),
        isAskedFor(edge, screen),
        now,
        delays,
      );
      states.set(edge.id, presenceAt(state, now, delays));
      if (states.get(edge.id)?.isThere || isRehearsed(edge)) out.push(edge.id);
      next = Math.min(next, changesAt(state, delays) ?? Infinity);
    }
    for (const widget of nearWidgets()) {
      const before = presenceAt(states.get(widget.id) ?? away, now, NEAR_DELAYS);
      const state = asked(before, isNear(widget, pointer, screens), now, NEAR_DELAYS);
      states.set(widget.id, presenceAt(state, now, NEAR_DELAYS));
      if (states.get(widget.id)?.isThere) out.push(widget.id);
      next = Math.min(next, changesAt(state, NEAR_DELAYS) ?? Infinity);
    }
    const known = useConditions.getState().out;
    if (known === null || known.join() !== out.join()) useConditions.getState().setOut(out);
    if (Number.isFinite(next)) timer = setTimeout(look, Math.max(0, next - now) + 1);
  }

  function onKeyDown(event: KeyboardEvent): void {
    const isTyping =
      event.target instanceof Element &&
      event.target.matches('input, textarea, select, [contenteditable="true"]');
    if (event.key.toUpperCase() !== CALL_KEY || event.ctrlKey || event.metaKey || event.altKey || isTyping)
      return;
    const now = performance.now();
    const all = [...slippingEdges(), ...nearWidgets()];
    for (const { id } of all) states.set(id, turned(states.get(id) ?? away, now));
    const out = all.filter(({ id }) => states.get(id)?.isThere);
    useConditions.getState().setOut(out.map(({ id }) => id));
    // It stays until the pointer or the focus has been on it and is gone again.
    clearTimeout(timer);
    event.preventDefault();
  }

  const options = { signal: stopping.signal, capture: true };
  addEventListener(
    'pointermove',
    ({ clientX, clientY }) => {
      pointer = pointOnScreen(clientX, clientY);
      askCorner(pointer);
      look();
    },
    options,
  );
  document.documentElement.addEventListener('pointerleave', () => ((pointer = null), look()), options);
  addEventListener('focusin', look, options);
  addEventListener('focusout', () => setTimeout(look), options);
  addEventListener('keydown', onKeyDown, options);
  const stopHearing = useConditions.subscribe((state, before) => isOfMatter(state, before) && look());
  const stopSeeing = useScene.subscribe((state, before) => haveMoved(state.scene, before.scene) && look());
  look();
  return () => {
    stopping.abort();
    stopHearing();
    stopSeeing();
    clearTimeout(timer);
    useConditions.getState().setOut(null);
  };
}

/** Whether windows stand elsewhere than before: they are seen in the scene, where they are solved. */
function haveMoved(scene: Scene | null, before: Scene | null): boolean {
  return (
    scene?.screens.some(({ windows: { list } }, index) => list !== before?.screens[index]?.windows.list) ??
    false
  );
}

type State = ReturnType<typeof useConditions.getState>;

/** Whether something changed that an edge comes or goes for. */
function isOfMatter(state: State, before: State): boolean {
  const isRehearsing = !state.isNow || !before.isNow;
  return (
    state.openMore !== before.openMore ||
    state.open?.menu !== before.open?.menu ||
    state.open?.item !== before.open?.item ||
    (isRehearsing && state.moment !== before.moment)
  );
}

/** What steps aside is there until a window needs its place; what slips away comes when it is asked for. */
function firstOf({ shows }: Slipping): Presence {
  return shows.by === 'steps' ? { isThere: true, isAsked: true, since: -Infinity } : away;
}

/** Whether an edge that steps aside has its place for itself. */
function hasRoom(
  { shows }: Slipping,
  { rect }: SceneEdge,
  { windows: { list } }: SceneScreen,
  isThere: boolean,
): boolean {
  return shows.by === 'steps' && !isInTheWay(rect, list, shows.from, isThere);
}

/** So near to a corner the pointer is in it, px. */
const IN_CORNER = 3;
let wasInCorner = false;

/** Opens the overview where the pointer comes into the corner of a screen that the desk has for it. */
function askCorner(pointer: PointOnScreen | null): void {
  const corner = presentDesk()?.windows.workspaces.corner ?? 'none';
  const screen = useScene.getState().scene?.screens.find(({ id }) => id === pointer?.screen);
  if (corner === 'none' || !pointer || !screen) return;
  const { width, height } = screen.rect;
  const { x, y } = pointer.at;
  const isAcross = corner.endsWith('left') ? x <= IN_CORNER : x >= width - IN_CORNER;
  const isDown = corner.startsWith('top') ? y <= IN_CORNER : y >= height - IN_CORNER;
  const isIn = isAcross && isDown;
  // Only as it comes in: whoever stays there does not open and close it by turns.
  if (isIn && !wasInCorner) deskActions.perform('overview');
  wasInCorner = isIn;
}

/** Whether the pointer is as near to a widget as it wants it. */
function isNear(
  { id, shows: { reach } }: Near,
  pointer: PointOnScreen | null,
  screens: readonly SceneScreen[],
): boolean {
  const screen = screens.find((one) => one.id === pointer?.screen);
  const widget = screen?.widgets.find((one) => one.id === id);
  if (!widget || !pointer) return false;
  const { x, y, width, height } = widget.rect;
  const around = { x: x - reach, y: y - reach, width: width + 2 * reach, height: height + 2 * reach };
  return isWithin(pointer.at, around);
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
  const grown = {
    x: rect.x - AROUND,
    y: rect.y - AROUND,
    width: rect.width + 2 * AROUND,
    height: rect.height + 2 * AROUND,
  };
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
