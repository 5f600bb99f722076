import { createWriteStream, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Request } from 'express';
import { nanoid } from 'nanoid';
import { HttpProblem } from '../http/problem.ts';

/**
 * A folder for files that are not whole yet: what is uploaded, and what is being made. Each has a name of its own, and
 * moves to where it belongs in one step once it is whole. What a stopped server left there is gone at the next start.
 */
export function createIncoming(folder: string) {
  mkdirSync(folder, { recursive: true });
  for (const name of readdirSync(folder)) rmSync(join(folder, name), { recursive: true, force: true });

  const newPath = () => join(folder, nanoid());

  return {
    newPath,
    moveTo: (from: string, to: string): Promise<void> => rename(from, to),

    /** Gives `work` the path of what a request carries, and takes the file away afterwards. Throws HttpProblem. */
    async receive<T>(request: Request, mostBytes: number, work: (path: string) => Promise<T>): Promise<T> {
      const path = newPath();
      try {
        await save(request, mostBytes, path);
        return await work(path);
      } finally {
        await rm(path, { recursive: true, force: true });
      }
    },
  };
}

export type Incoming = ReturnType<typeof createIncoming>;

async function save(request: Request, mostBytes: number, path: string): Promise<void> {
  const tooLarge = new HttpProblem(
    413,
    'Too large',
    `The file is larger than the ${Math.floor(mostBytes / 2 ** 20)} MiB that are taken; nothing was kept.`,
  );
  const encoding = request.headers['content-encoding'] ?? 'identity';
  if (encoding !== 'identity')
    throw new HttpProblem(
      415,
      'Packed',
      `The server takes files as they are, not packed as ${encoding.slice(0, 20)}.`,
    );
  if (Number(request.headers['content-length'] ?? 0) > mostBytes) throw tooLarge;
  let bytes = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      done(bytes > mostBytes ? tooLarge : null, chunk);
    },
  });
  try {
    await pipeline(request, counted, createWriteStream(path));
  } catch (error) {
    if (error instanceof HttpProblem) throw error;
    if (request.destroyed && !request.complete)
      throw new HttpProblem(400, 'Cut short', 'The upload was cut short; nothing was kept.');
    throw error;
  }
}
