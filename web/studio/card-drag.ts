import { nanoid } from 'nanoid';
import { create } from 'zustand';
import { createItem } from '../../core/desk/defaults.ts';
import { named } from '../../core/desk/edits/edit.ts';
import { edits } from '../../core/desk/edits/edits.ts';
import type { WidgetType } from '../../core/widgets/list.ts';
import type { Point } from '../../core/values/geometry.ts';
import { presentDesk, useDesk } from '../session/desk.ts';
import { useScene } from '../session/scene.ts';
import { useView } from '../stores/view.ts';
import { slotAt } from './stage/drag/slot.ts';
import { addWidget } from './parts/acts.ts';

/** A press that goes farther than this is a drag, px. */
const THRESHOLD = 6;

/** A face of a widget, or an application. */
export type Card =
  { by: 'face'; widget: WidgetType; face: string } | { by: 'application'; application: string };

/** The card that hangs from the pointer, and where on the page: the one on the column may go meanwhile. */
export const useCardInHand = create<{ held: (Card & { at: Point }) | null }>(() => ({ held: null }));

/** Takes a card that is pressed: it is dragged from here on, whatever becomes of the one on the column. */
export function takeCard(card: Card, down: { pointerId: number; clientX: number; clientY: number }): void {
  const stopping = new AbortController();
  const { signal } = stopping;
  const isHeld = () => useCardInHand.getState().held !== null;
  const item = nanoid(8);
  function letGo(): void {
    stopping.abort();
    useDesk.getState().dropGesture();
    useCardInHand.setState({ held: null });
    useView.setState({ target: null });
  }
  function onMove({ pointerId, clientX, clientY }: PointerEvent): void {
    if (pointerId !== down.pointerId) return;
    const far = Math.hypot(clientX - down.clientX, clientY - down.clientY);
    if (!isHeld() && far < THRESHOLD) return;
    const at = { x: clientX, y: clientY };
    useCardInHand.setState({ held: { ...card, at } });
    const frame = frameUnder(at);
    useView.setState({ target: frame?.id ?? null });
    if (card.by === 'application') showOnEdge(frame, card.application, item, at);
  }
  function onUp({ pointerId, clientX, clientY }: PointerEvent): void {
    if (pointerId !== down.pointerId) return;
    const at = { x: clientX, y: clientY };
    const frame = isHeld() ? frameUnder(at) : null;
    // What is let go over its own card was not meant to be added by a press.
    if (isHeld()) swallowClick();
    // Where it is shown among the items it stays.
    useDesk.getState().endGesture();
    letGo();
    if (frame && card.by === 'face') dropOn(frame, card, at);
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
function dropOn(frame: Frame, { widget, face }: Card & { by: 'face' }, page: Point): void {
  useView.getState().showScreen(frame.id);
  addWidget(widget, face, placeIn(frame, page).at);
}

/** A point of the page as one of a screen, and how large that is drawn. */
function placeIn({ id, box }: Frame, { x, y }: Point) {
  const screen = useScene.getState().scene?.screens.find((one) => one.id === id);
  const scale = box.width / (screen?.rect.width ?? box.width);
  return { screen, scale, at: { x: (x - box.left) / scale, y: (y - box.top) / scale } };
}

/** An application stands among the items of the edge that it is over, as it would if it were let go; off all, nowhere. */
function showOnEdge(frame: Frame | null, application: string, item: string, page: Point): void {
  const place = frame && placeIn(frame, page);
  const slot = place && slotAt(place.screen, place.at, place.scale, item);
  if (!slot) {
    useDesk.getState().dropGesture();
    return;
  }
  const added = createItem(item, 'application', { application });
  const name = presentDesk()?.applications.find(({ id }) => id === application)?.Name ?? 'an application';
  useDesk.getState().turn(named(`Add ${name}`, edits.addItem(slot.edge, added, slot.index)));
}
