import { createHash } from 'node:crypto';
import { readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { drawScene } from '../../core/backdrop/scenes.ts';
import type { SceneName } from '../../core/backdrop/names.ts';
import { createRandom } from '../../core/sources/noise.ts';

/** Widths in px that pictures are made at; a wish is rounded up to one of them. */
export const WIDTHS = [480, 960, 1920, 2560, 3840];

export function widthFor(wish: number): number {
  return WIDTHS.find((width) => width >= wish) ?? 3840;
}

/** Raised when a scene draws differently, so that what is cached is drawn anew. */
const DRAWING = 2;

/** Makes pictures at a size, each once: finished ones lie in the cache folder, those under way are shared. */
export function createRenderer(cacheFolder: string) {
  const underWay = new Map<string, Promise<Buffer>>();

  async function once(key: string, make: () => Promise<Buffer>): Promise<Buffer> {
    const path = join(cacheFolder, `${createHash('sha256').update(key).digest('hex').slice(0, 32)}.webp`);
    let work = underWay.get(path);
    if (!work) {
      work = readFile(path).catch(async () => {
        const bytes = await make();
        // Written aside and renamed, so that a server stopped half-way leaves no half picture.
        await writeFile(`${path}.part`, bytes);
        await rename(`${path}.part`, path);
        return bytes;
      });
      underWay.set(path, work);
      const done = () => void underWay.delete(path);
      work.then(done, done);
    }
    return work;
  }

  return {
    scene: (scene: SceneName, seed: number, width: number) =>
      once(`scene ${DRAWING} ${scene} ${seed} ${width}`, () => renderScene(scene, seed, width)),
    picture: (id: string, path: string, width: number) =>
      once(`picture ${id} ${width}`, () =>
        sharp(path, { limitInputPixels: MOST_PIXELS })
          .autoOrient()
          .resize({ width, withoutEnlargement: true })
          .webp({ quality: 88, effort: 2 })
          .toBuffer(),
      ),
  };
}

export type Renderer = ReturnType<typeof createRenderer>;

/** Pictures with more pixels than this are refused: decoding one would take over a gigabyte. */
export const MOST_PIXELS = 120_000_000;

async function renderScene(scene: SceneName, seed: number, width: number): Promise<Buffer> {
  const height = Math.round((width * 9) / 16);
  const svg = Buffer.from(drawScene(scene, seed, width, height));
  return sharp(svg, { limitInputPixels: MOST_PIXELS })
    .flatten({ background: '#000' })
    .composite([{ input: await grain(seed), tile: true, blend: 'soft-light' }])
    .webp({ quality: 92, effort: 2 })
    .toBuffer();
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
