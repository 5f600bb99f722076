import { surfaceOf, type Palette, type Surface } from '../colour/look.ts';
import type { Desk } from '../desk/desk.ts';
import type { Widget } from '../desk/shapes/widgets.ts';
import type { DeskFacts } from '../kinds/kind.ts';
import type { Tick } from '../sources/source.ts';
import type { Need, Readings } from '../sources/readings.ts';
import type { TrialWindow } from '../windows/trial.ts';
import type { AllConditions } from './conditions.ts';
import { SIMULATED } from '../sources/source.ts';
import type { Finish } from '../values/finish.ts';
import type { Half } from '../values/roles.ts';
import type { Base, Now } from './shown.ts';
import type { Memory } from './memory.ts';
import type { Library } from '../values/library.ts';

/** What is known and gathered while a desk is solved. */
export interface Solving {
  desk: Desk;
  palette: Palette;
  /** Of what lies behind the screens. */
  behindPalette: Palette;
  readings: Readings;
  facts: DeskFacts;
  conditions: AllConditions;
  half: Half;
  /** From the back to the front, all of them on screens and workspaces that are there. */
  windows: readonly TrialWindow[];
  /** Id of the workspace in front, and of the front window. */
  atWorkspace: string;
  front: string | null;
  /** Of the conditions, as a set. */
  out: ReadonlySet<string> | null;
  needs: Needs;
  /** What was seen before under the same circumstances. */
  base: Base;
  /** What parts are looked at under. */
  now: Now;
  /** What was solved before. */
  memory: Memory;
  library: Library;
  /** By the id of their screen. */
  widgets: ReadonlyMap<string, readonly Widget[]>;
}

/** Gathers what the parts of a desk read, and how often they must be looked at. */
export class Needs {
  private readonly ticks = new Set<Tick>();
  private readonly added = new Set<readonly Need[]>();

  /** Parts that are alike bring the very same list. */
  add(needs: readonly Need[]): void {
    this.added.add(needs);
  }

  every(tick: Tick): void {
    this.ticks.add(tick);
  }

  get tick(): Tick {
    for (const needs of this.added) for (const { every } of needs) this.ticks.add(every);
    return this.ticks.has('second') ? 'second' : this.ticks.has('minute') ? 'minute' : null;
  }

  /** Sources and origins, each once, in the order of their names. */
  get all(): { source: string; origin: string }[] {
    const found = new Map<string, { source: string; origin: string }>();
    for (const needs of this.added)
      for (const { source, origin = SIMULATED } of needs)
        found.set(`${source} ${origin}`, { source, origin });
    return [...found].sort(([one], [other]) => (one < other ? -1 : 1)).map(([, need]) => need);
  }
}

/** A part's surface, whatever lies behind it. */
export function plainSurface(own: Finish | null, { desk, palette }: Solving): Surface {
  return surfaceOf(own ?? desk.look.finish, palette);
}
