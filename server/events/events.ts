import { Router, json, type Request } from 'express';
import { z } from 'zod';
import { createFeeds, refusedFeed } from '../feeds/feeds.ts';
import type { Feeder, MakeFeeder } from '../feeds/feed.ts';
import type { About, EventData } from '../../core/wire/wire.ts';
import { HttpProblem } from '../http/problem.ts';
import { createStream, type Stream } from './stream.ts';

export interface EventsOptions {
  feeders: readonly Feeder[];
  now?: () => number;
  /** Makes those that are asked for by an address. */
  make?: MakeFeeder;
  /** Is told whether any page listens. */
  onPages?: (areAny: boolean) => void;
  /** What every page is told of the server as it begins to listen, and once a minute while that says anything new. */
  about?: () => Promise<About>;
}

const KEEP_ALIVE_MS = 15_000;
const ABOUT_MS = 60_000;
const MOST_STREAMS = 200;
/** Feeds that one page is given. */
const MOST_FEEDS = 64;

/** A page names itself, so that it can say later what it wants. */
const PageId = z.string().regex(/^[\w-]{1,60}$/);
/** Names of feeds, as source/origin. */
const Names = z.array(z.string().max(400)).max(1000);

interface Listener {
  stream: Stream;
  /** Names of the feeds that the page wants and gets. */
  wants: readonly string[];
}

/** Tells what is new of the server, now and then. Gives back how to stop. */
function repeatNews(about: () => Promise<About>, tell: (news: About) => void): () => void {
  let told = '';
  const again = setInterval(() => {
    void about().then((news) => {
      if (JSON.stringify(news) !== told) tell(news);
      told = JSON.stringify(news);
    });
  }, ABOUT_MS);
  again.unref();
  return () => clearInterval(again);
}

/** What all pages are told of. */
type Happening = 'saved' | 'removed' | 'kits' | 'looks' | 'keeps' | 'icon-sets';

/**
 * Server-sent events, one stream for each page: desks that were saved, and readings from outside for those who ask. A
 * page opens its stream under a name of its own and then says what it wants (as often as that changes).
 */
export function createEvents({
  feeders,
  now = Date.now,
  make,
  onPages,
  about = () => Promise.resolve({ build: null, room: null }),
}: EventsOptions) {
  const listeners = new Map<string, Listener>();
  const feeds = createFeeds(
    feeders,
    (name, feed) => {
      for (const { stream, wants } of listeners.values())
        if (wants.includes(name)) stream.send('samples', name, feed, () => feeds.past(name));
    },
    now,
    make,
  );
  const rewant = () => feeds.want(new Set([...listeners.values()].flatMap(({ wants }) => wants)));

  /** Tells all pages of something that became of a desk, of its keeps, of the kits, or of the looks. */
  function tell<Name extends Happening>(event: Name, data: EventData[Name]): void {
    for (const { stream } of listeners.values())
      stream.send(event, `${event} ${'id' in data ? data.id : ''}`, data);
  }

  const stopTelling = repeatNews(about, (news) => {
    for (const { stream } of listeners.values()) stream.send('about', 'about', news);
  });

  /** A page wants these from now on: it is told what is known of them, and why of some there is nothing. */
  function want(listener: Listener, asked: readonly string[]): void {
    const { stream, wants: before } = listener;
    listener.wants = asked.slice(0, MOST_FEEDS);
    for (const name of listener.wants) {
      const past = before.includes(name) ? null : feeds.past(name);
      if (past) stream.send('samples', name, past, () => feeds.past(name));
    }
    const why = `a page reads from ${MOST_FEEDS} sources at once, and this is one more`;
    for (const name of asked.slice(MOST_FEEDS)) stream.send('samples', name, refusedFeed(name, why, now()));
    rewant();
  }

  const router = Router();
  router.get('/events', (request, response) => {
    const page = PageId.safeParse(request.query['page']);
    if (!page.success)
      throw new HttpProblem(400, 'Who asks?', 'A page must name itself to be told of events.');
    if (listeners.size >= MOST_STREAMS)
      throw new HttpProblem(429, 'Too many pages', 'Too many pages listen already; close some.');
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
    });
    // Somebody who asks for the head only is told it, and no more.
    if (request.method === 'HEAD') {
      response.end();
      return;
    }
    const stream = createStream(response);
    const listener = { stream, wants: [] };
    // A page whose line broke may be back before that was noticed.
    listeners.get(page.data)?.stream.end();
    listeners.set(page.data, listener);
    const keepAlive = setInterval(() => stream.keepAlive(), KEEP_ALIVE_MS);
    request.on('close', () => {
      clearInterval(keepAlive);
      if (listeners.get(page.data) === listener) listeners.delete(page.data);
      rewant();
      onPages?.(listeners.size > 0);
    });
    onPages?.(true);
    void about().then((news) => stream.send('hello', 'hello', news));
  });

  router.put(
    '/events/:page/feeds',
    json({ limit: 500_000 }),
    (request: Request<{ page: string }>, response) => {
      const listener = listeners.get(request.params.page);
      if (!listener) throw new HttpProblem(404, 'Nobody listens', 'No page of that name listens.');
      const names = Names.safeParse(request.body);
      if (!names.success)
        throw new HttpProblem(422, 'No names', 'These are not the names of what can be read.');
      want(listener, [...new Set(names.data)]);
      response.status(204).end();
    },
  );

  function close(): void {
    stopTelling();
    feeds.want(new Set());
    for (const { stream } of listeners.values()) stream.end();
    listeners.clear();
  }

  return { router, tell, close, retry: () => feeds.retry() };
}

export type Events = ReturnType<typeof createEvents>;
