import { transfer } from 'comlink';
import type { Size } from '../../core/values/geometry.ts';
import { adjustPixels } from '../../core/backdrop/adjust.ts';
import type { Drawn } from '../../core/backdrop/drawn.ts';
import { paintGradient } from '../../core/backdrop/gradient.ts';
import { extractPalette, type Pixels, type Swatch } from '../../core/colour/extract.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { judgeDesk, type JudgeConditions, type Judgement, type Sight } from '../../core/legibility/judge.ts';
import { mendAll, mendsFor, type Mend } from '../../core/legibility/mends.ts';
import { learnMenus } from '../../core/scene/menus/learn.ts';
import { learnDesk } from '../../core/scene/learn.ts';
import { learnWindows } from '../../core/scene/windows/learn.ts';
import { backdropAddress } from '../api/addresses.ts';
import { fetchTones, needsPalettes } from '../api/tones.ts';
import { offer } from './offer.ts';

/** Work on pixels, off the page. Sources come from the server as they lie on the screen; the rest is done here. */

/** The newest sources, decoded, by address and size: turning a setting asks for the same one again and again. */
const sources = new Map<string, Promise<ImageData>>();
const MOST_SOURCES = 40;

async function fetchPixels(address: string, { width, height }: Size): Promise<ImageData> {
  const response = await fetch(address);
  if (!response.ok) throw new Error('The backdrop could not be read.');
  const bitmap = await createImageBitmap(await response.blob());
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser can’t read pixels in the background.');
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}

function sourceOf(drawn: Drawn, size: Size): Promise<ImageData> {
  const address = backdropAddress({ ...drawn, adjust: null }, size.width);
  const key = `${address} ${size.width} ${size.height}`;
  let source = sources.get(key);
  if (!source) {
    source = fetchPixels(address, size);
    source.catch(() => sources.delete(key));
    sources.set(key, source);
    const [oldest] = sources.keys();
    if (sources.size > MOST_SOURCES && oldest !== undefined) sources.delete(oldest);
  }
  return source;
}

/** A backdrop with all that is done to it, as pixels of its screen. */
async function pixelsOf(drawn: Drawn, size: Size): Promise<Pixels> {
  const { source, adjust, whole, part } = drawn;
  const pixels =
    source.kind === 'gradient'
      ? paintGradient(source, { whole, part, ...size })
      : copyOf(await sourceOf(drawn, size));
  if (adjust) adjustPixels(pixels, adjust, whole, part);
  return pixels;
}

function copyOf({ width, height, data }: ImageData): Pixels {
  return { width, height, data: new Uint8ClampedArray(data) };
}

async function paint(drawn: Drawn, size: Size): Promise<ImageBitmap> {
  const { width, height, data } = await pixelsOf(drawn, size);
  const image = new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height);
  const bitmap = await createImageBitmap(image);
  return transfer(bitmap, [bitmap]);
}

/** The colours of a backdrop as it lies on the screen. */
async function readColours(drawn: Drawn, size: Size): Promise<Swatch[]> {
  return extractPalette(await pixelsOf(drawn, size), 8);
}

const sightOf = (desk: Desk): Sight => ({
  pixelsOf,
  tonesOf: (drawn) => fetchTones(drawn, needsPalettes(desk)),
});

/** Whatever is on the desk, its menus, and the windows on it. */
async function learnAll(desk: Desk, { windows = [] }: JudgeConditions): Promise<void> {
  await Promise.all([learnDesk(desk), learnMenus(), ...(windows.length > 0 ? [learnWindows()] : [])]);
}

async function judge(desk: Desk, conditions: JudgeConditions): Promise<Judgement[]> {
  await learnAll(desk, conditions);
  return judgeDesk(desk, conditions, sightOf(desk));
}

async function findMends(desk: Desk, conditions: JudgeConditions, judgement: Judgement): Promise<Mend[]> {
  await learnAll(desk, conditions);
  return mendsFor(desk, conditions, judgement, sightOf(desk));
}

async function findAllMends(
  desk: Desk,
  conditions: JudgeConditions,
): Promise<{ mends: Mend[]; left: number }> {
  await learnAll(desk, conditions);
  return mendAll(desk, conditions, sightOf(desk));
}

const worker = { paint, readColours, judge, findMends, mendAll: findAllMends };
export type PixelsWorker = typeof worker;
offer(worker);
