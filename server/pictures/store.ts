import { readFile, rename, writeFile } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp, { type Metadata } from 'sharp';
import { digestOf } from '../../core/bundle/bundle.ts';
import type { Store } from '../db/open.ts';
import { pictures } from '../db/schema.ts';
import { HttpProblem } from '../http/problem.ts';
import { MOST_PIXELS } from './render.ts';

export type StoredPicture = typeof pictures.$inferSelect;

/** sharp's format names, and what they are called outside. */
const types: Record<string, string> = {
  png: 'image/png',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  heif: 'image/avif',
};

/** Pictures of one's own, each kept once, under the digest of its bytes. */
export function createPictureStore(store: Store, folder: string, now: () => number = Date.now) {
  const pathOf = (id: string) => join(folder, id);
  const find = (id: string) => store.select().from(pictures).where(eq(pictures.id, id)).get() ?? null;

  return {
    pathOf,
    find,
    has: (id: string) => find(id) !== null && existsSync(pathOf(id)),
    read: (id: string): Promise<Buffer> => readFile(pathOf(id)),

    /** Takes in PNG, JPEG, WebP or AVIF bytes. Throws HttpProblem on anything else, or too many pixels. */
    async add(bytes: Buffer, name: string): Promise<StoredPicture> {
      const { type, width, height } = await inspect(bytes);
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

async function inspect(bytes: Buffer): Promise<{ type: string; width: number; height: number }> {
  const unreadable = new HttpProblem(
    415,
    'Not a picture',
    'This is not a PNG, JPEG, WebP or AVIF picture; nothing was changed.',
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
  const isTurned = (found.orientation ?? 1) >= 5;
  return {
    type,
    width: isTurned ? found.height : found.width,
    height: isTurned ? found.width : found.height,
  };
}
