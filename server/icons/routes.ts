import { Router, type Request } from 'express';
import { SET_LIMITS } from '../../core/icons/sets/index-file.ts';
import type { ListedIconSet, TakingIcons } from '../../core/wire/wire.ts';
import type { Events } from '../events/events.ts';
import { diskTrouble } from '../files/trouble.ts';
import type { Incoming } from '../files/incoming.ts';
import { HttpProblem } from '../http/problem.ts';
import type { IconSetStore } from './store.ts';

interface Services {
  iconSets: IconSetStore;
  events: Events;
  incoming: Incoming;
}

const noSuchSet = () => new HttpProblem(404, 'No such set', 'There is no such icon set.');
const FOR_GOOD = 'private, max-age=31536000, immutable';

/** Sets of icons of one's own, for all desks. */
export function iconSetRoutes({ iconSets, events, incoming }: Services): Router {
  const router = Router();

  router.get('/icon-sets', async (_request, response) => {
    response.set('Cache-Control', 'no-store').json((await iconSets.list()) satisfies ListedIconSet[]);
  });

  // What it comes to is told while it comes: drawing thousands of icons takes a while.
  router.post('/icon-sets', async (request, response) => {
    const name = typeof request.query['name'] === 'string' ? request.query['name'] : '';
    const tell = (line: TakingIcons) => void response.write(`${JSON.stringify(line)}\n`);
    try {
      await incoming.receive(request, SET_LIMITS.bytes, async (path) => {
        response.status(200).type('application/x-ndjson').set('Cache-Control', 'no-store');
        try {
          tell(await iconSets.add(path, name, (drawn, of) => tell({ drawn, of })));
          events.tell('icon-sets', {});
        } catch (error) {
          tell({ problem: sentenceOf(error) });
          if (!(error instanceof HttpProblem) && !diskTrouble(error)) throw error;
        }
      });
    } finally {
      // Once nothing of it is left.
      if (response.headersSent) response.end();
    }
  });

  router.get('/icon-sets/:id', async (request: Request<{ id: string }>, response) => {
    const { id } = request.params;
    if (!iconSets.has(id)) throw noSuchSet();
    response.set('Cache-Control', FOR_GOOD).json(await iconSets.index(id));
  });

  router.get(
    '/icon-sets/:id/:picture',
    async (request: Request<{ id: string; picture: string }>, response) => {
      const { id, picture } = request.params;
      if (!iconSets.has(id)) throw noSuchSet();
      const png = await iconSets.picture(id, /^\d{1,5}$/.test(picture) ? Number(picture) : -1);
      response.set('Cache-Control', FOR_GOOD).type('image/png').send(png);
    },
  );

  router.delete('/icon-sets/:id', (request: Request<{ id: string }>, response) => {
    if (!iconSets.setRemoved(request.params.id, true)) throw noSuchSet();
    events.tell('icon-sets', {});
    response.status(204).end();
  });

  router.post('/icon-sets/:id/restore', (request: Request<{ id: string }>, response) => {
    if (!iconSets.setRemoved(request.params.id, false)) throw noSuchSet();
    events.tell('icon-sets', {});
    response.status(204).end();
  });

  return router;
}

function sentenceOf(error: unknown): string {
  if (error instanceof HttpProblem) return error.message;
  return diskTrouble(error)?.sentence ?? 'Something went wrong on the server; nothing was changed.';
}
