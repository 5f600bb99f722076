import * as Comlink from 'comlink';
import type { Backdrop } from '../../core/desk/schema.ts';
import { backdropAddress } from '../api/client.ts';
import type { Swatch } from '../../core/colour/extract.ts';
import type { PaletteWorker } from './palette.worker.ts';

let worker: Comlink.Remote<PaletteWorker> | null = null;

/** The colours of a backdrop, worked out off the page. */
export function coloursOf(backdrop: Backdrop): Promise<Swatch[]> {
  worker ??= Comlink.wrap<PaletteWorker>(
    new Worker(new URL('./palette.worker.ts', import.meta.url), { type: 'module' }),
  );
  return worker.readColours(new URL(backdropAddress(backdrop, 960), location.href).href);
}
