import express, { Router, type Request, type Response } from 'express';
import {
  BUNDLE_ENDING,
  BUNDLE_LIMITS,
  BUNDLE_TYPE,
  fontsOf,
  picturesOf,
  readBundle,
  writeBundle,
} from '../../core/bundle/bundle.ts';
import { sourcesOf } from '../../core/desk/backdrop-schema.ts';
import { readDesk } from '../../core/desk/read.ts';
import type { Desk } from '../../core/desk/schema.ts';
import type { Events } from '../events/events.ts';
import type { FontStore } from '../fonts/store.ts';
import { HttpProblem, refusal } from '../http/problem.ts';
import type { PictureStore } from '../pictures/store.ts';
import type { DeskStore, StoredDesk } from './store.ts';

interface Services {
  desks: DeskStore;
  pictures: PictureStore;
  fonts: FontStore;
  events: Events;
}

type WithId = Request<{ id: string }>;

export function deskRoutes({ desks, pictures, fonts, events }: Services): Router {
  const router = Router();
  const json = express.json({ limit: '8mb' });

  function found(id: string, number?: number): StoredDesk {
    const stored = desks.read(id, number);
    if (!stored) throw new HttpProblem(404, 'No such desk', 'This desk is not on the shelf.');
    return stored;
  }

  function send(response: Response, stored: StoredDesk, status = 200): void {
    response.status(status).set('ETag', etag(stored.revision)).json(stored);
  }

  function checked(body: unknown): Desk {
    const desk = readDesk(body);
    if (!desk.ok) throw refusal('Not a desk', desk.problems);
    const missing = picturesOf(desk.value).find((id) => !pictures.has(id));
    if (missing)
      throw refusal('A picture is missing', [
        { path: 'desk', message: `names a picture that the server does not have: ${missing.slice(0, 8)}…` },
      ]);
    const missingFont = fontsOf(desk.value).find((id) => !fonts.has(id));
    if (missingFont)
      throw refusal('A font is missing', [
        {
          path: 'look.ownFonts',
          message: `names a font that the server does not have: ${missingFont.slice(0, 8)}…`,
        },
      ]);
    return desk.value;
  }

  router.get('/desks', (_request, response) => {
    response.json(desks.list());
  });

  router.post('/desks', json, (request, response) => {
    const stored = desks.create(checked(request.body));
    events.tell('saved', { id: stored.desk.id, revision: stored.revision, by: clientOf(request) });
    send(response, stored, 201);
  });

  router.get('/desks/:id', (request: WithId, response) => {
    send(response, found(request.params.id));
  });

  router.put('/desks/:id', json, (request: WithId, response) => {
    const basedOn = Number(/^"(\d+)"$/.exec(request.headers['if-match'] ?? '')?.[1] ?? NaN);
    if (Number.isNaN(basedOn))
      throw new HttpProblem(
        428,
        'Based on what?',
        'A save must name the revision that it is based on (If-Match).',
      );
    const desk = checked(request.body);
    if (desk.id !== request.params.id)
      throw new HttpProblem(422, 'Not this desk', 'id: is that of another desk');
    const result = desks.save(desk, basedOn);
    if (!result.ok) {
      if (!result.current) throw new HttpProblem(404, 'No such desk', 'This desk is not on the shelf.');
      throw new HttpProblem(
        412,
        'Changed elsewhere',
        'This desk was changed elsewhere since; nothing was overwritten.',
        { current: result.current },
      );
    }
    events.tell('saved', { id: desk.id, revision: result.stored.revision, by: clientOf(request) });
    response
      .set('ETag', etag(result.stored.revision))
      .json({ revision: result.stored.revision, savedAt: result.stored.savedAt });
  });

  router.delete('/desks/:id', (request: WithId, response) => {
    found(request.params.id);
    desks.setRemoved(request.params.id, true);
    events.tell('removed', { id: request.params.id, by: clientOf(request) });
    response.status(204).end();
  });

  router.post('/desks/:id/restore', (request: WithId, response) => {
    if (!desks.setRemoved(request.params.id, false))
      throw new HttpProblem(404, 'No such desk', 'There is no such desk.');
    const stored = found(request.params.id);
    events.tell('saved', { id: stored.desk.id, revision: stored.revision, by: clientOf(request) });
    send(response, stored);
  });

  router.get('/desks/:id/revisions', (request: WithId, response) => {
    found(request.params.id);
    response.json(desks.history(request.params.id));
  });

  router.get('/desks/:id/revisions/:number', (request: Request<{ id: string; number: string }>, response) => {
    send(response, found(request.params.id, Number(request.params.number)));
  });

  router.get('/desks/:id/bundle', async (request: WithId, response) => {
    const { desk } = found(request.params.id);
    const readAll = (ids: string[], store: { read(id: string): Promise<Buffer> }) =>
      Promise.all(ids.map(async (id) => ({ id, bytes: await store.read(id) })));
    const bundle = {
      desk,
      pictures: await readAll(picturesOf(desk), pictures),
      fonts: await readAll(fontsOf(desk), fonts),
    };
    const name = `${desk.name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'desk'}${BUNDLE_ENDING}`;
    response
      .type(BUNDLE_TYPE)
      .attachment(name)
      .send(Buffer.from(writeBundle(bundle)));
  });

  router.post(
    '/bundles',
    express.raw({ type: () => true, limit: BUNDLE_LIMITS.file }),
    async (request, response) => {
      const bundle = readBundle(
        new Uint8Array(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)),
      );
      if (!bundle.ok) throw refusal('Not taken in', bundle.problems);
      const { desk } = bundle.value;
      const names = new Map(
        desk.backdrops
          .flatMap(sourcesOf)
          .map((source) => (source.kind === 'picture' ? [source.picture, source.name] : ['', ''])),
      );
      // Files first: a desk is never on the shelf without what it shows. The desk names them by these very bytes.
      for (const { id, bytes } of bundle.value.pictures)
        await pictures.add(Buffer.from(bytes), names.get(id) ?? 'picture', true);
      for (const { bytes } of bundle.value.fonts) await fonts.add(Buffer.from(bytes), 'font');
      const stored = desks.create(desk);
      events.tell('saved', { id: stored.desk.id, revision: stored.revision, by: clientOf(request) });
      send(response, stored, 201);
    },
  );

  return router;
}

function etag(revision: number): string {
  return `"${revision}"`;
}

/** Which page a change came from, so that it does not hear of its own. */
function clientOf(request: Request): string | null {
  const client = request.headers['x-client'];
  return typeof client === 'string' ? client.slice(0, 40) : null;
}
