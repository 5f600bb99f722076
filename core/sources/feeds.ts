/** A reading that came from outside; `moment` in epoch ms. */
export interface Sample<Reading = unknown> {
  moment: number;
  reading: Reading;
}

/** Why something could not be read. */
export interface FeedProblem {
  sentence: string;
  /** Of the first look that failed, epoch ms. */
  since: number;
  /** When it is tried again, epoch ms; null where only a person can help. */
  again: number | null;
  /** A host in the private network that a person may allow. */
  host?: string;
}

/** What came from outside of one source and origin, newest last. */
export interface Feed {
  source: string;
  origin: string;
  samples: readonly Sample[];
  /** Of the newest look; null where it went well. */
  problem?: FeedProblem | null;
}

export function feedOf(feeds: readonly Feed[], source: string, origin: string): Feed | null {
  return feeds.find((one) => one.source === source && one.origin === origin) ?? null;
}
