import { fork, type ChildProcess } from 'node:child_process';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { root } from '../root.ts';
import { limitsOf } from './limits.ts';
import { watchTime } from './processor.ts';
import type { Answer, WorkName, WorkOf } from './work.ts';

/**
 * Processes beside the server, for work that would hold it up, needs much memory, or reads what nobody vouches for. They
 * start when there is work and end when there is none; what one takes down with it is itself. Each piece of work has a
 * limit of time and of memory, and all that are under way share what memory there is.
 */

const MOST = Math.max(1, Math.min(3, cpus().length));
/** MiB for all work under way together. */
const MEMORY = 470;
/** Pieces of work that may wait. */
const MOST_WAITING = 400;
const IDLE_MS = 10_000;
/** A page that opens is given the processor first. */
const WARM_AFTER_MS = 5000;
/** A helper that has grown beyond this (MiB) doesn't give it back while it rests: it ends instead. */
const RESTS_BELOW = 160;
const PROGRAM = join(root, 'server/helpers/start.mjs');

export class Cancelled extends Error {}
export class TookTooLong extends Error {}
export class TooMuchMemory extends Error {}
export class TooMuchWork extends Error {}

interface Job {
  name: WorkName;
  input: unknown;
  signal: AbortSignal | undefined;
  mostMs: number;
  /** MiB that it may come to. */
  memory: number;
  /** Pixels that it makes: of those that wait, the fewest come first. 0 for what makes none. */
  pixels: number;
  /** How many others were begun while it waited. */
  passed: number;
  resolve: (value: never) => void;
  reject: (error: Error) => void;
}

interface RunOptions {
  /** Aborting ends the process that is at it at once. */
  signal?: AbortSignal;
  /** Instead of what the kind of work is given. */
  mostMs?: number;
}

export interface Helpers {
  /** Does one piece of work. Rejects with one of the errors above, or with what went wrong in the work itself. */
  run<Name extends WorkName>(
    name: Name,
    input: WorkOf<Name>['input'],
    options?: RunOptions,
  ): Promise<WorkOf<Name>['output']>;
  /** Keeps one helper at rest instead of none for as long as somebody may soon want one. */
  keepWarm(isWanted: boolean): void;
  close(): void;
}

/** The processes: those that rest, and how they come and go. */
function createProcesses() {
  const idle = new Map<ChildProcess, NodeJS.Timeout>();
  const all = new Set<ChildProcess>();
  let isWarm = false;

  function leave(helper: ChildProcess): void {
    all.delete(helper);
    clearTimeout(idle.get(helper));
    idle.delete(helper);
  }

  function start(): ChildProcess {
    // Buffers cross over as they are.
    const helper = fork(PROGRAM, { serialization: 'advanced', execArgv: ['--max-old-space-size=300'] });
    all.add(helper);
    // One that can't be started or spoken to is as good as gone.
    helper.on('error', () => helper.kill('SIGKILL'));
    helper.once('exit', () => leave(helper));
    return helper;
  }

  function endLater(helper: ChildProcess): NodeJS.Timeout {
    clearTimeout(idle.get(helper));
    const timer = setTimeout(() => {
      if (isWarm && all.size === 1) return;
      idle.delete(helper);
      helper.kill();
    }, IDLE_MS);
    timer.unref();
    return timer;
  }

  function drop(helper: ChildProcess): void {
    leave(helper);
    helper.kill('SIGKILL');
  }

  return {
    /** One that rests, or a new one; null when there are as many as may be. */
    take(): ChildProcess | null {
      const [rested] = idle.keys();
      const helper = rested ?? (all.size < MOST ? start() : null);
      if (helper) {
        clearTimeout(idle.get(helper));
        idle.delete(helper);
      }
      return helper;
    },
    rest(helper: ChildProcess): void {
      if (!all.has(helper)) return;
      // One that waits for work keeps nobody from ending.
      helper.unref();
      helper.channel?.unref();
      idle.set(helper, endLater(helper));
    },
    /** Whether the last one that rests goes on resting; where there is none, one is started. */
    setWarm(isWanted: boolean): void {
      if (isWanted === isWarm) return;
      isWarm = isWanted;
      if (isWarm) setTimeout(() => isWarm && all.size === 0 && this.rest(start()), WARM_AFTER_MS).unref();
      else for (const helper of idle.keys()) idle.set(helper, endLater(helper));
    },
    drop,
    dropIdle(): void {
      for (const helper of [...idle.keys()]) drop(helper);
    },
    close(): void {
      for (const helper of all) helper.kill('SIGKILL');
    },
  };
}

/** Gives a piece of work to a helper. `onEnd` is told once it is over, and whether the helper is still of use. */
function perform(helper: ChildProcess, job: Job, onEnd: (isBroken: boolean) => void): void {
  helper.ref();
  helper.channel?.ref();
  function end(act: () => void, isBroken: boolean): void {
    watch.stop();
    helper.off('message', answer);
    helper.off('exit', gone);
    helper.off('error', gone);
    job.signal?.removeEventListener('abort', abort);
    onEnd(isBroken);
    act();
  }
  const fail = (error: Error) => end(() => job.reject(error), true);
  const abort = () => fail(new Cancelled('Cancelled'));
  const gone = () => fail(new Error('The work ended before it was done'));
  const answer = (message: unknown) => {
    const given = message as Answer<never>;
    if ('begun' in given) watch.begun();
    else if ('tooMuchMemory' in given) fail(new TooMuchMemory('Needs too much memory'));
    else
      end(
        () =>
          given.ok
            ? job.resolve(given.value)
            : job.reject(Object.assign(new Error(given.message), { code: given.code })),
        given.memory > RESTS_BELOW,
      );
  };
  helper.on('message', answer);
  helper.once('exit', gone);
  helper.once('error', gone);
  job.signal?.addEventListener('abort', abort);
  const watch = watchTime(helper.pid ?? 0, job, () => fail(new TookTooLong('Took too long')));
  helper.send({ name: job.name, input: job.input, memory: job.memory });
}

/** After so many others a piece of work is the next. */
const MOST_PASSED = 24;

const pixelsOf = ({ width, height }: WorkOf<'bake'>['input']) => width * height;

export function createHelpers(): Helpers {
  const waiting: Job[] = [];
  const processes = createProcesses();
  let memory = 0;
  let isClosed = false;

  /** A small picture stands in for a large one, and is done in no time; but nothing is passed over for ever. */
  function nextJob(): Job | undefined {
    const [first] = waiting;
    if (!first || first.passed >= MOST_PASSED) return first;
    return waiting.reduce((least, job) => (job.pixels < least.pixels ? job : least));
  }

  function next(): void {
    const job = nextJob();
    if (isClosed || !job) return;
    // It waits for its room, and all others wait behind it.
    if (memory > 0 && memory + job.memory > MEMORY) return;
    const helper = processes.take();
    if (!helper) return;
    // Those that rest hold memory too.
    if (job.memory > MEMORY / 2) processes.dropIdle();
    waiting.splice(waiting.indexOf(job), 1);
    for (const other of waiting) other.passed++;
    memory += job.memory;
    perform(helper, job, (isBroken) => {
      memory -= job.memory;
      if (isBroken) processes.drop(helper);
      else if (!isClosed) processes.rest(helper);
      // Once whoever waited has been told.
      queueMicrotask(next);
    });
    next();
  }

  function callOff(job: Job): void {
    const at = waiting.indexOf(job);
    if (at < 0) return;
    waiting.splice(at, 1);
    job.reject(new Cancelled('Cancelled'));
    next();
  }

  return {
    run: (name, input, { signal, mostMs } = {}) =>
      new Promise((resolve, reject) => {
        if (signal?.aborted) {
          reject(new Cancelled('Cancelled'));
          return;
        }
        if (waiting.length >= MOST_WAITING) {
          reject(new TooMuchWork('Too much at once'));
          return;
        }
        const limits = limitsOf(name, input);
        const pixels = name === 'bake' ? pixelsOf(input as WorkOf<'bake'>['input']) : 0;
        const job: Job = { name, input, signal, ...limits, pixels, passed: 0, resolve, reject };
        if (mostMs !== undefined) job.mostMs = mostMs;
        waiting.push(job);
        // Called off before it began.
        signal?.addEventListener('abort', () => callOff(job), { once: true });
        next();
      }),
    keepWarm: (isWanted) => void (!isClosed && processes.setWarm(isWanted)),
    close() {
      isClosed = true;
      processes.close();
    },
  };
}
