import { Router, type Request, type Response } from 'express';
import { BUNDLE_LIMITS } from '../../core/bundle/bundle.ts';
import { Keep } from '../../core/desk/keep.ts';
import { pathText, problemText, type Problem } from '../../core/desk/problem.ts';
import type { Desk } from '../../core/desk/desk.ts';
import type { ListedDesk } from '../../core/desk/summary.ts';
import type { RevisionNote, Saved, StoredDesk } from '../../core/wire/wire.ts';
import type { Events } from '../events/events.ts';
import { deskBytes, jsonOf, jsonText, smallJson } from '../http/body.ts';
import { HttpProblem, refusal } from '../http/problem.ts';
import { checkFiles, fileNameOf, sendBundle, takeIn, type Stores, type Taking } from '../carried/carried.ts';
import { changed } from './changes.ts';
import { MOST_READ_HERE, readDeskText } from '../carried/read-text.ts';
import type { StoredText } from './rows.ts';
import type { DeskStore, ReadText } from './store.ts';

interface Services extends Stores, Taking {
  desks: DeskStore;
  events: Events;
}

type WithId = Request<{ id: string }>;

function sendText(response: Response, stored: ReadText): void {
  if (stored.problems) throw unreadable(stored.problems);
  // Sent as it stands: it was found to be sound, and is not taken apart to be put together again.
  response
    .set('ETag', etag(stored.revision))
    // A revision is counted per data folder: what was read from another one must not stand in for this.
    .set('Cache-Control', 'no-store')
    .type('json')
    .send(`{"desk":${stored.text},"revision":${stored.revision},"savedAt":${stored.savedAt}}`);
}

/** Finds desks for the routes, adds them, and tells other pages. */
function createFinder(services: Services) {
  const { desks, events, helpers } = services;

  function onShelf(id: string): void {
    if (!desks.find(id)) throw notOnShelf();
  }

  function found(id: string, number?: number): ReadText {
    const stored = desks.read(id, number);
    if (!stored) throw notOnShelf();
    return stored;
  }

  /** A desk that can be read. */
  function readable(id: string): StoredDesk {
    const { problems } = found(id);
    const stored = desks.readDesk(id);
    if (problems || !stored) throw unreadable(problems ?? []);
    return stored;
  }

  async function deskFrom(text: string): Promise<{ desk: Desk; isAsGiven: boolean }> {
    const desk = text.length > MOST_READ_HERE ? await helpers.run('readDeskText', text) : readDeskText(text);
    if (!desk.ok) {
      const isJson = desk.problems[0]?.message !== 'is not JSON';
      throw isJson
        ? refusal('Not a desk', desk.problems)
        : new HttpProblem(400, 'Not JSON', 'The request is not JSON.');
    }
    await checkFiles(desk.value, services);
    return { desk: desk.value, isAsGiven: desk.isAsGiven };
  }

  function tellSaved(request: Request, { id, revision }: { id: string; revision: number }): void {
    events.tell('saved', { id, revision, by: clientOf(request) });
  }

  function add(request: Request, response: Response, desk: Desk): void {
    const stored = desks.create(desk);
    tellSaved(request, { id: stored.desk.id, revision: stored.revision });
    response.status(201).set('ETag', etag(stored.revision)).json(stored);
  }

  return { onShelf, found, readable, deskFrom, tellSaved, add };
}

type Finder = ReturnType<typeof createFinder>;

export function deskRoutes(services: Services): Router {
  const router = Router();
  const finder = createFinder(services);
  addShelfRoutes(router, services, finder);
  addSaveRoute(router, services, finder);
  addRevisionRoutes(router, services, finder);
  addFileRoutes(router, services, finder);
  return router;
}

function addShelfRoutes(router: Router, { desks, events }: Services, finder: Finder): void {
  const { add, deskFrom, found, onShelf, readable, tellSaved } = finder;

  router.get('/desks', (_request, response) => {
    response.json(desks.list() satisfies ListedDesk[]);
  });

  router.post('/desks', deskBytes, async (request, response) => {
    add(request, response, (await deskFrom(jsonText(request))).desk);
  });

  router.get('/desks/:id', (request: WithId, response) => {
    sendText(response, found(request.params.id));
  });

  router.delete('/desks/:id', (request: WithId, response) => {
    onShelf(request.params.id);
    desks.setRemoved(request.params.id, true);
    events.tell('removed', { id: request.params.id, by: clientOf(request) });
    response.status(204).end();
  });

  router.post('/desks/:id/restore', (request: WithId, response) => {
    const { id } = request.params;
    if (!desks.setRemoved(id, false)) throw new HttpProblem(404, 'No such desk', 'There is no such desk.');
    const revision = desks.find(id)?.revision ?? 0;
    tellSaved(request, { id, revision });
    response.set('ETag', etag(revision)).json({ id, revision });
  });

  router.post('/desks/:id/copy', (request: WithId, response) => {
    add(request, response, readable(request.params.id).desk);
  });
}

/** A desk is saved whole, or by what changed of it since the revision that the save is based on. */
function addSaveRoute(router: Router, { desks }: Services, { deskFrom, found, tellSaved }: Finder): void {
  async function save(request: WithId, response: Response, text: string, basedOn: number): Promise<void> {
    const { desk, isAsGiven } = await deskFrom(text);
    if (desk.id !== request.params.id)
      throw new HttpProblem(422, 'Not this desk', 'id: is that of another desk');
    const result = desks.save(desk, basedOn);
    if (!result.ok) throw result.current ? overtaken(result.current) : notOnShelf();
    const { revision, savedAt } = result.stored;
    tellSaved(request, { id: desk.id, revision });
    response.set('ETag', etag(revision)).json({ revision, savedAt, isAsGiven } satisfies Saved);
  }

  router.put('/desks/:id', deskBytes, (request: WithId, response) =>
    save(request, response, jsonText(request), baseOf(request)),
  );

  router.patch('/desks/:id', deskBytes, async (request: WithId, response) => {
    const basedOn = baseOf(request);
    const current = found(request.params.id);
    if (current.revision !== basedOn) throw overtaken(current);
    await save(request, response, changed(current.text, jsonText(request)), basedOn);
  });
}

/** The revision that a save is based on. */
function baseOf(request: Request): number {
  const basedOn = Number(/^"(\d{1,15})"$/.exec(request.headers['if-match'] ?? '')?.[1] ?? NaN);
  if (Number.isNaN(basedOn))
    throw new HttpProblem(
      428,
      'Based on what?',
      'A save must name the revision that it is based on (If-Match).',
    );
  return basedOn;
}

const notOnShelf = () => new HttpProblem(404, 'No such desk', 'This desk is not on the shelf.');

const overtaken = (current: StoredText) =>
  new HttpProblem(
    412,
    'Changed elsewhere',
    'This desk was changed elsewhere since; nothing was overwritten.',
    { current: asStored(current) },
  );

function addRevisionRoutes(router: Router, { desks, events }: Services, { found, onShelf }: Finder): void {
  router.get('/desks/:id/revisions', (request: WithId, response) => {
    onShelf(request.params.id);
    response.json(desks.history(request.params.id) satisfies RevisionNote[]);
  });

  router.get('/desks/:id/revisions/:number', (request: Request<{ id: string; number: string }>, response) => {
    const { id, number } = request.params;
    if (!/^\d{1,15}$/.test(number))
      throw new HttpProblem(404, 'No such revision', 'There is no such revision of this desk.');
    sendText(response, found(id, Number(number)));
  });

  type WithNumber = Request<{ id: string; number: string }>;
  function keep({ params: { id, number } }: WithNumber, response: Response, kept: Keep | null): void {
    onShelf(id);
    if (!/^\d{1,15}$/.test(number) || !desks.keep(id, Number(number), kept))
      throw new HttpProblem(404, 'No such revision', 'There is no such revision of this desk.');
    events.tell('keeps', { id });
    response.status(204).end();
  }

  router.put('/desks/:id/revisions/:number/keep', smallJson, (request: WithNumber, response) => {
    const read = Keep.safeParse(jsonOf(request));
    if (!read.success)
      throw refusal('Not a keep', [
        { path: pathText(read.error.issues[0]?.path ?? []), message: read.error.issues[0]?.message ?? '' },
      ]);
    keep(request, response, read.data);
  });

  router.delete('/desks/:id/revisions/:number/keep', (request: WithNumber, response) =>
    keep(request, response, null),
  );
}

function addFileRoutes(router: Router, services: Services, { add, readable }: Finder): void {
  const { desks, incoming } = services;
  // What can't be read can still be taken out, as it stands in the database.
  router.get('/desks/:id/raw', (request: WithId, response) => {
    const stored = desks.row(request.params.id);
    if (!stored) throw notOnShelf();
    response.type('json').attachment(`${fileNameOf(desks.find(request.params.id)?.name ?? '')}.json`);
    response.send(stored.text);
  });

  router.get('/desks/:id/bundle', async (request: WithId, response) => {
    const { desk } = readable(request.params.id);
    await sendBundle(response, { desk }, { ...services, areSetsWhole: request.query['icons'] === 'whole' });
  });

  router.post('/bundles', async (request, response) => {
    const { desk, kit } = await incoming.receive(request, BUNDLE_LIMITS.file, (path) =>
      takeIn(path, services),
    );
    if (kit)
      throw refusal('A kit', [{ path: '', message: 'This file is a kit: take it in among the kits.' }]);
    add(request, response, desk);
  });
}

/** A stale save's answer: the newer state, as far as it can be read at all. */
function asStored({ text, revision, savedAt }: StoredText): unknown {
  return { desk: JSON.parse(text) as unknown, revision, savedAt };
}

function unreadable(problems: readonly Problem[]): HttpProblem {
  const [first] = problems;
  return new HttpProblem(
    422,
    'Unreadable',
    `This desk can’t be read${first ? ` (${problemText(first)})` : ''}. What is there can be saved as a file.`,
    { problems: problems.slice(0, 20) },
  );
}

function etag(revision: number): string {
  return `"${revision}"`;
}

/** Which page a change came from, so that it does not hear of its own. */
function clientOf(request: Request): string | null {
  const client = request.headers['x-client'];
  return typeof client === 'string' ? client.slice(0, 40) : null;
}
