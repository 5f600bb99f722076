import { Router, type Request, type Response } from 'express';
import { sketchOf } from '../../core/backdrop/sketch.ts';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import type { Incoming } from '../files/incoming.ts';
import { HttpProblem } from '../http/problem.ts';
import { Cancelled } from '../helpers/pool.ts';
import { LONGEST_WEBP } from './formats.ts';
import { bakeFormats, type PictureNote } from '../../core/wire/wire.ts';
import { readDrawn } from './drawn.ts';
import { widthFor, type Renderer } from './render.ts';
import type { PictureStore } from './store.ts';

const MOST_ICON_BYTES = 2 * 1024 * 1024;
const MOST_SIDE = 16384;
const MOST_EXPORTED = 40_000_000;

export function pictureRoutes(pictures: PictureStore, renderer: Renderer, incoming: Incoming): Router {
  const router = Router();

  router.post('/pictures', async (request, response) => {
    const picture = await incoming.receive(request, DESK_LIMITS.picture, (path) =>
      pictures.add(path, nameOf(request)),
    );
    response.status(201).json(picture satisfies PictureNote);
  });

  router.get('/pictures', (_request, response) => {
    response.set('Cache-Control', 'no-store').json(pictures.list() satisfies PictureNote[]);
  });

  router.post('/icons', async (request, response) => {
    const icon = await incoming.receive(request, MOST_ICON_BYTES, (path) =>
      pictures.addIcon(path, nameOf(request)),
    );
    response.status(201).json(icon satisfies PictureNote);
  });

  router.get('/pictures/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    known(id);
    await whileWaiting(response, async (signal) =>
      sendForGood(response, await renderer.picture(id, widthFrom(request), signal)),
    );
  });

  router.get('/pictures/:id/facts', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    known(id);
    response.set('Cache-Control', 'private, max-age=31536000, immutable').json(await pictures.facts(id));
  });

  router.get('/backdrops', async (request, response) => {
    const drawn = readDrawn(request.query['drawn']);
    await whileWaiting(response, async (signal) =>
      sendForGood(response, await renderer.backdrop(drawn, widthFrom(request), signal)),
    );
  });

  router.get('/backdrops/tones', async (request, response) => {
    const drawn = readDrawn(request.query['drawn']);
    const hasPalettes = request.query['palettes'] === '1';
    await whileWaiting(response, async (signal) =>
      sendForGood(response, await renderer.tones(drawn, hasPalettes, signal), 'application/octet-stream'),
    );
  });

  router.get('/backdrops/sketch', (request, response) => {
    const sketch = sketchOf(readDrawn(request.query['drawn']));
    if (sketch === null)
      throw new HttpProblem(404, 'No sketch', 'A picture of one’s own can’t be drawn beforehand.');
    sendForGood(response, sketch, 'image/svg+xml');
  });

  router.get('/backdrops/export', async (request, response) => {
    const drawn = readDrawn(request.query['drawn']);
    const [width, height] = [sideFrom(request, 'width'), sideFrom(request, 'height')];
    const format = bakeFormats.find((name) => name === request.query['format']);
    if (!format)
      throw new HttpProblem(400, 'No such format', 'A backdrop leaves as PNG, WebP, AVIF or JPEG.');
    if (width * height > MOST_EXPORTED)
      throw new HttpProblem(
        413,
        'Too many pixels',
        `A backdrop leaves with up to ${MOST_EXPORTED / 1e6} megapixels.`,
      );
    if (format === 'webp' && Math.max(width, height) > LONGEST_WEBP)
      throw new HttpProblem(
        413,
        'Too many pixels',
        `WebP has room for ${LONGEST_WEBP} pixels along a side; choose another format, or fewer pixels.`,
      );
    await whileWaiting(response, async (signal) => {
      const bytes = await renderer.export(drawn, { width, height, format }, signal);
      response.type(`image/${format}`).send(bytes);
    });
  });

  function known(id: string): void {
    if (!/^[0-9a-f]{64}$/.test(id) || !pictures.has(id))
      throw new HttpProblem(404, 'No such picture', 'The server does not have this picture.');
  }

  return router;
}

/** Work for an answer; whoever goes away before it is there has called it off. */
async function whileWaiting(response: Response, work: (signal: AbortSignal) => Promise<void>): Promise<void> {
  const gone = new AbortController();
  response.on('close', () => gone.abort());
  try {
    await work(gone.signal);
  } catch (error) {
    if (!(error instanceof Cancelled && gone.signal.aborted)) throw error;
  }
}

function nameOf(request: Request): string {
  return typeof request.query['name'] === 'string' ? request.query['name'] : '';
}

function widthFrom(request: Request): number {
  const wish = Number(request.query['width'] ?? 1920);
  return widthFor(Number.isFinite(wish) ? wish : 1920);
}

function sideFrom(request: Request, side: 'width' | 'height'): number {
  const value = Number(request.query[side]);
  if (!Number.isInteger(value) || value < 1 || value > MOST_SIDE)
    throw new HttpProblem(400, 'No such size', `The ${side} must be a whole number from 1 to ${MOST_SIDE}.`);
  return value;
}

/** What lies behind such an address never changes. */
function sendForGood(response: Response, picture: Buffer | string, type = 'image/webp'): void {
  response.set('Cache-Control', 'private, max-age=31536000, immutable').type(type).send(picture);
}
