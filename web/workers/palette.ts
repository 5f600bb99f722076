import * as Comlink from 'comlink';
import type { Backdrop } from '../../core/desk/schema.ts';
import { backdropAddress } from '../api/client.ts';
import type { DrawnPalette, PaletteWorker } from './palette.worker.ts';

let worker: Comlink.Remote<PaletteWorker> | null = null;

/** The palette of a backdrop, worked out off the page. */
export function drawPalette(backdrop: Backdrop): Promise<DrawnPalette> {
  worker ??= Comlink.wrap<PaletteWorker>(
    new Worker(new URL('./palette.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker.draw(new URL(backdropAddress(backdrop, 960), location.href).href);
}
