import type { Desk } from '../desk/desk.ts';
import type { GeoPlace } from '../values/earth.ts';

/** Where a desk is looked at, by ids. */
interface TimelineView {
  screen: string;
  /** Of the backdrop that lies there. */
  backdrop: string;
}

export interface TimelineContext extends TimelineView {
  place: GeoPlace;
  seed: number;
}

/** Something that becomes another at a moment (epoch ms), in a sentence without its stop. */
export interface TimelineChange {
  at: number;
  told: string;
}

/** Something of a desk that follows the clock: pure, so that any moment can be looked at. */
export interface Trigger<Subject = unknown, State extends string | number = string | number> {
  key: string;
  title: string;
  /** What of the desk it goes by, as it stands in the document; null where nothing of it follows the clock. */
  subject(desk: Desk, view: TimelineView): Subject | null;
  /** How it is at a moment. */
  stateAt(subject: Subject, context: TimelineContext, moment: number): State;
  /** When it becomes another, from `start` up to `end`. */
  changesBetween(
    subject: Subject,
    context: TimelineContext,
    start: number,
    end: number,
  ): readonly TimelineChange[];
}

export function defineTrigger<Subject, State extends string | number>(
  trigger: Trigger<Subject, State>,
): Trigger<Subject, State> {
  return trigger;
}
