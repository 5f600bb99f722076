import type { Readings } from '../readings.ts';
import { SIMULATED } from '../source.ts';
import { SIMULATED_VOLUME, type SoundReading } from './sound.ts';

/** What is on: what this page plays while it does, else what the rehearsal is at. */
export function onNow(readings: Pick<Readings, 'get' | 'moment' | 'once'>): SoundReading {
  return readings.once('sound on now', () => {
    const player = readings.get('sound', 'player');
    // The player says that nothing is on while another moment is looked at.
    return player?.value.track
      ? player.value
      : (readings.get('sound', SIMULATED, readings.moment)?.value ?? silence);
  });
}

const silence: SoundReading = {
  track: null,
  n: 0,
  began: 0,
  paused: 0,
  isHeard: false,
  volume: SIMULATED_VOLUME,
};
