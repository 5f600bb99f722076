import { keepsFull, MOST_KEEPS, type Keep } from '../../core/desk/keep.ts';
import { nanoid } from 'nanoid';
import type { Desk } from '../../core/desk/desk.ts';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import type { Problem } from '../../core/desk/problem.ts';
import { Summary, summaryOf, type ListedDesk } from '../../core/desk/summary.ts';
import type { Store } from '../db/open.ts';
import { refusal } from '../http/problem.ts';
import { nameBeside } from '../../core/values/name.ts';
import { readDeskText } from '../carried/read-text.ts';
import type { StoredDesk } from '../../core/wire/wire.ts';
import { createRows, type Rows, type StoredText } from './rows.ts';
import { revisionsToForget } from './thin.ts';

/** A revision that can be sent as it is, or what is wrong with it. */
export type ReadText = StoredText & { problems: Problem[] | null };

export type SaveResult = { ok: true; stored: StoredDesk } | { ok: false; current: StoredText | null };

/** Desks and their revisions. Every change is one transaction. */
export function createDeskStore(store: Store, now: () => number = Date.now) {
  const rows = createRows(store);
  const reader = createReader(rows);
  fillSummaries(rows, reader);

  /** Puts a desk on the shelf under a new id (or the given one) and a name that no other has. */
  function create(from: Desk, options: { keepId?: boolean } = {}): StoredDesk {
    const savedAt = now();
    const names = new Set(rows.names().map(({ name }) => name));
    const id = options.keepId ? from.id : nanoid(12);
    const desk = { ...from, id, name: nameBeside(from.name, names) };
    const text = textOf(desk);
    rows.transaction(() => {
      rows.add(notedOf(desk), savedAt);
      rows.addRevision(desk.id, { text, revision: 1, savedAt });
    });
    reader.isSound(desk.id, 1);
    return { desk, revision: 1, savedAt };
  }

  /** A save names the revision that it is based on; a stale one changes nothing. */
  function save(desk: Desk, basedOn: number): SaveResult {
    const text = textOf(desk);
    return rows.transaction((): SaveResult => {
      const current = reader.row(desk.id);
      if (current?.revision !== basedOn) return { ok: false, current };
      const savedAt = now();
      const revision = basedOn + 1;
      rows.addRevision(desk.id, { text, revision, savedAt });
      rows.change(desk.id, { ...notedOf(desk), revision, savedAt });
      rows.forget(desk.id, revisionsToForget(rows.history(desk.id), savedAt));
      reader.isSound(desk.id, revision);
      return { ok: true, stored: { desk, revision, savedAt } };
    });
  }

  return {
    find: rows.find,
    row: reader.row,
    read: reader.read,
    readDesk: reader.readDesk,
    list: (): ListedDesk[] =>
      rows.list().map(({ summary, ...desk }) => ({ ...desk, summary: parseSummary(summary) })),
    create,
    save,
    history: rows.history,
    /** Keeps a revision for good, or lets it go with time. False where there is none such. Throws HttpProblem. */
    keep: (id: string, number: number, kept: Keep | null): boolean =>
      rows.transaction(() => {
        const others = rows.history(id).filter((one) => one.keptAs !== null && one.number !== number);
        if (kept && others.length >= MOST_KEEPS) throw refusal('Too many keeps', [keepsFull]);
        return rows.keep(id, number, kept);
      }),
    /** Takes a desk off the shelf, or puts it back, whether or not it can be read. False when there is none. */
    setRemoved: (id: string, isRemoved: boolean) =>
      rows.history(id).length > 0 && rows.change(id, { removedAt: isRemoved ? now() : null }) > 0,
    /**
     * Forgets all that is known of the desks that left the shelf before a moment, but that they were there: a shelf that
     * was emptied is not a new one. How many there were.
     */
    forgetRemoved: (moment: number): number =>
      rows.transaction(() => {
        const gone = rows.removedBefore(moment);
        for (const id of gone) rows.forgetAll(id);
        return gone.length;
      }),
    /** Every revision there is as it stands, one after another. */
    *allTexts(): Generator<string> {
      for (const { id, number } of rows.allRevisions()) yield rows.revision(id, number)?.text ?? '';
    },
    isEmpty: rows.isEmpty,
  };
}

export type DeskStore = ReturnType<typeof createDeskStore>;

/** Revisions that are remembered as sound; a desk is read in full once, not each time that it is asked for. */
const MOST_SOUND = 2000;

/** Reads revisions, whatever version of the server wrote them. */
function createReader(rows: Rows) {
  const sound = new Set<string>();

  function isSound(id: string, revision: number): void {
    if (sound.size >= MOST_SOUND) sound.clear();
    sound.add(`${revision} ${id}`);
  }

  /** A revision as it stands, the newest unless told otherwise. */
  function row(id: string, number?: number): StoredText | null {
    const desk = rows.find(id);
    return desk && rows.revision(id, number ?? desk.revision);
  }

  /** A revision's JSON in the present format. What was checked when it was written may be from an older version. */
  function read(id: string, number?: number): ReadText | null {
    const found = row(id, number);
    if (!found) return null;
    if (sound.has(`${found.revision} ${id}`)) return { ...found, problems: null };
    const desk = readDeskText(found.text);
    if (!desk.ok) return { ...found, problems: desk.problems };
    const text = JSON.stringify(desk.value);
    if (text === found.text) isSound(id, found.revision);
    return { ...found, text, problems: null };
  }

  /** The same as a desk; null where there is none, or none that can be read. */
  function readDesk(id: string): StoredDesk | null {
    const found = read(id);
    if (!found || found.problems) return null;
    const { text, revision, savedAt } = found;
    return { desk: JSON.parse(text) as Desk, revision, savedAt };
  }

  return { isSound, row, read, readDesk };
}

/** Writes the summaries that an older version of the server did not keep. */
function fillSummaries(rows: Rows, reader: ReturnType<typeof createReader>): void {
  for (const { id } of rows.withoutSummary()) {
    const desk = reader.readDesk(id)?.desk;
    if (desk) rows.change(id, { summary: notedOf(desk).summary });
  }
}

function notedOf(desk: Desk) {
  return { id: desk.id, name: desk.name, summary: JSON.stringify(summaryOf(desk)) };
}

/** The JSON that is kept of a desk. Throws HttpProblem where it is more than a file could carry. */
function textOf(desk: Desk): string {
  const text = JSON.stringify(desk);
  if (Buffer.byteLength(text) > DESK_LIMITS.json)
    throw refusal('Too large', [
      { path: '', message: `This desk has more than ${DESK_LIMITS.json / 2 ** 20} MiB of its own.` },
    ]);
  return text;
}

function parseSummary(json: string | null): Summary | null {
  if (json === null) return null;
  try {
    return Summary.parse(JSON.parse(json));
  } catch {
    return null;
  }
}
