import { cpus } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { Work, WorkName, WorkOf } from './work.ts';

/** Threads for work that would hold up the server. They start when there is work and end when there is none. */

const MOST = Math.max(1, Math.min(3, cpus().length));
const IDLE_MS = 15_000;

export class Cancelled extends Error {}
export class TookTooLong extends Error {}

interface Job {
  name: WorkName;
  input: unknown;
  signal: AbortSignal | undefined;
  mostMs: number | undefined;
  resolve: (value: never) => void;
  reject: (error: Error) => void;
}

export interface Threads {
  /** Does one piece of work. Aborting ends the thread that is at it at once. */
  run<Name extends WorkName>(
    name: Name,
    input: WorkOf<Name>['input'],
    options?: { signal?: AbortSignal; mostMs?: number },
  ): Promise<WorkOf<Name>['output']>;
  close(): void;
}

export function createThreads(): Threads {
  const waiting: Job[] = [];
  const idle = new Map<Worker, NodeJS.Timeout>();
  const all = new Set<Worker>();
  let isClosed = false;

  function start(): Worker {
    const worker = new Worker(new URL('./start.mjs', import.meta.url), { execArgv: [] });
    all.add(worker);
    worker.once('exit', () => {
      all.delete(worker);
      clearTimeout(idle.get(worker));
      idle.delete(worker);
    });
    return worker;
  }

  function rest(worker: Worker): void {
    if (isClosed || !all.has(worker)) return;
    const timer = setTimeout(() => void worker.terminate(), IDLE_MS);
    timer.unref();
    worker.unref();
    idle.set(worker, timer);
  }

  function next(): void {
    if (isClosed || waiting.length === 0) return;
    const [rested] = idle.keys();
    const worker = rested ?? (all.size < MOST ? start() : null);
    if (!worker) return;
    clearTimeout(idle.get(worker));
    idle.delete(worker);
    const job = waiting.shift();
    if (job) work(worker, job);
  }

  function work(worker: Worker, job: Job): void {
    worker.ref();
    let timer: NodeJS.Timeout | undefined;
    function end(act: () => void, isBroken: boolean): void {
      clearTimeout(timer);
      worker.removeAllListeners('message');
      worker.removeAllListeners('error');
      job.signal?.removeEventListener('abort', abort);
      if (isBroken) {
        all.delete(worker);
        void worker.terminate();
      } else rest(worker);
      act();
      next();
    }
    const abort = () => end(() => job.reject(new Cancelled('Cancelled')), true);
    if (job.signal?.aborted) {
      abort();
      return;
    }
    job.signal?.addEventListener('abort', abort);
    if (job.mostMs !== undefined)
      timer = setTimeout(() => end(() => job.reject(new TookTooLong('Took too long')), true), job.mostMs);
    worker.once('message', ({ ok, value, message }: { ok: boolean; value: never; message: string }) =>
      end(() => (ok ? job.resolve(value) : job.reject(new Error(message))), false),
    );
    worker.once('error', (error) => end(() => job.reject(error as Error), true));
    worker.postMessage({ name: job.name, input: job.input });
  }

  return {
    run: (name, input, { signal, mostMs } = {}) =>
      new Promise((resolve, reject) => {
        waiting.push({ name, input, signal, mostMs, resolve, reject });
        next();
      }),
    close() {
      isClosed = true;
      for (const worker of all) void worker.terminate();
    },
  };
}

export type { Work };
