import { readFile, writeFile } from 'node:fs/promises';
import sharp, { type Metadata } from 'sharp';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import { blockiness } from '../../core/backdrop/fitness.ts';
import { drawSquare, ICON_SIDE } from '../icons/draw.ts';
import { digestOf } from '../files/digest.ts';
import { diskTrouble } from '../files/trouble.ts';
import { cleanPicture } from './clean.ts';
import type { PictureFacts } from '../../core/wire/wire.ts';
import { LONGEST_WEBP } from './formats.ts';
import { mostPixelsOf, openPicture } from './open.ts';

/** The work on pictures of one's own; it runs in helpers. */

/** A picture that was taken in, or why it was not: a status for the answer, and a sentence. */
export type Taken =
  { ok: true; picture: TakenPicture } | { ok: false; status: number; title: string; reason: string };

export interface TakenPicture {
  /** SHA-256 of the bytes. */
  id: string;
  /** Media type. */
  type: string;
  width: number;
  height: number;
  bytes: number;
}

/** sharp's format names, and what they are called outside. */
const types = new Map([
  ['png', 'image/png'],
  ['jpeg', 'image/jpeg'],
  ['webp', 'image/webp'],
  ['heif', 'image/avif'],
  ['gif', 'image/gif'],
]);

const no = (status: number, title: string, reason: string): Taken => ({ ok: false, status, title, reason });
const unreadable = no(
  415,
  'Not a picture',
  'This is not a PNG, JPEG, WebP, AVIF or GIF picture; nothing was changed.',
);
const damaged = no(
  422,
  'Damaged picture',
  'This picture is damaged and could not be decoded; nothing was changed.',
);

export interface TakeOrder {
  /** Where the bytes lie, and where those to be kept are to be written. */
  path: string;
  out: string;
  /** The very bytes are kept, whatever they say besides the picture. */
  asIs: boolean;
}

/**
 * Takes in PNG, JPEG, WebP, AVIF or GIF: without what it says besides the picture, and only once all of it has been
 * decoded by the settings that will show it.
 */
export async function takePicture({ path, out, asIs }: TakeOrder): Promise<Taken> {
  const found = await metadataOf(path);
  const type = found && typeOf(found);
  if (!found || !type) return unreadable;
  const pixels = found.width * found.height;
  const most = mostPixelsOf(found);
  if (pixels > most)
    return no(
      413,
      'Too many pixels',
      `This picture has ${Math.round(pixels / 1e6)} megapixels; up to ${most / 1e6} of this kind are taken. Nothing was changed.`,
    );
  let bytes: Buffer;
  try {
    const given = await readFile(path);
    bytes = asIs ? given : await cleanPicture(given, found);
    await writeFile(out, bytes);
    await decodeWhole(out);
  } catch (error) {
    // A disk that is full says nothing of the picture.
    if (diskTrouble(error)) throw error;
    return damaged;
  }
  if (bytes.length > DESK_LIMITS.picture)
    return no(413, 'Too large', 'This picture is too large once it is packed anew; nothing was changed.');
  const { width, height } = found.autoOrient;
  return { ok: true, picture: { id: digestOf(bytes), type, width, height, bytes: bytes.length } };
}

async function metadataOf(path: string): Promise<Metadata | null> {
  try {
    return await sharp(path, { limitInputPixels: false, pages: 1 }).metadata();
  } catch {
    return null;
  }
}

function typeOf({ format, compression, width, height }: Metadata): string | null {
  if (!width || !height || (format === 'heif' && compression !== 'av1')) return null;
  return types.get(format) ?? null;
}

/** Decodes every pixel, at full size. Throws where a part of the picture can't be read. */
async function decodeWhole(path: string): Promise<void> {
  await openPicture(path)
    .autoOrient()
    .resize({ width: 64, height: 64, fit: 'fill', fastShrinkOnLoad: false, kernel: 'nearest' })
    .toColourspace('srgb')
    .raw()
    .toBuffer();
}

/** An icon of one's own, drawn to pixels. Writes a PNG of 256 pixels square. */
export async function drawIcon({ path, out }: Omit<TakeOrder, 'asIs'>): Promise<Taken> {
  const made = await drawSquare(await readFile(path), true);
  if (!made.ok) return no(415, 'Not an icon', `This file ${made.reason}; nothing was changed.`);
  await writeFile(out, made.png);
  return {
    ok: true,
    picture: {
      id: digestOf(made.png),
      type: 'image/png',
      width: ICON_SIDE,
      height: ICON_SIDE,
      bytes: made.png.length,
    },
  };
}

/** A picture upright, at most `width` px wide, as WebP; a slim one is only as high as there is room for. */
export function showPicture({ path, width }: { path: string; width: number }): Promise<Buffer> {
  return openPicture(path)
    .autoOrient()
    .resize({ width, height: LONGEST_WEBP, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 88, effort: 2 })
    .toBuffer();
}

const depths = new Map([
  ['uchar', 8],
  ['char', 8],
  ['ushort', 16],
  ['short', 16],
  ['float', 32],
  ['double', 64],
]);

export async function pictureFacts(path: string): Promise<PictureFacts> {
  const { autoOrient, depth, pages, hasProfile } = await openPicture(path).metadata();
  return {
    width: autoOrient.width,
    height: autoOrient.height,
    isAnimated: (pages ?? 1) > 1,
    depth: depths.get(depth ?? '') ?? 8,
    hasProfile: hasProfile ?? false,
    blocks: await measureBlocks(path),
  };
}

/** Pixels at each side of the square in the middle that is looked at for blocks. */
const LOOKED_AT = 768;

/** How visible the blocks of compression are in a picture; see blockiness. */
async function measureBlocks(path: string): Promise<number> {
  const { width, height } = await openPicture(path).metadata();
  // Cut on the grid of blocks, unturned and unscaled: that is where they can be seen.
  const side = (length: number) => Math.min(length, LOOKED_AT);
  const start = (length: number) => Math.floor(Math.max(0, length - LOOKED_AT) / 16) * 8;
  const { data, info } = await openPicture(path)
    .extract({ left: start(width), top: start(height), width: side(width), height: side(height) })
    .flatten({ background: '#808080' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
  return blockiness({ width: info.width, height: info.height, data });
}
