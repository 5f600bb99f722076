import { produce, type Draft } from 'immer';
import { differencesOf, withDifferences } from './differences.ts';
import { shareUnchanged } from '../values/share.ts';

/** A change to a document, made on a draft. */
export type Recipe<T> = (draft: Draft<T>) => void;

/** A step, and the document on its other side: as it was before it, or, of a step that was undone, as it was after. */
export interface Step<T> {
  /** Of this history alone. */
  id: number;
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
  /** How many steps were ever done. */
  count: number;
  gesture: { base: T; label: string; isOnlyShown: boolean } | null;
}

export function startHistory<T>(present: T): History<T> {
  return { present, past: [], future: [], count: 0, gesture: null };
}

/** One edit, one step. An edit that changes nothing leaves the history as it is. */
export function edit<T>(history: History<T>, label: string, recipe: Recipe<T>): History<T> {
  const settled = settle(history);
  return record(settled, label, edited(settled.present, recipe));
}

/** A document with an edit made on it; the very same where that changes nothing. */
export function edited<T>(base: T, recipe: Recipe<T>): T {
  // What was written anew but is the same counts as the same.
  return shareUnchanged(
    base,
    produce(base, (draft: Draft<T>) => void recipe(draft)),
  );
}

function record<T>(history: History<T>, label: string, present: T): History<T> {
  const before = history.present;
  if (present === before) return history;
  const id = history.count + 1;
  return {
    present,
    past: [...history.past, { id, label, state: before }],
    future: [],
    count: id,
    gesture: null,
  };
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
  // What is only shown and what is done don't go on from one another.
  const from = history.gesture && history.gesture.isOnlyShown !== isOnlyShown ? settle(history) : history;
  const base = from.gesture?.base ?? from.present;
  const present = edited(base, recipe);
  if (!from.gesture && present === base) return from;
  return { ...from, present, gesture: { base, label, isOnlyShown } };
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
    ...settled,
    present: step.state,
    past: settled.past.slice(0, -1),
    future: [{ ...step, state: settled.present }, ...settled.future],
  };
}

export function redo<T>(history: History<T>): History<T> {
  const settled = settle(history);
  const [step, ...future] = settled.future;
  if (!step) return settled;
  return {
    ...settled,
    present: step.state,
    past: [...settled.past, { ...step, state: settled.present }],
    future,
  };
}

/** Goes back or forward until so many steps are done. */
export function goTo<T>(history: History<T>, done: number): History<T> {
  let at = settle(history);
  while (at.past.length > done) at = undo(at);
  while (at.past.length < done && at.future.length > 0) at = redo(at);
  return at;
}

/**
 * Undoes one step wherever it stands, and leaves what was done since: a step of its own, unless it is the newest. A step
 * that is not done any more is left alone.
 */
export function takeBack<T>(history: History<T>, id: number): History<T> {
  const settled = settle(history);
  const index = settled.past.findIndex((step) => step.id === id);
  const step = settled.past[index];
  if (!step) return settled;
  if (index === settled.past.length - 1) return undo(settled);
  const after = settled.past[index + 1]?.state ?? settled.present;
  const back = differencesOf(after, step.state);
  const present = shareUnchanged(settled.present, withDifferences(settled.present, back));
  return record(settled, `Take back: ${step.label}`, present);
}
