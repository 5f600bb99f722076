import { create } from 'zustand';
import type { Conditions, OpenMenu, OpenOverview } from '../../core/scene/scene.ts';
import type { Look } from '../../core/look/schema.ts';
import type { Handled, WindowHint } from '../../core/windows/now.ts';
import type { TrialWindow } from '../../core/windows/trial.ts';
import type { Feed } from '../../core/sources/feeds.ts';
import type { Half } from '../../core/values/roles.ts';
import { readLately } from './lately.ts';

/** The moment and everything else that is not the document. It lasts as long as this page. */
interface ConditionsState {
  /** Epoch ms of the moment shown. */
  moment: number;
  /** False while the moment is one that somebody chose. */
  isNow: boolean;
  /** The day is being played. */
  isPlaying: boolean;
  /** The half that is looked at, whatever the desk itself would show; null lets the desk say. */
  half: Half | null;
  /** From the back to the front; an application runs while it has one. */
  windows: readonly TrialWindow[];
  /** Where a window would go that is being moved. */
  windowHint: WindowHint | null;
  /** Ids of the windows that were put out of the view, and come back together. */
  cleared: readonly string[];
  /** The window that arrows move or size. */
  handled: Handled | null;
  overview: OpenOverview | null;
  workspace: number;
  /** The menu that is open. */
  open: OpenMenu | null;
  /** Ids of applications, the one that was used last first. */
  lately: readonly string[];
  /** Id of the edge of which the rest is open. */
  openMore: string | null;
  /** Edges that slip away, and widgets that wait for the pointer, which are there; null where all are. */
  out: readonly string[] | null;
  /** Surfaces stand without blur and shadow. */
  isPlain: boolean;
  /** Nothing sounds, and nothing moves by itself. */
  isQuiet: boolean;
  /** Roles that stand in for the look's while something is heard. */
  roles: Look['roles'] | null;
  /** How many entries a rotation is ahead of its time. */
  backdropStep: number;
  feeds: readonly Feed[];
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
  moment: Date.now(),
  isNow: true,
  isPlaying: false,
  half: null,
  windows: [],
  windowHint: null,
  cleared: [],
  handled: null,
  overview: null,
  workspace: 0,
  open: null,
  lately: readLately(),
  openMore: null,
  out: null,
  isPlain: false,
  isQuiet: false,
  roles: null,
  backdropStep: 0,
  feeds: [],
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
    set({
      half: null,
      windows: [],
      windowHint: null,
      cleared: [],
      handled: null,
      overview: null,
      workspace: 0,
      open: null,
      openMore: null,
      out: null,
      isPlain: false,
      isQuiet: false,
      backdropStep: 0,
    }),
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

export function conditionsOf(state: ConditionsState): Conditions {
  const { moment, half, windows, windowHint, overview, workspace, open, lately, openMore, out, feeds } =
    state;
  const { isPlain, isQuiet, roles, backdropStep } = state;
  return {
    moment,
    half: half ?? undefined,
    windows,
    windowHint,
    overview,
    workspace,
    open,
    lately,
    openMore,
    out,
    feeds,
    isPlain,
    isQuiet,
    roles,
    backdropStep,
  };
}
