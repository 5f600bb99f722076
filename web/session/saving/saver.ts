import type { Desk } from '../../../core/desk/desk.ts';
import { isSame } from '../../../core/desk/differences.ts';
import { MOST_UNANSWERED, forgetUnsaved, keepUnsaved } from './unsaved.ts';
import type { Keep } from '../../browser-keep.ts';
import type { Saved, StoredDesk } from '../../../core/wire/wire.ts';
import { ServerGone, ServerProblem } from '../../api/client.ts';

/** What is said of the desk's saving. */
export type SavingState =
  /** The server has what is shown, as this revision. */
  | { state: 'kept'; at: number; revision: number }
  | { state: 'changed' | 'saving' }
  /** The server does not answer. The work lies in this browser, unless that refuses to keep it. */
  | { state: 'gone'; isKeptHere: boolean }
  /** The server can't save just now, and says why; it is tried again. */
  | { state: 'held'; sentence: string; isKeptHere: boolean }
  /** Changed here and elsewhere; somebody must choose. */
  | { state: 'conflict'; theirs: StoredDesk }
  | { state: 'refused'; sentence: string };

export interface SaverPorts {
  /** `base` is what the server has as the revision that the save is based on; null where that is not known to a letter. */
  save(desk: Desk, basedOn: number, base: Desk | null): Promise<Saved>;
  storage: Keep;
  onState(state: SavingState): void;
  /** Runs something later; gives back how to call it off. */
  later(run: () => void, ms: number): () => void;
}

const SAVE_AFTER_MS = 500;
const TRY_AGAIN_MS = 1500;
/** The same where the server is there and has no room. */
const HELD_AGAIN_MS = 5000;

/**
 * Adds a save to those whose answer never came: the server may have any of them, the first that arrived. A page that is
 * left meanwhile must know them again.
 */
function withUnanswered(before: readonly Desk[], sent: Desk): readonly Desk[] {
  return [...before.filter((desk) => desk !== sent), sent].slice(-MOST_UNANSWERED);
}

/**
 * Saves one desk by itself. A change is at once kept in the browser, then sent; while the server is gone it is
 * tried again; a save that others overtook stops everything until someone has chosen. `unanswered` is what an earlier
 * page sent without an answer.
 */
export function createSaver(ports: SaverPorts, first: StoredDesk, unanswered: readonly Desk[] = []) {
  let { desk: saved, revision, savedAt } = first;
  let [newest, isExact] = [saved, true];
  /** The save that is under way. */
  let sending: Promise<void> | null = null;
  /** Somebody is asked which state to keep: until then nothing is sent. */
  let isAsking = false;
  const isUnsaved = () => newest !== saved || unanswered.length > 0;
  const { say, wait, stop, end } = createOutlet(ports);
  const schedule = (ms: number) => !isAsking && wait(() => void send(), ms);
  const keep = () => keepUnsaved(ports.storage, { desk: newest, basedOn: revision, unanswered });

  function change(desk: Desk): void {
    newest = desk;
    // What is undone before it was sent leaves nothing to send.
    if (isUnsaved()) oweIt();
    else if (!sending) settle();
  }

  /** It is kept here at once, and sent soon. */
  function oweIt(): void {
    keep();
    if (!isAsking) say({ state: 'changed' });
    schedule(SAVE_AFTER_MS);
  }

  function settle(): void {
    stop();
    forgetUnsaved(ports.storage, saved.id);
    say({ state: 'kept', at: savedAt, revision });
  }

  /** Over once the save that is under way has its answer. */
  function send(): Promise<void> {
    if (sending) return sending;
    if (isAsking || !isUnsaved()) return Promise.resolve();
    const sent = newest;
    unanswered = withUnanswered(unanswered, sent);
    say({ state: 'saving' });
    sending = ports
      .save(sent, revision, isExact ? saved : null)
      .then((answer) => accept(sent, answer.revision, answer.savedAt, answer.isAsGiven), fail)
      .finally(() => (sending = null));
    return sending;
  }

  /** Sends what is unsaved, and ends; over once nothing is under way any more. */
  async function finish(): Promise<void> {
    end();
    const before = sending;
    await send();
    // What changed after the save that was under way; where that failed, all of it waits in the browser.
    if (before && unanswered.length === 0) await send();
  }

  /** Takes what the server has as what everything is based on from now on. */
  function accept(desk: Desk, number: number, at: number, isAsGiven = true): void {
    [saved, revision, savedAt, isExact] = [desk, number, at, isAsGiven];
    unanswered = [];
    isAsking = false;
    if (newest === saved) settle();
    else oweIt();
  }

  function fail(error: unknown): void {
    const after = afterFailure(error, unanswered);
    if (after.state === 'sent') return accept(after.sent, after.theirs.revision, after.theirs.savedAt);
    if (after.state === 'conflict') return ask(after.theirs);
    if (after.state === 'refused') return say(after);
    say({ ...after, isKeptHere: keep() });
    schedule(after.state === 'gone' ? TRY_AGAIN_MS : HELD_AGAIN_MS);
  }

  /** Somebody must choose between what is here and a state from elsewhere. */
  function ask(theirs: StoredDesk): void {
    stop();
    isAsking = true;
    say({ state: 'conflict', theirs });
  }

  return {
    change,
    ask,
    /** Something is being changed; `change` comes at its end. */
    expect: () => void (!isUnsaved() && !sending && say({ state: 'changed' })),
    send,
    /** Sends what is unsaved soon, as when the server has come back. */
    wake: () => void (isUnsaved() && schedule(0)),
    isUnsaved,
    revision: () => revision,
    /** Takes a newer state of the desk as the one that everything is based on. */
    adopt(stored: StoredDesk): void {
      newest = stored.desk;
      accept(stored.desk, stored.revision, stored.savedAt);
    },
    /** Keeps what is here, over what was saved elsewhere; that stays in the history. */
    overrule: (theirs: StoredDesk) => accept(theirs.desk, theirs.revision, savedAt, false),
    finish,
  };
}

/** What is said, and one thing that waits for its time (a newer one takes its place): both until all is over. */
function createOutlet({ onState, later }: SaverPorts) {
  let isOver = false;
  let stop = () => {};
  return {
    say: (state: SavingState) => void (!isOver && onState(state)),
    wait(run: () => void, ms: number): void {
      stop();
      if (!isOver) stop = later(run, ms);
    },
    stop: () => stop(),
    end(): void {
      isOver = true;
      stop();
    },
  };
}

type Failure =
  | { state: 'gone' }
  | { state: 'held'; sentence: string }
  | { state: 'refused'; sentence: string }
  | { state: 'conflict'; theirs: StoredDesk }
  | { state: 'sent'; sent: Desk; theirs: StoredDesk };

/** What a save that failed comes to, after others that had no answer. */
function afterFailure(error: unknown, own: readonly Desk[]): Failure {
  if (error instanceof ServerGone) return { state: 'gone' };
  // The server's own troubles (a full disk, its hands full) pass.
  if (error instanceof ServerProblem && (error.status >= 500 || error.status === 429))
    return { state: 'held', sentence: error.message };
  if (error instanceof ServerProblem && error.status === 412) {
    const theirs = error.body['current'] as StoredDesk;
    // A save whose answer was lost on the way comes back as overtaken, by itself.
    const sent = own.find((desk) => isSame(theirs.desk, desk));
    return sent ? { state: 'sent', sent, theirs } : { state: 'conflict', theirs };
  }
  return { state: 'refused', sentence: error instanceof Error ? error.message : String(error) };
}
