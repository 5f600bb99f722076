import { asc, eq, isNull } from 'drizzle-orm';
import { nameBeside } from '../../core/values/name.ts';
import { transact, type Store } from '../db/open.ts';
import { iconSets } from '../db/schema.ts';
import { HttpProblem } from '../http/problem.ts';

const MOST_SETS = 200;

/** The list of icon sets, for all desks. */
export function createSetList(store: Store, now: () => number) {
  const listed = () =>
    store.select().from(iconSets).where(isNull(iconSets.removedAt)).orderBy(asc(iconSets.addedAt)).all();

  /** Puts a set on the list; one that was taken off it comes back. */
  function enter(id: string, name: string): string {
    return transact(store, () => {
      const others = listed().filter((row) => row.id !== id);
      const known = store.select().from(iconSets).where(eq(iconSets.id, id)).get();
      if (known) {
        store.update(iconSets).set({ removedAt: null }).where(eq(iconSets.id, id)).run();
        return known.name;
      }
      if (others.length >= MOST_SETS)
        throw new HttpProblem(
          409,
          'Too many sets',
          `There is room for ${MOST_SETS} icon sets: remove one first.`,
        );
      const free = nameBeside(name, new Set(others.map((row) => row.name)));
      store.insert(iconSets).values({ id, name: free, addedAt: now() }).run();
      return free;
    });
  }

  return {
    listed,
    enter,

    /** Takes a set off the list, or puts it back. False where there is none. */
    setRemoved: (id: string, isRemoved: boolean): boolean =>
      store
        .update(iconSets)
        .set({ removedAt: isRemoved ? now() : null })
        .where(eq(iconSets.id, id))
        .run().changes > 0,

    /** Ids of those on the list, as a text: they are kept although no desk names them. */
    *allTexts(): Generator<string> {
      for (const { id } of listed()) yield id;
    },
  };
}
