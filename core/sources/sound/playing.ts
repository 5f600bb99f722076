import { hash } from '../noise.ts';
import type { Sound, Track } from './schema.ts';

/**
 * The order in which a list is gone through, without end: number n of it. A mixed one is another permutation in each
 * round, the same for the same seed, and never plays one piece twice in a row where there are two or more.
 */
export function trackAt({ tracks, order }: Sound, seed: number, n: number): Track | null {
  const count = tracks.length;
  if (count === 0) return null;
  const [round, index] = [Math.floor(n / count), ((n % count) + count) % count];
  return tracks[order === 'list' ? index : (permutation(count, seed, round)[index] ?? 0)] ?? null;
}

let last: { key: string; list: number[] } | null = null;

function permutation(count: number, seed: number, round: number): number[] {
  const key = `${count} ${seed} ${round}`;
  if (last?.key === key) return last.list;
  const list = shuffled(count, seed, round);
  // What ended the round before would come twice: the first two change places, and what ends this round stays.
  if (list[0] === shuffled(count, seed, round - 1).at(-1)) list.splice(0, 2, list[1] ?? 0, list[0] ?? 0);
  last = { key, list };
  return list;
}

/** Fisher and Yates. */
function shuffled(count: number, seed: number, round: number): number[] {
  const list = Array.from({ length: count }, (_, index) => index);
  // Of two, one comes after the other however they are mixed.
  if (count < 3) return list;
  for (let at = count - 1; at > 0; at--) {
    const other = Math.floor(hash(seed + 7001 * round, at) * (at + 1));
    [list[at], list[other]] = [list[other] ?? 0, list[at] ?? 0];
  }
  return list;
}

/** Where in the endless order a rehearsed list is at a moment (epoch ms), and how far into the piece, s. */
export function placeAt(sound: Sound, seed: number, moment: number): { n: number; position: number } | null {
  const { tracks } = sound;
  const whole = tracks.reduce((sum, { seconds }) => sum + seconds, 0);
  if (whole <= 0) return null;
  const at = moment / 1000;
  const round = Math.floor(at / whole);
  let position = at - round * whole;
  let n = round * tracks.length;
  for (let index = 0; index < tracks.length; index++, n++) {
    const seconds = trackAt(sound, seed, n)?.seconds ?? 0;
    if (position < seconds || index === tracks.length - 1) break;
    position -= seconds;
  }
  return { n, position };
}
