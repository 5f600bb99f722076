import sharp from 'sharp';
import { HttpProblem } from '../http/problem.ts';

export const MOST_ICON_BYTES = 2 * 1024 * 1024;
const SIDE = 256;

/**
 * An icon of one's own, drawn to pixels: whatever an SVG may carry besides its shapes (scripts, links, styles from
 * elsewhere) stays behind. Gives a PNG of 256 pixels square. Throws HttpProblem.
 */
export async function drawIcon(bytes: Buffer): Promise<Buffer> {
  const start = bytes
    .toString('utf8', 0, 1024)
    .trimStart()
    .replace(/^\uFEFF/, '');
  const isSvg = start.startsWith('<');
  if (!isSvg && bytes.toString('latin1', 1, 4) !== 'PNG') throw unfit('is neither an SVG nor a PNG');
  // Entities can multiply without end and name files; an icon needs none.
  if (isSvg && /<!ENTITY/i.test(bytes.toString('utf8'))) throw unfit('declares entities');
  try {
    return await sharp(bytes, { limitInputPixels: 40_000_000 })
      .resize(SIDE, SIDE, { fit: 'contain', background: { r: 0, g: 0, b: 0, alpha: 0 } })
      .png()
      .toBuffer();
  } catch {
    throw unfit(isSvg ? 'can’t be drawn as SVG' : 'is damaged');
  }
}

function unfit(reason: string): HttpProblem {
  return new HttpProblem(415, 'Not an icon', `This file ${reason}; nothing was changed.`);
}
