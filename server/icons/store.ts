import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { coverageOf } from '../../core/icons/sets/find.ts';
import type { IconSetIndex } from '../../core/icons/sets/index-file.ts';
import type { FoundSet } from '../../core/icons/sets/layout.ts';
import type { ListedIconSet } from '../../core/wire/wire.ts';
import type { Store } from '../db/open.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import type { Helpers } from '../helpers/pool.ts';
import { HttpProblem } from '../http/problem.ts';
import { drawAll, unfit, type Drawn } from './draw-all.ts';
import { createPacks } from './packs.ts';
import { createSetList } from './set-list.ts';

/** Sets of icons of one's own, each kept once as a pack. */
export function createIconSetStore(
  store: Store,
  files: OwnFiles,
  { helpers, incoming, now = Date.now }: { helpers: Helpers; incoming: Incoming; now?: () => number },
) {
  const packs = createPacks(files);
  const { opened } = packs;

  const { listed, enter, setRemoved, allTexts } = createSetList(store, now);

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

  function all(): Promise<ListedIconSet[]> {
    const rows = listed().filter(({ id }) => files.has(id));
    return Promise.all(rows.map(async ({ id, name }) => noteOf(id, name, (await opened(id)).index)));
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

    list: all,

    setRemoved,
    allTexts,

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
        const sets = (await all()).filter(({ id }) => ids.includes(id));
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

/** What is listed of a set. */
function noteOf(id: string, name: string, index: IconSetIndex): ListedIconSet {
  const { found, missing } = coverageOf(index);
  return {
    ...{ id, name, found, missing },
    styles: index.styles,
    pictures: index.pictures.length,
    oneColour: index.pictures.filter(({ isOneColour }) => isOneColour).length,
    lacks: index.lacks,
  };
}
