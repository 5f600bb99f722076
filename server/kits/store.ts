import { asc, eq, isNull } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import { problemText, type Problem } from '../../core/desk/problem.ts';
import { kitsFull, MOST_KITS, readKitFacts, type Kit } from '../../core/desk/kits/kit.ts';
import { nameBeside } from '../../core/values/name.ts';
import type { ListedKit } from '../../core/wire/wire.ts';
import { readDeskText } from '../carried/read-text.ts';
import { transact, type Store } from '../db/open.ts';
import { kits } from '../db/schema.ts';
import { refusal } from '../http/problem.ts';

/** Kits, for all desks. Every change is one transaction. */
export function createKitStore(store: Store, now: () => number = Date.now) {
  const all = () => store.select().from(kits).where(isNull(kits.removedAt)).orderBy(asc(kits.savedAt)).all();
  const find = (id: string) => all().find((row) => row.id === id) ?? null;

  function rowOf({ desk, ...facts }: Kit, savedAt: number): typeof kits.$inferInsert {
    const { id, name, version } = facts;
    return { id, name, version, savedAt, facts: JSON.stringify(facts), desk: JSON.stringify(desk) };
  }

  return {
    list: (): ListedKit[] =>
      all().flatMap(({ facts, savedAt }) => {
        const read = readKitFacts(JSON.parse(facts));
        return read.ok ? [{ ...read.value, savedAt }] : [];
      }),

    /** A kit in the present format; what is wrong with it where it can't be read; null where there is none. */
    read(id: string): Kit | Problem[] | null {
      const row = find(id);
      if (!row) return null;
      const facts = readKitFacts(JSON.parse(row.facts));
      const desk = readDeskText(row.desk);
      if (!facts.ok) return facts.problems;
      return desk.ok ? { ...facts.value, desk: desk.value } : desk.problems;
    },

    /** Puts a kit among the others: nothing is overwritten, and no two have one name or id. */
    create(kit: Kit): Kit {
      return transact(store, () => {
        const others = all();
        if (others.length >= MOST_KITS) throw refusal('Too many kits', [kitsFull]);
        const isTaken = store.select().from(kits).where(eq(kits.id, kit.id)).get() !== undefined;
        const id = isTaken ? nanoid(12) : kit.id;
        const name = nameBeside(kit.name, new Set(others.map((other) => other.name)));
        const made = { ...kit, id, name, desk: { ...kit.desk, id, name } };
        store.insert(kits).values(rowOf(made, now())).run();
        return made;
      });
    },

    /** Another state of a kit that is there, of the next version; null where it is not, or is of another one meanwhile. */
    change(kit: Kit): Kit | null {
      return transact(store, () => {
        const row = find(kit.id);
        if (row?.version !== kit.version) return null;
        const names = all().flatMap(({ id, name }) => (id === kit.id ? [] : [name]));
        const made = { ...kit, name: nameBeside(kit.name, new Set(names)), version: kit.version + 1 };
        store.update(kits).set(rowOf(made, row.savedAt)).where(eq(kits.id, kit.id)).run();
        return made;
      });
    },

    /** Takes a kit off the shelf, or puts it back. False where there is none. */
    setRemoved: (id: string, isRemoved: boolean): boolean =>
      store
        .update(kits)
        .set({ removedAt: isRemoved ? now() : null })
        .where(eq(kits.id, id))
        .run().changes > 0,

    /** Every kit as it stands, also those off the shelf: what they name is kept with them. */
    *allTexts(): Generator<string> {
      for (const { desk } of store.select({ desk: kits.desk }).from(kits).all()) yield desk;
    },
  };
}

export type KitStore = ReturnType<typeof createKitStore>;

/** Why a kit that is there can't be worn. */
export function unreadableKit(problems: readonly Problem[]): string {
  const [first] = problems;
  return `This kit can’t be read${first ? ` (${problemText(first)})` : ''}.`;
}
