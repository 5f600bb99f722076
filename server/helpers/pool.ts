import { fork, type ChildProcess } from 'node:child_process';
import { cpus } from 'node:os';
import { fileURLToPath } from 'node:url';
import type { WorkName, WorkOf } from './work.ts';

/**
 * Processes beside the server, for work that would hold it up, needs much memory, or reads what nobody vouches for. They
 * start when there is work and end when there is none; what one takes down with it is itself.
 */

const MOST = Math.max(1, Math.min(3, cpus().length));
const IDLE_MS = 10_000;
const PROGRAM = fileURLToPath(new URL('./start.mjs', import.meta.url));

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

type Answer = { ok: true; value: never } | { ok: false; message: string };

export interface Helpers {
  /** Does one piece of work. Aborting ends the process that is at it at once. */
  run<Name extends WorkName>(
    name: Name,
    input: WorkOf<Name>['input'],
    options?: { signal?: AbortSignal; mostMs?: number },
  ): Promise<WorkOf<Name>['output']>;
  close(): void;
}

export function createHelpers(): Helpers {
  const waiting: Job[] = [];
  const idle = new Map<ChildProcess, NodeJS.Timeout>();
  const all = new Set<ChildProcess>();
  let isClosed = false;

  function start(): ChildProcess {
    // Buffers cross over as they are.
    const helper = fork(PROGRAM, { serialization: 'advanced', execArgv: [] });
    all.add(helper);
    // One that can't be started or spoken to is as good as gone.
    helper.on('error', () => helper.kill('SIGKILL'));
    helper.once('exit', () => {
      all.delete(helper);
      clearTimeout(idle.get(helper));
      idle.delete(helper);
    });
    return helper;
  }

  function rest(helper: ChildProcess): void {
    if (isClosed || !all.has(helper)) return;
    const timer = setTimeout(() => {
      idle.delete(helper);
      helper.kill();
    }, IDLE_MS);
    timer.unref();
    // One that waits for work keeps nobody from ending.
    helper.unref();
    helper.channel?.unref();
    idle.set(helper, timer);
  }

  function next(): void {
    if (isClosed || waiting.length === 0) return;
    const [rested] = idle.keys();
    const helper = rested ?? (all.size < MOST ? start() : null);
    if (!helper) return;
    clearTimeout(idle.get(helper));
    idle.delete(helper);
    const job = waiting.shift();
    if (job) work(helper, job);
  }

  function work(helper: ChildProcess, job: Job): void {
    helper.ref();
    helper.channel?.ref();
    let timer: NodeJS.Timeout | undefined;
    function end(act: () => void, isBroken: boolean): void {
      clearTimeout(timer);
      helper.off('message', answer);
      helper.off('exit', gone);
      helper.off('error', gone);
      job.signal?.removeEventListener('abort', abort);
      if (isBroken) {
        all.delete(helper);
        helper.kill('SIGKILL');
      } else rest(helper);
      act();
      next();
    }
    const abort = () => end(() => job.reject(new Cancelled('Cancelled')), true);
    const gone = () => end(() => job.reject(new Error('The work ended before it was done')), true);
    const answer = (message: unknown) => {
      const given = message as Answer;
      end(() => (given.ok ? job.resolve(given.value) : job.reject(new Error(given.message))), false);
    };
    helper.on('message', answer);
    helper.once('exit', gone);
    helper.once('error', gone);
    if (job.signal?.aborted) {
      abort();
      return;
    }
    job.signal?.addEventListener('abort', abort);
    if (job.mostMs !== undefined)
      timer = setTimeout(() => end(() => job.reject(new TookTooLong('Took too long')), true), job.mostMs);
    helper.send({ name: job.name, input: job.input });
  }

  return {
    run: (name, input, { signal, mostMs } = {}) =>
      new Promise((resolve, reject) => {
        waiting.push({ name, input, signal, mostMs, resolve, reject });
        next();
      }),
    close() {
      isClosed = true;
      for (const helper of all) helper.kill('SIGKILL');
    },
  };
}
