/**
 * Whether an edge that slips away is there: what a pointer, the keyboard and time do to it. Pure: events and moments come
 * in (ms, never going back), and what holds until the next one comes out.
 */

/** How long somebody must ask for it before it comes, and how long nobody before it goes, ms. */
export interface Delays {
  in: number;
  out: number;
}

export interface Presence {
  isThere: boolean;
  /** Somebody asks for it: the pointer is at its side or on it, or the focus is in it. */
  isAsked: boolean;
  /** Since when that is so. */
  since: number;
}

export const away: Presence = { isThere: false, isAsked: false, since: -Infinity };

/** When it changes by itself, if nothing happens until then; null when it does not. */
export function changesAt({ isThere, isAsked, since }: Presence, delays: Delays): number | null {
  if (isThere === isAsked) return null;
  return since + (isAsked ? delays.in : delays.out);
}

/** What it is at a moment when nothing has happened since. */
export function presenceAt(presence: Presence, moment: number, delays: Delays): Presence {
  const at = changesAt(presence, delays);
  return at !== null && moment >= at ? { ...presence, isThere: presence.isAsked } : presence;
}

/** What it is once somebody asks for it, or nobody does any more. */
export function asked(presence: Presence, isAsked: boolean, moment: number, delays: Delays): Presence {
  const now = presenceAt(presence, moment, delays);
  // Who goes on asking has asked since before: nothing begins anew.
  return now.isAsked === isAsked ? now : { ...now, isAsked, since: moment };
}

/** It is called or sent away at once, by a key. */
export function turned(presence: Presence, moment: number): Presence {
  return { isThere: !presence.isThere, isAsked: !presence.isThere, since: moment };
}
