import { rm } from 'node:fs/promises';
import { and, desc, eq, gte } from 'drizzle-orm';
import type { Store } from '../db/open.ts';
import { pictures } from '../db/schema.ts';
import type { Incoming } from '../files/incoming.ts';
import type { OwnFiles } from '../files/own-files.ts';
import { HttpProblem } from '../http/problem.ts';
import type { Helpers } from '../helpers/pool.ts';
import type { PictureFacts, PictureNote } from '../../core/wire/wire.ts';
import type { Taken, TakenPicture } from './take.ts';

export type StoredPicture = typeof pictures.$inferSelect;

/** Px: what is smaller is an icon or a cover. */
const LEAST_BEHIND = { width: 480, height: 270 };
const MOST_LISTED = 60;

/** Pictures of one's own, each kept once. */
export function createPictureStore(
  store: Store,
  files: OwnFiles,
  { helpers, incoming, now = Date.now }: { helpers: Helpers; incoming: Incoming; now?: () => number },
) {
  const { pathOf } = files;
  const find = (id: string) => store.select().from(pictures).where(eq(pictures.id, id)).get() ?? null;

  /** Keeps what a helper has written aside; the same picture may be on its way several times at once. */
  async function keepTaken(taken: TakenPicture, out: string, name: string): Promise<StoredPicture> {
    await files.keep(out, taken.id);
    const row = { ...taken, name: name.slice(0, 200) || 'picture', addedAt: now() };
    store.insert(pictures).values(row).onConflictDoNothing().run();
    return find(taken.id) ?? row;
  }

  async function takeBy(work: (out: string) => Promise<Taken>, name: string): Promise<StoredPicture> {
    const out = incoming.newPath();
    try {
      const taken = await work(out);
      if (!taken.ok) throw new HttpProblem(taken.status, taken.title, taken.reason);
      return await keepTaken(taken.picture, out, name);
    } finally {
      await rm(out, { force: true });
    }
  }

  return {
    ...files,
    find,
    /** Pictures that are large enough to lie behind a desk, the newest first. */
    list: (): PictureNote[] =>
      store
        .select()
        .from(pictures)
        .where(and(gte(pictures.width, LEAST_BEHIND.width), gte(pictures.height, LEAST_BEHIND.height)))
        .orderBy(desc(pictures.addedAt))
        .limit(MOST_LISTED)
        .all()
        .filter(({ id }) => files.has(id))
        .map(({ id, name, width, height }) => ({ id, name, width, height })),
    has: (id: string) => find(id) !== null && files.has(id),
    keepTaken,
    remove(id: string): void {
      files.remove(id);
      store.delete(pictures).where(eq(pictures.id, id)).run();
    },

    /** The picture upright, at most `width` px wide, as WebP. */
    show: async (id: string, width: number, signal?: AbortSignal): Promise<Buffer> =>
      asBuffer(await helpers.run('showPicture', { path: pathOf(id), width }, signal ? { signal } : {})),

    facts: (id: string): Promise<PictureFacts> => helpers.run('pictureFacts', pathOf(id)),

    /**
     * Takes in the PNG, JPEG, WebP, AVIF or GIF in a file, without what it says besides the picture. Throws
     * HttpProblem on anything else, or too many pixels.
     */
    add: (path: string, name: string): Promise<StoredPicture> =>
      takeBy((out) => helpers.run('takePicture', { path, out, asIs: false }), name),

    /** Takes in an icon, SVG or PNG, as pixels. */
    addIcon: (path: string, name: string): Promise<StoredPicture> =>
      takeBy((out) => helpers.run('drawIcon', { path, out }), name),
  };
}

export type PictureStore = ReturnType<typeof createPictureStore>;

/** Bytes that came over from a helper have lost their class. */
export function asBuffer(bytes: Uint8Array): Buffer {
  return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
}
