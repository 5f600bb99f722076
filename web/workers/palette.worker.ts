import * as Comlink from 'comlink';
import { extractPalette, type Swatch } from '../../core/colour/extract.ts';
import { drawRoles } from '../../core/colour/scheme.ts';
import type { Half, Roles } from '../../core/colour/look.ts';

export interface DrawnPalette {
  swatches: Swatch[];
  roles: Record<Half, Roles>;
}

/** Draws a palette from the picture at an address. Throws when the picture can't be had. */
async function draw(address: string): Promise<DrawnPalette> {
  const response = await fetch(address);
  if (!response.ok) throw new Error('The backdrop could not be read.');
  const bitmap = await createImageBitmap(await response.blob());
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser can’t read pixels in the background.');
  context.drawImage(bitmap, 0, 0);
  const swatches = extractPalette(context.getImageData(0, 0, bitmap.width, bitmap.height), 8);
  bitmap.close();
  return { swatches, roles: drawRoles(swatches) };
}

const worker = { draw };
export type PaletteWorker = typeof worker;
Comlink.expose(worker);
