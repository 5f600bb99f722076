import { surfaceOf, type Palette, type Surface } from '../colour/look.ts';
import type { Desk } from '../desk/desk.ts';
import type { Widget } from '../desk/sections/widgets.ts';
import type { DeskFacts, WidgetContext } from '../kinds/kind.ts';
import type { Layout, Paint } from '../kinds/layout.ts';
import type { Need, Readings, Tick } from '../sources/readings.ts';
import type { TrialWindow } from '../windows/trial.ts';
import type { WindowHint, OpenMenu, OpenOverview } from './scene.ts';
import { SIMULATED } from '../sources/source.ts';
import type { Finish } from '../values/finish.ts';
import type { Colour, Half } from '../values/roles.ts';

/** What is known and gathered while a desk is solved. */
export interface Solving {
  desk: Desk;
  palette: Palette;
  readings: Readings;
  facts: DeskFacts;
  moment: number;
  half: Half;
  open: OpenMenu | null;
  lately: readonly string[];
  /** From the back to the front, all of them on screens and workspaces that are there. */
  windows: readonly TrialWindow[];
  windowHint: WindowHint | null;
  /** Id of the workspace in front, and of the front window. */
  overview: OpenOverview | null;
  atWorkspace: string;
  front: string | null;
  openMore: string | null;
  backdropStep: number;
  out: ReadonlySet<string> | null;
  needs: Needs;
  /** By the colour beneath. */
  contexts: Map<string, WidgetContext>;
  /** What parts show and how it is laid, by all that decides it: parts that are alike share it. */
  looked: Map<string, Looked>;
  /** The same, of all that stays true for the whole minute, from one solve to the next. */
  ofMinute: Map<string, Looked>;
  /** By the id of their screen. */
  widgets: Map<string, Widget[]>;
}

/** What a part shows, and its inside. */
export interface Looked {
  view: unknown;
  layout: Layout;
  needs: readonly Need[];
  /** Why some of it is old, or not there. */
  trouble?: string | null;
  /** Something that it needs was not there: it must be looked at again. */
  isUnknown?: boolean;
}

const texts = new Map<string, number>();
const numbers = new WeakMap<object, number>();
let lastNumber = 0;
const MOST_TEXTS = 10_000;

/**
 * A number that options which say the same share; a short key where their text would be a long one. Kept for those
 * that can't change any more: the ones of a document with a history.
 */
export function numberOf(options: object): number {
  const known = numbers.get(options);
  if (known !== undefined) return known;
  const text = JSON.stringify(options);
  let number = texts.get(text);
  if (number === undefined) {
    // Numbers are never given twice: what was forgotten is only looked at once more.
    if (texts.size >= MOST_TEXTS) texts.clear();
    texts.set(text, (number = ++lastNumber));
  }
  if (Object.isFrozen(options)) numbers.set(options, number);
  return number;
}

/** Looks at a part, or takes what was seen of one just like it. */
export function lookOnce({ looked, ofMinute, needs }: Solving, key: string, look: () => Looked): Looked {
  let found = looked.get(key);
  if (found) return found;
  found = ofMinute.get(key);
  if (!found) {
    found = look();
    if (!found.isUnknown && found.needs.every(({ every }) => every !== 'second')) ofMinute.set(key, found);
  }
  looked.set(key, found);
  needs.add(found.needs);
  return found;
}

/** Of how many desks, or states of one, what stays true for a minute is kept. */
const MOST_KEPT = 4;
let kept: { under: readonly unknown[]; looks: Map<string, Looked> }[] = [];

/** What was seen under the very same circumstances; a map to be filled where there was nothing yet. */
export function looksUnder(under: readonly unknown[]): Map<string, Looked> {
  const known = kept.find((one) => one.under.every((value, index) => Object.is(value, under[index])));
  if (known) return known.looks;
  const looks = new Map<string, Looked>();
  kept = [{ under, looks }, ...kept].slice(0, MOST_KEPT);
  return looks;
}

/** Gathers what the parts of a desk read, and how often they must be looked at. */
export class Needs {
  private readonly ticks = new Set<Tick>();
  private readonly found = new Map<string, { source: string; origin: string }>();

  add(needs: readonly Need[]): void {
    for (const { source, origin = SIMULATED, every } of needs) {
      this.ticks.add(every);
      this.found.set(`${source} ${origin}`, { source, origin });
    }
  }

  every(tick: Tick): void {
    this.ticks.add(tick);
  }

  get tick(): Tick {
    return this.ticks.has('second') ? 'second' : this.ticks.has('minute') ? 'minute' : null;
  }

  /** Sources and origins, each once. */
  get all(): { source: string; origin: string }[] {
    return [...this.found.values()];
  }
}

/** A part's surface, and what its kind may know. */
export function groundFor(
  own: Finish | null,
  { desk, palette, contexts, facts, readings }: Solving,
): { surface: Surface; beneath: string; context: WidgetContext } {
  const surface = surfaceOf(own ?? desk.look.finish, palette);
  const beneath = surface.kind === 'bare' ? palette.roles.ground : surface.tint;
  // Many finishes, few colours: parts on the same colour share what they know.
  let context = contexts.get(beneath);
  if (!context) {
    context = {
      ...facts,
      readings,
      textColour: (colour: Colour) => palette.textOn(colour, beneath) as Paint,
      plainColour: (colour: Colour) => palette.colour(colour) as `#${string}`,
      inkOn: (ground: string) => palette.textOn('ink', ground) as `#${string}`,
    };
    contexts.set(beneath, context);
  }
  return { surface, beneath, context };
}
