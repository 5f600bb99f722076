import { create } from 'zustand';
import type { WidgetType } from '../../core/widgets/list.ts';
import type { Point } from '../../core/values/geometry.ts';
import { currentScreen } from '../stores/screen.ts';
import { useView } from '../stores/view.ts';
import { addWidget } from './acts.ts';

/** A press that goes farther than this is a drag, px. */
const THRESHOLD = 6;

export interface Card {
  widget: WidgetType;
  face: string;
}

/** The card that hangs from the pointer, and where on the page: the one on the column may go meanwhile. */
export const useCardInHand = create<{ held: (Card & { at: Point }) | null }>(() => ({ held: null }));

/** Takes a card that is pressed: it is dragged from here on, whatever becomes of the one on the column. */
export function takeCard(card: Card, down: { pointerId: number; clientX: number; clientY: number }): void {
  const stopping = new AbortController();
  const { signal } = stopping;
  const isHeld = () => useCardInHand.getState().held !== null;
  function letGo(): void {
    stopping.abort();
    useCardInHand.setState({ held: null });
    useView.setState({ target: null });
  }
  function onMove({ pointerId, clientX, clientY }: PointerEvent): void {
    if (pointerId !== down.pointerId) return;
    const far = Math.hypot(clientX - down.clientX, clientY - down.clientY);
    if (!isHeld() && far < THRESHOLD) return;
    const at = { x: clientX, y: clientY };
    useCardInHand.setState({ held: { ...card, at } });
    useView.setState({ target: frameUnder(at)?.id ?? null });
  }
  function onUp({ pointerId, clientX, clientY }: PointerEvent): void {
    if (pointerId !== down.pointerId) return;
    const frame = isHeld() ? frameUnder({ x: clientX, y: clientY }) : null;
    // What is let go over its own card was not meant to be added by a press.
    if (isHeld()) swallowClick();
    letGo();
    if (frame) dropOn(frame, card, { x: clientX, y: clientY });
  }
  function onKeyDown(event: KeyboardEvent): void {
    if (event.key !== 'Escape' || !isHeld()) return;
    event.stopPropagation();
    letGo();
    swallowClick(true);
  }
  const options = { signal, capture: true };
  addEventListener('pointermove', onMove, options);
  addEventListener('pointerup', onUp, options);
  addEventListener('pointercancel', letGo, options);
  addEventListener('keydown', onKeyDown, options);
}

/** The click that follows the pointer's coming up, should one come. */
function swallowClick(isStillDown = false): void {
  const stopping = new AbortController();
  const stop = () => setTimeout(() => stopping.abort());
  addEventListener('click', (event) => event.stopPropagation(), { capture: true, signal: stopping.signal });
  if (isStillDown) addEventListener('pointerup', stop, { capture: true, once: true });
  else stop();
}

interface Frame {
  id: string;
  box: DOMRect;
}

/** The screen that a point of the page lies on; null beside the stage, under which a near desk goes on. */
function frameUnder({ x, y }: Point): Frame | null {
  const isIn = (box: DOMRect) => x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
  const area = document.querySelector('[data-stage-area]')?.getBoundingClientRect();
  if (!area || !isIn(area)) return null;
  for (const element of document.querySelectorAll<HTMLElement>('[data-frame]')) {
    const box = element.getBoundingClientRect();
    if (isIn(box)) return { id: element.dataset['frame'] ?? '', box };
  }
  return null;
}

/** A widget stands where its card was let go: about the pointer. */
function dropOn({ id, box }: Frame, { widget, face }: Card, { x, y }: Point): void {
  useView.getState().showScreen(id);
  const scale = box.width / (currentScreen()?.rect.width ?? box.width);
  addWidget(widget, face, { x: (x - box.left) / scale, y: (y - box.top) / scale });
}
