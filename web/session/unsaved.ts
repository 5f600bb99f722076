import type { Desk } from '../../core/desk/desk.ts';

/** Where unsaved work is kept until the server has it. */
export type Keep = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

export const keyOf = (id: string) => `velvet-ledge:unsaved:${id}`;
export const rescueKeyOf = (id: string) => `velvet-ledge:rescued:${id}`;

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

export function keepUnsaved(keep: Keep, { desk, basedOn, unanswered = [] }: Unsaved): void {
  const sent = unanswered.length > 0 ? { unanswered } : {};
  try {
    keep.setItem(keyOf(desk.id), JSON.stringify({ desk, basedOn, ...sent }));
  } catch {
    // A full storage takes nothing away: the server is still asked to save.
  }
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
