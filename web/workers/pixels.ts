import type * as Comlink from 'comlink';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Swatch } from '../../core/colour/extract.ts';
import type { Size } from '../../core/values/geometry.ts';
import { persist } from '../later.ts';
import type { PixelsWorker } from './pixels.worker.ts';
import { startWorker, type Running } from './remote.ts';

type Remote = Comlink.Remote<PixelsWorker>;

/** A worker that is started when it is first asked, and anew after one that could not be had. */
function createKeeper() {
  let kept: Promise<Running<PixelsWorker>> | null = null;
  function start(): Promise<Running<PixelsWorker>> {
    const started = startWorker<PixelsWorker>(
      () => new Worker(new URL('./pixels.worker.ts', import.meta.url), { type: 'module' }),
    );
    const forget = () => {
      if (kept === started) kept = null;
    };
    started.then(({ failed }) => failed).catch(forget);
    return started;
  }
  return async function ask<Result>(work: (remote: Remote) => Promise<Result>): Promise<Result> {
    kept ??= start();
    return (await kept).ask(work);
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
