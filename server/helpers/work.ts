/** What a helper answers: that it begins, and what came of it; `memory` is what it holds, in MiB. */
export type Answer<Value = unknown> =
  | { begun: true }
  | { ok: true; value: Value; memory: number }
  | { ok: false; message: string; code?: string | undefined; memory: number }
  | { tooMuchMemory: true };

/** What helpers can do. Each loads what it needs when it is asked for: a helper holds no more than its work takes. */
const work = {
  bake: async () => (await import('../pictures/bake.ts')).bake,
  mapTones: async () => (await import('../pictures/tones.ts')).mapTones,
  takePicture: async () => (await import('../pictures/take.ts')).takePicture,
  drawIcon: async () => (await import('../pictures/take.ts')).drawIcon,
  showPicture: async () => (await import('../pictures/take.ts')).showPicture,
  pictureFacts: async () => (await import('../pictures/take.ts')).pictureFacts,
  openIconArchive: async () => (await import('../icons/archive.ts')).openIconArchive,
  drawIcons: async () => (await import('../icons/draw.ts')).drawIcons,
  packIcons: async () => (await import('../icons/pack.ts')).packIcons,
  cutIcons: async () => (await import('../icons/pack.ts')).cutIcons,
  inspectFont: async () => (await import('../fonts/inspect.ts')).inspectFont,
  inspectSound: async () => (await import('../sounds/inspect.ts')).inspectSound,
  makePiece: async () => (await import('../sounds/inspect.ts')).makePiece,
  takeBundle: async () => (await import('../carried/take-bundle.ts')).takeBundle,
  readHeadlines: async () => (await import('../outside/headlines.ts')).readHeadlines,
  readDeskText: async () => (await import('../carried/read-text.ts')).readDeskText,
};

type Work = typeof work;
export type WorkName = keyof Work;
/** Input and output cross over as plain data and buffers. */
export interface WorkOf<Name extends WorkName> {
  input: Parameters<Awaited<ReturnType<Work[Name]>>>[0];
  output: Awaited<ReturnType<Awaited<ReturnType<Work[Name]>>>>;
}

const WATCH_MS = 30;
const heldMiB = () => Math.round(process.memoryUsage.rss() / 2 ** 20);

interface Order {
  name: WorkName;
  input: never;
  /** MiB that this process may come to. */
  memory: number;
}

/** Tells the server something; one that has gone meanwhile hears nothing, and `disconnect` ends this. */
const tell = (answer: Answer) => void process.send?.(answer, () => undefined);

async function carryOut({ name, input }: Order): Promise<unknown> {
  const act = await work[name]();
  tell({ begun: true });
  return act(input);
}

process.on('message', (order: Order) => {
  // Pictures are decoded on other threads: this one looks on, and stops the process before the machine suffers.
  const watch = setInterval(() => {
    if (heldMiB() <= order.memory) return;
    clearInterval(watch);
    tell({ tooMuchMemory: true });
  }, WATCH_MS);
  carryOut(order)
    .then(
      (value: unknown) => tell({ ok: true, value, memory: heldMiB() }),
      (error: unknown) =>
        tell({
          ok: false,
          message: error instanceof Error ? error.message : String(error),
          code: (error as { code?: string } | null)?.code,
          memory: heldMiB(),
        }),
    )
    .finally(() => clearInterval(watch));
});
// The server has gone.
process.on('disconnect', () => process.exit(0));
