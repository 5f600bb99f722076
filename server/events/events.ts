import { Router, type Response } from 'express';
import { createFeeds } from '../feeds/feeds.ts';
import type { Feeder, MakeFeeder } from '../feeds/feed.ts';
import { HttpProblem } from '../http/problem.ts';

export interface EventsOptions {
  feeders: readonly Feeder[];
  now?: () => number;
  /** Makes those that are asked for by an address. */
  make?: MakeFeeder;
}

const KEEP_ALIVE_MS = 15_000;
/** Bytes that may wait for one page to read them. */
const MOST_UNREAD = 2 ** 20;
const MOST_STREAMS = 200;

interface Stream {
  response: Response;
  /** Names of the feeds that the page wants. */
  wants: readonly string[];
}

/** Feeds that one page may ask for. */
const MOST_FEEDS = 64;

/** Names with commas between. Those with an address in them have commas of their own, and are encoded once more. */
function namesIn(asked: unknown): string[] {
  if (typeof asked !== 'string') return [];
  return asked
    .split(',')
    .slice(0, MOST_FEEDS)
    .flatMap((name) => {
      try {
        return [decodeURIComponent(name)];
      } catch {
        return [];
      }
    });
}

function send({ response }: Stream, event: string, data: unknown): void {
  response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  // Whoever never reads is let go, and may come back.
  if (response.writableLength > MOST_UNREAD) response.destroy();
}

/**
 * Server-sent events, one stream for each page: desks that were saved, and readings from outside for those who ask.
 */
export function createEvents({ feeders, now, make }: EventsOptions) {
  const streams = new Set<Stream>();
  const feeds = createFeeds(
    feeders,
    (name, feed) => {
      for (const stream of streams) if (stream.wants.includes(name)) send(stream, 'samples', feed);
    },
    now,
    make,
  );
  const rewant = () => feeds.want(new Set([...streams].flatMap(({ wants }) => wants)));

  function tell(event: string, data: unknown): void {
    for (const stream of streams) send(stream, event, data);
  }

  const router = Router();
  router.get('/events', (request, response) => {
    if (streams.size >= MOST_STREAMS)
      throw new HttpProblem(429, 'Too many pages', 'Too many pages listen already; close some.');
    const asked = request.query['feeds'];
    const stream = { response, wants: feeds.known(namesIn(asked)) };
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
    send(stream, 'hello', {});
    for (const name of stream.wants) {
      const past = feeds.past(name);
      if (past) send(stream, 'samples', past);
    }
    streams.add(stream);
    rewant();
    const keepAlive = setInterval(() => void response.write(': still here\n\n'), KEEP_ALIVE_MS);
    request.on('close', () => {
      clearInterval(keepAlive);
      streams.delete(stream);
      rewant();
    });
  });

  function close(): void {
    feeds.want(new Set());
    for (const { response } of streams) response.end();
    streams.clear();
  }

  return { router, tell, close, retry: () => feeds.retry() };
}

export type Events = ReturnType<typeof createEvents>;
