import { transfer } from 'comlink';
import { tableOf, waveOf, type PowerTable } from '../../core/sound/spectrum/table.ts';
import type { WindowName } from '../../core/sound/spectrum/settings.ts';
import { offer } from './offer.ts';

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

const sounds = {
  look({ samples, rate, window, points }: SoundWork): SoundSeen {
    const seen: SoundSeen = { table: tableOf(samples, rate, window), wave: waveOf(samples, points) };
    return transfer(seen, [seen.table.frames.buffer, seen.wave.buffer]);
  },
};
export type Sounds = typeof sounds;

offer(sounds);
