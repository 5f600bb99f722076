import type { Readers } from './files.worker.ts';
import { askWorker } from './stoppable.ts';

/** Reads a file of somebody's where it can be stopped, whatever stands in it. Rejects with WorkProblem. */
export const readInWorker = <Name extends keyof Readers>(
  by: Name,
  ...given: Parameters<Readers[Name]>
): Promise<ReturnType<Readers[Name]>> =>
  askWorker({
    start: () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' }),
    work: { by, given },
    mostMs: 15_000,
    tooLong: 'it takes too long to read',
  });
