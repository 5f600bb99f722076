import { Router, type Response } from 'express';
import { HttpProblem } from '../http/problem.ts';
import type { MachineReading } from '../../core/sources/machine/machine.ts';

export interface Sample {
  moment: number;
  reading: MachineReading;
}

export interface EventsOptions {
  sample: () => Promise<MachineReading>;
  everyMs?: number;
  now?: () => number;
}

/** Samples kept for whoever comes later: an hour of them at one every two seconds. */
const KEPT = 1800;
const KEEP_ALIVE_MS = 15_000;
/** Bytes that may wait for one page to read them. */
const MOST_UNREAD = 2 ** 20;
const MOST_STREAMS = 200;

/**
 * Server-sent events, one stream for each page: desks that were saved, and this machine's readings for those
 * who ask. The machine is looked at only while somebody does.
 */
export function createEvents({ sample, everyMs = 2000, now = Date.now }: EventsOptions) {
  const streams = new Set<{ response: Response; wantsMachine: boolean }>();
  const samples: Sample[] = [];
  let timer: NodeJS.Timeout | null = null;

  function send(response: Response, event: string, data: unknown): void {
    response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    // Whoever never reads is let go, and may come back.
    if (response.writableLength > MOST_UNREAD) response.destroy();
  }

  function tell(event: string, data: unknown, onlyMachine = false): void {
    for (const { response, wantsMachine } of streams)
      if (!onlyMachine || wantsMachine) send(response, event, data);
  }

  async function look(): Promise<void> {
    const taken: Sample = { moment: now(), reading: await sample() };
    samples.push(taken);
    samples.splice(0, Math.max(0, samples.length - KEPT));
    tell('machine', [taken], true);
    schedule(everyMs);
  }

  function schedule(delay: number): void {
    const isWanted = [...streams].some(({ wantsMachine }) => wantsMachine);
    timer = isWanted ? setTimeout(() => void look(), delay) : null;
  }

  const router = Router();
  router.get('/events', (request, response) => {
    if (streams.size >= MOST_STREAMS)
      throw new HttpProblem(429, 'Too many pages', 'Too many pages listen already; close some.');
    const stream = { response, wantsMachine: request.query['machine'] === '1' };
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
    send(response, 'hello', {});
    if (stream.wantsMachine && samples.length > 0) send(response, 'machine', samples);
    streams.add(stream);
    if (stream.wantsMachine && !timer) schedule(0);
    const keepAlive = setInterval(() => void response.write(': still here\n\n'), KEEP_ALIVE_MS);
    request.on('close', () => {
      clearInterval(keepAlive);
      streams.delete(stream);
    });
  });

  function close(): void {
    if (timer) clearTimeout(timer);
    for (const { response } of streams) response.end();
    streams.clear();
  }

  return { router, tell, close };
}

export type Events = ReturnType<typeof createEvents>;
