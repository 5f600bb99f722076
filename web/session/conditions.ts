import { create } from 'zustand';
import { atRest, type AllConditions, type OpenMenu } from '../../core/scene/conditions.ts';
import type { Handled } from '../../core/windows/now.ts';
import type { TrialWindow } from '../../core/windows/trial.ts';
import type { Feed } from '../../core/sources/feeds.ts';
import type { Half } from '../../core/values/roles.ts';
import { readLately } from './lately.ts';

/** The moment and everything else that is not the document. It lasts as long as this page. */
interface ConditionsState extends AllConditions {
  /** False while the moment is one that somebody chose. */
  isNow: boolean;
  /** The day is being played. */
  isPlaying: boolean;
  /** Ids of the windows that were put out of the view, and come back together. */
  cleared: readonly string[];
  /** The window that arrows move or size. */
  handled: Handled | null;
  /** Sources that somebody looks at besides what the desk shows. */
  alsoWanted: readonly string[];
  wantAlso(sources: readonly string[]): void;
  hold(moment: number): void;
  goNow(): void;
  setPlaying(isPlaying: boolean): void;
  tick(moment: number): void;
  lookAt(half: Half | null): void;
  setWindows(windows: readonly TrialWindow[]): void;
  /** An application was started: it is the one that was used last. */
  used(application: string): void;
  goTo(workspace: number): void;
  setOpen(open: OpenMenu | null): void;
  setMore(edge: string | null): void;
  setOut(out: readonly string[] | null): void;
  /** For a desk that is opened: nothing runs, and the first workspace is in front. */
  startAnew(): void;
  /** Something came from outside: readings, or why there are none. */
  takeFeed(feed: Feed): void;
}

/** As long as the longest graph reaches back, at a sample every two seconds. */
const MOST_SAMPLES = 3600;
/** What is fetched is large, and only the newest of it is shown. */
const MOST_FETCHED = 2;

export const useConditions = create<ConditionsState>()((set) => ({
  ...atRest,
  moment: Date.now(),
  isNow: true,
  isPlaying: false,
  cleared: [],
  handled: null,
  lately: readLately(),
  alsoWanted: [],
  wantAlso: (alsoWanted) => set({ alsoWanted }),
  hold: (moment) => set({ moment, isNow: false }),
  goNow: () => set({ moment: Date.now(), isNow: true, isPlaying: false }),
  setPlaying: (isPlaying) => set(isPlaying ? { isPlaying, isNow: false } : { isPlaying }),
  tick: (moment) => set((state) => (state.isNow ? { moment } : {})),
  lookAt: (half) => set({ half }),
  setWindows: (windows) => set({ windows }),
  used: (application) =>
    set(({ lately }) => ({
      lately: [application, ...lately.filter((id) => id !== application)],
      open: null,
      openMore: null,
    })),
  goTo: (workspace) => set({ workspace }),
  setOpen: (open) => set({ open, openMore: null }),
  setMore: (openMore) => set({ openMore, open: null }),
  setOut: (out) => set({ out }),
  startAnew: () =>
    // What was used lately, what comes from outside and what is heard go on from one desk to the next.
    set(({ feeds, lately, roles }) => ({ ...atRest, feeds, lately, roles, cleared: [], handled: null })),
  takeFeed: ({ source, origin, samples, problem = null }) =>
    set(({ feeds }) => {
      const isMeant = (feed: Feed) => feed.source === source && feed.origin === origin;
      const last = samples.at(-1)?.moment ?? Infinity;
      // Where the newest lies before what is known, the clock there was set back.
      const known = (feeds.find(isMeant)?.samples ?? []).filter(({ moment }) => moment <= last);
      const newest = known.at(-1)?.moment ?? -Infinity;
      const kept = source === 'machine' ? MOST_SAMPLES : MOST_FETCHED;
      const added = [...known, ...samples.filter(({ moment }) => moment > newest)].slice(-kept);
      return {
        feeds: [...feeds.filter((feed) => !isMeant(feed)), { source, origin, samples: added, problem }],
      };
    }),
}));
