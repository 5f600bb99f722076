import { readFile, rename, writeFile } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp, { type Metadata } from 'sharp';
import { digestOf } from '../../core/bundle/bundle.ts';
import type { Store } from '../db/open.ts';
import { pictures } from '../db/schema.ts';
import { HttpProblem } from '../http/problem.ts';
import type { Helpers } from '../helpers/pool.ts';
import { MOST_PIXELS } from './bake.ts';
import { cleanPicture } from './clean.ts';

export type StoredPicture = typeof pictures.$inferSelect;

/** What is worth knowing of a picture before it is a backdrop. */
export interface PictureFacts {
  width: number;
  height: number;
  isAnimated: boolean;
  /** Bits of each channel. */
  depth: number;
  hasProfile: boolean;
  /** How visible the blocks of compression are; 1 is not at all. */
  blocks: number;
}

/** sharp's format names, and what they are called outside. */
const types: Record<string, string> = {
  png: 'image/png',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  heif: 'image/avif',
  gif: 'image/gif',
};

const DEPTHS: Record<string, number> = { uchar: 8, char: 8, ushort: 16, short: 16, float: 32, double: 64 };

/** Pictures of one's own, each kept once, under the digest of its bytes. */
export function createPictureStore(
  store: Store,
  folder: string,
  helpers: Helpers,
  now: () => number = Date.now,
) {
  const pathOf = (id: string) => join(folder, id);
  const find = (id: string) => store.select().from(pictures).where(eq(pictures.id, id)).get() ?? null;
  const open = (id: string) => sharp(pathOf(id), { limitInputPixels: MOST_PIXELS, pages: 1 });

  return {
    pathOf,
    find,
    has: (id: string) => find(id) !== null && existsSync(pathOf(id)),
    read: (id: string): Promise<Buffer> => readFile(pathOf(id)),

    /** The picture upright, at most `width` px wide, as WebP. */
    show: (id: string, width: number): Promise<Buffer> =>
      open(id)
        .autoOrient()
        .resize({ width, withoutEnlargement: true })
        .webp({ quality: 88, effort: 2 })
        .toBuffer(),

    async facts(id: string): Promise<PictureFacts> {
      const { autoOrient, depth, pages, hasProfile } = await open(id).metadata();
      return {
        width: autoOrient.width,
        height: autoOrient.height,
        isAnimated: (pages ?? 1) > 1,
        depth: DEPTHS[depth ?? ''] ?? 8,
        hasProfile: hasProfile ?? false,
        blocks: await helpers.run('measureBlocks', pathOf(id)),
      };
    },

    /**
     * Takes in PNG, JPEG, WebP, AVIF or GIF bytes, without what they say besides the picture unless `asIs`. Throws
     * HttpProblem on anything else, or too many pixels.
     */
    async add(given: Buffer, name: string, asIs = false): Promise<StoredPicture> {
      const { type, width, height, metadata } = await inspect(given);
      const bytes = asIs ? given : await cleanPicture(given, metadata);
      const id = digestOf(bytes);
      const known = find(id);
      if (!known || !existsSync(pathOf(id))) {
        await writeFile(`${pathOf(id)}.part`, bytes);
        await rename(`${pathOf(id)}.part`, pathOf(id));
      }
      const row = {
        id,
        name: name.slice(0, 200) || 'picture',
        type,
        width,
        height,
        bytes: bytes.length,
        addedAt: now(),
      };
      store.insert(pictures).values(row).onConflictDoNothing().run();
      return find(id) ?? row;
    },
  };
}

export type PictureStore = ReturnType<typeof createPictureStore>;

async function inspect(
  bytes: Buffer,
): Promise<{ type: string; width: number; height: number; metadata: Metadata }> {
  const unreadable = new HttpProblem(
    415,
    'Not a picture',
    'This is not a PNG, JPEG, WebP, AVIF or GIF picture; nothing was changed.',
  );
  let found: Metadata;
  try {
    found = await sharp(bytes, { limitInputPixels: false }).metadata();
  } catch {
    throw unreadable;
  }
  const type = found.format === 'heif' && found.compression !== 'av1' ? undefined : types[found.format ?? ''];
  if (!type || !found.width || !found.height) throw unreadable;
  if (found.width * found.height > MOST_PIXELS) {
    const megapixels = Math.round((found.width * found.height) / 1e6);
    throw new HttpProblem(
      413,
      'Too many pixels',
      `This picture has ${megapixels} megapixels; up to ${MOST_PIXELS / 1e6} are taken. Nothing was changed.`,
    );
  }
  try {
    // Decoded once, small, so that a damaged file is refused now and not when it is shown.
    await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).resize(32).toBuffer();
  } catch {
    throw new HttpProblem(
      422,
      'Damaged picture',
      'This picture is damaged and could not be decoded; nothing was changed.',
    );
  }
  return { type, width: found.autoOrient.width, height: found.autoOrient.height, metadata: found };
}
