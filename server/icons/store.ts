import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { asc, eq, isNull } from 'drizzle-orm';
import { coverageOf } from '../../core/icons/sets/find.ts';
import type { IconSetIndex } from '../../core/icons/sets/index-file.ts';
import type { FoundSet } from '../../core/icons/sets/layout.ts';
import { nameBeside } from '../../core/values/name.ts';
import type { ListedIconSet } from '../../core/wire/wire.ts';
import { transact, type Store } from '../db/open.ts';
import { iconSets } from '../db/schema.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import type { Helpers } from '../helpers/pool.ts';
import { HttpProblem } from '../http/problem.ts';
import { drawAll, unfit, type Drawn } from './draw-all.ts';
import { createPacks } from './packs.ts';

const MOST_SETS = 200;

/** Sets of icons of one's own, each kept once as a pack. */
export function createIconSetStore(
  store: Store,
  files: OwnFiles,
  { helpers, incoming, now = Date.now }: { helpers: Helpers; incoming: Incoming; now?: () => number },
) {
  const packs = createPacks(files);
  const { opened } = packs;

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

  const listed = () =>
    store.select().from(iconSets).where(isNull(iconSets.removedAt)).orderBy(asc(iconSets.addedAt)).all();

  async function packed(set: FoundSet, drawn: readonly Drawn[], folder: string): Promise<string> {
    const used = new Set(set.icons.map(({ file }) => file));
    const out = join(folder, 'pack');
    const made = await helpers.run('packIcons', {
      set,
      drawn: drawn.filter(({ file }) => used.has(file)),
      out,
    });
    if (!made.ok) throw unfit(made.reason);
    await files.keep(out, made.id);
    enter(made.id, made.index.name);
    return made.id;
  }

  async function note(id: string, name: string): Promise<ListedIconSet> {
    const { index } = await opened(id);
    const { found, missing } = coverageOf(index);
    return {
      ...{ id, name, found, missing },
      styles: index.styles,
      pictures: index.pictures.length,
      oneColour: index.pictures.filter(({ isOneColour }) => isOneColour).length,
      lacks: index.lacks,
    };
  }

  return {
    ...files,

    index: async (id: string): Promise<IconSetIndex> => (await opened(id)).index,

    /** A picture of a set, as PNG. Throws HttpProblem where it has none such. */
    async picture(id: string, picture: number): Promise<Buffer> {
      try {
        return await (await opened(id)).read(picture);
      } catch {
        throw new HttpProblem(404, 'No such icon', 'This set has no such icon.');
      }
    },

    async list(): Promise<ListedIconSet[]> {
      const rows = listed().filter(({ id }) => files.has(id));
      return Promise.all(rows.map(({ id, name }) => note(id, name)));
    },

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

    /**
     * Takes in the sets of an archive, ZIP or tar; `onDrawn` hears how many of how many pictures are drawn. Throws
     * HttpProblem; then nothing was taken.
     */
    async add(
      path: string,
      name: string,
      onDrawn: (drawn: number, of: number) => void,
    ): Promise<{ sets: ListedIconSet[]; undrawn: number }> {
      const folder = incoming.newPath();
      try {
        await mkdir(folder, { recursive: true });
        const archive = await helpers.run('openIconArchive', { path, folder: join(folder, 'files'), name });
        if (!archive.ok) throw unfit(archive.reason);
        const named = new Set(archive.sets.flatMap(({ icons }) => icons.map(({ file }) => file)));
        const wanted = archive.files.filter(({ file }) => named.has(file));
        onDrawn(0, wanted.length);
        const drawn = await drawAll(helpers, wanted, folder, (count) => onDrawn(count, wanted.length));
        const ids: string[] = [];
        for (const set of archive.sets) ids.push(await packed(set, drawn, folder));
        const names = new Map(listed().map((row) => [row.id, row.name]));
        const sets = await Promise.all([...new Set(ids)].map((id) => note(id, names.get(id) ?? 'Icons')));
        return { sets, undrawn: wanted.length - drawn.length };
      } finally {
        await rm(folder, { recursive: true, force: true });
      }
    },

    /** Keeps a pack that came with a desk; gives back the whole set that it was cut from, where that is here. */
    async keepTaken(from: string, id: string): Promise<string> {
      await files.keep(from, id);
      const { index } = await opened(id);
      if (index.cutFrom !== null && files.has(index.cutFrom)) return index.cutFrom;
      enter(id, index.name);
      return id;
    },

    /** A set with those icons alone that are used, kept like any other; its id. */
    async cut(id: string, used: (index: IconSetIndex) => readonly string[]): Promise<string> {
      const { index } = await opened(id);
      const out = incoming.newPath();
      try {
        const made = await helpers.run('cutIcons', { path: files.pathOf(id), id, names: used(index), out });
        if (made.id !== id) await files.keep(out, made.id);
        return made.id;
      } finally {
        await rm(out, { force: true });
      }
    },

    close: packs.close,
  };
}

export type IconSetStore = ReturnType<typeof createIconSetStore>;
