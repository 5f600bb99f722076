import { create } from 'zustand';
import type { Desk } from '../../core/desk/schema.ts';
import {
  dropGesture,
  edit,
  endGesture,
  redo,
  startHistory,
  turnGesture,
  undo,
  type History,
  type Recipe,
} from '../../core/desk/history.ts';
import { ServerGone, ServerProblem, api, type StoredDesk } from '../api/client.ts';
import { prepareDrawing } from './drawing.ts';
import { createSaver, readUnsaved, type Saver, type SavingState } from '../saving/saver.ts';

/** The desk being edited: the document with its history, and how its saving stands. */
interface DeskState {
  history: History<Desk> | null;
  saving: SavingState;
  /** Why there is no desk to show. */
  failure: string | null;
  open(id: string): Promise<void>;
  close(): void;
  /** One edit, one step. */
  edit(label: string, recipe: Recipe<Desk>): void;
  /** A turn of a gesture; endGesture makes it one step. */
  turn(label: string, recipe: Recipe<Desk>): void;
  /** Shows what would be; whatever is done next drops it. */
  show(label: string, recipe: Recipe<Desk>): void;
  endGesture(): void;
  dropGesture(): void;
  undo(): void;
  redo(): void;
  /** The desk was saved elsewhere. */
  hearOf(revision: number): Promise<'same' | 'taken' | 'unsaved'>;
  resolve(choice: 'mine' | 'theirs' | 'both'): Promise<void>;
  /** Asks the saver to try again. */
  wake(): void;
}

let saver: Saver | null = null;

export const useDesk = create<DeskState>()((set, get) => {
  function startSaver(stored: StoredDesk): void {
    saver?.stop();
    saver = createSaver(
      {
        save: api.save,
        storage: localStorage,
        onState: (saving) => set({ saving }),
        later: (run, ms) => {
          const timer = setTimeout(run, ms);
          return () => clearTimeout(timer);
        },
      },
      stored,
    );
  }

  function change(make: (history: History<Desk>) => History<Desk>): void {
    const before = get().history;
    if (!before) return;
    const history = make(before);
    if (history === before) return;
    set({ history });
    // A gesture under way is not saved: only its end is a change.
    if (!history.gesture) saver?.change(history.present);
  }

  return {
    history: null,
    saving: { state: 'kept', at: 0, revision: 0 },
    failure: null,

    async open(id) {
      set({ history: null, failure: null });
      const unsaved = readUnsaved(localStorage, id);
      let stored: StoredDesk;
      try {
        stored = await api.desk(id);
      } catch (error) {
        if (!(error instanceof ServerGone) || !unsaved) {
          const isMissing = error instanceof ServerProblem && error.status === 404;
          set({ failure: isMissing ? 'This desk is not on the shelf any more.' : (error as Error).message });
          return;
        }
        stored = { desk: unsaved.desk, revision: unsaved.basedOn, savedAt: 0 };
      }
      await prepareDrawing(stored.desk);
      startSaver(stored);
      set({
        history: startHistory(stored.desk),
        saving: { state: 'kept', at: stored.savedAt, revision: stored.revision },
      });
      if (!unsaved || JSON.stringify(unsaved.desk) === JSON.stringify(stored.desk)) return;
      // What an earlier page could not save comes back as a step that can be undone.
      get().edit('Unsaved work', (draft) => void Object.assign(draft, unsaved.desk));
      if (unsaved.basedOn !== stored.revision) set({ saving: { state: 'conflict', theirs: stored } });
    },

    close() {
      void saver?.send();
      saver?.stop();
      saver = null;
      set({ history: null, failure: null });
    },

    edit: (label, recipe) => change((history) => edit(history, label, recipe)),
    turn: (label, recipe) => change((history) => turnGesture(history, label, recipe)),
    show: (label, recipe) => change((history) => turnGesture(history, label, recipe, true)),
    endGesture: () => change(endGesture),
    dropGesture: () => change(dropGesture),
    undo: () => change(undo),
    redo: () => change(redo),

    async hearOf(revision) {
      const { history } = get();
      if (!history || !saver || revision <= saver.revision()) return 'same';
      if (saver.isUnsaved() || (history.gesture && !history.gesture.isOnlyShown)) return 'unsaved';
      const stored = await api.desk(history.present.id);
      if (saver.isUnsaved()) return 'unsaved';
      saver.adopt(stored);
      set({ history: startHistory(stored.desk) });
      return 'taken';
    },

    async resolve(choice) {
      const { history, saving } = get();
      if (!history || !saver || saving.state !== 'conflict') return;
      const { theirs } = saving;
      if (choice === 'mine') {
        saver.overrule(theirs);
        return;
      }
      if (choice === 'both') await api.create(history.present);
      saver.adopt(theirs);
      set({ history: startHistory(theirs.desk) });
    },

    wake: () => saver?.wake(),
  };
});

export function presentDesk(): Desk | null {
  return useDesk.getState().history?.present ?? null;
}

// A page that goes away hands over what is not saved yet.
addEventListener('pagehide', () => void saver?.send());
