import type { Drawn } from '../../core/backdrop/drawn.ts';
import { TONES_WIDTH } from '../../core/backdrop/tones.ts';
import { HttpProblem } from '../http/problem.ts';
import type { Helpers } from '../helpers/pool.ts';
import { LONGEST_DRAWN, LONGEST_WEBP } from './formats.ts';
import type { BakeFormat } from '../../core/wire/wire.ts';
import { CACHE_BYTES, createCache } from './cache.ts';
import { asBuffer, type PictureStore } from './store.ts';

/** Widths in px that pictures are shown at; a wish is rounded up to one of them. */
export const WIDTHS = [240, 480, 960, 1920, 2560, 3840];

export function widthFor(wish: number): number {
  return WIDTHS.find((width) => width >= wish) ?? 3840;
}

/** Raised when a backdrop is drawn differently, so that what is cached is drawn anew. */
const DRAWING = 7;
/** Pixels of a picture for looking at, and of the whole surface that it is cut from; beyond, it is made smaller. */
const MOST_SHOWN = 9_000_000;
const MOST_SURFACE = 40_000_000;
/** The same of a surface from which a part is exported. */
const MOST_DRAWN = 100_000_000;
/** Pixels for each px of the desk in which the whole surface of a backdrop can be drawn. */
const mostDensity = ({ source, whole }: Drawn) =>
  source.kind === 'motif' ? LONGEST_DRAWN / Math.max(whole.width, whole.height) : Infinity;

/** The pixels in which a backdrop is shown: as wide as wished for, unless that is more than it may have. */
export function shownSize(drawn: Drawn, wish: number): { width: number; height: number } {
  const { part, whole } = drawn;
  const density = Math.min(
    mostDensity(drawn),
    wish / part.width,
    LONGEST_WEBP / Math.max(part.width, part.height),
    Math.sqrt(MOST_SHOWN / (part.width * part.height)),
    Math.sqrt(MOST_SURFACE / (whole.width * whole.height)),
  );
  const side = (length: number) => Math.max(1, Math.floor(length * density + 1e-6));
  return { width: side(part.width), height: Math.max(1, Math.round(part.height * density)) };
}

export interface Export {
  width: number;
  height: number;
  format: BakeFormat;
}

/** Makes pictures at a size. What is shown is kept in the cache folder; a signal says when nobody waits any more. */
export function createRenderer(
  cacheFolder: string,
  pictures: PictureStore,
  helpers: Helpers,
  cacheBytes = CACHE_BYTES,
) {
  const cache = createCache(cacheFolder, cacheBytes);

  function pathOf({ source }: Drawn): string | null {
    if (source.kind !== 'picture') return null;
    if (!pictures.has(source.picture))
      throw new HttpProblem(404, 'No such picture', 'The server does not have this picture.');
    return pictures.pathOf(source.picture);
  }

  /** A backdrop for looking at, as WebP. */
  async function backdrop(drawn: Drawn, wish: number, signal?: AbortSignal): Promise<Buffer> {
    const path = pathOf(drawn);
    const { width, height } = shownSize(drawn, wish);
    return cache.get(
      `backdrop ${DRAWING} ${JSON.stringify(drawn)} ${width}`,
      async (wanted) =>
        asBuffer(
          await helpers.run(
            'bake',
            { drawn, path, width, height, format: 'webp', isForShow: true },
            { signal: wanted },
          ),
        ),
      signal,
    );
  }

  return {
    cacheBytes: cache.bytes,
    backdrop,

    /** How dark and light a backdrop is, and where, from a small picture of it; with palettes drawn from that, if wanted. */
    async tones(drawn: Drawn, hasPalettes: boolean, signal?: AbortSignal): Promise<Buffer> {
      return cache.get(
        `${hasPalettes ? 'tones and palettes' : 'tones'} ${DRAWING} ${JSON.stringify(drawn)}`,
        async (wanted) => {
          const made = await backdrop(drawn, TONES_WIDTH, wanted);
          return asBuffer(await helpers.run('mapTones', { made, hasPalettes }, { signal: wanted }));
        },
        signal,
      );
    },

    /** A backdrop for keeping, in exactly the pixels asked for. */
    async export(drawn: Drawn, { width, height, format }: Export, signal?: AbortSignal): Promise<Buffer> {
      const path = pathOf(drawn);
      const { whole, part } = drawn;
      const isTooLarge =
        (whole.width / part.width) * width * (whole.height / part.height) * height > MOST_DRAWN ||
        Math.max(width / part.width, height / part.height) > mostDensity(drawn);
      if (isTooLarge)
        throw new HttpProblem(
          413,
          'Too many pixels',
          'This part is too small for the surface that it is cut from, at so many pixels.',
        );
      return asBuffer(
        await helpers.run(
          'bake',
          { drawn, path, width, height, format, isForShow: false },
          signal ? { signal } : {},
        ),
      );
    },

    /** A picture of one's own as it is, upright. */
    picture: (id: string, width: number, signal?: AbortSignal): Promise<Buffer> =>
      cache.get(`picture ${DRAWING} ${id} ${width}`, (wanted) => pictures.show(id, width, wanted), signal),
  };
}

export type Renderer = ReturnType<typeof createRenderer>;
