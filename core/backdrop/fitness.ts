import type { Pixels } from '../colour/extract.ts';
import type { Size } from '../values/geometry.ts';
import { stretchOf, turnedSize } from './fit.ts';
import type { Picture } from './schema.ts';

/** Width of the blocks in which JPEG packs a picture. */
const BLOCK = 8;
/** Steps between pixels larger than this are edges of things, not of blocks. */
const EDGE = 30;

/**
 * How much stronger the steps between blocks of eight pixels are than the steps within them, across and down; 1 where
 * no blocks can be seen. Only pixels that have not been scaled since they were packed tell anything.
 */
export function blockiness(pixels: Pixels): number {
  const { width, height } = pixels;
  const luma = lumaOf(pixels);
  const between = { sum: 0, count: 0 };
  const within = { sum: 0, count: 0 };
  function add(step: number, at: number) {
    if (step > EDGE) return;
    const side = at % BLOCK === 0 ? between : within;
    side.sum += step;
    side.count++;
  }
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const here = luma[y * width + x] as number;
      if (x > 0) add(Math.abs(here - (luma[y * width + x - 1] as number)), x);
      if (y > 0) add(Math.abs(here - (luma[(y - 1) * width + x] as number)), y);
    }
  }
  // A quarter of a step keeps flat pictures, which have none of either, from dividing by nothing.
  return (between.sum / Math.max(1, between.count) + 0.25) / (within.sum / Math.max(1, within.count) + 0.25);
}

/**
 * From here on the blocks can be seen full-screen. Measured on our motifs as JPEG: quality 40 to 60 comes to about 2,
 * 92 to less than 1.5, unpacked pixels to 1.
 */
export const VISIBLE_BLOCKS = 2;

function lumaOf({ width, height, data }: Pixels): Float32Array {
  const luma = new Float32Array(width * height);
  for (let index = 0; index < luma.length; index++) {
    const at = index * 4;
    luma[index] =
      0.2126 * (data[at] as number) + 0.7152 * (data[at + 1] as number) + 0.0722 * (data[at + 2] as number);
  }
  return luma;
}

/** From here on stretched pixels look soft. */
const SOFT = 1.15;

/** Why a picture is not fit for a screen, and how much blur and grain make up for it. */
export interface Unfit {
  why: 'pixels' | 'blocks';
  told: string;
  help: string;
  soften: { blur: number; grain: number };
}

/** What is wrong with a picture that lies on so many pixels; nothing where it is fit for them. */
export function unfitFor(picture: Picture, facts: Size & { blocks: number }, pixels: Size): Unfit[] {
  const stretch = stretchOf(picture.fit, turnedSize(facts, picture.turn), pixels);
  const found: Unfit[] = [];
  if (stretch > SOFT)
    found.push({
      why: 'pixels',
      told: `Too few pixels: each is stretched ${stretch.toFixed(1)} times, and will look soft.`,
      help: 'Blur it on purpose',
      soften: { blur: 18, grain: 12 },
    });
  if (facts.blocks > VISIBLE_BLOCKS)
    found.push({
      why: 'blocks',
      told: `Strongly compressed: its blocks show (${facts.blocks.toFixed(1)} times as strong as its own detail).`,
      help: 'A little blur and grain',
      soften: { blur: 2, grain: 14 },
    });
  return found;
}
