import { existsSync, readFileSync } from 'node:fs';
import { statfs } from 'node:fs/promises';
import { join } from 'node:path';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { createDeskStore, type DeskStore } from './desks/store.ts';
import { deskRoutes } from './desks/routes.ts';
import { openStore } from './db/open.ts';
import { fontRoutes } from './fonts/routes.ts';
import { clearAway, clearDaily } from './files/clearing.ts';
import { createIncoming } from './files/incoming.ts';
import { createOwnFiles } from './files/own-files.ts';
import { createFontStore } from './fonts/store.ts';
import { createHelpers } from './helpers/pool.ts';
import { createEvents } from './events/events.ts';
import type { Feeder } from './feeds/feed.ts';
import { feeders as allFeeders } from './feeds/list.ts';
import { guard } from './http/guard.ts';
import { HttpProblem, problemHandler } from './http/problem.ts';
import { createRenderer, type Renderer } from './pictures/render.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { kitRoutes } from './kits/routes.ts';
import { lookRoutes } from './looks/routes.ts';
import { createLookStore } from './looks/store.ts';
import { createKitStore } from './kits/store.ts';
import { iconSetRoutes } from './icons/routes.ts';
import { createIconSetStore } from './icons/store.ts';
import { outsideFeeders } from './outside/feeder.ts';
import { createHosts, hostRoutes } from './outside/hosts.ts';
import { soundRoutes } from './sounds/routes.ts';
import { createSoundStore } from './sounds/store.ts';
import { createPictureStore } from './pictures/store.ts';

export interface AppOptions {
  dataFolder: string;
  /** Where made pictures are kept; beside the rest unless told otherwise. Several servers may share one. */
  cacheFolder?: string;
  /** What they may take up, bytes. */
  cacheBytes?: number;
  /** The built interface; without it only the interface for programs is served. */
  webFolder?: string;
  /** Names under which the server may be asked. */
  hosts?: readonly string[];
  report?: (error: unknown) => void;
  /** What brings readings from outside. */
  feeders?: readonly Feeder[];
  now?: () => number;
  /** The port that it is asked on, once it listens. */
  ownPort?: () => number | null;
}

export interface App {
  express: Express;
  desks: DeskStore;
  renderer: Renderer;
  /** Takes away what nobody can come back to; it is done by itself once a day. */
  clear(): Promise<{ desks: number; files: number }>;
  close(): void;
}

/** The script that pages run which are given from now on; null where there are none. */
function buildOf(webFolder: string | undefined): string | null {
  const page = webFolder ? join(webFolder, 'index.html') : '';
  if (!existsSync(page)) return null;
  return /src="(\/assets\/[^"]{1,200}\.js)"/.exec(readFileSync(page, 'utf8'))?.[1] ?? null;
}

/** Bytes that a folder's disk has left, in whole tens of MiB: small changes are no news. Null where nobody knows. */
async function roomIn(folder: string): Promise<number | null> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return Math.floor((bavail * bsize) / ROOM_STEP) * ROOM_STEP;
  } catch {
    return null;
  }
}
const ROOM_STEP = 10 * 2 ** 20;

const LOCAL_HOSTS = ['127.0.0.1', 'localhost', '[::1]'];

/** What pages may load and do: nothing but what comes from here. */
function onlyOurs() {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        // Style elements are made at run time by the toast and menu libraries; scripts are ours alone.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'blob:', 'data:'],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        frameAncestors: ["'none'"],
        formAction: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });
}

/** The whole server on a data folder, not yet listening. Throws StartProblem. */
export function createApp({
  dataFolder,
  cacheFolder = join(dataFolder, 'cache'),
  cacheBytes,
  webFolder,
  hosts = LOCAL_HOSTS,
  report = () => {},
  feeders = allFeeders,
  now,
  ownPort,
}: AppOptions): App {
  const store = openStore(dataFolder);
  const desks = createDeskStore(store, now);
  const kits = createKitStore(store, now);
  const looks = createLookStore(store, now);
  const helpers = createHelpers();
  const incoming = createIncoming(join(dataFolder, 'incoming'));
  const filesIn = (name: string) => createOwnFiles(join(dataFolder, name), incoming, now);
  const pictures = createPictureStore(store, filesIn('pictures'), {
    helpers,
    incoming,
    ...(now ? { now } : {}),
  });
  const fonts = createFontStore(filesIn('fonts'), helpers, incoming);
  const sounds = createSoundStore(filesIn('sounds'), join(dataFolder, 'pieces'), {
    helpers,
    incoming,
    pictures,
  });
  const iconSets = createIconSetStore(store, filesIn('icon-sets'), {
    helpers,
    incoming,
    ...(now ? { now } : {}),
  });
  const own = { pictures, fonts, sounds, iconSets };
  const clear = () => clearAway(desks, [kits, iconSets], Object.values(own), now?.());
  const endClearing = clearDaily(clear, report);
  const renderer = createRenderer(cacheFolder, pictures, helpers, cacheBytes);
  const allowed = createHosts(store, now);
  const build = buildOf(webFolder);
  const events = createEvents({
    feeders,
    make: outsideFeeders({ helpers, ownPort, isAllowed: allowed.isAllowed, ...(now ? { now } : {}) }),
    ...(now ? { now } : {}),
    onPages: helpers.keepWarm,
    about: async () => ({ build, room: await roomIn(dataFolder) }),
  });

  const app = express();
  app.disable('x-powered-by');
  app.use(onlyOurs());
  app.use(guard(hosts));
  app.use(
    '/api',
    deskRoutes({ desks, ...own, events, helpers, incoming }),
    lookRoutes({ looks, events }),
    kitRoutes({ kits, ...own, events, helpers, incoming }),
    pictureRoutes(pictures, renderer, incoming),
    fontRoutes(fonts, incoming),
    soundRoutes(sounds, incoming),
    iconSetRoutes({ iconSets, events, incoming }),
    hostRoutes(allowed, () => events.retry()),
    events.router,
  );
  app.use('/api', () => {
    throw new HttpProblem(404, 'Nothing here', 'There is nothing under this address.');
  });
  if (webFolder && existsSync(webFolder)) {
    app.use(
      '/assets',
      express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
    );
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*path}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile(join(webFolder, 'index.html'));
    });
  }
  app.use(problemHandler(report));

  return {
    express: app,
    desks,
    renderer,
    clear,
    close() {
      endClearing();
      events.close();
      helpers.close();
      iconSets.close();
      store.$client.close();
    },
  };
}
