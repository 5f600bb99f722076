import { trackAt } from './playing.ts';
import type { Sound, Track } from './schema.ts';
import type { SoundReading } from './sound.ts';

/** What a player does next. Pure: what is pressed and how things are come in, what is to be done comes out. */

/** What can be done with what is played; `to` in s, or a volume from 0 to 100. */
export type SoundAct =
  | { does: 'turn' | 'stop' | 'hush' | 'mute' | 'next' | 'before' }
  | { does: 'seek'; to: number }
  | { does: 'volume'; to: number }
  | { does: 'play'; track: string };

/** s after which the button for the piece before goes to the start of this one. */
const EARLY = 3;
/** s that are left of a piece where somebody goes to its end. */
const LEFT = 0.05;

/** A list that is gone through without end, and what it is mixed by. */
export interface Playlist {
  sound: Sound;
  seed: number;
}

export interface PlayerNow {
  /** A piece is on, played or paused. */
  isOn: boolean;
  isPaused: boolean;
  /** Which of the endless order. */
  n: number;
  /** How far into the piece, and how long it is, s. */
  position: number;
  seconds: number;
  /** 0 to 100, and what it was before it was muted. */
  volume: number;
  loudBefore: number;
}

/** What is to be done. `begin`: from where the rehearsal is, and then something else. */
export type Step =
  | { by: 'begin'; then?: { by: 'on'; add: number } | { by: 'seek'; to: number } }
  | { by: 'play' | 'pause' | 'stop' }
  | { by: 'go'; n: number }
  | { by: 'seek'; to: number }
  | { by: 'volume'; to: number; loudBefore: number };

/** What an act comes to; null where nothing is to be done. A list is needed for a piece that is named. */
export function stepFor(act: SoundAct, now: PlayerNow, list: Playlist | null): Step | null {
  const { isOn, n, volume, loudBefore } = now;
  switch (act.does) {
    case 'turn':
      return isOn ? { by: now.isPaused ? 'play' : 'pause' } : { by: 'begin' };
    case 'stop':
      return { by: 'stop' };
    case 'hush':
      return { by: 'pause' };
    case 'next':
      return isOn ? { by: 'go', n: n + 1 } : { by: 'begin', then: { by: 'on', add: 1 } };
    case 'before':
      if (isOn && now.position > EARLY) return { by: 'seek', to: 0 };
      return isOn ? { by: 'go', n: n - 1 } : { by: 'begin' };
    case 'seek':
      return isOn
        ? { by: 'seek', to: inPiece(act.to, now.seconds) }
        : { by: 'begin', then: { by: 'seek', to: act.to } };
    case 'mute':
      return volume > 0
        ? { by: 'volume', to: 0, loudBefore: volume }
        : { by: 'volume', to: loudBefore, loudBefore };
    case 'volume':
      return { by: 'volume', to: Math.min(100, Math.max(0, act.to)), loudBefore };
    case 'play': {
      const at = list && placeOf(act.track, list);
      return at === null ? null : { by: 'go', n: at };
    }
  }
}

/** A place in a piece that there is, s. */
export const inPiece = (to: number, seconds: number) =>
  Math.min(Math.max(0, to), Math.max(0, seconds - LEFT));

/** Where in the endless order a piece stands next: in this round or the one after. */
function placeOf(track: string, { sound, seed }: Playlist): number | null {
  for (let at = 0; at < 2 * sound.tracks.length; at++) if (trackAt(sound, seed, at)?.id === track) return at;
  return null;
}

/** What comes once a piece has come to its end; null where that was the last. */
export function afterEnd({ repeat, tracks }: Pick<Sound, 'repeat' | 'tracks'>, n: number): number | null {
  if (repeat === 'one') return n;
  return repeat === 'off' && (n + 1) % Math.max(1, tracks.length) === 0 ? null : n + 1;
}

/** What parts read of a player: epoch ms, s. */
export function readingOf(
  player: { track: Track | null; n: number; position: number; isPlaying: boolean; volume: number },
  { isNow, now }: { isNow: boolean; now: number },
): SoundReading {
  const { track, n, position, isPlaying, volume } = player;
  return {
    // While another moment is looked at, nothing is on here.
    track: isNow ? track : null,
    n,
    began: Math.round(now - position * 1000),
    paused: isPlaying ? null : position,
    isHeard: isPlaying,
    volume,
  };
}
