import { asc, eq } from 'drizzle-orm';
import { Router, json, type Request } from 'express';
import { z } from 'zod';
import type { Store } from '../db/open.ts';
import { allowedHosts } from '../db/schema.ts';
import { HttpProblem } from '../http/problem.ts';
import { hostName, type Whereabouts } from './addresses.ts';

const MOST_HOSTS = 200;

/** A name or an address, as it stands in a URL, with the port where it is none of the usual two. */
const Host = z
  .string()
  .min(1)
  .max(260)
  .regex(/^[a-z0-9._:[\]-]+$/i);

/** Hosts in the private network that may be read from, because a person said so. */
export function createHosts(store: Store, now: () => number = Date.now) {
  const all = () => store.select().from(allowedHosts).orderBy(asc(allowedHosts.host)).all();
  return {
    isAllowed: (where: Whereabouts) =>
      store
        .select()
        .from(allowedHosts)
        .where(eq(allowedHosts.host, hostName(where).toLowerCase()))
        .get() !== undefined,
    list: () => all().map(({ host }) => host),
    allow(host: string): void {
      if (all().length >= MOST_HOSTS)
        throw new HttpProblem(422, 'Too many hosts', `Up to ${MOST_HOSTS} hosts can be allowed.`);
      store
        .insert(allowedHosts)
        .values({ host: host.toLowerCase(), allowedAt: now() })
        .onConflictDoNothing()
        .run();
    },
    refuse: (host: string) =>
      void store.delete(allowedHosts).where(eq(allowedHosts.host, host.toLowerCase())).run(),
  };
}

export type Hosts = ReturnType<typeof createHosts>;

export function hostRoutes(hosts: Hosts, onChanged: () => void): Router {
  const router = Router();
  const read = (said: unknown): string => {
    const host = Host.safeParse(said);
    if (!host.success) throw new HttpProblem(422, 'No host', 'This is not the name of a host.');
    return host.data;
  };
  router.get('/hosts', (_request, response) => void response.json(hosts.list()));
  router.post(
    '/hosts',
    json({ limit: 1000 }),
    (request: Request<object, unknown, { host?: unknown }>, response) => {
      hosts.allow(read(request.body?.host));
      onChanged();
      response.status(201).json(hosts.list());
    },
  );
  router.delete('/hosts/:host', (request: Request<{ host: string }>, response) => {
    hosts.refuse(read(request.params.host));
    response.json(hosts.list());
  });
  return router;
}
