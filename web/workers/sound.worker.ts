import { tableOf, waveOf, type PowerTable } from '../../core/sound/spectrum/table.ts';
import type { WindowName } from '../../core/sound/spectrum/settings.ts';

export interface SoundWork {
  samples: Float32Array;
  rate: number;
  window: WindowName;
  /** Values of the wave. */
  points: number;
}
export interface SoundSeen {
  table: PowerTable;
  wave: Float32Array;
}

addEventListener('message', ({ data: { samples, rate, window, points } }: MessageEvent<SoundWork>) => {
  const seen: SoundSeen = { table: tableOf(samples, rate, window), wave: waveOf(samples, points) };
  postMessage(seen, { transfer: [seen.table.frames.buffer, seen.wave.buffer] });
});
