/** A worker did not do its work; the message is the end of a sentence. */
export class WorkProblem extends Error {}
/** It was stopped since it took too long. */
export class WorkStopped extends WorkProblem {}

/** What a worker answers. */
type WorkAnswer<Result> = { ok: Result } | { wrong: string } | { note: unknown };

interface Asked {
  /** Starts a worker of its own for this work, so that what never ends holds up nothing else. */
  start: () => Worker;
  work: unknown;
  /** It is stopped after so many ms without a word from it; `tooLong` then says why. */
  mostMs: number;
  tooLong: string;
  /** Is told how far it is. */
  onNote?: (note: never) => void;
}

/** Has work done where it can be stopped. Rejects with WorkProblem. */
export function askWorker<Result>({ start, work, mostMs, tooLong, onNote }: Asked): Promise<Result> {
  const worker = start();
  return new Promise<Result>((resolve, reject) => {
    const end = (run: () => void) => {
      clearTimeout(timer);
      worker.terminate();
      run();
    };
    const fail = (why: string) => end(() => reject(new WorkProblem(why)));
    const limit = () => setTimeout(() => end(() => reject(new WorkStopped(tooLong))), mostMs);
    let timer = limit();
    worker.addEventListener('message', ({ data }: MessageEvent<WorkAnswer<Result>>) => {
      if ('note' in data) {
        clearTimeout(timer);
        timer = limit();
        onNote?.(data.note as never);
      } else if ('ok' in data) end(() => resolve(data.ok));
      else fail(data.wrong);
    });
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      fail('what reads it could not be loaded');
    });
    worker.postMessage(work);
  });
}

/** Answers what a worker is asked once, by `carryOut`; `told` gives the words of errors that have some for a person. */
export function answerWork<Work>(
  carryOut: (work: Work) => unknown,
  told: (error: unknown) => string | null,
): void {
  self.addEventListener('message', ({ data }: MessageEvent<Work>) => {
    void Promise.resolve(data)
      .then(carryOut)
      .then(
        (ok) => postMessage({ ok }),
        (error: unknown) => postMessage({ wrong: told(error) ?? 'it can’t be read' }),
      );
  });
}
