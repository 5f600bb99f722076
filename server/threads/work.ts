import { parentPort } from 'node:worker_threads';
import { bake, measureBlocks } from '../pictures/bake.ts';
import { inspectFont } from '../fonts/inspect.ts';

/** What threads can do. Input and output cross over as plain data. */
const work = {
  bake,
  measureBlocks,
  inspectFont,
};

export type Work = typeof work;
export type WorkName = keyof Work;
export interface WorkOf<Name extends WorkName> {
  input: Parameters<Work[Name]>[0];
  output: Awaited<ReturnType<Work[Name]>>;
}

parentPort?.on('message', ({ name, input }: { name: WorkName; input: never }) => {
  Promise.resolve()
    .then((): unknown => work[name](input))
    .then(
      (value: unknown) => parentPort?.postMessage({ ok: true, value }),
      (error: unknown) =>
        parentPort?.postMessage({
          ok: false,
          message: error instanceof Error ? error.message : String(error),
        }),
    );
});
