import { readFile, writeFile } from 'node:fs/promises';
import sharp from 'sharp';

/** Drawing of icons from outside; it runs in helpers. */

/** What became of an icon: whether all of it has one colour, or why it can't be drawn. */
export type DrawnIcon = { ok: true; isOneColour: boolean } | { ok: false; reason: string };

/** Px of a drawn icon's side: what is drawn from shapes has so many, a picture at most. */
export const ICON_SIDE = 256;
const MOST_PIXELS = 40_000_000;
const nothing = { r: 0, g: 0, b: 0, alpha: 0 };

/**
 * An icon, SVG or PNG, as a square PNG: whatever an SVG may carry besides its shapes (scripts, links, styles from elsewhere)
 * stays behind. A small picture keeps its pixels, unless `isEnlarged`.
 */
export async function drawSquare(
  bytes: Buffer,
  isEnlarged: boolean,
): Promise<{ ok: true; png: Buffer } | { ok: false; reason: string }> {
  const start = bytes
    .toString('utf8', 0, 1024)
    .trimStart()
    .replace(/^\uFEFF/, '');
  const isSvg = start.startsWith('<');
  if (!isSvg && bytes.toString('latin1', 1, 4) !== 'PNG')
    return { ok: false, reason: 'is neither an SVG nor a PNG' };
  // Entities can multiply without end and name files; an icon needs none.
  if (isSvg && /<!ENTITY/i.test(bytes.toString('utf8'))) return { ok: false, reason: 'declares entities' };
  try {
    const drawing = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { width = 0, height = 0 } = isSvg || isEnlarged ? {} : await drawing.metadata();
    const side = width > 0 && height > 0 ? Math.min(ICON_SIDE, Math.max(width, height)) : ICON_SIDE;
    const png = await drawing
      .resize(side, side, { fit: 'contain', background: nothing })
      .png({ compressionLevel: 7 })
      .toBuffer();
    return { ok: true, png };
  } catch {
    return { ok: false, reason: isSvg ? 'can’t be drawn as SVG' : 'is damaged' };
  }
}

/** Icons one after another, each written aside. */
export async function drawIcons(orders: readonly { path: string; out: string }[]): Promise<DrawnIcon[]> {
  const drawn: DrawnIcon[] = [];
  for (const { path, out } of orders) {
    const made = await drawSquare(await readFile(path), false);
    if (!made.ok) {
      drawn.push(made);
      continue;
    }
    await writeFile(out, made.png);
    drawn.push({ ok: true, isOneColour: await isOneColour(made.png) });
  }
  return drawn;
}

/** Rows and columns at which colours are told, at most. */
const LOOKED_AT = 64;
/** Of a channel: what is still the same colour, and how much of a pixel must be there. */
const ALIKE = 24;
const THERE = 160;

/** Whether all that is seen of an icon has one colour, so that another one can be put in its place. */
async function isOneColour(png: Buffer): Promise<boolean> {
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const step = Math.max(1, Math.floor(info.width / LOOKED_AT));
  let first: readonly [number, number, number] | null = null;
  for (let y = 0; y < info.height; y += step)
    for (let x = 0; x < info.width; x += step) {
      const at = (y * info.width + x) * 4;
      if ((data[at + 3] ?? 0) < THERE) continue;
      const [r, g, b] = [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0];
      if (!first) first = [r, g, b];
      else if (Math.max(Math.abs(r - first[0]), Math.abs(g - first[1]), Math.abs(b - first[2])) > ALIKE)
        return false;
    }
  return first !== null;
}
