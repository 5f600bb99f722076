import sharp, { type Sharp } from 'sharp';
import { intersection, lengthOf, type Point, type Rect, type Size } from '../../core/values/geometry.ts';
import { adjustPixels } from '../../core/backdrop/adjust.ts';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import { fitPicture } from '../../core/backdrop/fit.ts';
import { paintGradient } from '../../core/backdrop/gradient.ts';
import { drawMotif } from '../../core/backdrop/motifs.ts';
import { toBytes } from '../../core/values/colour.ts';
import type { Pixels } from '../../core/colour/extract.ts';
import { createRandom } from '../../core/sources/noise.ts';
import { LONGEST_DRAWN } from './formats.ts';
import type { BakeFormat } from '../../core/wire/wire.ts';
import { MOST_PIXELS, openPicture } from './open.ts';

/** The work on pixels that takes long; it runs in helpers of its own. */

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
      return image.webp({ quality: 96, effort: isForShow ? 0 : 4 }).toBuffer();
    case 'avif':
      return image.avif({ quality: 78, effort: 3, chromaSubsampling: '4:4:4' }).toBuffer();
    case 'jpeg':
      return image.jpeg({ quality: 94, chromaSubsampling: '4:4:4' }).toBuffer();
  }
}

/** Pixels of a motif's whole surface that cost little, and how many times as many as are shown of it are drawn at most. */
const SMALL_SURFACE = 4_000_000;
const MOST_TIMES = 30;

/** The pixels of a source as it lies on the screen, before anything is done to them. */
async function sourcePixels({ drawn, path, width, height }: BakeOrder): Promise<Pixels> {
  const { source, whole, part, ground } = drawn;
  if (source.kind === 'gradient') return paintGradient(source, { whole, part, width, height });
  const density = width / part.width;
  if (source.kind === 'motif') {
    // The smallest part there is has one pixel, however vast its surface.
    const drawnAt = Math.min(
      density,
      LONGEST_DRAWN / Math.max(whole.width, whole.height),
      Math.sqrt(Math.max(SMALL_SURFACE, MOST_TIMES * width * height) / (whole.width * whole.height)),
    );
    const full = scaleSize(whole, drawnAt);
    const svg = Buffer.from(drawMotif(source, full.width, full.height));
    const plain = sharp(svg, { limitInputPixels: MOST_PIXELS, unlimited: true }).flatten({
      background: ground,
    });
    // One that is smaller than the tile of grain is too small to show bands.
    const isGrained = full.width >= GRAIN_SIZE && full.height >= GRAIN_SIZE;
    return cut(
      isGrained
        ? plain.composite([{ input: await grain(source.seed), tile: true, blend: 'soft-light' }])
        : plain,
      full,
      { x: Math.round(part.x * drawnAt), y: Math.round(part.y * drawnAt), ...scaleSize(part, drawnAt) },
      { width, height },
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
  return layPicture(turned, rects, { width, height }, drawn.ground);
}

function scaleSize({ width, height }: Size, by: number, isWhole = true): Size {
  return isWhole
    ? { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) }
    : { width: width * by, height: height * by };
}

/** A rectangle of an image as raw RGBA of a size; one that hangs over the image's sides by rounding is moved inside. */
async function cut(image: Sharp, size: Size, rect: Rect, { width, height }: Size): Promise<Pixels> {
  const left = Math.max(0, Math.min(rect.x, size.width - rect.width));
  const top = Math.max(0, Math.min(rect.y, size.height - rect.height));
  // Made whole first: within one pipeline sharp would cut before it composites.
  const { data, info } = await image
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
  if (info.width === width && info.height === height) return { width, height, data };
  const part = await sharp(data, { raw: { width: info.width, height: info.height, channels: 4 } })
    .extract({
      left,
      top,
      width: Math.min(rect.width, info.width),
      height: Math.min(rect.height, info.height),
    })
    .resize(width, height, { fit: 'fill' })
    .raw()
    .toBuffer();
  return { width, height, data: part };
}

/** A picture as it is turned and mirrored, and how to get a part of it (in its px, as it is turned). */
interface Turned {
  size: Size;
  /** The part scaled to a size in pixels. */
  part(rect: Rect, to: Size, ground: string): Promise<Pixels>;
}

async function turnedPicture(path: string, turn: number, mirror: boolean): Promise<Turned> {
  const { autoOrient } = await openPicture(path).metadata();
  const size =
    turn % 180 === 0
      ? { width: autoOrient.width, height: autoOrient.height }
      : { width: autoOrient.height, height: autoOrient.width };
  return {
    size,
    async part({ x, y, width, height }, to, ground) {
      const upright = openPicture(path).autoOrient();
      const turned = turn === 0 ? upright : upright.rotate(turn);
      // A picture is mirrored before it is turned. It is done last here, on the few pixels that are left: on its side,
      // what was left and right is above and below.
      const isUpright = turn % 180 === 0;
      const left = mirror && isUpright ? size.width - x - width : x;
      const top = mirror && !isUpright ? size.height - y - height : y;
      const isWhole = width === size.width && height === size.height;
      const pixels = await scaledPixels(
        isWhole ? turned : turned.extract({ left, top, width, height }),
        to,
        ground,
      );
      if (!mirror) return pixels;
      const plain = sharp(pixels.data, { raw: { width: pixels.width, height: pixels.height, channels: 4 } });
      return { ...pixels, data: await (isUpright ? plain.flop() : plain.flip()).raw().toBuffer() };
    },
  };
}

/** Tiles that each are cut and scaled by themselves; more of them are small, and alike. */
const MOST_SINGLE = 9;

/** Lays a picture on a surface of the ground's colour, once or as tiles. Rects are in the surface's pixels. */
async function layPicture(turned: Turned, rects: Rect[], surface: Size, ground: string): Promise<Pixels> {
  const data = Buffer.alloc(surface.width * surface.height * 4);
  const [r, g, b] = toBytes(ground);
  data.fill(Buffer.from([r, g, b, 255]));
  const isSingle = rects.length <= MOST_SINGLE;
  const whole = { x: 0, y: 0, ...turned.size };
  let tile: Pixels | null = null;
  for (const rect of rects) {
    // What is not seen is not scaled: a slim picture that covers a screen is many times as long as it.
    const seen = isSingle ? partSeen(rect, surface, turned.size) : { part: whole, lies: rect };
    if (!seen) continue;
    const { part, lies } = seen;
    if (!tile || isSingle) tile = await turned.part(part, lies, ground);
    lay(tile, { x: Math.round(lies.x), y: Math.round(lies.y) }, { ...surface, data });
  }
  return { ...surface, data };
}

/** Px of a picture around what is seen of it, for the scaling to draw on. */
const AROUND = 4;

/** The part of a picture (in its px) that is seen where it lies at `rect`, and where that part lies; null for none. */
function partSeen(rect: Rect, surface: Size, picture: Size): { part: Rect; lies: Rect } | null {
  const seen = intersection(rect, { x: 0, y: 0, ...surface });
  if (!seen) return null;
  const along = (axis: 'x' | 'y') => {
    const length = lengthOf[axis];
    const scale = picture[length] / rect[length];
    const start = Math.max(0, Math.floor((seen[axis] - rect[axis]) * scale) - AROUND);
    const end = Math.min(
      picture[length],
      Math.ceil((seen[axis] + seen[length] - rect[axis]) * scale) + AROUND,
    );
    return { start, length: end - start, lies: rect[axis] + start / scale, long: (end - start) / scale };
  };
  const [x, y] = [along('x'), along('y')];
  return {
    part: { x: x.start, y: y.start, width: x.length, height: y.length },
    lies: { x: x.lies, y: y.lies, width: x.long, height: y.long },
  };
}

async function scaledPixels(image: Sharp, size: Size, ground: string): Promise<Pixels> {
  const width = Math.max(1, Math.round(size.width));
  const height = Math.max(1, Math.round(size.height));
  const data = await image
    .resize(width, height, { fit: 'fill' })
    .flatten({ background: ground })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer();
  return { width, height, data };
}

/** Copies pixels to where they lie on a surface; what hangs over its sides is left away. */
function lay(tile: Pixels, { x, y }: Point, surface: Size & { data: Buffer }): void {
  const from = Math.max(0, -x);
  const long = Math.min(tile.width, surface.width - x) - from;
  if (long <= 0) return;
  const bytes = Buffer.from(tile.data.buffer, tile.data.byteOffset, tile.data.length);
  for (let row = Math.max(0, -y); row < tile.height && y + row < surface.height; row++) {
    const start = (row * tile.width + from) * 4;
    bytes.copy(surface.data, ((y + row) * surface.width + x + from) * 4, start, start + long * 4);
  }
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
