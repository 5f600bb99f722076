import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { readdir, readFile, rename, stat, unlink, utimes, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Helpers } from '../helpers/pool.ts';
import type { BakeFormat } from './bake.ts';
import type { PictureStore } from './store.ts';
import { HttpProblem } from '../http/problem.ts';

/** Widths in px that pictures are shown at; a wish is rounded up to one of them. */
export const WIDTHS = [240, 480, 960, 1920, 2560, 3840];

export function widthFor(wish: number): number {
  return WIDTHS.find((width) => width >= wish) ?? 3840;
}

/** Raised when a backdrop is drawn differently, so that what is cached is drawn anew. */
const DRAWING = 4;
/** Files beyond this are forgotten, the ones unused for longest first. */
const MOST_CACHED = 500;

export interface Export {
  width: number;
  height: number;
  format: BakeFormat;
}

/** Makes pictures at a size. What is shown is kept in the cache folder; what is under way is shared. */
export function createRenderer(cacheFolder: string, pictures: PictureStore, helpers: Helpers) {
  mkdirSync(cacheFolder, { recursive: true });
  const underWay = new Map<string, Promise<Buffer>>();

  async function once(key: string, make: () => Promise<Buffer>): Promise<Buffer> {
    const path = join(cacheFolder, `${createHash('sha256').update(key).digest('hex').slice(0, 32)}.webp`);
    let work = underWay.get(path);
    if (!work) {
      work = readUsed(path).catch(async () => {
        const bytes = await make();
        // Written aside and renamed, so that a server stopped half-way leaves no half picture.
        const part = `${path}.${process.pid}.part`;
        await writeFile(part, bytes);
        await rename(part, path);
        return bytes;
      });
      underWay.set(path, work);
      const done = () => void underWay.delete(path);
      work.then(done, done);
    }
    return work;
  }

  /** Reading marks as used: what is forgotten first goes by it. */
  async function readUsed(path: string): Promise<Buffer> {
    const bytes = await readFile(path);
    const now = new Date();
    await utimes(path, now, now);
    return bytes;
  }

  function pathOf({ source }: Drawn): string | null {
    if (source.kind !== 'picture') return null;
    if (!pictures.has(source.picture))
      throw new HttpProblem(404, 'No such picture', 'The server does not have this picture.');
    return pictures.pathOf(source.picture);
  }

  return {
    /** A backdrop for looking at, as WebP. */
    async backdrop(drawn: Drawn, width: number): Promise<Buffer> {
      const path = pathOf(drawn);
      const height = Math.max(1, Math.round((width * drawn.part.height) / drawn.part.width));
      return once(`backdrop ${DRAWING} ${JSON.stringify(drawn)} ${width}`, async () =>
        asBuffer(await helpers.run('bake', { drawn, path, width, height, format: 'webp', isForShow: true })),
      );
    },

    /** A backdrop for keeping, in exactly the pixels asked for. */
    async export(drawn: Drawn, { width, height, format }: Export, signal?: AbortSignal): Promise<Buffer> {
      const path = pathOf(drawn);
      return asBuffer(
        await helpers.run(
          'bake',
          { drawn, path, width, height, format, isForShow: false },
          signal ? { signal } : {},
        ),
      );
    },

    /** A picture of one's own as it is, upright. */
    async picture(id: string, width: number): Promise<Buffer> {
      return once(`picture ${DRAWING} ${id} ${width}`, () => pictures.show(id, width));
    },

    /** Forgets what has not been asked for in a long time. */
    async tidy(): Promise<void> {
      const names = await readdir(cacheFolder);
      if (names.length <= MOST_CACHED) return;
      const files = await Promise.all(
        names.map(async (name) => ({ name, at: (await stat(join(cacheFolder, name))).mtimeMs })),
      );
      files.sort((a, b) => b.at - a.at);
      await Promise.all(
        files.slice(MOST_CACHED).map(({ name }) => unlink(join(cacheFolder, name)).catch(() => {})),
      );
    },
  };
}

export type Renderer = ReturnType<typeof createRenderer>;

/** Bytes that came over from a helper have lost their class. */
function asBuffer(bytes: Uint8Array): Buffer {
  return Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
}
