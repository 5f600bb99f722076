import type { Palette } from '../colour/look.ts';
import { areLearned } from '../expressions/learn.ts';
import type { DeskFacts, ItemContext, WidgetContext } from '../kinds/kind.ts';
import type { Layout, Paint } from '../kinds/layout.ts';
import type { Library } from '../values/library.ts';
import type { Feed } from '../sources/feeds.ts';
import { sources } from '../sources/list.ts';
import type { Need, Readings } from '../sources/readings.ts';
import { SIMULATED } from '../sources/source.ts';
import { isFromOutside } from '../sources/from-outside.ts';
import { troublesOf, troubleTold } from '../sources/trouble.ts';
import { lookUp } from '../values/look-up.ts';
import { hexOf } from '../values/colour.ts';
import { isRole, type Colour } from '../values/roles.ts';
import { isSame } from '../values/share.ts';

/**
 * What parts show, kept by what it came from. It stands under what all parts share (`Base`) and what it stands on
 * (`Stand`), by its options; besides these it holds for as long as the facts that it read say the same, and until the
 * next tick of what it needs.
 */

/** What a part shows, and its inside; the same object for as long as both say the same. */
export interface Shown {
  readonly view: unknown;
  readonly layout: Layout;
  readonly needs: readonly Need[];
  /** Why some of it is old or missing, in a sentence. */
  readonly trouble: string | null;
}

/** What parts are looked at under. */
export interface Now {
  /** What the clock says to those that never look, look with every second (epoch ms) and with every minute. */
  readonly ticks: readonly [number, number, number];
  readonly facts: DeskFacts;
  /** The facts that may change, in the order of their names. */
  readonly values: readonly unknown[];
  readonly readings: Readings;
  /** As they were when the minute began: for all that is looked at once a minute, whenever in it that is. */
  readonly ofMinute: Readings;
}

/** A part as far as it says what it shows. */
export interface ToShow {
  readonly type: string;
  readonly face: string;
  readonly options: object;
}

/** How parts of some kinds are looked at. */
export interface Eye<Context> {
  needs(part: ToShow): readonly Need[];
  /** Null while it is not learned how. */
  work(
    type: string,
    library: Library,
  ): {
    view(options: object, face: string, context: Context): unknown;
    layout(view: unknown, face: string, context: Context): Layout;
  } | null;
  /** What stands for a part of which nothing is known yet. */
  blank(context: Context): Layout;
}

/** How often something is looked at again that reads the clock: never, with every second, with every minute. */
const NEVER = 0;
const SECOND = 1;
const MINUTE = 2;
type Holds = typeof NEVER | typeof SECOND | typeof MINUTE;

/** Under what something was worked out: for as long as all of that is the same, so is what came of it. */
export class Truth {
  constructor(
    readonly holds: Holds,
    /** What the clock said, by how often it is read. */
    readonly at: number,
    /** Facts of the desk that were read, by their places among the names, and what they said. */
    readonly facts: readonly number[],
    readonly said: readonly unknown[],
    /** What is read from outside, what of it there was, and all that there was. */
    readonly from: readonly Need[],
    readonly own: readonly Feed[],
    readonly all: readonly Feed[],
    /** Something was not there that it needs: it is worked out again. */
    readonly isUnknown: boolean,
  ) {}
}

/** Whether all is as it was. This is asked for every part at every solve. */
export function isStill(truth: Truth, now: Now): boolean {
  if (truth.isUnknown || now.ticks[truth.holds] !== truth.at) return false;
  const { facts, said, from } = truth;
  for (let index = 0; index < facts.length; index++)
    if (now.values[facts[index] as number] !== said[index]) return false;
  const { feeds } = now.readings;
  // Something else may have come since.
  return from.length === 0 || truth.all === feeds || isSameList(truth.own, feedsFor(from, feeds));
}

/** All of that together, for what was worked of some parts that is true now. */
export function truthOf(seen: Iterable<Seen>, now: Now): Truth {
  let holds: Holds = NEVER;
  const facts = new Set<number>();
  const from = new Set<Need>();
  let isUnknown = false;
  for (const { truth } of seen) {
    if (truth.holds !== NEVER) holds = holds === SECOND ? SECOND : truth.holds;
    for (const fact of truth.facts) facts.add(fact);
    for (const need of truth.from) from.add(need);
    isUnknown ||= truth.isUnknown;
  }
  const { feeds } = now.readings;
  const said = [...facts].map((fact) => now.values[fact]);
  const own = feedsFor([...from], feeds);
  return new Truth(holds, now.ticks[holds], [...facts], said, [...from], own, feeds, isUnknown);
}

/** A look, and for how long it is true. It never changes: others may have looked since, under something else. */
export interface Seen {
  readonly type: string;
  readonly face: string;
  readonly shown: Shown;
  readonly truth: Truth;
  /** Its inside follows from more than its view. */
  readonly isLaidByMore: boolean;
}

/** What parts stand on: what is the same for all of them, for items the edge too. */
export interface Stand<Context = WidgetContext> {
  readonly context: Context;
  readonly seen: WeakMap<object, Seen[]>;
}

/** What items of one edge stand on, in so much room and with icons of such a size. */
export type ItemStand = Stand<ItemContext>;

/** What all parts of a desk share that hardly ever changes. */
export interface Base {
  readonly of: readonly unknown[];
  /** What parts stand on. */
  readonly stand: Stand;
  now: Now;
}

const factNames = [
  'applications',
  'workspaces',
  'folders',
  'running',
  'windows',
  'windowButtons',
  'workspace',
  'half',
  'isPlain',
  'isQuiet',
] as const satisfies readonly (keyof DeskFacts)[];

/** What parts are looked at under. */
export function nowOf(now: Omit<Now, 'ticks' | 'values'>): Now {
  const { moment } = now.readings;
  return {
    ...now,
    ticks: [0, moment, Math.floor(moment / 60_000)],
    values: factNames.map((name) => now.facts[name]),
  };
}

/** What the part that is being looked at has read so far. */
interface Reading {
  facts: Map<number, unknown>;
  hasRead: boolean;
  /** It is looked at with every second. */
  bySecond: boolean;
}
let reading: Reading | null = null;

/** Of how many desks, or states of one, it is kept what they show. */
const MOST_BASES = 4;
let bases: Base[] = [];

/** What parts show under the very same circumstances; nothing yet where those are new. */
export function baseUnder(of: readonly unknown[], palette: Palette, now: Now): Base {
  const known = bases.find(
    (one) => one.of.length === of.length && one.of.every((value, index) => Object.is(value, of[index])),
  );
  const base = known ?? createBase(of, palette, now);
  base.now = now;
  bases = [base, ...bases.filter((one) => one !== base)].slice(0, MOST_BASES);
  return base;
}

function createBase(of: readonly unknown[], palette: Palette, now: Now): Base {
  const base: Base = {
    of,
    now,
    stand: { context: createContext(() => base.now, now.facts, palette), seen: new WeakMap() },
  };
  return base;
}

/** What a kind may know; what of the desk it asks for is noted. */
function createContext(
  current: () => Now,
  { fonts, units }: Pick<DeskFacts, 'fonts' | 'units'>,
  palette: Palette,
): WidgetContext {
  const context = {
    fonts,
    units,
    textColour: (colour: Colour): Paint => (isRole(colour) ? colour : (hexOf(colour) as Paint)),
    plainColour: (colour: Colour) => palette.colour(colour) as `#${string}`,
    inkOn: (ground: string) => palette.textOn('ink', ground) as `#${string}`,
  };
  for (const [index, name] of factNames.entries())
    Object.defineProperty(context, name, {
      get: () => {
        const value = current().facts[name];
        reading?.facts.set(index, value);
        return value;
      },
    });
  Object.defineProperty(context, 'readings', {
    get: () => {
      if (reading) reading.hasRead = true;
      return reading?.bySecond === false ? current().ofMinute : current().readings;
    },
  });
  return context as WidgetContext;
}

/** A stand on another, with more to be known. */
export function standWith<Context extends WidgetContext, Own extends object>(
  stand: Stand<Context>,
  own: Own,
): Stand<Context & Own> {
  return { context: Object.assign(Object.create(stand.context) as Context, own), seen: new WeakMap() };
}

/** Looks at a part, where what was last seen of it, or of one just like it, is not true any more. */
export function lookAt<Context>(now: Now, stand: Stand<Context>, part: ToShow, eye: Eye<Context>): Seen {
  const key = sayingTheSame(part.options);
  let list = stand.seen.get(key);
  if (!list) stand.seen.set(key, (list = []));
  const at = list.findIndex(({ type, face }) => type === part.type && face === part.face);
  const seen = list[at];
  if (seen && isStill(seen.truth, now)) return seen;
  const anew = see(now, stand, part, eye, seen ?? null);
  list[seen ? at : list.length] = anew;
  return anew;
}

function see<Context>(
  now: Now,
  { context }: Stand<Context>,
  { type, face, options }: ToShow,
  eye: Eye<Context>,
  before: Seen | null,
): Seen {
  const needs = eye.needs({ type, face, options });
  const { feeds, library } = now.readings;
  const work = eye.work(type, library);
  // What is not learned yet is blank; it is solved again once it is.
  if (!work || !areLearned(needs, library)) {
    const shown = { view: null, layout: eye.blank(context), needs, trouble: null };
    const truth = new Truth(NEVER, 0, [], [], [], [], feeds, true);
    return { type, face, shown, truth, isLaidByMore: false };
  }
  const last = before?.truth.isUnknown === false ? before : null;
  const bySecond = needs.some(({ every }) => every === 'second');
  const [view, byView] = noting(bySecond, () => same(last?.shown.view, work.view(options, face, context)));
  const isSeenBefore = last !== null && last.shown.view === view && !last.isLaidByMore;
  const [layout, byLayout] = noting(bySecond, () =>
    isSeenBefore ? last.shown.layout : same(last?.shown.layout, work.layout(view, face, context)),
  );
  const trouble = troubleIn(needs, bySecond ? now.readings : now.ofMinute);
  const hasRead = byView.hasRead || byLayout.hasRead || trouble !== null;
  const holds = !hasRead ? NEVER : bySecond ? SECOND : MINUTE;
  const facts = [...byView.facts.keys(), ...byLayout.facts.keys()];
  const said = [...byView.facts.values(), ...byLayout.facts.values()];
  const from = needs.filter(isBrought);
  const isAsBefore =
    last !== null &&
    last.shown.view === view &&
    last.shown.layout === layout &&
    last.shown.trouble === trouble &&
    isSame(last.shown.needs, needs);
  return {
    type,
    face,
    shown: isAsBefore ? last.shown : { view, layout, needs, trouble },
    truth: new Truth(holds, now.ticks[holds], facts, said, from, feedsFor(from, feeds), feeds, false),
    isLaidByMore: byLayout.hasRead || byLayout.facts.size > 0,
  };
}

/** What there was, where it says the same as what there is now. */
function same<T>(before: T | undefined, now: T): T {
  return isSame(before, now) ? (before as T) : now;
}

/** Does something, and tells what of the desk it read meanwhile. */
function noting<Result>(bySecond: boolean, work: () => Result): [Result, Reading] {
  const outer = reading;
  const own: Reading = { facts: new Map(), hasRead: false, bySecond };
  reading = own;
  try {
    return [work(), own];
  } finally {
    reading = outer;
  }
}

/** Whether what a part reads depends on what was brought from outside. */
function isBrought({ source, origin = SIMULATED }: Need): boolean {
  return origin !== SIMULATED || isFromOutside(source) || 'isOfPage' in sources[source];
}

/** What was brought for the sources that a part reads; those that are put together read all that was fetched. */
function feedsFor(needs: readonly Need[], feeds: readonly Feed[]): readonly Feed[] {
  if (needs.length === 0 || feeds.length === 0) return [];
  const readsFetched = needs.some(({ source }) => isFromOutside(source));
  return feeds.filter(({ source: own }) => {
    const isFetched = isFromOutside(own) || lookUp(sources, own) === undefined;
    return needs.some(({ source }) => source === own) || (readsFetched && isFetched);
  });
}

/** What of all that a part reads can't be read, in a sentence. */
function troubleIn(needs: readonly Need[], { outside, feeds, moment }: Readings): string | null {
  if (feeds.length === 0) return null;
  const [first] = needs.flatMap(({ source }) => troublesOf(source, outside, feeds));
  return first ? troubleTold(first, moment) : null;
}

function isSameList(one: readonly unknown[], other: readonly unknown[]): boolean {
  return one.length === other.length && one.every((value, index) => value === other[index]);
}

const saying = new Map<string, object>();
const saidBy = new WeakMap<object, object>();
const MOST_TEXTS = 10_000;

/**
 * One object for all options that say the same. Kept for those that can't change any more: the ones of a document with
 * a history.
 */
function sayingTheSame(options: object): object {
  const known = saidBy.get(options);
  if (known) return known;
  const text = JSON.stringify(options);
  let one = saying.get(text);
  if (!one) {
    // What is forgotten is only looked at once more.
    if (saying.size >= MOST_TEXTS) saying.clear();
    saying.set(text, (one = {}));
  }
  if (Object.isFrozen(options)) saidBy.set(options, one);
  return one;
}
