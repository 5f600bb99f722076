import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, statSync, unlinkSync } from 'node:fs';
import { readFile, rename, rm, utimes, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { nanoid } from 'nanoid';
import { diskTrouble } from '../files/trouble.ts';

/** What made pictures may take up unless told otherwise, bytes. */
export const CACHE_BYTES = 2 ** 30;
const PART = '.part';
/** Parts this old (ms) were left by a server that was stopped. */
const LEFT_BEHIND = 3_600_000;

interface Work {
  promise: Promise<Buffer>;
  /** How many wait for it. */
  waiting: number;
  gone: AbortController;
}

/**
 * Made pictures in a folder, each by a key, that together never take up more than they may: the ones unused for longest
 * are forgotten as new ones come. What is under way is shared, and ended once nobody waits for it any more.
 */
export function createCache(folder: string, mostBytes: number) {
  mkdirSync(folder, { recursive: true });
  const underWay = new Map<string, Work>();
  /** Bytes by name, the longest unused first. */
  const sizes = new Map<string, number>();
  let total = 0;
  for (const { name, size } of filesIn(folder)) {
    sizes.set(name, size);
    total += size;
  }
  forget();

  function forget(): void {
    for (const [name, size] of sizes) {
      if (total <= mostBytes) return;
      sizes.delete(name);
      total -= size;
      try {
        unlinkSync(join(folder, name));
      } catch {
        // Another server that shares the folder was quicker.
      }
    }
  }

  function note(name: string, size: number): void {
    total += size - (sizes.get(name) ?? 0);
    sizes.delete(name);
    sizes.set(name, size);
    forget();
  }

  /** Reading marks as used, for the next start too. */
  async function readUsed(name: string): Promise<Buffer> {
    const path = join(folder, name);
    const bytes = await readFile(path);
    note(name, bytes.length);
    const now = new Date();
    await utimes(path, now, now).catch(() => {});
    return bytes;
  }

  async function make(name: string, work: (signal: AbortSignal) => Promise<Buffer>, signal: AbortSignal) {
    const bytes = await work(signal);
    // Written aside and renamed, so that a server stopped half-way leaves no half picture.
    const part = join(folder, `${nanoid()}${PART}`);
    try {
      await writeFile(part, bytes);
      await rename(part, join(folder, name));
      note(name, bytes.length);
    } catch (error) {
      // Without room it is not kept, but shown all the same.
      if (!diskTrouble(error)) throw error;
    } finally {
      await rm(part, { force: true });
    }
    return bytes;
  }

  return {
    /** Bytes that the folder takes up. */
    bytes: () => total,

    /** What lies under a key, made first where it is not there. Aborting gives up waiting for it. */
    async get(
      key: string,
      work: (signal: AbortSignal) => Promise<Buffer>,
      signal?: AbortSignal,
    ): Promise<Buffer> {
      const name = `${createHash('sha256').update(key).digest('hex').slice(0, 32)}.webp`;
      let shared = underWay.get(name);
      if (!shared) {
        const gone = new AbortController();
        const promise = readUsed(name).catch(() => make(name, work, gone.signal));
        shared = { promise, waiting: 0, gone };
        const started = shared;
        const done = () => void (underWay.get(name) === started && underWay.delete(name));
        promise.then(done, done);
        underWay.set(name, shared);
      }
      const one = shared;
      one.waiting++;
      const leave = () => {
        if (--one.waiting > 0) return;
        // Whoever comes next starts anew.
        if (underWay.get(name) === one) underWay.delete(name);
        one.gone.abort();
      };
      signal?.addEventListener('abort', leave, { once: true });
      if (signal?.aborted) leave();
      try {
        return await one.promise;
      } finally {
        signal?.removeEventListener('abort', leave);
      }
    },
  };
}

/** Files of a cache with their bytes, the longest unused first; parts that were left behind are taken away. */
function filesIn(folder: string): { name: string; size: number }[] {
  return readdirSync(folder)
    .flatMap((name) => {
      try {
        const { size, mtimeMs } = statSync(join(folder, name));
        if (!name.endsWith(PART)) return [{ name, size, mtimeMs }];
        if (Date.now() - mtimeMs > LEFT_BEHIND) unlinkSync(join(folder, name));
        return [];
      } catch {
        return [];
      }
    })
    .sort((a, b) => a.mtimeMs - b.mtimeMs);
}
