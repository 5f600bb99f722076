import * as Comlink from 'comlink';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import type { Swatch } from '../../core/colour/extract.ts';
import type { PixelsWorker } from './pixels.worker.ts';

let started: Comlink.Remote<PixelsWorker> | null = null;
let judging: Comlink.Remote<PixelsWorker> | null = null;

function start(): Comlink.Remote<PixelsWorker> {
  return Comlink.wrap<PixelsWorker>(
    new Worker(new URL('./pixels.worker.ts', import.meta.url), { type: 'module' }),
  );
}

/** Work on pixels for what is seen at once. */
export function pixelsWorker(): Comlink.Remote<PixelsWorker> {
  return (started ??= start());
}

/** Judging takes longer, and must not hold up painting. */
export function judgingWorker(): Comlink.Remote<PixelsWorker> {
  return (judging ??= start());
}

/** The colours of a backdrop, worked out off the page. */
export function coloursOf(drawn: Drawn): Promise<Swatch[]> {
  const width = 960;
  const height = Math.round((width * drawn.part.height) / drawn.part.width);
  return pixelsWorker().readColours(drawn, { width, height });
}
