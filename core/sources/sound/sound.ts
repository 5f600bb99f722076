import { defineSource, type SourceContext } from '../source.ts';
import { placeAt, trackAt } from './playing.ts';
import { plainSound, type Track } from './schema.ts';

/** What is on. A piece that plays moves on by itself from the moment at which it would have begun. */
export interface SoundReading {
  track: Track | null;
  /** Where in the endless order of the list it stands. */
  n: number;
  /** Epoch ms at which it began, were it never paused. */
  began: number;
  /** s into the piece where it stands still; null while it plays. */
  paused: number | null;
  /** It is heard, not only followed. */
  isHeard: boolean;
  /** 0 to 100 */
  volume: number;
}

/** How loud what is only followed would be. */
export const SIMULATED_VOLUME = 80;

/**
 * In rehearsal the desk's list goes round and round without sound: what is on, and where in it, follows from the moment.
 * What is heard in this page comes as readings of its own.
 */
export const sound = defineSource({
  id: 'sound',
  title: 'Sound',
  step: 1000,
  fed: { player: 'What plays here' },
  isOfPage: true,
  tells: { sound: 'second' },
  read: ({ seed, sound: list = plainSound }: SourceContext, moment: number): SoundReading => {
    const place = placeAt(list, seed, moment);
    return {
      track: place && trackAt(list, seed, place.n),
      n: place?.n ?? 0,
      began: Math.round(moment - (place?.position ?? 0) * 1000),
      paused: null,
      isHeard: false,
      volume: SIMULATED_VOLUME,
    };
  },
});

/** s into the piece at a moment, never beyond its end. */
export function positionAt({ track, began, paused }: SoundReading, moment: number): number {
  const seconds = track?.seconds ?? 0;
  return Math.min(seconds, Math.max(0, paused ?? (moment - began) / 1000));
}
