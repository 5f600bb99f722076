import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import type { Problem } from '../../core/desk/problem.ts';
import { MOST_NAME } from '../../core/values/name.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { Summary, summaryOf, type ListedDesk } from '../../core/desk/summary.ts';
import type { Store } from '../db/open.ts';
import { desks, revisions } from '../db/schema.ts';
import { refusal } from '../http/problem.ts';
import { readDeskText } from './read-text.ts';
import { revisionsToForget } from './thin.ts';

/** One revision as it stands in the database. */
export interface StoredText {
  /** The desk's JSON. */
  text: string;
  revision: number;
  savedAt: number;
}

/** A revision that can be sent as it is, or what is wrong with it. */
export type ReadText = StoredText & { problems: Problem[] | null };

export interface StoredDesk {
  desk: Desk;
  revision: number;
  savedAt: number;
}

export type SaveResult = { ok: true; stored: StoredDesk } | { ok: false; current: StoredText | null };

/** Revisions that are remembered as sound; a desk is read in full once, not each time that it is asked for. */
const MOST_SOUND = 2000;

/** Desks and their revisions. Every change is one transaction. */
export function createDeskStore(store: Store, now: () => number = Date.now) {
  const sound = new Set<string>();

  function isSound(id: string, revision: number): void {
    if (sound.size >= MOST_SOUND) sound.clear();
    sound.add(`${revision} ${id}`);
  }

  /** A desk's row on the shelf. */
  function find(id: string): typeof desks.$inferSelect | null {
    return (
      store
        .select()
        .from(desks)
        .where(and(eq(desks.id, id), isNull(desks.removedAt)))
        .get() ?? null
    );
  }

  function row(id: string, number?: number): StoredText | null {
    const desk = find(id);
    if (!desk) return null;
    const found = store
      .select()
      .from(revisions)
      .where(and(eq(revisions.deskId, id), eq(revisions.number, number ?? desk.revision)))
      .get();
    return found ? { text: found.desk, revision: found.number, savedAt: found.savedAt } : null;
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

  function list(): ListedDesk[] {
    return store
      .select({
        id: desks.id,
        name: desks.name,
        revision: desks.revision,
        savedAt: desks.savedAt,
        summary: desks.summary,
      })
      .from(desks)
      .where(isNull(desks.removedAt))
      .orderBy(desks.createdAt)
      .all()
      .map(({ summary, ...desk }) => ({ ...desk, summary: parseSummary(summary) }));
  }

  /** Writes the summaries that an older version of the server did not keep. */
  function fillSummaries(): void {
    const empty = store.select({ id: desks.id }).from(desks).where(isNull(desks.summary)).all();
    for (const { id } of empty) {
      const desk = readDesk(id)?.desk;
      if (desk)
        store
          .update(desks)
          .set({ summary: JSON.stringify(summaryOf(desk)) })
          .where(eq(desks.id, id))
          .run();
    }
  }

  /** Puts a desk on the shelf under a new id (or the given one) and a name that no other has. */
  function create(from: Desk, options: { keepId?: boolean } = {}): StoredDesk {
    const at = now();
    const desk = { ...from, id: options.keepId ? from.id : nanoid(12), name: freeName(from.name) };
    const text = textOf(desk);
    store.transaction(() => {
      store
        .insert(desks)
        .values({
          id: desk.id,
          name: desk.name,
          revision: 1,
          createdAt: at,
          savedAt: at,
          summary: JSON.stringify(summaryOf(desk)),
        })
        .run();
      store.insert(revisions).values({ deskId: desk.id, number: 1, savedAt: at, desk: text }).run();
    });
    isSound(desk.id, 1);
    return { desk, revision: 1, savedAt: at };
  }

  /** A save names the revision that it is based on; a stale one changes nothing. */
  function save(desk: Desk, basedOn: number): SaveResult {
    const text = textOf(desk);
    return store.transaction((): SaveResult => {
      const current = row(desk.id);
      if (current?.revision !== basedOn) return { ok: false, current };
      const at = now();
      const revision = basedOn + 1;
      store.insert(revisions).values({ deskId: desk.id, number: revision, savedAt: at, desk: text }).run();
      store
        .update(desks)
        .set({ revision, name: desk.name, savedAt: at, summary: JSON.stringify(summaryOf(desk)) })
        .where(eq(desks.id, desk.id))
        .run();
      forget(desk.id, at);
      isSound(desk.id, revision);
      return { ok: true, stored: { desk, revision, savedAt: at } };
    });
  }

  function forget(deskId: string, at: number): void {
    const spare = revisionsToForget(history(deskId), at);
    if (spare.length === 0) return;
    store
      .delete(revisions)
      .where(and(eq(revisions.deskId, deskId), inArray(revisions.number, spare)))
      .run();
  }

  function history(id: string): { number: number; savedAt: number }[] {
    return store
      .select({ number: revisions.number, savedAt: revisions.savedAt })
      .from(revisions)
      .where(eq(revisions.deskId, id))
      .orderBy(desc(revisions.number))
      .all();
  }

  /** Takes a desk off the shelf, or puts it back, whether or not it can be read. False when there is none. */
  function setRemoved(id: string, isRemoved: boolean): boolean {
    return (
      store
        .update(desks)
        .set({ removedAt: isRemoved ? now() : null })
        .where(eq(desks.id, id))
        .run().changes > 0
    );
  }

  function freeName(wanted: string): string {
    const names = new Set(
      store
        .select({ name: desks.name })
        .from(desks)
        .where(isNull(desks.removedAt))
        .all()
        .map(({ name }) => name),
    );
    return nameBeside(wanted, names);
  }

  const isEmpty = () => store.select({ id: desks.id }).from(desks).limit(1).all().length === 0;

  fillSummaries();
  return { find, row, read, readDesk, list, create, save, history, setRemoved, isEmpty };
}

export type DeskStore = ReturnType<typeof createDeskStore>;

/** A name like the wanted one that is not among those taken, by a number at its end; it keeps to a name's length. */
export function nameBeside(wanted: string, taken: ReadonlySet<string>): string {
  const stem = wanted.replace(/ \d+$/, '');
  let name = wanted;
  for (let number = 2; taken.has(name); number++) {
    const ending = ` ${number}`;
    // By whole characters: half of one would be no text.
    let kept = [...stem];
    while (kept.join('').length > MOST_NAME - ending.length) kept = kept.slice(0, -1);
    name = kept.join('').trimEnd() + ending;
  }
  return name;
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
