import type { Remote } from 'comlink';
import type { Readers } from './files.worker.ts';
import { askOnce } from './remote.ts';

const start = () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });

/** Reads a file of somebody's where it can be stopped, whatever stands in it. Rejects with WorkProblem. */
export const readInWorker = <Result>(read: (readers: Remote<Readers>) => Promise<Result>): Promise<Result> =>
  askOnce(start, { mostMs: 15_000, tooLong: 'it takes too long to read' }, read);
