import { create } from 'zustand';
import type { Desk } from '../../core/desk/desk.ts';
import type { Edit } from '../../core/desk/edits/edit.ts';
import type { History } from '../../core/desk/history.ts';
import type { Saved, StoredDesk } from '../../core/wire/wire.ts';
import { ServerGone, ServerProblem, api } from '../api/client.ts';
import { browserKeep, tabKeep } from '../browser-keep.ts';
import { changesBetween } from './saving/changes.ts';
import { watchGestures } from './gestures.ts';
import { asArranged, whileArranged } from './arranged.ts';
import { awaitBehind } from './behind.ts';
import { useConditions } from './conditions.ts';
import { prepareDrawing } from './drawing.ts';
import type { SavingState } from './saving/saver.ts';
import { openSession, type Session, type SessionPorts } from './saving/session.ts';
import { alsoLater, persist } from '../later.ts';
import { forgetRescued, hasRescued, hasUnsaved, type Rescued, type Unsaved } from './saving/unsaved.ts';

/** The session of this page, as components see it: one desk is open at a time. */
interface DeskState {
  history: History<Desk> | null;
  saving: SavingState;
  /** Why there is no desk to show. */
  failure: string | null;
  /** The newest change that was not taken, and why. */
  refusal: { sentence: string } | null;
  /** Work of an earlier page that can't be opened. */
  rescued: Rescued | null;
  open(id: string): Promise<void>;
  close(): void;
  /** One edit, one step. False when it was not taken. */
  edit(edit: Edit): boolean;
  /** A turn of a gesture; endGesture makes it one step. */
  turn(edit: Edit): boolean;
  /** Shows what would be; whatever is done next drops it. */
  show(edit: Edit): boolean;
  endGesture(): void;
  dropGesture(): void;
  undo(): void;
  /** Undoes one step, by its id, and leaves what was done since. */
  takeBack(step: number): boolean;
  /** Goes back or forward until so many steps are done. */
  goTo(done: number): void;
  redo(): void;
  /** The desk was saved elsewhere. */
  hearOf(revision: number): Promise<'same' | 'taken' | 'unsaved'>;
  resolve(choice: 'mine' | 'theirs' | 'both'): Promise<void>;
  /** Asks the saver to try again. */
  wake(): void;
  letGoOfRescued(): void;
}

let session: Session | null = null;
/** The history of the session, as the document stands. */
let opened: History<Desk> | null = null;
/** Counts openings and closings: an answer that comes after another one began is nobody's any more. */
let opening = 0;
/** The last save of a session that was closed: whoever opens the desk again waits for what came of it. */
let leaving: Promise<void> = Promise.resolve();

/** What reads work that an earlier page left, with all that it is checked by: hardly ever needed. */
const reading = () => persist(() => import('./saving/unsaved-reading.ts'));
// It must be here when the server has gone.
alsoLater(() => import('./saving/unsaved-reading.ts'));

/** Saves by what changed, as far as that is little: it goes on when its page is left, and no desk is sent for one move. */
async function saveDesk(desk: Desk, basedOn: number, base: Desk | null): Promise<Saved> {
  const changes = base && changesBetween(base, desk);
  if (!changes) return api.save(desk, basedOn);
  try {
    return await api.saveChanges(desk.id, changes, basedOn);
  } catch (error) {
    // Whether it is the changes that don't fit or the desk itself, the whole of it tells.
    if (!(error instanceof ServerProblem && error.status === 422)) throw error;
    return api.save(desk, basedOn);
  }
}

const fresh = { history: null, failure: null, refusal: null, rescued: null };

export const useDesk = create<DeskState>()((set, get) => {
  const ports: SessionPorts = {
    save: saveDesk,
    create: api.create,
    storage: browserKeep,
    tab: tabKeep,
    later: (run, ms) => {
      const timer = setTimeout(run, ms);
      return () => clearTimeout(timer);
    },
    onHistory(history) {
      opened = history;
      set({ history: asArranged(history) });
    },
    onSaving: (saving) => set({ saving }),
    onRefused: (sentence) => set({ refusal: { sentence } }),
  };

  const driven = createDriven(() => get().history);

  return {
    ...fresh,
    saving: { state: 'kept', at: 0, revision: 0 },

    async open(id) {
      get().close();
      const mine = ++opening;
      await leaving;
      const unsaved = hasUnsaved(browserKeep, id) ? (await reading()).readUnsaved(browserKeep, id) : null;
      let answer = await fetchDesk(id, unsaved);
      while ('failure' in answer) {
        if (mine !== opening) return;
        set({ failure: answer.failure });
        if (!answer.isGone) return;
        await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
        if (mine !== opening) return;
        answer = await fetchDesk(id, unsaved);
      }
      if (mine !== opening) return;
      set({ failure: null });
      const behindIsKnown = awaitBehind(answer.desk);
      await prepareDrawing(answer.desk);
      await behindIsKnown();
      if (mine !== opening) return;
      session = openSession(ports, answer, unsaved);
      if (!hasRescued(browserKeep, id)) return;
      const { readRescued } = await reading();
      if (mine === opening) set({ rescued: readRescued(browserKeep, id) });
    },

    close() {
      opening++;
      if (session) leaving = session.close();
      session = null;
      opened = null;
      set(fresh);
    },

    edit: (edit) => driven.done((open) => open.edit(arranged(edit))) ?? false,
    turn: (edit) => driven.turned(edit),
    show: (edit) => session?.show(arranged(edit)) ?? false,
    endGesture: () => session?.endGesture(),
    dropGesture: () => session?.dropGesture(),
    undo: () => driven.done((open) => open.undo()),
    redo: () => driven.done((open) => open.redo()),
    takeBack: (step) => driven.done((open) => open.takeBack(step)) ?? false,
    goTo: (done) => driven.done((open) => open.goTo(done)),

    async hearOf(revision) {
      const open = session;
      if (!open?.isNewer(revision)) return 'same';
      if (open.isUnsaved()) return 'unsaved';
      const stored = await api.desk(open.id);
      if (open !== session) return 'same';
      if (open.isUnsaved()) return 'unsaved';
      open.adopt(stored);
      return 'taken';
    },

    async resolve(choice) {
      const { saving } = get();
      if (saving.state === 'conflict') await session?.resolve(choice, saving.theirs);
    },

    wake: () => session?.wake(),

    letGoOfRescued() {
      if (session) forgetRescued(browserKeep, session.id);
      set({ rescued: null });
    },
  };
});

/** A change as it is made under the conditions of now. */
const arranged = (edit: Edit) =>
  opened ? whileArranged(opened.gesture?.base ?? opened.present, edit) : edit;

// Another arrangement may be on with another moment, half or workspace.
useConditions.subscribe(() => {
  if (!opened || opened.present.arrangements.list.length === 0) return;
  const history = asArranged(opened);
  if (history !== useDesk.getState().history) useDesk.setState({ history });
});

/** Gestures by what drives them: one that something else ended is over, though its pointer may still be down. */
function createDriven(historyNow: () => History<Desk> | null) {
  let isSpent = false;
  const isUnderWay = () => historyNow()?.gesture?.isOnlyShown === false;
  const watch = watchGestures(
    () => {
      if (isUnderWay()) session?.endGesture();
    },
    () => (isSpent = false),
  );
  return {
    done<Result>(change: (open: Session) => Result): Result | undefined {
      if (isUnderWay() && watch.isHeld()) isSpent = true;
      return session ? change(session) : undefined;
    },
    turned(edit: Edit): boolean {
      if (isSpent) return true;
      watch.turned();
      return session?.turn(arranged(edit)) ?? false;
    },
  };
}

/** The desk from the server; while that is gone, what an earlier page left in this browser. */
async function fetchDesk(id: string, unsaved: Unsaved | null): Promise<StoredDesk | Failure> {
  try {
    return await api.desk(id);
  } catch (error) {
    if (error instanceof ServerGone && unsaved)
      return { desk: unsaved.desk, revision: unsaved.basedOn, savedAt: 0 };
    const isMissing = error instanceof ServerProblem && error.status === 404;
    return {
      failure: isMissing ? 'This desk is not on the shelf any more.' : (error as Error).message,
      isGone: error instanceof ServerGone,
    };
  }
}

interface Failure {
  failure: string;
  /** The server did not answer: it may later. */
  isGone: boolean;
}

/** Until a server that is gone is asked again for a desk that nothing is known of. */
const TRY_AGAIN_MS = 1500;

export function presentDesk(): Desk | null {
  return useDesk.getState().history?.present ?? null;
}

// A page that goes away hands over what is not saved yet.
addEventListener('pagehide', () => {
  session?.keep();
  void session?.send();
});
