import { and, desc, eq, inArray, isNull } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import type { Desk } from '../../core/desk/schema.ts';
import { readDesk } from '../../core/desk/read.ts';
import type { Store } from '../db/open.ts';
import { desks, revisions } from '../db/schema.ts';
import { revisionsToForget } from './thin.ts';

export interface StoredDesk {
  desk: Desk;
  revision: number;
  savedAt: number;
}

export type SaveResult = { ok: true; stored: StoredDesk } | { ok: false; current: StoredDesk | null };

/** Desks and their revisions. Every change is one transaction. */
export function createDeskStore(store: Store, now: () => number = Date.now) {
  function read(id: string, number?: number): StoredDesk | null {
    const desk = store
      .select()
      .from(desks)
      .where(and(eq(desks.id, id), isNull(desks.removedAt)))
      .get();
    if (!desk) return null;
    const row = store
      .select()
      .from(revisions)
      .where(and(eq(revisions.deskId, id), eq(revisions.number, number ?? desk.revision)))
      .get();
    return row ? { desk: parse(row.desk), revision: row.number, savedAt: row.savedAt } : null;
  }

  function list(): StoredDesk[] {
    return store
      .select({ json: revisions.desk, revision: revisions.number, savedAt: revisions.savedAt })
      .from(desks)
      .innerJoin(revisions, and(eq(revisions.deskId, desks.id), eq(revisions.number, desks.revision)))
      .where(isNull(desks.removedAt))
      .orderBy(desks.createdAt)
      .all()
      .map(({ json, ...row }) => ({ desk: parse(json), ...row }));
  }

  /** Puts a desk on the shelf under a new id (or the given one) and a name that no other has. */
  function create(from: Desk, options: { keepId?: boolean } = {}): StoredDesk {
    const at = now();
    const desk = { ...from, id: options.keepId ? from.id : nanoid(12), name: freeName(from.name) };
    store.transaction(() => {
      store
        .insert(desks)
        .values({ id: desk.id, name: desk.name, revision: 1, createdAt: at, savedAt: at })
        .run();
      store
        .insert(revisions)
        .values({ deskId: desk.id, number: 1, savedAt: at, desk: JSON.stringify(desk) })
        .run();
    });
    return { desk, revision: 1, savedAt: at };
  }

  /** A save names the revision that it is based on; a stale one changes nothing. */
  function save(desk: Desk, basedOn: number): SaveResult {
    return store.transaction((): SaveResult => {
      const current = read(desk.id);
      if (!current || current.revision !== basedOn) return { ok: false, current };
      const at = now();
      const revision = basedOn + 1;
      store
        .insert(revisions)
        .values({ deskId: desk.id, number: revision, savedAt: at, desk: JSON.stringify(desk) })
        .run();
      store.update(desks).set({ revision, name: desk.name, savedAt: at }).where(eq(desks.id, desk.id)).run();
      forget(desk.id, at);
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

  /** Takes a desk off the shelf, or puts it back. False when there is none. */
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
    const stem = wanted.replace(/ \d+$/, '');
    let name = wanted;
    for (let number = 2; names.has(name); number++) name = `${stem} ${number}`;
    return name;
  }

  const isEmpty = () => store.select({ id: desks.id }).from(desks).limit(1).all().length === 0;

  return { read, list, create, save, history, setRemoved, isEmpty };
}

export type DeskStore = ReturnType<typeof createDeskStore>;

/** What stands in the database was checked when it was written; an older format is brought up to date. */
function parse(json: string): Desk {
  const desk = readDesk(JSON.parse(json));
  if (!desk.ok)
    throw new Error(
      `A stored desk can't be read: ${desk.problems.map(({ path, message }) => `${path} ${message}`).join('; ')}`,
    );
  return desk.value;
}
