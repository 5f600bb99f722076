import type { Desk } from '../../core/desk/desk.ts';
import { problemText } from '../../core/desk/problem.ts';
import { readDesk } from '../../core/desk/read.ts';

/** Where unsaved work is kept until the server has it. */
export type Keep = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

const keyOf = (id: string) => `velvet-ledge:unsaved:${id}`;
const rescueKeyOf = (id: string) => `velvet-ledge:rescued:${id}`;

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

/** What an earlier page left; work that is no desk any more is put aside first, where nothing writes over it. */
export function readUnsaved(keep: Keep, id: string): Unsaved | null {
  const text = keep.getItem(keyOf(id));
  if (text === null) return null;
  const read = parse(text);
  if (read) return read;
  keep.setItem(rescueKeyOf(id), text);
  keep.removeItem(keyOf(id));
  return null;
}

function parse(text: string): Unsaved | null {
  try {
    const { desk, basedOn, unanswered } = JSON.parse(text) as Record<string, unknown>;
    const read = readDesk(desk);
    if (!read.ok || !Number.isInteger(basedOn)) return null;
    const sent = Array.isArray(unanswered) ? unanswered.slice(0, 2).map(readDesk) : [];
    return {
      desk: read.value,
      basedOn: Number(basedOn),
      ...(sent.length > 0 ? { unanswered: sent.flatMap((one) => (one.ok ? [one.value] : [])) } : {}),
    };
  } catch {
    return null;
  }
}

/** Work that was put aside, as the desk's JSON where it has one. */
export function readRescued(keep: Keep, id: string): Rescued | null {
  const text = keep.getItem(rescueKeyOf(id));
  if (text === null) return null;
  try {
    const { desk } = JSON.parse(text) as { desk: unknown };
    const read = readDesk(desk);
    const [problem] = read.ok ? [] : read.problems;
    return {
      text: JSON.stringify(desk, null, 2),
      sentence: problem ? problemText(problem) : 'it names no state to go on from',
    };
  } catch {
    return { text, sentence: 'it is damaged' };
  }
}

export function forgetRescued(keep: Keep, id: string): void {
  keep.removeItem(rescueKeyOf(id));
}
