import { asc, count, eq } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import { looksFull, MOST_LOOKS, readLook, type ReadyLook } from '../../core/desk/ready/ready.ts';
import { nameBeside } from '../../core/values/name.ts';
import { transact, type Store } from '../db/open.ts';
import { looks } from '../db/schema.ts';
import { refusal } from '../http/problem.ts';

/** Looks of single parts by name, for all desks. Every change is one transaction. */
export function createLookStore(store: Store, now: () => number = Date.now) {
  const all = () => store.select().from(looks).orderBy(asc(looks.savedAt)).all();
  const nameFor = ({ topic, name }: Pick<ReadyLook, 'topic' | 'name'>, but: string | null = null) => {
    const taken = all().flatMap((row) => (row.topic === topic && row.id !== but ? [row.name] : []));
    return nameBeside(name, new Set(taken));
  };

  return {
    /** Those that can be read; one from a newer version waits until that is back. */
    list: (): ReadyLook[] =>
      all().flatMap(({ id, topic, name, value }) => {
        const read = readLook({ id, topic, name, value: JSON.parse(value) as unknown });
        return read.ok ? [read.value] : [];
      }),

    /** Puts a look among the others: nothing is overwritten, and no two of a kind have one name. */
    create: (look: ReadyLook): ReadyLook =>
      transact(store, () => {
        const there = store.select({ count: count() }).from(looks).get()?.count ?? 0;
        if (there >= MOST_LOOKS) throw refusal('Too many looks', [looksFull]);
        const made = { ...look, id: nanoid(12), name: nameFor(look) };
        const { id, topic, name, value } = made;
        store
          .insert(looks)
          .values({ id, topic, name, value: JSON.stringify(value), savedAt: now() })
          .run();
        return made;
      }),

    /** Calls a look by another name. False where there is none. */
    rename: (id: string, name: string): boolean =>
      transact(store, () => {
        const row = store.select().from(looks).where(eq(looks.id, id)).get();
        if (!row) return false;
        const look = { topic: row.topic as ReadyLook['topic'], name };
        store
          .update(looks)
          .set({ name: nameFor(look, id) })
          .where(eq(looks.id, id))
          .run();
        return true;
      }),

    remove: (id: string): boolean => store.delete(looks).where(eq(looks.id, id)).run().changes > 0,
  };
}

export type LookStore = ReturnType<typeof createLookStore>;
