import { produce, type Draft } from 'immer';
import { shareUnchanged } from '../values/share.ts';

/** A change to a document, made on a draft. */
export type Recipe<T> = (draft: Draft<T>) => void;

/** A step, and the document on its other side: as it was before it, or, of a step that was undone, as it was after. */
export interface Step<T> {
  label: string;
  state: T;
}

/**
 * A document with what was done to it. States share whatever is the same in them, so that going back gives the very
 * objects that were there. `gesture` is a change under way: every turn of it starts from `base`. One that only shows
 * what would be is dropped by whatever is done next; any other is done by then.
 */
export interface History<T> {
  present: T;
  past: readonly Step<T>[];
  future: readonly Step<T>[];
  gesture: { base: T; label: string; isOnlyShown: boolean } | null;
}

export function startHistory<T>(present: T): History<T> {
  return { present, past: [], future: [], gesture: null };
}

/** One edit, one step. An edit that changes nothing leaves the history as it is. */
export function edit<T>(history: History<T>, label: string, recipe: Recipe<T>): History<T> {
  const settled = settle(history);
  return record(settled, label, changed(settled.present, recipe));
}

function changed<T>(base: T, recipe: Recipe<T>): T {
  // What was written anew but is the same counts as the same.
  return shareUnchanged(
    base,
    produce(base, (draft: Draft<T>) => void recipe(draft)),
  );
}

function record<T>(history: History<T>, label: string, present: T): History<T> {
  const before = history.present;
  if (present === before) return history;
  return { present, past: [...history.past, { label, state: before }], future: [], gesture: null };
}

function settle<T>(history: History<T>): History<T> {
  return history.gesture?.isOnlyShown ? dropGesture(history) : endGesture(history);
}

/** Shows a gesture's newest turn. However many there are, they become one step at the end. */
export function turnGesture<T>(
  history: History<T>,
  label: string,
  recipe: Recipe<T>,
  isOnlyShown = false,
): History<T> {
  const base = history.gesture?.base ?? history.present;
  const present = changed(base, recipe);
  if (!history.gesture && present === base) return history;
  return { ...history, present, gesture: { base, label, isOnlyShown } };
}

/** Makes the gesture's last turn a step. */
export function endGesture<T>(history: History<T>): History<T> {
  const { gesture, present } = history;
  if (!gesture) return history;
  return record({ ...history, present: gesture.base, gesture: null }, gesture.label, present);
}

/** Puts the document back as it was when the gesture began. */
export function dropGesture<T>(history: History<T>): History<T> {
  return history.gesture ? { ...history, present: history.gesture.base, gesture: null } : history;
}

export function undo<T>(history: History<T>): History<T> {
  const settled = settle(history);
  const step = settled.past.at(-1);
  if (!step) return settled;
  return {
    present: step.state,
    past: settled.past.slice(0, -1),
    future: [{ label: step.label, state: settled.present }, ...settled.future],
    gesture: null,
  };
}

export function redo<T>(history: History<T>): History<T> {
  const settled = settle(history);
  const [step, ...future] = settled.future;
  if (!step) return settled;
  return {
    present: step.state,
    past: [...settled.past, { label: step.label, state: settled.present }],
    future,
    gesture: null,
  };
}
