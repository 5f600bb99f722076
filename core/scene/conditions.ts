import type { Tones } from '../backdrop/tones.ts';
import type { Look } from '../look/schema.ts';
import type { MenuKey } from '../menus/schema.ts';
import type { Feed } from '../sources/feeds.ts';
import type { Point } from '../values/geometry.ts';
import type { Half } from '../values/roles.ts';
import type { WindowHint } from '../windows/now.ts';
import type { TrialWindow } from '../windows/trial.ts';

/** A menu of the desk, or one of the front window's. */
export type AnyMenu = MenuKey | 'frontMenu';

/** A menu that is open, and what somebody does in it. */
export interface OpenMenu {
  menu: AnyMenu;
  /** Id of the screen that it is open on. */
  screen: string;
  /** Id of the item that was pressed for it. */
  item?: string | null;
  /** Where the desk menu was asked for, px of the screen. */
  at?: Point | null;
  /** What is typed. */
  query?: string;
  /** Keys of what was found, the best first; null while nothing is typed. */
  found?: readonly string[] | null;
  /** What a typed sum comes to. */
  sum?: string | null;
  /** Index of the entry that is chosen, and of the page. */
  chosen?: number;
  page?: number;
  /** Of the front window's menus, which. */
  index?: number;
  /** Id of the folder that is open. */
  folder?: string | null;
}

/** The overview, open: on which screen, what is typed in it, and which of its entries is chosen (null is where one is). */
export interface OpenOverview {
  screen: string;
  query: string;
  chosen: number | null;
}

/** Under what a desk is solved besides the moment: what is open, what goes on, what came from outside. */
interface Circumstances {
  /** The windows that are open, from the back to the front; an application runs while it has one. */
  windows: readonly TrialWindow[];
  /** Where a window would go that is being moved. */
  windowHint: WindowHint | null;
  /** Index of the workspace in front. */
  workspace: number;
  /** A half to look at, whatever the desk itself would say. */
  half: Half | null;
  /** Surfaces stand without blur and shadow. */
  isPlain: boolean;
  /** Nothing sounds, and nothing moves by itself. */
  isQuiet: boolean;
  /** Roles that stand in for the look's: what is played has its own. */
  roles: Look['roles'] | null;
  /** How dark and light it is behind each screen, by its id; where nothing is known, bare parts go by the ground. */
  tones: ReadonlyMap<string, Tones>;
  /** Whether what decides where light and dark go by the backdrop is dark; null where that is not known. */
  isDarkBehind: boolean | null;
  /** Something moves under the hand: what bare parts took on to be read stays for as long as it nearly suffices. */
  isHeld: boolean;
  /** How many entries a rotation is ahead of its time. */
  backdropStep: number;
  overview: OpenOverview | null;
  /** Readings from outside. */
  feeds: readonly Feed[];
  /** The menu that is open. */
  open: OpenMenu | null;
  /** Ids of applications, the one that was used last first. */
  lately: readonly string[];
  /** Id of the edge of which what found no room is open. */
  openMore: string | null;
  /** Ids of the edges that slip away, and of the widgets that wait for the pointer, which are there; null while all are, as where they are arranged. */
  out: readonly string[] | null;
}

/** Everything that changes without the document changing. */
export interface Conditions extends Partial<Circumstances> {
  /** Epoch ms. */
  moment: number;
}

/** All of them. */
export type AllConditions = Required<Conditions>;

/** While nothing is open and nothing goes on. Add a new condition here and above: page and solver take it from there. */
export const atRest: Circumstances = {
  windows: [],
  windowHint: null,
  workspace: 0,
  half: null,
  isPlain: false,
  isQuiet: false,
  roles: null,
  tones: new Map(),
  isDarkBehind: null,
  isHeld: false,
  backdropStep: 0,
  overview: null,
  feeds: [],
  open: null,
  lately: [],
  openMore: null,
  out: null,
};

const keys = ['moment', ...Object.keys(atRest)] as readonly (keyof Conditions)[];

/** What of a page's state are conditions. */
export function conditionsOf(state: AllConditions): AllConditions {
  const conditions: Partial<Record<keyof Conditions, unknown>> = {};
  for (const key of keys) conditions[key] = state[key];
  return conditions as AllConditions;
}
