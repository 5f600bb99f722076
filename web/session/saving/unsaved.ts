import type { Desk } from '../../../core/desk/desk.ts';
import type { Keep } from '../../browser-keep.ts';

export const keyOf = (id: string) => `velvet-ledge:unsaved:${id}`;
export const rescueKeyOf = (id: string) => `velvet-ledge:rescued:${id}`;

/** Of so many saves without an answer is known what they were. */
export const MOST_UNANSWERED = 6;

/** Work that a page left behind unsaved. */
export interface Unsaved {
  desk: Desk;
  basedOn: number;
  /** What was sent on the way, without an answer. */
  unanswered?: readonly Desk[];
}

/** Work that can't be opened: as it was kept, and why. */
export interface Rescued {
  text: string;
  sentence: string;
}

/** Keeps work until the server has it; false where the browser refuses, since it is full or may keep nothing. */
export function keepUnsaved(keep: Keep, { desk, basedOn, unanswered = [] }: Unsaved): boolean {
  const set = (unsaved: Unsaved) => {
    try {
      keep.setItem(keyOf(desk.id), JSON.stringify(unsaved));
      return true;
    } catch {
      return false;
    }
  };
  // Without room for what was sent on the way, the work itself may still have some.
  return (unanswered.length > 0 && set({ desk, basedOn, unanswered })) || set({ desk, basedOn });
}

export function forgetUnsaved(keep: Keep, id: string): void {
  keep.removeItem(keyOf(id));
}

/** Whether an earlier page left work: only then is there anything to read (unsaved-reading.ts). */
export const hasUnsaved = (keep: Keep, id: string): boolean => keep.getItem(keyOf(id)) !== null;

/** Whether work was put aside that can't be opened. */
export const hasRescued = (keep: Keep, id: string): boolean => keep.getItem(rescueKeyOf(id)) !== null;

export function forgetRescued(keep: Keep, id: string): void {
  keep.removeItem(rescueKeyOf(id));
}
