import type { SoundSeen, SoundWork } from './sound.worker.ts';

/** Looks into a piece in a worker of its own. */
export function lookInto(work: SoundWork): Promise<SoundSeen> {
  const worker = new Worker(new URL('./sound.worker.ts', import.meta.url), { type: 'module' });
  return new Promise<SoundSeen>((resolve, reject) => {
    worker.addEventListener('message', ({ data }: MessageEvent<SoundSeen>) => resolve(data));
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      reject(new Error('The piece could not be looked into'));
    });
    worker.postMessage(work, [work.samples.buffer as ArrayBuffer]);
  }).finally(() => worker.terminate());
}
