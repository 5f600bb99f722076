import { askOnce } from './remote.ts';
import type { Sounds, SoundSeen, SoundWork } from './sound.worker.ts';

const start = () => new Worker(new URL('./sound.worker.ts', import.meta.url), { type: 'module' });

/** Looks into a piece, whose samples go along. Rejects with WorkProblem. */
export const lookInto = (work: SoundWork): Promise<SoundSeen> =>
  askOnce<Sounds, SoundSeen>(
    start,
    { mostMs: 60_000, tooLong: 'it takes too long to look into' },
    async (remote) => {
      const { transfer } = await import('comlink');
      return remote.look(transfer(work, [work.samples.buffer as ArrayBuffer]));
    },
  );
