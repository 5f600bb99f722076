import express, { Router, type Request, type Response } from 'express';
import { sceneNames, type SceneName } from '../../core/backdrop/names.ts';
import { BUNDLE_LIMITS } from '../../core/bundle/bundle.ts';
import { HttpProblem } from '../http/problem.ts';
import { widthFor, type Renderer } from './render.ts';
import type { PictureStore } from './store.ts';

export function pictureRoutes(pictures: PictureStore, renderer: Renderer): Router {
  const router = Router();

  router.post(
    '/pictures',
    express.raw({ type: () => true, limit: BUNDLE_LIMITS.entry }),
    async (request, response) => {
      const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
      const name = typeof request.query['name'] === 'string' ? request.query['name'] : '';
      response.status(201).json(await pictures.add(bytes, name));
    },
  );

  router.get('/pictures/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    if (!/^[0-9a-f]{64}$/.test(id) || !pictures.has(id))
      throw new HttpProblem(404, 'No such picture', 'The server does not have this picture.');
    sendForGood(response, await renderer.picture(id, pictures.pathOf(id), widthFrom(request)));
  });

  router.get('/scenes/:scene', async (request: Request<{ scene: string }>, response) => {
    const scene = sceneNames.find((name) => name === request.params.scene);
    const seed = Number(request.query['seed'] ?? 0);
    if (!scene || !Number.isInteger(seed) || seed < 0)
      throw new HttpProblem(404, 'No such scene', 'There is no such scene.');
    sendForGood(response, await renderer.scene(scene satisfies SceneName, seed, widthFrom(request)));
  });

  return router;
}

function widthFrom(request: Request): number {
  const wish = Number(request.query['width'] ?? 1920);
  return widthFor(Number.isFinite(wish) ? wish : 1920);
}

/** What lies behind such an address never changes. */
function sendForGood(response: Response, bytes: Buffer): void {
  response.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/webp').send(bytes);
}
