import * as Comlink from 'comlink';
import { extractPalette, type Swatch } from '../../core/colour/extract.ts';

/** The colours of the picture at an address. Throws when the picture can't be had. */
async function readColours(address: string): Promise<Swatch[]> {
  const response = await fetch(address);
  if (!response.ok) throw new Error('The backdrop could not be read.');
  const bitmap = await createImageBitmap(await response.blob());
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser can’t read pixels in the background.');
  context.drawImage(bitmap, 0, 0);
  const swatches = extractPalette(context.getImageData(0, 0, bitmap.width, bitmap.height), 8);
  bitmap.close();
  return swatches;
}

const worker = { readColours };
export type PaletteWorker = typeof worker;
Comlink.expose(worker);
