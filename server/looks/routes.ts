import { Router, type Request } from 'express';
import { readLook } from '../../core/desk/ready/ready.ts';
import type { ReadyLook } from '../../core/desk/ready/ready.ts';
import { Name } from '../../core/values/name.ts';
import type { Events } from '../events/events.ts';
import { jsonOf, smallJson } from '../http/body.ts';
import { HttpProblem, refusal } from '../http/problem.ts';
import type { LookStore } from './store.ts';

/** A finish, a frame, a palette by name: for all desks. */
export function lookRoutes({ looks, events }: { looks: LookStore; events: Events }): Router {
  const router = Router();
  const noSuchLook = () => new HttpProblem(404, 'No such look', 'There is no such look.');

  router.get('/looks', (_request, response) => {
    response.set('Cache-Control', 'no-store').json(looks.list() satisfies ReadyLook[]);
  });

  router.post('/looks', smallJson, (request, response) => {
    const read = readLook({ id: 'new', ...jsonOf(request) });
    if (!read.ok) throw refusal('Not a look', read.problems);
    const made = looks.create(read.value);
    events.tell('looks', {});
    response.status(201).json(made);
  });

  router.put('/looks/:id/name', smallJson, (request: Request<{ id: string }>, response) => {
    const name = Name.safeParse(jsonOf(request)['name']);
    if (!name.success) throw refusal('Not a name', [{ path: 'name', message: 'is not a name' }]);
    if (!looks.rename(request.params.id, name.data)) throw noSuchLook();
    events.tell('looks', {});
    response.status(204).end();
  });

  router.delete('/looks/:id', (request: Request<{ id: string }>, response) => {
    if (!looks.remove(request.params.id)) throw noSuchLook();
    events.tell('looks', {});
    response.status(204).end();
  });

  return router;
}
