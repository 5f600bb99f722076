import sharp from 'sharp';
import { withPalettes } from '../../core/backdrop/read-tones.ts';
import { packTones } from '../../core/backdrop/tones.ts';

/** The map of tones of a backdrop that was made, as bytes. */
export async function tonesIn(made: Buffer): Promise<Buffer> {
  const { data, info } = await sharp(made)
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
  return Buffer.from(packTones(withPalettes({ width: info.width, height: info.height, data })));
}
