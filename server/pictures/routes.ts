import express, { Router, type Request, type Response } from 'express';
import { BUNDLE_LIMITS } from '../../core/bundle/bundle.ts';
import { HttpProblem } from '../http/problem.ts';
import { Cancelled } from '../helpers/pool.ts';
import { bakeFormats } from './bake.ts';
import { readDrawn } from './drawn.ts';
import { MOST_ICON_BYTES, drawIcon } from './icon.ts';
import { widthFor, type Renderer } from './render.ts';
import type { PictureStore } from './store.ts';

const MOST_SIDE = 16384;
const MOST_EXPORTED = 80_000_000;

export function pictureRoutes(pictures: PictureStore, renderer: Renderer): Router {
  const router = Router();

  router.post(
    '/pictures',
    express.raw({ type: () => true, limit: BUNDLE_LIMITS.entry }),
    async (request, response) => {
      response.status(201).json(await pictures.add(bodyOf(request), nameOf(request)));
    },
  );

  router.post(
    '/icons',
    express.raw({ type: () => true, limit: MOST_ICON_BYTES }),
    async (request, response) => {
      response.status(201).json(await pictures.add(await drawIcon(bodyOf(request)), nameOf(request)));
    },
  );

  router.get('/pictures/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    known(id);
    sendForGood(response, await renderer.picture(id, widthFrom(request)));
  });

  router.get('/pictures/:id/facts', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    known(id);
    response.set('Cache-Control', 'private, max-age=31536000, immutable').json(await pictures.facts(id));
  });

  router.get('/backdrops', async (request, response) => {
    sendForGood(response, await renderer.backdrop(readDrawn(request.query['drawn']), widthFrom(request)));
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
    const gone = new AbortController();
    // Whoever goes away before it is done has cancelled it.
    response.on('close', () => gone.abort());
    try {
      const bytes = await renderer.export(drawn, { width, height, format }, gone.signal);
      response.type(`image/${format}`).send(bytes);
    } catch (error) {
      if (!(error instanceof Cancelled)) throw error;
    }
  });

  function known(id: string): void {
    if (!/^[0-9a-f]{64}$/.test(id) || !pictures.has(id))
      throw new HttpProblem(404, 'No such picture', 'The server does not have this picture.');
  }

  return router;
}

function bodyOf(request: Request): Buffer {
  return Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
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
function sendForGood(response: Response, bytes: Buffer): void {
  response.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/webp').send(bytes);
}
