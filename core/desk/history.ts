import { applyPatches, enablePatches, produce, produceWithPatches, type Draft, type Patch } from 'immer';

enablePatches();

/** A change to a document, made on a draft. */
export type Recipe<T> = (draft: Draft<T>) => void;

export interface Step {
  label: string;
  patches: Patch[];
  inverse: Patch[];
}

/**
 * A document with what was done to it. `gesture` is a change under way: every turn of it starts from `base`. One that
 * only shows what would be is dropped by whatever is done next; any other is done by then.
 */
export interface History<T> {
  present: T;
  past: readonly Step[];
  future: readonly Step[];
  gesture: { base: T; label: string; isOnlyShown: boolean } | null;
}

export function startHistory<T>(present: T): History<T> {
  return { present, past: [], future: [], gesture: null };
}

/** One edit, one step. An edit that changes nothing leaves the history as it is. */
export function edit<T>(history: History<T>, label: string, recipe: Recipe<T>): History<T> {
  const settled = settle(history);
  return record(settled, settled.present, label, recipe);
}

function record<T>(history: History<T>, base: T, label: string, recipe: Recipe<T>): History<T> {
  const [present, patches, inverse] = produceWithPatches(base, (draft: Draft<T>) => void recipe(draft));
  if (patches.length === 0) return history;
  return { present, past: [...history.past, { label, patches, inverse }], future: [], gesture: null };
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
  const present = produce(base, (draft: Draft<T>) => void recipe(draft));
  if (!history.gesture && present === base) return history;
  return { ...history, present, gesture: { base, label, isOnlyShown } };
}

/** Makes the gesture's last turn a step. */
export function endGesture<T>(history: History<T>): History<T> {
  const { gesture, present } = history;
  if (!gesture) return history;
  const settled = { ...history, present: gesture.base, gesture: null };
  return record(settled, gesture.base, gesture.label, (draft) => replaceFields(draft, present));
}

/** Puts the document back as it was when the gesture began. */
export function dropGesture<T>(history: History<T>): History<T> {
  return history.gesture ? { ...history, present: history.gesture.base, gesture: null } : history;
}

function replaceFields<T>(draft: Draft<T>, wanted: T): void {
  Object.assign(draft as object, wanted);
}

export function undo<T>(history: History<T>): History<T> {
  const settled = settle(history);
  const step = settled.past.at(-1);
  if (!step) return settled;
  return {
    present: applyPatches(settled.present as object, step.inverse) as T,
    past: settled.past.slice(0, -1),
    future: [step, ...settled.future],
    gesture: null,
  };
}

export function redo<T>(history: History<T>): History<T> {
  const settled = settle(history);
  const [step, ...future] = settled.future;
  if (!step) return settled;
  return {
    present: applyPatches(settled.present as object, step.patches) as T,
    past: [...settled.past, step],
    future,
    gesture: null,
  };
}
