/** Seeded randomness: the same arguments give the same number. */

/** A number in [0, 1) from a seed and an integer (the finaliser of MurmurHash3). */
export function hash(seed: number, index: number): number {
  let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(index | 0, 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Smooth noise in [0, 1]: hashed values at the integers, eased in between. */
export function valueNoise(seed: number, at: number): number {
  const index = Math.floor(at);
  const part = at - index;
  const eased = part * part * (3 - 2 * part);
  return hash(seed, index) * (1 - eased) + hash(seed, index + 1) * eased;
}

/** A generator of numbers in [0, 1) (mulberry32). */
export function createRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
