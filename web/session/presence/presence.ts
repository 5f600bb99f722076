import { deskActions } from '../actions.ts';
import { useConditions } from '../conditions.ts';
import { presentDesk, useDesk } from '../desk.ts';
import { useScene } from '../scene.ts';
import type { Scene } from '../../../core/scene/scene.ts';
import { pointOnScreen, type PointOnScreen } from '../../render/screen/on-screen.ts';
import { calledAt, hasMovers, isInCorner, presentAt, type Asking, type States } from './who-is-there.ts';

/** The key that calls what slips away, and sends it off again. */
export const CALL_KEY = 'E';

/**
 * Lets edges slip away while a desk is in use, and come when somebody asks for them: the pointer at their side, the
 * focus in them, a key. Gives back what stops it; then all are there.
 */
export function watchPresence(): () => void {
  let stop: (() => void) | null = null;
  // A pointer that goes over a desk on which everything stays costs nothing.
  function follow(): void {
    const desk = presentDesk();
    if ((desk !== null && hasMovers(desk)) === (stop !== null)) return;
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

function watchMovers(): () => void {
  let states: States = new Map();
  const stopping = new AbortController();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let pointer: PointOnScreen | null = null;
  let wasInCorner = false;

  function asking(): Asking | null {
    const desk = presentDesk();
    const { open, openMore, moment, isNow } = useConditions.getState();
    const screens = useScene.getState().scene?.screens ?? [];
    return desk && { desk, screens, pointer, focused: focusedEdge(), open, openMore, moment, isNow };
  }

  function look(): void {
    clearTimeout(timer);
    const now = performance.now();
    const asked = asking();
    if (!asked) return;
    const { states: after, out, next } = presentAt(states, asked, now);
    states = after;
    const known = useConditions.getState().out;
    if (known === null || known.join() !== out.join()) useConditions.getState().setOut(out);
    if (Number.isFinite(next)) timer = setTimeout(look, Math.max(0, next - now) + 1);
  }

  /** Opens the overview as the pointer comes into its corner: whoever stays there does not open and close it by turns. */
  function askCorner(): void {
    const asked = asking();
    if (!asked?.pointer) return;
    const isIn = isInCorner(asked);
    if (isIn && !wasInCorner) deskActions.perform('overview');
    wasInCorner = isIn;
  }

  function onKeyDown(event: KeyboardEvent): void {
    const isTyping =
      event.target instanceof Element &&
      event.target.matches('input, textarea, select, [contenteditable="true"]');
    if (event.key.toUpperCase() !== CALL_KEY || event.ctrlKey || event.metaKey || event.altKey || isTyping)
      return;
    const desk = presentDesk();
    if (!desk) return;
    const called = calledAt(states, desk, performance.now());
    states = called.states;
    useConditions.getState().setOut(called.out);
    // It stays until the pointer or the focus has been on it and is gone again.
    clearTimeout(timer);
    event.preventDefault();
  }

  const options = { signal: stopping.signal, capture: true };
  addEventListener(
    'pointermove',
    ({ clientX, clientY }) => {
      pointer = pointOnScreen(clientX, clientY);
      askCorner();
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

/** The edge that holds the focus where it is seen. */
function focusedEdge(): string | null {
  const { activeElement } = document;
  const edge = activeElement?.closest<HTMLElement>('[data-edge]')?.dataset['edge'];
  return edge !== undefined && activeElement?.matches(':focus-visible') ? edge : null;
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
