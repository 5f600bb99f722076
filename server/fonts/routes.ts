import { Router, type Request } from 'express';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import type { Incoming } from '../files/incoming.ts';
import { HttpProblem } from '../http/problem.ts';
import type { FontStore } from './store.ts';

export function fontRoutes(fonts: FontStore, incoming: Incoming): Router {
  const router = Router();

  router.post('/fonts', async (request, response) => {
    const name = typeof request.query['name'] === 'string' ? request.query['name'] : '';
    const font = await incoming.receive(request, DESK_LIMITS.font, (path) => fonts.add(path, name));
    response.status(201).json(font);
  });

  router.get('/fonts/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    if (!fonts.has(id)) throw new HttpProblem(404, 'No such font', 'The server does not have this font.');
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(await fonts.typeOf(id))
      .send(await fonts.read(id));
  });

  return router;
}
