import type { Desk } from '../../../core/desk/desk.ts';
import { isSame } from '../../../core/desk/differences.ts';
import type { Edit } from '../../../core/desk/edits/edit.ts';
import { edits } from '../../../core/desk/edits/edits.ts';
import { wrongChange, wrongValue } from '../../../core/desk/gate.ts';
import {
  dropGesture,
  edit,
  endGesture,
  goTo,
  redo,
  startHistory,
  takeBack,
  turnGesture,
  undo,
  type History,
} from '../../../core/desk/history.ts';
import { problemText, type Problem } from '../../../core/desk/problem.ts';
import type { StoredDesk } from '../../../core/wire/wire.ts';
import { createSaver, type SaverPorts, type SavingState } from './saver.ts';
import { keepHistory, readHistory } from './kept-history.ts';
import type { Keep } from '../../browser-keep.ts';
import type { Unsaved } from './unsaved.ts';

export interface SessionPorts extends Omit<SaverPorts, 'onState'> {
  create(desk: Desk): Promise<StoredDesk>;
  /** Keeps what lasts as long as the window's tab. */
  tab: Keep;
  onHistory(history: History<Desk>): void;
  onSaving(saving: SavingState): void;
  /** A change was not taken, and why. */
  onRefused(sentence: string): void;
}

/**
 * A desk that is open, from its opening to its end: its history, and its saving. Whatever changes it comes through
 * here, and is taken only when it leaves a desk that can be saved.
 */
export function openSession(ports: SessionPorts, stored: StoredDesk, unsaved: Unsaved | null) {
  const isUnsavedWork = unsaved !== null && !isSame(unsaved.desk, stored.desk);
  const kept = readHistory(ports.tab, isUnsavedWork ? unsaved.desk : stored.desk);
  let history = kept ?? startHistory(stored.desk);
  const saver = createSaver(
    { ...ports, onState: ports.onSaving },
    stored,
    isUnsavedWork ? unsaved.unanswered : [],
  );

  function restart(desk: Desk): void {
    history = startHistory(desk);
    ports.onHistory(history);
  }

  /** Takes a change of the history; says whether it was taken. */
  function take(make: (history: History<Desk>) => History<Desk>): boolean {
    const next = make(history);
    if (next === history) return true;
    const wrong = wrongIn(history, next);
    if (wrong) {
      ports.onRefused(problemText(wrong));
      // What a gesture has come to can't be kept: it ends where it began.
      if (!next.gesture && history.gesture) take(dropGesture);
      return false;
    }
    history = next;
    ports.onHistory(history);
    // A gesture under way is not saved: only its end is a change.
    if (!history.gesture) saver.change(history.present);
    else if (!history.gesture.isOnlyShown) saver.expect();
    return true;
  }

  ports.onHistory(history);
  ports.onSaving({ state: 'kept', at: stored.savedAt, revision: stored.revision });
  if (isUnsavedWork) {
    // What an earlier page could not save: with the steps that led to it, or as one that can be undone.
    if (kept) saver.change(kept.present);
    else take((before) => edit(before, 'Unsaved work', edits.replace(unsaved.desk).apply));
    const isOwn = unsaved.unanswered?.some((sent) => isSame(sent, stored.desk));
    if (unsaved.basedOn !== stored.revision && !isOwn) saver.ask(stored);
  }

  /** Keeps the steps for the next page of this tab: what was under way ends, and what was only shown is no step. */
  function keep(): void {
    take(history.gesture?.isOnlyShown ? dropGesture : endGesture);
    keepHistory(ports.tab, history);
  }

  return {
    id: stored.desk.id,
    /** One edit, one step. */
    edit: ({ label, apply }: Edit) => take((before) => edit(before, label, apply)),
    /** A turn of a gesture; endGesture makes it one step. */
    turn: ({ label, apply }: Edit) => take((before) => turnGesture(before, label, apply)),
    /** Shows what would be; whatever is done next drops it. */
    show: ({ label, apply }: Edit) => take((before) => turnGesture(before, label, apply, true)),
    endGesture: () => void take(endGesture),
    dropGesture: () => void take(dropGesture),
    goTo: (done: number) => void take((before) => goTo(before, done)),
    /** Undoes one step, wherever it stands. */
    takeBack: (step: number) => take((before) => takeBack(before, step)),
    undo: () => void take(undo),
    redo: () => void take(redo),
    wake: () => saver.wake(),
    send: () => saver.send(),
    keep,
    isNewer: (revision: number) => revision > saver.revision(),
    /** Whether something here would be lost if another state were taken. */
    isUnsaved: () => saver.isUnsaved() || (history.gesture !== null && !history.gesture.isOnlyShown),
    /** Takes a state that was saved elsewhere. */
    adopt(newer: StoredDesk): void {
      saver.adopt(newer);
      restart(newer.desk);
    },
    async resolve(choice: 'mine' | 'theirs' | 'both', theirs: StoredDesk): Promise<void> {
      if (choice === 'mine') {
        saver.overrule(theirs);
        return;
      }
      if (choice === 'both') await ports.create(history.present);
      saver.adopt(theirs);
      restart(theirs.desk);
    },
    /** Sends what is unsaved, and ends; over once nothing is under way any more. */
    close(): Promise<void> {
      keep();
      return saver.finish();
    },
  };
}

export type Session = ReturnType<typeof openSession>;

/** What is wrong with where a change leads; null when nothing is. States that were there before are right. */
function wrongIn(before: History<Desk>, after: History<Desk>): Problem | null {
  const base = before.gesture?.base ?? before.present;
  if (after.gesture) return wrongValue(base, after.present);
  return after.past.length > before.past.length ? wrongChange(base, after.present) : null;
}
