import sharp from 'sharp';
import type { Pixels } from '../../core/colour/extract.ts';
import type { PixelsOf } from '../../core/legibility/judge.ts';
import { bake } from '../../server/pictures/bake.ts';

const baked = new Map<string, Promise<Pixels>>();

/** The pixels of backdrops as the server bakes them; each is baked once, and given out as a copy: who judges paints on it. */
export const bakedPixels: PixelsOf = async (drawn, { width, height }) => {
  const key = JSON.stringify([drawn, width, height]);
  let pixels = baked.get(key);
  if (!pixels) {
    pixels = bake({ drawn, path: null, width, height, format: 'png', isForShow: true }).then(decode);
    baked.set(key, pixels);
  }
  const known = await pixels;
  return { ...known, data: new Uint8ClampedArray(known.data) };
};

export async function decode(bytes: Buffer): Promise<Pixels> {
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}

/** A colour as style sheets tell it, as #rrggbb. */
export function hexOfCss(colour: string): string {
  const channels = /^rgba?\((\d+), (\d+), (\d+)/.exec(colour);
  if (!channels) return colour;
  return `#${channels
    .slice(1)
    .map((channel) => Number(channel).toString(16).padStart(2, '0'))
    .join('')}`;
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
