import { bake, measureBlocks } from '../pictures/bake.ts';
import { inspectFont } from '../fonts/inspect.ts';

/** What helpers can do. Input and output cross over as plain data and buffers. */
const work = {
  bake,
  measureBlocks,
  inspectFont,
};

type Work = typeof work;
export type WorkName = keyof Work;
export interface WorkOf<Name extends WorkName> {
  input: Parameters<Work[Name]>[0];
  output: Awaited<ReturnType<Work[Name]>>;
}

process.on('message', ({ name, input }: { name: WorkName; input: never }) => {
  Promise.resolve()
    .then((): unknown => work[name](input))
    .then(
      (value: unknown) => process.send?.({ ok: true, value }),
      (error: unknown) =>
        process.send?.({ ok: false, message: error instanceof Error ? error.message : String(error) }),
    );
});
// The server has gone.
process.on('disconnect', () => process.exit(0));
