import { extractPalette, type Pixels } from '../colour/extract.ts';
import { schemeNames } from '../colour/schema.ts';
import { drawRoles } from '../colour/scheme.ts';
import { greyOf, luminance } from '../colour/tone.ts';
import { clamp } from '../values/geometry.ts';
import { FIFTH, type Palettes, type Tones } from './tones.ts';

/** Cells of a map: 96 × 54 of a usual screen. */
const CELLS = 96 * 54;
const MOST_ALONG = 255;

/** The map of a picture. The same pixels give the same map. */
export function tonesOf({ width, height, data }: Pixels): Tones {
  const along = (cells: number, pixels: number) => clamp(Math.round(cells), 1, Math.min(MOST_ALONG, pixels));
  const columns = along(Math.sqrt((CELLS * width) / height), width);
  const rows = along(Math.sqrt((CELLS * height) / width), height);
  const cells = new Uint8Array(columns * rows * 3);
  for (let row = 0; row < rows; row++) {
    const [top, bottom] = [Math.floor((row * height) / rows), Math.floor(((row + 1) * height) / rows)];
    for (let column = 0; column < columns; column++) {
      const left = Math.floor((column * width) / columns);
      const right = Math.floor(((column + 1) * width) / columns);
      const values: number[] = [];
      for (let y = top; y < bottom; y++)
        for (let at = (y * width + left) * 4; at < (y * width + right) * 4; at += 4)
          values.push(luminance(data[at] as number, data[at + 1] as number, data[at + 2] as number));
      values.sort((a, b) => a - b);
      const few = Math.max(1, Math.round(values.length * FIFTH));
      const greys = [values.slice(0, few), values.slice(few, -few), values.slice(-few)];
      const all = greyOf(meanOf(values));
      for (const [index, part] of greys.entries())
        cells[(row * columns + column) * 3 + index] = Math.round(
          part.length > 0 ? greyOf(meanOf(part)) : all,
        );
    }
  }
  return { columns, rows, cells };
}

function meanOf(values: readonly number[]): number {
  let sum = 0;
  for (const value of values) sum += value;
  return sum / values.length;
}

/** How many colours of a picture a palette is drawn from. */
const SWATCHES = 8;

/** The map of a picture, with the palettes that are drawn from it. */
export function withPalettes(pixels: Pixels): Tones {
  return { ...tonesOf(pixels), palettes: palettesOf(pixels) };
}

function palettesOf(pixels: Pixels): Palettes {
  const swatches = extractPalette(pixels, SWATCHES);
  return Object.fromEntries(schemeNames.map((way) => [way, drawRoles(swatches, way)])) as Palettes;
}
