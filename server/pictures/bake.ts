import sharp, { type Sharp } from 'sharp';
import type { Rect, Size } from '../../core/arrange/geometry.ts';
import { adjustPixels } from '../../core/backdrop/adjust.ts';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import { blockiness } from '../../core/backdrop/fitness.ts';
import { fitPicture } from '../../core/backdrop/fit.ts';
import { paintGradient } from '../../core/backdrop/gradient.ts';
import { drawScene } from '../../core/backdrop/scenes.ts';
import { toBytes } from '../../core/colour/convert.ts';
import type { Pixels } from '../../core/colour/extract.ts';
import { createRandom } from '../../core/sources/noise.ts';

/** The work on pixels that takes long; it runs in helpers of its own. */

/** Pictures with more pixels than this are refused: decoding one would take over a gigabyte. */
export const MOST_PIXELS = 120_000_000;

export const bakeFormats = ['png', 'webp', 'avif', 'jpeg'] as const;
export type BakeFormat = (typeof bakeFormats)[number];

export interface BakeOrder {
  drawn: Drawn;
  /** Where the picture lies, when the source is one. */
  path: string | null;
  /** Pixels of the screen's part. */
  width: number;
  height: number;
  format: BakeFormat;
  /** Small and quick for the stage, or the best there is. */
  isForShow: boolean;
}

/** The picture of a backdrop on one screen, packed. */
export async function bake(order: BakeOrder): Promise<Buffer> {
  const { drawn, width, height, format, isForShow } = order;
  const pixels = await sourcePixels(order);
  if (drawn.adjust) adjustPixels(pixels, drawn.adjust, drawn.whole, drawn.part);
  const image = sharp(pixels.data, { raw: { width, height, channels: 4 } }).removeAlpha();
  return encode(image, format, isForShow);
}

function encode(image: Sharp, format: BakeFormat, isForShow: boolean): Promise<Buffer> {
  switch (format) {
    case 'png':
      return image.png({ compressionLevel: 7 }).toBuffer();
    case 'webp':
      return image.webp({ quality: 96, effort: isForShow ? 1 : 4 }).toBuffer();
    case 'avif':
      return image.avif({ quality: 78, effort: 3, chromaSubsampling: '4:4:4' }).toBuffer();
    case 'jpeg':
      return image.jpeg({ quality: 94, chromaSubsampling: '4:4:4' }).toBuffer();
  }
}

/** The pixels of a source as it lies on the screen, before anything is done to them. */
async function sourcePixels({ drawn, path, width, height }: BakeOrder): Promise<Pixels> {
  const { source, whole, part } = drawn;
  if (source.kind === 'gradient') return paintGradient(source, { whole, part, width, height });
  const density = width / part.width;
  if (source.kind === 'scene') {
    const full = scaleSize(whole, density);
    const svg = Buffer.from(drawScene(source, full.width, full.height));
    const plain = sharp(svg, { limitInputPixels: MOST_PIXELS, unlimited: true }).flatten({
      background: drawn.ground,
    });
    // One that is smaller than the tile of grain is too small to show bands.
    const isGrained = full.width >= GRAIN_SIZE && full.height >= GRAIN_SIZE;
    return cut(
      isGrained
        ? plain.composite([{ input: await grain(source.seed), tile: true, blend: 'soft-light' }])
        : plain,
      full,
      { x: Math.round(part.x * density), y: Math.round(part.y * density), width, height },
    );
  }
  if (!path) throw new Error('A picture has no file');
  const turned = await turnedPicture(path, source.turn, source.mirror);
  // On the part of the surface that this screen shows, in its pixels.
  const rects = fitPicture(
    source.fit,
    turned.size,
    scaleSize(whole, density, false),
    source.focal,
    density,
  ).map((rect) => ({ ...rect, x: rect.x - part.x * density, y: rect.y - part.y * density }));
  return layPicture(turned.image, rects, { width, height }, drawn.ground);
}

function scaleSize({ width, height }: Size, by: number, isWhole = true): Size {
  return isWhole
    ? { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) }
    : { width: width * by, height: height * by };
}

/** A rectangle of an image as raw RGBA; one that hangs over the image's sides by rounding is moved inside. */
async function cut(image: Sharp, size: Size, { x, y, width, height }: Rect): Promise<Pixels> {
  const left = Math.max(0, Math.min(x, size.width - width));
  const top = Math.max(0, Math.min(y, size.height - height));
  // Made whole first: within one pipeline sharp would cut before it composites.
  const { data, info } = await image
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
  if (info.width === width && info.height === height) return { width, height, data };
  const part = await sharp(data, { raw: { width: info.width, height: info.height, channels: 4 } })
    .extract({ left, top, width: Math.min(width, info.width), height: Math.min(height, info.height) })
    .resize(width, height, { fit: 'fill' })
    .raw()
    .toBuffer();
  return { width, height, data: part };
}

async function turnedPicture(
  path: string,
  turn: number,
  mirror: boolean,
): Promise<{ image: Sharp; size: Size }> {
  // An animated picture gives its first frame.
  const upright = () => sharp(path, { limitInputPixels: MOST_PIXELS, pages: 1 }).autoOrient();
  const { autoOrient } = await upright().metadata();
  const size =
    turn % 180 === 0
      ? { width: autoOrient.width, height: autoOrient.height }
      : { width: autoOrient.height, height: autoOrient.width };
  const image = turn === 0 ? upright() : upright().rotate(turn);
  return { image: mirror ? image.flop() : image, size };
}

/** Lays a picture on a surface of the ground's colour, once or as tiles. Rects are in the surface's pixels. */
async function layPicture(image: Sharp, rects: Rect[], surface: Size, ground: string): Promise<Pixels> {
  const data = Buffer.alloc(surface.width * surface.height * 4);
  const [r, g, b] = toBytes(ground);
  for (let at = 0; at < data.length; at += 4) {
    data[at] = r;
    data[at + 1] = g;
    data[at + 2] = b;
    data[at + 3] = 255;
  }
  const [first] = rects;
  if (!first) return { ...surface, data };
  const width = Math.max(1, Math.round(first.width));
  const height = Math.max(1, Math.round(first.height));
  const tile = await image
    .resize(width, height, { fit: 'fill' })
    .flatten({ background: ground })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer();
  for (const rect of rects) {
    const left = Math.round(rect.x);
    const top = Math.round(rect.y);
    const from = Math.max(0, -left);
    const long = Math.min(width, surface.width - left) - from;
    if (long <= 0) continue;
    for (let row = Math.max(0, -top); row < height && top + row < surface.height; row++) {
      const start = (row * width + from) * 4;
      tile.copy(data, ((top + row) * surface.width + left + from) * 4, start, start + long * 4);
    }
  }
  return { ...surface, data };
}

const GRAIN_SIZE = 192;

/** A tile of faint noise as PNG: smooth skies would otherwise show bands once they are 8 bits deep. */
function grain(seed: number): Promise<Buffer> {
  const random = createRandom(seed);
  const grey = Buffer.alloc(GRAIN_SIZE * GRAIN_SIZE * 3);
  for (let at = 0; at < grey.length; at += 3)
    grey.fill(Math.round(128 + (random() + random() - 1) * 9), at, at + 3);
  return sharp(grey, { raw: { width: GRAIN_SIZE, height: GRAIN_SIZE, channels: 3 } })
    .png()
    .toBuffer();
}

/** Pixels at each side of the square in the middle that is looked at for blocks. */
const LOOKED_AT = 768;

/** How visible the blocks of compression are in a picture; see blockiness. */
export async function measureBlocks(path: string): Promise<number> {
  const { width, height } = await sharp(path, { limitInputPixels: MOST_PIXELS, pages: 1 }).metadata();
  // Cut on the grid of blocks, unturned and unscaled: that is where they can be seen.
  const side = (length: number) => Math.min(length, LOOKED_AT);
  const start = (length: number) => Math.floor(Math.max(0, length - LOOKED_AT) / 16) * 8;
  const { data, info } = await sharp(path, { limitInputPixels: MOST_PIXELS, pages: 1 })
    .extract({ left: start(width), top: start(height), width: side(width), height: side(height) })
    .flatten({ background: '#808080' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
  return blockiness({ width: info.width, height: info.height, data });
}
