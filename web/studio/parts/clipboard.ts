import { whereaboutsOf } from '../../../core/scene/parts.ts';
import { nanoid } from 'nanoid';
import { useEffect } from 'react';
import { edits } from '../../../core/desk/edits/edits.ts';
import { readParts, writeParts } from '../../../core/desk/parts-text.ts';
import { presentDesk, useDesk } from '../../session/desk.ts';

import { currentScreen } from '../../stores/screen.ts';
import { useView } from '../../stores/view.ts';
import { toast } from '../../ui/toast.ts';
import { removeSelection, selectedParts } from './acts.ts';

/** Px by which a copy stands off from what it is a copy of. */
const STEP = 24;

/** What was copied last, where the browser lets nobody read its clipboard. */
let last = '';

/** What is selected, as text; null when nothing is. */
function copied(): string | null {
  const desk = presentDesk();
  const screen = currentScreen();
  const { selection } = useView.getState();
  if (!desk || !screen || selection.length === 0) return null;
  return (last = writeParts(desk, selection, whereaboutsOf(screen)));
}

function paste(text: string): void {
  const desk = presentDesk();
  const screen = currentScreen();
  const carried = readParts(text);
  if (!desk || !screen || !carried) return;
  if ('problem' in carried) {
    toast.warning(`What was copied can’t be put here: ${carried.problem}.`);
    return;
  }
  const { edge, item } = selectedParts();
  const here = new Set(desk.widgets.map(({ id }) => id));
  const landed: string[] = [];
  const landing = {
    screen: screen.id,
    edge: edge?.id ?? item?.edge.id ?? screen.edges[0]?.id ?? null,
    off: carried.widgets.some(({ id }) => here.has(id)) ? STEP : 0,
    newId: () => nanoid(8),
  };
  if (!useDesk.getState().edit(edits.paste(carried, landing, landed))) return;
  if (landed.length === 0) toast('An item needs a panel or a dock to stand on: add one first.');
  else useView.getState().select(landed, carried.widgets.length > 0 ? 'widgets' : 'edges');
}

/** From a menu or a command: through the browser's clipboard where it lets one. */
export function copySelection(): void {
  const text = copied();
  if (text !== null) navigator.clipboard?.writeText(text).catch(() => undefined);
}

export function cutSelection(): void {
  copySelection();
  removeSelection();
}

export function pasteParts(): void {
  const read = navigator.clipboard?.readText() ?? Promise.reject(new Error('no clipboard'));
  void read.then(
    (text) => paste(readParts(text) ? text : last),
    () => paste(last),
  );
}

function isElsewhere(target: EventTarget | null): boolean {
  const isText =
    target instanceof HTMLElement && target.closest('input, textarea, [contenteditable], [role=dialog]');
  return Boolean(isText) || useView.getState().mode === 'try' || String(getSelection()) !== '';
}

/** The browser's own copy, cut and paste, for as long as the studio is shown. */
export function useClipboard(): void {
  useEffect(() => {
    const stopping = new AbortController();
    const hear = (name: 'copy' | 'cut' | 'paste', heard: (event: ClipboardEvent) => void) =>
      document.addEventListener(name, (event) => isElsewhere(event.target) || heard(event), {
        signal: stopping.signal,
      });
    function carry(event: ClipboardEvent): boolean {
      const text = copied();
      if (text === null) return false;
      event.clipboardData?.setData('text/plain', text);
      event.preventDefault();
      return true;
    }
    hear('copy', carry);
    hear('cut', (event) => carry(event) && removeSelection());
    hear('paste', (event) => {
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (!readParts(text)) return;
      event.preventDefault();
      paste(text);
    });
    return () => stopping.abort();
  }, []);
}
