import { and, desc, eq, inArray, isNull, lt, sql } from 'drizzle-orm';
import { transact, type Store } from '../db/open.ts';
import type { RevisionNote } from '../../core/wire/wire.ts';
import type { Keep } from '../../core/desk/keep.ts';
import { desks, revisions } from '../db/schema.ts';

/** One revision as it stands in the database. */
export interface StoredText {
  /** The desk's JSON. */
  text: string;
  revision: number;
  savedAt: number;
}

/** What a desk is called and what a list says of it, as its row has them. */
export interface Noted {
  id: string;
  name: string;
  /** JSON. */
  summary: string;
}

/** The rows of desks and their revisions: what is asked of the database, and nothing else. */
export function createRows(store: Store) {
  const isOne = (id: string) => eq(desks.id, id);
  const onShelf = isNull(desks.removedAt);

  return {
    transaction: <T>(work: () => T): T => transact(store, work),

    /** A desk's row on the shelf. */
    find(id: string): typeof desks.$inferSelect | null {
      return (
        store
          .select()
          .from(desks)
          .where(and(isOne(id), onShelf))
          .get() ?? null
      );
    },

    list: () =>
      store
        .select({
          id: desks.id,
          name: desks.name,
          revision: desks.revision,
          savedAt: desks.savedAt,
          summary: desks.summary,
        })
        .from(desks)
        .where(onShelf)
        // The newest first; of those that came at the same moment, the one that came last.
        .orderBy(desc(desks.createdAt), desc(sql`rowid`))
        .all(),

    names: () => store.select({ name: desks.name }).from(desks).where(onShelf).all(),

    withoutSummary: () => store.select({ id: desks.id }).from(desks).where(isNull(desks.summary)).all(),

    isEmpty: () => store.select({ id: desks.id }).from(desks).limit(1).all().length === 0,

    add(noted: Noted, at: number): void {
      store
        .insert(desks)
        .values({ ...noted, revision: 1, createdAt: at, savedAt: at })
        .run();
    },

    change(id: string, change: Partial<typeof desks.$inferInsert>): number {
      return store.update(desks).set(change).where(isOne(id)).run().changes;
    },

    ...revisionRows(store),
  };
}

/** The rows of revisions. */
function revisionRows(store: Store) {
  return {
    revision(id: string, number: number): StoredText | null {
      const found = store
        .select()
        .from(revisions)
        .where(and(eq(revisions.deskId, id), eq(revisions.number, number)))
        .get();
      return found ? { text: found.desk, revision: found.number, savedAt: found.savedAt } : null;
    },

    addRevision(deskId: string, { text, revision, savedAt }: StoredText): void {
      store.insert(revisions).values({ deskId, number: revision, savedAt, desk: text }).run();
    },

    /** The newest first. */
    history: (id: string): RevisionNote[] =>
      store
        .select({
          number: revisions.number,
          savedAt: revisions.savedAt,
          keptAs: revisions.keptAs,
          note: revisions.note,
        })
        .from(revisions)
        .where(eq(revisions.deskId, id))
        .orderBy(desc(revisions.number))
        .all(),

    /** Keeps a revision for good under a name, or lets it go with time. False where there is none such. */
    keep(deskId: string, number: number, kept: Keep | null): boolean {
      const { changes } = store
        .update(revisions)
        .set({ keptAs: kept?.name ?? null, note: kept?.note ?? null })
        .where(and(eq(revisions.deskId, deskId), eq(revisions.number, number)))
        .run();
      return changes > 0;
    },

    /** Ids and numbers of all revisions there are, of desks on the shelf or not. */
    allRevisions: (): { id: string; number: number }[] =>
      store.select({ id: revisions.deskId, number: revisions.number }).from(revisions).all(),

    /** Those with revisions that were taken off the shelf before a moment. */
    removedBefore: (moment: number): string[] =>
      store
        .selectDistinct({ id: desks.id })
        .from(desks)
        .innerJoin(revisions, eq(revisions.deskId, desks.id))
        .where(lt(desks.removedAt, moment))
        .all()
        .map(({ id }) => id),

    forgetAll(id: string): void {
      store.delete(revisions).where(eq(revisions.deskId, id)).run();
    },

    forget(id: string, numbers: readonly number[]): void {
      if (numbers.length > 0)
        store
          .delete(revisions)
          .where(and(eq(revisions.deskId, id), inArray(revisions.number, [...numbers])))
          .run();
    },
  };
}

export type Rows = ReturnType<typeof createRows>;
