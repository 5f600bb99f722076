import { resolve } from 'node:path';
import { Router, type Request } from 'express';
import { DESK_LIMITS } from '../../core/desk/limits.ts';
import type { Incoming } from '../files/incoming.ts';
import { HttpProblem } from '../http/problem.ts';
import type { SoundStore } from './store.ts';

const missing = () => new HttpProblem(404, 'No such sound', 'The server does not have this sound.');

export function soundRoutes(sounds: SoundStore, incoming: Incoming): Router {
  const router = Router();

  router.post('/sounds', async (request, response) => {
    const name = typeof request.query['name'] === 'string' ? request.query['name'] : '';
    const track = await incoming.receive(request, DESK_LIMITS.sound, (path) => sounds.add(path, name));
    response.status(201).json(track);
  });

  router.get('/sounds/pieces/:name', async (request: Request<{ name: string }>, response) => {
    const path = await sounds.piece(request.params.name);
    if (!path) throw missing();
    response.type('audio/wav').sendFile(resolve(path), { maxAge: '1d', dotfiles: 'allow' });
  });

  // In parts where it is asked for so: whoever seeks doesn't wait for all of it.
  router.get('/sounds/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    if (!sounds.has(id)) throw missing();
    response
      .type(await sounds.typeOf(id))
      .sendFile(resolve(sounds.pathOf(id)), { maxAge: '1y', immutable: true, dotfiles: 'allow' });
  });

  return router;
}
