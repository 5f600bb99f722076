import type * as Comlink from 'comlink';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Swatch } from '../../core/colour/extract.ts';
import type { Size } from '../../core/values/geometry.ts';
import { persist } from '../later.ts';
import type { PixelsWorker } from './pixels.worker.ts';

type Remote = Comlink.Remote<PixelsWorker>;

/** A worker that is started when it is first asked, and anew after one that could not be had. */
function createKeeper() {
  let running: Promise<{ remote: Remote; failed: Promise<never> }> | null = null;
  async function start() {
    // What talks to it comes with it: the first look needs neither.
    const { wrap } = await import('comlink');
    const worker = new Worker(new URL('./pixels.worker.ts', import.meta.url), { type: 'module' });
    const failed = new Promise<never>((_, reject) => {
      worker.addEventListener('error', (event) => {
        // Said to whoever waits, not to the page at large.
        event.preventDefault();
        running = null;
        worker.terminate();
        reject(new Error('What works on pixels could not be loaded.'));
      });
    });
    failed.catch(() => undefined);
    return { remote: wrap<PixelsWorker>(worker), failed };
  }
  return async function ask<Result>(work: (remote: Remote) => Promise<Result>): Promise<Result> {
    running ??= start().catch((error: unknown) => {
      running = null;
      throw error;
    });
    const { remote, failed } = await running;
    return Promise.race([work(remote), failed]);
  };
}

/** Work on pixels for what is seen at once. */
const ask = createKeeper();
/** Judging takes longer, and must not hold up painting. */
export const askJudge = createKeeper();

export function paintBackdrop(drawn: Drawn, size: Size): Promise<ImageBitmap> {
  return ask((remote) => remote.paint(drawn, size));
}

/** The same, for as long as it takes: once more when a server that was gone is back. */
export function awaitBackdrop(drawn: Drawn, size: Size): Promise<ImageBitmap> {
  return persist(() => paintBackdrop(drawn, size));
}

/** The colours of a backdrop, worked out off the page. */
export function coloursOf(drawn: Drawn): Promise<Swatch[]> {
  const width = 960;
  const height = Math.round((width * drawn.part.height) / drawn.part.width);
  return persist(() => ask((remote) => remote.readColours(drawn, { width, height })));
}
