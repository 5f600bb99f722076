import type { Response } from 'express';
import type { EventData, EventName } from '../../core/wire/wire.ts';

/** ms that a page has to read what was sent before it is let go; it may come back. */
const PATIENCE_MS = 60_000;
/** Things that may wait for one page. */
const MOST_WAITING = 1000;

interface Waiting {
  event: EventName;
  /** What is to be said of it by the time it is sent. */
  data: () => unknown;
}

/**
 * One page's stream of events. It is never given more than it reads: what comes meanwhile waits, of each thing only the
 * newest, so that something large is no reason to break off and a page that sleeps holds no memory.
 */
export function createStream(response: Response, patienceMs = PATIENCE_MS) {
  const waiting = new Map<string, Waiting>();
  let patience: NodeJS.Timeout | null = null;

  function write(event: EventName, data: unknown): void {
    response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    if (response.writableNeedDrain) patience ??= setTimeout(() => response.destroy(), patienceMs);
  }

  function flush(): void {
    for (const [about, { event, data }] of waiting) {
      if (response.writableNeedDrain) return;
      waiting.delete(about);
      write(event, data());
    }
  }

  function forgetPatience(): void {
    if (patience) clearTimeout(patience);
    patience = null;
  }

  response.on('drain', () => {
    forgetPatience();
    flush();
  });
  response.on('close', () => {
    forgetPatience();
    waiting.clear();
  });

  return {
    /** Says something; where it has to wait, what comes of the same thing (`about`) takes its place, as `later` has it. */
    send<Name extends EventName>(
      event: Name,
      about: string,
      data: EventData[Name],
      later: () => EventData[Name] | null = () => data,
    ): void {
      if (response.destroyed) return;
      if (waiting.size === 0 && !response.writableNeedDrain) write(event, data);
      else if (waiting.size >= MOST_WAITING && !waiting.has(about)) response.destroy();
      else waiting.set(about, { event, data: later });
    },
    keepAlive(): void {
      if (!response.writableNeedDrain) response.write(': still here\n\n');
    },
    end: () => void response.end(),
  };
}

export type Stream = ReturnType<typeof createStream>;
