import express, { Router, type Request } from 'express';
import { HttpProblem } from '../http/problem.ts';
import { MOST_FONT_BYTES, typeOfFont, type FontStore } from './store.ts';

export function fontRoutes(fonts: FontStore): Router {
  const router = Router();

  router.post(
    '/fonts',
    express.raw({ type: () => true, limit: MOST_FONT_BYTES }),
    async (request, response) => {
      const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
      const name = typeof request.query['name'] === 'string' ? request.query['name'] : '';
      response.status(201).json(await fonts.add(bytes, name));
    },
  );

  router.get('/fonts/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    if (!fonts.has(id)) throw new HttpProblem(404, 'No such font', 'The server does not have this font.');
    const bytes = await fonts.read(id);
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(typeOfFont(bytes) ?? 'application/octet-stream')
      .send(bytes);
  });

  return router;
}
