import { hash } from '../sources/noise.ts';
import { asked, away, presenceAt, type Delays } from './presence.ts';

/**
 * What a made-up person does on a rehearsed day: now and then the pointer goes to the side of an edge that slips away,
 * and off again. A pure function of the desk's seed, the edge and the moment, so that the ledge can be scrubbed.
 */

/** One visit in each of these, ms, at some time in it, for so long. */
const SLOT = 300_000;
const LONGEST = 90_000;
const SHORTEST = 2_000;
/** Slots with a visit. */
const SHARE = 0.7;

export interface Visit {
  /** Epoch ms. */
  from: number;
  to: number;
}

/** The visit that begins in a slot of time; null in a quiet one. */
function visitIn(seed: number, edge: string, slot: number): Visit | null {
  const chance = (of: string) => hash(seedOf(`${edge} ${of}`, seed), slot);
  if (chance('visit') >= SHARE) return null;
  const length = SHORTEST + chance('length') * (LONGEST - SHORTEST);
  const from = slot * SLOT + chance('start') * (SLOT - LONGEST);
  return { from, to: from + length };
}

/** A seed of its own for a text. */
function seedOf(text: string, seed: number): number {
  return [...text].reduce((sum, letter) => Math.floor(hash(sum, letter.codePointAt(0) ?? 0) * 2 ** 31), seed);
}

/** Visits that began in the slot of a moment or the one before it. */
export function visitsAround(seed: number, edge: string, moment: number): Visit[] {
  const slot = Math.floor(moment / SLOT);
  return [slot - 1, slot].flatMap((one) => visitIn(seed, edge, one) ?? []);
}

/** Whether an edge is there at a moment of the ledge: its delays pass in the ledge's own time. */
export function isThereInRehearsal(seed: number, edge: string, moment: number, delays: Delays): boolean {
  let state = away;
  for (const { from, to } of visitsAround(seed, edge, moment)) {
    if (from <= moment) state = asked(state, true, from, delays);
    if (to <= moment) state = asked(state, false, to, delays);
  }
  return presenceAt(state, moment, delays).isThere;
}
