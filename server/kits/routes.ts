import { nanoid } from 'nanoid';
import { Router, type Request, type Response } from 'express';
import { BUNDLE_LIMITS } from '../../core/bundle/bundle.ts';
import type { Desk } from '../../core/desk/desk.ts';
import { kitKinds, readKitFacts, type Kit } from '../../core/desk/kits/kit.ts';
import { kitOf } from '../../core/desk/kits/mannequin.ts';
import type { ListedKit } from '../../core/wire/wire.ts';
import { checkFiles, sendBundle, takeIn, type Stores, type Taking } from '../carried/carried.ts';
import { MOST_READ_HERE, readDeskText } from '../carried/read-text.ts';
import type { Events } from '../events/events.ts';
import { deskBytes, jsonText } from '../http/body.ts';
import { HttpProblem, refusal } from '../http/problem.ts';
import { unreadableKit, type KitStore } from './store.ts';

interface Services extends Stores, Taking {
  kits: KitStore;
  events: Events;
}

type WithId = Request<{ id: string }>;

export function kitRoutes(services: Services): Router {
  const router = Router();
  const { kits, incoming, events } = services;

  function found(id: string): Kit {
    const kit = kits.read(id);
    if (!kit) throw noSuchKit();
    if (Array.isArray(kit)) throw new HttpProblem(422, 'Unreadable', unreadableKit(kit));
    return kit;
  }

  function give(response: Response, kit: Kit, status = 200): void {
    if (status !== 200) events.tell('kits', {});
    response.status(status).set('Cache-Control', 'no-store').json(kit);
  }

  router.get('/kits', (_request, response) => {
    response.json(kits.list() satisfies ListedKit[]);
  });

  router.post('/kits', deskBytes, async (request, response) => {
    give(response, kits.create(await kitFrom(jsonText(request), services)), 201);
  });

  router.get('/kits/:id', (request: WithId, response) => give(response, found(request.params.id)));

  router.put('/kits/:id', deskBytes, async (request: WithId, response) => {
    const { id } = request.params;
    found(id);
    const kit = await kitFrom(jsonText(request), services);
    if (kit.id !== id) throw new HttpProblem(422, 'Not this kit', 'id: is that of another kit');
    const changed = kits.change(kit);
    if (!changed)
      throw new HttpProblem(
        412,
        'Changed elsewhere',
        'This kit was changed elsewhere since; nothing was overwritten.',
      );
    events.tell('kits', {});
    give(response, changed);
  });

  router.delete('/kits/:id', (request: WithId, response) => {
    if (!kits.setRemoved(request.params.id, true)) throw noSuchKit();
    events.tell('kits', {});
    response.status(204).end();
  });

  router.post('/kits/:id/restore', (request: WithId, response) => {
    if (!kits.setRemoved(request.params.id, false)) throw noSuchKit();
    give(response, found(request.params.id), 201);
  });

  router.get('/kits/:id/bundle', async (request: WithId, response) => {
    const { desk, ...kit } = found(request.params.id);
    const areSetsWhole = request.query['icons'] === 'whole';
    await sendBundle(response, { desk, kit }, { ...services, areSetsWhole });
  });

  // Any desk can be worn: one that comes as a desk's file is a kit of all that it has.
  router.post('/kit-bundles', async (request, response) => {
    const { desk, kit } = await incoming.receive(request, BUNDLE_LIMITS.file, (path) =>
      takeIn(path, services),
    );
    give(response, kits.create(kit ? { ...kit, desk } : kitOfDesk(desk)), 201);
  });

  return router;
}

const noSuchKit = () => new HttpProblem(404, 'No such kit', 'There is no such kit.');

function kitOfDesk(desk: Desk): Kit {
  return kitOf(desk, {
    id: nanoid(12),
    name: desk.name,
    version: 1,
    by: '',
    notes: '',
    kinds: kitKinds.map(({ key }) => key),
  });
}

/** A kit from the text of its JSON, with all that it names here. Throws HttpProblem. */
async function kitFrom(text: string, services: Services): Promise<Kit> {
  let json: Record<string, unknown>;
  try {
    json = Object(JSON.parse(text)) as Record<string, unknown>;
  } catch {
    throw new HttpProblem(400, 'Not JSON', 'The request is not JSON.');
  }
  const { desk: worn, ...said } = json;
  const facts = readKitFacts(said);
  if (!facts.ok) throw refusal('Not a kit', facts.problems);
  const own = JSON.stringify(worn ?? null);
  const desk =
    own.length > MOST_READ_HERE ? await services.helpers.run('readDeskText', own) : readDeskText(own);
  if (!desk.ok)
    throw refusal(
      'Not a kit',
      desk.problems.map(({ path, message }) => ({ path: path ? `desk.${path}` : 'desk', message })),
    );
  await checkFiles(desk.value, services);
  return { ...facts.value, desk: desk.value };
}
