import type { Feed, Sample } from '../../core/sources/readings.ts';
import type { Feeder } from './feed.ts';

/** Runs the feeders, each only while somebody wants its readings. */
export function createFeeds(
  feeders: readonly Feeder[],
  tell: (name: string, feed: Feed) => void,
  now: () => number = Date.now,
) {
  const running = new Map(feeders.map((feeder) => [nameOf(feeder), startable(feeder, tell, now)]));

  return {
    /** Those of some names that there are. */
    known: (names: readonly string[]) => names.filter((name) => running.has(name)),
    /** What was read of one before, for whoever comes later. */
    past: (name: string): Feed | null => running.get(name)?.past() ?? null,
    /** Starts those that are wanted, and lets the others come to rest. */
    want(names: ReadonlySet<string>): void {
      for (const [name, feeder] of running) feeder.want(names.has(name));
    },
  };
}

export type Feeds = ReturnType<typeof createFeeds>;

function nameOf({ source, origin }: Pick<Feeder, 'source' | 'origin'>): string {
  return `${source}/${origin}`;
}

function startable(feeder: Feeder, tell: (name: string, feed: Feed) => void, now: () => number) {
  const { source, origin, everyMs, kept, look } = feeder;
  const samples: Sample[] = [];
  let timer: NodeJS.Timeout | null = null;
  let isLooking = false;
  let isWanted = false;

  async function takeOne(): Promise<void> {
    timer = null;
    isLooking = true;
    try {
      const taken = { moment: now(), reading: await look() };
      samples.push(taken);
      samples.splice(0, Math.max(0, samples.length - kept));
      tell(nameOf(feeder), { source, origin, samples: [taken] });
    } catch {
      // One look that fails is one sample less: how old the newest is tells of it.
    }
    isLooking = false;
    if (isWanted) wait(everyMs);
  }

  function wait(ms: number): void {
    timer = setTimeout(() => void takeOne(), ms);
  }

  return {
    past: (): Feed | null => (samples.length > 0 ? { source, origin, samples } : null),
    want(wanted: boolean): void {
      isWanted = wanted;
      if (wanted && !timer && !isLooking) wait(0);
      if (!wanted && timer) {
        clearTimeout(timer);
        timer = null;
      }
    },
  };
}
