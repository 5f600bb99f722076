import sharp from 'sharp';
import type { Pixels } from '../../core/colour/extract.ts';
import type { PixelsOf } from '../../core/legibility/judge.ts';
import { bake } from '../../server/pictures/bake.ts';

/** The pixels of backdrops as the server bakes them. */
export const bakedPixels: PixelsOf = async (drawn, { width, height }) =>
  decode(await bake({ drawn, path: null, width, height, format: 'png', isForShow: true }));

export async function decode(bytes: Buffer): Promise<Pixels> {
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}

/** One colour everywhere. */
export function flatPixels(
  width: number,
  height: number,
  [r, g, b]: readonly [number, number, number],
): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let at = 0; at < data.length; at += 4) data.set([r, g, b, 255], at);
  return { width, height, data };
}
