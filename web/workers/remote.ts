import type * as Comlink from 'comlink';

/** A worker did not do its work; the message is the end of a sentence. */
export class WorkProblem extends Error {}
/** It was stopped since it took too long. */
export class WorkStopped extends WorkProblem {}

/** A worker that runs, by what it offers. */
export interface Running<Offers> {
  /** Rejects with WorkProblem where the worker, or what is asked of it, fails. */
  ask<Result>(work: (remote: Comlink.Remote<Offers>) => Promise<Result>): Promise<Result>;
  /** A function that the worker may call. */
  hear<Call extends (...given: never[]) => void>(call: Call): Call;
  /** Rejects once it can't be had. */
  failed: Promise<never>;
  end(): void;
}

const NOT_HAD = 'what works it out could not be loaded';

/** Starts a worker. What talks to it comes with it: the first look needs neither. */
export async function startWorker<Offers>(start: () => Worker): Promise<Running<Offers>> {
  const { wrap, proxy } = await import('comlink').catch(() => {
    throw new WorkProblem(NOT_HAD);
  });
  const worker = start();
  const remote = wrap<Offers>(worker);
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => {
      // Said to whoever waits, not to the page at large.
      event.preventDefault();
      worker.terminate();
      reject(new WorkProblem(NOT_HAD));
    });
  });
  failed.catch(() => undefined);
  return {
    failed,
    ask: (work) =>
      Promise.race([work(remote), failed]).catch((error: unknown) => {
        throw error instanceof WorkProblem ? error : new WorkProblem((error as Error).message);
      }),
    hear: (call) => proxy(call),
    end: () => worker.terminate(),
  };
}

/** How long work may take. */
interface Limit {
  /** It is stopped after so many ms without a word from it; `tooLong` then says why. */
  mostMs: number;
  tooLong: string;
}

/**
 * Has something done by a worker of its own, which is ended afterwards, so that what never ends holds up nothing else.
 * Rejects with WorkProblem, and with WorkStopped at the limit, which `heard` puts off.
 */
export async function askOnce<Offers, Result>(
  start: () => Worker,
  { mostMs, tooLong }: Limit,
  work: (
    remote: Comlink.Remote<Offers>,
    hear: <Told>(heard: (told: Told) => void) => (told: Told) => void,
  ) => Promise<Result>,
): Promise<Result> {
  const running = await startWorker<Offers>(start);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let stop: () => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => (stop = () => reject(new WorkStopped(tooLong))));
  function wait(): void {
    clearTimeout(timer);
    timer = setTimeout(stop, mostMs);
  }
  wait();
  try {
    return await Promise.race([
      stopped,
      running.ask((remote) => work(remote, (heard) => running.hear((told) => (wait(), heard(told))))),
    ]);
  } finally {
    clearTimeout(timer);
    running.end();
  }
}
