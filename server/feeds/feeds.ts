import type { Feed, FeedProblem, Sample } from '../../core/sources/feeds.ts';
import { FetchProblem } from '../outside/addresses.ts';
import { same, type Feeder, type MakeFeeder } from './feed.ts';

/** ms of the first pause after a look that failed, where looks are further apart; each further one doubles it. */
const FIRST_PAUSE = 5000;
const LONGEST_PAUSE = 3_600_000;
/** Feeders that were made for somebody; the ones that nobody wants make room. */
const MOST_MADE = 120;

/** How long to wait after so many looks have failed, one after another: the longer, the more. */
export function pauseAfter(failures: number, everyMs: number): number {
  return Math.min(LONGEST_PAUSE, Math.min(FIRST_PAUSE, everyMs) * 2 ** (failures - 1));
}

/** Runs the feeders, each only while somebody wants its readings. `make` makes those that are asked for by an address. */
export function createFeeds(
  feeders: readonly Feeder[],
  tell: (name: string, feed: Feed) => void,
  now: () => number = Date.now,
  make: MakeFeeder = () => null,
) {
  const running = new Map(feeders.map((feeder) => [nameOf(feeder), startable(feeder, tell, now)]));
  const fixed = new Set(running.keys());
  /** Those that are wanted and can't be looked at, each with why. */
  const refused = new Map<string, Feed>();

  /** Makes the feeder of a name; gives back why not, where it can't be. */
  function add(name: string, wanted: ReadonlySet<string>): string | null {
    const { source, origin } = partsOf(name);
    const feeder = make(source, origin);
    if (!feeder) return 'there is no such source';
    if (running.size >= MOST_MADE) {
      const free = [...running.keys()].find((one) => !fixed.has(one) && !wanted.has(one));
      if (free === undefined)
        return `${MOST_MADE} sources are read already; it is read once others are no longer shown`;
      running.get(free)?.want(false);
      running.delete(free);
    }
    running.set(name, startable(feeder, tell, now));
    return null;
  }

  function refuse(name: string, sentence: string): void {
    if (refused.has(name)) return;
    const feed = refusedFeed(name, sentence, now());
    refused.set(name, feed);
    tell(name, feed);
  }

  return {
    /** What is known of one by now, for whoever comes later. */
    past: (name: string): Feed | null => running.get(name)?.past() ?? refused.get(name) ?? null,
    /** Starts those that are wanted, made where they have to be, and lets the others come to rest. */
    want(names: ReadonlySet<string>): void {
      for (const name of refused.keys()) if (!names.has(name)) refused.delete(name);
      for (const [name, feeder] of running) if (!names.has(name)) feeder.want(false);
      for (const name of names) {
        const why = running.has(name) ? null : add(name, names);
        if (why === null) {
          refused.delete(name);
          running.get(name)?.want(true);
        } else refuse(name, why);
      }
    },
    /** Those that failed are tried at once: what kept them from it has changed. */
    retry(): void {
      for (const feeder of running.values()) feeder.retry();
    },
  };
}

function nameOf({ source, origin }: Pick<Feeder, 'source' | 'origin'>): string {
  return `${source}/${origin}`;
}

/** The opposite of `nameOf`. */
function partsOf(name: string): Pick<Feeder, 'source' | 'origin'> {
  const slash = Math.max(0, name.indexOf('/'));
  return { source: name.slice(0, slash), origin: name.slice(slash + 1) };
}

/** What is told of a feed that is not looked at. */
export function refusedFeed(name: string, sentence: string, now: number): Feed {
  return { ...partsOf(name), samples: [], problem: { sentence, since: now, again: null } };
}

function startable(feeder: Feeder, tell: (name: string, feed: Feed) => void, now: () => number) {
  const { source, origin, everyMs, kept, look } = feeder;
  const samples: Sample[] = [];
  let problem: FeedProblem | null = null;
  let failures = 0;
  let timer: NodeJS.Timeout | null = null;
  let isLooking = false;
  let isWanted = false;
  /** When the newest look was made: one that is wanted again is not asked sooner. */
  let looked = -Infinity;

  async function takeOne(): Promise<void> {
    timer = null;
    isLooking = true;
    looked = now();
    try {
      const reading = await look();
      const last = samples.at(-1);
      if (reading === same && !last)
        throw new FetchProblem('it says that nothing has changed, but was never read');
      // After a clock was set back, what was read before lies in what is to come.
      while ((samples.at(-1)?.moment ?? -Infinity) > now()) samples.pop();
      const taken = { moment: now(), reading: reading === same ? last?.reading : reading };
      // What is the same is as new as this look.
      if (reading === same && samples.at(-1) === last) samples.pop();
      samples.push(taken);
      samples.splice(0, Math.max(0, samples.length - kept));
      problem = null;
      failures = 0;
      tell(nameOf(feeder), { source, origin, samples: [taken], problem });
    } catch (error) {
      failures++;
      const pause = pauseAfter(failures, everyMs);
      problem = {
        sentence: error instanceof FetchProblem ? error.message : 'it can’t be read',
        since: problem?.since ?? now(),
        again: now() + pause,
        ...(error instanceof FetchProblem && error.host ? { host: error.host } : {}),
      };
      tell(nameOf(feeder), { source, origin, samples: [], problem });
    }
    isLooking = false;
    if (isWanted) wait(failures > 0 ? pauseAfter(failures, everyMs) : everyMs);
  }

  function wait(ms: number): void {
    timer = setTimeout(() => void takeOne(), ms);
  }

  function rest(): void {
    if (timer) clearTimeout(timer);
    timer = null;
  }

  return {
    past: (): Feed | null => (samples.length > 0 || problem ? { source, origin, samples, problem } : null),
    want(wanted: boolean): void {
      isWanted = wanted;
      if (wanted && !timer && !isLooking) {
        const pause = failures > 0 ? pauseAfter(failures, everyMs) : everyMs;
        wait(Math.max(0, Math.min(pause, looked + pause - now())));
      }
      if (!wanted) rest();
    },
    retry(): void {
      if (failures === 0 || !timer) return;
      rest();
      wait(0);
    },
  };
}
