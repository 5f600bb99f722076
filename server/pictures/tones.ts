import sharp from 'sharp';
import { tonesOf, withPalettes } from '../../core/backdrop/read-tones.ts';
import { packTones } from '../../core/backdrop/tones.ts';

/** The map of tones of a backdrop that was made, as bytes; with the palettes that are drawn from it where these are asked for. */
export async function mapTones({
  made,
  hasPalettes,
}: {
  made: Uint8Array;
  hasPalettes: boolean;
}): Promise<Uint8Array> {
  const { data, info } = await sharp(made)
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
  const pixels = { width: info.width, height: info.height, data };
  return packTones(hasPalettes ? withPalettes(pixels) : tonesOf(pixels));
}
