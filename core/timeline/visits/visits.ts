import type { Edge } from '../../desk/shapes/edges.ts';
import { asked, away, presenceAt, type Delays } from '../../presence/presence.ts';
import { hash } from '../../sources/noise.ts';
import { defineTrigger, type TimelineChange } from '../trigger.ts';

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

/** When an edge comes and goes between two moments. */
function comings(
  seed: number,
  id: string,
  shows: Delays,
  start: number,
  end: number,
): { at: number; comes: boolean }[] {
  const isThere = (moment: number) => isThereInRehearsal(seed, id, moment, shows);
  const found: { at: number; comes: boolean }[] = [];
  // What began in the slot before may end within.
  for (let slot = Math.floor(start / SLOT) - 1; slot * SLOT < end; slot++) {
    const visit = visitIn(seed, id, slot);
    for (const exact of visit ? [visit.from + shows.in, visit.to + shows.out] : []) {
      const at = Math.ceil(exact);
      const comes = isThere(at);
      if (at >= start && at < end && comes !== isThere(at - 1)) found.push({ at, comes });
    }
  }
  return found;
}

/** The edges of a screen that slip away, and somebody who now and then calls them. */
export const visits = defineTrigger({
  key: 'visits',
  title: 'Edges that slip away',
  subject: ({ edges }) => (edges.some(({ shows }) => shows.by === 'slips') ? edges : null),
  stateAt: (edges, { seed, screen }, moment) =>
    slipping(edges, screen)
      .filter(({ id, shows }) => isThereInRehearsal(seed, id, moment, shows))
      .map(({ id }) => id)
      .join(' '),
  changesBetween: (edges, { seed, screen }, start, end) =>
    slipping(edges, screen).flatMap(({ id, kind, side, shows }) =>
      comings(seed, id, shows, start, end).map(({ at, comes }): TimelineChange => ({
        at,
        told: `The ${kind} at the ${side} ${comes ? 'comes' : 'goes'}`,
      })),
    ),
});

type Slipping = Edge & { shows: { by: 'slips' } };

function slipping(edges: readonly Edge[], screen: string): Slipping[] {
  return edges.filter((edge): edge is Slipping => edge.screen === screen && edge.shows.by === 'slips');
}
